/** The panels' part of a project. Lengths mm. */
import { z } from 'zod';

export const panelsSchema = z.object({
  /** Of the skin: sides and bottom. */
  thickness: z.number().min(1).max(40),
  /** Of transoms. */
  transomThickness: z.number().min(1).max(60),
  /** Step of the marking-out table. */
  markingStep: z.number().min(10).max(1000),
});

export type PanelsPart = z.infer<typeof panelsSchema>;
