/**
 * What a fault of a frame does at an edge: the gap it leaves to the skin, where, and what fills it.
 *
 * Method (derived here). At a place of the edge let β be its bevel, of the skin's normal to the frame's plane.
 * Cut back by d in that plane, the edge stands d·cos β off the skin. Moved by t square to its plane, aft, it comes off
 * the skin by -t·sin β where the skin falls inward going aft, and bears on it where that is negative: a frame whose top
 * leans aft by d over its height moves by t = d·h/height at h over its lowest point; one that is warped by d in the
 * middle of the edge by t = 4d·s(1-s) at the share s of its length. A bevel that is flat by δ stands out, or falls
 * short, at one face by W·(tan|β| - tan(|β|-δ)) across a frame W thick, so it is off by cos β times that there.
 * Accuracy: the skin is taken to be flat about the edge, for faults of some millimetres within 0.05 mm of the solids.
 * Conventions: gaps square to the skin, mm; positive is open, negative bears too hard.
 */
import { at, distance2, type Vec2 } from '../geometry';
import type { Frame } from '../frames';
import { toRad } from '../measure';
import type { Fault, FaultChoice } from './schema';

type Edge = Frame['edges'][number];
export type FaultyFrame = Pick<Frame, 'edges' | 'face' | 'width'>;

export type GapPlace = { readonly alongMm: number; readonly gapMm: number };
/** What a fault does at its edge. */
export type Gap = {
  /** From the lowest place of the edge up. */
  readonly places: readonly GapPlace[];
  /** Widest open, and how far along that is; nought where it is closed all along. */
  readonly widest: GapPlace;
  /** Where it bears hardest, as a positive figure; nought where it does nowhere. */
  readonly hardest: GapPlace;
  /** Of what closes it, over the frame's thickness and both sides, ml. */
  readonly fillMl: number;
  /** The face at which a bevel is off. */
  readonly face: 'fore' | 'aft' | undefined;
  /** Of the upper end of the edge along the boat, aft, mm. */
  readonly movedAft: number;
};

/** A fault with what it does, against the builder's own limit. */
export type ToldFault = Fault & {
  readonly frameName: string;
  readonly edgeName: string;
  readonly isFilleted: boolean;
  readonly limitMm: number;
  readonly gap: Gap;
  /** What a builder would do first. */
  readonly offered: FaultChoice;
};

export function gapOf(frame: FaultyFrame, edge: Edge, { kind, value }: Pick<Fault, 'kind' | 'value'>): Gap {
  const points = edge.points.map(({ y, z }): Vec2 => [y, z]);
  const along = lengthsAlong(points);
  const places = edge.points.map(({ bevelDeg }, i): GapPlace => {
    const gapMm = gapAt({ frame, kind, value }, toRad(bevelDeg), {
      share: at(along, i) / (at(along, -1) || 1),
      high: shareOfHeight(frame, at(points, i)),
    });
    return { alongMm: at(along, i), gapMm };
  });
  const most = (sign: 1 | -1) =>
    places.reduce<GapPlace>(
      (worst, { alongMm, gapMm }) => (sign * gapMm > worst.gapMm ? { alongMm, gapMm: sign * gapMm } : worst),
      { alongMm: 0, gapMm: 0 },
    );
  const top = at(points, -1);
  return {
    ...{ places, widest: most(1), hardest: most(-1) },
    fillMl: (2 * openArea(places) * frame.width * (kind === 'bevel' ? 1 / 2 : 1)) / 1000,
    face: kind === 'bevel' ? faceOff(frame, edge) : undefined,
    movedAft: kind === 'plumb' ? value * shareOfHeight(frame, top) : 0,
  };
}

type At = { readonly share: number; readonly high: number };
type Faulty = { readonly frame: FaultyFrame } & Pick<Fault, 'kind' | 'value'>;

function gapAt({ frame, kind, value }: Faulty, bevelRad: number, { share, high }: At): number {
  const aft = frame.face === 'fore' ? Math.sin(bevelRad) : -Math.sin(bevelRad);
  switch (kind) {
    case 'short':
    case 'past':
      return value * Math.cos(bevelRad);
    case 'plumb':
      return -value * high * aft;
    case 'warp':
      return -4 * value * share * (1 - share) * aft;
    case 'bevel': {
      const steep = Math.abs(bevelRad);
      return frame.width * (Math.tan(steep) - Math.tan(steep - toRad(value))) * Math.cos(bevelRad);
    }
  }
}

/** From 0 at the frame's lowest place to 1 at its highest. */
function shareOfHeight({ edges }: FaultyFrame, [, z]: Vec2): number {
  const all = edges.flatMap(({ points }) => points.map((p) => p.z));
  const [low, high] = [Math.min(...all), Math.max(...all)];
  return high > low ? (z - low) / (high - low) : 0;
}

/** Too flat, a bevel that falls inward leaves wood at the other face, so it is off the skin at the station’s. */
function faceOff({ face }: FaultyFrame, { points }: Edge): 'fore' | 'aft' {
  const fallsInward = points.reduce((sum, { bevelDeg }) => sum + bevelDeg, 0) >= 0;
  const other = face === 'fore' ? 'aft' : 'fore';
  return fallsInward ? face : other;
}

function lengthsAlong(points: readonly Vec2[]): number[] {
  const along = [0];
  for (let i = 1; i < points.length; i++) along.push(at(along, -1) + distance2(at(points, i - 1), at(points, i)));
  return along;
}

/** Under the open places, mm². */
function openArea(places: readonly GapPlace[]): number {
  return places.slice(1).reduce((sum, { alongMm, gapMm }, i) => {
    const before = at(places, i);
    return sum + ((Math.max(0, gapMm) + Math.max(0, before.gapMm)) / 2) * (alongMm - before.alongMm);
  }, 0);
}
