/** The panels' part of a project. Lengths mm. */
import { z } from 'zod';
import { isImperial, MM_PER_INCH, usualIn, type Notation } from '../measure';
import { countField, lengthField, lengthOrNone, shareField } from '../stage';
import {
  CUT_WITHIN,
  FRAMES_WITHIN,
  MARKED_WITHIN,
  MARKING_STEP,
  MARKING_STEP_INCHES,
  MARKING_STRAY,
  PLANED_OVER,
  RULE_READ,
  RULE_READ_INCHES,
  SKIN_THICKNESS,
  STITCH_INSET,
  STITCH_SPACING,
  THICKNESS_WITHIN,
  TRANSOM_THICKNESS,
} from './constants';

/** Which face of the skin the table's lines lie on. */
const LINES_TO = ['outside', 'middle', 'inside'] as const;
export type LinesTo = (typeof LINES_TO)[number];
/** How panels meet at a chine: inner corners touching, or the upper lapping the lower's edge. */
const MEETINGS = ['stitched', 'lapped'] as const;
export type Meeting = (typeof MEETINGS)[number];
/** How a transom stands to the panels: over their ends, or between them. */
export const TRANSOM_FITS = ['caps', 'between'] as const;
export type TransomFit = (typeof TRANSOM_FITS)[number];
/** The face of a transom in which the table's lines end: towards the boat's inside, or outside. */
const TRANSOM_ENDS = ['inner', 'outer'] as const;
export type TransomEnds = (typeof TRANSOM_ENDS)[number];
/** The line that a panel is marked out from. */
export const BASE_LINES = ['under', 'through', 'ends'] as const;
export type BaseLine = (typeof BASE_LINES)[number];

/** A corner between two panels replaced by a strip bent to a radius, of two or more thin layers over a mould. */
const roundedChineSchema = z.object({
  /** Id of the line that it takes the place of. */
  id: z.string().min(1).max(60),
  /** Of the outside, at the line's fore and after end; even between them along the line. */
  radiusFore: lengthField('Radius, fore', 5, 5000),
  radiusAft: lengthField('Radius, aft', 5, 5000),
  layers: countField('Layers', 2, 8),
  layerThickness: lengthField('Each layer', 0.4, 12),
  /** How far the chine may leave a straight piece of the strip. */
  sag: lengthField('Off the curve by', 0.2, 50),
});

/** A panel cut in two along a line drawn on it: shares of the way from the lower edge to the upper. */
const splitSchema = z.object({
  /** Id of the panel. */
  id: z.string().min(1).max(130),
  fore: shareField('Cut at the fore end', 0.05, 0.95),
  middle: shareField('Cut at the middle', 0.05, 0.95),
  aft: shareField('Cut at the after end', 0.05, 0.95),
});

/** More layers than this are strips, not sheets. */
export const MOST_LAYERS = 4;

/** A panel laid of thin sheets that make up the skin's thickness between them. */
const layeredSchema = z.object({
  /** Id of the panel. */
  id: z.string().min(1).max(130),
  layers: countField('Layers', 2, MOST_LAYERS),
});

/** A panel of a sheet of its own thickness. */
const ownThicknessSchema = z.object({
  /** Id of the panel. */
  id: z.string().min(1).max(130),
  thickness: lengthField('Its own thickness', 1, 40),
});

/** What is left on along each edge of a panel, to be trimmed in place. */
const proudFields = {
  lower: lengthField('Left on, lower edge', 0, 200),
  upper: lengthField('Left on, upper edge', 0, 200),
  fore: lengthField('Left on, fore end', 0, 500),
  aft: lengthField('Left on, after end', 0, 500),
};
const proudSchema = z.object(proudFields);
/** `id` is the panel's. */
const ownProudSchema = z.object({ id: z.string().min(1).max(130), ...proudFields });

/** Nearer to one another holes are a tear-off line. */
const CLOSEST_HOLES_MM = 20;

const accuracySchema = z.object({
  marks: lengthField('Nails at the marks within', 0, 10),
  /** Of the figures on the table; 0: none. */
  rule: lengthOrNone('Rule read to', 0.05, 20),
  cut: lengthField('Cut and planed within', 0, 10),
  /** How far along an edge a plane carries on what it does: its ups and downs are about so far apart. */
  planed: lengthField('Planed fair over', 20, 2000),
  thickness: lengthField('Sheet’s thickness within', 0, 5),
  framesOff: lengthField('Frames set within', 0, 50),
});

