/**
 * A panel as a sheet with two faces and an edge, in buffers that are written over while the number of rulings stays: an
 * edit makes no new ones.
 *
 * Points are places across each ruling: on the outer face, then on the inner, then the edge round them, each with its
 * own normal. Colours carry what light does not: the inside is warmer, both faces darken towards a seam, as a corner
 * gets less of the sky, and the edge is of cut plies.
 */
import { fieldReader, type Field, type FoldedRuling, type Panel } from '@kalotrope/core/panels';
import { add3, at, cross3, dot3, lerp3, scale3, sub3, unit3, type Vec3 } from '@kalotrope/core/geometry';
import { BufferAttribute, BufferGeometry, Color, type BufferAttribute as Attribute } from 'three';
import { colourOf } from '../bands';
import { GRAIN_MM } from './grain';

/** Shares across a ruling: close at both ends, where it darkens. */
export const ACROSS = [0, 0.05, 0.14, 0.32, 0.5, 0.68, 0.86, 0.95, 1] as const;
const ROWS = ACROSS.length;

const OUTSIDE = new Color('#F1DAAF');
const INSIDE = new Color('#F4CF97');
const EDGE = new Color('#8F6638');

/** Of the light that is lost in a seam, on the inner and on the outer face; how far from it half of that is left. */
const LOST = { inner: 0.5, outer: 0.16 } as const;
const REACH_MM = 70;

/** Where the corners of the edge strips begin, after both faces. */
const facesOf = (count: number): number => 2 * count * ROWS;
const pointsOf = (count: number): number => facesOf(count) + 4 * count + 4 * ROWS;

export function emptyShell(count: number): BufferGeometry {
  const geometry = new BufferGeometry();
  const points = pointsOf(count);
  for (const [name, size] of [
    ['position', 3],
    ['normal', 3],
    ['color', 3],
    ['uv', 2],
  ] as const)
    geometry.setAttribute(name, new BufferAttribute(new Float32Array(points * size), size));
  return geometry.setIndex([
    ...faceCells(count, 0, false),
    ...faceCells(count, count * ROWS, true),
    ...edgeCells(count),
  ]);
}

function faceCells(count: number, from: number, isTurned: boolean): number[] {
  return Array.from({ length: (count - 1) * (ROWS - 1) }, (_, i) => from + i + Math.floor(i / (ROWS - 1))).flatMap(
    (i) => {
      const [a, b, c, d] = [i, i + 1, i + ROWS, i + ROWS + 1];
      return isTurned ? [a, c, b, b, c, d] : [a, b, c, b, d, c];
    },
  );
}

/** Along the lower and the upper edge, then across the fore and the after end. */
function edgeCells(count: number): number[] {
  const cells: number[] = [];
  let from = facesOf(count);
  for (const length of [count, count, ROWS, ROWS]) {
    for (let k = 0; k + 1 < length; k++) {
      const i = from + 2 * k;
      cells.push(i, i + 1, i + 2, i + 1, i + 3, i + 2);
    }
    from += 2 * length;
  }
  return cells;
}

export type ShellOf = {
  readonly panel: Panel;
  readonly shape: readonly FoldedRuling[];
  /** From the lines' surface to the outer face and to the inner one, outward. */
  readonly faces: { readonly outer: number; readonly inner: number };
  readonly field: Field | undefined;
  readonly thickness: number;
  /** Whether another panel, or the mirror image, meets it along its lower and its upper edge. */
  readonly isJoined: readonly [boolean, boolean];
};

export function fillShell(geometry: BufferGeometry, of: ShellOf): void {
  const { panel, shape, faces } = of;
  const count = shape.length;
  const [position, normal, color, uv] = (['position', 'normal', 'color', 'uv'] as const).map((name) =>
    geometry.getAttribute(name),
  ) as [Attribute, Attribute, Attribute, Attribute]; // made with all four
  const normals = outwardNormals(panel, shape);
  const colours = faceColours(of);
  shape.forEach(({ p, q }, k) => {
    const out = at(normals, k);
    ACROSS.forEach((w, row) => {
      const middle = lerp3(p, q, w);
      const ruling = at(panel.rulings, k);
      const flat = lerpFlat(ruling, w);
      for (const side of [0, 1] as const) {
        const i = side * count * ROWS + k * ROWS + row;
        position.setXYZ(i, ...add3(middle, scale3(out, side === 0 ? faces.outer : faces.inner)));
        normal.setXYZ(i, ...(side === 0 ? out : scale3(out, -1)));
        const { r, g, b } = colours(side, k, row);
        color.setXYZ(i, r, g, b);
        uv.setXY(i, flat[0] / GRAIN_MM.along, flat[1] / GRAIN_MM.across + side / 2);
      }
    });
  });
  fillEdges({ position, normal, color }, count, normals);
  for (const attribute of [position, normal, color, uv]) attribute.needsUpdate = true;
  geometry.computeBoundingSphere();
}

