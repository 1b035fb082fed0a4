/** Reads a nesting job from parsed JSON: a job that can be laid out, or what is wrong with it, by the part's name. */
import { area, at, unionOf, type Outline } from '../geometry';
import { firstProblem } from '../stage';
import { nestJobSchema, type NestJob } from './schema';

export type ReadJob = { readonly ok: true; readonly job: NestJob } | { readonly ok: false; readonly problem: string };

/** Never throws. */
export function readNestJob(data: unknown): ReadJob {
  const parsed = nestJobSchema.safeParse(data);
  if (!parsed.success) return { ok: false, problem: firstProblem(parsed.error) };
  const problem = faultIn(parsed.data);
  return problem === undefined ? { ok: true, job: parsed.data } : { ok: false, problem };
}

function faultIn({ parts, sheets }: NestJob): string | undefined {
  for (const [what, list] of [
    ['part', parts],
    ['sheet', sheets],
  ] as const) {
    const seen = new Set<string>();
    for (const { id } of list) {
      if (seen.has(id)) return `${what} "${id}": the id "${id}" is there twice; expected each once`;
      seen.add(id);
    }
  }
  for (const { id, outline, holes } of parts) {
    const fault = outlineFault(outline) ?? holes.map(outlineFault).find((one) => one !== undefined);
    if (fault !== undefined) return `part "${id}": ${fault}`;
  }
  return undefined;
}

/** Smaller than a saw's kerf squared, or off by less than this of its area, is rounding. */
const LEAST_MM2 = 1;
const SAME_AREA = 1e-6;

/**
 * An outline that crosses itself encloses some of its area twice, or the wrong way round: its signed area is not that
 * of what it covers.
 */
function outlineFault(outline: Outline): string | undefined {
  const own = area(outline);
  const covered = unionOf([outline]).reduce((sum, ring) => sum + area(ring), 0);
  if (Math.max(own, covered) < LEAST_MM2) return 'its outline has no area; expected a closed shape';
  if (Math.abs(own - covered) <= SAME_AREA * covered + LEAST_MM2) return undefined;
  const [x, y] = at(outline, 0);
  return `its outline, from ${x}, ${y} on, crosses itself; expected one that does not`;
}
