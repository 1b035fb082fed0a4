/** Joints, as the bench shows it. */
import { lazy } from 'react';
import { countScarfs, jointsStage } from '@kalotrope/core/joints';
import { panelsStage, panelThing } from '@kalotrope/core/panels';
import { plural } from '../../controls/words';
import { selectPanelSteps } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';

export const jointsEntry: StageEntry = {
  stage: jointsStage.name,
  title: jointsStage.title,
  question: 'Where do the sheets join?',
  Page: lazy(() => import('./JointsPage')),
  things: ({ derived }) =>
    derived.joints.value.flatMap(({ panel, name, joints }) =>
      joints.length > 0 ? [{ label: `Joints of: ${name}`, pick: panelThing(panel) }] : [],
    ),
  settings: () =>
    ['Scarf, times the thickness', 'Clear of frames', 'Stagger between panels'].map((label) => ({ label })),
  steps: selectPanelSteps,
  hasTape: true,
  waitsFor: waitsForLines,
  status: ({ derived }) => plural(countScarfs(derived.joints.value), 'scarf'),
  // joints are marked on the panels
  drawingsOf: [panelsStage.name],
};
