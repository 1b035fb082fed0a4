/** The layouts on paper: every sheet of plywood to scale with its parts named; the list of parts with their shapes. */
import {
  checkLength,
  innerBox,
  lineKey,
  merged,
  pageOnItsSide,
  roomInside,
  sheetsOf,
  tablePages,
  viewOn,
  type Content,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
  type SheetView,
  type ViewText,
} from '../formats';
import { at, boundsOf, type Outline, type Vec2 } from '../geometry';
import { formatFine, formatThickness, formatWithUnit, unitLabel, type Notation } from '../measure';
import { edgeOfSheet, placedOutline } from './check';
import type { NestBatch } from './batches';
import { fileWord, materialWords, plywoodWords, type SheetsWhole } from './drawings';
import { laidBatches } from './layouts';
import { referencePoints } from './reference-points';
import type { UsedSheet } from './result';
import { stacksIn } from './stacks';
import { trimmingOf, trimWords, type Trim, type TrimmedWhole } from './trimming';
import { inCuttingOrder } from './cutting-order';
import { howManyWords, jobPartName, type CutPart } from './parts';

const FOOT_MM = 18;
/** Above the key of the lines, and below the drawing, tables keep clear by so much. */
const UNDER_MM = 20;
const BETWEEN_MM = 6;

export type SheetsOnPaper = SheetsWhole & TrimmedWhole & { readonly sheetHead: SheetHead };

export function sheetsSheets({ project, values, found, sheetHead: head }: SheetsOnPaper): PaperSheets[] {
  const { parts, batches } = values.sheets;
  if (parts.length === 0) return [];
  const laid = laidBatches(batches, found.sheets ?? []);
  return [
    ...laid.flatMap(({ batch, result }) =>
      result && result.sheets.length > 0 ? [layoutSheets(batch, result.sheets, { parts, head })] : [],
    ),
    partsSheet(parts, trimmingOf({ project, values }), head),
  ];
}

type LayoutOf = { readonly parts: readonly CutPart[]; readonly head: SheetHead };

function layoutSheets(batch: NestBatch, sheets: readonly UsedSheet[], { parts, head }: LayoutOf): PaperSheets {
  const inner = innerBox(pageOnItsSide(head.paper));
  const { notation } = head;
  const room = { ...inner, minY: inner.minY + FOOT_MM };
  const drawn = sheets.map((sheet) => viewOn(viewOf(sheet, batch, parts), { room, notation }));
  const stacks = stacksIn(sheets, batch.job);
  const pages = drawn.flatMap((on, k): Content[] => {
    const keys = [
      ['cut', 'cut'],
      ['edge', `${edgeWords(k, stacks)}; its face grain runs along it`],
      ['mark', 'crosses to measure to'],
    ] as const;
    const under = { ...room, minY: inner.minY + UNDER_MM, maxY: on.foot - BETWEEN_MM };
    const sheet = sheets[k];
    const tables = sheet ? [crossesTable(sheet, numberWords(k, stacks), batch, { parts, head })] : [];
    const [first, ...more] = tablePages(tables, { first: under, later: inner });
    return [
      merged(
        on,
        ...(first ? [first] : []),
        lineKey(keys, [inner.minX, inner.minY + 11]),
        checkLength([inner.maxX, inner.minY + 6], notation),
      ),
      ...more,
    ];
  });
  const thickness = materialWords(batch, notation);
  const sheet = {
    ...{ name: `layout-${fileWord(batch)}`, title: `Layouts, ${thickness}, to print` },
    ...{ part: `Layout, ${thickness}`, hand: `${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'}` },
    ...{ material: plywoodWords(batch, notation), scale: drawn[0]?.scale.words ?? '' },
  };
  return sheetsOf(head, sheet, pages);
}

function edgeWords(k: number, stacks: ReturnType<typeof stacksIn>): string {
  const stack = stacks[k];
  if (!stack) return 'edge of the sheet';
  const other = `sheet ${stack.with + 1}`;
  return `edge of sheet ${k + 1}, cut with ${other} ${stack.isOver ? 'under it, turned over sideways' : 'over it'}`;
}

/** Of one that is cut with another on or under it: which. */
function numberWords(k: number, stacks: ReturnType<typeof stacksIn>): string {
  const stack = stacks[k];
  return stack ? `${k + 1} ${stack.isOver ? 'over' : 'under'} ${stack.with + 1}` : String(k + 1);
}

/** How far to the sheet's left and lower edges each part's two crosses are, in the order in which they are cut. */
function crossesTable(sheet: UsedSheet, number: string, { job }: NestBatch, { parts, head }: LayoutOf): SheetTable {
  const { notation } = head;
  const shown = (mm: number) => formatFine(mm, notation);
  return {
    columns: [
      { head: `sheet ${number}, as it is cut; ${unitLabel(notation)}` },
      ...['left cross, from the left', 'from below', 'right cross, from the left', 'from below'].map((title) => ({
        ...{ head: title, isFigure: true },
      })),
      { head: '' },
    ],
    rows: inCuttingOrder(sheet, job).flatMap((placement, k) => {
      const part = job.parts.find(({ id }) => id === placement.part);
      if (!part) return [];
      const { points, isBox } = referencePoints(placedOutline(part.outline, placement));
      const figures = points.flatMap((point) => point.map(shown));
      return [
        [
          `${k + 1}  ${jobPartName(part.id, parts)}`,
          ...figures,
          isBox ? 'corners of the box round it' : 'corners of the part',
        ],
      ];
    }),
  };
}

