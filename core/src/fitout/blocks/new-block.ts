/** A block put in: along the side under the sheer, where wedges are usual; to be moved from there. Lengths mm. */
import { freeId } from '../../frames';
import type { Hull } from '../../lines';
import { usualIn, type Notation } from '../../measure';
import type { Panel } from '../../panels';
import { BLOCK_LEAST, BLOCK_WIDTH } from '../constants';
import { freeName } from '../free-name';
import type { BlockPlan } from '../schema';
import { sheerAt } from '../sheer';
import { firstMet, solidOfInside } from './surface';

type Others = readonly { readonly id: string; readonly name: string }[];
type Boat = {
  readonly hull: Hull;
  readonly panels: readonly Panel[];
  readonly inset: number;
  readonly notation: Notation;
};

export const BLOCK_NAME = 'Block or wedge';

/** Of a boat whose lines leave no room there it lies on the centreline, and says so. */
export function newBlock(others: Others, { hull, panels, inset, notation }: Boat): BlockPlan {
  const usual = (mm: number) => usualIn(Math.round(mm), notation);
  const share = (w: number) => usual(hull.fromX + w * (hull.toX - hull.fromX));
  const width = usual(BLOCK_WIDTH.value);
  const [from, to] = [share(0.45), share(0.6)];
  const low = Math.min(...[from, to].map((x) => sheerAt(hull, x)?.[2] ?? 0));
  const height = usual(low - 1.5 * width);
  const solid = solidOfInside({ panels, inset, ends: [] });
  // its straight face just off the side at both ends: between them a side that swells leaves more
  const ends = [from, to].map((x) => {
    const room = [-1, 1].map((side) => firstMet(solid, [x, 0, height + (side * width) / 2], [0, 1, 0])?.far ?? 0);
    return { x, out: Math.max(0, usual(Math.min(...room) - BLOCK_LEAST.value)), height };
  });
  const [first, last] = ends as [BlockPlan['from'], BlockPlan['to']]; // two
  return {
    ...{ id: freeId('block', others), name: freeName(BLOCK_NAME, others), fills: 'out', hand: 'pair' },
    ...{ from: first, to: last, width, clear: 0, isToSkin: false },
  };
}
