/** The powder in thickened mixes, by what it is for, as it is bought: by volume, for it is bulky. */
import type { Job, PotPlan } from '../jobs';
import type { EpoxyPart } from '../schema';

export type FillerNeed = {
  readonly use: 'fillets' | 'glue';
  readonly name: string;
  /** With what is lost in pots. */
  readonly grams: number;
  readonly ml: number;
  readonly bags: number;
  readonly onHand: number;
  readonly price: number;
};

const NOTHING = 1e-9;

export function fillersOf(jobs: readonly Job[], { pots }: PotPlan, fillers: EpoxyPart['fillers']): FillerNeed[] {
  const gluing = new Set(jobs.filter(({ work }) => work === 'glue').map(({ name }) => name));
  return (['fillets', 'glue'] as const)
    .map((use): FillerNeed => {
      const { name, density, bagMl, onHand, price } = fillers[use];
      const grams = pots
        .filter(({ job }) => gluing.has(job) === (use === 'glue'))
        .reduce((sum, { filler }) => sum + filler, 0);
      const ml = grams / density;
      return { use, name, grams, ml, bags: Math.ceil(ml / bagMl - NOTHING), onHand, price };
    })
    .filter(({ grams }) => grams > 0);
}
