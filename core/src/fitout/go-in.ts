/**
 * Whether a piece can be lowered to its place from above.
 *
 * Method: at places along the piece its breadth is compared with the least breadth of the boat over it, inside the skin
 * and the members that stand on it. A piece of one hand is swung in and is never too broad; one that spans the boat is
 * let down level. Tilting it makes it narrower by the cosine of the tilt: that is not counted on.
 */
import { upright, type Vec3 } from '../geometry';
import type { MemberRun } from '../frames';
import { insideOf, type Panel } from '../panels';
import { sectionAt } from '../surface';
import type { FittedPiece } from './fitted';
import { placeOn, type Lie } from './lie';

export type TooBroad = { readonly mm: number; readonly x: number };

const PLACES = 12;
/** What stands over the part by no more is beside it, mm. */
const OVER_MM = 2;

type Hull = { readonly panels: readonly Panel[]; readonly members: readonly MemberRun[]; readonly inside: number };

/** Where a piece is broadest over the room, by how much; undefined where it goes in. */
export function tooBroad(lie: Lie, { region }: FittedPiece, hull: Hull): TooBroad | undefined {
  const us = region.outline.map(([u]) => u);
  const [first, last] = [Math.min(...us), Math.max(...us)];
  const places = Array.from({ length: PLACES }, (_, i) => first + ((last - first) * (i + 0.5)) / PLACES);
  let worst: TooBroad | undefined;
  for (const u of places) {
    const [span] = upright(region.outline, u);
    if (!span || span[0] > -LEAST_MM || span[1] < LEAST_MM) continue; // of one hand
    const sides = span.map((v) => placeOn(lie, [u, v]));
    const [x, , z] = sides[0]!; // two
    const room = roomOver(hull, x, z + OVER_MM + lie.thickness / 2);
    const mm = Math.max(...sides.map(([, y]) => Math.abs(y))) - room;
    if (mm > (worst?.mm ?? LEAST_MM)) worst = { mm, x };
  }
  return worst;
}

/** Less is sprung past, mm. */
const LEAST_MM = 1.5;

/** The least half-breadth over a height. */
function roomOver({ panels, members, inside }: Hull, x: number, z: number): number {
  const skin = panels.flatMap((panel) =>
    sectionAt(panel.rulings, x, insideOf(panel, inside)).map(({ space }) => space),
  );
  const timbers = members.filter(({ side }) => side === 'inside').flatMap((member) => cornersAt(member, x));
  return Math.min(...[...skin, ...timbers].filter((p) => p[2] > z && p[1] > 0).map((p) => p[1]));
}

/** The corners of a member's cross-section that is nearest to a place. */
function cornersAt({ rings, from, to }: MemberRun, x: number): Vec3[] {
  if (x < from || x > to) return [];
  const off = ({ near }: MemberRun['rings'][number]) => Math.abs(near[0] - x);
  const ring = rings.reduce((best, one) => (off(one) < off(best) ? one : best));
  return [ring.near, ring.far, ring.farOff, ring.nearOff];
}
