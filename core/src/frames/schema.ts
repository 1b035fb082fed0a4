/** The frames' part of a project: where frames and bulkheads stand. Lengths mm. */
import { z } from 'zod';

export const framePlanSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  /** Where the station face stands. */
  x: z.number().min(-100_000).max(100_000),
  /** Thickness along the boat. */
  width: z.number().min(1).max(200),
  /** Which face stands at x; the body lies on the other side. */
  face: z.enum(['fore', 'aft']),
});

export const framesSchema = z.object({
  frames: z.array(framePlanSchema).max(60),
  /** Kept clear between a filleted bulkhead and the skin, all round. */
  filletGap: z.number().min(0).max(10),
});

export type FramePlan = z.infer<typeof framePlanSchema>;
export type FramesPart = z.infer<typeof framesSchema>;
