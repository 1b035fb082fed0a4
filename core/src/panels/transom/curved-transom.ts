/**
 * A transom bent athwart: part of a cylinder whose straight lines run up the rake, its hollow side forward.
 *
 * Method (derived here): with g up along the rake and n square to it, aft, a point lies on the cylinder of radius R
 * where p·n + (R − √(R² − y²)) is one figure, c, for all. The rake is fitted to the ends of the lines as for a flat
 * transom, each first brought to the centreline's place by its own sagitta. Between two lines' ends the panel runs on
 * beyond its last ruling in the plane that it has there, square to the ruling, until it meets the cylinder; on the
 * flat the panel's end is the last ruling with as much set out from it. The transom itself is rolled out: R·asin(y/R)
 * athwart, heights along g. Accuracy: a panel runs on some millimetres to centimetres; that it would bend on by as
 * little is left out.
 */
import { add3, at, cross3, dot3, lerp3, scale3, sub3, unit3, type Vec2, type Vec3 } from '../../geometry';
import { battenAt, CENTRELINE_MM, linesToEnd, pointPath, type Hull, type HullLine } from '../../lines';
import type { Remedy } from '../../findings';
import { withAftCurve, type Panel } from '../panel';

export type TransomCylinder = {
  readonly radius: number;
  /** Lean from upright, rad; positive when the top lies further aft. */
  readonly rakeRad: number;
  /** Where it passes the centreline, along n. */
  readonly level: number;
  /** How far the ends of the lines lie off it at most, mm. */
  readonly offMm: number;
};

/** Half-breadths beyond this share of the radius would turn back on themselves. */
const MOST_OF_RADIUS = 0.9;
/** Rake and sagitta depend on each other: this many rounds settle them to a micrometre. */
const ROUNDS = 20;

const up = (rakeRad: number): Vec3 => [Math.sin(rakeRad), 0, Math.cos(rakeRad)];
const aft = (rakeRad: number): Vec3 => [Math.cos(rakeRad), 0, -Math.sin(rakeRad)];
const sagitta = (radius: number, y: number): number => radius - Math.sqrt(Math.max(0, radius ** 2 - y ** 2));
const levelOf = (p: Vec3, { radius, rakeRad }: Pick<TransomCylinder, 'radius' | 'rakeRad'>): number =>
  dot3(p, aft(rakeRad)) + sagitta(radius, p[1]);

/**
 * The cylinder through the ends of the lines, as nearly as may be; undefined where it is too tight for their breadth.
 */
export function fitCylinder(ends: readonly Vec3[], radius: number): TransomCylinder | undefined {
  if (ends.length < 2 || ends.some((p) => Math.abs(p[1]) > MOST_OF_RADIUS * radius)) return undefined;
  let rakeRad = 0;
  for (let round = 0; round < ROUNDS; round++)
    rakeRad = rakeOf(ends.map((p) => add3(p, scale3(aft(rakeRad), sagitta(radius, p[1])))));
  const levels = ends.map((p) => levelOf(p, { radius, rakeRad }));
  const level = levels.reduce((sum, one) => sum + one, 0) / levels.length;
  return { radius, rakeRad, level, offMm: Math.max(...levels.map((one) => Math.abs(one - level))) };
}

/** The direction in the profile that fits points best, from upright. */
export function rakeOf(points: readonly Vec3[]): number {
  const mean = (axis: 0 | 2) => points.reduce((sum, p) => sum + p[axis], 0) / points.length;
  const [mx, mz] = [mean(0), mean(2)];
  const sum = (f: (dx: number, dz: number) => number) =>
    points.reduce((total, p) => total + f(p[0] - mx, p[2] - mz), 0);
  return (
    0.5 *
    Math.atan2(
      2 * sum((dx, dz) => dx * dz),
      sum((dx, dz) => dz * dz - dx * dx),
    )
  );
}

/** Places along the panel's end at which it is set out. */
const END_PLACES = 97;

/** The panel with its after end on the cylinder. */
export function endOnCylinder(panel: Panel, cylinder: TransomCylinder): Panel {
  const last = at(panel.rulings, -1);
  const e = outwardOf(panel);
  const [c0, c1] = [levelOf(last.p, cylinder), levelOf(last.q, cylinder)];
  const curve = Array.from({ length: END_PLACES }, (_, i) => {
    const w = i / (END_PLACES - 1);
    // between its corners, which stay where the lines end
    return reach(lerp3(last.p, last.q, w), e, cylinder, c0 + w * (c1 - c0));
  });
  return withAftCurve(panel, curve);
}

/** In the panel's plane at its last ruling, square to it, away from the panel. */
function outwardOf(panel: Panel): Vec3 {
  const [last, before] = [at(panel.rulings, -1), at(panel.rulings, Math.max(0, panel.rulings.length - 8))];
  const e = unit3(cross3(last.normal, sub3(last.q, last.p)));
  const run = sub3(lerp3(last.p, last.q, 0.5), lerp3(before.p, before.q, 0.5));
  return dot3(e, run) >= 0 ? e : scale3(e, -1);
}

