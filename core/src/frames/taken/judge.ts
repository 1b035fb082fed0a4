/** What is wrong with what was measured. */
import { at, distance2, evaluate, fitSpline, type Vec2, type Vec3 } from '../../geometry';
import type { FramesFinding } from '../findings';
import type { TakenShape } from '../schema';
import type { Taken } from './shape';

/** A point is doubted that lies so many times what is faired off, and so many mm, off the curve of the others. */
const DOUBT = { times: 4, leastMm: 5 };
/** On either side of a point, to say where it should be. */
const BESIDE = 3;

export function judgeTaken(shapes: readonly TakenShape[], taken: readonly Taken[]): FramesFinding[] {
  const where = { stage: 'frames' } as const;
  return shapes.flatMap((shape) => {
    const made = taken.find(({ id }) => id === shape.id);
    if (!made) return [];
    const apart = made.apart.map((point): FramesFinding => {
      const data = { shape: shape.name, point };
      return { severity: 'check', code: 'taken-apart', where, data };
    });
    return [...apart, ...unfair(shape, made)];
  });
}

/** The point that lies furthest off the curve through those beside it, between corners. */
function unfair(shape: TakenShape, { points }: Taken): FramesFinding[] {
  const isCorner = (id: string) => shape.points.some((point) => point.id === id && point.isCorner);
  const ends = points.flatMap(({ id }, i) => (i === 0 || i === points.length - 1 || isCorner(id) ? [i] : []));
  const offs = ends.slice(1).flatMap((to, k) => offCurve(points.slice(at(ends, k), to + 1)));
  const worst = offs.reduce((most, one) => (one.offMm > most.offMm ? one : most), { id: '', offMm: 0 });
  if (worst.offMm <= Math.max(DOUBT.leastMm, DOUBT.times * shape.fairBy)) return [];
  const point = shape.points.findIndex(({ id }) => id === worst.id) + 1;
  const data = { shape: shape.name, point, offMm: worst.offMm };
  return [{ severity: 'check', code: 'taken-unfair', where: { stage: 'frames' }, data }];
}

function offCurve(points: Taken['points']): { readonly id: string; readonly offMm: number }[] {
  return points.slice(1, -1).flatMap(({ id, measured }, k) => {
    const i = k + 1;
    const beside = points.slice(Math.max(0, i - BESIDE), i + BESIDE + 1).filter((point) => point.id !== id);
    if (beside.length < LEAST_BESIDE || beside.some((p, k2) => k2 > 0 && isSame(p, at(beside, k2 - 1)))) return [];
    const before = beside.findIndex((point) => points.indexOf(point) > i);
    const spline = fitSpline(beside.map(({ measured: [y, z] }): Vec3 => [y, z, 0]));
    const [from, to] = [at(spline.knots, before - 1), at(spline.knots, before)];
    const steps = Array.from({ length: STEPS + 1 }, (_, s) => {
      const [y, z] = evaluate(spline, from + ((to - from) * s) / STEPS).position;
      return distance2(measured, [y, z] as Vec2);
    });
    return [{ id, offMm: Math.min(...steps) }];
  });
}

type Point = Taken['points'][number];
const isSame = (a: Point, b: Point) => distance2(a.measured, b.measured) < SAME_MM;
const SAME_MM = 1e-3;
/** Of fewer no curve can be told. */
const LEAST_BESIDE = 4;

/** Places between two neighbours at which the curve is looked at. */
const STEPS = 40;
