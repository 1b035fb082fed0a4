/** Edits of one wall, each with what it is called in the list of what can be undone. */
import type { EditValue } from '@kalotrope/core/findings';
import { WALLS_PATH, type WallPlan } from '@kalotrope/core/fitout';
import { edited } from '../../../state/document-slice';
import { useAppDispatch } from '../../../state/store';

type Path = readonly string[];

type WallEdit = {
  /** Where a value of the wall is kept. */
  readonly pathTo: (...path: Path) => readonly string[];
  readonly set: (what: string, ...path: Path) => (value: EditValue) => void;
};

export function useWallEdit({ id, name }: Pick<WallPlan, 'id' | 'name'>): WallEdit {
  const dispatch = useAppDispatch();
  const pathTo = (...path: Path) => [...WALLS_PATH, id, ...path];
  return {
    pathTo,
    set:
      (what, ...path) =>
      (value) =>
        void dispatch(edited({ label: `${name}: ${what}`, edits: [{ path: pathTo(...path), value }] })),
  };
}
