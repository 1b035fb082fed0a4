/**
 * The dimensions over all of a part at full size: what one lays the tape along before cutting, to see that the paper is
 * true and the sheet large enough.
 */
import { boundsOf, type Box, type Vec2 } from '../geometry';
import { formatWithUnit, type Notation } from '../measure';
import type { Drawing, DrawnPath } from './drawing';
import { LINE_MM } from './sheet';

/** From the part's edge to the line, and half a tick's run each way. */
const OFF_MM = 30;
const TICK_MM = 4;
/** Read across a bench. */
const LETTER_MM = 12;
const BESIDE_MM = 6;

const line = (points: readonly Vec2[]): DrawnPath => ({
  layer: 'mark',
  only: 'paper',
  points,
  isClosed: false,
  widthMm: LINE_MM.construction,
});
const tick = ([x, y]: Vec2): DrawnPath =>
  line([
    [x - TICK_MM, y - TICK_MM],
    [x + TICK_MM, y + TICK_MM],
  ]);

const holds = (box: Box, { minX, maxX, minY, maxY }: Box): boolean =>
  box.minX <= minX && maxX <= box.maxX && box.minY <= minY && maxY <= box.maxY;

/** The drawing with them, under the part and at its right; as it is where it is not of one part. */
export function withOverall(drawing: Drawing, notation: Notation): Drawing {
  const cut = drawing.paths.filter(({ layer, isClosed }) => layer === 'cut' && isClosed);
  const boxes = cut.map(({ points }) => boundsOf(points));
  // one part: what else is cut lies within it
  const whole = boxes.find((box) => boxes.every((other) => holds(box, other)));
  if (!whole) return drawing;
  const { minX, maxX, minY, maxY } = whole;
  const [under, beside] = [minY - OFF_MM, maxX + OFF_MM];
  const ends: readonly (readonly [Vec2, Vec2])[] = [
    [
      [minX, under],
      [maxX, under],
    ],
    [
      [beside, minY],
      [beside, maxY],
    ],
  ];
  const text = { heightMm: LETTER_MM, only: 'paper' } as const;
  return {
    ...drawing,
    paths: [...drawing.paths, ...ends.flatMap(([from, to]) => [line([from, to]), tick(from), tick(to)])],
    texts: [
      ...drawing.texts,
      {
        ...text,
        at: [(minX + maxX) / 2, under + BESIDE_MM],
        align: 'center',
        text: formatWithUnit(maxX - minX, notation),
      },
      {
        ...text,
        at: [beside + BESIDE_MM, (minY + maxY - LETTER_MM) / 2],
        text: formatWithUnit(maxY - minY, notation),
      },
    ],
  };
}
