import { describe, expect, it } from 'vitest';
import { at, crossesItself, signedArea } from '../geometry';
import { distanceToSegment } from '../geometry/polyline';
import { drawLines, type LinesTable } from '../lines';
import { developPanels } from '../panels';
import { tableOf } from './fixtures/table-of';
import { cutOf } from './fixtures/cut-of';
import { shapeFrames } from './judge';
import { keptIn, plainFrame, timberIn } from './plans';
import type { FramePlan } from './schema';
import { frameAt } from './section';

/** A wedge: every station is the same shape scaled, so all surfaces are planes through the point x = -3000. */
const wedge = tableOf({
  keel: (x) => [0, -0.05 * (x + 3000)],
  chine: (x) => [0.1 * (x + 3000), 0],
  sheer: (x) => [0.12 * (x + 3000), 0.08 * (x + 3000)],
});
const making = { skin: 6, school: 'filleted' as const, gap: 1.5, keep: keptIn('mm'), ...timberIn('mm') };
const hull = drawLines(wedge).value;
const panels = developPanels(hull, { thickness: 6 }).value;

describe('the frame of a hull of planes', () => {
  const frame = frameAt(panels, 1000, { skin: 10, width: 20, face: 'fore' });
  if (!frame) throw new Error('no frame');

  it('takes the skin off along the normal: worked by hand for the side', () => {
    // Side plane through (-3000,0,0), (x, .1(x+3000), 0) and (x, .12(x+3000), .08(x+3000)). In the section at x = 1000
    // the side runs from (400, 0) to (480, 320). Its normal N = (a, b, c): N·(1, .1, 0) = 0 and N·(0, .02, .08) = 0, so
    // N ∝ (-0.1, 1, -0.25). Moved 10 mm inward and cut again by the plane: 10·|N|/hypot(1, .25) within the section.
    const moved = (10 * Math.hypot(0.1, 1, 0.25)) / Math.hypot(1, 0.25);
    const side = at(frame.edges, 1);
    for (const p of side.points) {
      const off = (400 + 0.25 * p.z - p.y) / Math.hypot(1, 0.25);
      expect(off).toBeCloseTo(moved, 6);
    }
  });

  it('has the bevel of the plane: asin of the normal’s share along the boat', () => {
    const bevel = (Math.asin(-0.1 / Math.hypot(0.1, 1, 0.25)) * 180) / Math.PI;
    for (const p of at(frame.edges, 1).points) {
      expect(p.bevelDeg).toBeCloseTo(bevel, 6);
      expect(p.otherFaceOffset).toBeCloseTo(20 * Math.tan((bevel * Math.PI) / 180), 6);
    }
  });

  it('turns the sign of the bevel with the face', () => {
    const aft = frameAt(panels, 1000, { skin: 10, width: 20, face: 'aft' });
    expect(at(at(aft?.edges ?? [], 0).points, 0).bevelDeg).toBeCloseTo(-at(at(frame.edges, 0).points, 0).bevelDeg, 9);
  });

  it('runs from centreline to sheer, edges meeting in one point, and is straight where the panel is flat', () => {
    expect(at(frame.outline, 0)[0]).toBeCloseTo(0, 9);
    const [bottom, side] = [at(frame.edges, 0), at(frame.edges, 1)];
    expect(at(bottom.points, -1).y).toBeCloseTo(at(side.points, 0).y, 6);
    expect(at(bottom.points, -1).z).toBeCloseTo(at(side.points, 0).z, 6);
    expect(bottom.sectionBow).toBeLessThan(1e-6);
  });

  it(
    'has no ears where its edges meet: the cut outline nowhere nearer the skin than the gap, and never across ' +
      'itself',
    () => {
      const cut = cutOf(frame, 'filleted', 1.5);
      expect(crossesItself(cut)).toBe(false);
      const half = frame.outline;
      for (const p of cut.filter(([y]) => y > 0).slice(0, -1)) {
        const off = Math.min(...half.slice(1).map((q, i) => distanceToSegment(p, at(half, i), q)));
        expect(off).toBeGreaterThan(1.5 - 1e-6);
      }
    },
  );

  it('is cut smaller by the gap when filleted, as a closed outline wound the right way', () => {
    const filleted = cutOf(frame, 'filleted', 1.5);
    const framed = cutOf(frame, 'framed', 1.5);
    expect(signedArea(filleted)).toBeGreaterThan(0);
    expect(signedArea(framed)).toBeGreaterThan(signedArea(filleted));
  });
});

