/** Points and vectors of the plane and of space, as plain tuples in mm. */

export type Vec2 = readonly [number, number];
export type Vec3 = readonly [number, number, number];

export const add3 = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const sub3 = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale3 = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k];
export const dot3 = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross3 = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const length3 = (a: Vec3): number => Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]);
/** By a plain root: Math.hypot guards against overflow that no boat reaches, at many times the cost. */
export function distance3(a: Vec3, b: Vec3): number {
  const x = a[0] - b[0];
  const y = a[1] - b[1];
  const z = a[2] - b[2];
  return Math.sqrt(x * x + y * y + z * z);
}
export const lerp3 = (a: Vec3, b: Vec3, w: number): Vec3 => [
  a[0] + (b[0] - a[0]) * w,
  a[1] + (b[1] - a[1]) * w,
  a[2] + (b[2] - a[2]) * w,
];
/** The vector at length one; the zero vector stays as it is. */
export function unit3(a: Vec3): Vec3 {
  const length = length3(a);
  return length > 0 ? scale3(a, 1 / length) : a;
}

export function distance2(a: Vec2, b: Vec2): number {
  const x = a[0] - b[0];
  const y = a[1] - b[1];
  return Math.sqrt(x * x + y * y);
}
export const lerp2 = (a: Vec2, b: Vec2, w: number): Vec2 => [a[0] + (b[0] - a[0]) * w, a[1] + (b[1] - a[1]) * w];

/** The item at an index the caller has bounded; an index outside is our own mistake and throws. */
export function at<T>(items: ArrayLike<T>, index: number): T {
  const item = items[index < 0 ? items.length + index : index];
  if (item === undefined) throw new RangeError(`Index ${index} is outside a list of ${items.length}`);
  return item;
}
