/** Timber, as the bench shows it. */
import { lazy } from 'react';
import { planOf, runThing, timberStage } from '@kalotrope/core/timber';
import { plural } from '../../controls/words';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';
import { selectRunSteps } from './run-steps';

export const timberEntry: StageEntry = {
  stage: timberStage.name,
  title: timberStage.title,
  question: 'What lengths do I buy, and how are they joined?',
  Page: lazy(() => import('./TimberPage')),
  things: ({ derived }) =>
    derived.timber.value.runs.map(({ id, name }) => ({ label: `Timber: ${name}`, pick: runThing(id) })),
  settings: () => [
    { label: 'Sections sold', section: 'Saw and joints' },
    { label: 'Saw’s kerf', section: 'Saw and joints' },
    { label: 'Timber scarf, × thickness', section: 'Saw and joints' },
    { label: 'Bends to, times the thickness', section: 'Saw and joints' },
    { label: 'Saw cuts as deep as', section: 'Saw and joints' },
    { label: 'Length of the shop', section: 'Saw and joints' },
  ],
  steps: selectRunSteps,
  hasTape: false,
  waitsFor: waitsForLines,
  status: ({ derived, found }) => {
    const { runs } = derived.timber.value;
    const plan = planOf(derived.timber.value, found.timber);
    if (runs.length === 0) return 'no long pieces';
    return plan ? plural(plan.sticks.length, 'stick') : plural(runs.length, 'long piece');
  },
  drawingsOf: [],
};
