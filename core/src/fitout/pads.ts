/**
 * Fittings that are screwed or bolted through a part, with the pad of timber under each: where it is on the flat sheet,
 * and what it runs into there.
 *
 * Method: the pad's rectangle on the sheet against the piece's own edge and openings, the strips of timber under it,
 * and the frames whose tops come up into the pad. A joint of the part's pieces is an edge of each.
 */
import { contains, distanceToSegment, intersectionOf, type Outline, type Vec2 } from '../geometry';
import { planeAtX } from './across';
import { edgeLeft } from './edge-left';
import type { FittedPiece } from './fitted';
import type { Standing } from './in-the-way';
import { acrossAt, alongAt, placeOn, overMiddle, type Lie } from './lie';
import type { Fitting, InsidePlan } from './schema';
import type { Support } from './supports';

export type Pad = {
  /** Of the fitting. */
  readonly id: string;
  readonly name: string;
  readonly piece: string;
  /** Its middle, and the pad round it. */
  readonly at: Vec2;
  readonly ring: Outline;
};

/** What a fitting runs into: nothing under it, or something by name; and how far it is to be moved aft to be clear. */
export type PadClash = {
  readonly fitting: string;
  readonly name: string;
  readonly of: string;
  readonly clearX?: number;
};

export type Pads = { readonly pads: readonly Pad[]; readonly clashes: readonly PadClash[] };

/** Touching by less is beside it, mm. */
const BESIDE_MM = 0.5;

type Under = {
  readonly pieces: readonly FittedPiece[];
  readonly supports: readonly Support[];
  readonly standing: Pick<Standing, 'frames'>;
};

export function padsOf(plan: InsidePlan, lie: Lie, under: Under): Pads {
  const found = plan.fittings.flatMap((fitting) =>
    sidesOf(plan, fitting).map((side) => {
      const v = acrossAt(lie, fitting.out, 'under') * side;
      const at: Vec2 = [alongAt(lie, planeAtX(fitting.x), v, 0), v];
      const ring = padRing(at, fitting);
      const piece = under.pieces.find(({ region }) => edgeLeft(region.outline, ring) > 0);
      const clash = piece ? clashOf(plan, lie, { fitting, piece, ring, under }) : { of: '' };
      const pad = { id: fitting.id, name: fitting.name, at, ring };
      return { piece, pad, clash: clash && { fitting: fitting.id, name: fitting.name, ...clash } };
    }),
  );
  // of a pair that runs into the same on either side it is told once
  const clashes = found.flatMap(({ clash }) => (clash ? [[`${clash.fitting} ${clash.of}`, clash] as const] : []));
  return {
    pads: found.flatMap(({ piece, pad }) => (piece ? [{ ...pad, piece: piece.id }] : [])),
    clashes: [...new Map(clashes).values()],
  };
}

/** To starboard, to port, or both. */
const sidesOf = ({ hand }: InsidePlan, { isPair }: Fitting): readonly (1 | -1)[] =>
  hand === 'across' && isPair ? [1, -1] : [hand === 'port' ? -1 : 1];

function padRing([u, v]: Vec2, { pad: { long, wide } }: Fitting): Outline {
  const [a, b] = [long / 2, wide / 2];
  return [
    [u - a, v - b],
    [u + a, v - b],
    [u + a, v + b],
    [u - a, v + b],
  ];
}

type Asked = {
  readonly fitting: Fitting;
  readonly piece: FittedPiece;
  readonly ring: Outline;
  readonly under: Under;
};

type Clash = Pick<PadClash, 'of' | 'clearX'>;

function clashOf(plan: InsidePlan, lie: Lie, { fitting, piece, ring, under }: Asked): Clash | undefined {
  const holed = piece.region.holes.some((hole) => intersectionOf([hole], [ring]).length > 0);
  if (holed) return { of: 'an opening' };
  return (
    cleatUnder(plan, piece, ring) ??
    bearerUnder(fitting, under.supports, piece) ??
    frameUnder(plan, lie, fitting, under)
  );
}

/** The strip along the skin lies this side of the edge. */
function cleatUnder({ cleat, fit }: InsidePlan, { atSkin }: FittedPiece, ring: Outline): Clash | undefined {
  if (!cleat.atSkin || fit === 'over') return undefined;
  const isOver = atSkin.some(({ points }) =>
    points.some(({ flat }, i) => {
      const before = points[i - 1];
      if (!before) return false;
      const near = ring.some((p) => distanceToSegment(p, before.flat, flat) < cleat.breadth - BESIDE_MM);
      return near || contains(ring, flat);
    }),
  );
  return isOver ? { of: 'the cleat at the skin' } : undefined;
}

/** To the nearer side of what stands so far along the boat, and so broad. */
function clearOf({ x, pad }: Fitting, middle: number, breadth: number): number | undefined {
  const reach = (pad.long + breadth) / 2;
  if (Math.abs(x - middle) >= reach - BESIDE_MM) return undefined;
  return x >= middle ? middle + reach : middle - reach;
}

function bearerUnder(fitting: Fitting, supports: readonly Support[], { id }: FittedPiece): Clash | undefined {
  for (const { line, breadth, what, piece } of supports) {
    if (!line || piece !== id) continue;
    const clearX = clearOf(fitting, line.x, breadth);
    if (clearX !== undefined) return { of: what, clearX };
  }
  return undefined;
}

/** Frames that stand up into the pad's own thickness under the part. */
function frameUnder({ hand }: InsidePlan, lie: Lie, fitting: Fitting, { standing }: Under): Clash | undefined {
  for (const { x, width, face, name, cut, kind } of standing.frames) {
    if (kind === 'mould') continue;
    const middle = x + (face === 'fore' ? width : -width) / 2;
    const clearX = clearOf(fitting, middle, width);
    if (clearX === undefined) continue;
    const v = acrossAt(lie, fitting.out, 'under') * (hand === 'port' ? -1 : 1);
    const [, y, z] = placeOn(lie, [alongAt(lie, planeAtX(x), v, 0), v], overMiddle(lie, 'under'));
    const isUnder = cut.outline.some(([, up]) => up > z - fitting.pad.thick) && reachesOut(cut.outline, Math.abs(y));
    if (isUnder) return { of: name, clearX };
  }
  return undefined;
}

const reachesOut = (outline: Outline, y: number): boolean => Math.max(...outline.map((p) => Math.abs(p[0]))) > y;
