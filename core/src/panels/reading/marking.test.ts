import { describe, expect, it } from 'vitest';
import { at, distance2, type Vec3 } from '../../geometry';
import { bendLines } from '../../lines';
import { bendShare, fieldBands, FIELDS, fieldReader } from './fields';
import { leastRadius } from '../bending';
import { obliqueCylinder, tableOf, tangentDevelopable } from '../fixtures/exact-shapes';
import { chineOnStem } from '../fixtures/run-out-hulls';
import { battenOff, edgeLine, placeOnEdge } from './edge-line';
import { closerRuns, fromFrame, inFrame, levelMarks, markOut, nailsOfRows } from './marking';
import { developPanels } from '../develop';
import type { Panel } from '../panel';
import { BASE_LINES } from '../schema';

const side = (curves: readonly ((w: number) => Vec3)[]): Panel =>
  developPanels(bendLines(tableOf(curves)).value, { thickness: 6 }).value.find((p) => !p.spansCentreline) as Panel;
const plate = side([(w) => [3000 * w, 500, 100], (w) => [3000 * w, 500, 500]]);
const shape = obliqueCylinder({ radius: 1500, leanRad: 0.2, arcRad: 1.2, height: 450 });
const bent = side([shape.p, shape.q]);

/**
 * A point of an upright cone about an apex abreast of the boat, r mm from it, turned by up to half a radian each way.
 */
const CONE_HALF = 0.5;
const coneAt = (w: number, r: number): Vec3 => [
  1500 + r * Math.sin(CONE_HALF) * Math.sin(w - 0.5),
  2600 - r * Math.sin(CONE_HALF) * Math.cos(w - 0.5),
  3000 - r * Math.cos(CONE_HALF),
];

describe.each(BASE_LINES)('marking out from a line %s the panel', (base) => {
  const out = markOut(bent, 150, base);
  it('gives points of the outline, at even steps', () => {
    for (const { u } of out.rows.slice(1, -1).filter(({ corner }) => !corner)) expect(u % 150).toBeCloseTo(0, 6);
    for (const row of out.rows.slice(1, -1))
      for (const v of [row.lower, row.upper]) {
        const place = fromFrame(out.frame, [row.u, v]);
        expect(Math.min(...bent.outline.map((p) => distance2(p, place)))).toBeLessThan(12);
      }
  });
  it('has a row at each of its corners, with the corner itself in it', () => {
    const corners = [at(bent.rulings, 0), at(bent.rulings, -1)].flatMap(({ flatP, flatQ }) => [flatP, flatQ]);
    const told = out.rows.flatMap(({ u, lower, upper, corner }) => [
      ...(corner === 'lower' || corner === 'both' ? [fromFrame(out.frame, [u, lower])] : []),
      ...(corner === 'upper' || corner === 'both' ? [fromFrame(out.frame, [u, upper])] : []),
    ]);
    expect(told).toHaveLength(4);
    for (const place of corners) expect(Math.min(...told.map((p) => distance2(p, place)))).toBeLessThan(1e-3);
    expect(out.rows.map(({ u }) => u)).toEqual(out.rows.map(({ u }) => u).sort((a, b) => a - b));
  });
  it('loses nothing on the way to the line and back', () => {
    for (const p of bent.outline.slice(0, 20))
      expect(distance2(fromFrame(out.frame, inFrame(out.frame, p)), p)).toBeLessThan(1e-9);
  });
  it('checks by diagonals that do not depend on the line', () => {
    expect(out.diagonals).toEqual(markOut(bent, 150, 'under').diagonals);
  });
});

describe('base lines', () => {
  it('through the panel asks for the shortest square', () => {
    const reach = (base: (typeof BASE_LINES)[number]) => markOut(bent, 150, base).reach;
    expect(reach('through')).toBeLessThan(reach('under'));
    expect(reach('through')).toBeLessThan(reach('ends'));
    // of a plate half its depth
    expect(markOut(plate, 150, 'through').reach).toBeCloseTo(200, 3);
  });
  it('a side that goes on up the stem has the foot of the stem in its table', () => {
    const [, up] = developPanels(bendLines(chineOnStem()).value, { thickness: 6 }).value as [Panel, Panel];
    const { rows, frame } = markOut(up, 200, 'under');
    const foot = at(
      up.rulings,
      up.rulings.findIndex(({ s }) => s > at(up.stretches[0], 0).to - 1e-9),
    ).flatP;
    const row = rows.find(({ u, lower }) => distance2(fromFrame(frame, [u, lower]), foot) < 0.01);
    expect(row?.corner).toBe('lower');
    // the head of the stem, its foot, and both ends of the transom
    expect(rows.filter(({ corner }) => corner)).toHaveLength(4);
  });
  it('a plate 3 m by 400 has the diagonals of a plate 3 m by 400', () => {
    for (const diagonal of markOut(plate, 200, 'under').diagonals)
      expect(diagonal).toBeCloseTo(Math.hypot(3000, 400), 6);
  });
});

