import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { at } from '../geometry';
import { plotSection, tickOf } from '../lines';
import { createDerive, demoProject } from '../project';
import type { DemoId } from '../project/demos';
import { writeDxf } from '../formats/writers/dxf';
import { bodyPlanDrawing, linesDrawing, sectionDrawing } from '../lines/drawings';
import { readLinesDxf } from './lines-dxf';

const derive = createDerive();
const boats = (['tamsel', 'orrin'] as const).map((id: DemoId) => {
  const project = demoProject(id, id);
  const derived = derive(project);
  return { id, project, hull: derived.lines.value, panels: derived.panels.value.panels };
});
const [tamsel] = boats as [(typeof boats)[number], (typeof boats)[number]]; // two boats above

const read = (text: string) => {
  const result = readLinesDxf(text);
  if (!result.ok) throw new Error(result.problems.join('; '));
  return result;
};
const problems = (text: string) => {
  const result = readLinesDxf(text);
  return result.ok ? 'taken' : result.problems.join('; ');
};
const polyline = (layer: string, points: readonly (readonly [number, number])[]) => [
  '0',
  'LWPOLYLINE',
  '8',
  layer,
  '90',
  String(points.length),
  '70',
  '0',
  ...points.flatMap(([x, y]) => ['10', String(x), '20', String(y)]),
];
const dxf = (...entities: readonly (readonly string[])[]) =>
  ['0', 'SECTION', '2', 'ENTITIES', ...entities.flat(), '0', 'ENDSEC', '0', 'EOF', ''].join('\n');

describe.each(boats)('the lines of $id as a drawing', ({ project, hull }) => {
  it('come back from the file as the table they were drawn from', () => {
    const back = read(writeDxf(linesDrawing(hull)));
    expect(back.assumed).toEqual([]);
    for (const line of project.lines.longitudinals) {
      const own = back.lines.longitudinals.find(({ id }) => id === line.id);
      for (const { label } of hull.stations) {
        const [a, b] = [line, own].map((l) => l?.points.find((p) => p.station === label));
        if (!a) continue;
        expect(Math.abs(a.halfBreadth - (b?.halfBreadth ?? NaN))).toBeLessThan(0.05);
        expect(Math.abs(a.height - (b?.height ?? NaN))).toBeLessThan(0.05);
      }
      for (const end of [0, -1] as const) {
        expect(at(own?.points ?? [], end).x).toBeCloseTo(at(line.points, end).x, 1);
        expect(at(own?.points ?? [], end).height).toBeCloseTo(at(line.points, end).height, 1);
      }
    }
  });
});

describe('a body plan', () => {
  it('has forward stations to the right and aft ones to the left, at true size', () => {
    const file = new DxfParser().parseSync(writeDxf(bodyPlanDrawing({ ...tamsel, heightsFrom: null })));
    const widest = (label: string) =>
      (file?.entities ?? [])
        .filter(({ layer }) => layer === `STATION ${label}`)
        .flatMap((entity) => (entity as unknown as { vertices: { x: number }[] }).vertices.map(({ x }) => x))
        .reduce((most, x) => (Math.abs(x) > Math.abs(most) ? x : most), 0);
    expect(widest('2')).toBeCloseTo(395, 1);
    expect(widest('5')).toBeCloseTo(-689.7, 1);
  });
  it('of one station has both halves, and the line that heights are measured from', () => {
    const station = at(tamsel.hull.stations, 2);
    const drawing = sectionDrawing({ ...tamsel, heightsFrom: 900 }, station);
    const xs = drawing.paths.filter((p) => p.layerName === 'STATION 3').flatMap((p) => p.points.map(([y]) => y));
    expect(Math.max(...xs)).toBeCloseTo(-Math.min(...xs), 9);
    expect(drawing.paths.some((p) => p.layerName === 'LEVELS' && p.points.every(([, z]) => z === 900))).toBe(true);
  });
});

