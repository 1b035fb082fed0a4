/**
 * Where the sheets join: the fewest scarfs for each panel, each at the best of a few places.
 *
 * On the flat panel u runs along it from its fore end, v across it. Lengths mm.
 *
 * Method: a panel longer than the usable length of a sheet is cut square to u into as few pieces as will do. Where two
 * pieces join they lap by the length of the scarf, its ratio × the thickness, so of n sheets n − 1 scarfs are lost. The
 * joints may move within the length to spare: candidate places are tried along it and scored by what a builder wants:
 * clear of frames, out of the hardest bend, staggered from the neighbouring panel's joints. What could not be met is a
 * finding. Pieces come first: each carries half the scarf past the joint's middle, and its taper is marked.
 */
import { area, at, boundsOf, counterClockwise, crossings, intersectionOf, type Outline, type Vec2 } from '../geometry';
import { marksOfFrame, type Frame, type Planked } from '../frames';
import { SHEET_SIZE, type Panel, type SheetInStock } from '../panels';
import type { JointsFinding, JointsResult } from './findings';
import { matesAlong } from './mates';
import type { JointsPart } from './schema';

type Joint = {
  /** Middle of the scarf along the panel, mm. */
  readonly u: number;
  readonly scarf: number;
  /** The panel's lower and upper edge there, and the depth between them, mm. */
  readonly low: number;
  readonly high: number;
  readonly depth: number;
};

type Piece = {
  readonly id: string;
  readonly name: string;
  readonly outline: Outline;
};

export type JointedPanel = {
  readonly panel: string;
  readonly name: string;
  readonly spansCentreline: boolean;
  readonly joints: readonly Joint[];
  readonly pieces: readonly Piece[];
  readonly length: number;
};

/** Scarfs to be made in all: on either hand, or once where a panel lies across the centreline. */
export const countScarfs = (panels: readonly JointedPanel[]): number =>
  panels.reduce((sum, { joints, spansCentreline }) => sum + joints.length * (spansCentreline ? 1 : 2), 0);

export type SheetSize = { readonly width: number; readonly height: number; readonly margin: number };

/** What is in stock, as far as joints depend on it. */
export type StockForJoints = { readonly stock: readonly SheetInStock[]; readonly margin: number };

/** The longest sheet in stock of the skin's thickness; the usual size where there is none. */
export function sheetForSkin({ stock, margin }: StockForJoints, thickness: number): SheetSize {
  const mine = stock.filter((sheet) => sheet.thickness === thickness && sheet.qty > 0);
  const { width, height } = [...mine].sort((a, b) => b.width - a.width)[0] ?? SHEET_SIZE.value;
  return { width, height, margin };
}

/** Where a frame stands on the panel, from face to face. */
type Wish = { readonly from: number; readonly to: number; readonly label: string };
type Scored = { readonly us: readonly number[]; readonly score: number };

/** A sheet shorter than this many scarfs is mostly joint. */
const LEAST_SCARFS = 3;
/** Places tried along the length to spare: a hand's breadth apart on a sheet. */
const PLACES = 25;
/** What it costs to be wholly too near to a frame, or to a neighbour's joint, and to lie in the hardest bend. */
const COST = { nearFrame: 10, notStaggered: 10, inBend: 4 };
/** What is short by less is not short: figures carry some dust. */
const DUST_MM = 1e-6;

type JointsAsked = {
  readonly frames: readonly Frame[];
  readonly thickness: number;
  readonly sheet: SheetSize;
  readonly part: JointsPart;
  /** A bottom laid across in boards is not joined along. */
  readonly planked?: Planked;
};

/** Joints for all panels, from the lowest up, each staggered from those before it. */
export function planJoints(panels: readonly Panel[], options: JointsAsked): JointsResult<readonly JointedPanel[]> {
  const findings: JointsFinding[] = [];
  const jointed: JointedPanel[] = [];
  panels.forEach((panel, i) =>
    jointed.push(jointPanel(panel, neighbourBelow(panels[i - 1], jointed), options, findings)),
  );
  return { value: jointed, findings, assumed: [] };
}

type Neighbour = { readonly panel: Panel; readonly jointed: JointedPanel };

function neighbourBelow(panel: Panel | undefined, jointed: readonly JointedPanel[]): Neighbour | undefined {
  const last = jointed[jointed.length - 1];
  return panel && last && { panel, jointed: last };
}

