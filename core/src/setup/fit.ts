/**
 * The rigid motion that explains a frame's readings best, and what they leave open.
 *
 * Method: each reading linearised about the motion so far and divided by its standard error, least squares over the
 * motions that are looked for, a few times over. Turns are counted by what they move at the frame's own half-breadth or
 * height, so that all six are in mm; a combination of motions that the readings hold no better than that is open, and
 * what is part of one is taken to be nought.
 */
import type { Vec3 } from '../geometry';
import { eigenOf } from './eigen';
import type { SetFrame, SetReading } from './job';
import { readingAfter, STILL, type Motion } from './motion';

/** A reading with what it says, and how far it may be out by chance. */
export type Weighed = { readonly reading: SetReading; readonly value: number; readonly sigma: number };

/** mm for a mm, or for a turn mm at its lever. */
export type Levers = readonly [1, 1, 1, number, number, number];
export type Fit = {
  readonly motion: Motion;
  /** Sum of squares, each over its own error. */
  readonly chi2: number;
  readonly worst: number;
  /** Indices of motions that the readings leave open. */
  readonly open: readonly number[];
};

const ROUNDS = 6;
const STEP_MM = 0.01;
/** Standard error of a combination beyond which the readings leave it open, mm. */
const OPEN_MM = 8;
/** A share of an open combination that makes a motion open. */
const PART_OF = 0.15;

type Asked = {
  readonly frame: SetFrame;
  readonly weighed: readonly Weighed[];
  readonly pivot: Vec3;
  readonly levers: Levers;
  /** Which of the six are looked for. */
  readonly free: readonly number[];
};

export function fitMotion(asked: Asked): Fit {
  const open = openOf(asked);
  const free = asked.free.filter((k) => !open.includes(k));
  let motion: Motion = STILL;
  for (let round = 0; round < ROUNDS && free.length > 0; round++) motion = improved(motion, { ...asked, free });
  const off = residuals(asked, motion);
  return { motion, chi2: off.reduce((sum, r) => sum + r * r, 0), worst: Math.max(0, ...off.map(Math.abs)), open };
}

const residuals = ({ frame, weighed, pivot }: Asked, motion: Motion): number[] =>
  weighed.map(({ reading, value, sigma }) => (value - readingAfter(reading, frame, motion, pivot)) / sigma);

/** How each reading changes, in its own errors, for a mm of each motion. */
function slopes(asked: Asked, motion: Motion): number[][] {
  const before = residuals(asked, motion);
  return asked.free.map((k) => {
    const stepped = motion.map((value, j) => (j === k ? value + STEP_MM / asked.levers[k]! : value));
    const after = residuals(asked, stepped as unknown as Motion); // six of six
    return before.map((r, i) => (r - after[i]!) / STEP_MM);
  });
}

const normalOf = (columns: readonly (readonly number[])[]): number[][] =>
  columns.map((a) => columns.map((b) => a.reduce((sum, value, i) => sum + value * b[i]!, 0)));

function openOf(asked: Asked): number[] {
  if (asked.weighed.length === 0) return [...asked.free];
  const { values, vectors } = eigenOf(normalOf(slopes(asked, STILL)));
  const loose = vectors.filter((_, k) => values[k]! < 1 / OPEN_MM ** 2);
  return asked.free.filter((_, k) => loose.reduce((sum, vector) => sum + vector[k]! ** 2, 0) > PART_OF);
}

/** A step by the eigenvectors that the readings hold. */
function improved(motion: Motion, asked: Asked): Motion {
  const off = residuals(asked, motion);
  const columns = slopes(asked, motion);
  const { values, vectors } = eigenOf(normalOf(columns));
  const right = columns.map((column) => column.reduce((sum, value, i) => sum + value * off[i]!, 0));
  const step = asked.free.map(() => 0);
  vectors.forEach((vector, k) => {
    if (values[k]! < 1 / OPEN_MM ** 2) return;
    const along = vector.reduce((sum, value, i) => sum + value * right[i]!, 0) / values[k]!;
    vector.forEach((value, i) => (step[i]! += value * along));
  });
  const next = [...motion];
  asked.free.forEach((k, i) => (next[k]! += step[i]! / asked.levers[k]!));
  return next as unknown as Motion; // six of six
}
