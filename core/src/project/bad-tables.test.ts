/**
 * Tables as they come from tired hands: each either refused with its place, or taken with a finding that says where.
 */
import { describe, expect, it } from 'vitest';
import { problemText, readOffsets } from '../exchange';
import { sentence } from './sentences';
import { newProject } from './defaults';
import { createDerive } from './derive';

const HEAD = '# units=mm\nline,station,x,half_breadth,height\n';
const table = (rows: readonly string[]) => `${HEAD}${rows.join('\n')}\n`;
const STATIONS = [0, 500, 1000, 1500, 2000, 2500, 3000];
const line = (name: string, halfBreadth: (x: number) => number, height: (x: number) => number) =>
  STATIONS.map((x, i) => `${name},${i},${x},${halfBreadth(x).toFixed(1)},${height(x).toFixed(1)}`);
const keel = line(
  'keel',
  () => 0,
  (x) => 60 + 40 * Math.cos(x / 1000),
);
const chine = line(
  'chine',
  (x) => 300 + 150 * Math.sin(x / 1000),
  (x) => 200 + 30 * Math.cos(x / 1000),
);
const sheer = line(
  'sheer',
  (x) => 400 + 150 * Math.sin(x / 1000),
  (x) => 550 + 40 * Math.cos(x / 1000),
);
const good = [...keel, ...chine, ...sheer];
const changed = (row: string, to: string) => {
  const found = good.findIndex((own) => own.startsWith(row));
  if (found < 0) throw new Error(`no row ${row}`);
  return table(good.map((own, i) => (i === found ? to : own)));
};

const derive = createDerive();

/**
 * What is said about the table: the refusal, or what the lines stage finds. All stages are worked out: none may fall
 * over.
 */
function said(text: string): string {
  const read = readOffsets(text);
  if (!read.ok) return read.problems.map(problemText).join('; ');
  const { lines } = derive(newProject({ id: 'x', name: 'X', notation: 'mm', lines: read.lines }));
  return lines.findings.map((finding) => sentence(finding, 'mm')).join('; ');
}

const BAD: readonly (readonly [string, string, RegExp])[] = [
  ['ragged: a figure too many', changed('chine,3', 'chine,3,1500,440,202,9'), /row 13, column F/],
  ['ragged: a figure too few', changed('chine,3', 'chine,3,1500,440'), /row 13, column height \(E\): found nothing/],
  [
    'a word for a figure',
    changed('sheer,2', 'sheer,2,1000,526,five hundred'),
    /row 19, column height \(E\): found "five hundred"/,
  ],
  ['a station missing on one line', table(good.filter((row) => !row.startsWith('chine,3'))), /^$/],
  [
    'a line that crosses the one below it',
    table([
      ...keel,
      ...chine,
      ...line(
        'sheer',
        () => 200,
        (x) => 350 - x / 8,
      ),
    ]),
    /Sheer .*Chine/,
  ],
  ['a line of one point', table([...keel, ...chine, 'sheer,0,0,400,590']), /Sheer/],
  ['a station given twice', table([...good, good.at(-1) ?? '']), /Sheer: station 6 is on top of the point before it/],
  ['a station out of order', changed('chine,3', 'chine,3,300,440,202'), /Chine/],
  ['ten thousand columns', `station${',1'.repeat(10_000)}\nx${',5'.repeat(10_000)}\n`, /column GS/],
  ['ten thousand rows', table(Array.from({ length: 10_000 }, (_, i) => `keel,${i},${i},0,0`)), /5000 rows at most/],
  ['a boat of a kilometre', changed('sheer,6', 'sheer,6,1000000,400,590'), /under 100 m/],
  ['figures that are none', changed('keel,2', 'keel,2,NaN,0,Infinity'), /row 5, column x \(C\): found "NaN"/],
];

describe('a bad table', () => {
  it('has a good one beside it, of which nothing is said', () => expect(said(table(good))).toBe(''));
  it.each(BAD)('%s: is told where, and nothing falls over', (_name, text, wanted) => {
    expect(said(text)).toMatch(wanted);
  });
});
