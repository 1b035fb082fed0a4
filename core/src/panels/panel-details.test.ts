import { describe, expect, it } from 'vitest';
import { at, crossesItself, distance3, type Vec3 } from '../geometry';
import { bendLines, battenAt, crossingsOfX, drawLines, type LinesTable } from '../lines';
import { MM_PER_FOOT } from '../measure';
import { createDerive, demoProject } from '../project';
import { leastRadius } from './bending';
import { LEAST_RADII, STRAIN_LIMITS, TWIST_LIMIT_DEG } from './constants';
import { rowsOf, stationMarks } from './reading/marking';
import { developPanels } from './develop';
import { bowOf, sectionAt } from '../surface/section';
import { findTransoms } from './transom/transom';

const tamsel = createDerive()(demoProject('tamsel', 'x'));
const orrin = createDerive()(demoProject('orrin', 'x'));
// on the lines' own surface: what is cut is another length
const side = at(developPanels(tamsel.lines.value, { thickness: 6 }).value, 1);

const tableOf = (lines: Record<string, readonly Vec3[]>, knuckle?: number): LinesTable => ({
  longitudinals: Object.entries(lines).map(([id, points]) => ({
    id,
    name: id,
    points: points.map(([x, halfBreadth, height], i) => ({
      station: String(i),
      x,
      halfBreadth,
      height,
      ...(i === knuckle ? { isKnuckle: true } : {}),
    })),
  })),
});

describe('the least radius of a sheet', () => {
  it.each(LEAST_RADII.value)('is the table’s own at $thicknessIn in', ({ thicknessIn, acrossFt, alongFt }) => {
    expect(leastRadius(thicknessIn * 25.4, Math.PI / 2)).toBeCloseTo(acrossFt * MM_PER_FOOT, 6);
    expect(leastRadius(thicknessIn * 25.4, 0)).toBeCloseTo(alongFt * MM_PER_FOOT, 6);
  });
  it('goes with the thickness under the table, and never falls as sheets get thicker', () => {
    expect(leastRadius(3.175, 0)).toBeCloseTo((5 * MM_PER_FOOT) / 2, 6);
    const radii = Array.from({ length: 50 }, (_, i) => leastRadius(1 + i, 0.4));
    radii.slice(1).forEach((radius, i) => expect(radius).toBeGreaterThanOrEqual(at(radii, i)));
  });
  it.each(Object.entries({ LEAST_RADII, STRAIN_LIMITS, TWIST_LIMIT_DEG }))('%s has a source', (_name, entry) => {
    expect(entry.source.length).toBeGreaterThan(5);
  });
});

describe('the section of a panel', () => {
  it('runs from edge to edge through points with the station’s x', () => {
    const section = sectionAt(side.rulings, 1750);
    for (const { space } of section) expect(space[0]).toBeCloseTo(1750, 6);
    const [chine, sheer] = ['chine', 'sheer'].map((id) => tamsel.lines.value.lines.find((line) => line.id === id));
    for (const [line, end] of [
      [chine, at(section, 0)],
      [sheer, at(section, -1)],
    ] as const) {
      const batten = line?.batten;
      const [t] = batten ? crossingsOfX(batten, 1750) : [];
      // between rulings the edge is a chord: some 20 mm of it on a curve of 5 m lies 0.01 mm inside
      expect(batten && distance3(battenAt(batten, t ?? 0).position, end.space)).toBeLessThan(0.02);
    }
  });
  it('keeps its distances on the flat: the flat section is as long as the one in space', () => {
    const section = sectionAt(side.rulings, 900);
    const length = (key: 'flat' | 'space') =>
      section
        .slice(1)
        .reduce((sum, p, i) => sum + Math.hypot(...p[key].map((c, k) => c - at(at(section, i)[key], k))), 0);
    expect(Math.abs(length('flat') - length('space'))).toBeLessThan(1e-3);
  });
  it('is empty off the panel, and straight things have no bow', () => {
    expect(sectionAt(side.rulings, 9000)).toEqual([]);
    expect(bowOf([{ space: [0, 0, 0] }, { space: [0, 5, 5] }, { space: [0, 10, 10] }])).toBe(0);
    expect(bowOf([{ space: [0, 0, 0] }, { space: [0, 0, 5] }, { space: [0, 10, 0] }])).toBe(5);
    expect(bowOf([{ space: [0, 0, 0] }])).toBe(0);
  });
});

describe('marking out', () => {
  it('steps evenly from end to end, lower below upper', () => {
    const rows = rowsOf(side.outline, 200);
    expect(at(rows, 0).u).toBeCloseTo(0, 6);
    expect(rows.slice(1, -1).every((row) => Math.abs(row.u / 200 - Math.round(row.u / 200)) < 1e-9)).toBe(true);
    for (const row of rows) expect(row.lower).toBeLessThanOrEqual(row.upper);
  });
  it('gives points that lie on the outline', () => {
    for (const { u, upper } of rowsOf(side.outline, 250).slice(1, -1)) {
      const { points } = side.edges[1];
      const near = points.filter((p) => Math.abs(p.flat[0] - u) < 30).map((p) => Math.abs(p.flat[1] - upper));
      expect(Math.min(...near)).toBeLessThan(3);
    }
  });
  it('marks every station that the panel reaches', () => {
    expect(stationMarks(side, tamsel.lines.value.stations).map((mark) => mark.label)).toEqual([
      '1',
      '2',
      '3',
      '4',
      '5',
      '6',
    ]);
    expect(stationMarks(side, [{ label: 'far', x: 99_999 }])).toEqual([]);
  });
});

