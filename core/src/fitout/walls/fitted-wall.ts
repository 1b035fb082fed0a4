/** A wall as it is cut and what it stands on: one piece on the flat, its openings, its foot along the part under it. */
import { outlineOfOpening, type School } from '../../frames';
import {
  at,
  boundsOf,
  contains,
  differenceOf,
  distance2,
  distanceToSegment,
  intersectionOf,
  netArea,
  placeAtLength,
  polylineLength,
  simplify,
  simplifyRing,
  type Outline,
  type Region,
  type Vec2,
  type Vec3,
} from '../../geometry';
import type { Hull } from '../../lines';
import type { Panel } from '../../panels';
import type { EdgePoint, FittedPiece } from '../fitted';
import { flatOf, type Lie } from '../lie';
import type { WallOpening, WallPlan } from '../schema';
import type { Support } from '../supports';
import { endsBetween, type EndLine } from './between';
import { linesOfWall, runsAcross, type Lying, type NoLine } from './line';
import { cutWall, footLength, isDeck, tightestBend, type CutRuling, type TightestBend } from './wall';

export type FittedWall = Pick<WallPlan, 'id' | 'name' | 'kind' | 'thickness'> & {
  readonly plan: string;
  readonly hand: 'pair' | 'starboard' | 'port' | 'across';
  readonly fit: 'wall';
  readonly isSquare: boolean;
  readonly isBent: boolean;
  readonly pieces: readonly FittedPiece[];
  readonly supports: readonly Support[];
  readonly rulings: readonly CutRuling[];
  /** The surface between its lines: twist, strain, bends. Absent: there is none. */
  readonly panel?: Panel;
  /** Where it bends tightest; absent: it is flat. */
  readonly bend?: TightestBend;
  /** Why there is none. */
  readonly noLine?: NoLine | 'no-surface';
  /** It does not reach the sides that it is to stand between. */
  readonly isShort: boolean;
  /** Where its foot is off the part it is to stand on. */
  readonly offAt?: Vec3;
};

/** What lies in the hull already, on which it may stand. */
export type Footing = Lying & { readonly pieces: readonly FittedPiece[]; readonly hand: string };

type From = {
  readonly hull: Hull;
  readonly parts: readonly Footing[];
  readonly school: School;
  /** The cabin side that it stands between, as it is cut. */
  readonly side: FittedWall | undefined;
};

/** Outlines are given to this, and feet, from which tables and fillets are taken, to the other. */
const OUTLINE_MM = 0.005;
const EDGE_MM = 0.03;
const FAR_MM = 50_000;

export function wallOf(plan: WallPlan, from: From): FittedWall {
  const school = plan.school ?? from.school;
  const across = runsAcross(plan.kind) || plan.kind === 'sheer-deck';
  const own = {
    ...{ id: plan.id, plan: plan.id, name: plan.name, kind: plan.kind, thickness: plan.thickness },
    ...{ hand: across ? ('across' as const) : plan.hand, fit: 'wall' as const, isSquare: school !== 'framed' },
  };
  const nothing = { pieces: [], supports: [], rulings: [], isBent: false, isShort: false };
  const lines = linesOfWall(plan, from);
  if (typeof lines === 'string') return { ...own, ...nothing, noLine: lines };
  const footing = from.parts.find(({ id }) => id === plan.lower.onPart);
  const cut = cutWall(plan, lines, { school, on: footing?.lie });
  if ('reason' in cut) return { ...own, ...nothing, noLine: 'no-surface' };
  const { panel, rulings } = cut;
  const bend = tightestBend(panel);
  const ends = endsOf(plan, rulings, from.side);
  const region = regionOf(plan, rulings, ends);
  const piece = region && pieceOf(plan, rulings, { region, on: footing?.lie, school });
  const off = footing && offPart(rulings, piece, footing);
  return {
    ...own,
    ...{ rulings, panel, pieces: piece ? [piece] : [], supports: piece ? footCleat(plan, piece, rulings) : [] },
    isBent: panel.minBendRadius !== null,
    ...(bend && { bend }),
    isShort: plan.between !== null && ends.some((end) => end === undefined),
    ...(off && { offAt: off }),
    ...(!piece && { noLine: 'no-surface' as const }),
  };
}

const endsOf = (plan: WallPlan, rulings: readonly CutRuling[], side: FittedWall | undefined): readonly EndLine[] =>
  plan.between !== null && side && side.rulings.length > 1 ? endsBetween(rulings, side.rulings, plan.gap) : [];

/** Smaller is nothing to be made. */
const LEAST_MM2 = 400;

function regionOf(plan: WallPlan, rulings: readonly CutRuling[], ends: readonly EndLine[]): Region | undefined {
  const foot = rulings.map(({ flat }) => flat[0]);
  const top = rulings.map(({ flat }) => flat[1]);
  const whole = ring([...simplify(foot, OUTLINE_MM), ...simplify(top, OUTLINE_MM).reverse()]);
  const within = ends.reduce<readonly Outline[]>(
    (left, end, i) => (end ? intersectionOf(left, [beside(end, i === 0)]) : left),
    [whole],
  );
  const openings = plan.openings.map((opening) => outlineOn(plan, opening, rulings));
  const [largest] = differenceOf(within, openings).sort((a, b) => netArea(b) - netArea(a));
  if (!largest || netArea(largest) < LEAST_MM2) return undefined;
  return {
    outline: simplifyRing(largest.outline, OUTLINE_MM),
    holes: largest.holes.map((hole) => simplifyRing(hole, OUTLINE_MM)),
  };
}

