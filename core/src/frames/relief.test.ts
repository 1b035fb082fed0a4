import { expect, it } from 'vitest';
import { at, boundsOf, contains, differenceOf, netArea, turned, type Outline, type Vec2 } from '../geometry';
import { reliefsOf } from './relief';

const PART: Outline = [
  [0, 0],
  [200, 0],
  [200, 100],
  [0, 100],
];
/** From the part's lower edge 40 into it, 20 wide. */
const SLOT: Outline = [
  [90, -40],
  [110, -40],
  [110, 40],
  [90, 40],
];

it('is at the inner corners of a slot, and takes there what a cutter’s round leaves, and no more', () => {
  const reliefs = reliefsOf(SLOT, [PART], 3);
  expect(reliefs).toHaveLength(2);
  reliefs.forEach((round, i) => {
    const corner: Vec2 = [i === 0 ? 110 : 90, 40];
    const { minX, maxX, minY, maxY } = boundsOf(round);
    const middle: Vec2 = [(minX + maxX) / 2, (minY + maxY) / 2];
    // the rim passes through the corner
    expect(Math.hypot(middle[0] - corner[0], middle[1] - corner[1])).toBeCloseTo(3, 9);
    expect(contains(SLOT, middle)).toBe(true);
  });
  const [square, relieved] = [[SLOT], [SLOT, ...reliefs]].map((cuts) => netArea(at(differenceOf([PART], cuts), 0)));
  // of each round, two segments over chords of a quarter lie beyond the slot's sides: r²(π/2 - 1)/2 each
  expect(square! - relieved!).toBeCloseTo(2 * 2 * (9 * (Math.PI / 2 - 1)) * 0.5, 0);
});

it('a square tool of the cutter’s width reaches into every corner, however the slot is turned', () => {
  const turn = (outline: Outline) => turned(outline, 0.7);
  const left = differenceOf([turn(PART)], [turn(SLOT), ...reliefsOf(turn(SLOT), [turn(PART)], 3)])[0]!;
  for (const corner of [
    [109.99, 39.99],
    [90.01, 39.99],
  ] as const)
    expect(contains(left.outline, at(turned([corner], 0.7), 0))).toBe(false);
});

it('is none so near to an edge that what is left would break off', () => {
  const high = SLOT.map(([x, y]): Vec2 => [x, y === 40 ? 96 : y]);
  expect(reliefsOf(high, [PART], 3)).toEqual([]);
  expect(differenceOf([PART], [high])).toHaveLength(1);
});

it('is none at a radius of nought, nor at corners off the part, nor on a round', () => {
  expect(reliefsOf(SLOT, [PART], 0)).toEqual([]);
  expect(
    reliefsOf(
      SLOT.map(([x, y]): Vec2 => [x + 500, y]),
      [PART],
      3,
    ),
  ).toEqual([]);
  const round = Array.from({ length: 60 }, (_, i): Vec2 => [
    100 + 20 * Math.cos((i * Math.PI) / 30),
    50 + 20 * Math.sin((i * Math.PI) / 30),
  ]);
  expect(reliefsOf(round, [PART], 3)).toEqual([]);
});
