/**
 * Figures of the project that a builder sets: with their limits, the name by which the screen calls them, and what they
 * are measured in, so that what is refused is refused in the builder's own words and unit.
 */
import { z } from 'zod';
import { formatFine, unitLabel, type Notation } from '../measure';

/** How a figure of the project is shown: a length in the boat's notation, a share in per cent, or as it is. */
export type FieldKind = 'length' | 'share' | 'figure';
type Limits = { readonly min: number; readonly max: number; readonly unit?: string };

const field = (title: string, kind: FieldKind, { min, max, unit = '' }: Limits) =>
  z.number().min(min).max(max).meta({ title, kind, unit });

export const lengthField = (title: string, min: number, max: number) => field(title, 'length', { min, max });
/** A length that may also be nought, for none; otherwise no shorter than `least`. */
export const lengthOrNone = (title: string, least: number, max: number) =>
  z
    .number()
    .min(0)
    .max(max)
    .refine((mm) => mm === 0 || mm >= least)
    .meta({ title, kind: 'length', unit: '', least });
/** Kept as a fraction, shown in per cent. */
export const shareField = (title: string, min: number, max: number) => field(title, 'share', { min, max });
export const figureField = (title: string, limits: Limits) => field(title, 'figure', limits);
export const countField = (title: string, min: number, max: number) =>
  z.number().int().min(min).max(max).meta({ title, kind: 'figure', unit: '' });

/** A value refused: in a sentence, "Skin thickness: 0.5 mm is not taken; expected …", and what would be taken. */
export type Refusal = { readonly sentence: string; readonly expected: string };

/** What is wrong with a value by its schema; `place` names it where the schema does not. */
export function refusalWords(
  schema: z.ZodType,
  value: unknown,
  { place, notation }: { readonly place: string; readonly notation: Notation },
): Refusal {
  const plain = unwrapped(schema);
  const meta = plain.meta() ?? {};
  const name = typeof meta['title'] === 'string' ? meta['title'] : place;
  const { read, expected } = wordsOf(plain, meta, notation);
  if (typeof value !== 'number' || !Number.isFinite(value))
    return { sentence: `${name}: ${found(value)}expected ${expected}`, expected };
  const shown = Math.abs(value) < UNBOUNDED ? read(value) : 'so large a figure';
  return { sentence: `${name}: ${shown} is not taken; expected ${expected}`, expected };
}

const found = (value: unknown): string =>
  value === undefined || typeof value === 'object' || typeof value === 'number'
    ? ''
    : `found "${String(value).slice(0, 40)}"; `;

function wordsOf(schema: z.ZodType, meta: Readonly<Record<string, unknown>>, notation: Notation) {
  const read = readerOf(meta, notation);
  if (schema instanceof z.ZodNumber) {
    const [min, max] = [schema.minValue, schema.maxValue];
    const range = min !== null && max !== null && Math.abs(max) < UNBOUNDED ? ` from ${read(min)} to ${read(max)}` : '';
    const least = meta['least'];
    if (typeof least === 'number' && max !== null)
      return { read, expected: `a length from ${read(least)} to ${read(max)}, or 0 for none` };
    return { read, expected: `${schema.isInt ? 'a whole number' : NOUNS[kindOf(meta)]}${range}` };
  }
  if (schema instanceof z.ZodEnum) return { read, expected: `one of ${schema.options.map(String).join(', ')}` };
  if (schema instanceof z.ZodString)
    return { read, expected: `words${schema.maxLength === null ? '' : `, ${schema.maxLength} letters at most`}` };
  if (schema instanceof z.ZodArray) return { read, expected: 'a list, and no longer than it may be' };
  return { read, expected: schema instanceof z.ZodBoolean ? 'yes or no' : 'another kind of value' };
}

/** A limit this far off is none that a builder meets. */
const UNBOUNDED = 1e9;
const NOUNS: Readonly<Record<FieldKind, string>> = { length: 'a length', share: 'a share', figure: 'a figure' };

const kindOf = (meta: Readonly<Record<string, unknown>>): FieldKind =>
  meta['kind'] === 'length' || meta['kind'] === 'share' ? meta['kind'] : 'figure';

function readerOf(meta: Readonly<Record<string, unknown>>, notation: Notation): (value: number) => string {
  const kind = kindOf(meta);
  if (kind === 'share') return (value) => `${Number((value * 100).toFixed(2))} %`;
  if (kind === 'length')
    // so short a length is nothing on a rule: it is told in millimetres
    return (mm) =>
      mm !== 0 && Math.abs(mm) < TOLD_IN_MM
        ? `${Number(mm.toFixed(4))} mm`
        : `${formatFine(mm, notation)} ${unitLabel(notation)}`;
  const unit = typeof meta['unit'] === 'string' && meta['unit'] !== '' ? ` ${meta['unit']}` : '';
  return (value) => `${Number(value.toFixed(4))}${unit}`;
}

const TOLD_IN_MM = 0.5;

/** The schema itself, without what says that it may be left out or be null. */
export function unwrapped(schema: z.ZodType): z.ZodType {
  let plain = schema;
  // zod gives its core type of what is within
  while (plain instanceof z.ZodOptional || plain instanceof z.ZodNullable) plain = plain.unwrap() as z.ZodType;
  return plain;
}
