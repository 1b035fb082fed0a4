/**
 * Drawings before they become a file: outlines to cut, lines to mark, words, all in true millimetres.
 *
 * Curves are polylines that keep within CURVE_MM of the computed edge. x to the right, y up.
 */
import { plainText } from '../measure';
import { at, boundsOf, simplify, type Outline, type Vec2 } from '../geometry';

/** What a line is for; also the name of its layer in a file. */
export type Layer = 'cut' | 'mark' | 'text';
export type DrawnPath = {
  readonly layer: 'cut' | 'mark';
  /** A layer of its own in files that have layers. */
  readonly layerName?: string;
  readonly points: readonly Vec2[];
  readonly isClosed: boolean;
  /** Of the line on paper, mm; the usual one where it is left out. */
  readonly widthMm?: number;
  /** Goes out on paper alone, or in files to cut from alone. */
  readonly only?: 'paper' | 'files';
  /** The circle that the points stand for, in files that have circles. */
  readonly circle?: { readonly at: Vec2; readonly radius: number };
};
export type DrawnText = {
  readonly at: Vec2;
  readonly heightMm: number;
  readonly text: string;
  readonly layerName?: string;
  /** Which of its ends is at the place; its left unless said. */
  readonly align?: 'left' | 'center' | 'right';
  readonly only?: DrawnPath['only'];
};
export type Drawing = {
  /** Names the file. */
  readonly name: string;
  /** As menus call it, where that is not its name. */
  readonly title?: string;
  /** How many, of which hand, and the face that is drawn. */
  readonly hand?: string;
  readonly material?: string;
  /** It says which revision it is of. */
  readonly isStamped?: boolean;
  readonly paths: readonly DrawnPath[];
  readonly texts: readonly DrawnText[];
};

/** Half of the accuracy promised for a cut edge, 0.05 mm. */
export const CURVE_MM = 0.025;
/** Of names on drawings at full size. */
export const TEXT_MM = 22;

export const closedPath = (layer: 'cut' | 'mark', outline: Outline): DrawnPath => ({
  layer,
  points: thinned(outline),
  isClosed: true,
});

export const openPath = (points: readonly Vec2[]): DrawnPath => ({
  layer: 'mark',
  points: simplify(points, CURVE_MM),
  isClosed: false,
});

/** A straight mark from one place to another. */
export const straightPath = (from: Vec2, to: Vec2): DrawnPath => ({
  layer: 'mark',
  isClosed: false,
  points: [from, to],
});

/** A closed outline with fewer points, its start kept. */
function thinned(outline: Outline): Vec2[] {
  const middle = Math.floor(outline.length / 2);
  const first = simplify(outline.slice(0, middle + 1), CURVE_MM);
  const second = simplify([...outline.slice(middle), at(outline, 0)], CURVE_MM);
  return [...first.slice(0, -1), ...second.slice(0, -1)];
}

const HOLE_MM = 1.5;
const HOLE_CORNERS = 8;

export const hole = ([u, v]: Vec2): DrawnPath => ({
  layer: 'mark',
  layerName: 'HOLES',
  isClosed: true,
  circle: { at: [u, v], radius: HOLE_MM },
  points: Array.from({ length: HOLE_CORNERS }, (_, i): Vec2 => {
    const angle = (i * 2 * Math.PI) / HOLE_CORNERS;
    return [u + HOLE_MM * Math.cos(angle), v + HOLE_MM * Math.sin(angle)];
  }),
});

/** A path carried elsewhere, its circle with it; `carry` keeps distances. */
export const carried = (path: DrawnPath, carry: (p: Vec2) => Vec2): DrawnPath => ({
  ...path,
  points: path.points.map(carry),
  ...(path.circle && { circle: { ...path.circle, at: carry(path.circle.at) } }),
});

export function drawingBounds(drawing: Drawing) {
  return boundsOf(drawing.paths.flatMap((path) => path.points));
}

/** What of a drawing goes into files to cut from. */
export const inFiles = (drawing: Drawing): Drawing => ({
  ...drawing,
  paths: drawing.paths.filter(({ only }) => only !== 'paper'),
  texts: drawing.texts.filter(({ only }) => only !== 'paper'),
});

/** The drawing with the revision on it, after its name. */
export const stamped = (drawing: Drawing, revision: number): Drawing => ({
  ...drawing,
  isStamped: true,
  texts: drawing.texts.map((text, i) => (i === 0 ? { ...text, text: `${text.text}, rev ${revision}` } : text)),
});

/** Names in a file's layers: upper case, without the signs that the format keeps for itself. */
export const layerWord = (name: string): string =>
  plainText(name)
    .toUpperCase()
    .replace(/[<>/\\":;?*|=,`']/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
