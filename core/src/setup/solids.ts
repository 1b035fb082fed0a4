/**
 * The pieces that a boat stands on while it is set up, as solids in space: prisms with one outline, athwart or along.
 *
 * Method: two prisms share a place where their outlines, cut to what the other one spans, have a height in common; two
 * that run the same way where their outlines meet and their spans do. What only touches shares no volume.
 * Conventions: x aft, y to starboard, z up from the strongback's line. Lengths mm.
 */
import { boundsOf, boxOutline, intersectionOf, type Outline } from '../geometry';

export type Solid = {
  readonly name: string;
  /** `athwart`: outline in x and z, from port to starboard; `along`: outline in y and z, from forward aft. */
  readonly runs: 'athwart' | 'along';
  readonly outline: Outline;
  readonly from: number;
  readonly to: number;
};

/** What overlaps by no more only touches, mm. */
const TOUCHING_MM = 0.05;

export const boxSolid = (
  name: string,
  [fromX, toX]: readonly [number, number],
  [fromY, toY]: readonly [number, number],
  [fromZ, toZ]: readonly [number, number],
): Solid => ({
  ...{ name, runs: 'athwart', from: fromY, to: toY },
  outline: boxOutline({ minX: fromX, maxX: toX, minY: fromZ, maxY: toZ }),
});

/** Whether two solids share room, however little more than a touch. */
export function shareRoom(a: Solid, b: Solid): boolean {
  // most are not even near one another
  if (!isNear(a, b)) return false;
  const [shrunkA, shrunkB] = [shrunk(a), shrunk(b)];
  if (a.runs === b.runs)
    return spansMeet(shrunkA, shrunkB) && intersectionOf([shrunkA.outline], [shrunkB.outline]).length > 0;
  return heightsOf(shrunkA, shrunkB).some((one) =>
    heightsOf(shrunkB, shrunkA).some(
      (other) => Math.min(one[1], other[1]) - Math.max(one[0], other[0]) > 2 * TOUCHING_MM,
    ),
  );
}

const spansMeet = (a: Solid, b: Solid): boolean => Math.min(a.to, b.to) > Math.max(a.from, b.from);

const shrunk = (solid: Solid): Solid => ({ ...solid, from: solid.from + TOUCHING_MM, to: solid.to - TOUCHING_MM });

/** Farther than anything stands, mm. */
const FAR_MM = 1e5;

/** The heights of a solid within the span of one that runs across it. */
function heightsOf({ outline }: Solid, { from, to }: Solid): (readonly [number, number])[] {
  if (to <= from) return [];
  const span = boxOutline({ minX: from, maxX: to, minY: -FAR_MM, maxY: FAR_MM });
  return intersectionOf([outline], [span]).map((part) => {
    const { minY, maxY } = boundsOf(part);
    return [minY, maxY];
  });
}

/** The box around it. */
function spaceOf({ runs, outline, from, to }: Solid): (readonly [number, number])[] {
  const { minX, maxX, minY, maxY } = boundsOf(outline);
  return runs === 'athwart'
    ? [
        [minX, maxX],
        [from, to],
        [minY, maxY],
      ]
    : [
        [from, to],
        [minX, maxX],
        [minY, maxY],
      ];
}

/** Pairs that run through one another, by their names. */
export const clashesOf = (solids: readonly Solid[]): (readonly [string, string])[] =>
  solids.flatMap((a, i) => solids.slice(i + 1).flatMap((b) => (shareRoom(a, b) ? [[a.name, b.name] as const] : [])));

const isNear = (a: Solid, b: Solid): boolean => {
  const [one, other] = [spaceOf(a), spaceOf(b)];
  return one.every(([low, high], k) => Math.min(high, other[k]![1]) - Math.max(low, other[k]![0]) > TOUCHING_MM);
};
