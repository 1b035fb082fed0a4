/** Inside and on top: what else is cut, and does it fit? */
import type { FramesPart, FramesValue, School } from '../frames';
import type { Hull } from '../lines';
import {
  depthOfInside,
  type Panel,
  type Transom,
  type PanelsPart,
  type PanelsValue,
  type SheetInStock,
} from '../panels';
import { asItIs, defineStage } from '../stage';
import * as constants from './constants';
import { blockOf, type FittedBlock } from './blocks/block';
import { judgeBlocks } from './blocks/judge-blocks';
import { solidOfInside } from './blocks/surface';
import { insideDrawings, insideOnPanel, insideTables } from './drawings';
import { innerFaces } from './ends';
import { INSIDE_FINDINGS } from './findings';
import { judgeInside } from './judge';
import { insideSchema, type BlockPlan, type WallPlan } from './schema';
import { insideSheets, type InsideOnPaper } from './sheets';
import { partsOf, withFeet } from './value';
import { wallOf, type FittedWall, type Footing } from './walls/fitted-wall';
import { judgeWalls } from './walls/judge-walls';

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
  begin: () => ({ parts: [], walls: [], blocks: [] }),
  catalogue: INSIDE_FINDINGS,
  constants,
  run: ({ parts: plans, walls: wallPlans, blocks: blockPlans }, { project, values }, remember) => {
    if (plans.length + wallPlans.length + blockPlans.length === 0)
      return { value: { parts: [], walls: [], blocks: [], all: [] }, findings: [], assumed: [] };
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
    const lying = plans.flatMap((plan) =>
      remember(`same ${plan.id}`, asItIs, remember(`part ${plan.id}`, partsOf, plan, boat)),
    );
    const wallOn = (plan: WallPlan, side?: FittedWall) => {
      const on = lying.filter(({ id }) => id === plan.lower.onPart || id === plan.upper.onPart);
      const from = remember(`under ${plan.id}`, asItIs, { parts: on, school: project.school });
      return remember(`wall ${plan.id}`, wallFrom, plan, values.lines, from, side);
    };
    // what stands between others comes after them
    const alone = wallPlans.filter(({ between }) => between === null).map((plan) => wallOn(plan));
    const sideOf = (plan: WallPlan) => alone.find((wall) => wall.plan === plan.between);
    const walls = remember(
      'walls',
      asItIs,
      wallPlans.map((plan) => alone.find((wall) => wall.plan === plan.id) ?? wallOn(plan, sideOf(plan))),
    );
    const parts = lying.map((part) => remember(`feet ${part.id}`, withFeet, part, walls, wallPlans));
    const asked = { stock: project.sheets.stock, keep: project.frames.keep.opening };
    const ends = { transoms, thickness: transomThickness, radius: transomRadius };
    const blocks = remember('blocks', blocksIn, blockPlans, panels, inside, remember('ends', asItIs, ends));
    const value = { parts, walls, blocks, all: [...parts, ...walls, ...blocks] };
    const findings = [
      ...judgeInside(plans, parts, asked),
      ...judgeWalls(wallPlans, value, asked),
      ...judgeBlocks(blockPlans, blocks),
    ];
    return { value, findings, assumed: [] };
  },
  drawings: insideDrawings,
  sheets: insideSheets,
  marksOn: (panel, { values }) => insideOnPanel(panel, values.fitout.parts),
  tables: insideTables,
});

type On = { readonly parts: readonly Footing[]; readonly school: School };

/** One argument each: what changes alone is remembered alone. */
const wallFrom = (plan: WallPlan, hull: Hull, on: On, side: FittedWall | undefined): FittedWall =>
  wallOf(plan, { ...on, hull, side });

type EndsOf = { readonly transoms: readonly Transom[]; readonly thickness: number; readonly radius: number | null };

/** What they fill up to is made once for all of them. */
function blocksIn(
  plans: readonly BlockPlan[],
  panels: readonly Panel[],
  inset: number,
  { transoms, thickness, radius }: EndsOf,
): FittedBlock[] {
  if (plans.length === 0) return [];
  const ends = innerFaces(transoms, { thickness, clearMm: 0, radius });
  const solid = solidOfInside({ panels, inset, ends });
  return plans.map((plan) => blockOf(plan, solid));
}
