import { describe, expect, it } from 'vitest';
import { at, distance2, distance3, type Vec3 } from '../geometry';
import { drawLines } from '../lines';
import { lengthAlong } from '../lines/fixtures/length-along';
import { cone, misfit, obliqueCylinder, tableOf, tangentDevelopable, type ExactShape } from './fixtures/exact-shapes';
import { developPanels } from './develop';
import type { Panel } from './panel';

/** The panel between the two curves, without the bottom that would span to the mirror. */
function develop(curves: readonly ((w: number) => Vec3)[], count?: number, step?: number): Panel[] {
  const { value } = developPanels(drawLines(tableOf(curves, count, step)).value, { thickness: 6 });
  return value.filter((panel) => !panel.spansCentreline);
}

const only = (panels: readonly Panel[]): Panel => panels[0] as Panel;

function flatMisfit(panel: Panel, shape: ExactShape): number {
  const points = [...panel.edges[0].points, ...panel.edges[1].points];
  return misfit(
    points.map((p) => p.flat),
    points.map((p) => shape.flatOf(p.space)),
  );
}

// 4 to 5 m long, gentle as a boat's sides are; the last two are as tight as sheet ply goes.
const shapes: ExactShape[] = [
  cone({
    apex: [1800, -4300, 3300],
    leanRad: 0.3,
    halfAngleRad: 0.9,
    phi: [-0.36, 0.36],
    rP: [7400, 150],
    rQ: [6900, -90],
  }),
  cone({
    apex: [2600, -1900, -9000],
    leanRad: 2.9,
    halfAngleRad: 0.25,
    phi: [-0.7, 0.7],
    rP: [9100, 80],
    rQ: [9700, 60],
  }),
  obliqueCylinder({ radius: 6000, leanRad: 0.5, arcRad: 0.68, height: 500 }),
  tangentDevelopable({ radius: 3000, pitch: 9000, turnRad: 1.1, near: 1500, far: 2300 }),
  obliqueCylinder({ radius: 900, leanRad: 0.35, arcRad: 1.6, height: 450 }),
  cone({
    apex: [900, -300, 1500],
    leanRad: 0.2,
    halfAngleRad: 0.5,
    phi: [-0.8, 0.8],
    rP: [1800, 60],
    rQ: [1350, 40],
  }),
];

describe.each(shapes)('the development of a $name', (shape) => {
  const panel = only(develop([shape.p, shape.q]));

  it('lies within a micron of the closed form', () => expect(flatMisfit(panel, shape)).toBeLessThan(0.001));

  it('has no twist to speak of: under 0.02° on every interior ruling', () => {
    expect(Math.max(...panel.rulings.slice(1, -1).map((r) => Math.abs(r.twistDeg)))).toBeLessThan(0.02);
  });

  it('keeps its area to 1e-5 and strains under 1e-4', () => {
    expect(Math.abs(panel.areaM2 / panel.spaceAreaM2 - 1)).toBeLessThan(1e-5);
    expect(panel.maxStrain.value).toBeLessThan(1e-4);
  });

  it('keeps true lengths along both edges: those of the lines, to a micron', () => {
    const { lines } = drawLines(tableOf([shape.p, shape.q])).value;
    panel.edges.forEach((edge, i) => {
      expect(Math.abs(edge.length - lengthAlong(at(lines, i).batten))).toBeLessThan(1e-3);
      edge.points.slice(1).forEach((point, k) => {
        const chord = distance3(point.space, at(edge.points, k).space);
        // over the bend the way is longer than its chord, and by no more than an arc is
        expect(distance2(at(edge.points, k).flat, point.flat) - chord).toBeGreaterThan(-1e-9);
        expect(distance2(at(edge.points, k).flat, point.flat) - chord).toBeLessThan(1e-3);
      });
    });
  });

  it.each([
    ['1 mm', 1, 1],
    ['a sixteenth of an inch', 25.4 / 16, 1.3],
  ])('stays near when the table is rounded to %s, with no wild rulings', (_name, step, most) => {
    const rough = only(develop([shape.p, shape.q], 21, step));
    expect(flatMisfit(rough, shape)).toBeLessThan(most);
    rough.rulings.slice(1).forEach((ruling, k) => {
      const before = rough.rulings[k] as (typeof rough.rulings)[number];
      expect(ruling.s >= before.s && ruling.t >= before.t).toBe(true);
    });
  });

  it('has the rulings of the surface itself, within 0.5°', () => {
    const { rulingOf } = shape;
    if (!rulingOf) throw new Error('the rulings of every shape here are known');
    for (const r of panel.rulings.filter((other) => !other.fan)) {
      const [a, b, [tx, ty]] = [shape.flatOf(r.p), shape.flatOf(r.q), rulingOf(r.p)];
      const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
      const sine = (dx * ty - dy * tx) / (Math.hypot(dx, dy) * Math.hypot(tx, ty));
      expect(Math.abs(Math.asin(sine))).toBeLessThan((0.5 * Math.PI) / 180);
    }
  });
});

