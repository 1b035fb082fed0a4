/** A person put in, and what one who is so tall measures. Lengths mm. */
import { freeId } from '../../frames';
import type { Hull } from '../../lines';
import { usualIn, type Notation } from '../../measure';
import { ELBOWS, HOW_TALL, SEAT_HEIGHT, SHIN, SITTING, SOLE_OVER, THIGH } from '../constants';
import { freeName } from '../free-name';
import { placeOn } from '../lie';
import type { PersonPlan } from '../schema';
import { lowestAt } from '../sheer';
import type { Fitted } from '../value';

/** As handbooks have it, to the whole millimetre: a place to start from. */
export const sizesFor = (tall: number): PersonPlan['size'] => {
  const share = (of: number) => Math.round(of * tall);
  return {
    tall,
    sitting: share(SITTING.value),
    thigh: share(THIGH.value),
    shin: share(SHIN.value),
    broad: share(ELBOWS.value),
  };
};

export const POSE_NAMES: Readonly<Record<PersonPlan['pose'], string>> = {
  seated: 'Crew, seated',
  lying: 'Crew, lying',
  rowing: 'Crew, rowing',
};

type Boat = { readonly hull: Hull; readonly notation: Notation; readonly parts: readonly Fitted[] };

type Others = readonly { readonly id: string; readonly name: string }[];

/** On the first part that is begun as a seat, of one who lies on a sole; where there is none on a seat’s height. */
export function newPerson(pose: PersonPlan['pose'], others: Others, { hull, notation, parts }: Boat): PersonPlan {
  const kinds = pose === 'lying' ? ['sole', 'top'] : ['thwart', 'seat', 'top'];
  const seat = parts.find(({ kind, pieces }) => kinds.includes(kind) && pieces.length > 0);
  const middle = (hull.fromX + hull.toX) / 2;
  const outline = seat?.pieces[0]?.region.outline ?? [];
  const us = outline.map(([u]) => u);
  const vs = outline.map(([, v]) => v);
  const v = seat && seat.hand !== 'across' ? (Math.min(...vs) + Math.max(...vs)) / 2 : 0;
  const on = seat && placeOn(seat.lie, [(Math.min(...us) + Math.max(...us)) / 2, v], seat.thickness / 2);
  const usual = (mm: number) => usualIn(Math.round(mm), notation);
  const rows = pose === 'rowing';
  const size = sizesFor(usual(HOW_TALL.value));
  // one sits in the middle of what there is, and one who lies has it under the middle
  const back = pose === 'lying' ? size.tall / 2 : size.thigh / 4;
  return {
    ...{ id: freeId('person', others), name: freeName(POSE_NAMES[pose], others), pose },
    faces: rows ? 'aft' : 'forward',
    x: usual((on?.[0] ?? middle) + (rows ? -back : back)),
    out: usual(on?.[1] ?? 0),
    height: usual(on?.[2] ?? lowestAt(hull, middle) + SOLE_OVER.value + SEAT_HEIGHT.value),
    size,
  };
}
