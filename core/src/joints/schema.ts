/** The joints' part of a project. Lengths mm. */
import { z } from 'zod';

export const jointsSchema = z.object({
  /** Scarf length over thickness. */
  scarfRatio: z.number().min(4).max(20),
  /** Wanted between a joint and a frame. */
  clearOfFrames: z.number().min(0).max(500),
  /** Wanted between joints of neighbouring panels. */
  stagger: z.number().min(0).max(2000),
});

export type JointsPart = z.infer<typeof jointsSchema>;
