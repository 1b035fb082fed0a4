/** Pins: in the same places in a part and in what it goes on, clear of edges, and none where wood is cut away. */
import { describe, expect, it } from 'vitest';
import { at, distance2, distanceToSegment, type Region, type Vec2 } from '../geometry';
import { applyEdits, createDerive, demoProject } from '../project';
import { framesDrawings, touchWords } from './drawings';
import { pinsOf } from './pins';

const box = (x: number, y: number, wide: number, high: number): Vec2[] => [
  [x, y],
  [x + wide, y],
  [x + wide, y + high],
  [x, y + high],
];
const WIDE: Region = { outline: box(-500, -500, 1000, 1000), holes: [] };
const RING: Region = { outline: box(0, 0, 200, 100), holes: [[...box(30, 30, 140, 40)].reverse()] };
const on = (region: Region, under: Region, diameter = 4, faces: readonly 'fore'[] = []) =>
  pinsOf({ region, faces }, [under], diameter);

describe('pins', () => {
  it('stand in opposite corners of a ring, a diameter and a half from every edge at least', () => {
    const pins = on(RING, WIDE);
    expect(pins).toHaveLength(2);
    expect(distance2(at(pins, 0), at(pins, 1))).toBeGreaterThan(190);
    for (const pin of pins)
      for (const ring of [RING.outline, ...RING.holes])
        ring.forEach((a, i) =>
          expect(distanceToSegment(pin, a, at(ring, (i + 1) % ring.length))).toBeGreaterThanOrEqual(6 - 1e-6),
        );
  });
  it('is one in a plate too short for two, and none in a ring too narrow, in a lid, or of no diameter', () => {
    const plate: Region = { outline: box(0, 0, 16, 14), holes: [] };
    expect(on(plate, WIDE, 4, ['fore'])).toHaveLength(1);
    expect(on(RING, WIDE, 25)).toEqual([]);
    expect(on({ outline: RING.outline, holes: [] }, WIDE)).toEqual([]);
    expect(on(RING, WIDE, 0)).toEqual([]);
  });
  it('is left out where what lies under it is cut away', () => {
    const half: Region = { outline: box(-500, -500, 600, 1000), holes: [] };
    expect(on(RING, half)).toHaveLength(1);
  });
});

it('match: each of a gusset’s and a doubler’s is drilled in its frame, on either side', () => {
  for (const demo of ['tamsel', 'orrin'] as const) {
    const made = applyEdits(demoProject(demo, 'x'), [{ path: ['frames', 'pins'], value: 4 }]);
    if (!made.ok) throw new Error(made.reason);
    const derived = createDerive()(made.project);
    const values = { frames: derived.frames.value };
    const sheetHead = { boat: '', revision: 1, notation: 'mm', paper: 'A4', date: '' } as never; // not looked at
    const drawings = framesDrawings({ project: made.project, values, sheetHead });
    const pinsIn = (id: string) =>
      drawings.find(({ name }) => name === id)?.paths.flatMap(({ circle }) => (circle ? [circle.at] : [])) ?? [];
    const parts = values.frames.frames.flatMap((frame) =>
      drawings.filter(({ name }) => name.startsWith(`${frame.id}.`)).map(({ name }) => ({ frame, part: name })),
    );
    expect(parts.some(({ part }) => pinsIn(part).length === 2)).toBe(true);
    for (const { frame, part } of parts)
      for (const [y, z] of pinsIn(part))
        // the frame is drawn from its station face: a pin on the other side of the centreline serves as well
        expect(pinsIn(frame.id).some(([u, v]) => Math.abs(Math.abs(u) - Math.abs(y)) + Math.abs(v - z) < 1e-6)).toBe(
          true,
        );
  }
});

describe('between a frame’s marks on a panel', () => {
  const words = (edit: { path: string[]; value: string }) => {
    const made = applyEdits(demoProject('tamsel', 'x'), [edit]);
    if (!made.ok) throw new Error(made.reason);
    return made.project;
  };
  it.each([
    ['bulkhead', 'bare, fillets beside'],
    ['sawn', 'bare, fillets beside'],
    ['mould', 'no glue'],
  ])('a %s in a filleted boat says: %s', (kind, said) => {
    const project = words({ path: ['frames', 'frames', 'frame.2', 'kind'], value: kind });
    const frame = createDerive()(project).frames.value.frames.find(({ id }) => id === 'frame.2');
    expect(touchWords(frame!, 'keel-chine')).toBe(said);
  });
  it('timber is glued', () => {
    const project = words({ path: ['school'], value: 'framed' });
    expect(createDerive()(project).frames.value.frames.map((frame) => touchWords(frame, 'keel-chine'))).toContain(
      'glue',
    );
  });
});
