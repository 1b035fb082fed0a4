/**
 * The project document: what the builder decided, and nothing that can be worked out from it. Plain, versioned,
 * validated.
 */
import { z } from 'zod';
import { epoxySchema } from '../epoxy';
import { framesSchema } from '../frames';
import { jointsSchema } from '../joints';
import { linesSchema } from '../lines';
import { NOTATIONS } from '../measure';
import { panelsSchema } from '../panels';
import { sheetsSchema } from '../sheets';

export const PROJECT_FORMAT = 'kalotrope-project';
/** Raised by one with every change of shape; migrations.ts brings older documents up, a step at a time. */
export const PROJECT_VERSION = 5;

export const projectSchema = z.object({
  format: z.literal(PROJECT_FORMAT),
  version: z.literal(PROJECT_VERSION),
  id: z.string().min(1).max(80),
  name: z.string().min(1).max(120),
  note: z.string().max(4000),
  /**
   * Printed on everything that is cut or drawn; raised by the builder when what follows is no longer what went
   * before.
   */
  revision: z.number().int().min(1).max(9999),
  notation: z.enum(NOTATIONS),
  /** How edges are made: filleted and taped, or bevelled on timber. */
  school: z.enum(['filleted', 'framed']),
  lines: linesSchema,
  panels: panelsSchema,
  frames: framesSchema,
  joints: jointsSchema,
  sheets: sheetsSchema,
  epoxy: epoxySchema,
});

export type Project = z.infer<typeof projectSchema>;
