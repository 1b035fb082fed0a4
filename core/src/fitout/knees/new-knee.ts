/** A hanging knee put in: on a thwart or a seat where there is one, or under the sheer; to be moved from there. mm. */
import { freeId } from '../../frames';
import type { Hull } from '../../lines';
import { usualIn, type Notation } from '../../measure';
import { HANGING_ARM, HANGING_HOLLOW, HANGING_NOSE, KNEE_THICKNESS } from '../constants';
import { freeName } from '../free-name';
import type { InsidePlan, KneePlan } from '../schema';
import { sheerAt } from '../sheer';

export const KNEE_NAME = 'Hanging knee';

type Others = readonly { readonly id: string; readonly name: string }[];
type Boat = { readonly hull: Hull; readonly notation: Notation; readonly parts: readonly InsidePlan[] };

/** Left under the sheer for a clamp and its fillet. */
const UNDER_SHEER_MM = 30;

export function newKnee(knees: Others, { hull, notation, parts }: Boat): KneePlan {
  const usual = (mm: number) => usualIn(Math.round(mm), notation);
  const thwart = parts.find(({ kind, fit }) => kind === 'thwart' && fit === 'inside');
  const x = usual(thwart ? (thwart.from + thwart.to) / 2 : hull.fromX + (hull.toX - hull.fromX) / 2);
  const sheer = sheerAt(hull, x)?.[2] ?? 0;
  const top = thwart ? (thwart.height.fore + thwart.height.aft) / 2 + thwart.thickness : 0;
  // up to the sheer where that is nearer
  const room = thwart ? Math.max(HANGING_NOSE.value, sheer - top) : HANGING_ARM.value;
  return {
    ...{ id: freeId('hanging', knees), name: freeName(KNEE_NAME, knees), hand: 'pair', x },
    ...{ goes: thwart ? 'up' : 'down', onPart: thwart?.id ?? null, height: usual(sheer - UNDER_SHEER_MM) },
    thickness: usual(KNEE_THICKNESS.value),
    across: usual(HANGING_ARM.value),
    along: usual(Math.min(HANGING_ARM.value, room)),
    nose: usual(HANGING_NOSE.value),
    hollow: usual(HANGING_HOLLOW.value),
  };
}
