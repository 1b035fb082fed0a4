/**
 * Words on a drawing, moved apart so that none lies over another.
 *
 * Method: one by one in their order, each goes to the nearest free place round its own, tried in rings whose steps are
 * its own height (derived here; of the first words the places are kept). What finds none within reach is left out:
 * two words over each other are read by nobody.
 */
import type { Vec2 } from '../geometry';
import type { DrawnText } from './drawing';
import { textWidth } from './letters';

export type LabelBox = { readonly minX: number; readonly maxX: number; readonly minY: number; readonly maxY: number };

/** Letters rise and fall so far from the line that they stand on, in parts of their height. */
const RISE = 0.75;
const FALL = 0.22;
const RINGS = 40;

export function textBox({ at: [x, y], text, heightMm, align }: DrawnText): LabelBox {
  const width = textWidth(text, heightMm);
  const minX = align === 'right' ? x - width : align === 'center' ? x - width / 2 : x;
  return { minX, maxX: minX + width, minY: y - FALL * heightMm, maxY: y + RISE * heightMm };
}

/** Words that stay where they are, and those that may move; all within a room, where one is given. */
export function settled(
  texts: readonly DrawnText[],
  { fixed = [], room }: { readonly fixed?: readonly DrawnText[]; readonly room?: LabelBox } = {},
): DrawnText[] {
  const taken = fixed.map(textBox);
  return texts.flatMap((text) => {
    const box = textBox(text);
    const by = firstFree(box, text.heightMm, taken, room);
    if (!by) return [];
    taken.push(moved(box, by));
    return [{ ...text, at: [text.at[0] + by[0], text.at[1] + by[1]] as const }];
  });
}

const moved = (box: LabelBox, [x, y]: Vec2): LabelBox => ({
  ...{ minX: box.minX + x, maxX: box.maxX + x },
  ...{ minY: box.minY + y, maxY: box.maxY + y },
});

const overlap = (a: LabelBox, b: LabelBox): boolean =>
  a.minX < b.maxX && b.minX < a.maxX && a.minY < b.maxY && b.minY < a.maxY;
const isWithin = (a: LabelBox, room: LabelBox): boolean =>
  a.minX >= room.minX && a.maxX <= room.maxX && a.minY >= room.minY && a.maxY <= room.maxY;

function firstFree(box: LabelBox, step: number, taken: readonly LabelBox[], room?: LabelBox): Vec2 | undefined {
  for (let ring = 0; ring <= RINGS; ring++)
    for (const by of placesOn(ring, step)) {
      const there = moved(box, by);
      if ((!room || isWithin(there, room)) && !taken.some((other) => overlap(there, other))) return by;
    }
  return undefined;
}

/** Up and down first: words are wide. */
const placesOn = (ring: number, step: number): Vec2[] => {
  if (ring === 0) return [[0, 0]];
  const far = ring * step;
  const across = [0, 1, -1, 2, -2, 4, -4].filter((k) => Math.abs(k) <= ring);
  return [
    ...across.flatMap((k): Vec2[] => [
      [k * step, far],
      [k * step, -far],
    ]),
    [far, 0],
    [-far, 0],
  ];
};
