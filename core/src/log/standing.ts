/**
 * Which entries stand: of an entry and all that put it right, and what put those right, the last written, unless that
 * takes it back.
 *
 * Two windows may put one entry right at once: both name it, and the later stands. An entry names only an earlier one;
 * a name that is not there, or comes later, is none, so that nothing goes round.
 */
import type { LogEntry } from './records';

export type StandingEntry = LogEntry & {
  /** Written first, and what stood before it, the oldest first. */
  readonly first: string;
  readonly before: readonly LogEntry[];
};

/** In the order in which they were first written. An entry that is there twice counts once. */
export function standing(entries: readonly LogEntry[]): StandingEntry[] {
  const firstOf = new Map<string, string>();
  const chains = new Map<string, LogEntry[]>();
  for (const entry of entries) {
    if (firstOf.has(entry.id)) continue;
    const first = firstOf.get(entry.corrects) ?? entry.id;
    firstOf.set(entry.id, first);
    chains.set(first, [...(chains.get(first) ?? []), entry]);
  }
  return [...chains].flatMap(([first, chain]): StandingEntry[] => {
    const last = chain[chain.length - 1];
    return !last || last.isTakenBack ? [] : [{ ...last, first, before: chain.slice(0, -1) }];
  });
}
