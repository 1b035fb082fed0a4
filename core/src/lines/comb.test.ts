import { describe, expect, it } from 'vitest';
import { demoProject } from '../project';
import { combOf } from './comb';
import { combTurns, tightest } from './fixtures/comb-readings';
import { bendLines } from './hull';
import type { HullLine } from './hull-line';
import { linesOf, type OffsetPoint } from './schema';

const bent = (points: readonly (readonly [number, number, number])[]): HullLine => {
  const list = points.map(([x, halfBreadth, height], i): OffsetPoint => ({
    station: String(i),
    x,
    halfBreadth,
    height,
  }));
  const line = bendLines(linesOf([{ id: 'a', name: 'A', points: list }])).value.lines[0];
  if (!line) throw new Error('the line does not bend');
  return line;
};
const steps = Array.from({ length: 21 }, (_, i) => i / 20);
const middle = <T>(items: readonly T[]) => items.slice(8, -8);

describe('a curvature comb', () => {
  it('of an arc in plan is even, and that of its profile nought', () => {
    const arc = bent(steps.map((u) => [3000 * Math.sin(u), 3000 * Math.cos(u), 250]));
    for (const { curvature } of middle(combOf(arc, 'plan'))) expect(curvature * 3000).toBeCloseTo(-1, 2);
    for (const { curvature } of middle(combOf(arc, 'profile'))) expect(curvature).toBeCloseTo(0, 8);
    expect(tightest(middle(combOf(arc, 'true')))?.radius).toBeCloseTo(3000, -1);
  });
  it('of a helix is a/(a² + b²), whatever its views show', () => {
    const [a, b] = [800, 500];
    const helix = bent(steps.map((u) => [b * 2 * u, a * Math.cos(2 * u), a * Math.sin(2 * u)]));
    for (const { curvature } of middle(combOf(helix, 'true')))
      expect((curvature * (a * a + b * b)) / a).toBeCloseTo(1, 2);
  });
  it('of a straight line has no radius and never turns', () => {
    const straight = combOf(bent(steps.map((u) => [4000 * u, 300 * u, 200])), 'true');
    expect(tightest(straight)).toBeNull();
    expect(combTurns(straight)).toEqual([]);
  });
  it('turns once on an S, and three times more where one point of a fair line is pushed in', () => {
    const s = bent(steps.map((u) => [4000 * u, 300 * Math.sin(2 * Math.PI * u), 0]));
    expect(combTurns(combOf(s, 'plan'), 2e-5)).toHaveLength(1);
    const sheer = demoProject('tamsel', 'x').lines.longitudinals[2];
    if (!sheer) throw new Error('no sheer');
    const points = sheer.points.map((p) => [p.x, p.halfBreadth - (p.station === '4' ? 25 : 0), p.height] as const);
    expect(combTurns(combOf(bent(points), 'plan')).length).toBeGreaterThanOrEqual(2);
    expect(combTurns(combOf(bent(sheer.points.map((p) => [p.x, p.halfBreadth, p.height])), 'plan'))).toEqual([]);
  });
});
