/**
 * How each long piece is ripped: to which width, at which tilt of the saw, which face lies down, what is left to plane.
 *
 * A member in a corner has its edge there bevelled to lie against the other panel (or a deck): the tilt is the one that
 * leaves the least to plane and takes nothing off that is wanted (frames/rolling-bevel.ts). Where the corner's inside
 * angle is over a right one the inner face comes out wider than the face on the skin, under it narrower; by the depth
 * times the tangent of the tilt (derived here). All other members, and layers, are ripped square. Degrees and mm.
 */
import type { FramesValue } from '../frames';
import { toRad } from '../measure';
import type { TimberFinding } from './findings';
import type { TimberRun } from './runs';
import type { TimberPart } from './schema';

export type Rip = {
  readonly run: string;
  readonly name: string;
  readonly qty: number;
  readonly depth: number;
  /** Before the bevel: wide enough for the wider of its two faces. */
  readonly blankWidth: number;
  /** 0: square. */
  readonly tiltDeg: number;
  /** The face that is wider, and lies down on the table: so the blade leans over what falls off. */
  readonly wider: 'inner' | 'skin' | 'same';
  /** The corner that it lies in. */
  readonly corner?: string;
  /** After the rip, at the worst place: as an angle, and across its depth. */
  readonly leftToPlaneDeg: number;
  readonly leftMm: number;
};

/** As a member is planned: what line it lies on, and how. */
export type PlannedMember = {
  readonly id: string;
  readonly line: string;
  readonly on: string;
  readonly side: string;
  readonly away: number;
};

type Ripping = {
  readonly runs: readonly TimberRun[];
  readonly members: readonly PlannedMember[];
  readonly bevels: FramesValue['bevels'];
};

/** Flatter than this is square to any saw. */
const SQUARE_DEG = 0.05;

export const ripsOf = ({ runs, members, bevels }: Ripping): Rip[] =>
  runs.map((run): Rip => {
    const { id, name, qty, width, depth, layers } = run;
    const base = { run: id, name, qty, depth };
    const square: Rip = { ...base, blankWidth: width, tiltDeg: 0, wider: 'same', leftToPlaneDeg: 0, leftMm: 0 };
    const planned = members.find((member) => member.id === run.member);
    const isInCorner = planned?.away === 0 && planned.side === 'inside' && planned.on !== 'centre';
    const bevel = isInCorner ? bevels.find(({ line }) => line === planned.line) : undefined;
    // layers are glued up first, and bevelled as one
    if (!bevel || layers) return square;
    const { ripDeg, leftToPlaneDeg } = bevel;
    const across = (deg: number) => depth * Math.tan(toRad(Math.abs(deg)));
    const tiltDeg = Math.abs(ripDeg) < SQUARE_DEG ? 0 : Math.abs(ripDeg);
    return {
      ...{ ...base, tiltDeg, corner: bevel.name, leftToPlaneDeg, leftMm: across(leftToPlaneDeg) },
      blankWidth: width + (ripDeg > 0 ? across(tiltDeg) : 0),
      wider: tiltDeg === 0 ? 'same' : ripDeg > 0 ? 'inner' : 'skin',
    };
  });

/** What the saw or the shop is too small for. */
export function judgeRips(rips: readonly Rip[], { saw, stock }: Pick<TimberPart, 'saw' | 'stock'>): TimberFinding[] {
  const where = { stage: 'timber' } as const;
  const deep = rips.flatMap(({ name, depth, tiltDeg }): TimberFinding[] => {
    const cutsMm = saw.depth * Math.cos(toRad(tiltDeg));
    if (saw.depth === 0 || depth <= cutsMm) return [];
    return [{ severity: 'check', code: 'rip-too-deep', where, data: { run: name, depthMm: depth, tiltDeg, cutsMm } }];
  });
  const longestMm = Math.max(0, ...stock.map(({ length }) => length));
  const long: TimberFinding[] =
    saw.room > 0 && rips.length > 0 && longestMm > saw.room / 2
      ? [{ severity: 'check', code: 'rip-too-long', where, data: { longestMm, roomMm: saw.room } }]
      : [];
  return [...deep, ...long];
}

export const FACE_DOWN: Readonly<Record<Rip['wider'], string>> = {
  ...{ inner: 'inner face', skin: 'face on the skin', same: 'either' },
};

/** In what order a long piece is worked, in words. */
export const RIP_ORDER: readonly string[] = [
  'Make one face flat and one edge straight; rip to the width before the bevel, square, that edge to the fence.',
  'Scarf to length while it is square: both tapers planed together, index marks across the joint, glued on a flat ' +
    'bench.',
  'Set the saw by the tilt; the wider face down, the straight edge to the fence, so that the blade leans over what ' +
    'falls off.',
  'Plane what is left by the bevel table, station by station; try it in the boat.',
  'Layers: rip and plane them to their thickness, stagger their scarfs, glue them over the mould, and bevel the whole.',
];
