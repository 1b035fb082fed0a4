/**
 * Whether the boat comes through the door, stands in the shop with room to work, and lies on the trailer.
 *
 * Method: a box round everything that is built: the lines, the parts and the walls. Through a door it goes upright or
 * on its side.
 */
import type { Hull } from '../lines';
import { DOOR_CLEAR } from './constants';
import type { InsideFinding } from './findings';
import { placesOf, ringToBend, type InBoat } from './in-boat';
import type { Limits } from './schema';

export type OverAll = { readonly long: number; readonly wide: number; readonly high: number };

export function overAll(hull: Hull, parts: readonly InBoat[]): OverAll {
  const lines = hull.lines.flatMap(({ curve }) => curve);
  const cut = parts.flatMap((part) => {
    const place = placesOf(part);
    return part.pieces.flatMap(({ region }) =>
      ringToBend(part, region.outline).map((p) => place(p, part.thickness / 2)),
    );
  });
  const all = [...lines, ...cut];
  if (all.length === 0) return { long: 0, wide: 0, high: 0 };
  const span = (k: 0 | 2) => Math.max(...all.map((p) => p[k])) - Math.min(...all.map((p) => p[k]));
  return { long: span(0), wide: 2 * Math.max(...all.map(([, y]) => Math.abs(y))), high: span(2) };
}

export function judgeLimits(limits: Limits, { long, wide, high }: OverAll): InsideFinding[] {
  const where = { stage: 'fitout' };
  const check = { severity: 'check', where } as const;
  const { shopLong, shopWide, walk, doorWide, doorHigh, trailerLong, trailerWide } = limits;
  const shop = [
    { way: 'long', mm: long + 2 * walk, room: shopLong },
    { way: 'wide', mm: wide + 2 * walk, room: shopWide },
  ].filter(({ mm, room }) => room > 0 && mm > room);
  const clear = 2 * DOOR_CLEAR.value;
  const fits = (a: number, b: number) =>
    (doorWide === 0 || a + clear <= doorWide) && (doorHigh === 0 || b + clear <= doorHigh);
  const trailer = [
    { way: 'long', mm: long, room: trailerLong },
    { way: 'wide', mm: wide, room: trailerWide },
  ].filter(({ mm, room }) => room > 0 && mm > room);
  return [
    ...shop.map((data): InsideFinding => ({ ...check, code: 'boat-over-shop', data: { ...data, walk } })),
    ...(fits(wide, high) || fits(high, wide)
      ? []
      : [{ ...check, code: 'boat-over-door' as const, data: { wide, high, doorWide, doorHigh } }]),
    ...trailer.map((data): InsideFinding => ({ ...check, code: 'boat-over-trailer', data })),
  ];
}
