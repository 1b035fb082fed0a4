/** Inside and on top: what else is cut, and does it fit? */
import type { FramesPart, FramesValue, School } from '../frames';
import type { Hull } from '../lines';
import {
  depthOfInside,
  thicknessOf,
  type Panel,
  type Transom,
  type PanelsPart,
  type PanelsValue,
  type SheetInStock,
} from '../panels';
import { asItIs, defineStage, type Remember } from '../stage';
import * as constants from './constants';
import { insideToBuy, type BuyingInside } from './buys';
import { blockOf, type FittedBlock } from './blocks/block';
import { judgeBlocks } from './blocks/judge-blocks';
import { solidOfInside } from './blocks/surface';
import { insideDrawings, insideOnPanel, insideTables } from './drawings';
import { innerFaces } from './ends';
import { INSIDE_FINDINGS } from './findings';
import { judgeInside } from './judge';
import { judgeKnees } from './knees/judge-knees';
import { kneesOf, type FittedKnee } from './knees/knee';
import type { KneeBoat } from './knees/knee-boat';
import { landingScrews } from './landing-screws';
import { lengthsAlong, usualHeight } from './lengths-along';
import { judgeLimits, overAll } from './limits';
import { seatedIn } from './people/in-boat';
import { judgePeople } from './people/judge-people';
import {
  insideAtFirst,
  insideSchema,
  type BlockPlan,
  type InsidePart,
  type KneePlan,
  type StemPlan,
  type WallPlan,
} from './schema';
import { insideTasks } from './tasks';
import { insideSheets, type InsideOnPaper } from './sheets';
import { judgeStems } from './stems/judge-stems';
import { stemOf, type FittedStem, type StemBoat } from './stems/stem';
import { partsOf, withFeet, type Boat } from './value';
import { wallOf, type FittedWall, type Footing } from './walls/fitted-wall';
import { judgeWalls } from './walls/judge-walls';

type Before = {
  readonly project: {
    readonly school: School;
    readonly panels: Pick<PanelsPart, 'thickness' | 'transomThickness' | 'transomRadius' | 'linesTo'>;
    readonly frames: Pick<FramesPart, 'keep' | 'screws'>;
    readonly sheets: { readonly stock: readonly SheetInStock[] };
  };
  readonly values: { readonly lines: Hull; readonly panels: PanelsValue; readonly frames: FramesValue };
};

export const fitoutStage = defineStage<{ before: Before; whole: InsideOnPaper & BuyingInside; panel: Panel }>()({
  name: 'fitout',
  title: 'Inside & top',
  schema: insideSchema,
  begin: insideAtFirst,
  catalogue: INSIDE_FINDINGS,
  constants,
  run: (part, { project, values }, remember) => {
    const { thickness, transomThickness, transomRadius, linesTo } = project.panels;
    const inside = depthOfInside({ thickness, linesTo });
    const { panels, transoms, strips } = values.panels;
    const { frames, girders, members } = values.frames;
    const atSheer = thicknessOf(panels[panels.length - 1] ?? {}, thickness);
    const hull = values.lines;
    const boat = {
      ...{ hull, panels, transoms, transomThickness, transomRadius },
      standing: { frames, girders, members },
      skin: { school: project.school, inside, outside: inside - thickness },
    };
    const { parts, walls } = laidOut(part, boat, remember);
    const closes = { thickness: transomThickness, radius: transomRadius };
    const ends = remember('ends', asItIs, { transoms, ...closes });
    const blocks = remember('blocks', blocksIn, part.blocks, panels, inside, ends);
    const stems = remember('stems', stemsIn, part.stems, { panels, outside: -boat.skin.outside });
    const kneeBoat = remember('for knees', asItIs, { panels, strips, parts, members, inside });
    const knees = remember('knees', kneesIn, part.knees, kneeBoat);
    const { screws } = project.frames;
    const inBoat = remember('in the boat', asItIs, {
      ...{ hull, panels, frames, skin: boat.skin, parts, walls, blocks, knees },
    });
    const height = part.lengthsAt ?? usualHeight(hull);
    const along = { panels, frames, ends: innerFaces(transoms, { ...closes, clearMm: 0 }), inside, parts };
    const value = {
      ...{ parts, walls, blocks, stems, knees },
      all: [...parts, ...walls, ...blocks, ...stems, ...knees],
      screws: remember('screws', landingScrews, parts, part.parts, { screws, skinMm: atSheer }),
      people: part.people.map((plan) => remember(`person ${plan.id}`, seatedIn, plan, inBoat)),
      lengths: { height, stretches: remember('lengths', lengthsAlong, along, height) },
      overAll: remember('over all', overAll, hull, remember('built', asItIs, [...parts, ...walls])),
    };
    const asked = { stock: project.sheets.stock, keep: project.frames.keep.opening };
    const findings = [
      ...judgeInside(part.parts, parts, asked),
      ...judgeWalls(part.walls, value, asked),
      ...judgeBlocks(part.blocks, blocks),
      ...judgeStems(part.stems, stems),
      ...judgeKnees(part.knees, knees, { parts: part.parts, frames }),
      ...judgePeople(part.people, value.people),
      ...judgeLimits(part.limits, value.overAll),
    ];
    return { value, findings, assumed: [] };
  },
  drawings: insideDrawings,
  sheets: insideSheets,
  tasks: insideTasks,
  marksOn: (panel, { values }) => insideOnPanel(panel, values.fitout.parts),
  tables: insideTables,
  buys: insideToBuy,
});

/** What lies in the boat, and the walls that stand on it; a panel that a part does not touch leaves it the same. */
function laidOut({ parts: plans, walls: wallPlans }: InsidePart, boat: Boat, remember: Remember) {
  const { school } = boat.skin;
  const lying = plans.flatMap((plan) =>
    remember(`same ${plan.id}`, asItIs, remember(`part ${plan.id}`, partsOf, plan, boat)),
  );
  const wallOn = (plan: WallPlan, side?: FittedWall) => {
    const on = lying.filter(({ id }) => id === plan.lower.onPart || id === plan.upper.onPart);
    const from = remember(`under ${plan.id}`, asItIs, { parts: on, school });
    return remember(`wall ${plan.id}`, wallFrom, plan, boat.hull, from, side);
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
  return { parts, walls };
}

type On = { readonly parts: readonly Footing[]; readonly school: School };

/** One argument each: what changes alone is remembered alone. */
const wallFrom = (plan: WallPlan, hull: Hull, on: On, side: FittedWall | undefined): FittedWall =>
  wallOf(plan, { ...on, hull, side });

const stemsIn = (plans: readonly StemPlan[], boat: StemBoat): FittedStem[] => plans.map((plan) => stemOf(plan, boat));

const kneesIn = (plans: readonly KneePlan[], boat: KneeBoat): FittedKnee[] =>
  plans.flatMap((plan) => kneesOf(plan, boat));

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
