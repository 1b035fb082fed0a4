/** The rows of the log’s charts: money by what it went on, pots by their job. */
import { centsByUse, epoxySums, mixedPots, type PotEntry, type StandingEntry } from '@kalotrope/core/log';
import type { WorkJob } from '@kalotrope/core/plan';
import { buyingStages, costOf, type ShoppingGroup } from '@kalotrope/core/project';
import { OTHER_USE } from './words';

const CENTS = 100;

export type MoneyRow = { readonly name: string; readonly planned: number; readonly taken: number };

/** What the list comes to, and what was paid, by stage; a use of neither has no row. */
export function moneyRows(entries: readonly StandingEntry[], groups: readonly ShoppingGroup[]): MoneyRow[] {
  const paid = centsByUse(entries);
  const uses = buyingStages();
  const rows = uses.map(({ stage, title }) => ({
    name: title,
    planned: groups
      .filter((group) => group.stage === stage)
      .reduce((sum, { lines }) => sum + lines.reduce((all, line) => all + costOf(line), 0), 0),
    taken: (paid.get(stage) ?? 0) / CENTS,
  }));
  const known = new Set<string>(uses.map(({ stage }) => stage));
  const other = [...paid].filter(([on]) => !known.has(on)).reduce((sum, [, cents]) => sum + cents, 0);
  return [...rows, { name: OTHER_USE, planned: 0, taken: other / CENTS }].filter(
    ({ planned, taken }) => planned !== 0 || taken !== 0,
  );
}

export type PotRow = {
  readonly name: string;
  /** Grams. */
  readonly used: number;
  readonly thrown: number;
  readonly coldestC: number;
};

export function potRows(pots: readonly PotEntry[], jobs: readonly WorkJob[]): PotRow[] {
  const ids = [...new Set(mixedPots(pots).map(({ job }) => job))];
  return ids.map((id) => {
    const own = pots.filter(({ job }) => job === id);
    const { mixed, thrown } = epoxySums(own);
    return {
      name: jobs.find((job) => job.id === id)?.name ?? id,
      ...{ used: mixed - thrown, thrown },
      coldestC: Math.min(...mixedPots(own).map(({ shopC }) => shopC)),
    };
  });
}
