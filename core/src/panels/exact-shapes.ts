/**
 * Developable shapes whose flat form is known in closed form: the yardstick of the tests and the benchmarks.
 *
 * Each gives two lines on the surface at any fraction of their length, and the exact flat place of a point on it.
 * Sources: a circular cone rolls out to polar coordinates (distance from the apex, angle × sine of the half-angle); an
 * oblique cylinder to (length along the right section, height along the rulings); the tangent surface of a helix to the
 * plane with its edge of regression on a circle of the helix's curvature (do Carmo, Differential Geometry, §3-5).
 */
import type { Vec2, Vec3 } from '../geometry';

export type ExactShape = {
  readonly name: string;
  readonly p: (w: number) => Vec3;
  readonly q: (w: number) => Vec3;
  readonly flatOf: (point: Vec3) => Vec2;
};

export type ConeInput = {
  readonly apex: Vec3;
  /** The axis leans by this from straight down, in the profile. */
  readonly leanRad: number;
  readonly halfAngleRad: number;
  /** Angles round the axis between which the lines run. */
  readonly phi: readonly [number, number];
  /** Distances from the apex at the middle of each line, and how much less at its ends. */
  readonly rP: readonly [number, number];
  readonly rQ: readonly [number, number];
};

/** A circular cone over or under the panel, with lines at changing distances from the apex. */
export function cone({ apex, leanRad, halfAngleRad, phi, rP, rQ }: ConeInput): ExactShape {
  const [sin, cos] = [Math.sin(halfAngleRad), Math.cos(halfAngleRad)];
  const axis: Vec3 = [Math.sin(leanRad), 0, -Math.cos(leanRad)];
  const e1: Vec3 = [Math.cos(leanRad), 0, Math.sin(leanRad)];
  const place = (angle: number, r: number): Vec3 => {
    const [a, b, c] = [r * cos, r * sin * Math.sin(angle), r * sin * Math.cos(angle)];
    return [apex[0] + axis[0] * a + e1[0] * b, apex[1] + c, apex[2] + axis[2] * a + e1[2] * b];
  };
  const line = (w: number, [middle, less]: readonly [number, number], skew: number): Vec3 =>
    place(
      phi[0] + w * (phi[1] - phi[0]) + skew * w * (1 - w),
      middle - less * (2 * w - 1) ** 2 + 0.4 * less * w,
    );
  return {
    name: `cone of ${Math.round((halfAngleRad * 180) / Math.PI)}° and ${rP[0]} mm`,
    p: (w) => line(w, rP, 0),
    q: (w) => line(w, rQ, 0.03),
    flatOf: (point) => {
      const d = point.map((c, k) => c - apex[k as 0 | 1 | 2]) as unknown as Vec3; // three in, three out
      const r = Math.hypot(...d);
      const angle = Math.atan2(d[0] * e1[0] + d[2] * e1[2], d[1]) * sin;
      return [r * Math.cos(angle), r * Math.sin(angle)];
    },
  };
}

/** A circular cylinder of the given radius whose axis leans by `leanRad` from upright in the profile. */
export function obliqueCylinder(input: {
  radius: number;
  leanRad: number;
  arcRad: number;
  height: number;
}): ExactShape {
  const [c, s] = [Math.cos(input.leanRad), Math.sin(input.leanRad)];
  const place = (angle: number, h: number): Vec3 => {
    const [a, b] = [
      input.radius * Math.sin(angle),
      input.radius * (Math.cos(angle) - Math.cos(input.arcRad / 2)),
    ];
    return [a * c + h * s, b + 200, -a * s + h * c];
  };
  const angle = (w: number) => (w - 0.5) * input.arcRad;
  return {
    name: `cylinder of ${input.radius} mm leaning ${Math.round((input.leanRad * 180) / Math.PI)}°`,
    p: (w) => place(angle(w), 40 * Math.sin(2 * w)),
    q: (w) => place(angle(w) * 0.96, input.height + 60 * w * w),
    flatOf: ([x, y, z]) => {
      const a = x * c - z * s;
      const h = x * s + z * c;
      const b = y - 200 + input.radius * Math.cos(input.arcRad / 2);
      return [input.radius * Math.atan2(a, b), h];
    },
  };
}

