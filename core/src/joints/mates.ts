/**
 * How far along a panel the joints of its neighbour come to the edge that both share. Each panel's u begins at its own
 * fore end, so two joints at equal u may be far apart on the boat, and two far apart in u may meet.
 */
import { at, distance3, lerp3, lerp2, type Vec2, type Vec3 } from '../geometry';
import type { Panel } from '../panels';
import { wholeEnds } from '../surface';

type Rulings = Pick<Panel, 'rulings'>;

/**
 * The neighbour lies below: its upper edge is the panel's lower one. `us`: along the neighbour, mm.
 *
 * @returns as many along the panel, mm; fewer where a joint does not reach the neighbour's upper edge.
 */
export const matesAlong = (panel: Rulings, neighbour: Rulings, us: readonly number[]): number[] =>
  us.flatMap((u) => {
    const place = onUpperEdge(neighbour, u);
    return place ? [alongLowerEdge(panel, place)] : [];
  });

function onUpperEdge({ rulings }: Rulings, u: number): Vec3 | undefined {
  for (let i = 1; i < rulings.length; i++) {
    const [a, b] = [at(rulings, i - 1), at(rulings, i)];
    const [from, to] = [wholeEnds(a)[1][0], wholeEnds(b)[1][0]];
    if (from <= u && u <= to && from < to) return lerp3(a.q, b.q, (u - from) / (to - from));
  }
  return undefined;
}

function alongLowerEdge({ rulings }: Rulings, place: Vec3): number {
  let nearest = { distance: Infinity, u: 0 };
  for (let i = 1; i < rulings.length; i++) {
    const [a, b] = [at(rulings, i - 1), at(rulings, i)];
    const w = footOn(a.p, b.p, place);
    const distance = distance3(lerp3(a.p, b.p, w), place);
    const [from, to]: readonly [Vec2, Vec2] = [wholeEnds(a)[0], wholeEnds(b)[0]];
    if (distance < nearest.distance) nearest = { distance, u: lerp2(from, to, w)[0] };
  }
  return nearest.u;
}

/** The share of a stretch at which a place is nearest to it. */
function footOn(a: Vec3, b: Vec3, place: Vec3): number {
  const [run, off] = [0, 1, 2].reduce<[number, number]>(
    ([run2, dot], axis) => {
      const d = (b[axis] ?? 0) - (a[axis] ?? 0);
      return [run2 + d * d, dot + d * ((place[axis] ?? 0) - (a[axis] ?? 0))];
    },
    [0, 0],
  );
  return run > 0 ? Math.min(1, Math.max(0, off / run)) : 0;
}
