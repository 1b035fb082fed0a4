/** The set-up on paper: each frame's place, every check with room beside it, and what the strongback is made of. */
import {
  csv,
  innerBox,
  lengthCell,
  lengthHead,
  numberedSteps,
  pageOnItsSide,
  sheetsOf,
  tablePages,
  type Content,
  type ExportTable,
  type LabelBox,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
} from '../formats';
import { formatFine, formatWithUnit, unitLabel, type Notation } from '../measure';
import { builtMarking, builtTables, changesTable, type BuiltWhole } from './built-drawings';
import { checkWords, heldWords } from './check-words';
import { dryFits, type DryFit } from './dry-fit';
import type { NoJig } from './no-jig';
import { orderSteps } from './order';
import type { SetupPart } from './schema';
import { smallFigure } from './small-figure';
import type { SetupValue } from './value';

export type SetupWhole = {
  readonly project: BuiltWhole['project'] & { readonly setup: SetupPart };
  readonly values: BuiltWhole['values'];
};
export type SetupOnPaper = SetupWhole & { readonly sheetHead: SheetHead };

/** Degrees to a tenth, lengths by the rule. */
export const shouldWords = (what: string, should: number, notation: Notation): string =>
  what === 'plumb' ? should.toFixed(1) : formatFine(should, notation);

export function setupSheets(whole: SetupOnPaper): PaperSheets[] {
  const { project, values, sheetHead: head } = whole;
  const { setup } = values;
  if (setup.frames.length === 0) return [];
  const inner = innerBox(pageOnItsSide(head.paper));
  const { way, tolerance } = project.setup;
  const sheet = {
    ...{ name: 'setup-sheet', title: 'Set-up, to print', part: 'Set-up', hand: 'both sides' },
    material: WAY_WORDS[way],
    scale: `true within ${formatWithUnit(tolerance, head.notation)}`,
  };
  const { noJig } = setup;
  const stands = noJig ? spreaders(noJig, head.notation) : jig(setup, head.notation);
  const tables = [places(setup, head.notation), readings(setup, way, head.notation), stands];
  const dry = dryTable(dryFits(values.panels.panels, project.panels), head.notation);
  const built = setup.built.length > 0 ? [changesTable(setup.built, head.notation)] : [];
  const pages = tablePages([...tables, dry, ...built], { first: inner, later: inner });
  return [sheetsOf(head, sheet, [...pages, ...orderPage(whole, inner)]), ...builtMarking(whole, head)];
}

/** What is done in which order, on a page of its own. */
function orderPage({ project, values, sheetHead }: SetupOnPaper, inner: LabelBox): Content[] {
  const steps = orderSteps(values.setup, project.setup, sheetHead.notation);
  if (steps.length === 0) return [];
  return [numberedSteps(steps, { left: inner.minX, right: inner.maxX, top: inner.maxY })];
}

/** How she stands while she is built. */
export const WAY_WORDS: Readonly<Record<SetupPart['way'], string>> = {
  'upside-down': 'upside down on a strongback',
  upright: 'the right way up in cradles',
  'no-jig': 'with no jig',
};

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

const jig = ({ jig: { pieces } }: SetupValue, notation: Notation): SheetTable => ({
  columns: [
    { head: `strongback, ${unitLabel(notation)}` },
    ...['how many', 'breadth', 'depth', 'length', 'ends, °'].map((head) => ({ head, isFigure: true })),
  ],
  rows: pieces.map(({ name, qty, breadthMm, depthMm, lengthMm, endsDeg }) => [
    ...[name, String(qty)],
    ...[breadthMm, depthMm, lengthMm].map((mm) => formatFine(mm, notation)),
    endsDeg === 0 ? 'square' : endsDeg.toFixed(0),
  ]),
});

const spreaders = ({ spreaders: all }: NoJig, notation: Notation): SheetTable => ({
  columns: [
    { head: `spreader at, ${unitLabel(notation)}` },
    ...['length', 'ends in plan, °', 'ends lean, °', 'from stem head'].map((head) => ({ head, isFigure: true })),
  ],
  rows: all.map(({ name, lengthMm, planDeg, leanDeg, fromStemMm }) => [
    ...[name, formatFine(lengthMm, notation), planDeg.toFixed(1), leanDeg.toFixed(1), formatFine(fromStemMm, notation)],
  ]),
});

const dryTable = (fits: readonly DryFit[], notation: Notation): SheetTable => ({
  columns: [
    { head: `dry fit, end to end, ${unitLabel(notation)}` },
    ...['flat', 'bent', 'short by'].map((head) => ({ head, isFigure: true })),
    { head: 'measured' },
  ],
  rows: fits.flatMap(({ name, edges }) =>
    edges.map(({ isUpper, flatMm, bentMm, shortMm }) => [
      `${name}, ${isUpper ? 'upper' : 'lower'} edge`,
      ...[formatFine(flatMm, notation), formatFine(bentMm, notation), smallFigure(shortMm, notation)],
      '',
    ]),
  ),
});

export function setupTables(whole: SetupWhole): ExportTable[] {
  const { setup: part, notation } = whole.project;
  const { setup } = whole.values;
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
  return [{ name: 'setup', title: 'Set-up, frame by frame', csv: csv(head, rows) }, ...builtTables(whole)];
}
