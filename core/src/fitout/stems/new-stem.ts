/** An outer stem put in: at the bow, or where that has one at the stern; its sides run on from the boat's. mm. */
import { freeId } from '../../frames';
import { usualIn, type Notation } from '../../measure';
import { STEM_DEEP, STEM_FACE, STEM_OUTER, STEM_OVER } from '../constants';
import { freeName } from '../free-name';
import type { StemPlan } from '../schema';
import { stemOf, type StemBoat } from './stem';

export const STEM_NAME = 'Outer stem';

type Others = readonly { readonly id: string; readonly name: string; readonly end?: StemPlan['end'] }[];

/** A shallower one is none. */
const LEAST_MM = 5;

export function newStem(stems: Others, boat: StemBoat, notation: Notation): StemPlan {
  const usual = (mm: number) => usualIn(mm, notation);
  const plan: StemPlan = {
    ...{ id: freeId('stem', stems), name: freeName(STEM_NAME, stems), end: 'fore', face: usual(STEM_FACE.value) },
    ...{ outer: usual(STEM_FACE.value), depth: usual(STEM_DEEP.value), over: usual(STEM_OVER.value), under: 0 },
  };
  const isTaken = stems.some(({ end }) => end === 'fore');
  const own =
    isTaken && stemOf({ ...plan, end: 'aft' }, boat).rows.length > 0 ? { ...plan, end: 'aft' as const } : plan;
  // as deep as leaves the outer edge its breadth with sides that run on fair
  const rows = stemOf(own, boat).rows;
  const steepest = Math.max(0, ...rows.map(({ fairMm }) => (plan.face - fairMm) / plan.depth));
  const most = steepest > 0 ? (plan.face - STEM_OUTER.value) / steepest : plan.depth;
  const depth = usual(Math.max(LEAST_MM, Math.floor(Math.min(plan.depth, most))));
  const fair = Math.floor(plan.face - depth * steepest);
  return { ...own, depth, outer: Math.max(0, usual(fair)) };
}
