import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import { run } from './run';

const folder = mkdtempSync(join(tmpdir(), 'kalo-'));
afterAll(() => rmSync(folder, { recursive: true }));
const file = (name: string, text: string) => {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
};
const tamsel = new URL('../../docs/samples/tamsel.csv', import.meta.url).pathname;

function kalo(...args: string[]) {
  let [out, err, clock] = ['', '', 0];
  const code = run(args, {
    out: (text) => (out += text),
    err: (text) => (err += text),
    now: () => (clock += 5),
  });
  return { code, out, err, json: () => JSON.parse(out) as Record<string, never> };
}

describe('kalo', () => {
  it('panels: the keys of the contract, and flat points that keep the distances of their points in space', () => {
    const answer = kalo('panels', tamsel, '--json').json() as unknown as {
      panels: {
        name: string;
        outline: number[][];
        edges: { line: string; length: number; points: number[][] }[];
        rulings: Record<string, number>[];
        maxTwistDeg: number;
        area: number;
      }[];
    };
    expect(answer.panels.map((panel) => panel.name)).toEqual(['keel-chine', 'chine-sheer']);
    const [first] = answer.panels;
    expect(Object.keys(first ?? {})).toEqual([
      'name',
      'between',
      'outline',
      'edges',
      'rulings',
      'maxTwistDeg',
      'maxStrain',
      'minBendRadius',
      'area',
    ]);
    expect(Object.keys(first?.rulings[3] ?? {})).toEqual(['u0', 'v0', 'u1', 'v1', 'twistDeg', 'bendRadius']);
    const points = first?.edges[1]?.points ?? [];
    points.slice(1).forEach((p, i) => {
      const q = points[i] ?? p;
      const d = p.map((value, k) => value - (q[k] ?? 0));
      expect(Math.abs(Math.hypot(d[0] ?? 0, d[1] ?? 0) - Math.hypot(d[2] ?? 0, d[3] ?? 0, d[4] ?? 0))).toBeLessThan(
        1e-4,
      );
    });
  });
  it('frames: outline and bevels', () => {
    const { frames } = kalo(
      'frames',
      tamsel,
      '--at',
      '1200,3000',
      '--skin',
      '6',
      '--frame',
      '9',
      '--json',
    ).json() as unknown as {
      frames: {
        x: number;
        outline: number[][];
        edges: { between: string[]; sectionBow: number; points: Record<string, number>[] }[];
      }[];
    };
    expect(frames.map((frame) => frame.x)).toEqual([1200, 3000]);
    expect(Object.keys(frames[0]?.edges[0]?.points[0] ?? {})).toEqual(['y', 'z', 'bevelDeg', 'otherFaceOffset']);
    expect(frames[0]?.outline[0]?.[0]).toBeCloseTo(0, 6);
  });
  it('lines: residuals, and a slip with its quantity, value and suggestion', () => {
    const text = readFileSync(tamsel, 'utf8').replace('532.2', '432.2');
    const { findings } = kalo('lines', file('slip.csv', text), '--json').json() as unknown as {
      findings: Record<string, unknown>[];
    };
    expect(findings).toContainEqual(
      expect.objectContaining({
        code: 'slip',
        line: 'sheer',
        station: '3',
        quantity: 'half_breadth',
        value: 432.2,
        suggested: 532.2,
        slip: '100 mm more',
      }),
    );
  });
  it('nest: exactly the same layout for the same rounds', () => {
    const job = {
      gap: 6,
      margin: 8,
      sheets: [{ id: 'A', width: 600, height: 400, qty: 2 }],
      parts: [
        {
          id: 'p',
          outline: [
            [0, 0],
            [200, 0],
            [150, 90],
            [0, 120],
          ],
          holes: [],
          qty: 5,
          rotations: [0, 180],
          mirror: true,
        },
      ],
    };
    const path = file('job.json', JSON.stringify(job));
    const layouts = [1, 2].map(
      () =>
        kalo('nest', path, '--rounds', '5', '--seed', '4', '--json').json() as unknown as {
          sheets: unknown;
          unplaced: unknown[];
          sheetsUsed: number;
        },
    );
    expect(layouts[0]?.sheets).toEqual(layouts[1]?.sheets);
    expect(layouts[0]?.unplaced).toEqual([]);
  });
  it('takeoff and export: quantities, and the files', () => {
    const path = file('orrin.json', JSON.stringify(demoProject('orrin', 'x')));
    const { totals, sheets } = kalo('takeoff', path, '--json').json() as unknown as {
      totals: Record<string, number>;
      sheets: { sheets: number; unplaced: number }[];
    };
    expect(totals['resinWithWaste']).toBeGreaterThan(totals['resin'] ?? Infinity);
    expect(sheets.every((entry) => entry.sheets > 0 && entry.unplaced === 0)).toBe(true);
    const out = join(folder, 'out');
    expect(kalo('export', path, '--out', out, '--only', 'dxf').code).toBe(0);
    expect(readdirSync(out)).toEqual(
      expect.arrayContaining(['orrin-pram-chine-chine.dxf', 'orrin-pram-bow-transom.dxf', 'orrin-pram.kalotrope.json']),
    );
  });
  it('plan: jobs in the project’s hours, and a calendar file where there is a first day', () => {
    const project = demoProject('tamsel', 'x');
    const path = file('plan.json', JSON.stringify({ ...project, plan: { ...project.plan, starts: '2027-03-01' } }));
    const ics = join(folder, 'plan.ics');
    const { jobs, endMinute, boundMinute } = kalo('plan', path, '--json', '--calendar', ics).json() as unknown as {
      jobs: { name: string; sessions: { from: number; to: number }[] }[];
      endMinute: number;
      boundMinute: number;
    };
    expect(jobs.every(({ sessions }) => sessions.length > 0)).toBe(true);
    expect(endMinute).toBeGreaterThanOrEqual(boundMinute);
    const events = readFileSync(ics, 'utf8').split('BEGIN:VEVENT').length - 1;
    expect(events).toBe(jobs.reduce((sum, { sessions }) => sum + sessions.length, 0));
    const undated = kalo('plan', file('undated.json', JSON.stringify(project)), '--calendar', ics);
    expect([undated.code, undated.err]).toEqual([2, expect.stringMatching(/no first day/)]);
  });
  it('bend: a sheet in, a hull out, with what its holds take; nonsense is refused by name', () => {
    const side = {
      lower: [
        [0, 0],
        [3000, 0],
      ],
      upper: [
        [-80, 350],
        [3050, 350],
      ],
      ...{ stern: { lower: 300, upper: 380 }, frames: [{ x: 1500, lower: 380, upper: 480 }], spans: 16 },
    };
    const answer = kalo('bend', file('side.json', JSON.stringify(side)), '--json').json() as unknown as {
      settled: boolean;
      lengthOverAll: number;
      lower: [number, number, number][];
      holds: { offMm: number; feel: string }[];
    };
    expect(answer.settled).toBe(true);
    expect(answer.lengthOverAll).toBeLessThan(3130);
    expect(Math.min(...answer.lower.map(([, , z]) => z))).toBe(0);
    for (const { offMm, feel } of answer.holds) {
      expect(Math.abs(offMm)).toBeLessThan(0.05);
      expect(feel).toMatch(/hand|clamp|people/);
    }
    const wrong = kalo('bend', file('wrong.json', JSON.stringify({ ...side, frames: [{ x: 1500 }] })));
    expect([wrong.code, wrong.err]).toEqual([2, expect.stringMatching(/frames\.0: expected a half-breadth/)]);
  });
  it('gaps: every seam with what it keeps within, the same for the same seed, and what would halve it', () => {
    const path = file('gaps.json', JSON.stringify(demoProject('tamsel', 'x')));
    type Within = { half: number; nineteen: number };
    const ask = (...more: string[]) =>
      kalo('gaps', path, '--builds', '40', ...more, '--json').json() as unknown as {
        seams: { line: string; worst: Within; widest: Within; alone: Record<string, number>; places: Within[] }[];
        edges: { edge: string; nails: { mm: number }[] }[];
        disagreement: number;
        hint: { say: string };
      };
    const { seams, edges, disagreement, hint } = ask();
    expect(seams.map(({ line }) => line)).toEqual(['keel', 'chine']);
    for (const { worst, alone, places } of seams) {
      expect(Math.max(...places.map(({ nineteen }) => nineteen))).toBe(worst.nineteen);
      expect(worst.half).toBeLessThan(worst.nineteen);
      for (const mm of Object.values(alone)) expect(mm).toBeLessThanOrEqual(worst.nineteen);
    }
    expect(edges.flatMap(({ nails }) => nails).every(({ mm }) => mm > 0)).toBe(true);
    expect(disagreement).toBeLessThan(0.3); // of forty builds
    expect(hint.say).toMatch(/\.$/);
    expect(ask().seams).toEqual(seams);
    expect(ask('--seed', '2').seams.map(({ widest }) => widest)).not.toEqual(seams.map(({ widest }) => widest));
    expect(kalo('gaps', path, '--builds', '3').err).toMatch(/builds/);
  });
  it('weights: every part with its place, what floats with it, and that it approves nothing', () => {
    const path = file('weights.json', JSON.stringify(demoProject('tamsel', 'x')));
    const answer = kalo('weights', path, '--json').json() as unknown as {
      items: { grams: number; at: number[] }[];
      loads: { grams: number }[];
      bare: { grams: number };
      all: { grams: number };
      afloat: { volumeMm3: number; draught: number };
      says: string;
    };
    const sum = (all: readonly { grams: number }[]) => all.reduce((total, { grams }) => total + grams, 0);
    expect(Math.abs(sum(answer.items) - answer.bare.grams)).toBeLessThan(1);
    expect(Math.abs(answer.bare.grams + sum(answer.loads) - answer.all.grams)).toBeLessThan(1);
    expect(answer.afloat.volumeMm3 * 0.000999).toBeCloseTo(answer.all.grams, 0);
    expect(answer.says).toMatch(/approves nothing/);
    expect(kalo('weights', path).out).toMatch(/approves nothing/);
  });
  it('prints the time of computing on standard error when asked', () => {
    expect(kalo('lines', tamsel, '--time').err).toMatch(/^computed in 5\.0 ms/);
  });
  it.each<[string, string[], RegExp]>([
    ['no command', [], /expected one of/],
    ['an unknown one', ['saw', 'x'], /no command "saw"/],
    ['no file', ['panels'], /expected one file/],
    ['a file that is not there', ['panels', '/nowhere.csv'], /cannot read .*ENOENT/],
    ['a bad number', ['panels', tamsel, '--thickness', 'thick'], /--thickness is "thick"/],
    ['an unknown option', ['panels', tamsel, '--glue'], /--glue/],
    ['no station', ['frames', tamsel, '--skin', '6', '--frame', '9'], /--at is missing/],
    [
      'a station off the boat',
      ['frames', tamsel, '--at', '9000', '--skin', '6', '--frame', '9'],
      /no section there; expected from/,
    ],
    [
      'a bad cell',
      ['lines', file('bad.csv', 'line,station,x,half_breadth,height\na,1,2,three,4\n')],
      /row 2, column half_breadth \(D\)/,
    ],
    ['JSON that is none', ['nest', file('bad.json', '{')], /not JSON/],
    [
      'a part without area',
      [
        'nest',
        file(
          'thin.json',
          '{"gap":1,"margin":1,"sheets":[{"id":"A","width":9,"height":9,"qty":1}],' +
            '"parts":[{"id":"p","outline":[[0,0]]}]}',
        ),
      ],
      /parts\.0\.outline/,
    ],
    [
      'a kind of file that there is not',
      ['export', file('p.json', JSON.stringify(demoProject('orrin', 'x'))), '--out', folder, '--only', 'dwx'],
      /what is written: dxf, svg, pdf, csv, stl/,
    ],
  ])('refuses %s with exit 2 and one line', (_name, args, wanted) => {
    const { code, err, out } = kalo(...args);
    expect([code, out]).toEqual([2, '']);
    expect(err.trim().split('\n').pop()).toMatch(wanted);
  });
});