describe('transoms', () => {
  it('are found where lines end off the centreline: one on the skiff, two on the pram', () => {
    expect(tamsel.panels.value.transoms.map((t) => t.id)).toEqual(['transom']);
    expect(orrin.panels.value.transoms.map((t) => t.id)).toEqual(['bow-transom', 'transom']);
  });
  it('have the size of the ends: worked by hand for a transom raked 3 in 4', () => {
    const hull = drawLines(
      tableOf({
        chine: [
          [0, 300, 0],
          [1000, 400, 0],
          [2000, 400, 0],
        ],
        sheer: [
          [0, 400, 300],
          [1000, 500, 400],
          [2300, 500, 400],
        ],
      }),
    ).value;
    const { transoms, findings } = findTransoms(hull);
    const aft = transoms.find((t) => t.id === 'transom');
    // 400 up and 300 aft: 500 along the slope; a trapezium of half-widths 400 and 500
    expect(aft?.areaM2).toBeCloseTo(0.45, 9);
    expect(aft?.rakeRad).toBeCloseTo(Math.atan2(300, 400), 9);
    expect(findings).toEqual([]);
  });
  it('say when the ends do not lie in one plane', () => {
    const ends = (x: number): readonly Vec3[] => [
      [0, 0, x / 10],
      [1000, 300, 50],
      [x, 300 + x / 20, x / 8],
    ];
    const hull = bendLines(
      tableOf({
        keel: [
          [0, 0, 0],
          [1000, 0, 0],
          [2000, 0, 0],
        ],
        chine: ends(2080),
        sheer: [
          [0, 0, 600],
          [1000, 500, 600],
          [2100, 500, 600],
        ],
      }),
    ).value;
    expect(findTransoms(hull).findings.map((f) => f.code)).toEqual(['transom-not-flat']);
  });
  it('give the panels ends that fit: end ruling as long as the transom’s side', () => {
    const { transoms } = tamsel.panels.value;
    const corners = at(transoms, 0).corners;
    for (const [k, panel] of tamsel.panels.value.panels.entries()) {
      const last = at(panel.rulings, -1);
      expect(distance3(last.p, last.q)).toBeCloseTo(distance3(at(corners, k), at(corners, k + 1)), 6);
    }
  });
});

describe('knuckles and odd shapes', () => {
  const low: Vec3[] = [
    [0, 300, 100],
    [700, 420, 60],
    [1400, 480, 50],
    [2100, 500, 60],
    [2800, 480, 90],
  ];
  const high: Vec3[] = [
    [0, 380, 500],
    [700, 520, 460],
    [1400, 590, 450],
    [2100, 610, 450],
    [2800, 590, 470],
  ];
  it('a knuckle in one line gives a fan there: rulings leave one point, and none cross', () => {
    const bent = low.map(([x, y, z], i): Vec3 => [x, i > 2 ? y - (i - 2) * 90 : y, z]);
    const { value } = developPanels(bendLines(tableOf({ chine: bent, sheer: high }, 2)).value, {
      thickness: 6,
    });
    const panel = value.find((other) => !other.spansCentreline);
    expect(panel && crossesItself(panel.outline)).toBe(false);
    panel?.rulings.slice(1).forEach((ruling, i) => {
      const before = at(panel.rulings, i);
      expect(ruling.s >= before.s && ruling.t >= before.t).toBe(true);
    });
    expect(panel && Math.abs(panel.areaM2 / panel.spaceAreaM2 - 1)).toBeLessThan(1e-5);
  });
  it('three panels a side share their edges to 0.01 mm', () => {
    const middle = low.map(([x, y, z], i): Vec3 => [x, (y + at(high, i)[1]) / 2 + 40, (z + at(high, i)[2]) / 2]);
    const { value } = developPanels(bendLines(tableOf({ chine: low, second: middle, sheer: high })).value, {
      thickness: 6,
    });
    expect(value.map((panel) => panel.name)).toEqual(['Bottom', 'Strake 2', 'Side']);
    expect(Math.abs(at(value, 1).edges[1].length - at(value, 2).edges[0].length)).toBeLessThan(0.01);
    expect(Math.abs(at(value, 0).edges[1].length - at(value, 1).edges[0].length)).toBeLessThan(0.01);
  });
  it('a tight curve is said to be tight for a thick sheet and not for a thin one', () => {
    const round = Array.from({ length: 9 }, (_, i): Vec3 => [
      900 * Math.sin(i * 0.12 - 0.5),
      900 * Math.cos(i * 0.12 - 0.5),
      0,
    ]);
    const up = round.map(([x, y]): Vec3 => [x, y, 400]);
    const codes = (thickness: number) =>
      developPanels(bendLines(tableOf({ chine: round, sheer: up })).value, { thickness }).findings.map((f) => f.code);
    expect(codes(12)).toContain('panel-bend-tight');
    expect(codes(3)).not.toContain('panel-bend-tight');
  });
});
