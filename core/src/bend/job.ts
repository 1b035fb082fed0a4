/** A flat side and what holds it, as a file gives it. Lengths mm. */
import { z } from 'zod';
import { at, polylineLength, type Vec2 } from '../geometry';
import { firstProblem } from '../stage';

const length = z.number().min(-50_000).max(50_000);
const breadth = z.number().min(0).max(10_000);
const edge = z
  .array(z.tuple([length, length]).readonly())
  .min(2)
  .max(200);

const frameSchema = z.object({
  /** Aft of the fore end of the lower edge: a frame that stands there, the edges running past it. */
  x: length.optional(),
  /** Or so far along each edge from its fore end: a spreader tied to the sheet. */
  along: z.number().min(0).max(50_000).optional(),
  /** Half-breadths; where only one is given the other edge is free. */
  lower: breadth.optional(),
  upper: breadth.optional(),
});

const bendSchema = z.object({
  thickness: z.number().min(0.5).max(50).default(6),
  /** The edges on the flat, each from the bow aft: what lies between their ends are the cuts. */
  lower: edge,
  upper: edge,
  /** Of the stem piece between the two sides; 0: they meet on the centreline. */
  stem: z.number().min(0).max(1000).default(0),
  /** Half-breadths of a bow that is a transom; absent: on the stem. */
  bow: z.object({ lower: breadth, upper: breadth }).optional(),
  /** Half-breadths of the transom; absent: the after end is free. */
  stern: z.object({ lower: breadth, upper: breadth }).optional(),
  /** How much higher the after end of the lower edge stands than its fore end. */
  rise: length.default(0),
  frames: z.array(frameSchema).max(100).default([]),
  /** Into so many spans the sheet is cut along. */
  spans: z.number().int().min(8).max(128).default(32),
});

export type BendJob = z.infer<typeof bendSchema>;
export type BendFrame = BendJob['frames'][number];
export type ReadBendJob =
  { readonly ok: true; readonly job: BendJob } | { readonly ok: false; readonly problem: string };

/** Shorter or narrower than this is no side of a boat, mm. */
const LEAST_MM = 100;
const LEAST_WIDTH_MM = 20;
/** Edges are compared at so many places. */
const LOOKS = 40;

/** Never throws. */
export function readBendJob(data: unknown): ReadBendJob {
  const parsed = bendSchema.safeParse(data);
  if (!parsed.success) return { ok: false, problem: firstProblem(parsed.error) };
  const problem = problemOf(parsed.data);
  return problem === undefined ? { ok: true, job: parsed.data } : { ok: false, problem };
}

/** What keeps a job from being bent at all, in words; undefined: nothing. */
export function problemOf(job: BendJob): string | undefined {
  const { lower, upper, frames, bow, stern } = job;
  for (const [name, line] of [['lower', lower] as const, ['upper', upper] as const]) {
    const back = line.findIndex((p, k) => k > 0 && p[0] <= at(line, k - 1)[0]);
    if (back > 0)
      return `${name}.${back}: it lies no further aft than the one before; expected points from the bow aft`;
    if (polylineLength(line) < LEAST_MM) return `${name}: shorter than ${LEAST_MM} mm; expected the side of a boat`;
  }
  for (let k = 0; k <= LOOKS; k++) {
    const [low, high] = [lower, upper].map((line) => placeAt(line, k / LOOKS));
    if (high && low && high[1] - low[1] < LEAST_WIDTH_MM && k > 0 && k < LOOKS)
      return `upper: it comes within ${LEAST_WIDTH_MM} mm of the lower edge; expected the upper edge above the lower`;
  }
  for (const [k, frame] of frames.entries()) {
    const where = `frames.${k}`;
    if ((frame.x === undefined) === (frame.along === undefined)) return `${where}: expected either x or along`;
    if (frame.lower === undefined && frame.upper === undefined)
      return `${where}: expected a half-breadth, lower or upper, or both`;
    const tooFar = frame.along !== undefined && frame.along > Math.min(polylineLength(lower), polylineLength(upper));
    if (tooFar) return `${where}: along ${frame.along} is beyond the end of the sheet`;
    const spread = Math.abs((frame.upper ?? 0) - (frame.lower ?? 0));
    const wide = Math.max(...Array.from({ length: LOOKS + 1 }, (_, i) => widthAt(job, i / LOOKS)));
    if (frame.lower !== undefined && frame.upper !== undefined && spread >= wide)
      return `${where}: its half-breadths are ${spread} mm apart, more than the sheet is wide (${Math.round(wide)} mm)`;
  }
  for (const [name, end, share] of [['bow', bow, 0] as const, ['stern', stern, 1] as const])
    if (end && Math.abs(end.upper - end.lower) >= widthAt(job, share))
      return `${name}: its half-breadths are further apart than the sheet is wide there`;
  if (frames.length === 0 && !stern) return 'frames: nothing but the bow holds the sheet; expected a frame or a stern';
  return undefined;
}

const widthAt = ({ lower, upper }: BendJob, share: number): number => {
  const [low, high] = [placeAt(lower, share), placeAt(upper, share)];
  return Math.hypot(high[0] - low[0], high[1] - low[1]);
};

/** A place at a share of an edge, by straight lines between its points. */
function placeAt(line: readonly Vec2[], share: number): Vec2 {
  const whole = share * (line.length - 1);
  const k = Math.min(line.length - 2, Math.floor(whole));
  const [a, b] = [at(line, k), at(line, k + 1)];
  return [a[0] + (whole - k) * (b[0] - a[0]), a[1] + (whole - k) * (b[1] - a[1])];
}