describe('a height marked on a panel', () => {
  it('is a line along a plate, at its height', () => {
    const [run, ...more] = levelMarks(plate, 250);
    expect(more).toEqual([]);
    for (const [, v] of run ?? []) expect(v).toBeCloseTo(150, 6);
    expect(Math.max(...(run ?? []).map(([u]) => u))).toBeCloseTo(3000, 3);
  });
  it('leaves the panel and comes back where the edge dips under it', () => {
    const hollow = side([(w) => [3000 * w, 500, 100], (w) => [3000 * w, 500, 500 - 400 * Math.sin(Math.PI * w) * 0.5]]);
    const runs = levelMarks(hollow, 400);
    expect(runs).toHaveLength(2);
    expect(levelMarks(hollow, 900)).toEqual([]);
  });
});

describe('fields on a panel', () => {
  it('a cylinder takes everywhere the share that its radius asks for', () => {
    const shares = bent.rulings.slice(20, -20).map((_, i) => bendShare(bent, i + 20, 0.5, 6));
    const angles = bent.rulings
      .slice(20, -20)
      .map((r) => Math.atan2(r.flatQ[1] - r.flatP[1], r.flatQ[0] - r.flatP[0]) - Math.PI / 2);
    shares.forEach((share, i) =>
      expect(Math.abs(share / (leastRadius(6, at(angles, i)) / 1500) - 1)).toBeLessThan(0.01),
    );
  });
  const areaOf = (ps: readonly (readonly [number, number])[]) =>
    ps.reduce((sum, [x, y], i) => sum + x * at(ps, (i + 1) % ps.length)[1] - at(ps, (i + 1) % ps.length)[0] * y, 0) / 2;
  const areasOf = (bands: readonly (readonly (readonly (readonly [number, number])[])[])[]) =>
    bands.map((polygons) => polygons.reduce((sum, polygon) => sum + Math.abs(areaOf(polygon)), 0));
  const limits = [0.1, 0.3, 0.5, 0.7, 1];
  const cone = side([(w) => coneAt(w, 1400), (w) => coneAt(w, 2600)]);

  it.each(FIELDS)('the %s is cut into bands that cover the panel once', (field) => {
    for (const panel of [bent, cone]) {
      const bands = fieldBands(panel, field, { thickness: 6, limits });
      expect(bands).toHaveLength(limits.length + 1);
      const covered = areasOf(bands).reduce((sum, area) => sum + area, 0) / 1e6;
      expect(Math.abs(covered / panel.areaM2 - 1)).toBeLessThan(2e-3);
    }
  });
  it('a cone’s bend changes band where its radius does: at a known distance from the apex', () => {
    // of a circular cone the radius across a ruling is r·tan(half angle); the share is least radius over that
    const mid = Math.round(cone.rulings.length / 2);
    const least = bendShare(cone, mid, 0.5, 6) * 2000 * Math.tan(CONE_HALF);
    const limit = least / (1800 * Math.tan(CONE_HALF));
    const [under] = fieldBands(cone, 'bend', { thickness: 6, limits: [limit] });
    const { flatP, flatQ } = at(cone.rulings, mid);
    const from = (flat: readonly [number, number]) => 1400 + distance2(flatP, flat);
    // the edge of the band on the middle ruling: the corner of its polygons nearest to P
    const onRuling = (under ?? [])
      .flat()
      .filter((p) => Math.abs(distance2(p, flatP) + distance2(p, flatQ) - 1200) < 0.02);
    expect(Math.min(...onRuling.map(from))).toBeGreaterThan(1795);
    expect(Math.min(...onRuling.map(from))).toBeLessThan(1805);
  });
  it('a reader gives at the middle of a ruling what lies between its ends', () => {
    const twisted = side([(w) => [3000 * w, 300, 100], (w) => [3000 * w, 700 + 300 * w, 500 - 400 * w]]);
    for (const field of FIELDS) {
      const read = fieldReader(twisted, field, 6);
      for (const k of [0, 7, 60, twisted.rulings.length - 1])
        for (const w of [0, 0.3, 1]) {
          expect(Number.isFinite(read(k, w))).toBe(true);
          expect(read(k, w)).toBeGreaterThanOrEqual(0);
        }
    }
    expect(Math.max(...twisted.rulings.map((_, k) => fieldReader(twisted, 'twist', 6)(k, 0.5)))).toBeCloseTo(
      Math.max(...twisted.rulings.map((r) => Math.abs(r.twistDeg))),
      9,
    );
  });
  it('a plate neither bends, twists nor stretches; a twisted one stretches most where the figure says', () => {
    for (const field of FIELDS) expect(areasOf(fieldBands(plate, field, { thickness: 6, limits: [0.01] }))[1]).toBe(0);
    const twisted = side([(w) => [3000 * w, 300, 100], (w) => [3000 * w, 700 + 300 * w, 500 - 400 * w]]);
    const most = Math.max(...twisted.strainField.cells.map(Math.abs));
    expect(most).toBeCloseTo(twisted.maxStrain.value, 12);
    expect(most).toBeGreaterThan(1e-3);
    // a sheet that is in balance stretches somewhere and is pressed elsewhere
    expect(Math.min(...twisted.strainField.cells)).toBeLessThan(0);
    expect(Math.max(...twisted.strainField.cells)).toBeGreaterThan(0);
  });
});

