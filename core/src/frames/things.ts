/** What can be picked of the frames. */
import type { Thing } from '../findings';

const FRAME = 'frame';

const MEMBER = 'member';

export const memberThing = (id: string): Thing => ({ kind: MEMBER, id });

/** The member that a picked thing is. */
export const memberOfThing = (thing: Thing | null): string | undefined =>
  thing?.kind === MEMBER ? thing.id : undefined;

const GIRDER = 'girder';

export const girderThing = (id: string): Thing => ({ kind: GIRDER, id });

/** The girder that a picked thing is. */
export const girderOfThing = (thing: Thing | null): string | undefined =>
  thing?.kind === GIRDER ? thing.id : undefined;

export const frameThing = (id: string): Thing => ({ kind: FRAME, id });

/** The frame that a picked thing is. */
export const frameOfThing = (thing: Thing | null): string | undefined => (thing?.kind === FRAME ? thing.id : undefined);
