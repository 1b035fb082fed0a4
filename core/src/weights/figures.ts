/** Figures of the hull as it lies: freeboard, rocker, the run, the float line as a curve. */
import { at, dot3, lerp3, type Vec3 } from '../geometry';
import type { Panel } from '../panels';
import type { WaterPlane } from './under';

export type Freeboard = { readonly mm: number; readonly x: number; readonly side: 'port' | 'starboard' };

/** Of the sheer over the plane, where it is least; on either side. */
export function freeboard(panels: readonly Panel[], { normal, level }: WaterPlane): Freeboard | undefined {
  const top = panels[panels.length - 1];
  if (!top) return undefined;
  const points = top.rulings.flatMap(({ q: [x, y, z] }) => [-y, y].map((own): Vec3 => [x, own, z]));
  return points.reduce((best: Freeboard | undefined, p) => {
    const mm = dot3(p, normal) - level;
    return best && best.mm <= mm ? best : { mm, x: p[0], side: p[1] < 0 ? 'port' : 'starboard' };
  }, undefined);
}

export type Rocker = {
  /** How far the bottom's ends stand over its lowest place. */
  readonly foreMm: number;
  readonly aftMm: number;
  readonly lowestX: number;
  /** Over the after third: the greatest distance of the bottom from a straight edge held along it. */
  readonly runMm: number;
};

/** Along the lowest line: the keel, or the middle of a bottom that spans the centreline. */
export function rockerOf(panels: readonly Panel[]): Rocker | undefined {
  const profile = profileOf(panels);
  if (profile.length < 3) return undefined;
  const lowest = profile.reduce((best, p) => (p[2] < best[2] ? p : best));
  const [fore, aft] = [at(profile, 0), at(profile, -1)];
  const from = aft[0] - (aft[0] - fore[0]) / 3;
  const run = profile.filter(([x]) => x >= from);
  const [a, b] = [at(run, 0), at(run, -1)];
  const off = run.map(([x, , z]) => Math.abs(z - (a[2] + ((b[2] - a[2]) * (x - a[0])) / (b[0] - a[0] || 1))));
  return {
    ...{ foreMm: fore[2] - lowest[2], aftMm: aft[2] - lowest[2], lowestX: lowest[0] },
    runMm: Math.max(...off),
  };
}

export function profileOf(panels: readonly Panel[]): Vec3[] {
  const [bottom] = panels;
  if (!bottom) return [];
  return bottom.rulings
    .map(({ p, q }): Vec3 => (bottom.spansCentreline ? onCentreline(p, q) : p))
    .sort((a, b) => a[0] - b[0]);
}

const onCentreline = (p: Vec3, q: Vec3): Vec3 => lerp3(p, q, p[1] === q[1] ? 0.5 : p[1] / (p[1] - q[1]));
