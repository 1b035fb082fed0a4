/**
 * What the bench is made of: the stages' entries, handed down to all that stands on it, with what is read off them.
 *
 * The list itself is the application's (app/stages.ts); controls and drawings get it from here, so that they know no
 * stage.
 */
import { createSelector } from '@reduxjs/toolkit';
import { createContext, useContext } from 'react';
import type { Place } from '@kalotrope/core/findings';
import type { Tape } from '@kalotrope/core/lines';
import { findingsOf, type Derived } from '@kalotrope/core/project';
import { isSame } from '@kalotrope/core/stage';
import type { Picked } from './picked';
import { selectDerived, selectFound, selectNotation, selectPicked, selectProject } from './selectors';
import type { StageEntry } from './stage-entry';
import { useAppSelector, type RootState } from './store';

export type Bench = {
  readonly entries: readonly StageEntry[];
  /** The tape along the front edge: along what is picked, or where it lies at rest. */
  readonly selectTape: (state: RootState) => Tape | null;
  /** One line a stage: how it stands; null until everything has been worked out once. */
  readonly selectStatus: (state: RootState) => Readonly<Record<string, string>> | null;
  readonly pickAt: (place: Place, derived: Derived) => Picked | undefined;
};

export function makeBench(entries: readonly StageEntry[]): Bench {
  const first = <T>(ask: (entry: StageEntry) => T | undefined): T | undefined => {
    for (const entry of entries) {
      const answer = ask(entry);
      if (answer !== undefined) return answer;
    }
    return undefined;
  };
  return {
    entries,
    selectTape: createSelector([selectDerived, selectPicked], (derived, picked): Tape | null => {
      if (!derived) return null;
      const along = picked && first((entry) => entry.tape?.(derived, picked));
      return along ?? first((entry) => entry.tapeAtRest?.(derived)) ?? null;
    }),
    selectStatus: createSelector(
      [selectDerived, selectProject, selectFound, (state: RootState) => state.derived.isSearching, selectNotation],
      (derived, project, found, isSearching, notation) => {
        if (!derived || !project) return null;
        const line = (entry: StageEntry): string => {
          const waitsFor = entry.waitsFor?.(derived);
          if (waitsFor !== undefined) return `waits for ${waitsFor}`;
          const findings = findingsOf(entry.stage, derived, { project, found });
          const open = findings.filter(({ severity }) => severity !== 'note').length;
          return open > 0 ? `${open} to check` : entry.status({ derived, found, isSearching, notation });
        };
        return Object.fromEntries(entries.map((entry) => [entry.stage, line(entry)]));
      },
      // the same object as long as it says the same
      { memoizeOptions: { resultEqualityCheck: isSame } },
    ),
    pickAt: (place, derived) => first((entry) => entry.pickAt?.(place, derived)),
  };
}

const NO_BENCH = makeBench([]);
export const BenchContext = createContext<Bench>(NO_BENCH);
export const useBench = (): Bench => useContext(BenchContext);

export function useTape(): Tape | null {
  return useAppSelector(useBench().selectTape);
}
