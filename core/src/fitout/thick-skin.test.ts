/** Seats near a fine bow, where the inside of a thick bottom comes over the centreline ahead of the sides' own. */
import { describe, expect, it } from 'vitest';
import { createDerive, demoProject } from '../project';
import { shapeOf } from './fitted';
import { netArea, boundsOf } from '../geometry';

describe('a seat in a boat of a thick skin', () => {
  const project = demoProject('tamsel', 'x');
  const { panels } = createDerive()(project).panels.value;
  const seat = project.fitout.parts.find(({ name }) => name === 'Side seat')!;
  const shapeIn = (inside: number) => shapeOf(seat, panels, { school: 'filleted', inside, outside: 0, ends: [] });

  it('has its place at any thickness, and less of it as the skin gets thicker', () => {
    let before: number | undefined;
    for (let inside = 3; inside <= 24; inside += 0.25) {
      const areas = shapeIn(inside).half.map((outline) => netArea({ outline, holes: [] }));
      const largest = Math.max(...areas);
      // a sliver between sides and bottom right at the stem is no part of it
      expect(areas.reduce((sum, area) => sum + area, 0) - largest).toBeLessThan(400);
      if (before !== undefined) {
        expect(largest).toBeLessThan(before);
        // along 4 m of edge by a quarter of a millimetre, square to a flaring side
        expect(before - largest).toBeLessThan(4300 * 0.25 * 1.5);
      }
      before = largest;
    }
  });
  it('reaches from stem to stern on the same side of the boat', () => {
    for (const inside of [6, 9, 11, 18]) {
      const shape = shapeIn(inside);
      const { minX, maxX, minY } = boundsOf(shape.half.flat());
      expect(minX).toBeLessThan(330);
      expect(maxX).toBeGreaterThan(4200);
      expect(minY).toBeGreaterThan(-1e-6);
    }
  });
});
