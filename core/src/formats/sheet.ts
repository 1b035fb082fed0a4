/**
 * A draughtsman's sheet of paper: a margin that no line touches, a border, a title block, and a drawing at a scale.
 *
 * All in millimetres of paper, (0, 0) the lower left corner. Widths of lines tell their kinds apart; nothing is pale.
 */
import type { Vec2 } from '../geometry';
import { unitLabel, type Notation } from '../measure';
import type { Drawing, DrawnPath, DrawnText } from './drawing';
import { shortened } from './letters';
import { pageOnItsSide, type SheetPaper } from './paper';

/** Widths of lines on paper, mm, by what they are for. */
export const LINE_MM = { cut: 0.7, edge: 0.5, mark: 0.35, construction: 0.18 } as const;
/** No letter on a scaled sheet is smaller. */
export const LETTER_MM = 3.2;
/** Between the lines of a text. */
export const LINE_STEP_MM = 4.4;
/** From the paper's edge to the border: no printer prints nearer to the edge than it must. */
export const SHEET_MARGIN_MM = 12;
/** Of the title block's two rows together. */
export const TITLE_MM = 15;

export type SheetSize = { readonly width: number; readonly height: number };

/** What leaves on paper: pages of one size, as one file. */
export type PaperSheets = {
  /** Names the file. */
  readonly name: string;
  readonly title: string;
  readonly size: SheetSize;
  readonly pages: readonly Drawing[];
};

/** Whose sheets they are, and what they are printed on. */
export type SheetHead = {
  readonly boat: string;
  readonly revision: number;
  readonly notation: Notation;
  readonly paper: SheetPaper;
  /** The day of printing; empty where nobody says. */
  readonly date: string;
};

/** What a title block says of the part, each in a few words. */
export type TitleOf = {
  readonly part: string;
  /** Which hand and face, how many. */
  readonly hand: string;
  readonly material: string;
  readonly scale: string;
};

/** Lines and words of a page. */
export type Content = { readonly paths: readonly DrawnPath[]; readonly texts: readonly DrawnText[] };

export const merged = (...contents: readonly Content[]): Content => ({
  paths: contents.flatMap(({ paths }) => paths),
  texts: contents.flatMap(({ texts }) => texts),
});

export const sheetLine = (kind: keyof typeof LINE_MM, points: readonly Vec2[], isClosed = false): DrawnPath => ({
  ...{ layer: kind === 'cut' ? 'cut' : 'mark', points, isClosed },
  widthMm: LINE_MM[kind],
});

export const sheetText = (at: Vec2, text: string, more: Partial<DrawnText> = {}): DrawnText => ({
  ...{ at, text, heightMm: LETTER_MM },
  ...more,
});

/** Between border and contents. */
const INSET_MM = 4;

/** Where the contents of a page go. */
export const innerBox = ({ width, height }: SheetSize) => ({
  minX: SHEET_MARGIN_MM + INSET_MM,
  maxX: width - SHEET_MARGIN_MM - INSET_MM,
  minY: SHEET_MARGIN_MM + TITLE_MM + INSET_MM,
  maxY: height - SHEET_MARGIN_MM - INSET_MM,
});

/** Pages with border and title block. */
export function sheetsOf(
  head: SheetHead,
  sheet: TitleOf & { readonly name: string; readonly title: string },
  contents: readonly Content[],
): PaperSheets {
  const size = pageOnItsSide(head.paper);
  const { name, title, part } = sheet;
  return {
    ...{ name, title, size },
    pages: contents.map((content, i): Drawing => {
      const frame = titled(size, head, { ...sheet, page: `sheet ${i + 1} of ${contents.length}` });
      return { name: part, ...merged(frame, content) };
    }),
  };
}

/** Cells of the title block's rows, as shares of its width. */
const SHARES = [
  [0.3, 0.56, 0.14],
  [0.3, 0.2, 0.22, 0.14, 0.14],
] as const;
const INDENT_MM = 2;

/** Border and title block of one page. */
function titled(size: SheetSize, head: SheetHead, { part, hand, material, scale, page }: TitleOf & { page: string }) {
  const [left, bottom] = [SHEET_MARGIN_MM, SHEET_MARGIN_MM];
  const [right, top] = [size.width - SHEET_MARGIN_MM, size.height - SHEET_MARGIN_MM];
  const box = (x0: number, y0: number, x1: number, y1: number): Vec2[] => [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];
  const rows = [
    [head.boat, [part, hand].filter(Boolean).join(', '), `rev ${head.revision}`],
    [material, scale, `figures in ${unitLabel(head.notation)}`, head.date, page],
  ];
  const paths: DrawnPath[] = [sheetLine('edge', box(left, bottom, right, top), true)];
  const texts: DrawnText[] = [];
  const rowHeight = TITLE_MM / rows.length;
  rows.forEach((cells, r) => {
    const y = bottom + TITLE_MM - (r + 1) * rowHeight;
    let x = left;
    cells.forEach((text, c) => {
      const width = (right - left) * (SHARES[r]?.[c] ?? 0);
      paths.push(sheetLine('construction', box(x, y, x + width, y + rowHeight), true));
      const words = shortened(text, width - 2 * INDENT_MM, LETTER_MM);
      if (words !== '') texts.push(sheetText([x + INDENT_MM, y + (rowHeight - LETTER_MM) / 2 + 0.6], words));
      x += width;
    });
  });
  return { paths, texts };
}

/** Which page of a whole book a sheet is, in its title block beside the revision. */
export const pageOfBook = ({ width }: SheetSize, page: number, of: number): DrawnText =>
  sheetText(
    [width - SHEET_MARGIN_MM - INDENT_MM, SHEET_MARGIN_MM + TITLE_MM / 2 + (TITLE_MM / 2 - LETTER_MM) / 2 + 0.6],
    `page ${page} of ${of}`,
    { align: 'right' },
  );

/** Scales that rules and tapes are made for, full size over drawn size. */
const METRIC_SCALES = [1, 2, 5, 10, 15, 20, 25, 30, 40, 50, 75, 100, 200, 500] as const;
const IMPERIAL_SCALES: readonly (readonly [number, string])[] = [
  [1, 'full size'],
  [2, '6 in = 1 ft'],
  [4, '3 in = 1 ft'],
  [8, '1 1/2 in = 1 ft'],
  [12, '1 in = 1 ft'],
  [16, '3/4 in = 1 ft'],
  [24, '1/2 in = 1 ft'],
  [32, '3/8 in = 1 ft'],
  [48, '1/4 in = 1 ft'],
  [96, '1/8 in = 1 ft'],
  [192, '1/16 in = 1 ft'],
  [500, '1:500'],
];

export type SheetScale = { readonly over: number; readonly words: string };

/** The largest scale at which something of this size has room. */
export function scaleFor(size: SheetSize, room: SheetSize, isImperial: boolean): SheetScale {
  const all: readonly SheetScale[] = isImperial
    ? IMPERIAL_SCALES.map(([over, words]) => ({ over, words }))
    : METRIC_SCALES.map((over) => ({ over, words: over === 1 ? 'full size' : `scale 1:${over}` }));
  const found = all.find(({ over }) => size.width <= room.width * over && size.height <= room.height * over);
  return found ?? { over: Math.max(size.width / room.width, size.height / room.height), words: 'not to scale' };
}
