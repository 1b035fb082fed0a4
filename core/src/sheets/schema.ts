/** The sheets' part of a project, and the nesting job's own file format (contract). Lengths mm. */
import { z } from 'zod';
import type { Outline } from '../geometry';
import { formatThickness, isImperial, MM_PER_INCH, usualIn, type Notation } from '../measure';
import { SHEET_SIZE } from '../panels';
import { countField, figureField, lengthField } from '../stage';
import { BULKHEAD_SHEETS, FEED, GAP, MACHINE_RADIUS, MARGIN, SEED, SKIN_SHEETS, TABS } from './constants';

/** A place on a sheet that is kept clear of: a knot, a dent, a corner that is gone. From its lower left corner. */
const zoneSchema = z.object({
  id: z.string().min(1).max(40),
  x: lengthField('Zone from the left', 0, 20_000),
  y: lengthField('Zone from below', 0, 20_000),
  width: lengthField('Length of the zone', 1, 20_000),
  height: lengthField('Width of the zone', 1, 20_000),
});

const stockSheetSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().max(60),
  width: lengthField('Length of a sheet', 10, 20_000),
  height: lengthField('Width of a sheet', 10, 20_000),
  thickness: lengthField('Thickness of a sheet', 0.5, 100),
  /** What it is made of, as in `kinds`; empty: whatever is not told apart. */
  kind: z.string().max(40),
  /** Of its faces, in the merchant's words. */
  grade: z.string().max(40),
  /** So many may be used: those that are there, and those that can be bought. */
  qty: countField('Sheets in stock', 0, 500),
  /** So many of them are there already. */
  onHand: countField('On hand', 0, 500),
  /** Of one, in the builder's own money; 0: not said. */
  price: figureField('Price of a sheet', { min: 0, max: 100_000 }),
  /** Left over from other work: used before whole sheets. */
  isOffcut: z.boolean(),
  /** Its true edge, where it is no rectangle: within width and height. Empty: the rectangle. */
  outline: z
    .array(z.object({ x: lengthField('Edge from the left', 0, 20_000), y: lengthField('Edge from below', 0, 20_000) }))
    .max(200),
  zones: z.array(zoneSchema).max(30),
});

/** A part that is scribed in place is cut as the smallest rectangle that holds it, larger all round by `extra`. */
const scribedSchema = z.object({
  id: z.string().min(1).max(160),
  extra: lengthField('Larger all round by', 0, 300),
});

/** A piece where the builder put it, on a sheet by the stock's id and the number of it. Pinned: it stays there. */
const laidSchema = z.object({
  id: z.string().min(1).max(180),
  sheet: z.string().min(1).max(40),
  index: z.number().int().min(0).max(499),
  x: lengthField('From the left', -20_000, 40_000),
  y: lengthField('From below', -20_000, 40_000),
  rotationDeg: figureField('Turned', { min: 0, max: 360, unit: '°' }),
  isPinned: z.boolean(),
});

export const sheetsSchema = z.object({
  stock: z.array(stockSheetSchema).max(30),
  gap: lengthField('Gap for the cut', 0, 100),
  margin: lengthField('Margin at the edge', 0, 200),
  /** Of a cutting machine; `feed` along its path, mm a minute. */
  machine: z.object({
    radius: lengthField('Radius of the machine’s cutter', 0.2, 20),
    feed: figureField('Feed', { min: 50, max: 30_000, unit: 'mm/min' }),
    tabs: countField('Tabs on a part', 0, 20),
  }),
  /** What the skin, transoms, and all that stands within are made of: sheets of the same kind. */
  kinds: z.object({ skin: z.string().max(40), transoms: z.string().max(40), inside: z.string().max(40) }),
  scribed: z.array(scribedSchema).max(200),
  /** Pieces of which more are cut than the boat has: to be safe, or for one that was spoiled. */
  spares: z.array(z.object({ id: z.string().min(1).max(180), qty: countField('Spares of it', 0, 20) })).max(200),
  /** Both hands of a pair are cut at once, of two sheets on one another. */
  stacked: z.boolean(),
  /** What was laid by hand; the rest is laid out around it. */
  laid: z.array(laidSchema).max(2000),
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31),
});

