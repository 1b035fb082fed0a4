/** Panels, as the bench shows it. */
import { lazy } from 'react';
import { layTape } from '@kalotrope/core/lines';
import { panelOfThing, panelsStage, panelThing, transomThing } from '@kalotrope/core/panels';
import { plural } from '../../controls/words';
import { selectPanelSteps } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';
import { pickedPanel } from './picked-panel';
import { thicknessLabel } from './thickness-label';

export const panelsEntry: StageEntry = {
  stage: panelsStage.name,
  title: panelsStage.title,
  question: 'Will plywood take this shape, and what do I mark out?',
  Page: lazy(() => import('./PanelsPage')),
  things: ({ derived: { panels } }) => [
    ...panels.value.panels.map(({ id, name }) => ({ label: `Panel: ${name}`, pick: panelThing(id) })),
    ...panels.value.transoms.map(({ id, name }) => ({ label: `Transom: ${name}`, pick: transomThing(id) })),
  ],
  settings: ({ panels, notation }) => [
    ...['Base line', 'Step'].map((label) => ({ label, section: 'Mark out' })),
    ...[
      thicknessLabel('Skin', panels.thickness, notation),
      'Table measured to',
      'At seams',
      'Holes every',
      'Holes from the edge',
    ].map((label) => ({ label, section: 'The sheet and its edges' })),
    ...['Panel’s thickness', 'Layers'].map((label) => ({ label, section: 'Its own sheet and layers' })),
    ...['lower edge', 'upper edge', 'fore end', 'after end'].map((edge) => ({
      ...{ label: `Left on, ${edge}`, section: 'Cut proud' },
    })),
  ],
  steps: selectPanelSteps,
  pickAt: ({ panel, part }) => (panel === undefined || part !== undefined ? undefined : panelThing(panel)),
  // along its upper edge
  tape: (derived, picked) => {
    if (panelOfThing(picked) === undefined) return undefined;
    const { lines, stations } = derived.lines.value;
    const panel = pickedPanel(derived.panels.value.panels, picked);
    if (!panel) return undefined;
    const names = panel.stretches[1].flatMap(
      ({ line }) => lines.find(({ id }) => id === line)?.name.toLowerCase() ?? [],
    );
    const along = names.length > 0 ? [...new Set(names)].join(' and ') : 'the edge';
    return layTape(
      `${panel.name}, along ${along}`,
      panel.edges[1].points.map((p) => p.space),
      stations,
    );
  },
  hasTape: true,
  waitsFor: waitsForLines,
  status: ({ derived }) => {
    const { panels, transoms } = derived.panels.value;
    return plural(panels.length + transoms.length, 'shape');
  },
  drawingsOf: [panelsStage.name],
};
