/** The batch command on an exact cone of 4 m given at 21 stations, judged by nothing but its own JSON. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { run } from './run';

type Panel = {
  name: string;
  edges: { line: string; length: number; points: [number, number, number, number, number][] }[];
  rulings: { twistDeg: number }[];
  area: number;
};

// apex over the boat's side, axis upright; the rulings run down and out from it
const APEX = [2000, -2600, 4200] as const;
const HALF_ANGLE = 0.62;
const onCone = (angle: number, r: number) => [
  APEX[0] + r * Math.sin(HALF_ANGLE) * Math.sin(angle),
  APEX[1] + r * Math.sin(HALF_ANGLE) * Math.cos(angle),
  APEX[2] - r * Math.cos(HALF_ANGLE),
];
const rows = (
  [
    ['chine', 6300, 60],
    ['second', 5800, 40],
    ['sheer', 5400, -70],
  ] as const
).flatMap(([line, r, bulge]) =>
  Array.from({ length: 21 }, (_, i) => {
    const w = i / 20;
    const [x, y, z] = onCone((w - 0.5) * 1.16, r - bulge * (2 * w - 1) ** 2);
    return `${line},${i},${x},${y},${z}`;
  }),
);
const folder = mkdtempSync(join(tmpdir(), 'kalo-cone-'));
afterAll(() => rmSync(folder, { recursive: true }));
const path = join(folder, 'cone.csv');
writeFileSync(path, `# units=mm\nline,station,x,half_breadth,height\n${rows.join('\n')}\n`);

let out = '';
const code = run(['panels', path, '--json'], { out: (text) => (out += text), err: () => undefined, now: () => 0 });
const panels = (JSON.parse(out) as { panels: Panel[] }).panels.filter((panel) => panel.name !== 'chine-chine');

/** Distance on the flat cone: law of cosines on distances from the apex and the rolled-out angle. */
function exactDistance(p: readonly number[], q: readonly number[]): number {
  const polar = (s: readonly number[]) => {
    // three in, three out
    const [x, y, z] = [0, 1, 2].map((k) => (s[k] ?? 0) - (APEX[k] ?? 0)) as [number, number, number];
    return { r: Math.hypot(x, y, z), angle: Math.atan2(x, y) * Math.sin(HALF_ANGLE) };
  };
  const [a, b] = [polar(p), polar(q)];
  return Math.sqrt(a.r ** 2 + b.r ** 2 - 2 * a.r * b.r * Math.cos(a.angle - b.angle));
}

describe('kalo panels on a cone', () => {
  it('answers, a panel between each two lines', () => {
    expect(code).toBe(0);
    expect(panels.map((panel) => panel.name)).toEqual(['chine-second', 'second-sheer']);
  });
  it('is 4 m long', () => expect(panels[0]?.edges[0]?.length).toBeGreaterThan(4000));
  it('keeps the cone’s distances between any two points of the edges, within 0.02 mm', () => {
    for (const panel of panels) {
      const points = panel.edges.flatMap((edge) => edge.points).filter((_, i) => i % 17 === 0);
      for (const p of points)
        for (const q of points) {
          const flat = Math.hypot(p[0] - q[0], p[1] - q[1]);
          expect(Math.abs(flat - exactDistance(p.slice(2), q.slice(2)))).toBeLessThan(0.02);
        }
    }
  });
  it('twists under 0.02° on every interior ruling', () => {
    for (const panel of panels)
      for (const ruling of panel.rulings.slice(1, -1)) expect(Math.abs(ruling.twistDeg)).toBeLessThan(0.02);
  });
  it('has mating edges equal to 0.01 mm', () => {
    expect(Math.abs((panels[0]?.edges[1]?.length ?? 0) - (panels[1]?.edges[0]?.length ?? 1))).toBeLessThan(0.01);
  });
});
