/** The program's judgement, in one shape everywhere: data only; the sentence is made last, in catalogue.ts. */
import type { FindingCode } from './catalogue';

export type Severity = 'stop' | 'check' | 'note';

/** Enough to point at on screen. Lengths in mm. */
export type Place = {
  readonly stage: Stage;
  readonly line?: string;
  readonly panel?: string;
  readonly part?: string;
  readonly station?: string;
  readonly x?: number;
};

/** The stages in working order; those listed are the ones that work. */
export const STAGES = ['lines', 'panels', 'frames', 'joints', 'sheets', 'epoxy'] as const;
export type Stage = (typeof STAGES)[number];

export type Scalar = string | number | boolean;

/** A figure or a word, or a whole part of the project: a table with a column more. */
export type EditValue = Scalar | null | readonly unknown[] | Readonly<Record<string, unknown>>;

/** One value of the project put in place of another; the interface applies it as one undoable step. */
export type Edit = { readonly path: readonly (string | number)[]; readonly value: EditValue };

export type Remedy = { readonly label: string; readonly edits: readonly Edit[] };

export type Finding = {
  readonly severity: Severity;
  readonly code: FindingCode;
  readonly where: Place;
  /** The numbers behind the sentence, units in their names. */
  readonly data: Readonly<Record<string, number | string>>;
  readonly remedies?: readonly Remedy[];
};

/** A value that a stage had to take for want of a better one. */
export type Assumption = { readonly what: string; readonly value: string; readonly because: string };

export type StageResult<T> = {
  readonly value: T;
  readonly findings: readonly Finding[];
  readonly assumed: readonly Assumption[];
};

const RANK: Readonly<Record<Severity, number>> = { stop: 0, check: 1, note: 2 };

/** Worst first, otherwise in the order given. */
export const worstFirst = (findings: readonly Finding[]): Finding[] =>
  [...findings].sort((a, b) => RANK[a.severity] - RANK[b.severity]);
