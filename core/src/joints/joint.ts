/**
 * Where the sheets join: for each panel its joints, the pieces between them, and what goes behind them.
 *
 * On the flat panel u runs along it from its fore end, v across it. Lengths mm.
 *
 * Method: a panel longer than the usable length of a sheet is cut square to u into as few pieces as will do; of n
 * sheets n − 1 laps are lost (kinds.ts). The joints stand where the builder put them, else where they are best
 * (placing.ts). What could not be met is a finding. Pieces come first: each carries its share of the lap, and its
 * taper is marked.
 */
import { boundsOf, counterClockwise } from '../geometry';
import { marksOfFrame, type Frame, type Planked } from '../frames';
import { cutLineOf, isCutTwice, SHEET_SIZE, thicknessOf, type Panel, type SheetInStock } from '../panels';
import { likePanel } from '../setup';
import type { JointsFinding, JointsResult } from './findings';
import { judgeJoints } from './judge';
import type { JointedPanel, Strap } from './jointed-panel';
import { lapOf, reachOf, sizesOfJoint } from './kinds';
import { matesAlong } from './mates';
import { withoutJoint } from './own';
import { cutPieces, jointAt, strapOf, type Joint } from './pieces';
import { aroundOf, evenPlaces, placeJoints, type Placed, type Standing } from './placing';
import type { JointsPart, OwnJoint } from './schema';
import { strapId } from './strap-screws';
import { unlikeBy } from './tongues';

/** Joints to be made in all: on either hand, or once where a panel lies across the centreline. */
export const countJoints = (panels: readonly JointedPanel[]): number =>
  panels.reduce((sum, { joints, isPair }) => sum + joints.length * (isPair ? 2 : 1), 0);

export type SheetSize = { readonly width: number; readonly height: number; readonly margin: number };

/** Of a panel how far aft in their room its joints lie, and how many more there are than the fewest. */
export type PlaceOf = { readonly share: number; readonly more: number };

/** The panels' joints of the boat's kind, each panel's as far aft in its room as its share says: as a builder's own. */
export function jointsInPlaces(
  jointed: readonly JointedPanel[],
  placeOf: (panel: string) => PlaceOf,
  { thickness, sheet, part }: Pick<JointsAsked, 'thickness' | 'sheet' | 'part'>,
): OwnJoint[] {
  const lap = lapOf(part.kind, part, thickness);
  const usable = sheet.width - 2 * sheet.margin;
  return jointed.flatMap(({ panel, joinedAs, joints, length, from, layer, own: ownSheet }) => {
    if (joinedAs !== panel) return [];
    // what the builder placed himself stays
    const own = part.own.filter((joint) => joint.panel === panel);
    // and those of other sheets, layers' butts too, stay where they are best
    if (joints.length === 0 || own.length > 0 || layer || ownSheet) return own;
    const { share, more } = placeOf(panel);
    return evenPlaces({ from, to: from + length, usable, lap }, share, more).map((at, k): OwnJoint => ({
      ...{ id: `${panel}.joint.${k + 1}`, panel, at, kind: part.kind },
    }));
  });
}

/** What is in stock, as far as joints depend on it. */
export type StockForJoints = {
  readonly stock: readonly (SheetInStock & { readonly kind: string })[];
  readonly margin: number;
  /** What the skin is made of. */
  readonly kinds: { readonly skin: string };
};

/** Woods as they are compared: the builder's capitals and blanks are his own. */
export const isSameWood = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** The longest sheet in stock of the skin's thickness and kind; the usual size where there is none. */
export function sheetForSkin({ stock, margin, kinds }: StockForJoints, thickness: number): SheetSize {
  const mine = stock.filter(
    (sheet) => sheet.thickness === thickness && isSameWood(sheet.kind, kinds.skin) && sheet.qty > 0,
  );
  const { width, height } = [...mine].sort((a, b) => b.width - a.width)[0] ?? SHEET_SIZE.value;
  return { width, height, margin };
}

