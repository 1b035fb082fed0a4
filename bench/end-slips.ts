/**
 * How many lines' ends are blamed in fair tables, and how many at a transom are named when they are off: variants of
 * the demo boats and boats from a few dimensions by chance, to the millimetre and to the sixteenth of an inch.
 * Run: npx tsx bench/end-slips.ts [tables of each kind]
 */
import { drawLines, linesOf, type LinesTable, type Longitudinal } from '@kalotrope/core/lines';
import { random } from '@kalotrope/core/geometry';
import { demoProject } from '@kalotrope/core/project';
import { rounded, variantOf } from '../core/src/lines/fixtures/seeded-slips';
import { dimensionsOf, startLines } from '../core/src/lines/starter';
import { STARTER_KINDS } from '../core/src/lines/starter-kinds';

const EACH = Number(process.argv[2] ?? 40);
const stepOf = (k: number) => (k % 2 === 0 ? 1 : 25.4 / 16);
const next = random(7);
const tables: LinesTable[] = [];
for (const demo of ['tamsel', 'orrin', 'veyra', 'ilven'] as const)
  for (let seed = 1; seed <= EACH; seed++)
    tables.push(rounded(variantOf(demoProject(demo, 'x').lines, seed), stepOf(seed)));
for (const kind of STARTER_KINDS)
  for (let k = 0; k < EACH; k++) {
    const length = 2400 + 4000 * next();
    const dimensions = Object.fromEntries(
      dimensionsOf(kind, length).map(({ key, least, most }) => [
        key,
        key === 'length' ? length : least + (most - least) * next(),
      ]),
    ) as Parameters<typeof startLines>[1];
    const started = startLines(kind, dimensions);
    if (started.ok) tables.push(rounded(started.lines, stepOf(k)));
  }

type End = { readonly line: string; readonly index: number };
const isNamed = (part: LinesTable, { line, index }: End) => {
  const point = part.longitudinals.find(({ id }) => id === line)?.points[index];
  return drawLines(part).findings.some(
    ({ code, where }) => code === 'slip' && where.line === line && where.station === point?.station,
  );
};
const endsOf = ({ longitudinals }: LinesTable): End[] =>
  longitudinals.flatMap(({ id, points }) => [0, points.length - 1].map((index) => ({ line: id, index })));

const blamed = tables.reduce((sum, part) => sum + endsOf(part).filter((end) => isNamed(part, end)).length, 0);
console.log(`${tables.length} fair tables: ${blamed} ends blamed`);
for (const mm of [25.4, 100]) {
  let [all, found] = [0, 0];
  for (const part of tables.filter((_, k) => k % 3 === 0))
    for (const end of endsOf(part)) {
      const own = part.longitudinals.find(({ id }) => id === end.line)?.points[end.index];
      if (!own || own.halfBreadth <= 1) continue;
      for (const off of [mm, -mm]) {
        const longitudinals = part.longitudinals.map((line): Longitudinal =>
          line.id === end.line
            ? { ...line, points: line.points.map((p, i) => (i === end.index ? { ...p, height: p.height + off } : p)) }
            : line,
        );
        all++;
        if (isNamed(linesOf(longitudinals), end)) found++;
      }
    }
  console.log(`${mm} mm off at a transom: ${found} of ${all} named`);
}
