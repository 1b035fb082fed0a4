/**
 * Lines across a part's sheet: where a plane of the boat passes it: its own ends, a cut, a transom's inner face.
 *
 * Method: place by place across the sheet on both its faces (lie.ts); the one that is reached first rules. Of a flat
 * sheet and a flat end two places are enough.
 */
import { at, type Outline, type Vec2, type Vec3 } from '../geometry';
import { acrossAt, alongAt, FACES, overMiddle, placeOn, type Lie } from './lie';

/** A plane across the boat that a part ends at: what is kept lies on the side that the normal looks away from. */
export type EndOfRoom = {
  readonly normal: Vec3;
  readonly level: number;
  /** Of one bent athwart: out from the centreline, and its level there; in order from port. */
  readonly bent?: readonly Vec2[];
  /** How far out and from where up to where it is closed; absent: everywhere. */
  readonly closes?: { readonly out: number; readonly low: number; readonly high: number };
};

/** Beyond any boat. */
export const FAR_MM = 50_000;

/** Places across the sheet at which a plane that crosses it is taken: of a flat one two are enough. */
export function acrossPlaces(lie: Lie, most: number): number[] {
  if (lie.radius === 0) return [-most, most];
  const reach = Math.min(most, (lie.radius * Math.PI) / 2);
  return Array.from({ length: 2 * CAMBER_STEPS + 1 }, (_, i) => (reach * (i - CAMBER_STEPS)) / CAMBER_STEPS);
}
const CAMBER_STEPS = 60;

/** The line on the sheet at which both faces are clear of a plane; `isAfter`: what is kept lies forward of it. */
export function lineAt(lie: Lie, plane: EndOfRoom, isAfter: boolean, most = HALF_BREADTH_MM): Vec2[] {
  const places = plane.bent ? bentPlaces(lie, plane.bent, most) : acrossPlaces(lie, most);
  return places.map((v): Vec2 => {
    const us = FACES.map((face) => {
      const over = overMiddle(lie, face);
      const level = plane.bent ? levelOn(plane.bent, placeOn(lie, [0, v], over)[1]) : plane.level;
      return alongAt(lie, { normal: plane.normal, level }, v, over);
    });
    return [isAfter ? Math.min(...us) : Math.max(...us), v];
  });
}

/** Where across the sheet a bent end has its own places, and far beyond them on either side. */
const bentPlaces = (lie: Lie, bent: readonly Vec2[], most: number): number[] => [
  ...(lie.radius > 0 ? [] : [-most]),
  ...bent.map(([out]) => acrossAt(lie, out, 'under')),
  ...(lie.radius > 0 ? [] : [most]),
];

/** Beyond its ends it goes on as it is there. */
export function levelOn(bent: readonly Vec2[], out: number): number {
  const k = bent.findIndex(([y]) => y >= out);
  if (k < 0) return at(bent, -1)[1];
  if (k === 0) return at(bent, 0)[1];
  const [a, b] = [at(bent, k - 1), at(bent, k)];
  return b[0] > a[0] ? a[1] + ((out - a[0]) / (b[0] - a[0])) * (b[1] - a[1]) : b[1];
}

/** Wider than any part, mm. */
export const HALF_BREADTH_MM = 5000;

export const planeAtX = (x: number): EndOfRoom => ({ normal: [1, 0, 0], level: x });

/** Forward of a line across the sheet, or abaft it. */
export const besideLine = (line: readonly Vec2[], isForward: boolean): Outline => {
  const far = isForward ? -FAR_MM : FAR_MM;
  return [...line, [far, at(line, -1)[1]], [far, at(line, 0)[1]]];
};
