/** What each frame should read and what it reads, as a file gives it (contract). Lengths mm, angles degrees. */
import { z } from 'zod';
import { firstProblem } from '../stage';

const coordinate = z.number().min(-1_000_000).max(1_000_000);
const point = z.tuple([coordinate, coordinate, coordinate]).readonly();
const name = z.string().min(1).max(200);
const PLACES = ['centre', 'port', 'starboard', 'foot'] as const;
/** "true": looked at, on its mark, within the tolerance. */
const value = z.union([coordinate, z.literal('true')], 'expected a figure, or "true"');

const setupSchema = z.object({
  tolerance: z.number().positive().max(1000).default(2),
  frames: z
    .array(z.object({ name, centre: point, port: point, starboard: point, foot: point }))
    .min(1)
    .max(500),
  readings: z
    .array(
      z.discriminatedUnion('kind', [
        z.object({ frame: name, kind: z.literal('along'), from: point, to: z.enum(PLACES), value }),
        z.object({ frame: name, kind: z.literal('height'), of: z.enum(PLACES), value }),
        z.object({ frame: name, kind: z.literal('offset'), of: z.enum(PLACES), value }),
        z.object({ frame: name, kind: z.literal('plumb'), value }),
      ]),
    )
    .max(5000),
});

export type SetupJob = z.infer<typeof setupSchema>;
export type SetFrame = SetupJob['frames'][number];
export type SetReading = SetupJob['readings'][number];
export type ReadSetupJob =
  { readonly ok: true; readonly job: SetupJob } | { readonly ok: false; readonly problem: string };

const MOST_NAMED = 8;

/** Never throws. */
export function readSetupJob(data: unknown): ReadSetupJob {
  const parsed = setupSchema.safeParse(data);
  if (!parsed.success) return { ok: false, problem: firstProblem(parsed.error) };
  const names = parsed.data.frames.map((frame) => frame.name);
  const twice = names.find((one, k) => names.indexOf(one) < k);
  if (twice !== undefined) return { ok: false, problem: `frame "${twice}": it is there twice; expected each once` };
  const lost = parsed.data.readings.findIndex(({ frame }) => !names.includes(frame));
  if (lost >= 0) {
    const found = `readings.${lost}: frame "${parsed.data.readings[lost]?.frame}" is not there`;
    return { ok: false, problem: `${found}; expected one of ${names.slice(0, MOST_NAMED).join(', ')}` };
  }
  return { ok: true, job: parsed.data };
}
