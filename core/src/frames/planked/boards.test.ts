import { describe, expect, it } from 'vitest';
import { area, at, boundsOf, distance2 } from '../../geometry';
import { bendLines } from '../../lines';
import { developPanels } from '../../panels';
import { tableOf } from '../fixtures/table-of';
import { shapeFrame } from '../frame';
import { plainFrame, timberIn } from '../plans';
import { placeInPlane } from '../section';
import { bottomTimbers, layBoards } from './boards';

const LENGTH = 3000;
/** A flat bottom 900 wide that rises one in ten aft, sides upright. */
const SLOPE = tableOf({ chine: (x) => [450, x / 10], sheer: (x) => [450, 400 + x / 10] });
/** The bottom bent as a circle of this radius. */
const RADIUS = 9000;
const round = (x: number) => RADIUS - Math.sqrt(RADIUS ** 2 - (x - LENGTH / 2) ** 2);
const ROUND = tableOf({
  chine: (x) => [400, round(x)],
  sheer: (x) => [500, 500 + round(x)],
});
const VEE = tableOf({ keel: () => [0, 0], chine: () => [500, 100], sheer: () => [500, 400] });
const panelsOf = (table: typeof SLOPE) => developPanels(bendLines(table).value, { thickness: 6 }).value;
const laid = (table: typeof SLOPE, board: number, from: 'fore' | 'aft' = 'aft') => {
  const panels = panelsOf(table);
  const planked = layBoards(panels, { panel: at(panels, 0).id, board, from });
  if (!planked) throw new Error('not planked');
  return { panels, whole: at(panels, 0), ...planked };
};

describe('a bottom planked athwart', () => {
  it('is boards that make up the panel, each of its breadth but the last', () => {
    const { boards, whole } = laid(SLOPE, 700);
    const long = Math.hypot(LENGTH, 300);
    expect(boards).toHaveLength(5);
    expect(boards.reduce((sum, { outline }) => sum + area(outline), 0)).toBeCloseTo(area(whole.outline), 0);
    const breadths = boards.map(({ outline }) => boundsOf(outline)).map(({ minX, maxX }) => maxX - minX);
    breadths.slice(0, 4).forEach((breadth) => expect(breadth).toBeCloseTo(700, 3));
    expect(breadths[4]).toBeCloseTo(long - 4 * 700, 1);
  });
  it('has its seams square across the whole breadth, so far apart along the curve of the bottom', () => {
    const { seams } = laid(ROUND, 400, 'fore');
    seams.forEach(({ ends: [a, b], place: [x, y, z] }, i) => {
      expect(distance2(a, b)).toBeCloseTo(800, 1);
      expect(y).toBeCloseTo(0, 3);
      // from the end by the arc: half the bottom is RADIUS·asin(half its length/RADIUS)
      const half = RADIUS * Math.asin(LENGTH / 2 / RADIUS);
      const angle = ((i + 1) * 400 - half) / RADIUS;
      expect(x).toBeCloseTo(LENGTH / 2 + RADIUS * Math.sin(angle), 0);
      expect(z).toBeCloseTo(round(x), 0);
    });
  });
  it.each(['fore', 'aft'] as const)('begins at the %s end', (from) => {
    const { boards } = laid(SLOPE, 800, from);
    const first = boundsOf(at(boards, 0).outline);
    const last = boundsOf(at(boards, -1).outline);
    expect(first.minX < last.minX).toBe(from === 'fore');
    expect(last.maxX - last.minX).toBeLessThan(700);
  });
  it('is not laid on one of a pair, or on a panel that is not there', () => {
    const panels = panelsOf(VEE);
    expect(layBoards(panels, { panel: at(panels, 0).id, board: 400, from: 'aft' })).toBeUndefined();
    expect(layBoards(panels, { panel: 'nowhere', board: 400, from: 'aft' })).toBeUndefined();
  });
});

describe('the timbers under the seams', () => {
  const asked = { breadth: 40, depth: 20, skin: 6 };
  it('stand square to the bottom with the seam in their middle, from side to side', () => {
    const { panels, seams } = laid(SLOPE, 700);
    const timbers = bottomTimbers(panels, { seams }, [], asked);
    expect(timbers).toHaveLength(4);
    timbers.forEach((plan, i) => {
      expect(plan.rakeDeg).toBeCloseTo((-Math.atan(0.1) * 180) / Math.PI, 6);
      const plane = { x: plan.x, rakeRad: (plan.rakeDeg * Math.PI) / 180 };
      expect(placeInPlane(plane, at(seams, i).place)[0]).toBeCloseTo(20, 6);
      const made = shapeFrame(plan, panels, { skin: 6, school: 'framed', gap: 0, ...timberIn('mm') });
      if (!made.ok) throw new Error(made.why);
      const [floor, ...more] = made.frame.timbered?.timbers ?? [];
      expect(more).toEqual([]);
      expect(floor?.lengthMm).toBeCloseTo(2 * (450 - 6), 2);
      const { minY, maxY } = boundsOf(made.frame.cut.outline);
      expect(maxY - minY).toBeCloseTo(20, 2);
      expect(floor?.bevel).toMatchObject({ fromDeg: expect.closeTo(0, 4) as number });
    });
  });
  it('are left out where a frame stands on the seam', () => {
    const { panels, seams } = laid(SLOPE, 700);
    const [x] = at(seams, 1).place;
    const frame = plainFrame({ id: 'f', name: 'F', x: x - 5, width: 20 });
    expect(bottomTimbers(panels, { seams }, [frame], asked).map(({ name }) => name)).toEqual([
      ...['Bottom timber 1', 'Bottom timber 3', 'Bottom timber 4'],
    ]);
  });
  it('are none where they have no depth', () => {
    const { panels, seams } = laid(SLOPE, 700);
    expect(bottomTimbers(panels, { seams }, [], { ...asked, depth: 0 })).toEqual([]);
  });
});
