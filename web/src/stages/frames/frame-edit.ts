/** Edits of one frame, each with what it is called in the list of what can be undone. */
import type { EditValue } from '@kalotrope/core/findings';
import { FRAMES_PATH, type FramePlan } from '@kalotrope/core/frames';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

type Path = readonly (string | number)[];

export type FrameEdit = {
  /** Where a value of the frame is kept. */
  readonly pathTo: (...path: Path) => Path;
  readonly set: (what: string, path: Path) => (value: EditValue) => void;
};

export function useFrameEdit({ id, name }: Pick<FramePlan, 'id' | 'name'>): FrameEdit {
  const dispatch = useAppDispatch();
  const pathTo = (...path: Path) => [...FRAMES_PATH, id, ...path];
  return {
    pathTo,
    set: (what, path) => (value) =>
      void dispatch(edited({ label: `${name}: ${what}`, edits: [{ path: pathTo(...path), value }] })),
  };
}
