/** Epoxy and glass, as the bench shows it. */
import { lazy } from 'react';
import { epoxyStage, seamThing } from '@kalotrope/core/epoxy';
import { clothWeightUnit, formatMass } from '@kalotrope/core/measure';
import { selectPanelSteps } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';

export const epoxyEntry: StageEntry = {
  stage: epoxyStage.name,
  title: epoxyStage.title,
  question: 'What do I buy, and what do I mix now?',
  Page: lazy(() => import('./EpoxyPage')),
  things: ({ derived }) =>
    derived.epoxy.value.seams.map(({ id, name }) => ({ label: `Seam: ${name}`, pick: seamThing(id) })),
  settings: ({ notation }) => {
    const { words } = clothWeightUnit(notation);
    return [
      'Fillet radius',
      'Tape width',
      `Tape, ${words}`,
      `Cloth, ${words}`,
      'Tapes inside',
      'Tapes outside',
      'Sealing coats',
      'Waste, %',
      'Filler, % of mix',
      'Sheathe outside',
    ].map((label) => ({ label, section: 'Rates' }));
  },
  steps: selectPanelSteps,
  hasTape: false,
  waitsFor: waitsForLines,
  status: ({ derived, notation }) => `${formatMass(derived.epoxy.value.resinWithWaste, notation)} mixed`,
  drawingsOf: [],
};
