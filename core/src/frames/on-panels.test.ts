/** Frames and what they are marked by, put together again: on the developed panels, in space, and by their exports. */
import { describe, expect, it } from 'vitest';
import { at, contains, distance3, dot3, lerp2, lerp3, scale3, sub3, type Vec2, type Vec3 } from '../geometry';
import { distanceToSegment } from '../geometry/polyline';
import { applyEdits, createDerive, demoProject, DEMO_IDS, type Project } from '../project';
import { faceAt } from '../panels';
import { sectionBy } from '../surface';
import { bevelLines, framesDrawings, marksOfFrame } from './drawings';
import { outsideLines } from './outside';
import { asSeen, cutAsSeen } from './frame';
import { placeInBoat, placeInPlane, planeOf } from './section';

/** Every second frame raked, by turns aft and forward: what is true of upright ones is true of any. */
function leaning(project: Project): Project {
  const made = applyEdits(
    project,
    project.frames.frames.flatMap(({ id }, i) =>
      i % 2 === 0 ? [] : [{ path: ['frames', 'frames', id, 'rakeDeg'], value: i % 4 === 1 ? 7 : -6 }],
    ),
  );
  if (!made.ok) throw new Error(made.reason);
  return made.project;
}

const DEMOS = DEMO_IDS.filter((id) => id !== 'slips');
const boats = DEMOS.flatMap((id) => {
  const demo = demoProject(id, 'x');
  // in a rounded corner the edge leaves both panels: that is tried by itself
  const project = { ...demo, panels: { ...demo.panels, roundedChines: [] } };
  return [
    { name: id, project },
    { name: `${id}, every second frame raked`, project: leaning(project) },
  ].map((boat) => ({ ...boat, derived: createDerive()(boat.project) }));
});

/** Each edge against its own section only: at the ends the neighbour's panel is nearer. */
const inner = <T>(points: readonly T[]): readonly T[] => points.slice(1, -1);

describe.each(boats)('the frames of $name', ({ derived, project }) => {
  const { panels } = derived.panels.value;
  const { frames } = derived.frames.value;
  const insideMm = panels[0]?.insideMm ?? 0;

  it('lie on the skin’s inside along their whole edge, within 0.2 mm', () => {
    for (const frame of frames)
      for (const edge of frame.edges) {
        const panel = panels.find(({ id }) => id === edge.panel);
        if (!panel) throw new Error(edge.panel);
        const plan = project.frames.frames.find(({ id }) => id === frame.id);
        const under = insideMm + (plan?.lining ?? 0);
        // the nearest of the surface's facets, moved in by the skin
        const inside = panel.rulings.map(({ p, q, normal }) =>
          [p, q].map((end) => sub3(end, scale3(normal, under))),
        ) as [Vec3, Vec3][]; // two each
        for (const { y, z } of inner(edge.points)) {
          const place = placeInBoat(frame, [y, z]);
          const off = Math.min(
            ...inside.map(([p, q], k) => {
              const normal = at(panel.rulings, k).normal;
              const along = sub3(q, p);
              const w = dot3(sub3(place, p), along) / dot3(along, along);
              const foot = lerp3(p, q, Math.min(1, Math.max(0, w)));
              const from = sub3(place, foot);
              // along the surface it may be half the way to the next ruling: only what is square to it counts
              return distance3(place, foot) < 40 ? Math.abs(dot3(from, normal)) : Infinity;
            }),
          );
          expect(off).toBeLessThan(0.2);
        }
      }
  });

  it('touch each panel where they are marked on its inside face, within 0.1 mm', () => {
    for (const frame of frames)
      for (const panel of panels) {
        const faces = marksOfFrame(panel, frame);
        const { normal, level } = planeOf(frame);
        faces.forEach(({ label, curve }) => {
          const wanted = label === '' ? level + (frame.face === 'fore' ? frame.width : -frame.width) : level;
          for (const [k, flat] of inner(curve).entries()) {
            const face = faceAt(panel, flat);
            if (!face) throw new Error(`${frame.name}: mark ${k} is off ${panel.name}`);
            const place = sub3(face.space, scale3(face.normal, panel.insideMm ?? 0));
            expect(Math.abs(dot3(place, normal) - wanted)).toBeLessThan(0.1);
          }
        });
      }
  });

  it('of timber are marked outside over their middle, or the middles of what lies on them, within 0.1 mm', () => {
    const lines = frames.flatMap((frame) =>
      panels.flatMap((panel) => {
        const drawn = outsideLines(panel, frame, project.panels.thickness);
        return drawn.map((line, i) => ({ frame, panel, line, share: drawn.length > 1 ? (1 + 2 * i) / 4 : 1 / 2 }));
      }),
    );
    expect(lines.length > 0).toBe(project.school === 'framed');
    for (const { frame, panel, line, share } of lines) {
      const { normal, level } = planeOf(frame);
      const wanted = level + (frame.face === 'fore' ? 1 : -1) * share * frame.width;
      for (const flat of inner(line)) {
        const face = faceAt(panel, flat);
        if (!face) throw new Error(`${frame.name}: off ${panel.name}`);
        const place = sub3(face.space, scale3(face.normal, (panel.insideMm ?? 0) - project.panels.thickness));
        expect(Math.abs(dot3(place, normal) - wanted)).toBeLessThan(0.1);
      }
    }
  });

  it('have the other face’s edge drawn broken where they are bevelled, and strokes across what is taken off', () => {
    for (const frame of frames) {
      const lines = bevelLines(frame);
      const isBevelled = frame.edges.some(({ school }) => school === 'framed');
      expect(lines.length > 0).toBe(isBevelled);
      const most = Math.max(...frame.edges.flatMap(({ points }) => points.map((p) => Math.abs(p.otherFaceOffset))));
      // strokes are as long as what is taken off; the rest are dashes
      const strokes = lines.filter(([a, b]) => Math.hypot(a![0] - b![0], a![1] - b![1]) < most + 0.1);
      // over a bottom timber's low top the side's edge goes on for a hand's breadth only
      if (isBevelled && most > 1 && !frame.isUnderSeam) expect(strokes.length).toBeGreaterThan(10);
    }
  });

  it('are seen from their station face: a place to starboard on the left of a forward one', () => {
    for (const frame of frames) {
      const seen = cutAsSeen(frame);
      const back = seen.outline.map(([u, v]): Vec2 => (frame.face === 'fore' ? [-u, v] : [u, v]));
      for (const p of back)
        expect(frame.cut.outline.some((q) => Math.hypot(q[0] - p[0], q[1] - p[1]) < 1e-9)).toBe(true);
      const starboard = asSeen(frame, [100, 0])[0];
      expect(Math.sign(starboard)).toBe(frame.face === 'fore' ? -1 : 1);
    }
  });

  it('take their members with the room asked for, as solids in space', () => {
    for (const run of derived.frames.value.members.filter(({ isThrough }) => isThrough))
      for (const frame of frames) {
        let isPassed = false;
        for (let k = 1; k < run.rings.length; k++) {
          const [a, b] = [at(run.rings, k - 1), at(run.rings, k)];
          for (let w = 0; w <= 1; w += 0.1)
            for (const [across, into] of [
              [0.02, 0.6],
              [0.98, 0.6],
              [0.5, 1],
            ] as const) {
              const on = ({ near, far, nearOff, farOff }: typeof a) =>
                lerp3(lerp3(near, far, across), lerp3(nearOff, farOff, across), into);
              const [aft, y, z] = placeInPlane(frame, lerp3(on(a), on(b), w));
              const within = frame.face === 'fore' ? aft : -aft;
              if (within < 0 || within > frame.width) continue;
              isPassed = true;
              const { outline, holes } = frame.cut;
              expect(contains(outline, [y, z]) && !holes.some((hole) => contains(hole, [y, z]))).toBe(false);
              const room = Math.min(
                ...[outline, ...holes].flatMap((ring) =>
                  ring.map((p, i) => distanceToSegment([y, z], p, at(ring, (i + 1) % ring.length))),
                ),
              );
              expect(room).toBeGreaterThan(run.clearance - 0.02);
            }
        }
        if (run.from < frame.x - 300 && run.to > frame.x + 300) expect(isPassed).toBe(true);
      }
  });
});

