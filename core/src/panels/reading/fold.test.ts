import { describe, expect, it } from 'vitest';
import { at, distance3 } from '../../geometry';
import { createDerive, demoProject } from '../../project';
import { foldHull } from './fold';

describe.each(['tamsel', 'orrin'] as const)('%s folded up from its flat panels', (boat) => {
  const { panels } = createDerive()(demoProject(boat, 'x')).panels.value;
  it('lies on the hull when wholly folded', () => {
    foldHull(panels, 1).forEach((rulings, i) =>
      rulings.forEach(({ p, q }, k) => {
        const there = at(at(panels, i).rulings, k);
        expect(distance3(p, there.p)).toBeLessThan(0.5);
        expect(distance3(q, there.q)).toBeLessThan(0.5);
      }),
    );
  });
  it('lies level on the bench when not folded at all', () => {
    const heights = foldHull(panels, 0).flatMap((rulings) => rulings.flatMap(({ p, q }) => [p[2], q[2]]));
    // a bottom that spans the centreline keeps the slope of its own middle
    expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(at(panels, 0).spansCentreline ? 250 : 0.1);
  });
  it.each([0, 0.3, 0.7])('keeps every edge and ruling at its length, folded to %f', (share) => {
    foldHull(panels, share).forEach((rulings, i) => {
      const truth = at(panels, i).rulings;
      rulings.forEach(({ p, q }, k) => {
        expect(Math.abs(distance3(p, q) - distance3(at(truth, k).p, at(truth, k).q))).toBeLessThan(1e-3);
        if (k === 0) return;
        const step = distance3(p, at(rulings, k - 1).p) - distance3(at(truth, k).p, at(truth, k - 1).p);
        expect(Math.abs(step)).toBeLessThan(1e-3);
      });
    });
  });
  it('moves no place by more than the sheet can swing, and all of it smoothly', () => {
    const [one, two] = [foldHull(panels, 0.5), foldHull(panels, 0.52)];
    one.forEach((rulings, i) =>
      rulings.forEach(({ p }, k) => expect(distance3(p, at(at(two, i), k).p)).toBeLessThan(80)),
    );
  });
});