/**
 * How far from p along e the cylinder's surface lies, by Newton's rule; the slope hardly changes over so short a way.
 */
function reach(p: Vec3, e: Vec3, cylinder: TransomCylinder, level: number): number {
  let out = 0;
  for (let step = 0; step < 8; step++) {
    const here = add3(p, scale3(e, out));
    const side = Math.sqrt(Math.max(1, cylinder.radius ** 2 - here[1] ** 2));
    const slope = dot3(e, aft(cylinder.rakeRad)) + (here[1] / side) * e[1];
    if (Math.abs(slope) < 0.05) return 0; // the panel runs along the transom: it ends on its ruling
    out -= (levelOf(here, cylinder) - level) / slope;
  }
  return out;
}

/**
 * The transom's own edge in space, from the centreline or lowest line out and up to the sheer; and mirrored, its flat
 * shape.
 */
export function rolledOut(panels: readonly Panel[], cylinder: TransomCylinder) {
  const half = withoutRepeats(panels.flatMap(endPoints).filter(([, y]) => y >= -CENTRELINE_MM));
  const { radius, rakeRad } = cylinder;
  const heights = half.map((p) => dot3(p, up(rakeRad)));
  const low = Math.min(...heights);
  const flat = half.map((p, i): Vec2 => [radius * Math.asin(p[1] / radius), at(heights, i) - low]);
  const mirrored = [...flat].reverse().filter(([u]) => Math.abs(u) > CENTRELINE_MM);
  const other = [...half].reverse().filter(([, y]) => Math.abs(y) > CENTRELINE_MM);
  return {
    outline: [...flat, ...mirrored.map(([u, v]): Vec2 => [-u, v])],
    corners: [...half, ...other.map(([x, y, z]): Vec3 => [x, -y, z])],
    rows: half.map((p) => rowAt(p, cylinder)),
  };
}

const withoutRepeats = (points: readonly Vec3[]): Vec3[] =>
  points.filter((p, i) => i === 0 || Math.hypot(...sub3(p, at(points, i - 1))) > CENTRELINE_MM);

/** The panel's after end in space, lower edge first. */
export function endPoints(panel: Panel): Vec3[] {
  const last = at(panel.rulings, -1);
  const e = outwardOf(panel);
  const curve = panel.aftCurve ?? [0, 0];
  return curve.map((out, i) => add3(lerp3(last.p, last.q, i / (curve.length - 1)), scale3(e, out)));
}

/** Points of a row across the transom, for drawing it in the round. */
const ROW_POINTS = 13;

/** From a point on its edge across to the mirrored one, at one height along the rake. */
function rowAt(p: Vec3, { radius, rakeRad }: TransomCylinder): Vec3[] {
  const middle = add3(p, scale3(aft(rakeRad), sagitta(radius, p[1])));
  return Array.from({ length: ROW_POINTS }, (_, i) => {
    const y = p[1] * (1 - (2 * i) / (ROW_POINTS - 1));
    const on = sub3(middle, scale3(aft(rakeRad), sagitta(radius, y)));
    return [on[0], y, on[2]];
  });
}

/** Ends every line on the cylinder that passes the aftmost of them: cut back along its own batten. */
export function remedyOnCylinder(hull: Hull, { radius, rakeRad }: TransomCylinder): Remedy {
  const cylinder = { radius, rakeRad };
  const lines = linesToEnd(hull, 'aft');
  const level = Math.min(...lines.map((line) => levelOf(endOf(line), cylinder)));
  const edits = lines.flatMap((line) => {
    const p = cutBack(line, (point) => levelOf(point, cylinder) - level);
    const { index } = at(line.points, -1);
    const tenth = (value: number) => Math.round(value * 10) / 10;
    return [
      { path: pointPath(line.id, index, 'x'), value: tenth(p[0]) },
      { path: pointPath(line.id, index, 'halfBreadth'), value: tenth(p[1]) },
      { path: pointPath(line.id, index, 'height'), value: tenth(p[2]) },
    ];
  });
  return { label: 'End the lines on the bent transom', edits };
}

const endOf = (line: HullLine): Vec3 => battenAt(line.batten, 1).position;

/** Where the batten's after end passes f = 0, by halving; its end where it does not come to it. */
function cutBack(line: HullLine, f: (p: Vec3) => number): Vec3 {
  let [low, high] = [0.5, 1];
  if (f(battenAt(line.batten, low).position) > 0) return endOf(line);
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2;
    if (f(battenAt(line.batten, middle).position) > 0) high = middle;
    else low = middle;
  }
  return battenAt(line.batten, high).position;
}