function jointPanel(
  panel: Panel,
  below: Neighbour | undefined,
  { frames, thickness, sheet, part, planked }: JointsAsked,
  findings: JointsFinding[],
): JointedPanel {
  const box = boundsOf(panel.outline);
  const length = box.maxX - box.minX;
  if (planked?.panel === panel.id) {
    const { id, name, spansCentreline } = panel;
    const pieces = planked.boards.map((board) => ({ ...board, outline: counterClockwise(board.outline) }));
    return { panel: id, name, spansCentreline, joints: [], pieces, length };
  }
  const scarf = part.scarfRatio * thickness;
  const usable = sheet.width - 2 * sheet.margin;
  const depth = box.maxY - box.minY;
  if (depth > sheet.height - 2 * sheet.margin) {
    const data = { panel: panel.name, depthMm: depth, sheetMm: sheet.height };
    findings.push({
      severity: 'check',
      code: 'panel-too-deep',
      where: { stage: 'joints', panel: panel.id },
      data,
    });
  }
  const isHopeless = usable < LEAST_SCARFS * scarf;
  if (isHopeless) {
    const data = { panel: panel.name, sheetMm: sheet.width, scarfMm: scarf };
    findings.push({
      severity: 'stop',
      code: 'sheet-too-short',
      where: { stage: 'joints', panel: panel.id },
      data,
    });
  }
  const count = isHopeless ? 1 : Math.max(1, Math.ceil((length - scarf - DUST_MM) / (usable - scarf)));
  const obstacles = frameCrossings(panel, frames);
  const mates = below
    ? {
        name: below.jointed.name,
        us: matesAlong(
          panel,
          below.panel,
          below.jointed.joints.map(({ u }) => u),
        ),
      }
    : undefined;
  const bendAt = bendReader(panel);
  const us = bestPlaces({ bendAt, count, length, usable, scarf, obstacles, mates, part });
  judge({ panel, bendAt, us, obstacles, mates, part, scarf }, findings);
  return {
    panel: panel.id,
    name: panel.name,
    spansCentreline: panel.spansCentreline,
    joints: us.map((u) => ({ u, scarf, ...edgesAt(panel.outline, u) })),
    pieces: cutPieces(panel, us, scarf),
    length,
  };
}

function frameCrossings(panel: Panel, frames: readonly Frame[]): Wish[] {
  return frames.flatMap((frame) => {
    const us = marksOfFrame(panel, frame).map(({ curve }) => curve.reduce((sum, p) => sum + p[0], 0) / curve.length);
    return us.length === 0 ? [] : [{ label: frame.name, from: Math.min(...us), to: Math.max(...us) }];
  });
}

/** From the middle of a joint to a frame's nearer face; nought where it stands there. */
const apart = ({ from, to }: Wish, u: number): number => Math.max(0, from - u, u - to);

/** The neighbour's joints, where they come to the panel's own edge, along it. */
type Mates = { readonly name: string; readonly us: readonly number[] };

type PlaceInput = {
  /** Share of the panel's hardest bend at a place along it. */
  bendAt: (u: number) => number;
  count: number;
  length: number;
  usable: number;
  scarf: number;
  obstacles: readonly Wish[];
  mates: Mates | undefined;
  part: JointsPart;
};

/** Even pieces shifted together along what is to spare: for one joint that is every place it can be. */
function bestPlaces(input: PlaceInput): number[] {
  const { count, length, usable, scarf } = input;
  if (count === 1) return [];
  // joint k may lie where all pieces before it and after it still come out of a sheet
  const lowest = (k: number) => length - ((count - k) * (usable - scarf) + scarf / 2);
  const highest = (k: number) => k * (usable - scarf) + scarf / 2;
  let best: Scored = { us: [], score: Infinity };
  for (let place = 0; place < PLACES; place++) {
    const w = place / (PLACES - 1);
    const us = Array.from({ length: count - 1 }, (_, i) => lowest(i + 1) + w * (highest(i + 1) - lowest(i + 1)));
    // between equals the most even cut, which leaves the most useful offcuts
    const score = us.reduce((sum, u) => sum + scoreOf(u, input), 0) + Math.abs(w - 0.5);
    if (score < best.score) best = { us, score };
  }
  return [...best.us];
}

function scoreOf(u: number, { bendAt, obstacles, mates, part, scarf }: PlaceInput): number {
  const nearest = Math.min(Infinity, ...obstacles.map((o) => apart(o, u))) - scarf / 2;
  const staggered = Math.min(Infinity, ...(mates?.us ?? []).map((mate) => Math.abs(mate - u)));
  const short = (have: number, want: number) => (want > 0 ? Math.max(0, 1 - have / want) : 0);
  return (
    COST.nearFrame * short(nearest, part.clearOfFrames) +
    COST.notStaggered * short(staggered, part.stagger) +
    COST.inBend * bendAt(u) ** 2
  );
}

