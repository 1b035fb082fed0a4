/** The wet jobs, as Epoxy & glass has them in their order, with the hours that each must have before the next. */
import { paceAt, type Coat, type Finish, type Job as EpoxyJob, type Resin } from '../../epoxy';
import { COAT_M2, READY, SAND_M2 } from '../constants';
import type { Need, WorkGroup, WorkJob } from './job';

/** Hours at the shop's warmth; where that is under the hardener's least, at its least. */
export type Hours = { readonly tacky: number; readonly bonds: number; readonly sand: number; readonly cured: number };

export function hoursAt(resin: Resin, tempC: number): Hours {
  const pace = paceAt(Math.max(tempC, resin.leastC), resin);
  const [tacky, bonds] = [resin.tackyHours / pace, resin.bondsHours / pace];
  return { tacky, bonds: Math.max(tacky, bonds), sand: resin.sandHours / pace, cured: resin.curedHours / pace };
}

/** After a wet job another that bonds to it. */
export const coatAfter = (job: string, { tacky, bonds, sand }: Hours, areaM2: number): Need => ({
  ...{ job, leastH: tacky },
  bonds: { mostH: bonds, sandFromH: Math.max(sand, bonds), sandMin: SAND_M2.value * areaM2 },
});

/** After one that has to be hard enough to work on. */
export const hardAfter = (job: string, { sand }: Hours): Need => ({ job, leastH: sand });
export const after = (job: string): Need => ({ job, leastH: 0 });

/** Of those that are no coats, by their ids. */
const GROUPS: Readonly<Record<string, WorkGroup>> = {
  ...{ join: 'plywood', flat: 'framework', glue: 'framework', tack: 'hull', tabs: 'hull', fillets: 'hull' },
  ...{ 'tape.inside': 'hull', 'tape.outside': 'outside', sheathe: 'outside' },
};
const COAT_GROUPS: Readonly<Record<NonNullable<EpoxyJob['coatOf']>, WorkGroup>> = {
  ...{ seal: 'plywood', fill: 'outside', 'flat.fill': 'framework' },
};

const SHEET_JOINTS = 'join';

/** The minutes of a job of epoxy: what is mixed at its rate, and to lay out and clean up. */
export const wetJob = (job: EpoxyJob, needs: readonly Need[]): WorkJob => ({
  ...{ id: job.id, name: job.name, needs },
  // sheets are joined flat, everything else is glued where it stands
  does: job.id === SHEET_JOINTS ? 'join' : job.work,
  group: job.coatOf ? COAT_GROUPS[job.coatOf] : (GROUPS[job.id] ?? 'hull'),
  parts: [...new Set(job.covers.map(({ item }) => item))],
  minutes: READY.value + job.grams / job.gramsPerMinute,
  // glue and fillets may be done seam by seam; what flows together is done at once
  isOneGo: job.work === 'seal' || job.work === 'sheathe',
  ...{ hands: 1, isWet: true, isPaint: false },
});

/** Coats of paint and varnish, one after another, at the shop's warmth. */
export function coatJobs(
  coats: readonly Coat[],
  { pace, needs, areaM2, where }: CoatsAsked,
): { readonly jobs: WorkJob[]; readonly last: Need[] } {
  const own = coats.filter(({ finish }) => where.includes(finish.where));
  const jobs: WorkJob[] = [];
  let before: readonly Need[] = needs;
  for (const { finish, number, ml } of own) {
    const id = `coat.${where.join('.')}.${finish.id}.${number}`;
    jobs.push({
      ...{ id, name: `${finish.name}, coat ${number}`, group: 'finish', parts: [], needs: before },
      minutes: READY.value + (COAT_M2.value * ml * finish.covers) / 1000,
      ...{ does: 'paint', isOneGo: true, hands: 1, isWet: true, isPaint: true },
      coat: { finish: finish.name, ml, fromHours: finish.fromHours },
    });
    before = [finishAfter(id, finish, pace, areaM2)];
  }
  return { jobs, last: [...before] };
}

export type CoatsAsked = {
  /** How fast a coat dries here, of its maker's hours. */
  readonly pace: number;
  readonly needs: readonly Need[];
  readonly areaM2: number;
  readonly where: readonly Finish['where'][];
};

const finishAfter = (
  job: string,
  { fromHours, untilHours }: Pick<Finish, 'fromHours' | 'untilHours'>,
  pace: number,
  areaM2: number,
): Need => {
  const [from, until] = [fromHours / pace, Math.max(fromHours, untilHours) / pace];
  return { job, leastH: from, bonds: { mostH: until, sandFromH: until, sandMin: SAND_M2.value * areaM2 } };
};
