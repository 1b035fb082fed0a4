/** Judges pots by nothing but their figures and the rules: what is wrong with them, in words. */
import type { Mix } from './batches';
import type { MixJob } from './mix-job';

const SAME_G = 1e-6;

/** How many steps more than it needs a pot may hold for its ratio's sake: see pot.ts. */
const overOf = (ratio: number, fillerShare: number): number =>
  Math.ceil((1 + Math.max(ratio, 1 / ratio)) / (1 - fillerShare)) + 2;

export function faultsOfMix(job: MixJob, { batches, totals, findings }: Pick<Mix, 'batches' | 'totals' | 'findings'>) {
  const faults: string[] = [];
  const ratio = (job.ratioByVolume[0] * job.densityA) / (job.ratioByVolume[1] * job.densityB);
  for (const { id, grams, fillerShare, gramsPerMinute } of job.jobs) {
    const mine = batches.filter((batch) => batch.job === id);
    if (findings.some(({ code, where }) => code === 'no-pot-in-time' && where.part?.id === id)) {
      if (mine.length > 0) faults.push(`${id}: pots of a job that cannot be mixed`);
      continue;
    }
    const said = findings.some(({ code, where }) => code === 'scale-too-coarse' && where.part?.id === id);
    const inPlace = mine.reduce((sum, { total }) => sum + total, 0) * (1 - job.waste);
    if (inPlace < grams - SAME_G) faults.push(`${id}: ${inPlace} g of ${grams}`);
    const spare = mine.length * overOf(ratio, fillerShare) * job.scale;
    if (inPlace > grams + spare) faults.push(`${id}: ${inPlace} g where ${grams} are wanted`);
    mine.forEach(({ number, a, b, filler, total, minutes, potLife, aMl, bMl }, k) => {
      const name = `${id} ${number}`;
      const life =
        job.potLife.minutes *
        2 ** ((job.potLife.atC - job.shopC) / 10) *
        (total > job.potLife.grams ? Math.pow(2 / 3, Math.log(total / job.potLife.grams) / Math.LN2) : 1);
      const error = Math.abs(a / b / ratio - 1);
      if (number !== k + 1) faults.push(`${name}: expected number ${k + 1}`);
      if (Math.abs(a + b + filler - total) > SAME_G) faults.push(`${name}: parts are not the whole`);
      for (const part of [a, b, filler])
        if (Math.abs(part / job.scale - Math.round(part / job.scale)) > 1e-4) faults.push(`${name}: no whole step`);
      if (total > job.greatestPot + SAME_G) faults.push(`${name}: ${total} g`);
      if (minutes > potLife || Math.abs(potLife - life) > 1e-6 * life)
        faults.push(`${name}: ${minutes} of ${life} min`);
      if (Math.abs(minutes - total / gramsPerMinute) > 1e-6) faults.push(`${name}: ${minutes} min at its rate`);
      if (Math.abs(filler - fillerShare * total) > job.scale + SAME_G) faults.push(`${name}: filler ${filler}`);
      if (total >= 120 * job.scale && error > 0.01 + 1e-9) faults.push(`${name}: ratio ${error} off`);
      if (error > 0.03 !== said) faults.push(`${name}: ratio ${error} off, ${said ? 'told' : 'not told'}`);
      if (Math.abs(aMl * job.densityA - a) + Math.abs(bMl * job.densityB - b) > 1e-6) faults.push(`${name}: volumes`);
    });
  }
  const mixed = batches.reduce((sum, { total }) => sum + total, 0);
  if (Math.abs(totals.a + totals.b + totals.filler - mixed) > 1e-4) faults.push('totals are not the sum of the pots');
  return faults;
}