/** The tangent surface of a helix: every ruling touches the helix, far off the panel. */
export function tangentDevelopable(input: {
  radius: number;
  pitch: number;
  turnRad: number;
  near: number;
  far: number;
}): ExactShape {
  const k = input.pitch / (2 * Math.PI);
  const slope = Math.hypot(input.radius, k);
  const helix = (angle: number): Vec3 => [
    input.radius * Math.cos(angle),
    input.radius * Math.sin(angle),
    k * angle,
  ];
  const tangent = (angle: number): Vec3 => [
    (-input.radius * Math.sin(angle)) / slope,
    (input.radius * Math.cos(angle)) / slope,
    k / slope,
  ];
  const along = (angle: number, distance: number): Vec3 => {
    const [h, d] = [helix(angle), tangent(angle)];
    return [h[0] + d[0] * distance, h[1] + d[1] * distance, h[2] + d[2] * distance];
  };
  const flatCurveRadius = (slope * slope) / input.radius;
  return {
    name: `tangent surface of a helix of ${input.radius} mm`,
    p: (w) => along(w * input.turnRad, input.near + 100 * w),
    q: (w) => along(w * input.turnRad, input.far - 150 * w * w),
    flatOf: (point) => {
      const { angle, distance } = touchOf(point, input.radius, k);
      const turn = (angle * slope) / flatCurveRadius;
      return [
        flatCurveRadius * Math.cos(turn) - distance * Math.sin(turn),
        flatCurveRadius * Math.sin(turn) + distance * Math.cos(turn),
      ];
    },
  };
}

/** The helix angle whose tangent passes through a point of the surface: its distance by the cylinder, then its angle. */
function touchOf([x, y]: Vec3, radius: number, k: number): { angle: number; distance: number } {
  const flat = Math.sqrt(Math.max(0, x * x + y * y - radius * radius)); // tangent length in plan
  const angle = Math.atan2(y, x) - Math.atan2(flat, radius);
  return { angle, distance: (flat * Math.hypot(radius, k)) / radius };
}

/**
 * Greatest distance between two lists of flat points after the best rigid motion of the first onto the second, mm
 * (two-dimensional Procrustes, no reflection unless `mayFlip`).
 */
export function misfit(found: readonly Vec2[], exact: readonly Vec2[], mayFlip = true): number {
  const once = worstAfterFit(found, exact);
  return mayFlip
    ? Math.min(
        once,
        worstAfterFit(
          found.map(([u, v]): Vec2 => [u, -v]),
          exact,
        ),
      )
    : once;
}

function worstAfterFit(found: readonly Vec2[], exact: readonly Vec2[]): number {
  const mean = (points: readonly Vec2[], k: 0 | 1) =>
    points.reduce((sum, p) => sum + p[k], 0) / points.length;
  const [fu, fv, eu, ev] = [mean(found, 0), mean(found, 1), mean(exact, 0), mean(exact, 1)];
  let [dot, cross] = [0, 0];
  found.forEach(([u, v], i) => {
    const [x, y] = exact[i]!; // same length by contract
    dot += (u - fu) * (x - eu) + (v - fv) * (y - ev);
    cross += (u - fu) * (y - ev) - (v - fv) * (x - eu);
  });
  const size = Math.hypot(dot, cross);
  const [c, s] = [dot / size, cross / size];
  return Math.max(
    ...found.map(([u, v], i) => {
      const [x, y] = exact[i]!; // same length by contract
      return Math.hypot(c * (u - fu) - s * (v - fv) - (x - eu), s * (u - fu) + c * (v - fv) - (y - ev));
    }),
  );
}
