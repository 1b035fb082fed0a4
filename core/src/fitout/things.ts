/** What can be picked of what lies inside and on top. */
import type { Thing } from '../findings';

const INSIDE = 'inside part';

export const insideThing = (id: string): Thing => ({ kind: INSIDE, id });

/** The part that a picked thing is. */
export const insideOfThing = (thing: Thing | null): string | undefined =>
  thing?.kind === INSIDE ? thing.id : undefined;
