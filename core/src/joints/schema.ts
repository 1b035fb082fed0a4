/** The joints' part of a project. Lengths mm. */
import { z } from 'zod';
import { figureField, lengthField } from '../stage';

export const jointsSchema = z.object({
  /** Scarf length over thickness. */
  scarfRatio: figureField('Scarf ratio', { min: 4, max: 20 }),
  /** Wanted between a joint and a frame. */
  clearOfFrames: lengthField('Clear of frames', 0, 500),
  /** Wanted between joints of neighbouring panels. */
  stagger: lengthField('Stagger between panels', 0, 2000),
});

export type JointsPart = z.infer<typeof jointsSchema>;
