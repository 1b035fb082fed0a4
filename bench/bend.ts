/**
 * Bends sheets by chance and says how each ended; then how quick a dragged handle is, the solver alone.
 * `npx tsx bench/bend.ts 500`
 */
import { bendSheet, createCardBender, emptyCard, readBendJob, SPANS } from '@kalotrope/core/bend';
import { random, type Vec3 } from '@kalotrope/core/geometry';
import { sheetByChance } from '../core/src/bend/fixtures/by-chance';

const count = Number(process.argv[2] ?? 500);
const next = random(2026);
const ends = new Map<string, number>();
const end = (how: string) => ends.set(how, (ends.get(how) ?? 0) + 1);
const lengthOf = (line: readonly Vec3[]) =>
  line.slice(1).reduce((sum, p, k) => sum + Math.hypot(...p.map((x, d) => x - (line[k]?.[d] ?? 0))), 0);

for (let k = 0; k < count; k++) {
  const read = readBendJob(sheetByChance(next, 24));
  if (!read.ok) {
    end('refused: cannot be');
    continue;
  }
  const bent = bendSheet(read.job);
  if (bent.problem !== undefined) {
    end(`said: ${bent.problem}`);
    continue;
  }
  const middle = Math.floor(bent.lower.length / 2);
  const isUp = (bent.upper[middle]?.[2] ?? 0) > (bent.lower[middle]?.[2] ?? 0);
  const isAft = (bent.lower[middle]?.[0] ?? 0) > 0;
  // straight pieces between sixty places are a little shorter than the curve
  const isWhole = Math.abs(lengthOf(bent.lower) / (read.job.lower[2]?.[0] ?? NaN) - 1) < 0.01;
  const isStretched = bent.strain.is === 'stretched';
  if (!isUp || !isAft || (!isWhole && !isStretched)) end('WRONG without a word');
  else end(isStretched ? 'settled, and said to have to stretch' : 'settled');
}
for (const [how, times] of ends) console.log(`${times} ${how}`);

const card = emptyCard();
const bend = createCardBender();
for (const spans of [SPANS.dragged, SPANS.rested])
  for (const what of ['a hold', 'an edge'] as const) {
    const times: number[] = [];
    for (let k = 0; k < 100; k++) {
      const by = 4 * Math.sin(k);
      const dragged =
        what === 'a hold'
          ? { ...card, spreaders: card.spreaders.map((one) => ({ ...one, upper: 690 + by })) }
          : { ...card, upper: card.upper.map((point, i) => (i === 1 ? { ...point, up: 500 + by } : point)) };
      const start = performance.now();
      bend(dragged, spans);
      if (k >= 10) times.push(performance.now() - start);
    }
    times.sort((a, b) => a - b);
    const [median, most] = [times[45] ?? NaN, times[85] ?? NaN];
    console.log(`${spans} spans, ${what}: median ${median.toFixed(0)} ms, 95th percentile ${most.toFixed(0)} ms`);
  }