/** Arms of a cross, at true size: some 2 mm on paper. */
const CROSS_MM = 18;

/** No arm runs off the sheet. */
function crossAt([x, y]: Vec2, { width, height }: { width: number; height: number }): readonly (readonly Vec2[])[] {
  const [left, right] = [Math.max(0, x - CROSS_MM), Math.min(width, x + CROSS_MM)];
  const [low, high] = [Math.max(0, y - CROSS_MM), Math.min(height, y + CROSS_MM)];
  return [
    [
      [left, y],
      [right, y],
    ],
    [
      [x, low],
      [x, high],
    ],
  ];
}

/** A spoiled place: its edge, and a cross from corner to corner. */
function struckOut(zone: Outline): SheetView['paths'] {
  const across = [
    [at(zone, 0), at(zone, 2)],
    [at(zone, 1), at(zone, 3)],
  ];
  return [
    { kind: 'construction', points: zone, isClosed: true },
    ...across.map((points) => ({ kind: 'construction' as const, points })),
  ];
}

function viewOf(sheet: UsedSheet, { job }: NestBatch, parts: readonly CutPart[]): SheetView {
  const stock = job.sheets.find(({ id }) => id === sheet.id);
  const edge = stock ? edgeOfSheet(stock) : [];
  const placed = inCuttingOrder(sheet, job).flatMap((placement) => {
    const part = job.parts.find(({ id }) => id === placement.part);
    if (!part) return [];
    const cuts = [part.outline, ...part.holes].map((ring) => placedOutline(ring, placement));
    return [{ name: jobPartName(part.id, parts), cuts }];
  });
  return {
    paths: [
      { kind: 'edge', points: edge, isClosed: true },
      ...(stock?.zones ?? []).flatMap(struckOut),
      ...placed.flatMap(({ cuts }) => cuts.map((points) => ({ kind: 'cut' as const, points, isClosed: true }))),
      ...placed.flatMap(({ cuts }) =>
        referencePoints(at(cuts, 0)).points.flatMap((point) =>
          (stock ? crossAt(point, stock) : []).map((points) => ({ kind: 'mark' as const, points })),
        ),
      ),
    ],
    // a name that its part has no room for is in the table, by its number
    texts: placed.map(({ name, cuts }, k): ViewText => {
      const box = boundsOf(at(cuts, 0));
      const whole = `${k + 1}  ${name}`;
      const text = LETTER_MM.wide * whole.length < box.maxX - box.minX ? whole : String(k + 1);
      return {
        ...{ at: middleOfWood(at(cuts, 0), cuts.slice(1), text.length), text },
        ...{ by: [0, -1], align: 'center' },
      };
    }),
  };
}

/** What a letter takes up on a sheet of plywood that is drawn on a page of the usual size. */
const LETTER_MM = { wide: 18, high: 34 };

/** Of a part with openings beside these: others may lie within. */
function middleOfWood(outline: Outline, holes: readonly Outline[], letters: number): Vec2 {
  const box = boundsOf(outline);
  const middle: Vec2 = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  if (holes.length === 0) return middle;
  const size = { wide: LETTER_MM.wide * letters, high: LETTER_MM.high };
  const [x, y] = roomInside({ outline, holes }, size, [middle[0] - size.wide / 2, middle[1] - size.high / 2]);
  return [x + size.wide / 2, y + size.high / 2];
}

/** Every part with its shape, small. */
function partsSheet(parts: readonly CutPart[], trims: readonly Trim[], head: SheetHead): PaperSheets {
  const inner = innerBox(pageOnItsSide(head.paper));
  const sheet = {
    ...{ name: 'parts-sheet', title: 'The parts, to print', part: 'Parts', hand: 'all that is cut from plywood' },
    ...{ material: '', scale: 'shapes not to scale' },
  };
  return sheetsOf(
    head,
    sheet,
    tablePages([partsTable(parts, head.notation), ...trimTable(trims, head.notation)], { first: inner, later: inner }),
  );
}

/** In what order that which is left on comes off. */
const trimTable = (trims: readonly Trim[], notation: Notation): SheetTable[] =>
  trims.length === 0
    ? []
    : [
        {
          columns: [
            { head: 'to trim, in this order' },
            { head: `left on, ${unitLabel(notation)}`, isFigure: true },
            { head: 'when' },
          ],
          rows: trims.map((trim, i) => {
            const { what, when } = trimWords(trim);
            return [`${i + 1}  ${what}`, formatFine(trim.mm, notation), when];
          }),
        },
      ];

const partsTable = (parts: readonly CutPart[], notation: Notation): SheetTable => ({
  columns: [
    { head: 'part' },
    { head: 'shape' },
    { head: 'how many' },
    { head: 'plywood', isFigure: true },
    { head: 'length', isFigure: true },
    { head: 'width', isFigure: true },
  ],
  rows: parts.map((part) => {
    const { name, outline, holes, thickness } = part;
    const box = boundsOf(outline);
    const sides = [box.maxX - box.minX, box.maxY - box.minY].map((mm) => formatWithUnit(mm, notation));
    return [
      ...[name, { outline, ...(holes && { holes }) }, howManyWords(part), formatThickness(thickness, notation)],
      ...sides,
    ];
  }),
});
