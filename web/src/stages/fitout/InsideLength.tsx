import type { InsidePlan } from '@kalotrope/core/fitout';
import { LengthField } from '../../controls/LengthField';
import { useInsideEdit } from './use-inside-edit';

type Props = {
  readonly plan: InsidePlan;
  readonly label: string;
  readonly mm: number;
  /** Where the part keeps it. */
  readonly path: readonly string[];
};

/** A length of a part. */
export function InsideLength({ plan, label, mm, path }: Props) {
  const { pathTo, set } = useInsideEdit(plan);
  return <LengthField label={label} mm={mm} onCommit={set(label.toLowerCase(), ...path)} path={pathTo(...path)} />;
}
