/** The weights, as the bench shows them. */
import { lazy } from 'react';
import { createSelector } from '@reduxjs/toolkit';
import { formatMass } from '@kalotrope/core/measure';
import { loadOfThing, loadThing, weightsStage } from '@kalotrope/core/weights';
import { selectProject } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';
import { LOADS_SECTION, MATERIAL_SECTION } from './words';

const selectSteps = createSelector([(state) => selectProject(state)?.weights.loads], (loads) =>
  (loads ?? []).map(({ id }) => loadThing(id)),
);

export const weightsEntry: StageEntry = {
  stage: weightsStage.name,
  title: weightsStage.title,
  question: 'Will she float as drawn?',
  Page: lazy(() => import('./WeightsPage')),
  settings: () => [
    ...['Plywood, kg/m³', 'Timber, kg/m³', 'Fittings, kg', 'Water'].map((label) => ({
      label,
      section: MATERIAL_SECTION,
    })),
    { label: 'Put aboard', section: LOADS_SECTION },
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
