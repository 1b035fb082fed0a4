/** What can be picked of the joints. */
import type { Thing } from '../findings';

const JOINT = 'joint';

/** A joint by its panel and its key there: a builder's own stays the same whatever else is joined. */
export const jointThing = (panel: string, key: string): Thing => ({ kind: JOINT, id: `${key} ${panel}` });

/** The joint that a picked thing is. */
export function jointOfThing(thing: Thing | null): { readonly panel: string; readonly key: string } | undefined {
  if (thing?.kind !== JOINT) return undefined;
  const space = thing.id.indexOf(' ');
  return { panel: thing.id.slice(space + 1), key: thing.id.slice(0, space) };
}
