/**
 * Which face of a frame stands on its line, where one rule says it for all.
 *
 * Forward of the widest place the hull grows aft: a frame that stands aft of its line touches the skin with the edge
 * nearer to the boat's end, and a square edge cut to that face fits there; one that stands forward of it has wood to
 * take off. Abaft the widest place it is the other way round (methods: the two ways of setting a frame to its line).
 */
import { battenAt, type Hull } from '../lines';
import type { FramePlan, StandingRule } from './schema';

/** Places along each line at which it is looked at. */
const STEPS = 240;

/** Where the hull is widest; of a stretch that is as wide its middle. */
export function widestAt({ lines }: Pick<Hull, 'lines'>): number {
  const places = lines.flatMap(({ batten }) =>
    Array.from({ length: STEPS + 1 }, (_, i) => battenAt(batten, i / STEPS).position),
  );
  const most = Math.max(...places.map(([, y]) => y));
  const widest = places.filter(([, y]) => y > most - SAME_MM).map(([x]) => x);
  return (Math.min(...widest) + Math.max(...widest)) / 2;
}

/** As wide. */
const SAME_MM = 0.1;

/** The plan with the face that the rule says. */
export function standOn(plan: FramePlan, rule: StandingRule, widestX: number): FramePlan {
  if (rule === 'each') return plan;
  const isForward = plan.x < widestX;
  return { ...plan, face: isForward === (rule === 'no-bevel') ? 'fore' : 'aft' };
}