describe('rows between the steps', () => {
  // its flat edges are arcs, marked at eight tenths of a metre: a batten leaves them
  const STEP = 800;
  const round = tangentDevelopable({ radius: 1200, pitch: 2500, turnRad: 1.6, near: 900, far: 1500 });
  const arched = side([round.p, round.q]);
  const worst = (stray: number): number => {
    const out = markOut(arched, STEP, 'under', stray);
    return Math.max(
      ...(['P', 'Q'] as const).flatMap((end) => {
        const line = edgeLine(arched, end);
        return nailsOfRows(line, out).flatMap((nails) => {
          const [from, to] = [at(nails, 0).along, at(nails, -1).along];
          const places = Array.from({ length: 200 }, (_, k) => {
            const along = from + ((to - from) * (k + 0.5)) / 200;
            return { along, place: placeOnEdge(line, along) };
          });
          const stands = nails.map((nail) => nail.at);
          return battenOff(nails, stands, places).map(Math.abs);
        });
      }),
    );
  };
  it('come where the batten would stray, until it does not, and only there', () => {
    expect(worst(0)).toBeGreaterThan(0.4);
    for (const stray of [0.4, 0.1, 0.05]) expect(worst(stray)).toBeLessThan(1.1 * stray); // between looks a little more
    expect(markOut(plate, 400, 'under', 0.05).rows).toEqual(markOut(plate, 400, 'under').rows);
  });
  it('leave every even step where it is', () => {
    const [even, closer] = [markOut(arched, STEP, 'through'), markOut(arched, STEP, 'through', 0.1)];
    expect(closer.rows.length).toBeGreaterThan(even.rows.length);
    for (const row of even.rows) expect(closer.rows).toContainEqual(row);
    expect(closer.rows.map(({ u }) => u)).toEqual([...closer.rows.map(({ u }) => u)].sort((a, b) => a - b));
  });
  it('are told as stretches with their own step', () => {
    const row = (u: number) => ({ u, lower: 0, upper: 1 });
    expect(closerRuns([0, 200, 400, 600].map(row), 200)).toEqual([]);
    expect(closerRuns([0, 50, 100, 200, 400, 600, 700, 800, 1000].map(row), 200)).toEqual([
      { from: 0, to: 200, step: 50 },
      { from: 600, to: 800, step: 100 },
    ]);
  });
  it('of an edge know a place by its length, by its parameter and by what is nearest', () => {
    const line = edgeLine(arched, 'Q');
    const { point, forward, outward } = placeOnEdge(line, line.length / 3);
    expect(Math.hypot(...forward)).toBeCloseTo(1, 9);
    expect(forward[0] * outward[0] + forward[1] * outward[1]).toBeCloseTo(0, 9);
    expect(outward[1]).toBeGreaterThan(0); // up, off the upper edge
    expect(line.along.length).toBe(line.points.length);
    expect(Math.min(...arched.outline.map((p) => distance2(p, point)))).toBeLessThan(12);
  });
});
