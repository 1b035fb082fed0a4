/** Frames: what do I cut, and at what bevel? */
import type { Hull, LinesPart } from '../lines';
import { depthOfInside, type Panel, type PanelsPart, type PanelsValue } from '../panels';
import { usualIn } from '../measure';
import { defineStage } from '../stage';
import * as constants from './constants';
import { girdersOnPanel } from './girder/drawings';
import { framesDrawings, framesOnPanel, framesTables, membersOnPanel, type FramesWhole } from './drawings';
import { FRAMES_FINDINGS } from './findings';
import { shapeGirders } from './girder/girders';
import { runMembers, shapeFrames } from './judge';
import { bevelsOf } from './rolling-bevel';
import { outsideOfPanel } from './outside';
import { screwRows } from './screws';
import { framesAtStations, keptIn, timberIn } from './plans';
import { framesSchema, type School } from './schema';
import { framesSheets } from './sheets';

type Before = {
  readonly project: { readonly school: School; readonly panels: Pick<PanelsPart, 'thickness' | 'linesTo'> };
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
    members: [],
    girders: [],
    relief: 0,
    screws: { spacing: 0, ends: usualIn(constants.SCREW_ENDS.value, notation) },
    bevelStep: usualIn(constants.BEVEL_STEP.value, notation),
    datum: { kind: 'fore', of: '' } as const,
    filletGap: usualIn(constants.FILLET_GAP.value, notation),
    keep: keptIn(notation),
    ...timberIn(notation),
  }),
  catalogue: FRAMES_FINDINGS,
  constants,
  run: (
    { frames, members, girders, screws, relief, bevelStep, filletGap: gap, keep, sawn, moulds },
    { project, values },
    remember,
  ) => {
    const { thickness, linesTo } = project.panels;
    const { panels, strips } = values.panels;
    const skin = depthOfInside({ thickness, linesTo });
    const runs = runMembers(values.lines, panels, members, { inside: skin, outside: thickness - skin }, remember);
    const making = { skin, strips, school: project.school, gap, relief, keep, sawn, moulds, members: runs.value };
    const shaped = shapeFrames(values.lines, panels, frames, making, remember);
    const standing = shapeGirders(
      values.lines,
      panels,
      { plans: girders, frames: shaped.value },
      { skin, school: project.school, gap, relief },
      remember,
    );
    return {
      value: {
        ...standing.value,
        members: runs.value,
        screws: remember('screws', screwRows, panels, {
          ...{ frames: standing.value.frames, members: runs.value },
          ...{ thickness, screws: { ...screws } },
        }),
        bevels: bevelsOf(values.lines, panels, bevelStep, remember),
      },
      findings: [...shaped.findings, ...standing.findings, ...runs.findings],
      assumed: [],
    };
  },
  drawings: framesDrawings,
  sheets: framesSheets,
  marksOn: (panel, { project, values: { frames } }) => {
    const marks = [
      framesOnPanel(panel, frames.frames),
      girdersOnPanel(panel, frames.girders),
      membersOnPanel(panel, frames.members),
      outsideOfPanel(panel, frames, project.panels.thickness),
    ];
    return { paths: marks.flatMap(({ paths }) => paths), texts: marks.flatMap(({ texts }) => texts) };
  },
  tables: framesTables,
});
