/**
 * Linear programs, as what solves them is given them, and the shape of that solver: it comes from outside, since it is
 * loaded (WebAssembly) and the core loads nothing.
 *
 * A program minimises cost · x with x ≥ 0 under rows of at least or exactly so much; x may have to be whole numbers.
 */
export type Term = readonly [column: number, factor: number];

export type Row = { readonly terms: readonly Term[]; readonly kind: 'at-least' | 'exactly'; readonly value: number };

export type Program = {
  readonly costs: readonly number[];
  readonly rows: readonly Row[];
  readonly isWhole: boolean;
  /** Ends the search with the best so far. */
  readonly seconds: number;
  /** A whole solution is taken for the best when none can be cheaper by as much. */
  readonly worthwhile?: number;
};

export type Solution =
  /** No solution can be; or none was found in the time. */
  | { readonly kind: 'impossible' }
  | { readonly kind: 'none' }
  | {
      readonly kind: 'optimal' | 'feasible';
      readonly values: readonly number[];
      /** What one more of a row's value costs; all nought for a program in whole numbers. */
      readonly duals: readonly number[];
    };

export type LinearSolver = (program: Program) => Solution;

/** What is used of the solver: programs go in as text in the LP format. */
type TextSolver = (
  text: string,
  options: {
    readonly output_flag: false;
    readonly time_limit: number;
    readonly mip_rel_gap: number;
    readonly mip_abs_gap: number;
  },
) => {
  readonly Status: string;
  readonly Columns: Readonly<Record<string, { readonly Index: number; readonly Primal?: number }>>;
  /** In the order in which they were given. */
  readonly Rows: readonly { readonly Index: number; readonly Dual?: number }[];
};

/** Gaps that count as none. */
const NO_GAP = 1e-9;

/** Makes a solver of one that reads text. What it cannot solve, or gives up, is 'none'. */
export function solverFrom(solve: TextSolver): LinearSolver {
  return (program) => {
    const { costs, rows, seconds, worthwhile = NO_GAP } = program;
    const found = solve(programText(program), {
      ...{ output_flag: false, time_limit: Math.max(0.05, seconds) },
      ...{ mip_rel_gap: NO_GAP, mip_abs_gap: worthwhile },
    });
    const values = costs.map((_, k) => found.Columns[`x${k}`]?.Primal);
    if (found.Status === 'Infeasible') return { kind: 'impossible' };
    if (found.Status !== 'Optimal' && found.Status !== 'Time limit reached') return { kind: 'none' };
    const known = values.filter((value) => value !== undefined && Number.isFinite(value)) as number[]; // just sifted
    if (known.length < costs.length) return { kind: 'none' };
    if (program.isWhole && !isKept(rows, known)) return { kind: 'none' };
    const dualAt = new Map(found.Rows.map(({ Index, Dual }) => [Index, Dual ?? 0]));
    return {
      kind: found.Status === 'Optimal' ? 'optimal' : 'feasible',
      values: known,
      duals: rows.map((_, k) => dualAt.get(k) ?? 0),
    };
  };
}

/** A search that was ended early may come back with figures that are no solution. */
const isKept = (rows: readonly Row[], values: readonly number[]) =>
  values.every((value) => Math.abs(value - Math.round(value)) < 1e-4) &&
  rows.every(({ terms, kind, value }) => {
    const sum = terms.reduce((all, [column, factor]) => all + factor * (values[column] ?? 0), 0);
    return kind === 'exactly' ? Math.abs(sum - value) < 1e-4 : sum > value - 1e-4;
  });

/** Terms on a line: readers of the format take lines of some 500 letters. */
const ON_A_LINE = 8;

function programText({ costs, rows, isWhole }: Program): string {
  const names = costs.map((_, k) => `x${k}`);
  return [
    'Minimize',
    ` obj: ${sum(costs.map((cost, k): Term => [k, cost]))}`,
    'Subject To',
    ...rows.map(({ terms, kind, value }, k) => ` r${k}: ${sum(terms)} ${kind === 'exactly' ? '=' : '>='} ${value}`),
    ...(isWhole ? ['General', ...inLines(names)] : []),
    'End',
  ].join('\n');
}

const sum = (terms: readonly Term[]) =>
  inLines(terms.map(([column, factor]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} x${column}`)).join('\n');

const inLines = (words: readonly string[]): string[] =>
  Array.from(
    { length: Math.ceil(words.length / ON_A_LINE) },
    (_, k) => ` ${words.slice(k * ON_A_LINE, (k + 1) * ON_A_LINE).join(' ')}`,
  );
