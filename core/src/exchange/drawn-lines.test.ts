/** Lines that come back from a drawing as they were drawn: this program's own, and those of others. */
import { describe, expect, it } from 'vitest';
import { at, distance3, dot3, length3, random, scale3, sub3, type Vec2, type Vec3 } from '../geometry';
import { battenAt, bendBatten, bendLines, linesOf, type LinesPart, type Longitudinal } from '../lines';
import { demoProject, DEMO_IDS } from '../project';
import { CURVE_MM } from '../formats';
import { writeDxf } from '../formats/writers';
import { linesDrawing } from '../lines/drawings';
import { readLinesDxf } from './lines-dxf';

const read = (text: string) => {
  const result = readLinesDxf(text);
  if (!result.ok) throw new Error(result.problems.join('; '));
  return result;
};
const polyline = (layer: string, points: readonly Vec2[], bulges: readonly number[] = []) => [
  ...['0', 'LWPOLYLINE', '8', layer, '90', String(points.length), '70', '0'],
  ...points.flatMap(([x, y], i) => ['10', String(x), '20', String(y), ...(bulges[i] ? ['42', String(bulges[i])] : [])]),
];
const dxf = (...entities: readonly (readonly string[])[]) =>
  ['0', 'SECTION', '2', 'ENTITIES', ...entities.flat(), '0', 'ENDSEC', '0', 'EOF', ''].join('\n');
const even = (count: number, f: (w: number) => number, length = 4000): Vec2[] =>
  Array.from({ length: count }, (_, i): Vec2 => [(length * i) / (count - 1), f(i / (count - 1))]);

const battenOf = ({ points }: Longitudinal) =>
  bendBatten(
    points.map((p) => [p.x, p.halfBreadth, p.height]),
    points.flatMap((p, i) => (p.isKnuckle ? [i] : [])),
  );
type Batten = ReturnType<typeof battenOf>;
const sampled = (batten: Batten, count: number): Vec3[] =>
  Array.from({ length: count + 1 }, (_, i) => battenAt(batten, i / count).position);
/** How far the first batten strays from the second, mm: at 60 places, each from the chords of 1,500 of the other. */
function apart(a: Batten, b: Batten): number {
  const fine = sampled(b, 1500);
  const off = (p: Vec3, k: number) => distance3(p, at(fine, k));
  const worst = sampled(a, 60).map((p) => {
    const near = fine.reduce((best, _, k) => (off(p, k) < off(p, best) ? k : best), 0);
    const chord = (k: number) => {
      const [d, q] = [sub3(at(fine, k + 1), at(fine, k)), sub3(p, at(fine, k))];
      return length3(sub3(q, scale3(d, Math.min(1, Math.max(0, dot3(q, d) / dot3(d, d))))));
    };
    return Math.min(chord(Math.max(0, near - 1)), chord(Math.min(fine.length - 2, near)));
  });
  return Math.max(...worst);
}
const placeOf = (p: { x: number; halfBreadth: number; height: number }): Vec3 => [p.x, p.halfBreadth, p.height];
const plainly = ({ longitudinals }: LinesPart) =>
  longitudinals.map(({ name, isExtra, points }) => ({
    name,
    isExtra: isExtra ?? false,
    points: points.map(({ station, isKnuckle }) => ({ station, isKnuckle: isKnuckle ?? false })),
  }));
const byName = <T extends { readonly name: string }>(list: readonly T[]) =>
  [...list].sort((a, b) => (a.name < b.name ? -1 : 1));

const tamsel = demoProject('tamsel', 'x').lines;
const renamed = (line: Longitudinal, name: string, aside: number): Longitudinal => ({
  ...line,
  id: name.toLowerCase().replace(/\s+/g, '-'),
  name,
  points: line.points.map((p, i) => ({
    ...p,
    station: i === 2 ? '1½' : '',
    x: p.x + (i > 0 && i < line.points.length - 1 ? aside : 0),
    height: p.height + (i === 3 ? 20 : 0),
    ...(i === 3 ? { isKnuckle: true } : {}),
  })),
});
// no station in common; a name that the drawing itself uses, one in other letters, two alike in capitals, a guide line
const odd: LinesPart = linesOf([
  renamed(at(tamsel.longitudinals, 0), 'Base', 0),
  renamed(at(tamsel.longitudinals, 1), 'киль', 37),
  renamed(at(tamsel.longitudinals, 2), 'Sheer A', 74),
  { ...renamed(at(tamsel.longitudinals, 2), 'Sheer a', 11), isExtra: true },
]);

