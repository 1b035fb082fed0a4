/** The set-up, as the bench shows it. */
import { lazy } from 'react';
import { setupStage, standOfThing, standThing } from '@kalotrope/core/setup';
import { plural } from '../../controls/words';
import { selectDerived } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';
import { BACK_LABELS, BACK_SECTION, GOOD_LABELS, GOOD_SECTION, HOW_LABELS, HOW_SECTION } from './labels';

export const setupEntry: StageEntry = {
  stage: setupStage.name,
  title: setupStage.title,
  question: 'Is it true?',
  Page: lazy(() => import('./SetupPage')),
  things: ({ derived }) =>
    derived.setup.value.frames.map(({ id, name }) => ({ label: `Set up: ${name}`, pick: standThing(id) })),
  settings: () => [
    ...Object.values(HOW_LABELS).map((label) => ({ label, section: HOW_SECTION })),
    ...Object.values(BACK_LABELS).map((label) => ({ label, section: BACK_SECTION })),
    ...Object.values(GOOD_LABELS).map((label) => ({ label, section: GOOD_SECTION })),
  ],
  steps: (state) => (selectDerived(state)?.setup.value.frames ?? []).map(({ id }) => standThing(id)),
  pickAt: ({ part }) => (part && standOfThing(part) !== undefined ? part : undefined),
  hasTape: false,
  waitsFor: waitsForLines,
  status: ({ derived }) => {
    const { frames } = derived.setup.value;
    const read = frames.filter(({ result }) => result.advised.readings > 0).length;
    return read === 0 ? `${plural(frames.length, 'frame')} to set` : `${read} of ${frames.length} looked at`;
  },
  drawingsOf: ['setup'],
};
