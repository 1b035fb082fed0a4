/** Gaps of planted faults, told by formula, against those measured between the solids. */
import { describe, expect, it } from 'vitest';
import { distance3, dot3, sub3, scale3, add3, cross3, type Vec3 } from '../geometry';
import { placeInBoat, type Frame } from '../frames';
import type { Panel } from '../panels';
import { createDerive, demoProject } from '../project';
import { toRad } from '../measure';
import { gapOf } from './faults';

const derive = createDerive();

/** Triangles of a panel's inside face: each ruling moved inward by the skin along its own normal. */
function insideFace(panel: Panel, skin: number): (readonly [Vec3, Vec3, Vec3])[] {
  const rulings = panel.rulings.map(({ p, q, normal }) => {
    const inward = scale3(normal, -skin);
    return { p: add3(p, inward), q: add3(q, inward) };
  });
  return rulings.slice(1).flatMap((b, i) => {
    const a = rulings[i]!;
    return [[a.p, b.p, a.q] as const, [a.q, b.p, b.q] as const];
  });
}

/** How far a point lies inside of the face, by the nearest of its triangles; negative: beyond it. */
function inside(point: Vec3, face: readonly (readonly [Vec3, Vec3, Vec3])[], outward: Vec3): number {
  let best = { off: Infinity, signed: 0 };
  for (const [a, b, c] of face) {
    const square = cross3(sub3(b, a), sub3(c, a));
    const long = Math.hypot(...square);
    if (long < 1e-9) continue;
    const normal = scale3(square, (dot3(square, outward) < 0 ? -1 : 1) / long);
    const height = dot3(sub3(point, a), normal);
    const foot = sub3(point, scale3(normal, height));
    const off = distance3(point, nearestIn(foot, [a, b, c]));
    if (off < best.off) best = { off, signed: -Math.sign(height) * off };
  }
  return best.signed;
}

function nearestIn(p: Vec3, [a, b, c]: readonly [Vec3, Vec3, Vec3]): Vec3 {
  const [ab, ac, ap] = [sub3(b, a), sub3(c, a), sub3(p, a)];
  const [d00, d01, d11, d20, d21] = [dot3(ab, ab), dot3(ab, ac), dot3(ac, ac), dot3(ap, ab), dot3(ap, ac)];
  const den = d00 * d11 - d01 * d01;
  const [v, w] = [(d11 * d20 - d01 * d21) / den, (d00 * d21 - d01 * d20) / den];
  if (v >= 0 && w >= 0 && v + w <= 1) return p;
  const onEdge = (from: Vec3, to: Vec3): Vec3 => {
    const d = sub3(to, from);
    const t = Math.min(1, Math.max(0, dot3(sub3(p, from), d) / dot3(d, d)));
    return add3(from, scale3(d, t));
  };
  const ends = [onEdge(a, b), onEdge(b, c), onEdge(c, a)];
  return ends.reduce((near, one) => (distance3(one, p) < distance3(near, p) ? one : near));
}

const CASES = (['tamsel', 'orrin', 'veyra'] as const).flatMap((id) => {
  const project = demoProject(id, 'x');
  const { frames, panels } = derive(project);
  const skin = project.panels.thickness;
  return frames.value.frames
    .filter(({ hand, isUnderSeam }) => hand === 'across' && !isUnderSeam)
    .flatMap((frame) =>
      frame.edges.map((edge) => {
        const panel = panels.value.panels.find((one) => one.id === edge.panel)!;
        const name = `${id}, ${frame.name}, ${edge.panelName}`;
        return { name, frame, edge: withPlaces(edge), face: insideFace(panel, skin) };
      }),
    );
});

/** An edge that lies along one ruling has its two ends only: places between them, on the straight. */
function withPlaces(edge: Frame['edges'][number]): Frame['edges'][number] {
  const [a, b] = [edge.points[0]!, edge.points.at(-1)!];
  if (edge.points.length > 3) return edge;
  const mix = (key: 'y' | 'z' | 'bevelDeg' | 'otherFaceOffset', s: number) => a[key] + s * (b[key] - a[key]);
  const points = Array.from({ length: 7 }, (_, i) => ({
    ...{ y: mix('y', i / 6), z: mix('z', i / 6) },
    ...{ bevelDeg: mix('bevelDeg', i / 6), otherFaceOffset: mix('otherFaceOffset', i / 6) },
  }));
  return { ...edge, points };
}

/** Inner places of an edge: at its ends the neighbouring panel is nearer. */
const inner = <T>(all: readonly T[]): T[] => {
  const cut = Math.max(1, Math.floor(all.length / 6));
  return all.slice(cut, -cut);
};

