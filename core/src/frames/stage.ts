/** Frames: what do I cut, and at what bevel? */
import type { Hull, LinesPart } from '../lines';
import { depthOfInside, type Panel, type PanelsPart, type PanelsValue } from '../panels';
import { usualIn } from '../measure';
import { defineStage } from '../stage';
import * as constants from './constants';
import { framesDrawings, framesOnPanel, framesTables, type FramesWhole } from './drawings';
import { FRAMES_FINDINGS } from './findings';
import { shapeFrames } from './frame';
import { framesAtStations, framesSchema } from './schema';
import { framesSheets } from './sheets';

type Before = {
  readonly project: { readonly panels: Pick<PanelsPart, 'thickness' | 'linesTo'> };
  readonly values: { readonly lines: Hull; readonly panels: PanelsValue };
};

export const framesStage = defineStage<{
  others: { readonly lines: LinesPart };
  before: Before;
  whole: FramesWhole;
  panel: Panel;
}>()({
  name: 'frames',
  title: 'Frames',
  schema: framesSchema,
  begin: ({ lines }, notation) => ({
    frames: framesAtStations(lines),
    filletGap: usualIn(constants.FILLET_GAP.value, notation),
  }),
  catalogue: FRAMES_FINDINGS,
  constants,
  run: ({ frames }, { project, values }) => {
    const { thickness, linesTo } = project.panels;
    const { panels, strips } = values.panels;
    return shapeFrames(values.lines, panels, { frames }, { skin: depthOfInside({ thickness, linesTo }), strips });
  },
  drawings: framesDrawings,
  sheets: framesSheets,
  marksOn: (panel, { values }) => framesOnPanel(panel, values.frames),
  tables: framesTables,
});
