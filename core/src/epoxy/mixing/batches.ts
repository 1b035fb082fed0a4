/**
 * Jobs cut into pots: as few as can each be used up before it goes off, and are no heavier than is safe.
 *
 * Method: a pot of T grams takes T over the rate of work to use up; its life gets shorter with T, so there is one
 * greatest pot, found by halving. The job takes the fewest pots of equal size that are no greater; each is rounded up
 * to what the scale shows, and on to where the two parts are in their ratio (pot.ts).
 */
import type { EpoxyFinding } from '../findings';
import { jobThing } from '../things';
import type { MixJob } from './mix-job';
import { potLifeMinutes } from './pot-life';
import { COARSE, potOf, WITHIN, type Pot, type PotRules } from './pot';

/** One pot. Masses g, volumes ml. */
export type Batch = {
  readonly job: string;
  /** From 1, within its job. */
  readonly number: number;
  readonly a: number;
  readonly b: number;
  readonly filler: number;
  readonly total: number;
  readonly aMl: number;
  readonly bMl: number;
  /** What the scale shows after each pour. */
  readonly readings: readonly [number, number, number];
  /** To use it up, and until it goes off. */
  readonly minutes: number;
  readonly potLife: number;
};

export type Mix = {
  readonly batches: readonly Batch[];
  /** `waste` is all that is mixed and does not get into the boat. */
  readonly totals: { readonly a: number; readonly b: number; readonly filler: number; readonly waste: number };
  readonly findings: readonly EpoxyFinding[];
};

type Rules = Omit<MixJob, 'jobs'>;
type Job = MixJob['jobs'][number];

/** More pots than this is no job for a pot: nobody would stir them. */
const MOST_POTS = 2000;
/** From so many steps on a scale can show any ratio within 1 %. */
const FINE_STEPS = 120;

/** Part A over part B by weight, from the ratio by volume. */
export const ratioByWeight = ({
  ratioByVolume: [a, b],
  densityA,
  densityB,
}: Pick<Rules, 'ratioByVolume' | 'densityA' | 'densityB'>) => (a * densityA) / (b * densityB);

export function mix({ jobs, ...rules }: MixJob): Mix {
  const made = jobs.map((job) => potsOf(job, rules));
  const batches = made.flatMap(({ batches: pots }) => pots);
  const sum = (key: 'a' | 'b' | 'filler' | 'total') => tidy(batches.reduce((total, batch) => total + batch[key], 0));
  const served = jobs.filter((_, k) => (made[k]?.batches.length ?? 0) > 0);
  const inPlace = served.reduce((total, { grams }) => total + grams, 0);
  return {
    batches,
    totals: { a: sum('a'), b: sum('b'), filler: sum('filler'), waste: tidy(sum('total') - inPlace) },
    findings: made.flatMap(({ findings }) => findings),
  };
}

function potsOf(job: Job, rules: Rules): Pick<Mix, 'batches' | 'findings'> {
  const where = { stage: 'epoxy', part: jobThing(job.id) } as const;
  if (job.grams <= 0) return { batches: [], findings: [] };
  const { scale } = rules;
  const steps = job.grams / (1 - rules.waste) / scale;
  const most = greatestPot(job, rules);
  const split = most < 2 ? undefined : splitInto(steps, most, { ratio: ratioByWeight(rules), ...job });
  if (!split) {
    const life = potLifeMinutes(rules.potLife, { shopC: rules.shopC, grams: most * scale || scale });
    const data = {
      job: job.id,
      shopC: rules.shopC,
      potLife: life,
      gramsPerMinute: job.gramsPerMinute,
      most: MOST_POTS,
    };
    return { batches: [], findings: [{ severity: 'stop', code: 'no-pot-in-time', where, data }] };
  }
  const batches = Array.from({ length: split.pots }, (_, k) => batchOf(split.pot, { job, rules, number: k + 1 }));
  const { ratioError } = split.pot;
  if (ratioError <= COARSE) return { batches, findings: [] };
  const data = { job: job.id, share: ratioError, total: tidy(split.pot.total * scale), scale };
  return { batches, findings: [{ severity: 'check', code: 'scale-too-coarse', where, data }] };
}

/**
 * The fewest equal pots; more only where a pot as large as is safe cannot be split in its ratio. Undefined where they
 * would be too many.
 */
function splitInto(steps: number, most: number, rules: PotRules): { pots: number; pot: Pot } | undefined {
  const fewest = Math.ceil(steps / most - ROUNDING);
  for (let pots = fewest; pots <= MOST_POTS; pots++) {
    const least = Math.ceil(steps / pots - ROUNDING);
    const pot = potOf({ least, most, rules });
    if (pot && (pot.ratioError <= WITHIN + ROUNDING || least < FINE_STEPS)) return { pots, pot };
  }
  return undefined;
}

/** Of a sum of floats that comes to a whole number: no step more for it. */
const ROUNDING = 1e-9;

/** In steps: the greatest that is safe and can be used up in its life. */
function greatestPot({ gramsPerMinute }: Job, { scale, greatestPot: safe, potLife, shopC }: Rules): number {
  const isInTime = (steps: number) => {
    const grams = steps * scale;
    return grams / gramsPerMinute <= potLifeMinutes(potLife, { shopC, grams });
  };
  let known = 0;
  let beyond = Math.floor(safe / scale + ROUNDING) + 1;
  while (beyond - known > 1) {
    const middle = Math.floor((known + beyond) / 2);
    if (isInTime(middle)) known = middle;
    else beyond = middle;
  }
  return known;
}

function batchOf(pot: Pot, { job, rules, number }: { job: Job; rules: Rules; number: number }): Batch {
  const { scale, tare } = rules;
  const [a, b, filler, total] = [pot.a, pot.b, pot.filler, pot.total].map((steps) => tidy(steps * scale)) as [
    ...[number, number, number, number], // as many as went in
  ];
  return {
    ...{ job: job.id, number, a, b, filler, total },
    ...{ aMl: a / rules.densityA, bMl: b / rules.densityB },
    readings: [tidy(tare + a), tidy(tare + a + b), tidy(tare + total)],
    minutes: total / job.gramsPerMinute,
    potLife: potLifeMinutes(rules.potLife, { shopC: rules.shopC, grams: total }),
  };
}

/** What a scale shows, without the dust of binary fractions. */
const tidy = (grams: number): number => Math.round(grams * 1e6) / 1e6;
