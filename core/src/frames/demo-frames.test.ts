import { describe, expect, it } from 'vitest';
import { at, crossesItself, signedArea, type Vec2 } from '../geometry';
import { distanceToSegment } from '../geometry/polyline';
import { createDerive, demoProject, DEMO_IDS } from '../project';
import { cutOf } from './fixtures/cut-of';
import { frameAt } from './section';

const distanceTo = (p: Vec2, line: readonly Vec2[]): number =>
  Math.min(...line.slice(1).map((q, i) => distanceToSegment(p, at(line, i), q)));

describe.each(DEMO_IDS.filter((id) => id !== 'slips'))('the frames of the demo %s', (id) => {
  const project = demoProject(id, 'x');
  const { panels } = createDerive()(project).panels.value;
  const xs = project.frames.frames.map((frame) => frame.x);
  const width = 12;
  const skin = 6;

  it.each(xs)('at %d: the other face lies where the bevel says, by the section cut there', (x) => {
    const frame = frameAt(panels, x, { skin, width, face: 'fore' });
    const other = frameAt(panels, x + width, { skin, width, face: 'fore' });
    if (!frame || !other) throw new Error('no section');
    for (const edge of frame.edges) {
      const same = other.edges.find((candidate) => candidate.panel === edge.panel);
      const line = same?.points.map((p): Vec2 => [p.y, p.z]) ?? [];
      for (const p of edge.points.slice(2, -2)) {
        // over 12 mm of length the bevel itself changes little, and the edge is measured square in its own plane:
        // tan(bevel) = n·m / |n in the plane|, which is the sideways shift over the width
        expect(Math.abs(distanceTo([p.y, p.z], line) - Math.abs(p.otherFaceOffset))).toBeLessThan(0.12);
      }
    }
  });

  it.each(xs)('at %d: everywhere a skin’s thickness inside the outside of the hull, never less', (x) => {
    const frame = frameAt(panels, x, { skin, width, face: 'aft' });
    if (!frame) throw new Error('no section');
    for (const edge of frame.edges)
      for (const p of edge.points.slice(1, -1)) {
        const off = distanceTo([p.y, p.z], frame.skin);
        // measured in the plane of the frame a sloping skin is thicker than it is, by 1/cos(bevel)
        const inPlane = skin / Math.cos((p.bevelDeg * Math.PI) / 180);
        expect(off).toBeGreaterThan(inPlane - 0.05);
        expect(off).toBeLessThan(inPlane + 0.05);
      }
  });

  it.each(['filleted', 'framed'] as const)(
    'cut %s: one outline that never crosses itself, the same on both hands',
    (school) => {
      for (const x of xs) {
        const frame = frameAt(panels, x, { skin, width, face: 'fore' });
        if (!frame) throw new Error('no section');
        const cut = cutOf(frame, school, 1.5);
        expect(crossesItself(cut)).toBe(false);
        expect(signedArea(cut)).toBeGreaterThan(0);
        for (const [y, z] of cut)
          expect(cut.some((p) => Math.abs(p[0] + y) < 1e-9 && Math.abs(p[1] - z) < 1e-9)).toBe(true);
      }
    },
  );

  it('turned about, fore face for aft, have the opposite bevel on the same outline', () => {
    const x = at(xs, 1);
    const [fore, aft] = (['fore', 'aft'] as const).map((face) => frameAt(panels, x, { skin, width, face }));
    expect(fore?.outline).toEqual(aft?.outline);
    fore?.edges.forEach((edge, k) =>
      edge.points.forEach((p, i) => expect(p.bevelDeg).toBeCloseTo(-(aft?.edges[k]?.points[i]?.bevelDeg ?? NaN), 9)),
    );
  });
});
