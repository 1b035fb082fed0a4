import { describe, expect, it } from 'vitest';
import { at, type Vec3 } from '../geometry';
import { demoProject } from '../project';
import { battenAt, bendBatten, crossingsOfX } from './batten';
import { lengthAlong } from './fixtures/length-along';
import { residuals } from './fairness';
import { drawLines } from './hull';
import type { LinesTable } from './schema';
import { layTape, lengthAtX, pointOnTape } from './tape';

const tamsel = demoProject('tamsel', 'x').lines;
const changed = (
  line: string,
  station: string,
  key: 'halfBreadth' | 'height' | 'x',
  f: (value: number) => number,
): LinesTable => ({
  longitudinals: tamsel.longitudinals.map((own) =>
    own.id !== line
      ? own
      : { ...own, points: own.points.map((p) => (p.station === station ? { ...p, [key]: f(p[key]) } : p)) },
  ),
});

describe('a batten', () => {
  const arc = Array.from({ length: 13 }, (_, i) => [2000 * Math.sin(i / 12), 2000 * Math.cos(i / 12), 100] as const);
  it('is as long as the arc it follows, to 0.01 mm', () => {
    expect(Math.abs(lengthAlong(bendBatten(arc)) - 2000)).toBeLessThan(0.01);
  });
  it('crosses a station where the circle does', () => {
    const batten = bendBatten(arc);
    const [t] = crossingsOfX(batten, 777);
    const [x, y] = battenAt(batten, t ?? NaN).position;
    expect(x).toBeCloseTo(777, 8);
    expect(Math.abs(y - Math.sqrt(4e6 - 777 ** 2))).toBeLessThan(0.01);
    expect(crossingsOfX(batten, 5000)).toEqual([]);
    expect(crossingsOfX(batten, 0)).toEqual([0]);
  });
  it('breaks at a knuckle: two tangents there, straight on both sides of a straight corner', () => {
    const corner = bendBatten(
      [
        [0, 0, 0],
        [100, 0, 0],
        [200, 0, 0],
        [300, 80, 0],
        [400, 160, 0],
      ],
      [2],
    );
    const t = at(corner.breaks, 1);
    expect(battenAt(corner, t, -1).first[1]).toBeCloseTo(0, 12);
    expect(battenAt(corner, t, 1).first[1]).toBeGreaterThan(0.5);
    expect(crossingsOfX(corner, 200)).toHaveLength(1);
  });
});

describe('drawLines', () => {
  it('judges a point of a long line by those around it as by all of it', () => {
    const points = Array.from({ length: 90 }, (_, i) => ({
      ...{ station: '', x: 50 * i, halfBreadth: 600 * Math.sin(i / 30) + (i % 7), height: 0.02 * i * i + (i % 5) },
    }));
    const long = residuals(points);
    for (const index of [1, 5, 30, 45, 70, 88]) {
      const others = points.filter((_, i) => i !== index).map((p): Vec3 => [p.x, p.halfBreadth, p.height]);
      const batten = bendBatten(others);
      const [, y, z] = battenAt(batten, crossingsOfX(batten, points[index]!.x)[0]!).position;
      expect(Math.abs(long[index]!.halfBreadth - (points[index]!.halfBreadth - y))).toBeLessThan(1e-4);
      expect(Math.abs(long[index]!.height - (points[index]!.height - z))).toBeLessThan(1e-4);
    }
  });
  it('finds the demo fair: no finding, every residual under 1 mm', () => {
    const { value, findings } = drawLines(tamsel);
    expect(findings).toEqual([]);
    for (const line of value.lines) for (const r of line.residuals) expect(r.total).toBeLessThan(1);
    expect(value.stations.map((station) => station.x)).toEqual([600, 1200, 1800, 2400, 3000, 3600]);
  });
  it.each([
    ['sheer', '3', 'halfBreadth', -100, '100 mm more'],
    ['chine', '4', 'height', 25.4, 'One inch less'],
    ['keel', '3', 'height', 304.8, 'One foot less'],
    ['sheer', '4', 'halfBreadth', 10, '10 mm less'],
  ] as const)('names the slip: %s, station %s, %s off by %d', (line, station, key, off, slip) => {
    const { findings } = drawLines(changed(line, station, key, (value) => value + off));
    const found = findings.find((finding) => finding.code === 'slip');
    expect(found?.where).toMatchObject({ line, station });
    expect(found?.data['slip']).toBe(slip);
    expect(found?.remedies?.[0]?.edits[0]?.value).toBeCloseTo(
      tamsel.longitudinals.find((own) => own.id === line)?.points.find((p) => p.station === station)?.[key] ?? NaN,
      6,
    );
  });
  it.each<[string, LinesTable, string]>([
    ['a sign', changed('chine', '2', 'halfBreadth', (v) => -v), 'half-breadth-negative'],
    ['a station out of order', changed('chine', '3', 'x', () => 1000), 'line-turns-back'],
    [
      'a line through another',
      {
        longitudinals: [at(tamsel.longitudinals, 0), at(tamsel.longitudinals, 2), at(tamsel.longitudinals, 1)],
      },
      'lines-cross',
    ],
    [
      'a chine that runs out on the keel',
      {
        longitudinals: tamsel.longitudinals.map((l) => {
          const keel = at(tamsel.longitudinals, 0).points;
          return l.id === 'chine' ? { ...l, points: [at(keel, 2), ...l.points.slice(3)] } : l;
        }),
      },
      'line-runs-out',
    ],
    [
      'a point twice',
      {
        longitudinals: tamsel.longitudinals.map((l) => ({
          ...l,
          points: [...l.points.slice(0, 3), l.points[2] as (typeof l.points)[number], ...l.points.slice(3)],
        })),
      },
      'point-repeated',
    ],
    [
      'one point',
      { longitudinals: tamsel.longitudinals.map((l) => ({ ...l, points: l.points.slice(0, 1) })) },
      'line-too-short',
    ],
    ['no line', { longitudinals: [] }, 'lines-too-few'],
  ])('says what is wrong: %s', (_name, part, code) => {
    expect(drawLines(part).findings.map((finding) => finding.code)).toContain(code);
  });
});

describe('the tape', () => {
  const tape = layTape(
    'edge',
    [
      [0, 0, 0],
      [300, 400, 0],
      [600, 400, 0],
    ],
    [
      { label: '1', x: 150 },
      { label: '2', x: 450 },
      { label: '3', x: 900 },
    ],
  );
  it('measures along, ticks stations where they are passed, and finds places both ways', () => {
    expect(tape.length).toBe(800);
    expect(tape.ticks).toEqual([
      { label: '1', s: 250 },
      { label: '2', s: 650 },
    ]);
    expect(pointOnTape(tape, 650)).toEqual([450, 400, 0]);
    expect(pointOnTape(tape, 9999)).toEqual([600, 400, 0]);
    expect(lengthAtX(tape, 310)).toBe(500);
  });
});
