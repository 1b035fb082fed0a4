/**
 * A tape measure laid along an edge: length along it to every point, the stations it passes, and the place at any
 * length.
 */
import { at, distance3, lerp3, type Vec3 } from '../geometry';
import type { Station } from './hull';

type TapeTick = { readonly s: number; readonly label: string };

export type Tape = {
  readonly name: string;
  readonly length: number;
  /** Length along to each point, from 0. */
  readonly along: readonly number[];
  readonly points: readonly Vec3[];
  readonly ticks: readonly TapeTick[];
};

/** Lays a tape along points in space; a station's tick is where x first passes it. */
export function layTape(name: string, points: readonly Vec3[], stations: readonly Station[]): Tape {
  const along = [0];
  for (let i = 1; i < points.length; i++) along.push(at(along, -1) + distance3(at(points, i - 1), at(points, i)));
  const ticks = stations.flatMap(({ label, x }): TapeTick[] => {
    const i = points.findIndex((p, k) => k > 0 && at(points, k - 1)[0] <= x && p[0] >= x);
    if (i < 1) return [];
    const [a, b] = [at(points, i - 1), at(points, i)];
    const w = b[0] > a[0] ? (x - a[0]) / (b[0] - a[0]) : 0;
    return [{ label, s: at(along, i - 1) + w * (at(along, i) - at(along, i - 1)) }];
  });
  return { name, length: at(along, -1), along, points, ticks };
}

/** The index before length `s` and how far on to the next, for any list that goes with the tape's points. */
export function placeOnTape(tape: Tape, s: number): { readonly index: number; readonly w: number } {
  const inside = Math.min(Math.max(s, 0), tape.length);
  const next = Math.max(
    1,
    tape.along.findIndex((length) => length >= inside),
  );
  const [a, b] = [at(tape.along, next - 1), at(tape.along, next)];
  return { index: next - 1, w: b > a ? (inside - a) / (b - a) : 0 };
}

/** The place in space at length `s` along. */
export function pointOnTape(tape: Tape, s: number): Vec3 {
  const { index, w } = placeOnTape(tape, s);
  return lerp3(at(tape.points, index), at(tape.points, index + 1), w);
}

/** The length along at which the tape is nearest to x: what a pointer over a drawing means. */
export function lengthAtX(tape: Tape, x: number): number {
  let best = 0;
  tape.points.forEach((p, i) => {
    if (Math.abs(p[0] - x) < Math.abs(at(tape.points, best)[0] - x)) best = i;
  });
  return at(tape.along, best);
}
