/**
 * The list of quantities as jobs in the order in which they are done, and each as pots to mix.
 *
 * Order: sheets are joined, parts glassed flat, then sealed if they are sealed flat; what is glued; corners tacked and
 * tabbed, filleted and taped inside; the hull sealed where it is sealed when it stands; taped outside, sheathed,
 * filled. A coat is a job of its own, as there are hours between two. Tacks are part of the fillets that go over them.
 */
import { FILL_COAT, FILL_COATS, SEAL_FIRST_COAT, SEAL_NEXT_COAT, TACK_SHARE } from './constants';
import type { GlueFace, TakeoffLine, Work } from './line';
import { mix, type Batch, type Mix } from './mixing';
import type { EpoxyPart } from './schema';

/** What of a job belongs to a line of the list, g in place with its filler. */
export type Covered = { readonly item: string; readonly seam?: string; readonly grams: number };

/** What is put on in coats: on the bare wood, over cloth outside, over cloth on the bench. */
type CoatOf = 'seal' | 'fill' | 'flat.fill';

export type Job = {
  readonly id: string;
  readonly name: string;
  readonly work: Work | 'tack';
  /** One of several over one another: which. */
  readonly coatOf?: CoatOf;
  readonly grams: number;
  /** Of the mix, by weight. */
  readonly fillerShare: number;
  readonly gramsPerMinute: number;
  /** In the order in which it is done. */
  readonly covers: readonly Covered[];
};

/** A part of what a line needs, from one share of it to another. */
export type Stretch = { readonly item: string; readonly seam?: string; readonly from: number; readonly to: number };
/** One pot, and what it is for. */
export type PlannedPot = Batch & { readonly covers: readonly Stretch[] };
export type PotPlan = Omit<Mix, 'batches'> & { readonly pots: readonly PlannedPot[] };

export function jobsOf(lines: readonly TakeoffLine[], part: EpoxyPart): Job[] {
  const of = (keep: (line: TakeoffLine) => boolean, share = 1) => ({ lines: lines.filter(keep), share });
  const rate = part.rates;
  const joins = (isOf: (what: GlueFace) => boolean) => of(({ from }) => from.kind === 'glued' && isOf(from.what));
  const taped = (side: 'inside' | 'outside') => of(({ from }) => from.kind === 'tape' && from.side === side);
  const sealing = coatsOf(part).map((share, k) =>
    jobOf(
      { id: `seal.${k + 1}`, coatOf: 'seal', name: `Sealing, coat ${k + 1}`, work: 'seal', rate: rate.seal },
      of(isSealing, share),
    ),
  );
  const joints = jobOf(
    { id: 'join', name: 'Sheet joints', work: 'glue', rate: rate.glue },
    joins((what) => what === 'blanks'),
  );
  const fillets = of(({ group }) => group === 'fillets', 1 - TACK_SHARE.value);
  const tacks = { ...fillets, share: TACK_SHARE.value };
  const tabs = of(({ group }) => group === 'tabs');
  const clothed = (group: TakeoffLine['group'], ids: ClothIds): Job[] => {
    const cloth = of((line) => line.group === group);
    const [wetOut, fill] = [sharesOfCloth(cloth.lines, 'cloth'), sharesOfCloth(cloth.lines, 'coat')];
    return [
      jobOf({ ...ids.wetOut, work: 'sheathe', rate: rate.sheathe }, { ...cloth, share: wetOut }),
      ...Array.from({ length: FILL_COATS.value }, (_, k) =>
        jobOf(
          {
            ...{ id: `${ids.fill.id}.${k + 1}`, coatOf: ids.fill.id, name: `${ids.fill.name}, coat ${k + 1}` },
            ...{ work: 'seal', rate: rate.seal },
          },
          { ...cloth, share: fill },
        ),
      ),
    ];
  };
  return [
    joints,
    ...clothed('flat', FLAT),
    ...(part.coating === 'flat' ? sealing : []),
    jobOf(
      { id: 'glue', name: 'Gluing', work: 'glue', rate: rate.glue },
      joins((what) => what !== 'blanks' && what !== 'skins'),
    ),
    jobOf(
      { id: 'lay', name: 'Laying the layers', work: 'glue', rate: rate.glue },
      joins((what) => what === 'skins'),
    ),
    jobOf({ id: 'tack', name: 'Tacking', work: 'tack', rate: rate.tack }, tacks),
    jobOf({ id: 'tabs', name: 'Tabs', work: 'tape', rate: rate.tape }, tabs),
    jobOf({ id: 'fillets', name: 'Fillets', work: 'fillet', rate: rate.fillet }, fillets),
    jobOf({ id: 'tape.inside', name: 'Tape inside', work: 'tape', rate: rate.tape }, taped('inside')),
    ...(part.coating === 'hull' ? sealing : []),
    jobOf({ id: 'tape.outside', name: 'Tape outside', work: 'tape', rate: rate.tape }, taped('outside')),
    ...clothed('sheathing', OUTSIDE),
  ].filter(({ grams }) => grams > 0);
}

