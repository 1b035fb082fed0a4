/** Epoxy and glass, as the bench shows it. */
import { lazy } from 'react';
import { epoxyStage, seamThing } from '@kalotrope/core/epoxy';
import { formatMass } from '@kalotrope/core/measure';
import { selectPanelSteps } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';

export const epoxyEntry: StageEntry = {
  stage: epoxyStage.name,
  title: epoxyStage.title,
  question: 'What do I buy, and what do I mix now?',
  Page: lazy(() => import('./EpoxyPage')),
  things: (derived) =>
    derived.epoxy.value.seams.map(({ id, name }) => ({ label: `Seam: ${name}`, pick: seamThing(id) })),
  steps: selectPanelSteps,
  hasTape: false,
  waitsFor: waitsForLines,
  status: ({ derived, notation }) => `${formatMass(derived.epoxy.value.resinWithWaste, notation)} mixed`,
  drawingsOf: [],
};
