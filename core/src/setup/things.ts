/** What can be picked of the set-up: a frame as it stands. */
import type { Thing } from '../findings';

const STAND = 'standing frame';

export const standThing = (id: string): Thing => ({ kind: STAND, id });

/** The frame's id that a picked thing is. */
export const standOfThing = (thing: Thing | null): string | undefined => (thing?.kind === STAND ? thing.id : undefined);