describe('a mark on the outside, over the middle of what stands behind', () => {
  it('lies from the inside mark by the skin’s thickness times the tangent of the bevel, worked by hand', () => {
    // On the Tamsel's side at a frame: at a bevel β the outside passes the station T·tan β from where the inside does.
    const { project, derived } = at(boats, 0);
    const side = at(derived.panels.value.panels, -1);
    const frame = at(derived.frames.value.frames, 0);
    const inside = sectionBy(side.rulings, planeOf(frame), project.panels.thickness);
    const outside = sectionBy(side.rulings, planeOf(frame), 0);
    const halfway = <T extends { readonly flat: Vec2; readonly normal: Vec3 }>(points: readonly T[]): T =>
      at(points, Math.floor(points.length / 2));
    const { flat, normal } = halfway(inside);
    const other = Math.min(
      ...outside.slice(1).map(({ flat: q }, i) => distanceToSegment(flat, at(outside, i).flat, lerp2(q, q, 0))),
    );
    const tan = Math.abs(normal[0]) / Math.hypot(normal[1], normal[2]);
    expect(other).toBeCloseTo(project.panels.thickness * tan, 1);
  });
});

it('a pair is drawn, listed and laid out as two hands, and a single hand as its own: in every export', () => {
  const project = demoProject('tamsel', 'x');
  const hands = ['pair', 'starboard', 'port'] as const;
  const made = applyEdits(project, [
    ...project.frames.frames.flatMap(({ id }, i) => [
      { path: ['frames', 'frames', id, 'bounds', 'hand'], value: at(hands, i) },
      { path: ['frames', 'frames', id, 'bounds', 'inner'], value: 60 },
      { path: ['frames', 'frames', id, 'openings'], value: [] },
    ]),
  ]);
  if (!made.ok) throw new Error(made.reason);
  const derived = createDerive()(made.project);
  const { frames } = derived.frames.value;
  expect(frames.map(({ hand }) => hand)).toEqual(hands);
  const side = (points: readonly Vec2[]) => Math.sign(points.reduce((sum, [y]) => sum + y, 0));
  // from forward starboard is on the left, from aft on the right
  expect(frames.map((frame) => side(cutAsSeen(frame).outline))).toEqual([-1, -1, -1]);
  expect(frames.map(({ face }) => face)).toEqual(['fore', 'fore', 'aft']);
  const parts = derived.sheets.value.parts.filter(({ id }) => id.startsWith('frame'));
  expect(parts.map(({ isPair }) => isPair)).toEqual([true, false, false]);
  const sheetHead = { boat: '', revision: 1, notation: 'mm', paper: 'A4', date: '' } as never; // not looked at
  const drawings = framesDrawings({ project: made.project, values: { frames: derived.frames.value }, sheetHead });
  const ofFrames = drawings.filter(({ name }) => name.startsWith('frame'));
  expect(ofFrames.map(({ hand }) => hand)).toEqual([
    '1 starboard, 1 port (mirrored), cut stacked, FORE face',
    '1 starboard, FORE face',
    '1 port, AFT face',
  ]);
});