/** Without places twice. */
const ring = (points: readonly Vec2[]): Outline =>
  points.filter((p, i) => distance2(p, at(points, (i + 1) % points.length)) > OUTLINE_MM / 5);

/** What lies to the right of a line from foot to top, or to the left of it. */
function beside(line: readonly Vec2[], isRight: boolean): Outline {
  const far = isRight ? FAR_MM : -FAR_MM;
  const [foot, top] = [at(line, 0), at(line, -1)];
  return [...line, [top[0], FAR_MM], [far, FAR_MM], [far, -FAR_MM], [foot[0], -FAR_MM]];
}

/** An opening on the flat, along the foot and square to it. */
export function outlineOn(
  plan: WallPlan,
  { along, up, ...opening }: WallOpening,
  rulings: readonly CutRuling[],
): Outline {
  const foot = rulings.map(({ net }) => net);
  const long = polylineLength(foot);
  const from = runsAcross(plan.kind) ? long / 2 + (plan.kind === 'cabin-back' ? -along : along) : along;
  const { point, next } = placeAtLength(foot, Math.min(long, Math.max(0, from)));
  const [a, b] = [at(foot, Math.max(0, next - 1)), at(foot, next)];
  const step = distance2(a, b) || 1;
  const [c, s] = [(b[0] - a[0]) / step, (b[1] - a[1]) / step];
  const { shape, long: width, wide: height, corner } = opening;
  return outlineOfOpening({ shape, out: 0, up, width, height, corner }).map(([u, v]): Vec2 => [
    point[0] + c * u - s * v,
    point[1] + s * u + c * v,
  ]);
}

type Piece = { readonly region: Region; readonly on: Lie | undefined; readonly school: School };

function pieceOf(plan: WallPlan, rulings: readonly CutRuling[], { region, on, school }: Piece): FittedPiece {
  const others = rulings.flatMap(({ other }) => (other ? [other] : []));
  const nets = rulings.map(({ net }) => net);
  const foot = on ? footPoints(rulings, region, on) : [];
  return {
    id: `wall.${plan.id}`,
    name: plan.name,
    region,
    ...(school === 'framed' && others.length > 1 && { otherEdge: simplify(others, EDGE_MM) }),
    ...(plan.below > 0 && { netEdge: simplify(nets, EDGE_MM) }),
    atSkin:
      foot.length > 1 ? [{ face: 'under', points: foot, lengthMm: polylineLength(foot.map(({ flat }) => flat)) }] : [],
    areaM2: netArea(region) / 1e6,
  };
}

/** Places of the foot that are left, on the wall's flat and where they stand on the part's. */
function footPoints(rulings: readonly CutRuling[], { outline }: Region, on: Lie): EdgePoint[] {
  const { minX, maxX } = boundsOf(outline);
  const nets = rulings.map(({ net }) => net);
  const kept = new Set(simplify(nets, EDGE_MM));
  return rulings
    .filter(({ net }) => kept.has(net) && net[0] > minX - NEAR_MM && net[0] < maxX + NEAR_MM)
    .map(({ net, outer, bevelDeg }) => ({
      ...{ flat: net, space: outer[0], bevelDeg },
      mark: { panel: '', flat: flatOf(on, outer[0]) },
    }));
}
const NEAR_MM = 0.5;

function footCleat(plan: WallPlan, { atSkin }: FittedPiece, rulings: readonly CutRuling[]): Support[] {
  const { breadth, depth } = plan.cleat;
  if (breadth <= 0 || depth <= 0 || isDeck(plan.kind)) return [];
  const lengthMm = atSkin[0]?.lengthMm ?? footLength(rulings);
  const corners = rulings.map(({ bevelDeg }) => 90 - bevelDeg);
  return [
    {
      ...{ id: `wall.${plan.id}.foot`, name: `${plan.name}: cleat along its foot`, what: 'cleat along its foot' },
      ...{ of: 'skin', lengthMm, breadth, depth, cornerDeg: [Math.min(...corners), Math.max(...corners)] },
    },
  ];
}

/** The first place of the foot, on either face, under which the part is not. */
function offPart(rulings: readonly CutRuling[], piece: FittedPiece | undefined, on: Footing): Vec3 | undefined {
  if (!piece) return undefined;
  const { minX, maxX } = boundsOf(piece.region.outline);
  const isOver = (place: Vec3): boolean => {
    const [u, v] = flatOf(on.lie, place);
    const sides: Vec2[] = on.hand === 'pair' ? [[u, Math.abs(v)]] : [[u, v]];
    return on.pieces.some(({ region }) =>
      sides.some((p) => isBy(region.outline, p) && !region.holes.some((hole) => contains(hole, p))),
    );
  };
  return rulings
    .filter(({ net }) => net[0] > minX + WITHIN_MM && net[0] < maxX - WITHIN_MM)
    .filter((_, i) => i % EVERY === 0)
    .flatMap(({ outer, inner }) => [outer[0], inner[0]])
    .find((place) => !isOver(place));
}
/** In it, or so near to its edge that it makes nothing. */
const isBy = (outline: Outline, p: Vec2): boolean =>
  contains(outline, p) ||
  outline.some((a, i) => distanceToSegment(p, a, at(outline, (i + 1) % outline.length)) < WITHIN_MM);

/** So near to its ends nothing is asked, and so near to the edge of a part is on it. */
const WITHIN_MM = 3;
const EVERY = 8;
