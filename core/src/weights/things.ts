/** What can be picked of the weights. */
import type { Thing } from '../findings';

const LOAD = 'load';

export const loadThing = (id: string): Thing => ({ kind: LOAD, id });

/** The load that a picked thing is. */
export const loadOfThing = (thing: Thing | null): string | undefined => (thing?.kind === LOAD ? thing.id : undefined);
