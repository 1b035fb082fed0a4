/** What can be picked on the list of quantities. */
import type { Thing } from '../findings';

const SEAM = 'seam';

export const seamThing = (id: string): Thing => ({ kind: SEAM, id });

/** The seam that a picked thing is. */
export const seamOfThing = (thing: Thing | null): string | undefined => (thing?.kind === SEAM ? thing.id : undefined);

const JOB = 'job';

export const jobThing = (name: string): Thing => ({ kind: JOB, id: name });

/** The name of the job that a picked thing is. */
export const jobOfThing = (thing: Thing | null): string | undefined => (thing?.kind === JOB ? thing.id : undefined);
