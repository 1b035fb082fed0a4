/**
 * In which order the parts of a sheet are cut out by hand.
 *
 * Method (derived here): from the sheet's free end, farthest from the edge that it is measured from, toward that edge,
 * so that what is left stays one stiff piece on the bench; and what lies in an opening of another part before that
 * part, while the sheet round it still holds it. Openings are cut before the outline round them.
 */
import { at, boundsOf, contains, type Outline } from '../geometry';
import { placedOutline } from './check';
import type { UsedSheet } from './result';
import type { NestJob } from './schema';

type Lying = {
  readonly placement: UsedSheet['placements'][number];
  readonly holes: readonly Outline[];
  readonly outline: Outline;
  readonly reach: number;
};

/** The placements of a sheet, the first to be cut first; one of no part of the job is left out. */
export function inCuttingOrder({ placements }: UsedSheet, { parts }: NestJob): UsedSheet['placements'] {
  const lying = placements.flatMap((placement): Lying[] => {
    const part = parts.find(({ id }) => id === placement.part);
    if (!part) return [];
    const [outline, ...holes] = [part.outline, ...part.holes].map((ring) => placedOutline(ring, placement));
    return outline ? [{ placement, outline, holes, reach: boundsOf(outline).maxX }] : [];
  });
  const waiting = [...lying].sort((a, b) => b.reach - a.reach);
  const done: Lying[] = [];
  while (waiting.length > 0) {
    const free = waiting.findIndex((one) => !waiting.some((other) => other !== one && isWithin(other, one)));
    done.push(...waiting.splice(Math.max(0, free), 1));
  }
  return done.map(({ placement }) => placement);
}

/** Whether one lies in an opening of another. */
const isWithin = ({ outline }: Lying, { holes }: Lying): boolean =>
  holes.some((hole) => contains(hole, at(outline, 0)));
