/** The panels' part of a project. Lengths mm. */
import { z } from 'zod';

/** Which face of the skin the table's lines lie on. */
export const LINES_TO = ['outside', 'middle', 'inside'] as const;
export type LinesTo = (typeof LINES_TO)[number];
/** How panels meet at a chine: inner corners touching, or the upper lapping the lower's edge. */
export const MEETINGS = ['stitched', 'lapped'] as const;
export type Meeting = (typeof MEETINGS)[number];
/** The line that a panel is marked out from. */
export const BASE_LINES = ['under', 'through', 'ends'] as const;
export type BaseLine = (typeof BASE_LINES)[number];

export const panelsSchema = z.object({
  /** Of the skin: sides and bottom. */
  thickness: z.number().min(1).max(40),
  /** Of transoms. */
  transomThickness: z.number().min(1).max(60),
  /** Step of the marking-out table. */
  markingStep: z.number().min(10).max(1000),
  markingBase: z.enum(BASE_LINES),
  linesTo: z.enum(LINES_TO),
  meeting: z.enum(MEETINGS),
  /** Holes along the seams; a spacing of 0 is none. Inset: from the edge to the middle of the hole. */
  stitches: z.object({ spacing: z.number().min(0).max(1000), inset: z.number().min(1).max(100) }),
  /** Height of a line to mark, such as the waterline; null is none. */
  waterline: z.number().min(-100_000).max(100_000).nullable(),
});

export type PanelsPart = z.infer<typeof panelsSchema>;

/** What a builder need not have decided yet. */
export const PANEL_DEFAULTS = {
  markingBase: 'under',
  linesTo: 'outside',
  meeting: 'stitched',
  stitches: { spacing: 150, inset: 9 },
  waterline: null,
} as const satisfies Partial<PanelsPart>;
