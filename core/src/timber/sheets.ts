/** Timber on paper: what to buy, what to cut from each stick, and where the scarfs fall. */
import {
  innerBox,
  pageOnItsSide,
  sheetsOf,
  tablePages,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
} from '../formats';
import { formatDeg, formatFine, formatWithUnit, unitLabel, type Notation } from '../measure';
import { soldWords, toBuyLines } from './buying';
import { planOf } from './judge';
import { FACE_DOWN, RIP_ORDER } from './rips';
import type { TimberPart } from './schema';
import { sectionOfStick } from './runs';
import type { TimberPlan } from './solve';
import { choosingFor, USE_NAMES, usesOf } from './suitable';
import type { TimberValue, TimberWhole } from './value';

export type TimberOnPaper = TimberWhole & {
  readonly project: { readonly timber: Pick<TimberPart, 'sold' | 'kerf' | 'stock'> };
  readonly sheetHead: SheetHead;
};

export function timberSheets({ project, values, found, sheetHead: head }: TimberOnPaper): PaperSheets[] {
  const { timber } = values;
  if (timber.runs.length === 0) return [];
  const plan = planOf(timber, found.timber);
  const inner = innerBox(pageOnItsSide(head.paper));
  const tables = plan
    ? [
        toBuy(timber, plan, head.notation, project.timber),
        toChoose(timber),
        cutList(timber, plan, head.notation),
        scarfs(timber, plan, head.notation),
      ]
    : [allRuns(timber, head.notation), toChoose(timber)];
  const rips = [ripList(timber, head.notation), ripOrder()];
  const sheet = {
    ...{ name: 'timber-sheet', title: 'Timber, to print', part: 'Timber', hand: 'both sides' },
    ...{ material: 'straight grain; long rips on a guided track', scale: 'no drawing' },
  };
  const some = [...tables, ...rips].filter(({ rows }) => rows.length > 0);
  return [sheetsOf(head, sheet, tablePages(some, { first: inner, later: inner }))];
}

const allRuns = ({ runs }: TimberValue, notation: Notation): SheetTable => ({
  columns: [
    { head: `piece, in ${unitLabel(notation)}` },
    ...['how many', 'width', 'depth', 'length'].map((head) => ({ head, isFigure: true })),
  ],
  rows: runs.map(({ name, qty, width, depth, length }) => [
    ...[name, String(qty)],
    ...[width, depth, length].map((mm) => formatFine(mm, notation)),
  ]),
});

const toBuy = (
  value: TimberValue,
  plan: TimberPlan,
  notation: Notation,
  part: TimberOnPaper['project']['timber'],
): SheetTable => ({
  columns: [{ head: 'to buy' }, { head: 'length', isFigure: true }, { head: 'how many', isFigure: true }],
  rows: toBuyLines(value, plan, notation, part).map(({ section, lengthMm, qty, sold }) => [
    sold ? `${section}, ${soldWords(sold)}` : section,
    ...[formatWithUnit(lengthMm, notation), String(sold?.qty ?? qty)],
  ]),
});

const cutList = ({ runs, job }: TimberValue, { sticks }: TimberPlan, notation: Notation): SheetTable => ({
  columns: [
    { head: 'stick' },
    { head: 'section' },
    { head: `of, ${unitLabel(notation)}`, isFigure: true },
    { head: 'cut from it, in this order' },
    { head: 'left', isFigure: true },
  ],
  rows: sticks.map(({ stock, cuts, left }, k) => {
    const stick = job.stock.find(({ id }) => id === stock);
    const pieces = cuts.map(({ run, length }) => {
      const name = runs.find(({ id }) => id === run)?.name ?? run;
      return `${name} ${formatFine(length, notation)}`;
    });
    return [
      ...[String(k + 1), sectionOfStick(runs, job, stock, notation)],
      ...[formatFine(stick?.length ?? 0, notation), pieces.join('; ')],
      formatFine(left, notation),
    ];
  }),
});

/** What to look for in the yard, by what it is to do. */
const toChoose = ({ runs }: TimberValue): SheetTable => ({
  columns: [{ head: 'timber that is' }, { head: 'choose' }],
  rows: usesOf(runs).flatMap((use) =>
    choosingFor(use)
      .flatMap(inLines)
      .map((line, k) => [k === 0 ? USE_NAMES[use] : '', line]),
  ),
});

/** The saw's settings, piece by piece. */
const ripList = ({ rips }: TimberValue, notation: Notation): SheetTable => ({
  columns: [
    { head: `to rip, in ${unitLabel(notation)}` },
    { head: 'how many', isFigure: true },
    { head: 'width before the bevel', isFigure: true },
    { head: 'depth', isFigure: true },
    { head: 'saw tilts', isFigure: true },
    { head: 'face down' },
    { head: 'left to plane', isFigure: true },
  ],
  rows: rips.map(({ name, qty, blankWidth, depth, tiltDeg, wider, leftMm }) => [
    ...[name, String(qty), formatFine(blankWidth, notation), formatFine(depth, notation), formatDeg(tiltDeg)],
    ...[FACE_DOWN[wider], formatFine(leftMm, notation)],
  ]),
});

const ripOrder = (): SheetTable => ({
  columns: [{ head: 'in this order' }],
  rows: RIP_ORDER.flatMap((words, i) =>
    inLines(words).map((line, k) => [k === 0 ? `${i + 1}  ${line}` : `${INDENT}${line}`]),
  ),
});

/** A cell of a table holds so many letters. */
const CELL_LETTERS = 44;
/** Under the words of the first line. */
const INDENT = '     ';

function inLines(words: string): string[] {
  const lines: string[] = [];
  for (const word of words.split(' ')) {
    const last = lines[lines.length - 1];
    if (last !== undefined && last.length + word.length < CELL_LETTERS) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

const scarfs = ({ runs }: TimberValue, { joins }: TimberPlan, notation: Notation): SheetTable => ({
  columns: [{ head: 'scarfed' }, { head: 'copy' }, { head: 'middles of the scarfs from the forward end' }],
  rows: joins.map(({ run, copy, at }) => [
    ...[runs.find(({ id }) => id === run)?.name ?? run, String(copy + 1)],
    at.map((mm) => formatWithUnit(mm, notation)).join('; '),
  ]),
});
