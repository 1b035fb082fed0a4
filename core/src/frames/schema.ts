/** The frames' part of a project: where frames and bulkheads stand. Lengths mm. */
import { z } from 'zod';
import type { LinesPart } from '../lines';
import { lengthField } from '../stage';
import { BULKHEAD_THICKNESS } from './constants';

const framePlanSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  /** Where the station face stands. */
  x: lengthField('Station face', -100_000, 100_000),
  /** Thickness along the boat. */
  width: lengthField('Thickness of a frame', 1, 200),
  /** Which face stands at x; the body lies on the other side. */
  face: z.enum(['fore', 'aft']),
});

export const framesSchema = z.object({
  frames: z.array(framePlanSchema).max(60),
  /** Kept clear between a filleted bulkhead and the skin, all round. */
  filletGap: lengthField('Gap at the skin', 0, 10),
});

export type FramePlan = z.infer<typeof framePlanSchema>;
export type FramesPart = z.infer<typeof framesSchema>;

/** How edges are made: filleted and taped, or bevelled on timber. */
export const SCHOOLS = ['filleted', 'framed'] as const;
export type School = (typeof SCHOOLS)[number];

/** Labels at which points lie this near in x are one station. */
const SAME_X_MM = 0.5;

/** A table of more stations than this is no builder's: it gets so many frames, spread evenly. */
const MOST_FRAMES = 24;

/** Frames for a new project: at every other station that all lines share, the first left out. */
export function framesAtStations(lines: LinesPart): FramePlan[] {
  const seen = new Map<string, { x: number; count: number }>();
  for (const line of lines.longitudinals)
    for (const { station, x } of line.points) {
      const known = seen.get(station);
      if (station !== '' && (!known || Math.abs(known.x - x) < SAME_X_MM))
        seen.set(station, { x, count: (known?.count ?? 0) + 1 });
    }
  const shared = [...seen].filter(([, { count }]) => count === lines.longitudinals.length && count > 1);
  const step = Math.max(2, Math.ceil(shared.length / MOST_FRAMES));
  return shared
    .filter((_, i) => i % step === 1)
    .map(([label, { x }]) => ({
      id: `frame.${label}`,
      name: `Frame ${label}`,
      x,
      width: BULKHEAD_THICKNESS.value,
      face: 'fore',
    }));
}
