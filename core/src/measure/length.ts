/**
 * Reads and writes lengths in every notation that builders use; inside the program all are millimetres.
 *
 * Accepted wherever a length is typed, whatever the project's unit: `1111.25`, `111.1 cm`, `1.1 m`, `43 3/4"`,
 * `43.75 in`, `3' 7 3/4"`, `3-7-6`, `3.7.6` or `3 7 6` (feet-inches-eighths; a trailing `+` adds a sixteenth of an
 * inch, `-` takes one off), with typographic primes and vulgar fractions. A bare number takes the notation's own unit.
 * For points, commas and spaces within figures see marks.ts.
 *
 * Rounding to the rule is for display only: the exact figure stays in the project.
 */

import { NO_MARKS, plainFigure, type Marks } from './marks';

export const MM_PER_INCH = 25.4;
export const MM_PER_FOOT = 304.8;

/** The notations a project can be shown in. `in-16` and `in-32` are inches and fractions. */
export const NOTATIONS = ['mm', 'm', 'in', 'in-16', 'in-32', 'ft-in-8ths'] as const;
export type Notation = (typeof NOTATIONS)[number];

/** The smallest step of each notation in mm: what one division of the rule is worth. */
export const DIVISION_MM: Readonly<Record<Notation, number>> = {
  mm: 1,
  m: 1,
  in: MM_PER_INCH / 100,
  'in-16': MM_PER_INCH / 16,
  'in-32': MM_PER_INCH / 32,
  'ft-in-8ths': MM_PER_INCH / 16,
};

export type ParsedLength =
  | { readonly ok: true; readonly mm: number; readonly understood: string }
  | { readonly ok: false; readonly expected: string };

/** What is accepted where nothing more can be said of what was typed. */
export const ANY_LENGTH = 'a length such as 1111.25, 111.1 cm, 43 3/4", 3\' 7 3/4" or 3-7-6';
/** Longer than any boat here; a longer number is a slip of the keyboard. */
const LONGEST_MM = 1e6;

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** The unit's plain suffix, as it is written after a number. */
const UNIT_MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  ft: MM_PER_FOOT,
  "'": MM_PER_FOOT,
};

