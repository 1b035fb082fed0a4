/** What is marked on a piece for what goes through it: the middle of each screw, and the pads under its fittings. */
import { at, type Vec2 } from '../geometry';
import type { FittedPiece } from './fitted';
import type { LandingRow } from './landing-screws';
import type { Pads } from './pads';

/** Half the length of each stroke of a cross, mm. */
const CROSS_MM = 4;

/** Screws and the middles of fittings as crosses, pads as rings. */
export function throughPiece(
  { id }: Pick<FittedPiece, 'id'>,
  { pads }: Pads,
  screws: readonly Pick<LandingRow, 'piece' | 'places'>[],
): Vec2[][] {
  const own = pads.filter(({ piece }) => piece === id);
  return [
    ...screws.filter(({ piece }) => piece === id).flatMap(({ places }) => places.flatMap(crossAt)),
    ...own.flatMap((pad) => [[...pad.ring, at(pad.ring, 0)], ...crossAt(pad.at)]),
  ];
}

const crossAt = ([u, v]: Vec2): Vec2[][] => [
  [
    [u - CROSS_MM, v - CROSS_MM],
    [u + CROSS_MM, v + CROSS_MM],
  ],
  [
    [u - CROSS_MM, v + CROSS_MM],
    [u + CROSS_MM, v - CROSS_MM],
  ],
];
