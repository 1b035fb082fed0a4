/**
 * How many slips of copying are found and named, and how many fair lines are blamed: 500 tables, one to three slips
 * each. Run: npx tsx bench/find-slips.ts [tables]
 */
import type { Finding } from '@kalotrope/core/findings';
import { drawLines, type LinesTable } from '@kalotrope/core/lines';
import { demoProject } from '@kalotrope/core/project';
import { rounded, seedSlips, variantOf, type SeededSlip } from '../core/src/lines/fixtures/seeded-slips';

const TABLES = Number(process.argv[2] ?? 500);
const SIXTEENTH_MM = 25.4 / 16;
const CASES: readonly (readonly [string, LinesTable, number])[] = [
  ['Tamsel 430, 1 mm', demoProject('tamsel', 'x').lines, 1],
  ['Tamsel 430, 1/16 in', demoProject('tamsel', 'x').lines, SIXTEENTH_MM],
  ['Orrin pram, 1 mm', demoProject('orrin', 'x').lines, 1],
  ['Orrin pram, 1/16 in', demoProject('orrin', 'x').lines, SIXTEENTH_MM],
];

const slipsIn = (part: LinesTable): Finding[] => drawLines(part).findings.filter(({ code }) => code === 'slip');
const isAt = (finding: Finding, slip: SeededSlip, part: LinesTable): boolean => {
  const point = part.longitudinals.find((line) => line.id === slip.line)?.points[slip.index];
  const quantity = finding.data['quantity'] === 'height' ? 'height' : 'halfBreadth';
  return finding.where.line === slip.line && finding.where.station === point?.station && quantity === slip.quantity;
};

type Count = { made: number; found: number; named: number; right: number };
const blank = (): Count => ({ made: 0, found: 0, named: 0, right: 0 });
const share = (a: number, b: number) => (b === 0 ? '-' : `${((100 * a) / b).toFixed(1)} %`);
const BANDS = ['under 6 mm', '6 to 10 mm', '10 mm and more'] as const;
const bandOf = (mm: number) => (mm < 6 ? 0 : mm < 10 ? 1 : 2);

const overall = BANDS.map(blank);
for (const [name, fair, step] of CASES) {
  let alarms = 0;
  let lines = 0;
  const bands = BANDS.map(blank);
  const missed = new Map<string, number>();
  let blamed = 0;
  for (let seed = 1; seed <= TABLES; seed++) {
    // every other table is a variant of the boat: stretched, and lofted at other stations
    const part = rounded(seed % 2 === 0 ? fair : variantOf(fair, seed), step);
    if (seed % 2 === 1 || seed === 2) {
      alarms += slipsIn(part).length;
      lines += part.longitudinals.length;
    }
    const made = seedSlips(part, seed, step !== 1);
    const findings = slipsIn(made.part);
    for (const slip of made.slips) {
      const found = findings.find((finding) => isAt(finding, slip, part));
      for (const count of [bands, overall].map((list) => list[bandOf(Math.abs(slip.wrongMm - slip.trueMm))]!)) {
        count.made++;
        if (!found) continue;
        count.found++;
        if (found.data['slip'] === slip.name) count.named++;
        if (Math.abs(Number(found.data['suggestedMm']) - slip.trueMm) <= 1) count.right++;
      }
      const size = Math.abs(slip.wrongMm - slip.trueMm);
      if (process.env['VERBOSE'] && size >= 6) {
        const outcome = found ? String(found.data['slip']) : `missed (${Math.round(size)} mm at ${slip.index})`;
        const key = `${slip.name} -> ${outcome}`;
        if (found?.data['slip'] !== slip.name) missed.set(key, (missed.get(key) ?? 0) + 1);
      }
    }
    blamed += findings.filter((finding) => !made.slips.some((slip) => isAt(finding, slip, part))).length;
  }
  console.log(
    `${name}: ${alarms} false alarms on ${lines} clean lines (${share(alarms, lines)}); ` +
      `${(blamed / TABLES).toFixed(3)} wrongly blamed a table with slips`,
  );
  bands.forEach((count, i) => report(BANDS[i]!, count));
  for (const [key, count] of [...missed].sort((a, b) => b[1] - a[1]).slice(0, 14))
    console.log(`      ${count}  ${key}`);
}
console.log('All together');
overall.forEach((count, i) => report(BANDS[i]!, count));

function report(band: string, { made, found, named, right }: Count): void {
  console.log(
    `  ${band}: ${made} made, ${share(found, made)} found; of those ${share(named, found)} named rightly, ` +
      `${share(right, found)} right to 1 mm`,
  );
}
