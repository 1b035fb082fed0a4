/**
 * Where the panels might be joined instead, so that fewer sheets do.
 *
 * Where a panel is joined is free within limits, and decides how well its pieces fit. Method: each panel's joints are
 * slid together through their room, all panels by a sequence of low discrepancy (Roberts' R sequence), and each plan is
 * laid out by a short search; then places near the best ones are tried. Of plans with as many sheets the one with the
 * fewest wishes unmet is kept, then the denser one. Wishes stay wishes: what a sheet fewer costs of them is told.
 * Repeatable by its seed and the number of plans tried; with a clock it ends by that.
 */
import { area, at, random } from '../geometry';
import {
  jointsInPlaces,
  type PlaceOf,
  planJoints,
  sheetForSkin,
  type JointsAsked,
  type JointsFinding,
  type JointsPart,
  type OwnJoint,
} from '../joints';
import type { FramesValue } from '../frames';
import type { InsideValue } from '../fitout';
import type { Panel, PanelsPart, PanelsValue } from '../panels';
import type { Layout } from './layouts';
import { nest } from './nest';
import { isSameMaterial, nestBatches, type Material, type NestBatch } from './batches';
import { panelsToCut, type SetupValue } from '../setup';
import { listParts, type PartInput } from './parts';
import type { SheetsPart } from './schema';

export type JointPlansInput = {
  readonly panels: readonly Panel[];
  readonly asked: JointsAsked;
  readonly others: Omit<PartInput, 'jointed'>;
  readonly sheets: Pick<SheetsPart, 'stock' | 'gap' | 'margin' | 'laid' | 'stacked'>;
};

/** What is looked at, of a project and what its stages made of it. */
export function jointPlansInput({ project, values }: JointPlansWhole): JointPlansInput {
  const { thickness, transomThickness } = project.panels;
  const { stock, gap, margin, kinds, scribed, spares, stacked } = project.sheets;
  const { frames, girders, planked } = values.frames;
  const sheet = sheetForSkin({ stock, margin, kinds }, thickness);
  return {
    panels: panelsToCut(values),
    asked: {
      ...{ frames, thickness, sheet, part: project.joints, ...(planked && { planked }) },
      sheetOf: (mm) => sheetForSkin({ stock, margin, kinds }, mm),
    },
    others: {
      ...{ transoms: values.panels.transoms, frames, girders, inside: values.fitout.all },
      ...{ thickness, transomThickness, kinds, scribed, spares },
    },
    // other pieces come of other joints: nothing lies where it was laid
    sheets: { stock, gap, margin, laid: [], stacked },
  };
}

type JointPlansWhole = {
  readonly project: {
    readonly panels: Pick<PanelsPart, 'thickness' | 'transomThickness'>;
    readonly joints: JointsPart;
    readonly sheets: SheetsPart;
  };
  readonly values: {
    readonly panels: PanelsValue;
    readonly frames: FramesValue;
    readonly fitout: InsideValue;
    readonly setup: Pick<SetupValue, 'built'>;
  };
};

export type JointPlan = {
  /** The joints, as a builder's own. */
  readonly own: readonly OwnJoint[];
  /** Joints a hand more than the fewest. */
  readonly more: number;
  /** Of the skin's thickness. */
  readonly sheetsUsed: number;
  /** Parts that are on no sheet. */
  readonly unplaced: number;
  readonly density: number;
  readonly unmet: readonly JointsFinding[];
  /** How it is laid out. */
  readonly layout: Layout;
};

export type JointPlans = {
  /** As the joints are now, laid out as shortly as the others. */
  readonly now: JointPlan | undefined;
  /** Each takes fewer sheets than the one after it, or leaves fewer wishes unmet. */
  readonly plans: readonly JointPlan[];
  readonly tried: number;
  /** No layout takes fewer: their area. */
  readonly fewest: number;
};

export type JointPlansBudget = {
  readonly seed: number;
  readonly most: number;
  readonly isOver?: () => boolean;
  readonly onProgress?: (plans: JointPlans) => void;
};

/** Rounds of the search for each plan: laying down in a few orders, and some sweeps. */
const ROUNDS = 40;
/** Of the plans tried, so many first go through all the room. */
const WIDE = 0.6;
/** Then they are tried so near to the best ones, as a share of the room. */
const NEAR = 0.12;

export function findJointPlans(
  input: JointPlansInput,
  { seed, most, isOver = () => false, onProgress }: JointPlansBudget,
): JointPlans {
  const { panels, asked } = input;
  const jointed = planJoints(panels, asked).value;
  const movable = jointed.filter(
    ({ panel, joints, layer, own: sheet }) =>
      joints.length > 0 && !layer && !sheet && !asked.part.own.some((joint) => joint.panel === panel),
  );
  const now = tryPlan(input, asked.part.own, { seed, isOver });
  let found: JointPlans = { now, plans: now ? [now] : [], tried: 0, fewest: now ? fewestByArea(now, input) : 0 };
  const next01 = random(seed);
  const known = new Map<JointPlan, readonly PlaceOf[]>();
  for (let k = 0; k < most && movable.length > 0 && !isOver() && !isBest(found); k++) {
    const places = k < WIDE * most ? wide(k, movable.length) : nearBest(found, known, next01, movable.length);
    const byPanel = new Map(movable.map(({ panel }, i) => [panel, at(places, i)]));
    const own = jointsInPlaces(jointed, (panel) => byPanel.get(panel) ?? { share: 0, more: 0 }, asked);
    const tried = tryPlan(input, own, { seed, isOver });
    if (!tried) continue;
    const plan = { ...tried, more: places.reduce((sum, { more }) => sum + more, 0) };
    known.set(plan, places);
    found = { ...found, tried: k + 1, plans: kept([...found.plans, plan]) };
    onProgress?.(found);
  }
  return found;
}

