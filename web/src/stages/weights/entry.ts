/** The weights, as the bench shows them. */
import { lazy } from 'react';
import { createSelector } from '@reduxjs/toolkit';
import { formatMass } from '@kalotrope/core/measure';
import { loadOfThing, loadThing, weightsStage } from '@kalotrope/core/weights';
import { selectProject } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';
import { densityUnit, heavyUnit } from './shown';
import { MATERIAL_SECTION } from './words';

const selectSteps = createSelector([(state) => selectProject(state)?.weights.loads], (loads) =>
  (loads ?? []).map(({ id }) => loadThing(id)),
);

export const weightsEntry: StageEntry = {
  stage: weightsStage.name,
  title: weightsStage.title,
  question: 'Will she float as drawn?',
  Page: lazy(() => import('./WeightsPage')),
  settings: ({ notation }) => [
    ...[
      `Plywood, ${densityUnit(notation)}`,
      `Timber, ${densityUnit(notation)}`,
      `Fittings, ${heavyUnit(notation)}`,
      'Water',
    ].map((label) => ({
      label,
      section: MATERIAL_SECTION,
    })),
  ],
  steps: selectSteps,
  pickAt: ({ part }) => (part && loadOfThing(part) !== undefined ? part : undefined),
  hasTape: false,
  waitsFor: waitsForLines,
  status: ({ derived, notation }) => {
    const { bareGrams, afloat } = derived.weights.value;
    return `${formatMass(bareGrams, notation)}${afloat ? '' : ', not afloat'}`;
  },
  drawingsOf: [],
};
