/** What is picked: a thing by its kind and id; of a line's point also which one. */
import type { Thing } from '@kalotrope/core/findings';

export type Picked = Thing & { readonly index?: number };

export const isSameThing = (a: Picked | null, b: Picked | null): boolean =>
  a?.kind === b?.kind && a?.id === b?.id && a?.index === b?.index;
