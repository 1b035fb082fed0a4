/** Gaps that were measured on the boat, as the log has them. */
import { standing, type LogRecords } from '@kalotrope/core/log';

export type MeasuredGap = { readonly id: string; readonly line: string; readonly along: number; readonly mm: number };

/** Those that stand, in the order in which they were written. */
export const measuredGaps = ({ entries }: Pick<LogRecords, 'entries'>): MeasuredGap[] =>
  standing(entries).flatMap(({ first, kind, gap, found }) =>
    kind === 'measured' && gap ? [{ id: first, line: gap.line, along: gap.along, mm: found }] : [],
  );
