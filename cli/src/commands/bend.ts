/** A flat side bent to a hull between what holds it. */
import { bendSheet, readBendJob, type Bent } from '@kalotrope/core/bend';
import { Refusal, readJson, trim, type Answer } from '../io';

export function bendCommand(file: string): Answer {
  const read = readBendJob(readJson(file));
  if (!read.ok) throw new Refusal(`${file}: ${read.problem}`);
  const bent = bendSheet(read.job);
  const line = (points: Bent['lower']) => points.map((p) => p.map(trim));
  const { isSettled, problem, steps, lengthMm, strain, longer, tightest, rocker, sheerMm, flareDeg } = bent;
  const held = bent.held.map((hold) => ({ ...hold, offMm: trim(hold.offMm), pullN: trim(hold.pullN) }));
  const text = [
    ...(problem === undefined ? [] : [problem]),
    `length over all\t${lengthMm.toFixed(1)}`,
    `rocker\t${rocker.fore.toFixed(1)} at the bow, ${rocker.aft.toFixed(1)} at the stern`,
    `sheer\t${sheerMm.toFixed(1)} from straight at most`,
    `flare\t${flareDeg.toFixed(1)}° at most`,
    `stretch\t${(100 * strain.most).toFixed(4)} % at most, ${strain.is}`,
    `edges longer than cut\t${longer.lower.toFixed(2)} below, ${longer.upper.toFixed(2)} above`,
    `tightest bend\t${tightest.radiusMm.toFixed(0)}, ${tightest.alongMm.toFixed(0)} along`,
    ...held.map(({ at, edge, pullN, feel }) => `${nameOf(at)}, ${edge} edge\t${Math.abs(pullN).toFixed(0)} N, ${feel}`),
  ].join('\n');
  return {
    json: {
      ...{ settled: isSettled, ...(problem !== undefined && { problem }), steps, lengthOverAll: trim(lengthMm) },
      ...{ lower: line(bent.lower), upper: line(bent.upper) },
      strain: { most: strain.most, rms: strain.rms, is: strain.is },
      edgesLonger: { lower: trim(longer.lower), upper: trim(longer.upper) },
      ...{ tightest: { radius: trim(tightest.radiusMm), along: trim(tightest.alongMm) }, holds: held },
      rocker: { fore: trim(rocker.fore), aft: trim(rocker.aft) },
      ...{ sheer: trim(sheerMm), flareDeg: trim(flareDeg) },
    },
    text,
  };
}

const nameOf = (at: Bent['held'][number]['at']): string => (typeof at === 'number' ? `frame ${at + 1}` : `the ${at}`);
