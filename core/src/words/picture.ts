/** What a drawing of the glossary is made of, and the strokes that it is made with. */
export type Point = readonly [number, number];
/** `part` is filled as plywood is drawn; `glass` and `glue` are what lies on it. */
type Kind = 'edge' | 'thin' | 'dashed' | 'part' | 'glue' | 'glass';

export type PicturePath = { readonly kind: Kind; readonly points: readonly Point[]; readonly isClosed: boolean };
export type PictureLabel = {
  readonly text: string;
  readonly at: Point;
  readonly align: 'start' | 'middle' | 'end';
  /** Ids of the words that it is for. */
  readonly of: readonly string[];
};
export type Picture = {
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly paths: readonly PicturePath[];
  readonly labels: readonly PictureLabel[];
};

export const WIDTH = 480;
const STEPS = 24;

export const curve = (at: (t: number) => Point, from = 0, to = 1): Point[] =>
  Array.from({ length: STEPS + 1 }, (_, i) => at(from + ((to - from) * i) / STEPS));
export const open = (kind: Kind, ...points: Point[]): PicturePath => ({ kind, points, isClosed: false });
export const closed = (kind: Kind, ...points: Point[]): PicturePath => ({ kind, points, isClosed: true });
export const label = (
  text: string,
  at: Point,
  of: string | readonly string[],
  align: PictureLabel['align'] = 'start',
): PictureLabel => ({ text, at, align, of: typeof of === 'string' ? [of] : of });
/** Through three heights at nought, a half and one. */
export const sag =
  (fore: number, middle: number, aft: number) =>
  (t: number): number =>
    fore * (1 - t) * (1 - 2 * t) + 4 * middle * t * (1 - t) + aft * t * (2 * t - 1);
/** Part of a circle, degrees from the right, clockwise on the page. */
export const arc = ([x, y]: Point, radius: number, fromDeg: number, toDeg: number): Point[] =>
  curve((t) => {
    const angle = ((fromDeg + (toDeg - fromDeg) * t) * Math.PI) / 180;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });
