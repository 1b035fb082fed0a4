/**
 * With no jig: what holds the sides to their shape until the frames are in. Spreaders at the sheer, a block under the
 * keel, and the order of bending.
 *
 * Method (derived here): a spreader lies level athwart between the insides of the two sides, at the height of the
 * sheer at its place; its ends are cut to the way that the side runs there, in plan and up and down. The skin's
 * thickness is taken off square to the side. Lengths mm, angles off square, °.
 */
import { at, cross3, unit3, type Vec3 } from '../geometry';
import { battenAt, crossingsOfX, type Hull } from '../lines';
import { toDeg } from '../measure';
import { insideOf, type Panel } from '../panels';
import { sectionBy } from '../surface';
import type { Standing } from './standing';

export type Spreader = {
  readonly id: string;
  readonly name: string;
  /** At its middle, from port to starboard. */
  readonly lengthMm: number;
  /** How its ends are turned in plan, and how they lean. */
  readonly planDeg: number;
  readonly leanDeg: number;
  /** From the stem's head to where it meets the sheer, either side: equal, the boat is square. */
  readonly fromStemMm: number;
};

export type NoJig = {
  /** Bent round first, and held by nothing else. */
  readonly first: string | undefined;
  readonly spreaders: readonly Spreader[];
  /** What stands under the keel at a frame, over the line. */
  readonly blocks: readonly { readonly name: string; readonly highMm: number }[];
  /** Frames that may come out one at a time: a neighbour on either side holds the sides. */
  readonly mayComeOut: readonly string[];
};

export type NoJigOf = {
  readonly hull: Hull;
  readonly panels: readonly Panel[];
  readonly standings: readonly Standing[];
  readonly insideMm: number;
};

export function noJigOf({ hull, panels, standings, insideMm }: NoJigOf): NoJig {
  const sheer = hull.lines[hull.lines.length - 1];
  const side = panels[panels.length - 1];
  const alongBoat = [...standings].sort((a, b) => a.set.foot[0] - b.set.foot[0]);
  const spreaders = sheer && side ? alongBoat.flatMap((one) => spreaderAt(one, sheer, { side, insideMm }) ?? []) : [];
  return {
    first: standings[0]?.name,
    spreaders,
    blocks: alongBoat.map(({ name, set }) => ({ name, highMm: set.foot[2] })),
    mayComeOut: alongBoat.slice(1, -1).map(({ name }) => name),
  };
}

type Sheer = Hull['lines'][number];

function spreaderAt(
  { id, name, set }: Standing,
  sheer: Sheer,
  { side, insideMm }: { readonly side: Panel; readonly insideMm: number },
): Spreader | undefined {
  const x = set.centre[0];
  const t = crossingsOfX(sheer.batten, x)[0];
  if (t === undefined) return undefined;
  const { position, first } = battenAt(sheer.batten, t);
  const across = sectionBy(side.rulings, { normal: [1, 0, 0], level: x });
  const normal = across.length > 0 ? at(across, -1).normal : unit3(cross3(first, [0, 0, 1]));
  const out: Vec3 = normal[1] < 0 ? [-normal[0], -normal[1], -normal[2]] : normal;
  // square to the side the skin is so thick; athwart it is more
  const inside = position[1] - insideOf(side, insideMm) / Math.max(LEAST_ATHWART, out[1]);
  if (inside <= 0) return undefined;
  const stem = battenAt(sheer.batten, 0).position;
  return {
    ...{ id, name, lengthMm: 2 * inside },
    planDeg: toDeg(Math.atan2(-out[0], out[1])),
    leanDeg: toDeg(Math.atan2(-out[2], out[1])),
    fromStemMm: Math.hypot(...position.map((value, k) => value - at(stem, k))),
  };
}

/** A side that faces fore or aft more than this takes no spreader: its thickness athwart would be without end. */
const LEAST_ATHWART = 0.2;