/** A length's figures, and its unit if it ends in one. */
const UNIT_AFTER = /^(.*?)\s*(mm|cm|m|in|inch|inches|"|ft|')?$/s;
const isMillimetres = (unit: string, notation: Notation): boolean =>
  unit === 'mm' || (unit === '' && notation === 'mm');

const NUMBER = String.raw`\d+(?:\.\d*)?|\.\d+`;
const FRACTION = String.raw`\d+\/\d+`;
/** Plans and builders part them by hyphens, points or spaces. */
const EIGHTHS_PATTERN = /^(\d+)([-. ])(\d+)\2(\d+)([+-]?)$/;
const WHOLE_AND_FRACTION = String.raw`(${NUMBER})(?:[\s-]+(${FRACTION}))?`;
const INCHES_AFTER_FEET = String.raw`(?:(?:${WHOLE_AND_FRACTION}|(${FRACTION}))\s*(?:"|in|inch|inches)?)?`;
const FEET_PATTERN = new RegExp(String.raw`^(${NUMBER})\s*(?:'|ft)\s*-?\s*${INCHES_AFTER_FEET}$`);
const FRACTION_PATTERN = new RegExp(String.raw`^(?:(\d+)[\s-]+)?(${FRACTION})\s*("|in|inch|inches)?$`);
const PLAIN_PATTERN = new RegExp(String.raw`^(${NUMBER})\s*(mm|cm|m|in|inch|inches|"|ft|')?$`);

/**
 * Reads one length. Never throws; what is not a length, or can be read two ways, comes back with what would be taken.
 * @param notation decides what a bare number means
 * @param marks what points and commas stand for in the figures around, where there are any
 */
export function parseLength(text: string, notation: Notation, marks: Marks = NO_MARKS): ParsedLength {
  const cleaned = tidy(text);
  const negative = /^[-−]/.test(cleaned);
  const [, whole = '', unit = ''] = UNIT_AFTER.exec(cleaned.replace(/^[-−+]\s*/, '')) ?? [];
  const plain = plainFigure(whole, !isMillimetres(unit, notation), marks);
  if (plain.kind === 'two-ways') {
    const [small, large] = plain.readings;
    return { ok: false, expected: `${small} or ${large}, as "${whole}" can be read either way` };
  }
  const body = plain.kind === 'figure' ? `${plain.text}${unit}` : (whole + unit).replace(/(\d),(\d)/g, '$1.$2');
  const feet = FEET_PATTERN.exec(body);
  if (feet && inchesAfter(feet) >= INCHES_PER_FOOT)
    return { ok: false, expected: `under 12 inches after ${feet[1]} ft; a mark of thousands is a space or nothing` };
  const mm = parseEighths(body) ?? parseFeet(body) ?? parseFraction(body, notation) ?? parsePlain(body, notation);
  if (mm === undefined || !Number.isFinite(mm)) return { ok: false, expected: ANY_LENGTH };
  if (mm > LONGEST_MM) return { ok: false, expected: `a length under ${LONGEST_MM / 1000} m` };
  const signed = negative && mm !== 0 ? -mm : mm;
  return { ok: true, mm: signed, understood: understood(signed, notation) };
}

function tidy(text: string): string {
  return text
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign] ?? ''}`)
    .replace(/[′’‘]/g, "'")
    .replace(/[″”“]|''/g, '"')
    .replace(/\s+/g, ' ') // the thin and the unbreakable space among them
    .trim()
    .toLowerCase();
}

function parseEighths(body: string): number | undefined {
  const match = EIGHTHS_PATTERN.exec(body);
  if (!match) return undefined;
  const [feet, inches, eighths] = [Number(match[1]), Number(match[3]), Number(match[4])];
  if (inches > 11 || eighths > 7) return NaN; // 3-12-0 is a slip, not four feet
  const sixteenth = match[5] === '+' ? 1 : match[5] === '-' ? -1 : 0;
  return feet * MM_PER_FOOT + (inches + eighths / 8 + sixteenth / 16) * MM_PER_INCH;
}

function parseFeet(body: string): number | undefined {
  const match = FEET_PATTERN.exec(body);
  if (!match) return undefined;
  return Number(match[1]) * MM_PER_FOOT + inchesAfter(match) * MM_PER_INCH;
}

const INCHES_PER_FOOT = 12;
const inchesAfter = (feet: RegExpExecArray): number => Number(feet[2] ?? 0) + fraction(feet[3] ?? feet[4]);

function parseFraction(body: string, notation: Notation): number | undefined {
  const match = FRACTION_PATTERN.exec(body);
  if (!match) return undefined;
  const isMetric = notation === 'mm' || notation === 'm';
  if (isMetric && !match[3]) return NaN; // 3/4 of a millimetre is nobody's meaning: ask for the mark
  return (Number(match[1] ?? 0) + fraction(match[2])) * MM_PER_INCH;
}

function parsePlain(body: string, notation: Notation): number | undefined {
  const match = PLAIN_PATTERN.exec(body);
  if (!match) return undefined;
  const unit = match[2] ?? (notation === 'mm' ? 'mm' : notation === 'm' ? 'm' : 'in');
  return Number(match[1]) * (UNIT_MM[unit] ?? NaN);
}

function fraction(text: string | undefined): number {
  if (text === undefined) return 0;
  const [top, bottom] = text.split('/').map(Number);
  return bottom ? (top ?? 0) / bottom : NaN;
}

/** The nearest division of the rule, in mm. */
function roundToRule(mm: number, notation: Notation): number {
  const step = DIVISION_MM[notation];
  const rounded = Math.round(mm / step) * step;
  return rounded === 0 ? 0 : rounded; // never minus nought
}

/** A length as it is written in the notation, rounded to the rule, without its unit. */
export function formatLength(mm: number, notation: Notation): string {
  switch (notation) {
    case 'mm':
      return String(roundToRule(mm, 'mm'));
    case 'm':
      return withoutMinusZero((mm / 1000).toFixed(3));
    case 'in':
      return withoutMinusZero((mm / MM_PER_INCH).toFixed(2));
    case 'in-16':
    case 'in-32':
      return formatFraction(mm, notation === 'in-16' ? 16 : 32);
    case 'ft-in-8ths':
      return formatEighths(mm);
  }
}

/** To a tenth of a millimetre, or to the rule in inch notations: for figures that are read, not marked. */
export function formatFine(mm: number, notation: Notation): string {
  if (notation === 'mm') return withoutMinusZero(mm.toFixed(1));
  if (notation === 'm') return withoutMinusZero((mm / 1000).toFixed(4));
  if (notation === 'in') return withoutMinusZero((mm / MM_PER_INCH).toFixed(3));
  return formatLength(mm, notation);
}

/** A length as a field shows it: under a foot in inches and fractions where the boat is in feet, inches, eighths. */
export const formatField = (mm: number, notation: Notation): string =>
  notation === 'ft-in-8ths' && mm !== 0 && Math.abs(mm) < MM_PER_FOOT
    ? `${formatLength(mm, 'in-32')}"`
    : formatFine(mm, notation);

