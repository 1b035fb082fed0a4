/** The inside of the skin in a plane across the boat, from what a knee meets on the way that it goes. */
import { at, distance2, lerp2, type Vec2 } from '../../geometry';
import { frameAt } from '../../frames';
import type { KneePlan } from '../schema';
import type { KneeBoat } from './knee-boat';
import type { LevelAt } from './level';

/** From the corner on. */
export type Side = { readonly x: number; readonly leg: readonly Leg[] };
type Leg = { readonly p: Vec2; readonly bevelDeg: number };

/** A sheer so little short of what the knee meets is run on to it, mm: a deck is planed down to it. */
const RUN_ON_MM = 30;

export function sideAt(plan: KneePlan, boat: KneeBoat, x: number, level: LevelAt): Side | undefined {
  const { hand, thickness, goes } = plan;
  const panels = boat.panels.filter(({ only }) => only !== (hand === 'port' ? 'starboard' : 'port'));
  const section = frameAt(panels, x, { skin: boat.inside, width: thickness, face: 'fore', strips: boat.strips });
  if (!section) return undefined;
  const line = section.edges.flatMap(({ points }) =>
    points.map(({ y, z, bevelDeg }): Leg => ({ p: [y, z], bevelDeg })),
  );
  if (line.length < 2) return undefined;
  const over = ({ p: [y, z] }: Leg) => z - level.up(x, y);
  const leg = goes === 'down' ? downFrom(line, over) : upFrom(line, over);
  return leg && leg.length > 1 ? { x, leg } : undefined;
}

/** From the highest place at which the side passes the level, inward and down. */
function downFrom(line: readonly Leg[], over: (leg: Leg) => number): Leg[] | undefined {
  for (let k = line.length - 1; k > 0; k--) {
    const [a, b] = [at(line, k - 1), at(line, k)];
    if (over(a) < 0 && over(b) >= 0) return [crossing(a, b, over), ...line.slice(0, k).reverse()];
  }
  const [before, last] = [at(line, -2), at(line, -1)];
  const short = -over(last);
  const rise = over(last) - over(before);
  // the side ends a little under it: its last stretch runs on
  if (short < 0 || short > RUN_ON_MM || rise <= 0) return undefined;
  const p = lerp2(before.p, last.p, 1 + short / rise);
  return [{ p, bevelDeg: last.bevelDeg }, ...[...line].reverse()];
}

function upFrom(line: readonly Leg[], over: (leg: Leg) => number): Leg[] | undefined {
  for (let k = line.length - 1; k > 0; k--) {
    const [a, b] = [at(line, k - 1), at(line, k)];
    if (over(a) <= 0 && over(b) > 0) return [crossing(a, b, over), ...line.slice(k)];
  }
  return undefined;
}

function crossing(a: Leg, b: Leg, over: (leg: Leg) => number): Leg {
  let [low, high] = [0, 1];
  const between = (w: number): Leg => ({
    p: lerp2(a.p, b.p, w),
    bevelDeg: a.bevelDeg + w * (b.bevelDeg - a.bevelDeg),
  });
  const isUp = over(a) <= 0;
  for (let i = 0; i < HALVINGS; i++) {
    const w = (low + high) / 2;
    if (over(between(w)) <= 0 === isUp) low = w;
    else high = w;
  }
  return between((low + high) / 2);
}
/** Of a stretch of a metre to a millionth of a millimetre. */
const HALVINGS = 40;

/** The first so many millimetres of it; all where it is shorter. */
export function upTo(leg: readonly Leg[], along: number): { readonly line: Vec2[]; readonly alongMm: number } {
  const line: Vec2[] = [at(leg, 0).p];
  let gone = 0;
  for (let k = 1; k < leg.length; k++) {
    const [a, b] = [at(leg, k - 1).p, at(leg, k).p];
    const step = distance2(a, b);
    if (step > 0 && gone + step >= along) {
      line.push(lerp2(a, b, (along - gone) / step));
      return { line, alongMm: along };
    }
    if (step > 0) line.push(b);
    gone += step;
  }
  return { line, alongMm: gone };
}

export function placeAt(leg: readonly Leg[], along: number): { readonly place: Vec2; readonly bevelDeg: number } {
  let gone = 0;
  for (let k = 1; k < leg.length; k++) {
    const [a, b] = [at(leg, k - 1), at(leg, k)];
    const step = distance2(a.p, b.p);
    if (step > 0 && gone + step >= along) {
      const w = (along - gone) / step;
      return { place: lerp2(a.p, b.p, w), bevelDeg: a.bevelDeg + w * (b.bevelDeg - a.bevelDeg) };
    }
    gone += step;
  }
  const last = at(leg, -1);
  return { place: last.p, bevelDeg: last.bevelDeg };
}

/** How far out a side is at a height; beyond its end as its last stretch runs. */
export function outAt({ leg }: Side, up: number): number {
  const k = leg.findIndex(({ p }, i) => i > 0 && (p[1] - up) * (at(leg, i - 1).p[1] - up) <= 0);
  const [a, b] = k > 0 ? [at(leg, k - 1).p, at(leg, k).p] : [at(leg, 0).p, at(leg, 1).p];
  return b[1] === a[1] ? a[0] : a[0] + ((up - a[1]) / (b[1] - a[1])) * (b[0] - a[0]);
}
