import { mix, readMixJob, type Mix } from '@kalotrope/core/epoxy';
import { Refusal, findingJson, findingsText, readJson, trim, type Answer } from '../io';

export function mixCommand(file: string): Answer {
  const read = readMixJob(readJson(file));
  if (!read.ok) throw new Refusal(`${file}: ${read.problem}`);
  const mixed = mix(read.job);
  return { json: trimmed(mixed), text: inWords(mixed) };
}

const trimmed = ({ batches, totals, findings }: Mix) => ({
  batches: batches.map((batch) => ({
    ...batch,
    ...{ aMl: trim(batch.aMl), bMl: trim(batch.bMl) },
    ...{ minutes: trim(batch.minutes), potLife: trim(batch.potLife) },
  })),
  totals,
  findings: findings.map(findingJson),
});

const inWords = ({ batches, totals, findings }: Mix): string =>
  [
    'job\tpot\tA g\tB g\tfiller g\ttotal g\tthe scale shows\tminutes\tpot life',
    ...batches.map(({ job, number, a, b, filler, total, readings, minutes, potLife }) =>
      [job, number, a, b, filler, total, readings.join(', '), minutes.toFixed(1), potLife.toFixed(1)].join('\t'),
    ),
    `together\t\t${totals.a}\t${totals.b}\t${totals.filler}\t\tof it wasted ${trim(totals.waste)} g`,
    findingsText(findings),
  ].join('\n');
