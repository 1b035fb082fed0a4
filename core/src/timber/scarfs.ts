/**
 * How many scarfs the runs take at least: as many parts as the longest stick of their section asks for, clear stretches
 * kept. A plan of short sticks may take more.
 */
import { scarfOf, type TimberJob } from './job';
import { leastParts, usualSplits } from './splits';

/** In one piece of a run: how many, and how long each is. Mm. */
export type ScarfCount = { readonly run: string; readonly count: number; readonly scarfMm: number };

export function scarfCounts(job: TimberJob): ScarfCount[] {
  return job.runs.flatMap((run): ScarfCount[] => {
    const longest = Math.max(
      0,
      ...job.stock.filter(({ section }) => section === run.section).map(({ length }) => length),
    );
    if (!run.scarf || longest === 0) return [];
    const scarfMm = scarfOf(run, job);
    const long = { run, scarf: scarfMm, longest };
    const least = leastParts(long);
    if (least === undefined || least < 2) return [];
    return [{ run: run.id, count: (usualSplits(long)[0]?.parts.length ?? least) - 1, scarfMm }];
  });
}