describe('panels that share a line or end in a point', () => {
  it('gives mating edges equal to 0.005 mm: two cones sharing a chine', () => {
    const shape = shapes[0] as ExactShape;
    const top = (w: number): Vec3 => {
      // from the first cone's upper line outward, on a second cone with another apex
      const [x, y, z] = shape.q(w);
      const apex: Vec3 = [2100, -2600, -2900];
      const k = 1.1 + 0.02 * w;
      return [apex[0] + (x - apex[0]) * k, apex[1] + (y - apex[1]) * k, apex[2] + (z - apex[2]) * k];
    };
    const [lower, upper] = develop([shape.p, shape.q, top]) as [Panel, Panel];
    expect(Math.abs(lower.edges[1].length - upper.edges[0].length)).toBeLessThan(0.005);
    expect(lower.maxTwist.value).toBeLessThan(0.02);
    expect(upper.maxTwist.value).toBeLessThan(0.02);
  });

  it('fans out at an end: a cone whose lower line stops short', () => {
    // Both lines on one cone; the lower one starts later, so the first rulings all leave from its first point only
    // if that is truly cheaper: on a cone they need not, and the flat shape must still be the cone's.
    const base = shapes[0] as ExactShape;
    const apex: Vec3 = base.p(0);
    const far: ExactShape = {
      name: 'fan',
      p: (w) => [apex[0] + 3000 * w, apex[1] + 160 * w - 60 * w * w, apex[2] - 90 * w],
      q: (w) => [apex[0] - 200 + 3200 * w, apex[1] + 300 + 220 * Math.sin(1.6 * w), apex[2] + 330 + 60 * w],
      flatOf: base.flatOf,
    };
    const panel = only(develop([far.p, far.q]));
    expect(Math.abs(panel.areaM2 / panel.spaceAreaM2 - 1)).toBeLessThan(1e-5);
    expect(
      panel.rulings.every(
        (r, k) => k === 0 || (r.s >= (panel.rulings[k - 1]?.s ?? 0) && r.t >= (panel.rulings[k - 1]?.t ?? 0)),
      ),
    ).toBe(true);
  });

  it('develops a flat bottom across the centreline: area of the plane figure, no twist, no bend', () => {
    const chine = (w: number): Vec3 => [4000 * w, 300 + 900 * w * (1 - w), 100];
    const sheer = (w: number): Vec3 => [4000 * w, 450 + 900 * w * (1 - w), 500];
    const { value } = developPanels(drawLines(tableOf([chine, sheer])).value, { thickness: 6 });
    const bottom = value.find((panel) => panel.spansCentreline) as Panel;
    // area = 2 ∫ y dx = 2 · 4000 · (300 + 900/6) mm²
    // to 5e-4 of it: the outline is a polygon of 200 chords a side
    expect(bottom.areaM2).toBeCloseTo(3.6, 3);
    expect(bottom.maxTwist.value).toBeLessThan(1e-6);
    expect(bottom.minBendRadius).toBeNull();
  });

  it('says where a shape will not develop, and by how much', () => {
    // a hyperbolic paraboloid: straight edges at different slopes twist by construction
    const low = (w: number): Vec3 => [3000 * w, 300, 100];
    const high = (w: number): Vec3 => [3000 * w, 700 + 300 * w, 500 - 400 * w];
    const hull = drawLines(tableOf([low, high])).value;
    const { findings, value } = developPanels(hull, { thickness: 6 });
    expect(findings.filter((f) => f.where.panel === 'line0-line1').map((f) => f.code)).toContain('panel-twist-high');
    const panel = value.find((other) => !other.spansCentreline) as Panel;
    expect(panel.maxStrain.value).toBeGreaterThan(1e-3);
  });
});

describe('invariance', () => {
  const shape = shapes[2] as ExactShape;
  const plain = only(develop([shape.p, shape.q]));
  it('does not care where the boat lies or how large it is', () => {
    const bigger =
      (f: (w: number) => Vec3) =>
      (w: number): Vec3 => {
        const [x, y, z] = f(w);
        return [2 * x + 500, 2 * y, 2 * z + 300];
      };
    const panel = only(develop([bigger(shape.p), bigger(shape.q)]));
    expect(panel.areaM2 / plain.areaM2).toBeCloseTo(4, 6);
    expect(panel.edges[0].length / plain.edges[0].length).toBeCloseTo(2, 8);
  });
  it('does not care which end is the bow', () => {
    const panel = only(
      develop(
        [(w: number) => shape.p(1 - w), (w: number) => shape.q(1 - w)].map((f) => (w: number): Vec3 => {
          const [x, y, z] = f(w);
          return [-x, y, z];
        }),
      ),
    );
    expect(panel.areaM2).toBeCloseTo(plain.areaM2, 7);
  });
});

describe('a panel that is not quite developable', () => {
  // a keel and a chine of plain waves: some 3° of twist forward, and rulings that fan out from points amidships
  const [panel] = develop(
    [
      (w) => [3000 * w, 0, 60 + 40 * Math.cos(3 * w)],
      (w) => [3000 * w, 300 + 150 * Math.sin(3 * w), 200 + 30 * Math.cos(3 * w)],
    ],
    7,
  );
  it('is said to twist, and to strain no more than its twist asks for', () => {
    expect(panel?.maxTwist.value).toBeGreaterThan(2);
    // 3° over some 300 mm of width that fades within 1 m: a shear of a few hundredths of a percent
    expect(panel?.maxStrain.value).toBeLessThan(1e-3);
    expect(panel?.maxStrain.value).toBeGreaterThan(1e-5);
  });
});