const lerpFlat = ({ flatP, flatQ }: Panel['rulings'][number], w: number) =>
  [flatP[0] + w * (flatQ[0] - flatP[0]), flatP[1] + w * (flatQ[1] - flatP[1])] as const;

/** The colour of a face's point: 0 the outer, 1 the inner; of a field where one is shown. */
function faceColours({ panel, shape, field, thickness, isJoined }: ShellOf) {
  const read = field && fieldReader(panel, field, thickness);
  const made = new Color();
  return (side: 0 | 1, k: number, row: number): Color => {
    const w = at(ACROSS, row);
    if (read) return made.set(colourOf(read(k, w)));
    const { p, q } = at(shape, k);
    const length = Math.hypot(...sub3(q, p));
    const near = (mm: number) => 2 ** (-mm / REACH_MM);
    const seams = (isJoined[0] ? near(w * length) : 0) + (isJoined[1] ? near((1 - w) * length) : 0);
    const lost = (side === 0 ? LOST.outer : LOST.inner) * Math.min(1, seams);
    return made.copy(side === 0 ? OUTSIDE : INSIDE).multiplyScalar(1 - lost);
  };
}

/** Square to the sheet, out of the hull; of a folded one on the same side. */
function outwardNormals(panel: Panel, shape: readonly FoldedRuling[]): Vec3[] {
  if (shape === panel.rulings) return panel.rulings.map((r) => r.normal);
  const facing = (list: readonly FoldedRuling[], k: number): Vec3 => {
    const [a, b] = [at(list, Math.max(0, k - 1)), at(list, Math.min(list.length - 1, k + 1))];
    const along = sub3(add3(b.p, b.q), add3(a.p, a.q));
    const up = sub3(add3(a.q, b.q), add3(a.p, b.p));
    const square = cross3(up, along);
    return Math.hypot(...square) > 1e-9 ? unit3(square) : [0, 0, 1];
  };
  const middle = Math.floor(shape.length / 2);
  const sign = dot3(facing(panel.rulings, middle), at(panel.rulings, middle).normal) < 0 ? -1 : 1;
  return shape.map((_, k) => scale3(facing(shape, k), sign));
}

type Attributes = { readonly position: Attribute; readonly normal: Attribute; readonly color: Attribute };

/** The four edges, over the points of both faces. */
function fillEdges({ position, normal, color }: Attributes, count: number, normals: readonly Vec3[]): void {
  const point = (i: number): Vec3 => [position.getX(i), position.getY(i), position.getZ(i)];
  let to = facesOf(count);
  const put = (i: number, inward: number, k: number) => {
    const outer = point(i);
    const out = at(normals, k);
    const away = sub3(outer, point(inward));
    const square = sub3(away, scale3(out, dot3(away, out)));
    const facing = Math.hypot(...square) > 1e-9 ? unit3(square) : out;
    for (const at of [outer, point(i + count * ROWS)]) {
      position.setXYZ(to, ...at);
      normal.setXYZ(to, ...facing);
      color.setXYZ(to, EDGE.r, EDGE.g, EDGE.b);
      to += 1;
    }
  };
  for (let k = 0; k < count; k++) put(k * ROWS, k * ROWS + 1, k);
  for (let k = 0; k < count; k++) put(k * ROWS + ROWS - 1, k * ROWS + ROWS - 2, k);
  for (let row = 0; row < ROWS; row++) put(row, ROWS + row, 0);
  for (let row = 0; row < ROWS; row++) put((count - 1) * ROWS + row, (count - 2) * ROWS + row, count - 1);
}

/** Round the outer face, as indices of its points: to draw its outline over them. */
export function outlineOf(count: number): number[] {
  const along = Array.from({ length: count }, (_, k) => k * ROWS);
  const ends = Array.from({ length: ROWS - 2 }, (_, row) => row + 1);
  return [
    ...along,
    ...ends.map((row) => (count - 1) * ROWS + row),
    ...along.map((i) => i + ROWS - 1).reverse(),
    ...ends.reverse(),
  ];
}

/** Every so many of the rulings, from edge to edge of the outer face. */
export const rulingsOf = (count: number, every: number): number[] =>
  Array.from({ length: Math.ceil(count / every) }, (_, i) => i * every * ROWS).flatMap((i) => [i, i + ROWS - 1]);
