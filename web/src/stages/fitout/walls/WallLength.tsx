import type { WallPlan } from '@kalotrope/core/fitout';
import { LengthField } from '../../../controls/LengthField';
import { useWallEdit } from './use-wall-edit';

type Props = {
  readonly plan: WallPlan;
  readonly label: string;
  readonly mm: number;
  /** Where the wall keeps it. */
  readonly path: readonly string[];
};

/** A length of a wall. */
export function WallLength({ plan, label, mm, path }: Props) {
  const { pathTo, set } = useWallEdit(plan);
  return <LengthField label={label} mm={mm} onCommit={set(label.toLowerCase(), ...path)} path={pathTo(...path)} />;
}
