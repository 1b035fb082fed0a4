/** A pair is a part and its mirror image, in every drawing that goes out: never two of one hand. */
import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { at, mirrored, type Outline, type Vec2 } from '../geometry';
import { writeDxf } from '../formats/writers';
import { createDerive, DEMO_IDS, demoProject, searchAll, type Project } from '../project';
import { outgoingDrawings } from './export-files';

/**
 * Which hand an outline is of, whichever way it is turned: from the moments of its area about its middle, as complex
 * numbers. The third moment turns three times as fast as the outline, the one of z²z̄ once: the one times the other's
 * conjugate cubed does not turn at all, and mirrored it is conjugated. Its imaginary part changes its sign.
 */
function handOf(outline: Outline): number {
  const whole = moments(outline, (p) => p, [0, 0], 1);
  const middle: Vec2 = [whole.sum[0] / whole.area, whole.sum[1] / whole.area];
  const size = Math.sqrt(moments(outline, (z) => times(z, [z[0], -z[1]]), middle, 1).sum[0] / whole.area);
  const c30 = moments(outline, (z) => times(z, times(z, z)), middle, size);
  const c21 = moments(outline, (z) => times(times(z, z), [z[0], -z[1]]), middle, size);
  const back: Vec2 = [c21.sum[0] / whole.area, -c21.sum[1] / whole.area];
  return times([c30.sum[0] / whole.area, c30.sum[1] / whole.area], times(back, times(back, back)))[1];
}
const times = ([a, b]: Vec2, [c, d]: Vec2): Vec2 => [a * c - b * d, a * d + b * c];

/** Places of a triangle and their weights by which a cubic is summed exactly over it. */
const CUBIC: readonly (readonly [number, number, number])[] = [
  [1 / 3, 1 / 3, -27 / 48],
  [0.6, 0.2, 25 / 48],
  [0.2, 0.6, 25 / 48],
  [0.2, 0.2, 25 / 48],
];

/** A function of z summed over an outline's area, by triangles from its first point. */
function moments(outline: Outline, f: (z: Vec2) => Vec2, [mx, my]: Vec2, size: number) {
  const ring = outline.map(([x, y]): Vec2 => [(x - mx) / size, (y - my) / size]);
  const o = at(ring, 0);
  let [area, re, im] = [0, 0, 0];
  for (let i = 2; i < ring.length; i++) {
    const [a, b] = [at(ring, i - 1), at(ring, i)];
    const own = ((a[0] - o[0]) * (b[1] - o[1]) - (b[0] - o[0]) * (a[1] - o[1])) / 2;
    area += own;
    for (const [u, v, weight] of CUBIC) {
      const w = 1 - u - v;
      const z = f([w * o[0] + u * a[0] + v * b[0], w * o[1] + u * a[1] + v * b[1]]);
      re += own * weight * z[0];
      im += own * weight * z[1];
    }
  }
  return { area: area * size ** 2, sum: [re * size ** 2, im * size ** 2] as const };
}

/** Weaker than this an outline is nearly its own mirror image, and either hand will do. */
const WEAK = 1e-7;

it('a hand is the same however a part is turned, and the other in the mirror', () => {
  const part: Outline = [
    [0, 0],
    [900, 40],
    [1000, 460],
    [120, 330],
  ];
  const turned = part.map(([x, y]): Vec2 => [x * 0.6 - y * 0.8 + 70, x * 0.8 + y * 0.6]);
  expect(Math.abs(handOf(part))).toBeGreaterThan(10 * WEAK);
  expect(handOf(turned) / handOf(part)).toBeCloseTo(1, 9);
  expect(handOf(mirrored(part)) / handOf(part)).toBeCloseTo(-1, 9);
});

/** As it is, and with halves of bulkheads, girders and plates in pairs. */
const paired = (project: Project): Project => {
  const { frames, girders } = project.frames;
  const halves = frames.map((frame) => ({ ...frame, bounds: { ...frame.bounds, hand: 'pair' as const, inner: 60 } }));
  const webs = girders.map((girder) => ({ ...girder, hand: 'pair' as const, out: 40, outAft: 140 }));
  return { ...project, frames: { ...project.frames, frames: halves, girders: webs } };
};

describe.each(
  DEMO_IDS.flatMap((id): [(typeof DEMO_IDS)[number], string][] => [
    [id, 'as it is'],
    [id, 'its frames in pairs'],
  ]),
)('what goes out of %s, %s', (id, how) => {
  const demo = demoProject(id, 'x');
  const project = how === 'as it is' ? demo : paired(demo);
  const derived = createDerive()(project);
  const work = { project, derived, found: searchAll(project, derived, 1), printing: { date: '2026-05-04' } };
  const { parts } = derived.sheets.value;
  const pairs = parts.filter((part) => part.isPair && Math.abs(handOf(part.outline)) > WEAK);
  const files = outgoingDrawings(work).map(({ stage, item }) => ({ stage, item, cut: cutLines(writeDxf(item)) }));

  it('has pairs', () => expect(pairs.length).toBeGreaterThan(1));
  it('lays every pair out as one of either hand', () => {
    const laid = files.filter(({ stage }) => stage === 'sheets').flatMap(({ cut }) => cut.map(handOf));
    for (const part of pairs) {
      const own = handOf(part.outline);
      const alike = laid.filter((hand) => Math.abs(Math.abs(hand) / Math.abs(own) - 1) < 0.02);
      const twins = pairs.filter((other) => Math.abs(Math.abs(handOf(other.outline)) / Math.abs(own) - 1) < 0.02);
      expect([part.id, alike.length]).toEqual([part.id, 2 * twins.length]);
      expect([part.id, alike.filter((hand) => hand > 0).length]).toEqual([part.id, twins.length]);
    }
  });
  it('says of every drawing of a pair that one is mirrored', () => {
    const drawn = files.filter(({ item }) => pairs.some((part) => part.id === item.name));
    for (const { item } of drawn) expect([item.name, item.hand]).toEqual([item.name, expect.stringMatching(/mirror/)]);
  });
});

function cutLines(dxf: string): Outline[] {
  const entities = new DxfParser().parseSync(dxf)?.entities ?? [];
  return entities
    .filter(({ layer }) => layer === 'CUT')
    .flatMap((entity) =>
      'vertices' in entity ? [(entity.vertices as { x: number; y: number }[]).map(({ x, y }): Vec2 => [x, y])] : [],
    );
}
