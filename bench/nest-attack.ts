/**
 * Random jobs laid out and judged by a checker of its own: every corner of each part against every side of its
 * neighbours, and a point of each against the other's wood.
 * Run: npx tsx bench/nest-attack.ts [SECONDS] [SEED]
 */
import { performance } from 'node:perf_hooks';
import { contains, distanceToSegment, random, type Outline, type Vec2 } from '../core/src/geometry/index';
import { nest, placedOutline, type NestJob } from '../core/src/sheets/index';

const [seconds = '60', seed = '1'] = process.argv.slice(2);
const next = random(Number(seed));
const about = (low: number, high: number) => low + (high - low) * next();

function star(low: number, high: number): Vec2[] {
  const count = 3 + Math.floor(8 * next());
  return Array.from({ length: count }, (_, k): Vec2 => {
    const [r, angle] = [about(low, high), (2 * Math.PI * k) / count];
    return [r * Math.cos(angle), r * Math.sin(angle)];
  });
}

function someJob(): NestJob {
  const parts = Array.from({ length: 1 + Math.floor(7 * next()) }, (_, k): NestJob['parts'][number] => {
    const outline = star(30, 160);
    const share = about(0.3, 0.7);
    const hole = outline.map(([x, y]): [number, number] => [share * x, share * y]);
    const rotations = [[0], [0, 180], [0, 90, 180, 270], 'any' as const][Math.floor(4 * next())] ?? [0];
    return {
      ...{ id: `p${k}`, outline: outline.map(([x, y]): [number, number] => [x, y]) },
      ...{ holes: next() < 0.4 ? [hole] : [], qty: 1 + Math.floor(3 * next()), rotations, mirror: next() < 0.3 },
    };
  });
  const gap = next() < 0.2 ? 0 : about(0, 12);
  const sheets = [{ id: 'A', width: about(350, 900), height: about(300, 600), qty: 1 + Math.floor(4 * next()) }];
  return { gap, margin: about(0, 20), sheets, parts };
}

type Placed = { readonly outline: Outline; readonly holes: readonly Outline[] };

const isOnWood = ({ outline, holes }: Placed, p: Vec2) =>
  contains(outline, p) && !holes.some((hole) => contains(hole, p));

function apart(a: Placed, b: Placed): number {
  let least = Infinity;
  for (const [from, to] of [
    [a, b],
    [b, a],
  ] as const)
    for (const ring of [from.outline, ...from.holes])
      for (const p of ring)
        for (const other of [to.outline, ...to.holes])
          other.forEach((q, i) => {
            least = Math.min(least, distanceToSegment(p, q, other[(i + 1) % other.length] ?? q));
          });
  return least;
}

const start = performance.now();
let [jobs, faults, longest, pieces] = [0, 0, 0, 0];
while (performance.now() - start < Number(seconds) * 1000) {
  const job = someJob();
  const before = performance.now();
  const result = nest(job, { seed: jobs, rounds: 25 });
  longest = Math.max(longest, performance.now() - before);
  jobs++;
  let count = result.unplaced.length;
  for (const { placements } of result.sheets) {
    const placed = placements.map((placement): Placed => {
      const part = job.parts.find(({ id }) => id === placement.part);
      if (!part) throw new Error(placement.part);
      return {
        outline: placedOutline(part.outline, placement),
        holes: part.holes.map((hole) => placedOutline(hole, placement)),
      };
    });
    count += placed.length;
    const { width, height } = job.sheets[0] ?? { width: 0, height: 0 };
    placed.forEach((one, i) => {
      const isOff = one.outline.some(([x, y]) => Math.min(x, y, width - x, height - y) < job.margin - 1e-4);
      const isNear = placed.slice(i + 1).some((other) => {
        if (job.gap > 0 && apart(one, other) < job.gap - 1e-4) return true;
        const inner = [one, other].some((p, k) =>
          p.outline.some(
            (q) =>
              apart({ outline: [q], holes: [] }, [other, one][k] ?? other) > 0.01 &&
              isOnWood([other, one][k] ?? other, q),
          ),
        );
        return inner;
      });
      if (isOff || isNear) faults++;
    });
  }
  pieces += count;
  if (count !== job.parts.reduce((sum, { qty }) => sum + qty, 0)) faults++;
}
console.log(`${jobs} jobs, ${pieces} pieces, ${faults} faults, the longest took ${longest.toFixed(0)} ms`);
