/** The set-up's part of a project: the jig, and what was read. Lengths mm. */
import { z } from 'zod';
import { usualIn, type Notation } from '../measure';
import { figureField, lengthField } from '../stage';
import { BACK_BREADTH, BACK_DEPTH, BEFORE, LEG_EVERY, LINE_OFF, RAILS_APART, TOLERANCE } from './constants';

/** Upside down over a strongback, or the right way up in cradles on one. */
export const SETUP_WAYS = ['upside-down', 'upright'] as const;

/** What is read of a frame, in the order in which it is done. */
export const CHECKS = [
  'along',
  'foot-aside',
  'aside',
  'plumb',
  'height-port',
  'height-starboard',
  'diagonal-port',
  'diagonal-starboard',
] as const;

const id = z.string().min(1).max(80);
const turn = z.number().int().min(0).max(1_000_000);

const readingSchema = z.object({
  id,
  /** Of the frame. */
  frame: id,
  what: z.enum(CHECKS),
  /** Looked at, and on its mark: then no figure is kept. */
  isTrue: z.boolean(),
  value: figureField('What it reads', { min: -100_000, max: 100_000 }),
  /** The how manyeth reading of all it is, and was when that of it was first taken. */
  turn,
  firstTurn: turn,
});

export const setupSchema = z.object({
  way: z.enum(SETUP_WAYS),
  /** From the strongback’s line to the nearest of the boat. */
  off: lengthField('Line off the boat', 0, 3000),
  /** Which end of the boat the tape begins at, and how far before it its mark is. */
  from: z.enum(['fore', 'aft']),
  before: lengthField('Mark before the boat', 0, 5000),
  tolerance: lengthField('Out of true from', 0.5, 50),
  /** Two rails with legs. */
  rails: z.object({
    apart: lengthField('Rails apart', 50, 5000),
    breadth: lengthField('Breadth of a rail', 10, 500),
    depth: lengthField('Depth of a rail', 10, 500),
    /** From the floor to the line. */
    height: lengthField('Line over the floor', 0, 3000),
    legEvery: lengthField('Legs about every', 200, 5000),
  }),
  readings: z.array(readingSchema).max(1000),
});

export type SetupPart = z.infer<typeof setupSchema>;
export type KeptReading = SetupPart['readings'][number];
export type CheckName = KeptReading['what'];

/** The set-up of a new project. */
export const setupAtFirst = (_others: object, notation: Notation): SetupPart => ({
  ...{ way: 'upside-down', from: 'fore', readings: [] },
  off: usualIn(LINE_OFF.value, notation),
  before: usualIn(BEFORE.value, notation),
  tolerance: usualIn(TOLERANCE.value, notation),
  rails: {
    apart: usualIn(RAILS_APART.value, notation),
    breadth: usualIn(BACK_BREADTH.value, notation),
    depth: usualIn(BACK_DEPTH.value, notation),
    height: usualIn(LINE_OFF.value + BACK_DEPTH.value, notation),
    legEvery: usualIn(LEG_EVERY.value, notation),
  },
});