const tables: readonly (readonly [string, LinesPart])[] = [
  ...DEMO_IDS.map((id) => [id, demoProject(id, 'x').lines] as const),
  ['a table with knuckles, no common stations and odd names', odd],
];
describe.each(tables)('%s, drawn and read', (_name, lines) => {
  const hull = bendLines(lines).value;
  const text = writeDxf(linesDrawing(hull));
  it('comes back as the table that it was', () => {
    const back = read(text);
    expect(back.assumed).toEqual([]);
    expect(byName(plainly(back.lines))).toEqual(byName(plainly(lines)));
    const ids = back.lines.longitudinals.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const line of lines.longitudinals) {
      const own = back.lines.longitudinals.find(({ name }) => name === line.name);
      line.points.forEach((p, i) =>
        expect(distance3(placeOf(p), placeOf(at(own?.points ?? [], i)))).toBeLessThan(0.02),
      );
    }
  });
  it('without its words and stations follows every drawn curve within 0.05 mm', () => {
    const back = read(text.replaceAll('STATIONS', 'OTHER').replace(/^ *0\r?\nTEXT\r?\n/gm, '0\nPOINT\n'));
    expect(back.assumed).toHaveLength(1); // that there are no stations: nothing of a curve that is left
    for (const line of [...hull.lines, ...hull.extras]) {
      const off = back.lines.longitudinals.map((other) => apart(battenOf(other), line.batten));
      expect(Math.min(...off)).toBeLessThan(0.05 + CURVE_MM); // the drawing itself is so far from the batten
    }
  });
});

