/** What can be picked of the panels. */
import type { Thing } from '../findings';

const PANEL = 'panel';
const TRANSOM = 'transom';

export const panelThing = (id: string): Thing => ({ kind: PANEL, id });

/** The panel that a picked thing is. */
export const panelOfThing = (thing: Thing | null): string | undefined => (thing?.kind === PANEL ? thing.id : undefined);

export const transomThing = (id: string): Thing => ({ kind: TRANSOM, id });

/** The transom that a picked thing is. */
export const transomOfThing = (thing: Thing | null): string | undefined =>
  thing?.kind === TRANSOM ? thing.id : undefined;
