/**
 * The frames' part of a project: what stands athwart in the hull, where, and what is cut in it. Lengths mm, angles
 * degrees.
 */
import { z } from 'zod';
import { countField, figureField, lengthField, lengthOrNone } from '../stage';

/** How edges are made: filleted and taped, or bevelled on timber. */
export const SCHOOLS = ['filleted', 'framed'] as const;
export type School = (typeof SCHOOLS)[number];
/** The boat's own way, or another for this part or edge. */
const schoolSchema = z.enum(SCHOOLS).nullable();

/** `usual`: as the boat is built: a bulkhead in a filleted boat, a sawn frame in one framed in timber. */
export const FRAME_KINDS = ['usual', 'bulkhead', 'ring', 'sawn', 'mould'] as const;
/** In one piece across the centreline, a mirrored pair beside it, or one of the pair. */
export const HANDS = ['across', 'pair', 'starboard', 'port'] as const;
/**
 * Straight across between the two sheers; level at a height `mm` over the base line; cambered by a rise `mm` over the
 * beam there, or by a radius `mm`.
 */
export const TOP_KINDS = ['straight', 'level', 'rise', 'radius'] as const;
/** From the fore end aft, from the after end forward, from a station or from another frame aft. */
export const DATUM_KINDS = ['fore', 'aft', 'station', 'frame'] as const;
export const OPENING_SHAPES = ['rounded', 'oval'] as const;

const height = (title: string) => lengthField(title, -20_000, 20_000);

const openingSchema = z.object({
  id: z.string().min(1).max(40),
  shape: z.enum(OPENING_SHAPES),
  /** Its middle, out from the centreline and up from the base line. */
  out: lengthField('Out from the centreline', 0, 5000),
  up: height('Up from the base line'),
  width: lengthField('Width of the opening', 5, 5000),
  height: lengthField('Height of the opening', 5, 5000),
  corner: lengthField('Radius of its corners', 0, 2500),
  /** The same again on the other side. */
  isPair: z.boolean(),
  /** A ring of the part's own plywood round it, so broad; 0: none. */
  doubler: lengthOrNone('Breadth of a doubler', 5, 500),
  /** A lid that lies over its rim by so much; 0: none. */
  lid: lengthOrNone('A lid laps the rim by', 3, 300),
  /** The doubler stands into the opening by so much, for a lid to lie on; 0: level with the edge. */
  lip: lengthOrNone('A lip in the opening', 3, 300),
  /** A lid that lies within the opening, with so much room all round; 0: none. */
  room: lengthOrNone('Room round a lid within', 0.5, 20),
});

/** Cut in by hand, from an edge: as wide along the edge, and as deep square to it, as what goes through. */
export const SLOT_EDGES = ['skin', 'top'] as const;
const slotSchema = z.object({
  id: z.string().min(1).max(40),
  edge: z.enum(SLOT_EDGES),
  /** Its middle along the edge, out from the centreline. */
  out: lengthField('Out from the centreline', 0, 5000),
  width: lengthField('Width along the edge', 1, 1000),
  depth: lengthField('Depth of the slot', 1, 1000),
  isPair: z.boolean(),
});

/** The edge that lies on no panel. */
export const TOP_EDGE = 'top';

/** A strip of timber along an edge, on a face of the part: what a deck, a sole or the skin is fastened to. */
const cleatSchema = z.object({
  id: z.string().min(1).max(40),
  /** The panel that the edge lies on, or `top`. */
  edge: z.string().min(1).max(120),
  face: z.enum(['fore', 'aft']),
  /** From the edge, for what lies between it and the cleat. */
  setIn: lengthField('Set in from the edge', 0, 500),
  /** Its true section: along the face, and square to it. */
  breadth: lengthField('Breadth of the cleat', 3, 300),
  depth: lengthField('Depth of the cleat', 3, 300),
});

const limberSchema = z.object({
  id: z.string().min(1).max(40),
  /** Where along the edge at the skin, out from the centreline. */
  out: lengthField('Out from the centreline', 0, 5000),
  diameter: lengthField('Diameter of the hole', 3, 200),
  /** Plywood between the hole and the edge; 0: a half-moon out of the edge itself. */
  setIn: lengthField('Set in from the edge', 0, 200),
  isPair: z.boolean(),
});

const framePlanSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  kind: z.enum(FRAME_KINDS),
  /** The taken shape that it is cut to; empty: the hull's own section. */
  shape: z.string().max(40),
  /** Where the station face passes the base line. */
  x: lengthField('Station face', -100_000, 100_000),
  /** The top leans aft by this. */
  rakeDeg: figureField('Rake', { min: -45, max: 45, unit: '°' }),
  /** Thickness along the boat. */
  width: lengthField('Thickness of a frame', 1, 200),
  /** Which face stands at x; the body lies on the other side. */
  face: z.enum(['fore', 'aft']),
  /** Between the skin and the part, such as a core or a lining. */
  lining: lengthField('Core or lining', 0, 100),
  school: schoolSchema,
  /** Edges that are made in another way than the part's others, by the panel that they lie on. */
  edges: z.array(z.object({ id: z.string().min(1).max(120), school: z.enum(SCHOOLS) })).max(40),
  /** What it is bounded by beside the hull: the rest of the section is left out. */
  bounds: z.object({
    hand: z.enum(HANDS),
    inner: lengthField('Begins, out from the centreline', 0, 5000),
    outer: lengthOrNone('Ends, out from the centreline', 5, 5000).nullable(),
    bottom: height('Begins, up from the base line').nullable(),
  }),
  top: z.object({
    kind: z.enum(TOP_KINDS),
    mm: lengthField('Height, rise or radius of the top', -20_000, 100_000),
    /** Lower than the sheer by this, for a deck that lies on it. */
    below: lengthField('Lower than the sheer', 0, 5000),
  }),
  /** Of a ring frame: left along the skin, above the lowest point, under the top; 0: open at the top. */
  ring: z.object({
    breadth: lengthField('Breadth of the ring', 5, 1000),
    floor: lengthField('Depth at the bottom', 0, 2000),
    beam: lengthOrNone('Depth of the beam', 5, 1000),
    corner: lengthField('Inner corners', 0, 1000),
  }),
  /** Cut larger by this, to be trimmed in place. */
  proud: z.object({
    skin: lengthField('Left on along the skin', 0, 100),
    top: lengthField('Left long at the top', 0, 500),
  }),
  openings: z.array(openingSchema).max(20),
  limbers: z.array(limberSchema).max(20),
  slots: z.array(slotSchema).max(20),
  cleats: z.array(cleatSchema).max(12),
});

/** Which panel a member lies on: the one above its line or below it; or along the centreline. */
export const MEMBER_PLACES = ['above', 'below', 'centre'] as const;

const memberSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  /** The line of the hull that it follows; along the centreline none is meant. */
  line: z.string().min(1).max(60),
  on: z.enum(MEMBER_PLACES),
  /** From the line to its nearer edge, along the panel. */
  away: lengthField('From the line', 0, 5000),
  side: z.enum(['inside', 'outside']),
  /** Its true section: along the skin, and square to it. */
  width: lengthField('Width along the skin', 3, 300),
  depth: lengthField('Depth from the skin', 3, 500),
  /** Where it begins and ends; null: with its line. */
  from: lengthField('Begins at', -100_000, 100_000).nullable(),
  to: lengthField('Ends at', -100_000, 100_000).nullable(),
  /** Whether frames are notched for it, and with how much room on each side. */
  isThrough: z.boolean(),
  clearance: lengthField('Room in the notch', 0, 10),
});

/**
 * What becomes of a fastening: it is left in, its head flush; or under a plug of wood; or drawn again when the glue is
 * hard; or it is a staple, which is drawn too; or there is none, and weights, ties or clamps hold.
 */
export const FASTENING_USES = ['left', 'plugged', 'drawn', 'staples', 'none'] as const;

/** How two timbers meet at a corner: cut on the line between them; or one runs out to the skin. */
export const TIMBER_CORNERS = ['mitred', 'floor', 'sides'] as const;

/** The stock of sawn frames or of moulds, and how it is put together. */
const timberSchema = z.object({
  corner: z.enum(TIMBER_CORNERS),
  floor: lengthField('Breadth of a floor timber', 10, 500),
  side: lengthField('Breadth of a side timber', 10, 500),
  plate: z.object({
    thickness: lengthField('Thickness of a gusset', 1, 100),
    leg: lengthField('Gusset along a timber', 10, 2000),
    /** 0: none. */
    faces: countField('Faces with a gusset', 0, 2),
  }),
  /** Across the face while the boat is built; its lower edge over the base line, null: none. */
  spall: z.object({
    height: height('Height of the cross-spall').nullable(),
    breadth: lengthField('Breadth of the cross-spall', 10, 500),
  }),
});

/** On the centreline, or beside it. */
export const GIRDER_HANDS = ['centre', 'pair', 'starboard', 'port'] as const;
/** Where a girder and a frame cross: the frame goes over it, it goes over the frame, or it stands between frames. */
export const HALVINGS = ['frame', 'girder', 'between'] as const;
export const GIRDER_TOPS = ['straight', 'sheer'] as const;

const girderSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  hand: z.enum(GIRDER_HANDS),
  from: lengthField('Begins at', -100_000, 100_000),
  to: lengthField('Ends at', -100_000, 100_000),
  /** Its inner face from the centreline, at its fore end and at its after end. */
  out: lengthField('Out, at its fore end', 0, 5000),
  outAft: lengthField('Out, at its after end', 0, 5000),
  width: lengthField('Thickness of a girder', 1, 200),
  school: schoolSchema,
  top: z.object({
    kind: z.enum(GIRDER_TOPS),
    fore: height('Height at its fore end'),
    aft: height('Height at its after end'),
    below: lengthField('Lower than the sheer', 0, 5000),
  }),
  halving: z.enum(HALVINGS),
  clearance: lengthField('Room in a slot', 0, 10),
  /** Their `out` is along the girder from its fore end. */
  openings: z.array(openingSchema).max(20),
});

