/** The set-up on paper: each frame's place, every check with room beside it, and what the strongback is made of. */
import {
  csv,
  innerBox,
  lengthCell,
  lengthHead,
  pageOnItsSide,
  sheetsOf,
  tablePages,
  type ExportTable,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
} from '../formats';
import { formatFine, formatWithUnit, unitLabel, type Notation } from '../measure';
import { checkWords, heldWords } from './check-words';
import type { SetupPart } from './schema';
import type { SetupValue } from './value';

export type SetupWhole = {
  readonly project: { readonly setup: SetupPart; readonly notation: Notation };
  readonly values: { readonly setup: SetupValue };
};
export type SetupOnPaper = SetupWhole & { readonly sheetHead: SheetHead };

/** Degrees to a tenth, lengths by the rule. */
export const shouldWords = (what: string, should: number, notation: Notation): string =>
  what === 'plumb' ? should.toFixed(1) : formatFine(should, notation);

export function setupSheets({ project, values: { setup }, sheetHead: head }: SetupOnPaper): PaperSheets[] {
  if (setup.frames.length === 0) return [];
  const inner = innerBox(pageOnItsSide(head.paper));
  const { way, tolerance } = project.setup;
  const sheet = {
    ...{ name: 'setup-sheet', title: 'Set-up, to print', part: 'Set-up', hand: 'both sides' },
    material: way === 'upside-down' ? 'upside down on a strongback' : 'the right way up in cradles',
    scale: `true within ${formatWithUnit(tolerance, head.notation)}`,
  };
  const tables = [places(setup, head.notation), readings(setup, way, head.notation), jig(setup, head.notation)];
  return [sheetsOf(head, sheet, tablePages(tables, { first: inner, later: inner }))];
}

const shouldOf = ({ checks }: SetupValue['frames'][number], what: string): number =>
  checks.find((check) => check.what === what)?.should ?? 0;

const places = ({ frames }: SetupValue, notation: Notation): SheetTable => ({
  columns: [
    { head: `set in this order, ${unitLabel(notation)}` },
    ...['from the mark', 'corners over the line', 'diagonals'].map((head) => ({ head, isFigure: true })),
  ],
  rows: frames.map((frame) => [
    frame.name,
    ...[frame.alongMm, shouldOf(frame, 'height-port'), shouldOf(frame, 'diagonal-port')].map((mm) =>
      formatFine(mm, notation),
    ),
  ]),
});

const readings = ({ frames }: SetupValue, way: SetupPart['way'], notation: Notation): SheetTable => ({
  columns: [
    { head: 'frame' },
    { head: 'read' },
    { head: 'should be', isFigure: true },
    { head: 'reads, or on its mark' },
  ],
  rows: frames.flatMap(({ name, checks }) =>
    checks.map(({ what, should, isFromOther }) => [
      name,
      [checkWords(what, way), heldWords({ what, isFromOther })].filter((words) => words !== '').join(', '),
      shouldWords(what, should, notation),
      '',
    ]),
  ),
});

const jig = ({ pieces }: SetupValue, notation: Notation): SheetTable => ({
  columns: [
    { head: `strongback, ${unitLabel(notation)}` },
    ...['how many', 'breadth', 'depth', 'length'].map((head) => ({ head, isFigure: true })),
  ],
  rows: pieces.map(({ name, qty, breadthMm, depthMm, lengthMm }) => [
    ...[name, String(qty)],
    ...[breadthMm, depthMm, lengthMm].map((mm) => formatFine(mm, notation)),
  ]),
});

export function setupTables({ project: { setup: part, notation }, values: { setup } }: SetupWhole): ExportTable[] {
  if (setup.frames.length === 0) return [];
  const head = ['frame', 'check', lengthHead('should_be', notation), lengthHead('reads', notation), 'unit'];
  const rows = setup.frames.flatMap(({ id, name, checks }) =>
    checks.map(({ what, should }) => {
      const kept = part.readings.find((reading) => reading.frame === id && reading.what === what);
      const cell = (value: number) => (what === 'plumb' ? Number(value.toFixed(2)) : lengthCell(value, notation));
      const reads = !kept ? '' : kept.isTrue ? 'true' : cell(kept.value);
      return [name, checkWords(what, part.way), cell(should), reads, what === 'plumb' ? 'degrees' : ''];
    }),
  );
  return [{ name: 'setup', title: 'Set-up, frame by frame', csv: csv(head, rows) }];
}
