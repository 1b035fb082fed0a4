/** Inside and on top, as the bench shows it. */
import { lazy } from 'react';
import { createSelector } from '@reduxjs/toolkit';
import { insideOfThing, fitoutStage, insideThing } from '@kalotrope/core/fitout';
import type { Derived } from '@kalotrope/core/project';
import { plural } from '../../controls/words';
import { selectDerived } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';

/** All that can be picked: what is cut, and who is in the boat. */
const cutAndSeated = ({ fitout: { value } }: Pick<Derived, 'fitout'>) => [...value.all, ...value.people];

/** Of solid timber, in one piece each. */
const isSawn = (fit: string): boolean => fit === 'block' || fit === 'stem' || fit === 'knee';

const selectSteps = createSelector([selectDerived], (derived) =>
  [...new Set(derived ? cutAndSeated(derived).map(({ plan }) => plan) : [])].map(insideThing),
);

export const fitoutEntry: StageEntry = {
  stage: fitoutStage.name,
  title: fitoutStage.title,
  question: 'What lies inside and on top, and does it fit?',
  Page: lazy(() => import('./InsidePage')),
  things: ({ derived }) => cutAndSeated(derived).map(({ plan, name }) => ({ label: name, pick: insideThing(plan) })),
  steps: selectSteps,
  pickAt: ({ part }) => (part && insideOfThing(part) !== undefined ? part : undefined),
  hasTape: false,
  waitsFor: waitsForLines,
  status: ({ derived }) => {
    const { all } = derived.fitout.value;
    const pieces = all.reduce(
      (sum, { fit, pieces: own, hand }) => sum + (isSawn(fit) ? 1 : own.length) * (hand === 'pair' ? 2 : 1),
      0,
    );
    return all.length === 0 ? 'nothing yet' : plural(pieces, 'piece');
  },
  drawingsOf: [fitoutStage.name],
};