type Named = { readonly id: string; readonly name: string };
type ClothIds = { readonly wetOut: Named; readonly fill: Named & { readonly id: CoatOf } };
const OUTSIDE: ClothIds = {
  wetOut: { id: 'sheathe', name: 'Sheathing' },
  fill: { id: 'fill', name: 'Filling the weave' },
};
const FLAT: ClothIds = {
  wetOut: { id: 'flat', name: 'Glassing parts flat' },
  fill: { id: 'flat.fill', name: 'Filling their weave' },
};

const isSealing = ({ group }: TakeoffLine): boolean => group === 'sealing';

/** Each coat's share of all the sealing. */
function coatsOf({ sealingCoats }: EpoxyPart): number[] {
  const each = Array.from({ length: sealingCoats }, (_, k) => (k === 0 ? SEAL_FIRST_COAT : SEAL_NEXT_COAT).value);
  const all = each.reduce((sum, rate) => sum + rate, 0);
  return each.map((rate) => rate / all);
}

/** What share of the sheathing wets the cloth out, or goes into one fill coat; the same on every panel. */
function sharesOfCloth(lines: readonly TakeoffLine[], what: 'cloth' | 'coat'): number {
  const [first] = lines;
  if (!first || first.resin === 0 || first.from.kind !== 'cloth') return 0;
  const coat = (first.from.areaM2 * FILL_COAT.value) / first.resin;
  return what === 'coat' ? coat : 1 - coat * FILL_COATS.value;
}

type Of = Named & { readonly work: Job['work']; readonly coatOf?: CoatOf; readonly rate: number };

function jobOf(
  { id, name, work, coatOf, rate }: Of,
  { lines, share }: { lines: readonly TakeoffLine[]; share: number },
): Job {
  const covers = lines.map(({ item, seam, resin, filler }) => ({
    ...{ item, grams: (resin + filler) * share },
    ...(seam !== undefined && { seam }),
  }));
  const grams = covers.reduce((sum, cover) => sum + cover.grams, 0);
  const filler = lines.reduce((sum, line) => sum + line.filler * share, 0);
  const coat = coatOf && { coatOf };
  return { id, name, work, ...coat, grams, fillerShare: grams > 0 ? filler / grams : 0, gramsPerMinute: rate, covers };
}

/** Cut into pots for a shop of so many degrees. */
export function planPots(jobs: readonly Job[], { resin, waste }: EpoxyPart, shopC: number): PotPlan {
  const names = new Map(jobs.map((job) => [job.name, job]));
  const { batches, ...rest } = mix({
    ratioByVolume: [resin.ratioA, resin.ratioB],
    ...{ densityA: resin.densityA, densityB: resin.densityB, shopC, waste, tare: 0, scale: resin.scale },
    potLife: { minutes: resin.potMinutes, atC: resin.potC, grams: resin.potGrams },
    greatestPot: resin.greatestPot,
    // by its name, which the findings say
    jobs: jobs.map(({ name, grams, fillerShare, gramsPerMinute }) => ({
      id: name,
      grams,
      fillerShare,
      gramsPerMinute,
    })),
  });
  const counts = new Map<string, number>();
  for (const { job } of batches) counts.set(job, (counts.get(job) ?? 0) + 1);
  return {
    ...rest,
    pots: batches.map((batch) => {
      const job = names.get(batch.job);
      const among = counts.get(batch.job) ?? 1;
      return { ...batch, covers: job ? coveredBy(job, (batch.number - 1) / among, batch.number / among) : [] };
    }),
  };
}

/** A share of a line below this is none. */
const NOTHING = 1e-6;

/** What lies between two shares of a whole job. */
function coveredBy({ covers, grams }: Job, from: number, to: number): Stretch[] {
  let done = 0;
  return covers.flatMap(({ item, seam, grams: own }): Stretch[] => {
    const [start, share] = [done / grams, own / grams];
    done += own;
    const [first, last] = [from, to].map((place) => Math.min(1, Math.max(0, (place - start) / share)));
    if (own === 0 || first === undefined || last === undefined || last - first < NOTHING) return [];
    return [{ item, ...(seam !== undefined && { seam }), from: first, to: last }];
  });
}
