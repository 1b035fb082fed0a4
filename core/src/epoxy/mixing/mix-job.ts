/** What is to be mixed, as its file gives it (contract). Grams, degrees Celsius, minutes, millilitres. */
import { z } from 'zod';
import { firstProblem } from '../../stage';

const positive = (most: number) => z.number().positive().max(most);
const share = z.number().min(0).max(0.9);

const mixJobSchema = z.object({
  ratioByVolume: z.tuple([positive(100), positive(100)]),
  /** g/ml. */
  densityA: positive(10),
  densityB: positive(10),
  shopC: z.number().min(-40).max(60),
  potLife: z.object({ minutes: positive(10_000), atC: z.number().min(-40).max(60), grams: positive(100_000) }),
  /** The heaviest pot that is safe, g. */
  greatestPot: positive(100_000),
  waste: share.default(0),
  /** What the scale shows at a time, g. */
  scale: z.number().min(0.01).max(100).default(1),
  /** What the scale shows with the empty pot on it, where it is not set to nought. */
  tare: z.number().min(0).max(100_000).default(0),
  jobs: z
    .array(
      z.object({
        id: z.string().min(1).max(200),
        /** What the work needs in place, filler included. */
        grams: z.number().min(0).max(1_000_000),
        fillerShare: share.default(0),
        gramsPerMinute: positive(10_000),
      }),
    )
    .max(500),
});

export type MixJob = z.infer<typeof mixJobSchema>;
export type ReadMixJob = { readonly ok: true; readonly job: MixJob } | { readonly ok: false; readonly problem: string };

/** Never throws. */
export function readMixJob(data: unknown): ReadMixJob {
  const parsed = mixJobSchema.safeParse(data);
  if (!parsed.success) return { ok: false, problem: firstProblem(parsed.error) };
  const ids = parsed.data.jobs.map(({ id }) => id);
  const twice = ids.find((id, k) => ids.indexOf(id) < k);
  if (twice !== undefined) return { ok: false, problem: `job "${twice}": the id is there twice; expected each once` };
  return { ok: true, job: parsed.data };
}
