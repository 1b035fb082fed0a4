import { describe, expect, it } from 'vitest';
import { createDerive, demoProject } from '@kalotrope/core/project';
import { boxAround, pathOf } from '../drawing/DrawingSurface';
import { stationStyle } from '../drawing/station-style';
import { bodyPlan, viewsOf } from './lines/views';
import { stack } from './panels/layout';

const derived = createDerive()(demoProject('tamsel', 'x'));
const hull = derived.lines.value;

describe('the three views', () => {
  const [profile, plan] = viewsOf(hull);
  it('stand profile above plan, clear of one another, on one x axis', () => {
    expect(profile.low).toBeGreaterThan(plan.high);
    expect(profile.corners[0]?.[0]).toBe(plan.corners[0]?.[0]);
  });
  it('have forward stations to the right and aft ones to the left of the centreline', () => {
    const { sections, middle } = bodyPlan(hull);
    expect(sections.map((section) => Math.sign(section.end[0] - middle))).toEqual([1, 1, 1, -1, -1, -1]);
    for (const section of sections) expect(section.points[0]?.[0]).toBe(middle);
  });
});

describe('the flat panels', () => {
  const shelves = stack(derived.panels.value.panels, 100);
  it('lie one under the other without touching', () => {
    shelves.slice(1).forEach((shelf, i) => expect(shelves[i]?.box.minY ?? 0).toBeCloseTo(shelf.box.maxY + 100, 6));
  });
});

describe('drawing helpers', () => {
  it('give each of the first eight stations its own colour, and dashes that grow with the zoom', () => {
    expect(new Set(Array.from({ length: 8 }, (_, i) => stationStyle(i, 1).stroke)).size).toBe(8);
    expect(stationStyle(2, 2).strokeDasharray).toBe('14 6');
  });
  it('write y downwards, as the screen has it', () => {
    expect(
      pathOf(
        [
          [0, 1],
          [2, 3],
        ],
        true,
      ),
    ).toBe('M0.00 -1.00L2.00 -3.00Z');
    expect(
      boxAround([
        [3, 4],
        [-1, 9],
      ]),
    ).toEqual({ minX: -1, minY: 4, maxX: 3, maxY: 9 });
  });
});
