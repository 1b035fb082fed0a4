/** What sheets of different stages have in common: the arrow forward, a check length, steps, dimensions. */
import { at, type Vec2 } from '../geometry';
import { isImperial, type Notation } from '../measure';
import type { DrawnText } from './drawing';
import { wrapped } from './letters';
import { LETTER_MM, LINE_STEP_MM, sheetLine, sheetText, type Content, type LINE_MM } from './sheet';

/** Full size to paper: `at` is where `origin` comes to lie. */
export type Placing = { readonly origin: Vec2; readonly at: Vec2; readonly over: number };
export const placer =
  ({ origin, at: [x, y], over }: Placing) =>
  (p: Vec2): Vec2 => [x + (p[0] - origin[0]) / over, y + (p[1] - origin[1]) / over];

/** An arrow that points forward, and the word; its point at the left. */
export function forwardArrow([x, y]: Vec2): Content {
  const shaft: Vec2[] = [
    [x + 11, y],
    [x, y],
  ];
  const head: Vec2[] = [
    [x + 2.5, y + 1.2],
    [x, y],
    [x + 2.5, y - 1.2],
  ];
  return {
    paths: [sheetLine('mark', shaft), sheetLine('mark', head)],
    texts: [sheetText([x + 1, y + 2], 'FORE')],
  };
}

const CHECK = { metric: { mm: 50, words: '50 mm' }, imperial: { mm: 50.8, words: '2 in' } } as const;
/** A length to lay a rule on, from its right end: a printer that scales gives itself away. */
export function checkLength([right, y]: Vec2, notation: Notation): Content {
  const { mm, words } = CHECK[isImperial(notation) ? 'imperial' : 'metric'];
  const tick = (x: number) =>
    sheetLine('mark', [
      [x, y - 1.5],
      [x, y + 1.5],
    ]);
  const line = sheetLine('mark', [
    [right - mm, y],
    [right, y],
  ]);
  return {
    paths: [line, tick(right - mm), tick(right)],
    texts: [sheetText([right - mm / 2, y - LETTER_MM - 1], `${words} on this paper`, { align: 'center' })],
  };
}

type Column = { readonly left: number; readonly right: number; readonly top: number };
const NUMBER_MM = 6;

/** Numbered, each as many lines as it takes. */
export function numberedSteps(steps: readonly string[], { left, right, top }: Column): Content {
  const texts: DrawnText[] = [];
  let y = top - LETTER_MM;
  steps.forEach((step, i) => {
    texts.push(sheetText([left, y], `${i + 1}.`));
    for (const line of wrapped(step, right - left - NUMBER_MM, LETTER_MM)) {
      texts.push(sheetText([left + NUMBER_MM, y], line));
      y -= LINE_STEP_MM;
    }
    y -= 1;
  });
  return { paths: [], texts };
}

const SAMPLE_MM = 10;

/** What each kind of line on the sheet stands for. */
export function lineKey(kinds: readonly (readonly [keyof typeof LINE_MM, string])[], [x, y]: Vec2): Content {
  const rows = kinds.map(([kind, words], i): Content => {
    const line: Vec2[] = [
      [x, y - i * LINE_STEP_MM],
      [x + SAMPLE_MM, y - i * LINE_STEP_MM],
    ];
    const words0: Vec2 = [x + SAMPLE_MM + 2, y - i * LINE_STEP_MM - LETTER_MM / 3];
    return { paths: [sheetLine(kind, line)], texts: [sheetText(words0, words)] };
  });
  return { paths: rows.flatMap(({ paths }) => paths), texts: rows.flatMap(({ texts }) => texts) };
}

/** A dimension between two places on one level: its line with end ticks, and the figure over its middle. */
export function dimensionAcross(from: Vec2, toX: number, words: string): Content {
  const [x, y] = from;
  const tick = (end: number): Vec2[] => [
    [end - 0.9, y - 0.9],
    [end + 0.9, y + 0.9],
  ];
  const ends: Vec2[] = [
    [x, y],
    [toX, y],
  ];
  return {
    paths: [sheetLine('construction', ends), ...ends.map(([end]) => sheetLine('mark', tick(end)))],
    texts: [sheetText([(x + toX) / 2, y + 1], words, { align: 'center' })],
  };
}

/** The same upright; the figure stands beside its middle. */
export function dimensionUp(from: Vec2, toY: number, words: string): Content {
  const [x, y] = from;
  const ends: Vec2[] = [
    [x, y],
    [x, toY],
  ];
  const tick = (end: number): Vec2[] => [
    [x - 0.9, end - 0.9],
    [x + 0.9, end + 0.9],
  ];
  return {
    paths: [sheetLine('construction', ends), ...ends.map((end) => sheetLine('mark', tick(at(end, 1))))],
    texts: [sheetText([x + 1.2, (y + toY) / 2 - LETTER_MM / 3], words)],
  };
}
