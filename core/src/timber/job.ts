/** A timber job, as its file gives it (contract): stock, runs, and whether it can be planned at all. Lengths mm. */
import { z } from 'zod';
import { firstProblem } from '../stage';

const length = z.number().positive('expected more than 0').max(1_000_000);
const name = z.string().min(1, 'expected a name').max(200);
const count = z.number().int('expected a whole number').min(0).max(1000);

const timberJobSchema = z.object({
  kerf: z.number().min(0).max(100).default(0),
  scarfRatio: z.number().min(1).max(100).default(12),
  stock: z
    .array(
      z.object({
        id: name,
        section: name,
        length,
        qty: count.optional(),
        price: z.number().min(0).max(1_000_000).optional(),
      }),
    )
    .min(1, 'needs one stick at least')
    .max(200),
  runs: z
    .array(
      z.object({
        id: name,
        section: name,
        length,
        qty: count.default(1),
        thickness: length.optional(),
        scarf: z.boolean().default(false),
        scarfRatio: z.number().min(1).max(100).optional(),
        clear: z
          .array(z.tuple([z.number(), z.number()]))
          .max(200)
          .default([]),
      }),
    )
    .max(500),
});

export type TimberJob = z.infer<typeof timberJobSchema>;
export type Stick = TimberJob['stock'][number];
export type Run = TimberJob['runs'][number];

export type ReadTimberJob =
  { readonly ok: true; readonly job: TimberJob } | { readonly ok: false; readonly problem: string };

/** Pieces of all runs; more is a timber yard, not a boat. */
const MOST_PIECES = 2000;

/** Never throws. */
export function readTimberJob(data: unknown): ReadTimberJob {
  const parsed = timberJobSchema.safeParse(data);
  if (!parsed.success) return { ok: false, problem: firstProblem(parsed.error) };
  const problem = faultIn(parsed.data);
  return problem === undefined ? { ok: true, job: parsed.data } : { ok: false, problem };
}

function faultIn({ stock, runs }: TimberJob): string | undefined {
  for (const [what, ids] of [
    ['stock', stock.map(({ id }) => id)],
    ['run', runs.map(({ id }) => id)],
  ] as const) {
    const twice = ids.find((id, k) => ids.indexOf(id) < k);
    if (twice !== undefined) return `${what} "${twice}": the id is there twice; expected each once`;
  }
  const pieces = runs.reduce((sum, { qty }) => sum + qty, 0);
  if (pieces > MOST_PIECES) return `runs: ${pieces} pieces; expected ${MOST_PIECES} at most`;
  for (const { id, scarf, thickness, clear } of runs) {
    if (scarf && thickness === undefined) return `run "${id}": its thickness is missing; a scarf’s length hangs on it`;
    const wrong = clear.find(([from, to]) => to < from);
    if (wrong) return `run "${id}": clear from ${wrong[0]} to ${wrong[1]}; expected the lesser first`;
  }
  return undefined;
}

/** Length that a scarf takes from both parts, mm. */
export const scarfOf = (run: Run, { scarfRatio }: Pick<TimberJob, 'scarfRatio'>): number =>
  (run.scarfRatio ?? scarfRatio) * (run.thickness ?? 0);

const MM_PER_METRE = 1000;
/** What a stick costs; its length in metres where no price is known. */
export const priceOf = ({ price, length: mm }: Stick): number => price ?? mm / MM_PER_METRE;