/** As few sheets as their area takes, and no wish unmet: there is nothing better. */
const isBest = ({ plans, fewest }: JointPlans): boolean =>
  plans.some(
    ({ sheetsUsed, unplaced, unmet, more }) =>
      unplaced === 0 && sheetsUsed <= fewest && unmet.length === 0 && more === 0,
  );

type Trying = { readonly seed: number; readonly isOver: () => boolean };

function tryPlan(input: JointPlansInput, own: readonly OwnJoint[], { seed, isOver }: Trying): JointPlan | undefined {
  const { panels, asked, others, sheets } = input;
  const { value: jointed, findings } = planJoints(panels, { ...asked, part: { ...asked.part, own: [...own] } });
  const batch = batchOf(nestBatches(listParts({ ...others, jointed }), sheets).value, {
    thickness: asked.thickness,
    kind: others.kinds.skin,
  });
  if (!batch) return undefined;
  const result = nest(batch.job, { seed, rounds: ROUNDS, isOver });
  if (result.isCut) return undefined;
  return {
    own,
    more: 0,
    sheetsUsed: result.sheetsUsed,
    unplaced: result.unplaced.length,
    density: result.density,
    unmet: findings.filter(({ severity }) => severity !== 'note'),
    layout: { key: batch.key, result, isFinal: true },
  };
}

const batchOf = (batches: readonly NestBatch[], skin: Material): NestBatch | undefined =>
  batches.find((batch) => isSameMaterial(batch, skin));

function fewestByArea(plan: JointPlan, { panels, asked, others, sheets }: JointPlansInput): number {
  const part = { ...asked.part, own: [...plan.own] };
  const { value: jointed } = planJoints(panels, { ...asked, part });
  const batch = batchOf(nestBatches(listParts({ ...others, jointed }), sheets).value, {
    thickness: asked.thickness,
    kind: others.kinds.skin,
  });
  if (!batch) return 0;
  const mm2 = batch.job.parts.reduce(
    (sum, { outline, holes }) => sum + area(outline) - holes.reduce((all, hole) => all + area(hole), 0),
    0,
  );
  const sheetMm2 = Math.max(
    ...batch.job.sheets.map(({ width, height }) => (width - 2 * sheets.margin) * (height - 2 * sheets.margin)),
  );
  return Math.ceil(mm2 / sheetMm2);
}

/** Of plans that are no better in anything than another, one; the fewest sheets first. */
function kept(plans: readonly JointPlan[]): JointPlan[] {
  const sorted = [...plans].sort(
    (a, b) => a.unplaced - b.unplaced || a.sheetsUsed - b.sheetsUsed || costOf(a) - costOf(b) || b.density - a.density,
  );
  const best: JointPlan[] = [];
  for (const plan of sorted) if (best.every((other) => costOf(plan) < costOf(other))) best.push(plan);
  return best;
}

/** A frame on a joint weighs as much as some wishes; a joint more is work, and less than a wish. */
const STOP_WEIGHS = 5;
const JOINT_WEIGHS = 0.5;
const costOf = ({ unmet, more }: JointPlan): number =>
  unmet.reduce((sum, { severity }) => sum + (severity === 'stop' ? STOP_WEIGHS : 1), more * JOINT_WEIGHS);

/** The R sequence: evenly over the room, whatever its number of directions. */
function spread(k: number, directions: number): number[] {
  let g = 1.5;
  for (let n = 0; n < 40; n++) g = (1 + g) ** (1 / (directions + 1));
  return Array.from({ length: directions }, (_, i) => (0.5 + (k + 1) * g ** -(i + 1)) % 1);
}

/** Every third has a joint more, in one panel after another. */
const wide = (k: number, directions: number): PlaceOf[] =>
  spread(k, directions).map((share, i) => ({
    share,
    more: k % 3 === 2 && Math.floor(k / 3) % directions === i ? 1 : 0,
  }));

/** How often a joint more is tried beside the best, or done without. */
const TURNED = 0.1;

function nearBest(
  { plans }: JointPlans,
  known: ReadonlyMap<JointPlan, readonly PlaceOf[]>,
  next01: () => number,
  directions: number,
): PlaceOf[] {
  const from = plans.map((plan) => known.get(plan)).find((places) => places !== undefined);
  if (!from) return Array.from({ length: directions }, () => ({ share: next01(), more: 0 }));
  return from.map(({ share, more }) => ({
    share: Math.min(1, Math.max(0, share + NEAR * (2 * next01() - 1))),
    more: next01() < TURNED ? 1 - more : more,
  }));
}
