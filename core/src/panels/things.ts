/** What can be picked of the panels. */
import type { Thing } from '../findings';

const PANEL = 'panel';

export const panelThing = (id: string): Thing => ({ kind: PANEL, id });

/** The panel that a picked thing is. */
export const panelOfThing = (thing: Thing | null): string | undefined => (thing?.kind === PANEL ? thing.id : undefined);