export type SheetsPart = z.infer<typeof sheetsSchema>;
export type StockSheet = SheetsPart['stock'][number];
export type LaidByHand = SheetsPart['laid'][number];

/** What is said of a whole sheet of which nothing else is known. */
export const PLAIN_SHEET = { kind: '', grade: '', onHand: 0, price: 0, isOffcut: false, outline: [], zones: [] };

const size = z.number().positive().max(100_000);
const coordinate = z.number().min(-100_000).max(100_000);
const ring = z
  .array(z.tuple([coordinate, coordinate]))
  .min(3, 'needs 3 points at least')
  .max(5000);

export const nestJobSchema = z.object({
  gap: z.number().min(0).max(1000),
  margin: z.number().min(0).max(1000),
  sheets: z
    .array(z.object({ id: z.string().min(1), width: size, height: size, qty: z.number().int().min(0).max(1000) }))
    .min(1, 'needs one sheet at least'),
  parts: z.array(
    z.object({
      id: z.string().min(1),
      outline: ring,
      holes: z.array(ring).default([]),
      qty: z.number().int().min(0).max(1000).default(1),
      rotations: z.union([z.literal('any'), z.array(z.number()).min(1)]).default([0]),
      mirror: z.boolean().default(false),
    }),
  ),
});

type NestFile = z.infer<typeof nestJobSchema>;

/** A copy that lies where it is, as a placement on a sheet of the job. */
export type FixedCopy = {
  readonly part: string;
  readonly copy: number;
  readonly sheet: string;
  readonly index: number;
  readonly x: number;
  readonly y: number;
  readonly rotationDeg: number;
  readonly mirrored: boolean;
};

/** What is laid out: as in a file, and what only the program itself asks for. */
export type NestJob = Omit<NestFile, 'sheets'> & {
  readonly sheets: readonly (NestFile['sheets'][number] & {
    /** Its true edge, where that is not its rectangle. */
    readonly outline?: Outline;
    /** To be kept clear of. */
    readonly zones?: readonly Outline[];
  })[];
  readonly fixed?: readonly FixedCopy[];
  /** Parts that are cut two at once, by ids: the second is the first one’s mirror image. */
  readonly couples?: readonly (readonly [string, string])[];
};

/** 2440 × 1220 mm, or 96 × 48 in. */
const sizeIn = (notation: Notation) => ({
  width: usualIn(SHEET_SIZE.value.width, notation),
  height: usualIn(SHEET_SIZE.value.height, notation),
});

function sizeWords(notation: Notation): string {
  const { width, height } = sizeIn(notation);
  return isImperial(notation)
    ? `${Math.round(width / MM_PER_INCH)} × ${Math.round(height / MM_PER_INCH)} in`
    : `${width} × ${height}`;
}

/** The sheets' part of a new project: stock for the skin and for bulkheads. */
export const sheetsAtFirst = (_others: object, notation: Notation): SheetsPart => ({
  stock: [SKIN_SHEETS.value, BULKHEAD_SHEETS.value].map(({ thickness, qty }) => ({
    id: `sheet-${thickness}`,
    name: `${formatThickness(thickness, notation)}, ${sizeWords(notation)}`,
    ...sizeIn(notation),
    thickness,
    qty,
    ...PLAIN_SHEET,
  })),
  gap: usualIn(GAP.value, notation),
  margin: usualIn(MARGIN.value, notation),
  machine: { radius: MACHINE_RADIUS.value, feed: FEED.value, tabs: TABS.value },
  kinds: { skin: '', transoms: '', inside: '' },
  ...{ scribed: [], spares: [], laid: [], stacked: false },
  seed: SEED.value,
});
