/**
 * Sheets marked out by hand, as they are laid out: two crosses a part, on which its pattern is laid, then the parts cut
 * out in the order in which that goes best.
 */
import { at, simplifyRing, type Vec2 } from '../geometry';
import { formatFine, formatWithUnit, type Notation } from '../measure';
import type { Task, TaskStep } from '../stage';
import type { NestBatch } from './batches';
import { edgeOfSheet, placedOutline } from './check';
import { inCuttingOrder } from './cutting-order';
import { fileWord, plywoodWords, type SheetsWhole } from './drawings';
import { laidBatches } from './layouts';
import { jobPartName, type CutPart } from './parts';
import { referencePoints } from './reference-points';
import type { UsedSheet } from './result';
import { stacksIn, type InStack } from './stacks';

/** Of layouts that are kept in the project: what a search found may lie otherwise when the next part is cut. */
export const sheetsTasks = ({ project: { notation }, values }: Pick<SheetsWhole, 'project' | 'values'>): Task[] =>
  laidBatches(values.sheets.batches, [])
    .flatMap(({ batch, result }, b) => {
      const sheets = result?.sheets ?? [];
      const stacks = stacksIn(sheets, batch.job);
      return sheets.map((sheet, k) => ({ batch, sheet, b, stack: stacks[k] }));
    })
    .map(({ batch, sheet, b, stack }, k, all): Task[] => {
      const first = all.findIndex((one) => one.b === b);
      const on = stack && { ...stack, number: first + stack.with + 1 };
      return taskOf(sheet, k + 1, { batch, parts: values.sheets.parts, notation, on });
    })
    .flat();

/** What of an outline is seen on so small a picture, mm. */
const SEEN_MM = 4;

type Of = {
  readonly batch: NestBatch;
  readonly parts: readonly CutPart[];
  readonly notation: Notation;
  /** The other sheet of a stack of two. */
  readonly on: (InStack & { readonly number: number }) | undefined;
};

/** None for a sheet of which all was cut with the one over it. */
function taskOf(whole: UsedSheet, number: number, { batch, parts, notation, on }: Of): Task[] {
  // what lies under another is marked and cut with that
  const isAlone = ({ part }: UsedSheet['placements'][number]) => !on || on.isOver || !on.parts.has(part);
  const sheet = { ...whole, placements: whole.placements.filter(isAlone) };
  if (sheet.placements.length === 0) return [];
  const { job } = batch;
  const stock = job.sheets.find(({ id }) => id === sheet.id);
  const inOrder = inCuttingOrder(sheet, job).flatMap((placement) => {
    const part = job.parts.find(({ id }) => id === placement.part);
    if (!part) return [];
    const outline = placedOutline(part.outline, placement);
    const { points, isBox } = referencePoints(outline);
    const name = jobPartName(part.id, parts);
    // laid elsewhere it is marked anew
    const id = `${part.id} ${points[0].map((mm) => mm.toFixed(0)).join(' ')}`;
    const shape = simplifyRing(outline, SEEN_MM);
    return [{ id, part: part.id, name, points, isBox, shape, hasHoles: part.holes.length > 0 }];
  });
  const size = stock ? `${formatWithUnit(stock.width, notation)} by ${formatWithUnit(stock.height, notation)}. ` : '';
  const isOfTwo = (id: string) => on?.isOver === true && on.parts.has(id);
  // those of both sheets first, while they are on one another
  const cuts = [...inOrder.filter(({ part }) => isOfTwo(part)), ...inOrder.filter(({ part }) => !isOfTwo(part))];
  const task: Task = {
    ...{ id: `${fileWord(batch)} ${number}`, kind: 'Mark out a sheet' },
    name: `Sheet ${number}, ${plywoodWords(batch, notation)}`,
    ...(stock && { picture: edgeOfSheet(stock) }),
    steps: [
      {
        ...{ id: 'sheet', say: 'The sheet before you, its length from left to right', figures: [] },
        hint: `${size}All is measured from its left and its lower edge: see that they are square.`,
      },
      ...inOrder.flatMap(({ id, name, points, isBox, shape }) =>
        points.map((point, side) => ({ ...crossStep(point, { id, name, side, isBox, notation }), shape })),
      ),
      ...(on?.isOver ? [stackStep(on.number)] : []),
      ...cuts.map(({ id, part, name, shape, hasHoles }, k): TaskStep => ({
        ...{ id: `cut ${id}`, say: `Cut out ${name}`, figures: [], places: [], shape },
        hint: [
          ...(isOfTwo(part) ? ['Through both sheets.'] : on?.isOver ? ['Of this sheet alone: take them apart.'] : []),
          ...(hasHoles ? ['Its openings first.'] : []),
          k < cuts.length - 1 ? 'What is left stays one stiff piece on the bench.' : 'The last of this sheet.',
        ].join(' '),
      })),
    ],
  };
  return [task];
}

const stackStep = (under: number): TaskStep => ({
  ...{ id: 'stack', say: `Sheet ${under} under it, turned over sideways, edges even`, figures: [], places: [] },
  hint: 'Screw both together where nothing is cut, clear of the saw and its room. One cut gives both hands.',
});

type Cross = {
  readonly id: string;
  readonly name: string;
  readonly side: number;
  readonly isBox: boolean;
  readonly notation: Notation;
};

function crossStep([x, y]: Vec2, { id, name, side, isBox, notation }: Cross): TaskStep {
  const which = at(['left', 'right'], side);
  const corner = isBox ? 'the corner of the box round it' : 'its corner';
  return {
    ...{ id: `${which} cross ${id}`, say: `${name}: the ${which} cross`, places: [[x, y]] },
    figures: [
      { label: 'from the left', value: formatFine(x, notation), isLength: true },
      { label: 'from below', value: formatFine(y, notation), isLength: true },
    ],
    hint:
      side === 0
        ? `For ${corner}.`
        : `For ${corner}. Lay the pattern on both crosses and draw round it, with its openings.`,
  };
}
