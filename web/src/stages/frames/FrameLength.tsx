import type { FramePlan } from '@kalotrope/core/frames';
import { LengthField } from '../../controls/LengthField';
import { useFrameEdit } from './frame-edit';

type Props = {
  readonly plan: FramePlan;
  readonly label: string;
  readonly mm: number;
  /** What is changed, in the list of what can be undone. */
  readonly what: string;
  /** Where the frame keeps it. */
  readonly path: readonly (string | number)[];
};

/** A length of a frame. */
export function FrameLength({ plan, label, mm, what, path }: Props) {
  const { pathTo, set } = useFrameEdit(plan);
  return <LengthField label={label} mm={mm} onCommit={set(what, path)} path={pathTo(...path)} />;
}
