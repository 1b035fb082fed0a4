/**
 * What a part lands on: cleats along the skin and on frames, bearers across under it; and whether it spans too far.
 *
 * Method: a foot on a strip of the sheet between two supports, as a beam on two ends with the load in its middle:
 * sag = P·L³ / (48·E·I), I = b·t³/12 (any handbook of beams). It may sag a share of the span; so the widest span is
 * L = √(48·E·I·share / P). A cambered sheet is held down along its edges: half of it is a cantilever from the
 * centreline whose tip comes down by the camber's rise, F = 3·E·I·rise / L³ a side, by the length (any such handbook).
 */
import { boundsOf, turned, upright, type Outline, type Vec2 } from '../geometry';
import { alongAt, placeOn, riseOver, type Lie } from './lie';
import { BEARER_OVER, FOOT_MM, FOOT_N, PLY_E, SAG_SHARE } from './constants';
import { planeAtX } from './across';
import type { FittedPiece } from './fitted';
import type { InTheWayOf } from './in-the-way';
import { boardMm } from './board';
import { inwardOf } from './inward';
import type { InsidePlan } from './schema';

/** A strip of timber under a part. */
export type Support = {
  readonly id: string;
  readonly name: string;
  /** The same without the piece that it is under. */
  readonly what: string;
  readonly of: 'skin' | 'frame' | 'bearer' | 'block' | 'solid' | 'stem' | 'knee' | 'pad';
  /** The piece that it lies under, and its middle on the flat sheet. */
  readonly piece?: string;
  readonly over?: readonly (readonly Vec2[])[];
  readonly lengthMm: number;
  readonly breadth: number;
  readonly depth: number;
  /** Along the skin: of the corner between the skin and the part's under side, degrees; least and most. */
  readonly cornerDeg?: readonly [number, number];
  /** Where more than its length and its section is known of it: all that is glued. */
  readonly gluedMm2?: number;
  /** Of a bearer: where, and from where to where across. */
  readonly line?: { readonly x: number; readonly from: number; readonly to: number };
};

/** Stretches that are shorter carry nothing, mm. */
const LEAST_MM = 20;

export function supportsOf(
  plan: InsidePlan,
  lie: Lie,
  pieces: readonly FittedPiece[],
  inTheWay: readonly InTheWayOf[],
): Support[] {
  const { breadth, depth, atSkin, atFrames } = plan.cleat;
  const section = { breadth, depth };
  const own = pieces.flatMap((piece) => [
    ...(atSkin ? skinCleats(plan, piece).map((cleat) => ({ ...cleat, ...section })) : []),
    ...(atFrames ? frameCleats(piece, inTheWay, section).map((cleat) => ({ ...cleat, ...section })) : []),
  ]);
  const bearers = bearersOf(plan, lie, pieces).map((bearer) => ({ ...bearer, ...section }));
  const all = [...own, ...bearers, ...(plan.isTimber ? pieces.map((piece) => solidOf(plan, piece)) : [])];
  return numbered(all.filter(({ lengthMm }) => lengthMm > LEAST_MM));
}

/** Each with a name of its own: of several that are called alike the second and the next have a number. */
function numbered(supports: readonly (Omit<Support, 'name'> & { readonly under: string })[]): Support[] {
  const many = new Map<string, number>();
  return supports.map(({ under, what: plain, ...support }) => {
    const count = (many.get(`${under}: ${plain}`) ?? 0) + 1;
    many.set(`${under}: ${plain}`, count);
    const what = count === 1 ? plain : `${plain}, ${count}`;
    return { ...support, what, name: `${under}: ${what}` };
  });
}

/** Of either face's edge the lower one, which the cleat lies along. */
function skinCleats({ fit, cleat }: InsidePlan, { id, name, atSkin, region }: FittedPiece) {
  if (fit === 'over') return [];
  return atSkin.map(({ lengthMm, points }, k) => {
    const corners = points.map(({ bevelDeg }) => 90 - bevelDeg); // where the skin flares, sharper under the part
    return {
      ...{ id: `${id}.skin.${k + 1}`, under: name, what: 'cleat at the skin', of: 'skin' as const, lengthMm },
      ...{
        piece: id,
        over: [
          inwardOf(
            points.map(({ flat }) => flat),
            region.outline,
            cleat.breadth / 2,
          ),
        ],
      },
      cornerDeg: [Math.min(...corners), Math.max(...corners)] as const,
    };
  });
}

