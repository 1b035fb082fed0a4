/**
 * A place on the flat panel as a place in space: where a joint, a hole or a mark comes to lie on the hull.
 *
 * Method: between two neighbouring rulings the flat strip is cut along its diagonal into two triangles, and the place
 * keeps its barycentric coordinates in the same triangle in space. Accuracy: that of the facets, which are the panel as
 * it is drawn.
 */
import { add3, at, lerp2, scale3, unit3, type Vec2, type Vec3 } from '../../geometry';
import { wholeEnds, type LaidRuling } from '../../surface';
import type { Panel } from '../panel';

/** Undefined where the place is off the panel. */
export const placeOn = (panel: Pick<Panel, 'rulings'>, place: Vec2): Vec3 | undefined => faceAt(panel, place)?.space;

/** A place of the surface with its normal, out of the hull, and the ruling after it. */
export type FacePlace = { readonly space: Vec3; readonly normal: Vec3; readonly ruling: number };

/**
 * Undefined where the place is off the panel. It is looked for from a ruling outward: one who goes along a panel gives
 * that of the place before.
 */
export function faceAt({ rulings }: Pick<Panel, 'rulings'>, place: Vec2, near = 1): FacePlace | undefined {
  const last = rulings.length - 1;
  const start = Math.min(last, Math.max(1, near));
  for (let off = 0; off < rulings.length; off++) {
    for (const k of off === 0 ? [start] : [start + off, start - off]) {
      const found = k >= 1 && k <= last ? onFacet(at(rulings, k - 1), at(rulings, k), place) : undefined;
      if (found) return { ...found, ruling: k };
    }
  }
  return undefined;
}

/** Between two rulings. */
function onFacet(a: LaidRuling, b: LaidRuling, place: Vec2): Omit<FacePlace, 'ruling'> | undefined {
  // its ends before the edges were set back: those are the lines' own
  const [[p1, q1], [p2, q2]] = [wholeEnds(a), wholeEnds(b)];
  const shares = sharesIn(place, [p1, q1, p2]);
  // of the first triangle two corners are the ruling before, of the second two are the one after
  if (shares) return mixed(shares, [a.p, a.q, b.p], [a.normal, a.normal, b.normal]);
  const others = sharesIn(place, [q1, q2, p2]);
  return others && mixed(others, [a.q, b.q, b.p], [a.normal, b.normal, b.normal]);
}

/**
 * Where a place of one flat panel lies on another that is laid out of the same rulings, as a layer of it is. What is
 * off the panel goes along with the nearest of it.
 */
export function flatOnto(from: Pick<Panel, 'rulings'>, to: Pick<Panel, 'rulings'>): (place: Vec2) => Vec2 {
  const facets = from.rulings.slice(1).flatMap((after, i) => {
    const [[p1, q1], [p2, q2]] = [wholeEnds(at(from.rulings, i)), wholeEnds(after)];
    const [[s1, t1], [s2, t2]] = [wholeEnds(at(to.rulings, i)), wholeEnds(at(to.rulings, i + 1))];
    return [
      { own: [p1, q1, p2], other: [s1, t1, s2] },
      { own: [q1, q2, p2], other: [t1, t2, s2] },
    ] as const;
  });
  return (place) => {
    let nearest = { off: Infinity, at: place };
    for (const { own, other } of facets) {
      const shares = barycentric(place, own);
      if (!shares) continue;
      const off = Math.max(0, -Math.min(...shares));
      if (off < nearest.off) nearest = { off, at: sumOf(shares, other) };
      if (off === 0) break;
    }
    return nearest.at;
  };
}

const sumOf = (shares: Three<number>, [a, b, c]: Three<Vec2>): Vec2 => [
  shares[0] * a[0] + shares[1] * b[0] + shares[2] * c[0],
  shares[0] * a[1] + shares[1] * b[1] + shares[2] * c[1],
];

/** Points of a straight line on the flat panel, as far as it lies on it. */
export function lineOn(panel: Pick<Panel, 'rulings'>, from: Vec2, to: Vec2, count: number): Vec3[] {
  return Array.from({ length: count }, (_, i) => placeOn(panel, lerp2(from, to, i / (count - 1)))).filter(
    (p) => p !== undefined,
  );
}

/** A share of a triangle: a point on its side belongs to it. */
const TOUCH = 1e-6;

/** A triangle with less of an area, doubled, has no inside: a place in it is on its neighbour, too. */
const SLIVER_MM2 = 1e-6;

type Three<T> = readonly [T, T, T];

/** Barycentric coordinates of a place in a triangle; undefined where it lies outside. */
function sharesIn(place: Vec2, corners: Three<Vec2>): Three<number> | undefined {
  const shares = barycentric(place, corners);
  return shares?.every((share) => share >= -TOUCH) ? shares : undefined;
}

/** As the triangle's plane goes on beyond it; undefined of one without an area. */
function barycentric([x, y]: Vec2, [a, b, c]: Three<Vec2>): Three<number> | undefined {
  const whole = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
  if (Math.abs(whole) < SLIVER_MM2) return undefined; // at a fan's point, or between two rulings in one place
  const v = ((x - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (y - a[1])) / whole;
  const w = ((b[0] - a[0]) * (y - a[1]) - (x - a[0]) * (b[1] - a[1])) / whole;
  return [1 - v - w, v, w];
}

function mixed(shares: Three<number>, corners: Three<Vec3>, normals: Three<Vec3>) {
  const sum = (of: Three<Vec3>): Vec3 =>
    of.reduce<Vec3>((total, corner, i) => add3(total, scale3(corner, at(shares, i))), [0, 0, 0]);
  return { space: sum(corners), normal: unit3(sum(normals)) };
}