export const panelsSchema = z.object({
  /** Of the skin: sides and bottom. */
  thickness: lengthField('Skin thickness', 1, 40),
  /** Panels of another. */
  ownThickness: z.array(ownThicknessSchema).max(60),
  /** Of transoms. */
  transomThickness: lengthField('Transom thickness', 1, 60),
  /** Step of the marking-out table. */
  markingStep: lengthField('Marking step', 10, 1000),
  markingBase: z.enum(BASE_LINES),
  /** How far a batten round the nails may lie off an edge before the table has rows between; 0: even steps only. */
  markingStray: lengthOrNone('Batten strays by at most', 0.05, 20),
  /** How true the builder marks, cuts and sets up: nineteen times of twenty within these. */
  accuracy: accuracySchema,
  linesTo: z.enum(LINES_TO),
  meeting: z.enum(MEETINGS),
  /** Holes along the seams; a spacing of 0 is none. Inset: from the edge to the middle of the hole. */
  stitches: z.object({
    spacing: lengthOrNone('Holes every', CLOSEST_HOLES_MM, 1000),
    inset: lengthField('Holes from the edge', 1, 100),
  }),
  /** Height of a line to mark, such as the waterline; null is none. */
  waterline: lengthField('Waterline at height', -100_000, 100_000).nullable(),
  roundedChines: z.array(roundedChineSchema).max(20),
  splits: z.array(splitSchema).max(20),
  layered: z.array(layeredSchema).max(60),
  /** Radius athwart of a transom bent as a part of a cylinder, hollow side forward; null is flat. */
  transomRadius: lengthField('Transom’s radius', 100, 100_000).nullable(),
  /** Of flat transoms; one that is bent caps the panels, and the lines end on its inner face. */
  transomFit: z.enum(TRANSOM_FITS),
  transomEnds: z.enum(TRANSOM_ENDS),
  /** Of all panels, those that have their own, and transoms. */
  proud: proudSchema,
  ownProud: z.array(ownProudSchema).max(60),
  transomProud: z.object({
    skin: lengthField('Left on along the skin', 0, 200),
    top: lengthField('Left on at the top', 0, 500),
  }),
});

export type PanelsPart = z.infer<typeof panelsSchema>;
export type RoundedChine = z.infer<typeof roundedChineSchema>;
export type PanelProud = z.infer<typeof proudSchema>;
export type Accuracy = z.infer<typeof accuracySchema>;
export type PanelSplit = z.infer<typeof splitSchema>;
export type OwnThickness = z.infer<typeof ownThicknessSchema>;
export type LayeredPanel = z.infer<typeof layeredSchema>;

/** What a builder need not have decided yet. */
export const PANEL_DEFAULTS = {
  markingBase: 'under',
  markingStray: MARKING_STRAY.value,
  accuracy: {
    marks: MARKED_WITHIN.value,
    rule: RULE_READ.value,
    cut: CUT_WITHIN.value,
    planed: PLANED_OVER.value,
    thickness: THICKNESS_WITHIN.value,
    framesOff: FRAMES_WITHIN.value,
  },
  ownThickness: [],
  linesTo: 'outside',
  meeting: 'stitched',
  stitches: { spacing: STITCH_SPACING.value, inset: STITCH_INSET.value },
  waterline: null,
  roundedChines: [],
  splits: [],
  layered: [],
  transomRadius: null,
  transomFit: 'caps',
  transomEnds: 'inner',
  proud: { lower: 0, upper: 0, fore: 0, aft: 0 },
  ownProud: [],
  transomProud: { skin: 0, top: 0 },
} satisfies Partial<PanelsPart>;

/** The panels' part of a new project. */
export const panelsAtFirst = (_others: object, notation: Notation): PanelsPart => ({
  thickness: SKIN_THICKNESS.value,
  transomThickness: TRANSOM_THICKNESS.value,
  ...PANEL_DEFAULTS,
  markingStep: isImperial(notation) ? MARKING_STEP_INCHES.value * MM_PER_INCH : MARKING_STEP.value,
  accuracy: {
    ...PANEL_DEFAULTS.accuracy,
    ...(isImperial(notation) && { rule: RULE_READ_INCHES.value * MM_PER_INCH }),
  },
  stitches: {
    spacing: usualIn(STITCH_SPACING.value, notation),
    inset: usualIn(STITCH_INSET.value, notation),
  },
});
