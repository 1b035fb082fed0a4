/** The program's judgement, in one shape everywhere: data only; the sentence is made last, from a stage's catalogue. */

export type Severity = 'stop' | 'check' | 'note';

/** A thing that can be picked and pointed at: what it is, and its stable id. */
export type Thing = { readonly kind: string; readonly id: string };

/** Enough to point at on screen. Lengths in mm. */
export type Place = {
  readonly stage: string;
  readonly line?: string;
  readonly panel?: string;
  readonly part?: Thing;
  readonly station?: string;
  readonly x?: number;
};

type Scalar = string | number | boolean;
/** A figure or a word, or a whole part of the project: a table with a column more. */
export type EditValue = Scalar | null | readonly unknown[] | Readonly<Record<string, unknown>>;
/** One value of the project put in place of another; the interface applies it as one undoable step. */
export type Edit = { readonly path: readonly (string | number)[]; readonly value: EditValue };
export type Remedy = { readonly label: string; readonly edits: readonly Edit[] };

/** The numbers and words behind a sentence, units in their names. */
type FindingData = Readonly<Record<string, number | string>>;

/** A finding of any stage; a stage's own have their codes and data typed, see catalogue.ts. */
export type Finding<Code extends string = string, Data = FindingData> = {
  readonly severity: Severity;
  readonly code: Code;
  readonly where: Place;
  readonly data: Data;
  readonly remedies?: readonly Remedy[];
};

/** A value that a stage had to take for want of a better one. */
export type Assumption = { readonly what: string; readonly value: string; readonly because: string };

export type StageResult<T, F extends Finding = Finding> = {
  readonly value: T;
  readonly findings: readonly F[];
  readonly assumed: readonly Assumption[];
};

const RANK: Readonly<Record<Severity, number>> = { stop: 0, check: 1, note: 2 };

/** Worst first, otherwise in the order given. */
export const worstFirst = <F extends Pick<Finding, 'severity'>>(findings: readonly F[]): F[] =>
  [...findings].sort((a, b) => RANK[a.severity] - RANK[b.severity]);

/** The place in words, most general first. */
export function placeText(place: Place): string {
  const parts = [place.panel, place.line, place.part?.id, place.station];
  const named = parts.filter((part): part is string => part !== undefined);
  if (place.x !== undefined) named.push(`x ${Math.round(place.x)}`);
  return named.length > 0 ? named.join(', ') : place.stage;
}
