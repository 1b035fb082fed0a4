/** Where water lies against a frame and can be let through. */
import { usualIn, type Notation } from '../measure';
import { LIMBER_DIAMETER, LIMBER_SET_IN } from './constants';
import type { Frame } from './frame';
import type { MemberRun } from './member';
import { freeId } from './plans';
import type { Limber } from './schema';

/** A bottom that rises by less than this over its half-breadth is flat: water stands in its corners, too. */
const FLAT_RISE = 0.035;

/**
 * Holes at the lowest points that water reaches, clear of a fillet: on the centreline, or to both sides of what runs
 * along it; of a flat bottom in the corners at the chine, too. Those that are there already are left out.
 */
export function offerLimbers(
  frame: Pick<Frame, 'outline' | 'edges'>,
  members: readonly MemberRun[],
  taken: readonly Limber[],
  notation: Notation,
): Limber[] {
  const diameter = usualIn(LIMBER_DIAMETER.value, notation);
  const setIn = usualIn(LIMBER_SET_IN.value, notation);
  const clear = setIn + diameter / 2;
  const lowest = frame.edges[0]?.points ?? [];
  const [first, last] = [lowest[0], lowest[lowest.length - 1]];
  if (!first || !last) return [];
  const centre = members.find(({ isPair, isThrough }) => !isPair && isThrough);
  const outs = [centre ? centre.width / 2 + clear : Math.max(0, first.y > 1 ? first.y + clear : 0)];
  const isFlat = Math.abs(last.z - first.z) < FLAT_RISE * Math.max(1, last.y - first.y);
  if (isFlat) outs.push(last.y - clear);
  const offered = outs
    .map((out) => Math.round(out))
    .filter((out) => taken.every((limber) => Math.abs(limber.out - out) > diameter));
  return offered.reduce<Limber[]>(
    (all, out) => [...all, { id: freeId('limber', [...taken, ...all]), out, diameter, setIn, isPair: out > 0 }],
    [],
  );
}
