/** The log, as the bench shows it. */
import { lazy } from 'react';
import { createSelector } from '@reduxjs/toolkit';
import {
  cutOfThing,
  entryOfThing,
  entryThing,
  logStage,
  minutesOf,
  NO_RECORDS,
  standing,
  type LogRecords,
} from '@kalotrope/core/log';
import { hoursWords } from '@kalotrope/core/plan';
import { selectFound } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { BUDGET_SECTION } from './words';

const standingOf = createSelector([(log: LogRecords | undefined) => log ?? NO_RECORDS], ({ entries }) =>
  standing(entries),
);
const selectSteps = createSelector([(state) => standingOf(selectFound(state).log)], (entries) =>
  entries.map(({ first }) => entryThing(first)),
);

const MOST_LETTERS = 40;

export const logEntry: StageEntry = {
  stage: logStage.name,
  title: logStage.title,
  question: 'What did it take?',
  Page: lazy(() => import('./LogPage')),
  things: ({ found }) =>
    standingOf(found.log).map(({ first, kind, day, jobName, words }, i) => ({
      label: `Log ${i + 1}: ${kind}, ${day} ${(words || jobName).slice(0, MOST_LETTERS)}`.trim(),
      pick: entryThing(first),
    })),
  settings: () => [{ label: 'Budget', section: BUDGET_SECTION }],
  steps: selectSteps,
  pickAt: ({ part }) => (part && (entryOfThing(part) ?? cutOfThing(part)) !== undefined ? part : undefined),
  hasTape: false,
  status: ({ found }) => {
    const entries = standingOf(found.log);
    return entries.length === 0 ? 'nothing yet' : hoursWords(minutesOf(entries));
  },
  drawingsOf: [],
};