/** Whether a boat in this notation is one of inches and feet. */
export const isImperial = (notation: Notation): boolean => notation !== 'mm' && notation !== 'm';

/** What stands in a column's head or after a single figure. */
export const unitLabel = (notation: Notation): string => UNIT_LABELS[notation];

const UNIT_LABELS: Readonly<Record<Notation, string>> = {
  mm: 'mm',
  m: 'm',
  in: 'in',
  'in-16': 'in',
  'in-32': 'in',
  'ft-in-8ths': 'ft-in-⅛',
};

/** The length with its unit. */
export function formatWithUnit(mm: number, notation: Notation): string {
  return notation === 'ft-in-8ths'
    ? formatLength(mm, notation)
    : `${formatLength(mm, notation)} ${unitLabel(notation)}`;
}

/** From here on a small length is said in 32nds, under it in thousandths of an inch. */
const THOUSANDTHS_UNDER_MM = MM_PER_INCH / 32;

/** A small distance or difference, finer than a rule's division: `0.4 mm`, `3/32 in`, `0.012 in`. */
export function formatSmall(mm: number, notation: Notation): string {
  if (!isImperial(notation)) return `${withoutMinusZero(mm.toFixed(1))} mm`;
  if (mm === 0) return '0 in';
  return notation === 'in' || Math.abs(mm) < THOUSANDTHS_UNDER_MM
    ? `${withoutMinusZero((mm / MM_PER_INCH).toFixed(3))} in`
    : `${formatFraction(mm, 32)} in`;
}

/** A sheet by its thickness, which is sold in millimetres everywhere: `6 mm`, `1/4 in (6 mm)`. */
export const formatThickness = (mm: number, notation: Notation): string =>
  isImperial(notation) ? `${formatFraction(mm, 16)} in (${Number(mm.toFixed(2))} mm)` : `${Number(mm.toFixed(2))} mm`;

/** A side of a piece of timber: `20 mm`, `25/32 in`. */
export const formatScantling = (mm: number, notation: Notation): string =>
  isImperial(notation) ? formatSmall(mm, notation) : `${Number(mm.toFixed(1))} mm`;

/** An area of a section or a joint: `27 mm²`, `0.04 in²`. */
export const formatSection = (mm2: number, notation: Notation): string =>
  isImperial(notation) ? `${(mm2 / MM_PER_INCH ** 2).toFixed(2)} in²` : `${mm2.toFixed(0)} mm²`;

const WHOLE_INCHES_FROM_MM = 2 * MM_PER_INCH;

/** A usual length as the builder’s own rule has it: in inches the nearest one, or eighth of one under two. */
export function usualIn(mm: number, notation: Notation): number {
  if (!isImperial(notation) || mm === 0) return mm;
  const step = mm < WHOLE_INCHES_FROM_MM ? MM_PER_INCH / 8 : MM_PER_INCH;
  return Number((Math.max(1, Math.round(mm / step)) * step).toFixed(4));
}

/** What a mark made to the nearest division is out by, in mm (positive: the true figure is longer). */
export function lostInRounding(mm: number, notation: Notation): number {
  return mm - roundToRule(mm, notation);
}

function understood(mm: number, notation: Notation): string {
  const other: Notation = notation === 'mm' || notation === 'm' ? 'ft-in-8ths' : 'mm';
  const fine = `${Number(mm.toFixed(2))} mm`;
  return other === 'mm' ? `${formatWithUnit(mm, notation)} = ${fine}` : `${fine} = ${formatLength(mm, other)}`;
}

function withoutMinusZero(text: string): string {
  return /^-0(\.0*)?$/.test(text) ? text.slice(1) : text;
}

function formatFraction(mm: number, denominator: number): string {
  const parts = Math.round((Math.abs(mm) / MM_PER_INCH) * denominator);
  const sign = mm < 0 && parts > 0 ? '-' : '';
  const whole = Math.floor(parts / denominator);
  const rest = parts % denominator;
  if (rest === 0) return `${sign}${whole}`;
  const divisor = greatestCommonDivisor(rest, denominator);
  const text = `${rest / divisor}/${denominator / divisor}`;
  return whole === 0 ? sign + text : `${sign}${whole} ${text}`;
}

function formatEighths(mm: number): string {
  const sixteenths = Math.round((Math.abs(mm) / MM_PER_INCH) * 16);
  const sign = mm < 0 && sixteenths > 0 ? '-' : '';
  const eighths = Math.floor(sixteenths / 2);
  const plus = sixteenths % 2 === 1 ? '+' : '';
  return `${sign}${Math.floor(eighths / 96)}-${Math.floor((eighths % 96) / 8)}-${eighths % 8}${plus}`;
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}