/** How points were taken: offsets from a plumb line at heights; or distances from two fixed points. */
export const TAKEN_WAYS = ['plumb', 'two'] as const;

const fixedPoint = z.object({
  out: lengthField('Out from the centreline', -5000, 5000),
  up: height('Up from the base line'),
});

/** A shape that was taken off a hull as it is, from the centreline up. */
const takenSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  way: z.enum(TAKEN_WAYS),
  /** The plumb line, out from the centreline. */
  plumb: lengthField('The plumb line, out', -5000, 5000),
  first: fixedPoint,
  second: fixedPoint,
  /** By plumb line: height and offset; by two points: the distance from either. */
  points: z
    .array(
      z.object({
        id: z.string().min(1).max(40),
        a: lengthField('Measured', -20_000, 20_000),
        b: lengthField('Measured', -20_000, 20_000),
        isCorner: z.boolean(),
      }),
    )
    .max(60),
  /** No point is moved further; 0: none at all. */
  fairBy: lengthOrNone('Faired by at most', 0.1, 50),
  /** In every corner, such as a fillet; 0: sharp. */
  corner: lengthOrNone('Radius in a corner', 1, 1000),
  bevelDeg: figureField('Bevel of its edge', { min: -60, max: 60, unit: '°' }),
});

/**
 * Which face of a frame stands on its line: as each is told; the face that needs no bevel, the skin touching the edge
 * nearer to the boat's end; or the other, which leaves wood to take off.
 */
export const STANDING_RULES = ['each', 'no-bevel', 'to-bevel'] as const;

/** A bottom laid across the boat in strips or sheets, its seams square to the centreline. */
const plankedSchema = z.object({
  /** The panel so laid; empty: none. */
  panel: z.string().max(120),
  /** From seam to seam, along the bottom. */
  board: lengthField('Breadth of a board', 20, 5000),
  from: z.enum(['fore', 'aft']),
  /** Of the timber under each seam: along the boat, and up from the bottom; a depth of 0: none. */
  breadth: lengthField('Breadth of a bottom timber', 10, 500),
  depth: lengthOrNone('Depth of a bottom timber', 3, 500),
});

export const framesSchema = z.object({
  taken: z.array(takenSchema).max(20),
  frames: z.array(framePlanSchema).max(60),
  standing: z.enum(STANDING_RULES),
  planked: plankedSchema,
  members: z.array(memberSchema).max(40),
  /** Through the skin into the timber behind it; every 0: none. */
  screws: z.object({
    spacing: lengthOrNone('Screws every', 20, 1000),
    ends: lengthField('First screw from an end', 5, 500),
    use: z.enum(FASTENING_USES),
    diameter: lengthField('Screw’s thickness', 1, 12),
    staples: lengthField('Staples every', 5, 500),
    /** Where one is to be held otherwise: by the id of the frame or the member that is fastened into. */
    own: z.array(z.object({ id: z.string().min(1).max(60), use: z.enum(FASTENING_USES) })).max(100),
  }),
  /** Parts that stand along the boat. */
  girders: z.array(girderSchema).max(20),
  sawn: timberSchema,
  moulds: timberSchema,
  /** Kept clear between a filleted bulkhead and the skin, all round. */
  filletGap: lengthField('Gap at the skin', 0, 10),
  /** How far apart the rows of a rolling bevel stand. */
  bevelStep: lengthField('Bevels every', 10, 5000),
  /** What a frame's place is measured from on screen; `of` names the station or the frame. */
  datum: z.object({ kind: z.enum(DATUM_KINDS), of: z.string().max(60) }),
  /** Inner corners of notches and slots are relieved for a cutter of this radius; 0: cut by hand, square. */
  relief: lengthOrNone('Radius of the cutter', 1, 20),
  /** Holes in gussets and doublers and in what they go on, that match; 0: none. */
  pins: lengthOrNone('Holes for pins', 1, 12),
  /** The least that is kept round what is cut in a part, and the least radius in a corner. */
  keep: z.object({
    opening: lengthField('Plywood round an opening', 0, 500),
    hole: lengthField('Plywood round a hole', 0, 200),
    corner: lengthField('Least corner of an opening', 0, 200),
  }),
});

export type FramePlan = z.infer<typeof framePlanSchema>;
export type FasteningUse = (typeof FASTENING_USES)[number];
export type Opening = z.infer<typeof openingSchema>;
export type Limber = z.infer<typeof limberSchema>;
export type SlotPlan = z.infer<typeof slotSchema>;
export type CleatPlan = z.infer<typeof cleatSchema>;
export type PlankedPlan = z.infer<typeof plankedSchema>;
export type TakenShape = z.infer<typeof takenSchema>;
export type StandingRule = (typeof STANDING_RULES)[number];
export type Member = z.infer<typeof memberSchema>;
export type GirderPlan = z.infer<typeof girderSchema>;
export type TimberSettings = z.infer<typeof timberSchema>;
export type Hand = (typeof HANDS)[number];
export type FramesPart = z.infer<typeof framesSchema>;
