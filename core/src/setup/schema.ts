/** The set-up's part of a project: the jig, and what was read. Lengths mm. */
import { z } from 'zod';
import { isImperial, MM_PER_INCH, usualIn, type Notation } from '../measure';
import { figureField, lengthField, lengthOrNone } from '../stage';
import {
  BACK_BREADTH,
  BACK_DEPTH,
  BEFORE,
  FILLET_GAP_INCHES,
  FILLET_GAP_LIMIT,
  GLUED_GAP_INCHES,
  GLUED_GAP_LIMIT,
  LEG_EVERY,
  LINE_OFF,
  RAILS_APART,
  TOLERANCE,
} from './constants';

/**
 * Upside down over a strongback, the right way up in cradles on one, or with no jig: the sides bent round a frame and
 * pulled true, the right way up over a line on the floor.
 */
export const SETUP_WAYS = ['upside-down', 'upright', 'no-jig'] as const;

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

/** What may be wrong with a part: cut short, past its line, out of plumb, its bevel too flat, warped. */
export const FAULTS = ['short', 'past', 'plumb', 'bevel', 'warp'] as const;
/** What becomes of it: not decided yet, or as a builder would say it. */
export const CHOICES = ['open', 'leave', 'fill', 'shim', 'plane', 'press', 'again'] as const;

/** A fault of a frame at an edge against a panel, and what was decided. */
const faultSchema = z.object({
  id,
  frame: id,
  /** Id of the panel that the edge lies against. */
  edge: z.string().min(1).max(130),
  kind: z.enum(FAULTS),
  /** mm; of a bevel degrees. Out of plumb: the top too far aft, or forward where negative. */
  value: figureField('How much', { min: -300, max: 300 }),
  choice: z.enum(CHOICES),
});

/** How far under the strongback's line the floor is, at a place along it. */
const floorSchema = z.object({
  id,
  along: lengthField('From the tape’s mark', 0, 50_000),
  below: lengthField('Floor under the line', 0, 5000),
});

/** Where a line of the hull runs as it is bent: at a place along, how broad from side to side, and how high. */
const sideSchema = z.object({
  id,
  line: z.string().max(60),
  along: lengthField('Side measured at', 0, 50_000),
  breadth: lengthField('Breadth, outside', 0, 20_000),
  over: lengthField('Height over the line', 0, 20_000),
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
    /** Of a strongback that one has; none: as long as the boat asks. */
    long: lengthOrNone('Length in hand', 500, 50_000),
  }),
  /** An uneven floor, where it was measured; none: as far down everywhere. */
  floor: z.array(floorSchema).max(40),
  sides: z.array(sideSchema).max(200),
  /** The panels are developed for the boat as it was read, too. */
  asBuilt: z.boolean(),
  /** The widest gap that is left as it is: at an edge that is filleted, at one that is glued to the skin. */
  limits: z.object({
    fillet: lengthField('Gap left, filleted', 0, 50),
    glued: lengthField('Gap left, glued', 0, 20),
  }),
  faults: z.array(faultSchema).max(200),
  readings: z.array(readingSchema).max(1000),
});

export type SetupPart = z.infer<typeof setupSchema>;
export type KeptReading = SetupPart['readings'][number];
export type CheckName = KeptReading['what'];
export type Fault = SetupPart['faults'][number];
export type FaultChoice = Exclude<Fault['choice'], 'open'>;
export type FloorPlace = SetupPart['floor'][number];
export type SidePlace = SetupPart['sides'][number];

/** The set-up of a new project. */
export const setupAtFirst = (_others: object, notation: Notation): SetupPart => ({
  ...{ way: 'upside-down', from: 'fore', readings: [], floor: [], sides: [], asBuilt: false, faults: [] },
  off: usualIn(LINE_OFF.value, notation),
  before: usualIn(BEFORE.value, notation),
  tolerance: usualIn(TOLERANCE.value, notation),
  rails: {
    apart: usualIn(RAILS_APART.value, notation),
    breadth: usualIn(BACK_BREADTH.value, notation),
    depth: usualIn(BACK_DEPTH.value, notation),
    height: usualIn(LINE_OFF.value + BACK_DEPTH.value, notation),
    legEvery: usualIn(LEG_EVERY.value, notation),
    long: 0,
  },
  limits: isImperial(notation)
    ? { fillet: FILLET_GAP_INCHES.value * MM_PER_INCH, glued: GLUED_GAP_INCHES.value * MM_PER_INCH }
    : { fillet: FILLET_GAP_LIMIT.value, glued: GLUED_GAP_LIMIT.value },
});
