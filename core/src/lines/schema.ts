/** The lines' part of a project: what the builder took from the plan. Lengths mm, axes of the contract. */
import { z } from 'zod';

/** Far beyond any boat built here; keeps slips such as a missing decimal point from choking the drawing. */
const coordinate = z.number().min(-100_000).max(100_000);

export const offsetPointSchema = z.object({
  /** Label of the station, or stem or transom; several lines share it. */
  station: z.string().max(40),
  x: coordinate,
  halfBreadth: coordinate,
  height: coordinate,
  /** The batten breaks here. */
  isKnuckle: z.boolean().optional(),
});

export const longitudinalSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(60),
  points: z.array(offsetPointSchema).max(500),
});

export const linesSchema = z.object({ longitudinals: z.array(longitudinalSchema).max(20) });

export type OffsetPoint = z.infer<typeof offsetPointSchema>;
export type Longitudinal = z.infer<typeof longitudinalSchema>;
export type LinesPart = z.infer<typeof linesSchema>;