/** How far along the panel from a ruling its bend is felt. */
const NEAR_RULING_MM = 30;

/** Reads the curvature near u over the panel's greatest: 1 in the hardest bend. */
function bendReader({ rulings, minBendRadius }: Panel): (u: number) => number {
  if (!minBendRadius) return () => 0;
  const bends = rulings.flatMap(({ flatP, flatQ, bendRadius }) => {
    if (bendRadius === null) return [];
    const [low, high] = [Math.min(flatP[0], flatQ[0]), Math.max(flatP[0], flatQ[0])];
    return [{ low: low - NEAR_RULING_MM, high: high + NEAR_RULING_MM, bendRadius }];
  });
  return (u) => {
    let tightest = Infinity;
    for (const { low, high, bendRadius } of bends)
      if (u > low && u < high && bendRadius < tightest) tightest = bendRadius;
    return Math.min(1, minBendRadius.value / tightest);
  };
}

/** A joint that bends by more than this share of the panel's hardest bend lies in it. */
const IN_BEND = 0.9;
/** A panel whose hardest bend is wider than this is nearly flat: any joint may lie in it. */
const GENTLE_MM = 5000;

function judge(
  {
    panel,
    bendAt,
    us,
    obstacles,
    mates,
    part,
    scarf,
  }: Pick<PlaceInput, 'bendAt' | 'obstacles' | 'mates' | 'part' | 'scarf'> & {
    panel: Panel;
    us: readonly number[];
  },
  findings: JointsFinding[],
): void {
  for (const u of us) {
    const where = { stage: 'joints', panel: panel.id } as const;
    const standing = obstacles.find((o) => apart(o, u) < scarf / 2 - DUST_MM);
    const close = obstacles.find((o) => apart(o, u) - scarf / 2 < part.clearOfFrames - DUST_MM);
    if (standing) {
      const data = { panel: panel.name, uMm: u, frame: standing.label };
      findings.push({ severity: 'stop', code: 'frame-in-joint', where, data });
    } else if (close) {
      const clearMm = Math.max(0, apart(close, u) - scarf / 2);
      const data = { panel: panel.name, uMm: u, clearMm, wantMm: part.clearOfFrames, frame: close.label };
      findings.push({ severity: 'check', code: 'joint-near-frame', where, data });
    }
    const mate = mates?.us.find((other) => Math.abs(other - u) < part.stagger - DUST_MM);
    if (mates && mate !== undefined) {
      const data = { panel: panel.name, other: mates.name, staggerMm: Math.abs(mate - u), wantMm: part.stagger };
      findings.push({ severity: 'check', code: 'joint-not-staggered', where, data });
    }
    if (panel.minBendRadius && panel.minBendRadius.value < GENTLE_MM && bendAt(u) > IN_BEND)
      findings.push({ severity: 'check', code: 'joint-in-bend', where, data: { panel: panel.name, uMm: u } });
  }
}

function cutPieces(panel: Panel, us: readonly number[], scarf: number): Piece[] {
  if (us.length === 0) return [{ id: panel.id, name: panel.name, outline: panel.outline }];
  const box = boundsOf(panel.outline);
  return Array.from({ length: us.length + 1 }, (_, k) => k).flatMap((k): Piece[] => {
    const from = k === 0 ? box.minX - 1 : at(us, k - 1) - scarf / 2;
    const to = k === us.length ? box.maxX + 1 : at(us, k) + scarf / 2;
    const strip: Vec2[] = [
      [from, box.minY - 1],
      [to, box.minY - 1],
      [to, box.maxY + 1],
      [from, box.maxY + 1],
    ];
    // a panel of an impossible hull may cross itself; its largest part there is the piece, and none may be left
    const [outline] = [...intersectionOf([panel.outline], [strip])].sort((a, b) => area(b) - area(a));
    if (!outline) return [];
    const name = `${panel.name} ${k + 1} of ${us.length + 1}`;
    return [{ id: `${panel.id}.${k + 1}`, name, outline: counterClockwise(outline) }];
  });
}

/** The lowest and the highest edge of an outline at u. */
function edgesAt(outline: Outline, u: number): { low: number; high: number; depth: number } {
  const vs = crossings([...outline, at(outline, 0)], 0, u).map((p) => p[1]);
  if (vs.length < 2) return { low: 0, high: 0, depth: 0 };
  const [low, high] = [Math.min(...vs), Math.max(...vs)];
  return { low, high, depth: high - low };
}
