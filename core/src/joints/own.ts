/** Joints as a builder's own: moved, added, of another kind, let go. All give the list anew; mm from the fore end. */
import { at } from '../geometry';
import type { JointedPanel } from './jointed-panel';
import type { Joint } from './pieces';
import type { JointKind, OwnJoint } from './schema';

type Own = readonly OwnJoint[];
type Change = { readonly at?: number; readonly kind?: JointKind };

/** Nearer to a panel's end there is no joint. */
const FROM_END_MM = 10;

/**
 * The joint put elsewhere or made of another kind; one that the program placed becomes the builder's own. It may have
 * become so a moment ago, which the panel that is seen does not show yet: then that one is changed.
 */
export function changedJoint(
  own: Own,
  { joinedAs: panel, joints, length }: JointedPanel,
  joint: Joint,
  change: Change,
): OwnJoint[] {
  const at = Math.min(length - FROM_END_MM, Math.max(FROM_END_MM, change.at ?? joint.u));
  const next = { panel, at, kind: change.kind ?? joint.kind };
  const first = `${panel}.joint.${joint.key}`;
  const isSeen = joints.some((other) => other.own === first);
  const id = joint.own ?? (isSeen ? freeId(own, panel) : first);
  if (own.some((other) => other.id === id)) return own.map((other) => (other.id === id ? { id, ...next } : other));
  return [...own, { id, ...next }];
}

/** How far a joint can be moved with both pieces beside it still coming out of a sheet of this usable length. */
export function roomOfJoint({ joints, length, from }: JointedPanel, joint: Joint, usable: number): [number, number] {
  const k = joints.findIndex(({ key }) => key === joint.key);
  const [before, after] = [joints[k - 1], joints[k + 1]];
  const lap = joint.lap / 2;
  const low = (after ? after.u + after.lap / 2 : from + length) - usable + lap;
  const high = (before ? before.u - before.lap / 2 : from) + usable - lap;
  return [Math.max(low, (before?.u ?? from) + FROM_END_MM), Math.min(high, (after?.u ?? from + length) - FROM_END_MM)];
}

/** Id of the joint that was changed: of the list before, or the last of the list after. */
export const idOfChanged = ({ own, key }: Joint, panel: string, after: Own): string =>
  own ?? after.find(({ id }) => id === `${panel}.joint.${key}`)?.id ?? after[after.length - 1]?.id ?? key;

/** One more in the middle of the longest piece. */
export function oneMoreJoint(
  own: Own,
  { joinedAs: panel, joints, length, from }: JointedPanel,
  kind: JointKind,
): OwnJoint[] {
  const ends = [from, ...joints.map(({ u }) => u), from + length];
  const gaps = ends.slice(1).map((end, k) => ({ from: at(ends, k), to: end }));
  const [longest] = [...gaps].sort((a, b) => b.to - b.from - (a.to - a.from));
  const middle = longest ? (longest.from + longest.to) / 2 : length / 2;
  return [...own, { id: freeId(own, panel), panel, at: Math.round(middle), kind }];
}

/** Where it is best by itself again. */
export const withoutJoint = (own: Own, id: string): OwnJoint[] => own.filter((joint) => joint.id !== id);

function freeId(own: Own, panel: string): string {
  for (let number = 1; ; number++) {
    const id = `${panel}.joint.${number}`;
    if (own.every((joint) => joint.id !== id)) return id;
  }
}