describe('a drawing of somebody else’s', () => {
  it('has the points of both views: a chine straight in profile keeps its plan', () => {
    const plan = even(21, (w) => 700 * Math.sin(Math.PI * w));
    const back = read(
      dxf(
        polyline(
          'PROFILE CHINE',
          even(2, () => 0),
        ),
        polyline('PLAN CHINE', plan),
      ),
    );
    const [chine] = back.lines.longitudinals as [Longitudinal];
    expect(chine.points.map((p) => [p.x, p.halfBreadth, p.height])).toEqual(
      plan.map(([x, y]) => [x, Math.round(y * 100) / 100, 0]),
    );
  });
  it('in a thousand pieces comes in by few points, and breaks where the curve breaks', () => {
    // height: two parabolas that meet in a knuckle of 5.7° at 1600; breadth: a half-wave
    const profile = even(1001, (w) => (w < 0.4 ? 500 * w * w : 80 + 200 * (w - 0.4) * (w + 1)));
    const plan = even(1001, (w) => 700 * Math.sin(Math.PI * w));
    const back = read(dxf(polyline('PROFILE SHEER', profile), polyline('PLAN SHEER', plan)));
    const [sheer] = back.lines.longitudinals as [Longitudinal];
    expect(sheer.points.length).toBeLessThan(30);
    expect(sheer.points.flatMap((p) => (p.isKnuckle ? [p.x] : []))).toEqual([1600]);
    const line = sampled(battenOf(sheer), 400);
    for (const [x, y, z] of line) {
      const w = x / 4000;
      expect(Math.abs(z - (w < 0.4 ? 500 * w * w : 80 + 200 * (w - 0.4) * (w + 1)))).toBeLessThan(0.05);
      expect(Math.abs(y - 700 * Math.sin(Math.PI * w))).toBeLessThan(0.05);
    }
    expect(back.assumed.join()).not.toMatch(/off the drawn line/);
  });
  it('says how far the batten leaves straight pieces, or stations that miss a bend', () => {
    const sag = read(
      dxf(
        polyline('PROFILE KEEL', [
          [0, 0],
          [1000, 100],
          [2000, 0],
        ]),
      ),
    );
    // the parabola through the three, at a quarter: 0.75·100, against 50 on the straight piece
    expect(sag.assumed.join()).toMatch(/Keel|KEEL: a fair curve .* up to 2[0-9.]+ mm off the drawn line/);
    const station = (x: number) =>
      polyline('STATIONS', [
        [x, 0],
        [x, 500],
      ]);
    const wave = even(401, (w) => 50 * Math.sin(6 * Math.PI * w));
    const missed = read(dxf(polyline('PROFILE KEEL', wave), station(1000), station(2000)));
    expect(missed.lines.longitudinals[0]?.points).toHaveLength(4);
    expect(missed.assumed.join()).toMatch(/KEEL: a fair curve through the points taken lies up to \d+\.\d mm off/);
  });
  it('has the arcs of its polylines; what cannot be read is named', () => {
    // a bulge of 1 is half a circle: radius 500 about (500, 0), below for a positive one
    const back = read(
      dxf(
        polyline(
          'PROFILE STEM',
          [
            [0, 0],
            [1000, 0],
          ],
          [1],
        ),
      ),
    );
    const stem = at(back.lines.longitudinals, 0);
    for (const [x, , z] of sampled(battenOf(stem), 60))
      expect(Math.abs(Math.hypot(x - 500, z) - 500)).toBeLessThan(0.05);
    expect(Math.min(...stem.points.map((p) => p.height))).toBeLessThan(-499);
    const refused = readLinesDxf(
      dxf(
        polyline(
          'PROFILE KEEL',
          even(3, () => 0),
        ),
        ['0', 'SPLINE', '8', 'Profile Sheer'],
      ),
    );
    expect(refused).toEqual({
      ok: false,
      problems: ['Layer Profile Sheer: SPLINE cannot be read; expected lines and polylines'],
    });
  });
  it('with 20,000 pieces on a layer is read in one pass', () => {
    const line = even(20_001, (w) => 100 * w * w);
    const pieces = line.slice(1).map((p, i) => polyline('PROFILE KEEL', [at(line, i), p]));
    expect(at(read(dxf(...pieces)).lines.longitudinals, 0).points.length).toBeLessThan(20);
  });
});

describe('a damaged drawing', () => {
  const good = writeDxf(linesDrawing(bendLines(tamsel).value));
  const chance = random(12);
  const whole = (below: number) => Math.floor(chance() * below);
  const inLines = (harm: (lines: string[], at: number) => void) => (text: string) => {
    const lines = text.split('\n');
    harm(lines, whole(lines.length));
    return lines.join('\n');
  };
  const without = (text: string, from: number, to: number) => text.slice(0, from) + text.slice(to);
  const harms: readonly ((text: string) => string)[] = [
    (text) => text.slice(0, whole(text.length)),
    (text) => without(text, whole(text.length), whole(text.length)),
    inLines((lines, k) => (lines[k] = at(['', 'x', '-1', '1e999', '0', '42'], whole(6)))),
    inLines((lines, k) => lines.splice(k, 1 + whole(3))),
  ];
  it('is read or refused in a sentence, 200 of them (seed 12)', () => {
    for (let i = 0; i < 200; i++) {
      const result = readLinesDxf(at(harms, i % harms.length)(good));
      if (!result.ok) expect(at(result.problems, 0)).toMatch(/^(This is not a DXF|Layer |No layer |Some points )/);
      const points = result.ok ? result.lines.longitudinals.flatMap((line) => line.points) : [];
      for (const p of points) expect(Number.isFinite(p.x + p.halfBreadth + p.height)).toBe(true);
    }
  });
  it.each([
    ['0\nSECTION\nsomething\n', /Line 3: found "something"/],
    [good.slice(0, good.length / 2), /line \d+/i],
    ['\n'.repeat(1_000_000), /Line 1: found ""/],
  ])('says on which line it breaks off (%#)', (text, wanted) => {
    const result = readLinesDxf(text);
    expect(result.ok ? '' : at(result.problems, 0)).toMatch(wanted);
  });
});