/** A sheet shorter than this many laps is mostly joint. */
const LEAST_LAPS = 3;

export type JointsAsked = {
  readonly frames: readonly Frame[];
  readonly thickness: number;
  readonly sheet: SheetSize;
  readonly part: JointsPart;
  /** The sheet that a layer, or a panel of its own thickness, is cut from; absent: as the skin. */
  readonly sheetOf?: (thicknessMm: number) => SheetSize;
  /** A bottom laid across in boards is not joined along. */
  readonly planked?: Planked;
};

/** Joints for all panels, from the lowest up, each staggered from those before it. */
export function planJoints(panels: readonly Panel[], options: JointsAsked): JointsResult<readonly JointedPanel[]> {
  const findings: JointsFinding[] = tonguesTooShort(options.part);
  const jointed: JointedPanel[] = [];
  panels.forEach((panel, i) => {
    const below = neighbourBelow(panel, panels.slice(0, i), jointed);
    const before = jointed.reduce((sum, { joints }) => sum + joints.length, 0);
    jointed.push(jointPanel(panel, { below, before }, options, findings));
  });
  return { value: jointed, findings: [...findings, ...alike(jointed)], assumed: [] };
}

/** Two joints with tongues that differ by less than this go together either way. */
const UNLIKE_MM = 0.3;

function alike(jointed: readonly JointedPanel[]): JointsFinding[] {
  const lines = jointed.flatMap(({ panel, name, joints }) =>
    joints.flatMap(({ tongues }, k) => (tongues ? [{ panel, name: `${name}, joint ${k + 1}`, tongues }] : [])),
  );
  return lines.flatMap((one, k) =>
    lines.slice(0, k).flatMap((other): JointsFinding[] => {
      if (unlikeBy(one.tongues, other.tongues) > UNLIKE_MM + one.tongues.fit) return [];
      const where = { stage: 'joints', panel: one.panel } as const;
      return [{ severity: 'check', code: 'joints-alike', where, data: { one: one.name, other: other.name } }];
    }),
  );
}

/** Tongues that the cutter cannot cut are made longer, and it is said. */
function tonguesTooShort(part: JointsPart): JointsFinding[] {
  const hasTongues = part.kind === 'tongues' || part.own.some(({ kind }) => kind === 'tongues');
  const reachMm = reachOf(part);
  if (!hasTongues || reachMm <= part.tongue) return [];
  const data = { tongueMm: part.tongue, radiusMm: part.cutterRadius, reachMm };
  return [{ severity: 'note', code: 'tongues-too-short', where: { stage: 'joints' }, data }];
}

type Neighbour = { readonly panel: Panel; readonly jointed: JointedPanel };
/** The panel below, and how many joints the panels so far have. */
type SoFar = { readonly below: Neighbour | undefined; readonly before: number };

/** A layer lies on the one before it: along both it is as far. */
function matesOf(panel: Panel, { panel: below, jointed }: Neighbour): readonly number[] {
  const us = jointed.joints.map(({ u }) => u);
  const isOnIt = panel.layer !== undefined && panel.layer.number > 1 && below.layer?.of === panel.layer.of;
  return isOnIt ? us : matesAlong(panel, below, us);
}

/** The last before it that is on its own hand, too. */
function neighbourBelow(
  panel: Panel,
  before: readonly Panel[],
  jointed: readonly JointedPanel[],
): Neighbour | undefined {
  const k = before.findLastIndex(
    (other) => likePanel(other) !== likePanel(panel) && (other.only === undefined || other.only === panel.only),
  );
  const [below, joined] = [before[k], jointed[k]];
  return below && joined && { panel: below, jointed: joined };
}