/** On either face of a frame that stands through, as far as the piece comes up to it. */
function frameCleats(
  { id, name, region }: FittedPiece,
  inTheWay: readonly InTheWayOf[],
  { breadth }: Pick<InsidePlan['cleat'], 'breadth'>,
) {
  return inTheWay.flatMap(({ of, faces, name: frame, outline }, i) => {
    if (of !== 'frame' || !faces) return [];
    const vs = outline.map(([, v]) => v);
    const [low, high] = [Math.min(...vs), Math.max(...vs)];
    return ([faces.fore - BESIDE_MM, faces.aft + BESIDE_MM] as const).flatMap((u, k) => {
      const spans = upright(region.outline, u)
        .map(([from, to]) => [Math.max(from, low), Math.min(to, high)] as const)
        .filter(([from, to]) => to > from);
      const lengthMm = spans.reduce((sum, [from, to]) => sum + to - from, 0);
      const middle = u + ((k === 0 ? -1 : 1) * breadth) / 2;
      return [
        {
          id: `${id}.frame.${i}.${k}`,
          ...{ under: name, what: `cleat on ${frame}, ${FACE_WORDS[k]}` },
          of: 'frame' as const,
          lengthMm,
          ...{ piece: id, over: spans.map((span) => span.map((v): Vec2 => [middle, v])) },
        },
      ];
    });
  });
}

/**
 * The board that a piece of solid timber is sawn from: the least rectangle round it whose grain runs as it should: of
 * one beside the middle along its inner edge, of one across the boat along the longer way.
 */
function solidOf({ hand, inner, from, to, thickness }: InsidePlan, { id, name, region }: FittedPiece) {
  const turn = hand === 'across' ? 0 : Math.atan2(inner.aft - inner.fore, to - from);
  const { minX, maxX, minY, maxY } = boundsOf(turned(region.outline, -turn));
  const [long, wide] = [boardMm(maxX - minX), boardMm(maxY - minY)];
  const isAlong = hand !== 'across' || long > wide;
  return {
    ...{ id: `${id}.solid`, under: name, what: 'its board', of: 'solid' as const, piece: id, depth: thickness },
    ...{ lengthMm: isAlong ? long : wide, breadth: isAlong ? wide : long },
  };
}

const FACE_WORDS = ['forward', 'aft'];
/** Beside a frame's face, where the piece itself is. */
const BESIDE_MM = 0.5;

function bearersOf({ from, to, bearers, id }: InsidePlan, lie: Lie, pieces: readonly FittedPiece[]) {
  return Array.from({ length: bearers }, (_, i) => {
    const x = from + ((to - from) * (i + 1)) / (bearers + 1);
    const u = alongAt(lie, planeAtX(x), 0, 0);
    return pieces.flatMap((piece) =>
      upright(piece.region.outline, u).map(([v0, v1], k) => {
        const [a, b] = [v0, v1].map((v) => placeOn(lie, [u, v])[1]) as [number, number]; // two
        return {
          ...{
            id: `${id}.bearer.${i + 1}.${piece.id}.${k}`,
            ...{ under: piece.name, what: `bearer ${i + 1}` },
            of: 'bearer' as const,
          },
          lengthMm: v1 - v0,
          line: { x, from: a, to: b },
          ...{ piece: piece.id, over: [[v0, v1].map((v): Vec2 => [u, v])] },
        };
      }),
    );
  }).flat();
}

/** The widest span that a sheet takes under a foot, mm. */
export function widestSpan(thickness: number): number {
  const stiffness = (PLY_E.value * FOOT_MM.value * thickness ** 3) / 12;
  return Math.sqrt((48 * stiffness * SAG_SHARE.value) / FOOT_N.value);
}

/** Where along the sheet its supports across it stand: its own ends, bearers, frames that it comes up to. */
export function widestGap(
  plan: InsidePlan,
  lie: Lie,
  piece: FittedPiece,
): { readonly spanMm: number; readonly u: number } {
  const us = piece.region.outline.map(([u]) => u);
  const [first, last] = [Math.min(...us), Math.max(...us)];
  const bearers = Array.from({ length: plan.bearers }, (_, i) => {
    const x = plan.from + ((plan.to - plan.from) * (i + 1)) / (plan.bearers + 1);
    return alongAt(lie, planeAtX(x), 0, 0);
  }).filter((u) => u > first && u < last);
  const stops = [first, ...bearers, last];
  const bays = stops.slice(1).map((to, i) => {
    const from = stops[i] ?? to;
    const u = (from + to) / 2;
    return { along: to - from, across: broadestAt(piece.region.outline, u), u };
  });
  const free = bays.map(({ along, across, u }) => ({
    spanMm: Math.max(0, Math.min(along, across) - BEARER_OVER.value),
    u,
  }));
  return free.reduce((worst, bay) => (bay.spanMm > worst.spanMm ? bay : worst), { spanMm: 0, u: first });
}

const broadestAt = (outline: Outline, u: number): number =>
  Math.max(0, ...upright(outline, u).map(([low, high]) => high - low));

/** What each edge of a cambered part is held down with, newtons a metre of its length. */
export function heldDown({ radius, thickness }: Lie, halfBreadth: number): number {
  if (radius === 0 || halfBreadth <= 0) return 0;
  const perMetre = (PLY_E.value * 1000 * thickness ** 3) / 12;
  return (3 * perMetre * riseOver(radius, 2 * halfBreadth)) / halfBreadth ** 3;
}

/** How far out a part reaches on its flat sheet. */
export const halfBreadthOf = (pieces: readonly FittedPiece[]): number =>
  Math.max(0, ...pieces.flatMap(({ region }) => region.outline.map(([, v]: Vec2) => Math.abs(v))));