describe.each(CASES)('$name', ({ frame, edge, face }) => {
  /** Of a place of the edge as it was cut and stands: in its plane, and square to it, aft. */
  const placed = (move: (y: number, z: number, i: number) => readonly [number, number, number]) =>
    inner(edge.points.map((p, i) => ({ p, i }))).map(({ p, i }) => {
      const [y, z, aft] = move(p.y, p.z, i);
      const out = outwardAt(i);
      return { i, off: inside(placeInBoat(frame, [y, z], aft), face, placeOut(frame, out)) };
    });
  const outwardAt = (i: number): readonly [number, number] => {
    const [a, b] = [edge.points[Math.max(0, i - 1)]!, edge.points[Math.min(edge.points.length - 1, i + 1)]!];
    const long = Math.hypot(b.y - a.y, b.z - a.z);
    return [(b.z - a.z) / long, -(b.y - a.y) / long];
  };
  const compared = (fault: Parameters<typeof gapOf>[2], move: Parameters<typeof placed>[0]) => {
    const { places } = gapOf(frame, edge, fault);
    const measured = placed(move);
    expect(measured.length).toBeGreaterThan(0);
    for (const { i, off } of measured) expect(Math.abs(off - places[i]!.gapMm)).toBeLessThan(0.2);
  };

  it('as it should be lies on the skin', () => compared({ kind: 'short', value: 0 }, (y, z) => [y, z, 0]));
  it('3 mm short stands off as told, within 0.2 mm of the solids', () =>
    compared({ kind: 'short', value: 3 }, (y, z, i) => {
      const [oy, oz] = outwardAt(i);
      return [y - 3 * oy, z - 3 * oz, 0];
    }));
  it.each([4, -4])('out of plumb by %d mm opens and bears as told', (value) => {
    const zs = frame.edges.flatMap(({ points }) => points.map(({ z }) => z));
    const [low, high] = [Math.min(...zs), Math.max(...zs)];
    const lean = Math.atan2(value, high - low);
    compared({ kind: 'plumb', value }, (y, z) => [y, low + (z - low) * Math.cos(lean), (z - low) * Math.sin(lean)]);
  });
  it('with a bevel 2° flat stands off at one face as told', () => {
    const { face: off, places } = gapOf(frame, edge, { kind: 'bevel', value: 2 });
    const toOther = frame.face === 'fore' ? frame.width : -frame.width;
    const measured = placed((y, z, i) => {
      // the other face’s edge as it was cut
      const cut = Math.sign(edge.points[i]!.bevelDeg || 1) * (Math.abs(edge.points[i]!.bevelDeg) - 2);
      const [oy, oz] = outwardAt(i);
      const inward = frame.width * Math.tan(toRad(cut));
      return [y - inward * oy, z - inward * oz, toOther];
    });
    for (const { i, off: gap } of measured) {
      const falls = edge.points[i]!.bevelDeg >= 0;
      expect(Math.abs((falls ? -gap : gap) - places[i]!.gapMm)).toBeLessThan(0.2);
    }
    expect(['fore', 'aft']).toContain(off);
  });
  it('bears as hard when it is warped one way as it opens the other way', () => {
    const [one, other] = [6, -6].map((value) => gapOf(frame, edge, { kind: 'warp', value }));
    expect(one!.widest.gapMm).toBeCloseTo(other!.hardest.gapMm, 9);
    expect(one!.places.at(0)!.gapMm).toBeCloseTo(0, 9);
    expect(one!.places.at(-1)!.gapMm).toBeCloseTo(0, 9);
  });
});

const placeOut = (frame: Frame, [oy, oz]: readonly [number, number]): Vec3 =>
  sub3(placeInBoat(frame, [oy, oz]), placeInBoat(frame, [0, 0]));

describe('what fills a gap', () => {
  it('of a square edge is its length by its width by the frame’s thickness, on both sides', () => {
    const points = [0, 500, 1000].map((z) => ({ y: 300, z, bevelDeg: 0, otherFaceOffset: 0 }));
    const edge = { panel: 'a-b', panelName: 'Side', points } as unknown as Frame['edges'][number];
    const frame = { edges: [edge], face: 'fore', width: 9 } as const;
    const gap = gapOf(frame, edge, { kind: 'short', value: 3 });
    expect([gap.widest.gapMm, gap.fillMl]).toEqual([3, 54]); // 1000 × 3 × 9 mm³, twice
    expect(gapOf(frame, edge, { kind: 'plumb', value: 5 }).widest.gapMm).toBe(0);
    expect(gapOf(frame, edge, { kind: 'plumb', value: 5 }).movedAft).toBe(5);
  });
});
