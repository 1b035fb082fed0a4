/** The table of offsets as CSV: the long form, a row a point, and the table form, as plans print it. */
import Papa from 'papaparse';
import { safeCell } from '../formats';
import { MM_PER_INCH, formatLength, type Notation } from '../measure';
import type { LinesPart, Longitudinal } from './schema';
import { tableColumns } from './table';

/** Columns of the long form. */
export const LONG_COLUMNS = ['line', 'station', 'x', 'half_breadth', 'height'] as const;

/** The long form. */
export function writeOffsets(lines: LinesPart, notation: Notation): string {
  const hasKnuckles = lines.longitudinals.some(({ points }) => points.some((p) => p.isKnuckle));
  const rows = lines.longitudinals.flatMap((line) =>
    line.points.map((p) => [
      safeCell(line.id),
      safeCell(p.station),
      writeCell(p.x, notation),
      writeCell(p.halfBreadth, notation),
      writeCell(p.height, notation),
      ...(hasKnuckles ? [p.isKnuckle ? KNUCKLE : ''] : []),
    ]),
  );
  const head = hasKnuckles ? [...LONG_COLUMNS, 'knuckle'] : LONG_COLUMNS;
  const table = Papa.unparse([[...head], ...rows], { newline: '\n' });
  return `${unitsLine(notation)}\n${extrasLine(lines)}${table}\n`;
}

/** Stands at a point where the batten breaks. */
const KNUCKLE = 'k';

/** The table form of a hull's lines; stations in the order of the boat. */
export function writeOffsetsTable(lines: LinesPart, notation: Notation): string {
  const labels = tableColumns(lines.longitudinals).map(({ label }) => label);
  const pointAt = (line: Longitudinal, label: string) => line.points.find((p) => p.station === label);
  const cells = (line: Longitudinal, key: 'x' | 'height' | 'halfBreadth') =>
    labels.map((label) => {
      const point = pointAt(line, label);
      return point ? writeCell(point[key], notation) : '';
    });
  const knuckles = lines.longitudinals.filter(({ points }) => points.some((p) => p.isKnuckle));
  const rows = [
    ['station', ...labels.map(safeCell)],
    ...lines.longitudinals.map((line) => [`x ${line.id}`, ...cells(line, 'x')]),
    ['heights'],
    ...lines.longitudinals.map((line) => [safeCell(line.id), ...cells(line, 'height')]),
    ['half-breadths'],
    ...lines.longitudinals.map((line) => [safeCell(line.id), ...cells(line, 'halfBreadth')]),
    ...(knuckles.length > 0 ? [['knuckles']] : []),
    ...knuckles.map((line) => [
      safeCell(line.id),
      ...labels.map((label) => (pointAt(line, label)?.isKnuckle ? KNUCKLE : '')),
    ]),
  ];
  return `${unitsLine(notation)}\n${extrasLine(lines)}${Papa.unparse(rows, { newline: '\n' })}\n`;
}

/** True when every point has a label of its own on its line: otherwise the table form would lose points. */
export const fitsTableForm = (lines: LinesPart): boolean =>
  lines.longitudinals.every(
    (line) =>
      new Set(line.points.map((p) => p.station)).size === line.points.length &&
      line.points.every((p) => p.station !== ''),
  );

const UNIT_NAME: Readonly<Record<Notation, string>> = {
  mm: 'mm',
  m: 'mm',
  in: 'in',
  'in-16': 'in',
  'in-32': 'in',
  'ft-in-8ths': 'ft-in-8ths',
};

/** A figure as the file's unit writes it: to a hundredth of a millimetre, or a thousandth of an inch, or the rule. */
function writeCell(mm: number, notation: Notation): string {
  if (notation === 'ft-in-8ths') return formatLength(mm, notation);
  return UNIT_NAME[notation] === 'mm' ? String(Number(mm.toFixed(2))) : String(Number((mm / MM_PER_INCH).toFixed(4)));
}

const unitsLine = (notation: Notation): string => `# units=${UNIT_NAME[notation]}`;

/** The comment `# extra=` that names the lines that bound no panel, where there is something to say. */
function extrasLine({ longitudinals }: LinesPart): string {
  const names = longitudinals.filter((line) => line.isExtra).map(({ id }) => id);
  return names.length > 0 ? `# extra=${names.join(',')}\n` : '';
}
