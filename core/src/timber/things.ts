/** What can be picked of the timber. */
import type { Thing } from '../findings';

const RUN = 'run';

export const runThing = (id: string): Thing => ({ kind: RUN, id });

/** The run that a picked thing is. */
export const runOfThing = (thing: Thing | null): string | undefined => (thing?.kind === RUN ? thing.id : undefined);
