/**
 * How a stage says its findings: a catalogue of codes, each with the shape of its data, a sentence and an example.
 *
 * The types of a stage's findings follow from its catalogue (`FindingsOf`), so that a code without its data, or data
 * that the sentence does not know, does not compile. Data that is wrong all the same (a figure that is none) never
 * reaches a sentence: `sentenceFrom` checks it first.
 */
import { z } from 'zod';
import {
  formatFine,
  formatLength,
  formatMass,
  formatSmall,
  formatTemperature,
  formatThickness,
  formatVolume,
  isImperial,
  unitLabel,
  type Notation,
} from '../measure';
import type { Finding } from './finding';

/** A figure that is one, and a word or a name. */
export const figure = z.number();
export const word = z.string();

/** What a sentence is written with: lengths come in the builder's notation. */
export type Wording = {
  readonly length: (mm: number) => string;
  /** A sheet, by its thickness. */
  readonly sheet: (mm: number) => string;
  readonly mass: (grams: number) => string;
  readonly volume: (ml: number) => string;
  readonly warmth: (celsius: number) => string;
};

type Shape = Readonly<Record<string, z.ZodType<number | string>>>;
type DataOf<S extends Shape> = { readonly [K in keyof S]: z.infer<S[K]> };

export type CatalogueEntry<S extends Shape = Shape> = {
  readonly shape: S;
  readonly say: (data: DataOf<S>, words: Wording) => string;
  readonly example: DataOf<S>;
};

/** An entry for a sentence: the shape of its data, the sentence, and an example of the data. */
export const entry = <S extends Shape>(
  shape: S,
  say: (data: DataOf<S>, words: Wording) => string,
  example: DataOf<S>,
): CatalogueEntry<S> => ({ shape, say, example });

/** Any stage's catalogue; `never` because an entry takes no other data than its own. */
export type Catalogue = Readonly<
  Record<
    string,
    Omit<CatalogueEntry, 'say' | 'example'> & {
      readonly say: (data: never, words: Wording) => string;
      readonly example: object;
    }
  >
>;

/** The findings that a catalogue has sentences for: a union over its codes, each with its own data. */
export type FindingsOf<C extends Catalogue> = {
  [Code in keyof C & string]: Finding<Code, DataOf<C[Code]['shape']>>;
}[keyof C & string];

/** What is wrong with a finding's data by its catalogue; null where nothing is. */
export function faultOf(finding: Finding, catalogue: Catalogue): string | null {
  const known = catalogue[finding.code];
  if (!known) return `the code ${finding.code} is in no catalogue`;
  const read = z.strictObject(known.shape).safeParse(finding.data);
  if (read.success) return null;
  return read.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`).join('; ');
}

/**
 * The finding as one plain sentence or two, lengths in the notation asked for; its code in words where its data is
 * unfit.
 */
export function sentenceFrom(catalogue: Catalogue, finding: Finding, notation: Notation): string {
  const known = catalogue[finding.code];
  if (!known || faultOf(finding, catalogue) !== null) return `${inWords(finding.code)}: its figures cannot be shown.`;
  // the data is what the entry's own shape says: just checked
  return known.say(finding.data as never, {
    length: (mm) => withUnit(mm, notation),
    sheet: (mm) => formatThickness(mm, notation),
    mass: (grams) => formatMass(grams, notation),
    volume: (ml) => formatVolume(ml, notation),
    warmth: (celsius) => formatTemperature(celsius, notation),
  });
}

const inWords = (code: string): string => `${code.charAt(0).toUpperCase()}${code.slice(1).replaceAll('-', ' ')}`;

/** Lengths under this are differences and small distances, and are said to a finer step than the rule's. */
const FINE_UNDER_MM = 20;

function withUnit(mm: number, notation: Notation): string {
  if (Math.abs(mm) < FINE_UNDER_MM && isImperial(notation)) return formatSmall(mm, notation);
  const text = Math.abs(mm) < FINE_UNDER_MM ? formatFine(mm, notation) : formatLength(mm, notation);
  return notation === 'ft-in-8ths' ? text : `${text} ${unitLabel(notation)}`;
}
