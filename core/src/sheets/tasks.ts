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

/** Of layouts that are kept in the project: what a search found may lie otherwise when the next part is cut. */
export const sheetsTasks = ({ project: { notation }, values }: Pick<SheetsWhole, 'project' | 'values'>): Task[] =>
  laidBatches(values.sheets.batches, [])
    .flatMap(({ batch, result }) => (result?.sheets ?? []).map((sheet) => ({ batch, sheet })))
    .map(({ batch, sheet }, k) => taskOf(sheet, k + 1, { batch, parts: values.sheets.parts, notation }));

/** What of an outline is seen on so small a picture, mm. */
const SEEN_MM = 4;

type Of = { readonly batch: NestBatch; readonly parts: readonly CutPart[]; readonly notation: Notation };

function taskOf(sheet: UsedSheet, number: number, { batch, parts, notation }: Of): Task {
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
    return [{ id, name, points, isBox, shape, hasHoles: part.holes.length > 0 }];
  });
  const size = stock ? `${formatWithUnit(stock.width, notation)} by ${formatWithUnit(stock.height, notation)}. ` : '';
  return {
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
      ...inOrder.map(({ id, name, shape, hasHoles }, k): TaskStep => ({
        ...{ id: `cut ${id}`, say: `Cut out ${name}`, figures: [], places: [], shape },
        hint: [
          ...(hasHoles ? ['Its openings first.'] : []),
          k < inOrder.length - 1 ? 'What is left stays one stiff piece on the bench.' : 'The last of this sheet.',
        ].join(' '),
      })),
    ],
  };
}

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