describe('a section to mark out', () => {
  const station = at(tamsel.hull.stations, 2);
  it('lists its points as they are plotted, with diagonals that check both figures', () => {
    const points = plotSection(tamsel.hull, station, null);
    expect(points.map(({ line }) => line)).toEqual(['keel', 'chine', 'sheer']);
    expect(points[0]?.diagonal).toBeNull();
    expect(points[1]).toMatchObject({ out: 449.6, up: 192 });
    expect(points[1]?.diagonal).toBeCloseTo(Math.sqrt(449.6 ** 2 + 192 ** 2), 9);
  });
  it('takes a line without a point there from its batten, and heights downwards where they are given so', () => {
    const own = plotSection(tamsel.hull, { label: 'x', x: 2050 }, 900);
    expect(own).toHaveLength(3);
    expect(own[2]?.up).toBeGreaterThan(900 - 568.7);
    expect(own[2]?.out).toBeGreaterThan(532.2);
  });
  it('forgets the tick of a point that has moved by a tenth', () => {
    const point = at(plotSection(tamsel.hull, station, null), 1);
    expect(tickOf('3', 'port', point)).not.toBe(tickOf('3', 'starboard', point));
    expect(tickOf('3', 'port', { ...point, up: 192.1 })).not.toBe(tickOf('3', 'port', point));
    expect(tickOf('3', 'port', { ...point, up: 192.01 })).toBe(tickOf('3', 'port', point));
  });
});

describe('a drawing of somebody else’s', () => {
  const sheer = polyline('Profile Sheer', [
    [0, 700],
    [1000, 620],
    [2000, 580],
    [3000, 590],
  ]);
  const plan = polyline('plan sheer', [
    [0, 0],
    [1000, 400],
    [2000, 600],
    [3000, 550],
  ]);
  it('is read at the corners of its lines, its unit assumed and said', () => {
    const back = read(
      dxf(
        sheer,
        plan,
        polyline('PROFILE KEEL', [
          [200, 100],
          [3000, 20],
        ]),
      ),
    );
    expect(back.lines.longitudinals.map(({ id }) => id)).toEqual(['keel', 'sheer']);
    expect(back.lines.longitudinals[1]?.points[1]).toMatchObject({ x: 1000, halfBreadth: 400, height: 620 });
    expect(back.lines.longitudinals[0]?.points.every((p) => p.halfBreadth === 0)).toBe(true);
    expect(back.assumed.join(' ')).toMatch(/millimetres assumed.*corners/);
  });
  it('in inches is read in inches; one drawn from aft forward, or in pieces, is the same', () => {
    const head = ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', '1', '0', 'ENDSEC'].join('\n');
    const inches = read(
      `${head}\n${dxf(
        polyline('PROFILE KEEL', [
          [100, 10],
          [0, 4],
        ]),
      )}`,
    );
    expect(inches.notation).toBe('in-16');
    expect(inches.lines.longitudinals[0]?.points.map((p) => p.x)).toEqual([0, 2540]);
    const pieces = read(
      dxf(
        polyline('PROFILE KEEL', [
          [500, 50],
          [900, 20],
        ]),
        polyline('PROFILE KEEL', [
          [0, 90],
          [500, 50],
        ]),
      ),
    );
    expect(pieces.lines.longitudinals[0]?.points.map((p) => p.height)).toEqual([90, 50, 20]);
  });
  it('that cannot be read says which layer and what would do', () => {
    expect(problems('no drawing')).toMatch(/not a DXF|No layer/);
    expect(
      problems(
        dxf(
          polyline('0', [
            [0, 0],
            [1, 1],
          ]),
        ),
      ),
    ).toMatch(/No layer "PROFILE name".*has 0/);
    expect(
      problems(
        dxf(
          sheer,
          polyline('PLAN CHINE', [
            [0, 0],
            [1, 1],
          ]),
        ),
      ),
    ).toMatch(/PLAN CHINE: expected a layer PROFILE CHINE/);
    expect(
      problems(
        dxf(
          sheer,
          polyline('PROFILE SHEER', [
            [4000, 0],
            [5000, 1],
          ]),
        ),
      ),
    ).toMatch(/PROFILE SHEER: 2 pieces/);
    const hook = polyline('PROFILE SHEER', [
      [0, 0],
      [500, 100],
      [300, 300],
      [2000, 300],
    ]);
    expect(problems(dxf(hook, plan))).toMatch(/PROFILE SHEER: the line turns back/);
    expect(
      problems(
        dxf(
          polyline('PROFILE KEEL', [
            [0, 0],
            [1e9, 1],
          ]),
        ),
      ),
    ).toMatch(/further than 100 m/);
  });
});
