/** The sheets' part of a project, and the nesting job's own file format (contract). Lengths mm. */
import { z } from 'zod';
import { formatThickness, isImperial, MM_PER_INCH, usualIn, type Notation } from '../measure';
import { SHEET_SIZE } from '../panels';
import { countField, figureField, lengthField } from '../stage';
import { BULKHEAD_SHEETS, FEED, GAP, MACHINE_RADIUS, MARGIN, SEED, SKIN_SHEETS, TABS } from './constants';

const stockSheetSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().max(60),
  width: lengthField('Length of a sheet', 10, 20_000),
  height: lengthField('Width of a sheet', 10, 20_000),
  thickness: lengthField('Thickness of a sheet', 0.5, 100),
  qty: countField('Sheets in stock', 0, 500),
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
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31),
});

export type SheetsPart = z.infer<typeof sheetsSchema>;

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

export type NestJob = z.infer<typeof nestJobSchema>;

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
  })),
  gap: usualIn(GAP.value, notation),
  margin: usualIn(MARGIN.value, notation),
  machine: { radius: MACHINE_RADIUS.value, feed: FEED.value, tabs: TABS.value },
  seed: SEED.value,
});
