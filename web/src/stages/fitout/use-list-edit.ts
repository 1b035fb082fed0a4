/** Edits of one thing of a list of the project, each with what it is called in the list of what can be undone. */
import type { EditValue } from '@kalotrope/core/findings';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

type Path = readonly string[];

export type ListEdit = {
  /** Where a value of it is kept. */
  readonly pathTo: (...path: Path) => readonly string[];
  readonly set: (what: string, ...path: Path) => (value: EditValue) => void;
};

export function useListEdit(list: Path, { id, name }: { readonly id: string; readonly name: string }): ListEdit {
  const dispatch = useAppDispatch();
  const pathTo = (...path: Path) => [...list, id, ...path];
  return {
    pathTo,
    set:
      (what, ...path) =>
      (value) =>
        void dispatch(edited({ label: `${name}: ${what}`, edits: [{ path: pathTo(...path), value }] })),
  };
}
