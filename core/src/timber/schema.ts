/** The timber's part of a project. Lengths mm. */
import { z } from 'zod';
import { isImperial, MM_PER_INCH, usualIn, type Notation } from '../measure';
import { countField, figureField, lengthField, lengthOrNone } from '../stage';
import { BEND_RATIO, KERF, SCARF_RATIO, STOCK_LENGTHS } from './constants';

export const SOLD_IN = ['drawn', 'inch', 'sawn'] as const;
export type SoldIn = (typeof SOLD_IN)[number];

/** A length in which timber is sold or lies ready. A width and depth of 0: of every section that is asked for. */
const stickSchema = z.object({
  id: z.string().min(1).max(60),
  width: lengthOrNone('Width of a stick', 3, 500),
  depth: lengthOrNone('Depth of a stick', 3, 500),
  length: lengthField('Length of a stick', 100, 20_000),
  /** How many there are; 0: as many as are wanted. */
  qty: countField('Sticks in stock', 0, 500),
  /** Of one stick; 0: by its length in metres. */
  price: figureField('Price of a stick', { min: 0, max: 100_000 }),
});

/** A long piece that no other stage knows of: a rail, a runner, a batten. */
const ownRunSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().max(60),
  width: lengthField('Width', 3, 500),
  depth: lengthField('Depth', 3, 500),
  length: lengthField('Length', 10, 50_000),
  qty: countField('How many', 1, 100),
  mayScarf: z.boolean(),
});

export const timberSchema = z.object({
  kerf: lengthField('Saw’s kerf', 0, 20),
  scarfRatio: figureField('Scarf ratio of timber', { min: 4, max: 30 }),
  bendRatio: figureField('Least radius, times the thickness', { min: 20, max: 1000 }),
  /** Bought in sections as they are drawn, or in those that yards name by inches, or by what they were sawn to. */
  sold: z.enum(SOLD_IN),
  /** What the saw cuts through at no tilt; 0: any depth. And how long the shop is, for a rip; 0: any length. */
  saw: z.object({
    depth: lengthOrNone('Saw cuts as deep as', 10, 500),
    room: lengthOrNone('Length of the shop', 1000, 50_000),
  }),
  stock: z.array(stickSchema).max(60),
  own: z.array(ownRunSchema).max(100),
});

export type TimberPart = z.infer<typeof timberSchema>;
export type OwnRun = TimberPart['own'][number];
export type StockStick = TimberPart['stock'][number];

const STOCK_INCHES = [96, 120, 144, 168, 192];

/** The timber's part of a new project: the lengths that are often sold, of every section. */
export const timberAtFirst = (_others: object, notation: Notation): TimberPart => ({
  kerf: usualIn(KERF.value, notation),
  scarfRatio: SCARF_RATIO.value,
  bendRatio: BEND_RATIO.value,
  stock: (isImperial(notation) ? STOCK_INCHES.map((inches) => inches * MM_PER_INCH) : STOCK_LENGTHS.value).map(
    (length, k) => ({
      ...{ id: `stick-${k + 1}`, width: 0, depth: 0, length, qty: 0, price: 0 },
    }),
  ),
  sold: 'drawn',
  saw: { depth: 0, room: 0 },
  own: [],
});
