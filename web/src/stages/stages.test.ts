import { describe, expect, it } from 'vitest';
import { createDerive, demoProject } from '@kalotrope/core/project';
import { boxAround, pathOf } from '../drawing/DrawingSurface';
import { stationStyle } from '../drawing/station-style';
import { bodyPlace, bodyPlan, extentOf, isSameExtent, SIGHT, viewsOf } from './lines/views';
import { stack } from '../drawing/shelves';

const derived = createDerive()(demoProject('tamsel', 'x'));
const hull = derived.lines.value;

describe('the three views', () => {
  const extent = extentOf(hull);
  const [profile, plan] = viewsOf(extent, 1);
  it('stand profile above plan, clear of one another, on one x axis', () => {
    expect(profile.low).toBeGreaterThan(plan.high);
    expect(profile.corners[0]?.[0]).toBe(plan.corners[0]?.[0]);
  });
  it('have forward stations to the right and aft ones to the left of the centreline', () => {
    const { middle, ...place } = bodyPlace(extent, [profile, plan]);
    const { sections } = bodyPlan(hull, extent, { middle, ...place });
    expect(sections.map((section) => Math.sign(section.end[0] - middle))).toEqual([1, 1, 1, -1, -1, -1]);
    for (const section of sections) expect(section.points[0]?.[0]).toBe(middle);
  });
});

describe('the body plan', () => {
  const extent = extentOf(hull);
  it('lies below the plan, larger, with room beside it; a place drawn is the place meant', () => {
    const views = viewsOf(extent, 1);
    const place = bodyPlace(extent, views);
    expect(place.scale).toBe(1.5);
    expect(place.corners[1][1]).toBeLessThan(views[1].low);
    expect(place.free?.[0][0]).toBeGreaterThan(place.corners[1][0]);
    const [across, up] = place.trueOf(place.drawn([321, 123]));
    expect([across, up]).toEqual([expect.closeTo(321, 9), expect.closeTo(123, 9)]);
    expect(place.drawn([100, 0])[0] - place.drawn([0, 0])[0]).toBeCloseTo(150, 9);
  });
  it('stands beside the profile where the drawing is short', () => {
    const views = viewsOf(extent, SIGHT);
    const place = bodyPlace(extent, views);
    expect(place).toMatchObject({ scale: 1, free: undefined });
    expect(place.corners[0][0]).toBeGreaterThan(views[0].drawnX(extent.toX));
  });
});

describe('sighting along', () => {
  const extent = extentOf(hull);
  it('squeezes the length eightfold, breadths and heights not, and a place drawn is the place meant', () => {
    const [[whole], [near]] = [viewsOf(extent, 1), viewsOf(extent, SIGHT)];
    const width = (view: typeof whole) => view.drawnX(extent.toX) - view.drawnX(extent.fromX);
    expect(width(near)).toBeCloseTo(width(whole) / 8, 9);
    expect(near.high - near.low).toBeCloseTo(whole.high - whole.low, 9);
    expect(near.trueX(near.drawnX(1234))).toBeCloseTo(1234, 9);
  });
  it('keeps the views where they are through a small edit, not through another boat', () => {
    expect(isSameExtent(extent, { ...extent, breadth: extent.breadth + 100 })).toBe(true);
    expect(isSameExtent(extent, { ...extent, breadth: extent.breadth + 600 })).toBe(false);
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
