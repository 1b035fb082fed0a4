/** The plan, as the bench shows it. */
import { lazy } from 'react';
import { createSelector } from '@reduxjs/toolkit';
import { planStage, WEEKDAY_NAMES, WEEKDAYS, WORK_GROUPS, workOfThing, workThing } from '@kalotrope/core/plan';
import { selectDerived } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';
import { HOURS_SECTION, RATES_SECTION } from './words';

const DAY_FIELDS = ['from', 'hours', 'hands'] as const;

const selectSteps = createSelector([selectDerived], (derived) =>
  (derived?.plan.value.planned ?? []).map(({ job }) => workThing(job.id)),
);

export const planEntry: StageEntry = {
  stage: planStage.name,
  title: planStage.title,
  question: 'What next?',
  Page: lazy(() => import('./PlanPage')),
  things: ({ derived }) =>
    derived.plan.value.jobs.map(({ id, name }) => ({ label: `Job: ${name}`, pick: workThing(id) })),
  settings: () => [
    { label: 'First day', section: HOURS_SECTION },
    { label: 'Times the usual hours', section: HOURS_SECTION },
    ...WORK_GROUPS.map((group) => ({ label: `Times, ${group}`, section: RATES_SECTION })),
    ...WEEKDAYS.flatMap((day) =>
      DAY_FIELDS.map((field) => ({ label: `${WEEKDAY_NAMES[day].slice(0, 3)} ${field}`, section: HOURS_SECTION })),
    ),
  ],
  steps: selectSteps,
  pickAt: ({ part }) => (part && workOfThing(part) !== undefined ? part : undefined),
  hasTape: false,
  waitsFor: waitsForLines,
  status: ({ derived }) => {
    const { planned, jobs, done, end } = derived.plan.value;
    if (jobs.length === 0) return 'nothing yet';
    if (done.length === jobs.length) return 'all done';
    return planned.length === 0 ? 'no hours yet' : `${Math.ceil(end / (7 * 1440))} weeks`;
  },
  drawingsOf: [],
};
