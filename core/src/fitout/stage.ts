/** Inside and on top: what else is cut, and does it fit? */
import type { FramesPart, FramesValue, School } from '../frames';
import type { Hull } from '../lines';
import { depthOfInside, type Panel, type PanelsPart, type PanelsValue, type SheetInStock } from '../panels';
import { asItIs, defineStage } from '../stage';
import * as constants from './constants';
import { insideDrawings, insideOnPanel, insideTables } from './drawings';
import { INSIDE_FINDINGS } from './findings';
import { judgeInside } from './judge';
import { insideSchema } from './schema';
import { insideSheets, type InsideOnPaper } from './sheets';
import { partsOf } from './value';

type Before = {
  readonly project: {
    readonly school: School;
    readonly panels: Pick<PanelsPart, 'thickness' | 'transomThickness' | 'transomRadius' | 'linesTo'>;
    readonly frames: Pick<FramesPart, 'keep'>;
    readonly sheets: { readonly stock: readonly SheetInStock[] };
  };
  readonly values: { readonly lines: Hull; readonly panels: PanelsValue; readonly frames: FramesValue };
};

export const fitoutStage = defineStage<{ before: Before; whole: InsideOnPaper; panel: Panel }>()({
  name: 'fitout',
  title: 'Inside & top',
  schema: insideSchema,
  begin: () => ({ parts: [] }),
  catalogue: INSIDE_FINDINGS,
  constants,
  run: ({ parts: plans }, { project, values }, remember) => {
    if (plans.length === 0) return { value: { parts: [] }, findings: [], assumed: [] };
    const { thickness, transomThickness, transomRadius, linesTo } = project.panels;
    const inside = depthOfInside({ thickness, linesTo });
    const { panels, transoms } = values.panels;
    const { frames, girders, members } = values.frames;
    const boat = {
      ...{ hull: values.lines, panels, transoms, transomThickness, transomRadius },
      standing: { frames, girders, members },
      skin: { school: project.school, inside, outside: inside - thickness },
    };
    // a panel that a part does not touch may be another: the part is the same
    const parts = plans.flatMap((plan) =>
      remember(`same ${plan.id}`, asItIs, remember(`part ${plan.id}`, partsOf, plan, boat)),
    );
    const asked = { stock: project.sheets.stock, keep: project.frames.keep.opening };
    return { value: { parts }, findings: judgeInside(plans, parts, asked), assumed: [] };
  },
  drawings: insideDrawings,
  sheets: insideSheets,
  marksOn: (panel, { values }) => insideOnPanel(panel, values.fitout.parts),
  tables: insideTables,
});
