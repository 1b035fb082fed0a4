/** What can be picked of the plan. */
import type { Thing } from '../findings';

const WORK = 'work';

export const workThing = (id: string): Thing => ({ kind: WORK, id });

/** The job that a picked thing is. */
export const workOfThing = (thing: Thing | null): string | undefined => (thing?.kind === WORK ? thing.id : undefined);
