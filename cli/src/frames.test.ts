/** What the batch command says of sections and bevels, against closed forms, by nothing but its own JSON. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { EXACT_SIDES, TWO_CONES } from '../../core/src/frames/fixtures/exact-hulls';
import { run } from './run';

const folder = mkdtempSync(join(tmpdir(), 'kalo-frames-'));
afterAll(() => rmSync(folder, { recursive: true }));
let files = 0;
const file = (text: string) => {
  const path = join(folder, `${++files}.csv`);
  writeFileSync(path, text);
  return path;
};
function kalo<T>(...args: string[]): { readonly code: number; readonly err: string; readonly answer: T } {
  let [out, err] = ['', ''];
  const code = run([...args, '--json'], { out: (text) => (out += text), err: (text) => (err += text), now: () => 0 });
  return { code, err, answer: (out === '' ? undefined : JSON.parse(out)) as T };
}

type Point = { y: number; z: number; bevelDeg: number; otherFaceOffset: number };
type Frames = { frames: { x: number; edges: { between: [string, string]; points: Point[] }[] }[] };

describe.each(EXACT_SIDES)('kalo frames on $name', ({ csv, between, depthOf, normalAt, xs }) => {
  const path = file(csv);
  it.each([0, -15, 8, 20].flatMap((rake) => [0, 6].map((skin) => [rake, skin] as const)))(
    'raked %i°, less a skin of %i mm: within 0.1 mm and 0.1° all along',
    (rake, skin) => {
      const { answer } = kalo<Frames>(
        ...['frames', path, '--at', xs.join(','), '--skin', String(skin), '--frame', '12', '--rake', String(rake)],
      );
      expect(answer.frames.map(({ x }) => x)).toEqual(xs);
      const [c, s] = [Math.cos((rake * Math.PI) / 180), Math.sin((rake * Math.PI) / 180)];
      for (const { x, edges } of answer.frames) {
        const edge = edges.find((one) => one.between[0] === between[0] && one.between[1] === between[1]);
        const points = edge?.points ?? [];
        expect(points.length).toBeGreaterThan(1);
        // between two points the edge is straight: it leaves the surface by no more there
        points.slice(1).forEach((p, i) => {
          const q = points[i] ?? p;
          const middle = [x + ((p.z + q.z) / 2) * s, (p.y + q.y) / 2, ((p.z + q.z) / 2) * c] as const;
          expect(Math.abs(depthOf(middle) - skin)).toBeLessThan(0.1);
        });
        for (const { y, z, bevelDeg, otherFaceOffset } of points) {
          // the point of the plane, in the boat; its top leans aft
          const place = [x + z * s, y, z * c] as const;
          expect(Math.abs(depthOf(place) - skin)).toBeLessThan(0.1);
          const [nx, , nz] = normalAt(place);
          const exact = (Math.asin(nx * c - nz * s) * 180) / Math.PI;
          expect(Math.abs(bevelDeg - exact)).toBeLessThan(0.1);
          expect(otherFaceOffset).toBeCloseTo(12 * Math.tan((bevelDeg * Math.PI) / 180), 3);
        }
      }
    },
  );
});

type Bevels = {
  length: number;
  rows: { s: number; x: number; y: number; z: number; dihedralDeg: number; bevelDeg: number }[];
  ripDeg: number;
  leftToPlane: number;
  wedgeMm: number;
};

describe('kalo bevels on two cones that meet in a chine', () => {
  const path = file(TWO_CONES.csv);
  const { answer } = kalo<Bevels>('bevels', path, '--line', TWO_CONES.line, '--step', '137');
  it('has the angle between the two tangent planes within 0.05° in every row', () => {
    for (const { x, dihedralDeg, bevelDeg } of answer.rows) {
      expect(Math.abs(dihedralDeg - TWO_CONES.dihedralDeg(x))).toBeLessThan(0.05);
      expect(bevelDeg).toBeCloseTo(dihedralDeg - 90, 6);
    }
  });
  it('has a row at every step, at every station and at both ends, in order', () => {
    const places = answer.rows.map(({ s }) => s);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    for (let s = 0; s < answer.length; s += 137) expect(places).toContain(s);
    for (let i = 0; i <= 40; i++) expect(answer.rows.some(({ x }) => Math.abs(x - 100 * i) < 1e-3)).toBe(true);
    expect(places.at(-1)).toBeCloseTo(answer.length, 3);
  });
  it('rips at the bevel nearest to square, and leaves the rest to the plane', () => {
    const bevels = answer.rows.map(({ bevelDeg }) => bevelDeg);
    expect(answer.ripDeg).toBe(Math.min(...bevels)); // all of them open
    expect(answer.leftToPlane).toBeCloseTo(Math.max(...bevels) - answer.ripDeg, 5);
    expect(answer.wedgeMm).toBeCloseTo(20 * Math.tan((answer.leftToPlane * Math.PI) / 180), 4);
  });
  it.each<[string, string[], RegExp]>([
    ['no line', ['bevels', path], /--line is missing/],
    ['a line that is none', ['bevels', path, '--line', 'knuckle'], /"knuckle"; expected one .* inner, chine, sheer/],
    ['no step', ['bevels', path, '--line', 'chine', '--step', '0'], /--step is "0"; expected a number from 1/],
    ['a rake past reason', ['frames', path, '--at', '9', '--skin', '6', '--frame', '9', '--rake', '90'], /--rake/],
    ['a run shorter than its ends', ['spacing', '--run', '50', '--ends', '30', '--about', '9'], /less than half/],
    ['a file too many', ['spacing', path, '--run', '50', '--ends', '3', '--about', '9'], /expected no file/],
    ['no place to write', ['project', path], /--out is missing/],
    ['a school that is none', ['project', path, '--out', 'x', '--school', 'riveted'], /filleted, framed/],
    ['frames that are no figures', ['project', path, '--out', 'x', '--frames', '1,two'], /--frames has "two"/],
  ])('refuses %s in one line', (_, args, says) => {
    const { code, err } = kalo(...args);
    expect(code).toBe(2);
    expect(err).toMatch(says);
    expect(err.trim().split('\n')).toHaveLength(1);
  });
});

it('kalo spacing: 1000 long, 30 at the ends, about 150: (1000 − 60)/150 = 6.27, so 6 gaps of 940/6', () => {
  const { answer } = kalo<{ gaps: number; spacing: number; at: number[] }>(
    ...['spacing', '--run', '1000', '--ends', '30', '--about', '150'],
  );
  expect(answer.gaps).toBe(6);
  expect(answer.spacing).toBeCloseTo(940 / 6, 5);
  expect(answer.at).toHaveLength(7);
  expect([answer.at[0], answer.at[6]]).toEqual([30, 970]);
});

describe('kalo project, and what takes a table in its place', () => {
  const path = file(EXACT_SIDES[0]?.csv ?? '');
  const options = ['--thickness', '4', '--school', 'framed', '--frames', '1000,2600'];
  it('writes a project with what was asked for, which the other commands take', () => {
    const out = join(folder, 'boat.json');
    expect(kalo('project', path, '--out', out, ...options).code).toBe(0);
    const fromProject = kalo<{ totals: object }>('takeoff', out);
    const fromTable = kalo<{ totals: object }>('takeoff', path, ...options);
    expect(fromProject.code).toBe(0);
    expect(fromProject.answer.totals).toEqual(fromTable.answer.totals);
  });
  it('refuses its options where the project itself says it', () => {
    const out = join(folder, 'boat2.json');
    kalo('project', path, '--out', out);
    expect(kalo('takeoff', out, '--school', 'framed').err).toMatch(/--school goes with a table/);
  });
});
