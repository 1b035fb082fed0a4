/** What can be picked of the log. */
import type { Thing } from '../findings';

const ENTRY = 'entry';
const CUT = 'cut-part';

/** By the id of the entry that was written first. */
export const entryThing = (id: string): Thing => ({ kind: ENTRY, id });

export const entryOfThing = (thing: Thing | null): string | undefined => (thing?.kind === ENTRY ? thing.id : undefined);

/** A part, as it is cut and what became of it since. */
export const cutThing = (id: string): Thing => ({ kind: CUT, id });

export const cutOfThing = (thing: Thing | null): string | undefined => (thing?.kind === CUT ? thing.id : undefined);
