/** The lines' part of a project: what the builder took from the plan. Lengths mm, axes of the contract. */
import { z } from 'zod';
import { cardSchema } from '../bend';
import { figureField, lengthField } from '../stage';
import { DIMENSION_KEYS, STARTER_KINDS, type DimensionKey } from './starter-kinds';
import { DRAWING_SCALE, FAIRING_TOLERANCE, PENCIL_WIDTH } from './constants';

/** Far beyond any boat built here; keeps slips such as a missing decimal point from choking the drawing. */
const coordinate = lengthField('A figure of the table', -100_000, 100_000);

/** Letters of a station's label. */
export const MOST_LABEL = 40;

const offsetPointSchema = z.object({
  /** Label of the station, or stem or transom; several lines share it. */
  station: z.string().max(MOST_LABEL),
  x: coordinate,
  halfBreadth: coordinate,
  height: coordinate,
  /** The batten breaks here. */
  isKnuckle: z.boolean().optional(),
  /** Fairing leaves it where it is. */
  isPinned: z.boolean().optional(),
  /** How far off it may have been read, mm: a pencil's width at full size. */
  uncertainty: lengthField('How far off it may be', 0, 1000).optional(),
});

const longitudinalSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(60),
  points: z.array(offsetPointSchema).max(500),
  /** Bounds no panel: a deck edge, a waterline, the outline of a stem. */
  isExtra: z.boolean().optional(),
});

/** A scan or photo under one view: page pixels to hull mm. The picture itself is kept beside the project. */
const underlaySchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().max(200),
  view: z.enum(['profile', 'plan', 'body']),
  widthPx: z.number().positive().max(100_000),
  heightPx: z.number().positive().max(100_000),
  /** Where the picture's top left corner lies in the view, mm across and up. */
  left: coordinate,
  top: coordinate,
  mmPerPx: z.number().positive().max(10_000),
  turnDeg: z.number().min(-180).max(180),
  opacity: z.number().min(0).max(1),
});

/** A column of the table that stands though no line may have a point there yet. */
const tableStationSchema = z.object({
  label: z.string().min(1).max(MOST_LABEL),
  /** Null where it is not known yet, or each line has its own. */
  x: coordinate.nullable(),
  /** Each line has its own distance there: a raked end. */
  isOwn: z.boolean().optional(),
});

/** A cell that is not part of a point: its figure waits for the others of the point, or it is not understood. */
const openCellSchema = z.object({
  /** The line's id; '' in the row of positions. */
  line: z.string().max(60),
  /** The column's key, see table.ts. */
  column: z.string().max(MOST_LABEL + 20),
  quantity: z.enum(['x', 'halfBreadth', 'height']),
  /** Heights above the base. */
  mm: coordinate.optional(),
  /** As it was typed. */
  text: z.string().max(60).optional(),
});

const dimension = figureField('A dimension', { min: 0, max: 100_000 }).optional();

/** What a table was drawn from. */
const starterSchema = z.object({
  kind: z.enum(STARTER_KINDS),
  dimensions: z.object(
    // one a key, as listed
    Object.fromEntries(DIMENSION_KEYS.map((key) => [key, dimension])) as Record<DimensionKey, typeof dimension>,
  ),
});

export const linesSchema = z.object({
  longitudinals: z.array(longitudinalSchema).max(20),
  /** Of a table that is typed, in the order of its columns. */
  stations: z.array(tableStationSchema).max(200).optional(),
  openCells: z.array(openCellSchema).max(8000).optional(),
  /** Heights are printed downwards from a line this high above the base; null: up from the base itself. */
  heightsFrom: coordinate.nullable(),
  /** Fairing moves no point further than this, mm. */
  fairingTolerance: lengthField('Move no point further than', 0.1, 100),
  /**
   * The drawing that points are taken from: full size over drawn size, and the width of its pencil line on paper, mm.
   */
  drawing: z.object({
    scale: figureField('Scale 1:', { min: 1, max: 1000 }),
    pencil: lengthField('Pencil width', 0.05, 5),
  }),
  underlays: z.array(underlaySchema).max(6),
  /** Points that have been marked out on the board, see tickOf. */
  plotted: z.array(z.string().max(200)).max(5000).optional(),
  /** Of a table drawn from a few dimensions; it may have been changed by hand since. */
  starter: starterSchema.optional(),
  /** A card that is bent to draw a table from. */
  card: cardSchema.optional(),
});

/** A table of lines with every setting at its usual value. */
export const linesOf = (longitudinals: readonly Longitudinal[]): LinesPart => ({
  longitudinals: [...longitudinals],
  heightsFrom: null,
  fairingTolerance: FAIRING_TOLERANCE.value,
  drawing: { scale: DRAWING_SCALE.value, pencil: PENCIL_WIDTH.value },
  underlays: [],
});

export type OffsetPoint = z.infer<typeof offsetPointSchema>;
export type Longitudinal = z.infer<typeof longitudinalSchema>;
export type TableStation = z.infer<typeof tableStationSchema>;
export type OpenCell = z.infer<typeof openCellSchema>;
export type Underlay = z.infer<typeof underlaySchema>;
export type LinesPart = z.infer<typeof linesSchema>;
export type Starter = z.infer<typeof starterSchema>;
/** The table alone, without what goes with it; heights run up from the base unless it says otherwise. */
export type LinesTable = Pick<LinesPart, 'longitudinals'> & Partial<Pick<LinesPart, 'heightsFrom' | 'card'>>;