describe('the tip of a V', () => {
  // A prism with 39° of deadrise, so no bevel, and the same drawn in to a point 5 m aft, so that every edge has one.
  const rise = Math.tan((39 * Math.PI) / 180);
  const vees = ([0, -0.2] as const).map((taper) => {
    const k = (x: number) => 1 + (taper * x) / 1000;
    return developPanels(
      drawLines(
        tableOf({
          keel: () => [0, 0],
          chine: (x) => [500 * k(x), 500 * rise * k(x)],
          sheer: (x) => [600 * k(x), 900 * k(x)],
        }),
      ).value,
      { thickness: 6 },
    ).value;
  });
  it.each([
    [9, 'filleted', 0],
    [18, 'filleted', 0],
    [18, 'filleted', 1],
    [45, 'framed', 1],
  ] as const)('of %i mm, %s, is where its two moved edges cross (hull %i)', (width, school, which) => {
    const frame = frameAt(vees[which]!, 1000, { skin: 6, width, face: 'aft' })!;
    const cut = cutOf(frame, school, 1.5);
    const [a, b] = [at(frame.edges, 0).points[0]!, at(at(frame.edges, 0).points, -1)];
    const slope = Math.atan2(b.z - a.z, b.y - a.y);
    // both edges move d square to themselves, so their crossing, on the centreline, rises by d/cos of their slope
    const d = school === 'filleted' ? Math.max(0, a.otherFaceOffset) + 1.5 : Math.min(0, a.otherFaceOffset);
    const tip = cut.filter(([y]) => Math.abs(y) < 1e-9);
    expect(Math.min(...tip.map(([, z]) => z))).toBeCloseTo(a.z + d / Math.cos(slope), 6);
    if (which === 0) expect(a.z).toBeCloseTo(6 / Math.cos(slope), 6); // the skin's inside, likewise
    expect(crossesItself(cut)).toBe(false);
  });
});

it('a frame off the boat is a stop that says where the boat is', () => {
  const { findings, value } = shapeFrames(hull, panels, [plainFrame({ id: 'f', name: 'F', x: 9000 })], making);
  expect(value).toHaveLength(0);
  expect(findings[0]).toMatchObject({ severity: 'stop', code: 'frame-outside' });
});

it('a cylinder’s section bows as the circle does', () => {
  // Rulings lean 45° in the profile: a station cuts the cylinder of radius R along an ellipse arc, bowed.
  const leaning: LinesTable = {
    longitudinals: [0, 1].map((k) => ({
      id: k === 0 ? 'chine' : 'sheer',
      name: '',
      points: Array.from({ length: 15 }, (_, i) => {
        const angle = -0.5 + i / 14;
        const a = 3000 * Math.sin(angle);
        return { station: '', x: a + 400 * k, halfBreadth: 3000 * Math.cos(angle) - 2000, height: 400 * k };
      }),
    })),
  };
  const side = developPanels(drawLines(leaning).value, { thickness: 6 }).value.filter((p) => !p.spansCentreline);
  const frame = frameAt(side, 300, { skin: 0, width: 10, face: 'fore' });
  // y(z) = sqrt(R² − (300 − z)²) − 2000 for z in [0, 400]; bow is the greatest distance from its chord
  const y = (z: number) => Math.sqrt(9e6 - (300 - z) ** 2) - 2000;
  const [y0, y1] = [y(0), y(400)];
  const exact = Math.max(
    ...Array.from({ length: 401 }, (_, z) => Math.abs((y1 - y0) * z - 400 * (y(z) - y0)) / Math.hypot(y1 - y0, 400)),
  );
  expect(Math.abs((frame?.edges[0]?.sectionBow ?? 0) - exact)).toBeLessThan(0.02);
});

describe('frames that are in the way', () => {
  const found = (...frames: (Pick<FramePlan, 'id' | 'x'> & Partial<FramePlan>)[]) =>
    shapeFrames(
      hull,
      panels,
      frames.map((f) => plainFrame({ ...f, name: f.id })),
      making,
    ).findings;
  it('of one another are told, with by how much: 1000 to 1018 and 1009 to 1018', () => {
    const own = found({ id: 'a', x: 1000, width: 18, face: 'fore' }, { id: 'b', x: 1018, width: 9, face: 'aft' });
    const data = { frame: 'a', other: 'b', overlapMm: 9 };
    expect(own).toMatchObject([{ severity: 'stop', code: 'frames-overlap', data }]);
  });
  it('back to back are not', () => {
    expect(found({ id: 'a', x: 1000, width: 9, face: 'fore' }, { id: 'b', x: 1000, width: 9, face: 'aft' })).toEqual(
      [],
    );
  });
  it('or thicker than the boat has room for are told with where the boat ends', () => {
    const [own] = found({ id: 'a', x: 2900, width: 150, face: 'fore' });
    expect(own).toMatchObject({ code: 'frame-beyond', data: { frame: 'a', toMm: 3050, fromMm: 0, endMm: 3000 } });
  });
});
