import { LengthField } from '../../controls/LengthField';
import { useListEdit } from './use-list-edit';

export type LengthOf<Plan> = {
  readonly plan: Plan;
  readonly label: string;
  readonly mm: number;
  /** Where it keeps it. */
  readonly path: readonly string[];
};

type Props = LengthOf<{ readonly id: string; readonly name: string }> & { readonly list: readonly string[] };

/** A length of one thing of a list of the project. */
export function ListLength({ list, plan, label, mm, path }: Props) {
  const { pathTo, set } = useListEdit(list, plan);
  return <LengthField label={label} mm={mm} onCommit={set(label.toLowerCase(), ...path)} path={pathTo(...path)} />;
}
