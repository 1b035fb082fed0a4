/** What a hanging knee meets: a level of its own, or the face of a part at its place. */
import { upright } from '../../geometry';
import { planeAtX } from '../across';
import { acrossAt, alongAt, overMiddle, placeOn } from '../lie';
import type { KneePlan } from '../schema';
import type { Fitted } from '../value';

export type NoLevel = 'on-nothing' | 'off-part';

export type LevelAt = {
  /** How high it is, so far aft and so far out. */
  readonly up: (x: number, out: number) => number;
  readonly isStraight: boolean;
  /** How far a place inward lies beyond the part's edge; 0 where it lies on it. */
  readonly beyond: (x: number, out: number) => number;
};

export function levelFor(plan: KneePlan, parts: readonly Fitted[]): LevelAt | NoLevel {
  if (plan.onPart === null) return { up: () => plan.height, isStraight: true, beyond: () => 0 };
  const own = parts.filter((part) => part.plan === plan.onPart);
  const part = own.find(({ hand }) => hand === plan.hand) ?? own[0];
  if (!part) return 'on-nothing';
  const { lie } = part;
  const face = plan.goes === 'down' ? 'under' : 'top';
  const over = overMiddle(lie, face);
  const strips = stripsAt(part, plan.x);
  if (strips.length === 0) return 'off-part';
  return {
    up: (x, out) => {
      const v = acrossAt(lie, out, face);
      return placeOn(lie, [alongAt(lie, planeAtX(x), v, over), v], over)[2];
    },
    isStraight: lie.radius === 0,
    beyond: (_, out) => {
      const v = acrossAt(lie, out, face);
      if (strips.some(([from, to]) => v >= from && v <= to)) return 0;
      const further = strips.map(([from]) => from - v).filter((mm) => mm > 0);
      return further.length > 0 ? Math.min(...further) : 0;
    },
  };
}

/** From where to where across its sheet a part is there. */
const stripsAt = ({ lie, pieces }: Fitted, x: number): (readonly [number, number])[] => {
  const u = alongAt(lie, planeAtX(x), 0, 0);
  return pieces.flatMap(({ region }) => upright(region.outline, u));
};
