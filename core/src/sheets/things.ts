/** What can be picked on the layouts. */
import type { Thing } from '../findings';

const PIECE = 'piece';
const SHEET = 'sheet';

/** A piece by its id in the layouts: a part, or one hand of a pair. */
export const pieceThing = (id: string): Thing => ({ kind: PIECE, id });

/** The piece that a picked thing is. */
export const pieceOfThing = (thing: Thing | null): string | undefined => (thing?.kind === PIECE ? thing.id : undefined);

/** A sheet by its number, from 1, in the order in which they are drawn. */
export const sheetThing = (number: number): Thing => ({ kind: SHEET, id: String(number) });

/** The sheet that a picked thing is. */
export const sheetOfThing = (thing: Thing | null): number | undefined =>
  thing?.kind === SHEET ? Number(thing.id) : undefined;
