/** Joints, as the bench shows it. */
import { lazy } from 'react';
import { countJoints, jointOfThing, jointsStage, jointThing } from '@kalotrope/core/joints';
import { layTape } from '@kalotrope/core/lines';
import { panelsStage } from '@kalotrope/core/panels';
import { plural } from '../../controls/words';
import { selectPanelSteps } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';
import { settingLabels } from './setting-labels';

export const jointsEntry: StageEntry = {
  stage: jointsStage.name,
  title: jointsStage.title,
  question: 'Where do the sheets join?',
  Page: lazy(() => import('./JointsPage')),
  things: ({ derived }) =>
    derived.joints.value.flatMap(({ panel, name, joints }) =>
      joints.map(({ key }, k) => ({
        label: joints.length > 1 ? `Joint ${k + 1} of: ${name}` : `Joint of: ${name}`,
        pick: jointThing(panel, key),
      })),
    ),
  settings: ({ joints }) => settingLabels(joints).map((label) => ({ label })),
  steps: selectPanelSteps,
  // along the panel's upper edge, on which the joint's place is told
  tape: (derived, picked) => {
    const joint = jointOfThing(picked);
    const layer = derived.joints.value.find(({ panel: own }) => own === joint?.panel)?.layer;
    const panel = derived.panels.value.panels.find(({ id }) => id === (layer?.of ?? joint?.panel));
    if (!panel) return undefined;
    return layTape(
      `${panel.name}, along its upper edge`,
      panel.edges[1].points.map((p) => p.space),
      derived.lines.value.stations,
    );
  },
  hasTape: true,
  waitsFor: waitsForLines,
  status: ({ derived }) => plural(countJoints(derived.joints.value), 'joint'),
  // joints are marked on the panels
  drawingsOf: [panelsStage.name, jointsStage.name],
};
