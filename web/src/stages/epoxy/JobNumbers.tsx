import type { Job, PotPlan } from '@kalotrope/core/epoxy';
import { formatMass, formatShare } from '@kalotrope/core/measure';
import { Figure } from '../../controls/Figure';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import type { PotRecord } from '../../storage/pots';

type Props = { readonly job: Job; readonly plan: PotPlan; readonly records: readonly PotRecord[] };

/** What a job comes to, and how much of it is done. */
export function JobNumbers({ job, plan, records }: Props) {
  const notation = useAppSelector(selectNotation);
  const pots = plan.pots.filter((pot) => pot.job === job.name);
  const minutes = pots.reduce((sum, pot) => sum + pot.minutes, 0);
  const done = records.filter((one) => one.kind === 'mixed' && one.job === job.name).length;
  return (
    <>
      <Figure name="In place" value={formatMass(job.grams, notation)} why="With its filler, without what is lost" />
      {job.fillerShare > 0 && <Figure name="Of it filler" value={formatShare(job.fillerShare)} />}
      <Figure name="Pots" value={String(pots.length)} why="As few as can be used up before they go off" />
      <Figure name="Mixed so far" value={String(done)} />
      <Figure name="Work" value={`${Math.round(minutes)} min`} why="At the pace that is set, without the stirring" />
    </>
  );
}
