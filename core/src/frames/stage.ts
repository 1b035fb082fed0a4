/** Frames: what do I cut, and at what bevel? */
import type { Hull, LinesPart } from '../lines';
import { depthOfInside, type Panel, type PanelsPart, type PanelsValue } from '../panels';
import { usualIn } from '../measure';
import { defineStage } from '../stage';
import { framesToBuy, type BuyingFrames } from './fastenings/buys';
import * as constants from './constants';
import { girdersOnPanel } from './girder/drawings';
import { framesDrawings, framesOnPanel, framesTables, membersOnPanel, type FramesWhole } from './drawings';
import { FRAMES_FINDINGS } from './findings';
import { shapeGirders } from './girder/girders';
import { judgePlanked, runMembers, shapeFrames } from './judge';
import { bottomTimbers, layBoards } from './planked/boards';
import { seamsOnPanel } from './planked/drawings';
import { bevelsOf } from './rolling-bevel';
import { outsideOfPanel } from './outside';
import { judgeFastenings } from './fastenings/judge';
import { screwRows } from './fastenings/screws';
import { framesAtStations, keptIn, plankedIn, screwsIn, timberIn } from './plans';
import { framesSchema, type School } from './schema';
import { framesSheets } from './sheets';
import { standOn, widestAt } from './standing';
import { judgeTaken } from './taken/judge';
import { takeShape } from './taken/shape';
import { framesTasks } from './tasks';

type Before = {
  readonly project: { readonly school: School; readonly panels: Pick<PanelsPart, 'thickness' | 'linesTo'> };
  readonly values: { readonly lines: Hull; readonly panels: PanelsValue };
};

/** Timbers under a planked bottom are worked out one by one, as frames are. */
const MOST_TIMBERS = 60;

export const framesStage = defineStage<{
  others: { readonly lines: LinesPart };
  before: Before;
  whole: FramesWhole & BuyingFrames;
  panel: Panel;
}>()({
  name: 'frames',
  title: 'Frames',
  schema: framesSchema,
  begin: ({ lines }, notation) => ({
    frames: framesAtStations(lines),
    taken: [],
    standing: 'each' as const,
    planked: plankedIn(notation),
    members: [],
    girders: [],
    relief: 0,
    pins: 0,
    screws: screwsIn(notation),
    bevelStep: usualIn(constants.BEVEL_STEP.value, notation),
    datum: { kind: 'fore', of: '' } as const,
    filletGap: usualIn(constants.FILLET_GAP.value, notation),
    keep: keptIn(notation),
    ...timberIn(notation),
  }),
  catalogue: FRAMES_FINDINGS,
  constants,
  run: (
    {
      frames,
      taken,
      standing,
      planked,
      members,
      girders,
      screws,
      relief,
      bevelStep,
      filletGap: gap,
      keep,
      sawn,
      moulds,
    },
    { project, values },
    remember,
  ) => {
    const { thickness, linesTo } = project.panels;
    const { panels, strips } = values.panels;
    const skin = depthOfInside({ thickness, linesTo });
    const runs = runMembers(values.lines, panels, members, { inside: skin, outside: thickness - skin }, remember);
    const shapes = taken.flatMap((shape) => {
      const made = remember(`taken ${shape.id}`, takeShape, shape);
      return made ? [{ ...made, bevelDeg: shape.bevelDeg }] : [];
    });
    const making = {
      shapes,
      skin,
      strips,
      school: project.school,
      gap,
      relief,
      keep,
      sawn,
      moulds,
      members: runs.value,
    };
    const widest = standing === 'each' ? 0 : remember('widest', widestAt, values.lines);
    const stood = frames.map((plan) => remember(`standing ${plan.id}`, standOn, plan, standing, widest));
    const { panel, board, from, breadth, depth } = planked;
    const laid = panel === '' ? undefined : remember('boards', layBoards, panels, { panel, board, from });
    const hasTimbers = laid !== undefined && laid.seams.length <= MOST_TIMBERS;
    const under = hasTimbers
      ? remember('bottom timbers', bottomTimbers, panels, laid, stood, { breadth, depth, skin })
      : [];
    const shaped = shapeFrames(values.lines, panels, [...stood, ...under], making, remember);
    const girded = shapeGirders(
      values.lines,
      panels,
      { plans: girders, frames: shaped.value },
      { skin, school: project.school, gap, relief },
      remember,
    );
    const rows = remember('screws', screwRows, panels, {
      ...{ frames: girded.value.frames, members: runs.value },
      ...{ thickness, screws: { ...screws } },
    });
    return {
      value: {
        ...girded.value,
        ...(laid && { planked: laid }),
        taken: shapes,
        members: runs.value,
        screws: rows,
        bevels: bevelsOf(values.lines, panels, bevelStep, remember),
      },
      findings: [
        ...shaped.findings,
        ...girded.findings,
        ...runs.findings,
        ...judgeTaken(taken, shapes),
        ...judgeFastenings(rows, panels, { frames: girded.value.frames, thickness, screws: { ...screws } }),
        ...judgePlanked({ panel, depth }, laid, MOST_TIMBERS),
      ],
      assumed: [],
    };
  },
  drawings: framesDrawings,
  sheets: framesSheets,
  tasks: framesTasks,
  marksOn: (panel, { project, values: { frames } }) => {
    // what is marked on a panel is carried over to its inside layer
    if (panel.layer) return { paths: [], texts: [] };
    const marks = [
      framesOnPanel(panel, frames.frames),
      girdersOnPanel(panel, frames.girders),
      membersOnPanel(panel, frames.members),
      outsideOfPanel(panel, frames, project.panels.thickness),
      seamsOnPanel(panel, frames.planked),
    ];
    return { paths: marks.flatMap(({ paths }) => paths), texts: marks.flatMap(({ texts }) => texts) };
  },
  tables: framesTables,
  buys: framesToBuy,
});