function jointPanel(
  panel: Panel,
  { below, before }: SoFar,
  { frames, part, planked, ...asked }: JointsAsked,
  findings: JointsFinding[],
): JointedPanel {
  const { id, name, layer } = panel;
  const thickness = thicknessOf(panel, asked.thickness);
  const sheet = (thickness === asked.thickness ? undefined : asked.sheetOf?.(thickness)) ?? asked.sheet;
  const joinedAs = likePanel(panel);
  const which = {
    ...{ panel: id, name, joinedAs, isPair: isCutTwice(panel) },
    ...(panel.only === 'port' && { isPort: true as const }),
    ...(layer && { layer }),
    ...(panel.own && { own: panel.own }),
  };
  const box = boundsOf(cutLineOf(panel));
  const [from, length] = [box.minX, box.maxX - box.minX];
  if (planked?.panel === id && !layer) {
    const pieces = planked.boards.map((board) => ({ ...board, outline: counterClockwise(board.outline) }));
    return { ...which, joints: [], pieces, straps: [], length, from };
  }
  const where = { stage: 'joints', panel: id } as const;
  if (layer?.number === 1 && planked?.panel === layer.of)
    findings.push({ severity: 'check', code: 'planked-in-layers', where, data: { panel: name } });
  // over a layer's joint lies the next layer, or the one under it
  const usual = sizesOfJoint(layer ? 'butt' : part.kind, part, thickness);
  const usable = sheet.width - 2 * sheet.margin;
  const depth = box.maxY - box.minY;
  if (depth > sheet.height - 2 * sheet.margin) {
    const data = { panel: name, depthMm: depth, sheetMm: sheet.height };
    findings.push({ severity: 'check', code: 'panel-too-deep', where, data });
  }
  const isHopeless = usable < LEAST_LAPS * usual.lap || usable <= 0;
  if (isHopeless) {
    const data = { panel: name, sheetMm: sheet.width, lapMm: usual.lap };
    findings.push({ severity: 'stop', code: 'sheet-too-short', where, data });
  }
  const own = part.own
    .filter((joint) => joint.panel === joinedAs)
    .flatMap((joint): Placed[] => {
      if (joint.at > from && joint.at < box.maxX)
        return [{ ...sizesOfJoint(joint.kind, part, thickness), u: joint.at, own: joint.id }];
      const remedy = {
        label: 'Take it out',
        edits: [{ path: ['joints', 'own'], value: withoutJoint(part.own, joint.id) }],
      };
      const data = { panel: name, uMm: joint.at, lengthMm: length };
      findings.push({ severity: 'check', code: 'joint-off-panel', where, data, remedies: [remedy] });
      return [];
    });
  const wishes = {
    standing: framesOn(panel, frames),
    mates: below && { name: below.jointed.name, us: matesOf(panel, below) },
    bendAt: bendReader(panel),
    part,
  };
  const placed = placeJoints({ ...wishes, from, to: box.maxX, usable: isHopeless ? Infinity : usable, own, usual });
  const joints = placed.map((one, k) =>
    jointAt(
      panel,
      { ...one, key: one.own ?? String(k + 1), around: aroundOf(one.u, one.width, wishes) },
      before + k,
      part,
    ),
  );
  findings.push(...judgeJoints({ ...wishes, panel, joints, all: part }));
  const straps = part.strapIsSolid ? [] : strapsOf(panel, joints, part.strapShort);
  return {
    ...which,
    joints,
    pieces: cutPieces(panel, joints, part.way),
    straps,
    length,
    from,
    ...(part.way === 'blank' && joints.length > 0 && { isBlank: true }),
  };
}

const strapsOf = (panel: Panel, joints: readonly Joint[], short: number): Strap[] =>
  joints.flatMap((joint, k) => {
    const outline = strapOf(panel, joint, short);
    const name = joints.length > 1 ? `${panel.name}, strap ${k + 1}` : `${panel.name}, strap`;
    return outline ? [{ id: strapId(panel.id, k), name, outline }] : [];
  });

function framesOn(panel: Panel, frames: readonly Frame[]): Standing[] {
  return frames.flatMap((frame) => {
    const us = marksOfFrame(panel, frame).map(({ curve }) => curve.reduce((sum, p) => sum + p[0], 0) / curve.length);
    return us.length === 0 ? [] : [{ label: frame.name, from: Math.min(...us), to: Math.max(...us) }];
  });
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
