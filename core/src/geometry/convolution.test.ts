import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solidSum } from './convolution';
import { minkowskiSum, signedArea, unionOf, type Outline } from './polygon';
import { at, type Vec2 } from './vec';

const totalArea = (rings: readonly Outline[]) => rings.reduce((sum, ring) => sum + signedArea(ring), 0);
/** The plain way: every edge of one swept along the other, and the solid of one at a corner of the other. */
const plainSum = (a: Outline, b: Outline) => {
  const swept = minkowskiSum(a, b).filter((ring) => signedArea(ring) > 0);
  return unionOf([...swept, a.map(([x, y]): Vec2 => [x + at(b, 0)[0], y + at(b, 0)[1]])]);
};

describe('solidSum', () => {
  it('of two rectangles is the rectangle of their sides added', () => {
    const sum = solidSum(
      [
        [0, 0],
        [30, 0],
        [30, 10],
        [0, 10],
      ],
      [
        [0, 0],
        [5, 0],
        [5, 7],
        [0, 7],
      ],
    );
    expect(sum).toHaveLength(1);
    expect(totalArea(sum)).toBeCloseTo(35 * 17, 9);
  });
  it('of an L and a square fills the corner by the square', () => {
    const ell: Outline = [
      [0, 0],
      [100, 0],
      [100, 30],
      [30, 30],
      [30, 100],
      [0, 100],
    ];
    // (110 × 110) less the hollow of 70 × 70, made smaller by 10 each way
    expect(
      totalArea(
        solidSum(ell, [
          [0, 0],
          [10, 0],
          [10, 10],
          [0, 10],
        ]),
      ),
    ).toBeCloseTo(110 * 110 - 70 * 70, 6);
  });
  it('keeps the room inside a hook that the other fits into', () => {
    const hook: Outline = [
      [0, 0],
      [100, 0],
      [100, 100],
      [48, 100],
      [48, 90],
      [90, 90],
      [90, 10],
      [10, 10],
      [10, 90],
      [42, 90],
      [42, 100],
      [0, 100],
    ];
    const small: Outline = [
      [0, 0],
      [20, 0],
      [20, 20],
      [0, 20],
    ];
    const rings = solidSum(hook, small);
    const holes = rings.filter((ring) => signedArea(ring) < 0);
    expect(holes).toHaveLength(1);
    expect(totalArea(holes)).toBeCloseTo(-60 * 60, 6);
  });
  it('agrees with the plain sweep on random outlines, hollow ones too (seed 7)', () => {
    const star = fc
      .array(fc.integer({ min: 15, max: 90 }), { minLength: 3, maxLength: 12 })
      .map((radii) =>
        radii.map((r, k): Vec2 => [
          r * Math.cos((2 * Math.PI * k) / radii.length),
          r * Math.sin((2 * Math.PI * k) / radii.length),
        ]),
      );
    fc.assert(
      fc.property(star, star, (a, b) => {
        const outer = (rings: readonly Outline[]) => totalArea(rings.filter((ring) => signedArea(ring) > 0));
        expect(Math.abs(outer(solidSum(a, b)) / outer(plainSum(a, b)) - 1)).toBeLessThan(1e-5);
      }),
      { seed: 7, numRuns: 60 },
    );
  });
  it('of what has no area is nothing', () => {
    expect(
      solidSum(
        [
          [0, 0],
          [10, 0],
          [20, 0],
        ],
        [
          [0, 0],
          [1, 0],
          [0, 1],
        ],
      ),
    ).toEqual([]);
  });
});
