/** What can be picked of the lines: a line, or a point of one by its index in the table. */
import type { Thing } from '../findings';

const LINE = 'line';
const POINT = 'point';

export const lineThing = (line: string): Thing => ({ kind: LINE, id: line });
export const pointThing = (line: string, index: number): Thing & { readonly index: number } => ({
  kind: POINT,
  id: line,
  index,
});

/** The line that a picked thing is, or lies on. */
export const lineOf = (thing: Thing | null): string | undefined =>
  thing?.kind === LINE || thing?.kind === POINT ? thing.id : undefined;

/** The index of a picked point; none of anything else. */
export const pointOf = (thing: (Thing & { readonly index?: number }) | null): number | undefined =>
  thing?.kind === POINT ? thing.index : undefined;
