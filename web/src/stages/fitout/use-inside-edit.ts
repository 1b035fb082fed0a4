/** Edits of one part, each with what it is called in the list of what can be undone. */
import type { EditValue } from '@kalotrope/core/findings';
import { INSIDE_PATH, type InsidePlan } from '@kalotrope/core/fitout';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

type Path = readonly string[];

type InsideEdit = {
  /** Where a value of the part is kept. */
  readonly pathTo: (...path: Path) => readonly string[];
  readonly set: (what: string, ...path: Path) => (value: EditValue) => void;
};

export function useInsideEdit({ id, name }: Pick<InsidePlan, 'id' | 'name'>): InsideEdit {
  const dispatch = useAppDispatch();
  const pathTo = (...path: Path) => [...INSIDE_PATH, id, ...path];
  return {
    pathTo,
    set:
      (what, ...path) =>
      (value) =>
        void dispatch(edited({ label: `${name}: ${what}`, edits: [{ path: pathTo(...path), value }] })),
  };
}
