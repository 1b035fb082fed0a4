/**
 * The part of a project that lies inside and on top: soles, seats, tops, decks, breasthooks and knees; walls, which are
 * developed between two lines: cabin sides, coamings, decks that follow the sheer; blocks of timber that fill up to the
 * hull; who is in the boat, and what the boat has to go through. Lengths mm; `from` and `to` aft from the boat's datum,
 * heights from the base line.
 */
import { z } from 'zod';
import { OPENING_SHAPES, SCHOOLS } from '../frames';
import { countField, lengthField, lengthOrNone } from '../stage';

/** What it is called, and what it is begun with. */
export const INSIDE_KINDS = ['sole', 'seat', 'thwart', 'top', 'deck', 'side-deck', 'breasthook', 'knee'] as const;
/** Cut to the inside of the skin, or lying on its upper edge. */
const FITS = ['inside', 'over'] as const;
/** In one piece across the boat, one of each hand, or one of them. */
const INSIDE_HANDS = ['across', 'pair', 'starboard', 'port'] as const;
/** Which face the heights are of. */
const HEIGHTS_OF = ['top', 'under'] as const;

const id = z.string().min(1).max(40);
const height = (title: string) => lengthField(title, -20_000, 20_000);

const hatchSchema = z.object({
  id,
  shape: z.enum(OPENING_SHAPES),
  /** Its middle. */
  x: lengthField('Middle, from the stem', -100_000, 100_000),
  out: lengthField('Middle, out from the centreline', 0, 5000),
  long: lengthField('Length along the boat', 5, 5000),
  wide: lengthField('Width across the boat', 5, 5000),
  corner: lengthField('Radius of its corners', 0, 2500),
  /** The same again on the other side. */
  isPair: z.boolean(),
});

/** What is screwed or bolted through a part, such as a cleat or a rowlock’s socket, and the pad of timber under it. */
const fittingSchema = z.object({
  id,
  name: z.string().min(1).max(60),
  /** Its middle. */
  x: lengthField('Fitting, from the stem', -100_000, 100_000),
  out: lengthField('Fitting, out', 0, 5000),
  /** The same again on the other side. */
  isPair: z.boolean(),
  pad: z.object({
    long: lengthField('Pad, along the boat', 5, 2000),
    wide: lengthField('Pad, across the boat', 5, 2000),
    thick: lengthField('Pad, thickness', 1, 100),
  }),
});

const insidePlanSchema = z.object({
  id,
  name: z.string().min(1).max(60),
  kind: z.enum(INSIDE_KINDS),
  fit: z.enum(FITS),
  hand: z.enum(INSIDE_HANDS),
  from: lengthField('Begins, from the stem', -100_000, 100_000),
  to: lengthField('Ends, from the stem', -100_000, 100_000),
  /** Its inner edge, out from the centreline at either end; of a pair, or of one hand. */
  inner: z.object({
    fore: lengthField('Inner edge, fore end', 0, 5000),
    aft: lengthField('Inner edge, after end', 0, 5000),
  }),
  /** No further out than this; null: to the skin. */
  outer: lengthOrNone('Ends, out from the centreline', 5, 5000).nullable(),
  /** On the centreline. */
  height: z.object({ fore: height('Height, fore end'), aft: height('Height, after end'), of: z.enum(HEIGHTS_OF) }),
  /** Of its under side across the boat; 0: flat. */
  camber: z.object({ radius: lengthOrNone('Radius of the camber', 100, 100_000) }),
  thickness: lengthField('Thickness of the part', 1, 100),
  /** The boat's own way, or another. */
  school: z.enum(SCHOOLS).nullable(),
  /** Between the skin and the part, such as a core or a lining. */
  lining: lengthField('Core or lining', 0, 100),
  /** Kept clear at the skin where its edge is square, and at what it runs up against. */
  gap: lengthField('Gap all round', 0, 20),
  /** Of one that lies over the sheer: beyond the skin. */
  overhang: lengthField('Beyond the skin', 0, 300),
  /** Strips of timber under it: breadth on its under side; 0: none there. */
  cleat: z.object({
    breadth: lengthField('Breadth of a cleat', 5, 300),
    depth: lengthField('Depth of a cleat', 5, 300),
    atSkin: z.boolean(),
    atFrames: z.boolean(),
  }),
  /** Timbers athwart under it, evenly between its ends. */
  bearers: countField('Bearers', 0, 30),
  /** Where it is cut in two across, and whether it is along the centreline. */
  cuts: z.array(z.object({ id, x: lengthField('Cut in two, from the stem', -100_000, 100_000) })).max(12),
  isHalved: z.boolean(),
  hatches: z.array(hatchSchema).max(12),
  /** Of solid timber: no sheet is cut for it. */
  isTimber: z.boolean(),
  /** How far its ends and its inner edge are hollowed, in an arc from corner to corner; 0: straight. */
  hollow: z.object({
    fore: lengthField('Fore end hollowed by', 0, 2000),
    aft: lengthField('After end hollowed by', 0, 2000),
    inner: lengthField('Inner edge hollowed by', 0, 2000),
  }),
  /** Round, at the lowest place of each piece; 0: none. */
  drain: lengthOrNone('Drain holes, radius', 4, 100),
  /** Into what it lies on; 0: none. */
  screws: lengthOrNone('Screwed down every', 20, 1000),
  fittings: z.array(fittingSchema).max(20),
});

/** A side, a front or an after end of a cabin, an edge round a cockpit; a deck in halves or straight across. */
export const WALL_KINDS = ['cabin-side', 'cabin-front', 'cabin-back', 'coaming', 'half-deck', 'sheer-deck'] as const;
/** The sheer, a batten through points of its own, or, of an upper edge, the lower one. */
const WALL_LINES = ['sheer', 'points', 'lower'] as const;

const wallLineSchema = z.object({
  follows: z.enum(WALL_LINES),
  /** Along the boat, where it follows the sheer. */
  from: lengthField('Begins, from the stem', -100_000, 100_000),
  to: lengthField('Ends, from the stem', -100_000, 100_000),
  /** From what it follows, square to that in plan. */
  in: lengthField('In from what it follows', -5000, 5000),
  up: lengthField('Over what it follows', -5000, 5000),
  /** Of one that runs along the boat from forward aft; of one across it from the centreline out. */
  points: z
    .array(
      z.object({
        id,
        x: lengthField('From the stem', -100_000, 100_000),
        out: lengthField('Out from the centreline', 0, 5000),
        height: height('Height'),
      }),
    )
    .max(24),
  /** The part on whose upper face it lies, whatever its own heights. */
  onPart: z.string().max(40).nullable(),
});

const wallPlanSchema = z.object({
  id,
  name: z.string().min(1).max(60),
  kind: z.enum(WALL_KINDS),
  hand: z.enum(['pair', 'starboard', 'port']),
  lower: wallLineSchema,
  upper: wallLineSchema,
  /** Its upper edge is the straight edge of a sheet, from end to end. */
  isTopStraight: z.boolean(),
  /** Left on under its lower edge, to be scribed in its place. */
  below: lengthField('Left on below, to scribe', 0, 300),
  thickness: lengthField('Thickness of the part', 1, 100),
  school: z.enum(SCHOOLS).nullable(),
  gap: lengthField('Gap where it stands', 0, 20),
  /** The cabin sides that it stands between. */
  between: z.string().max(40).nullable(),
  /** Along its foot, within; 0 broad: none. */
  cleat: z.object({
    breadth: lengthField('Breadth of a cleat', 0, 300),
    depth: lengthField('Depth of a cleat', 0, 300),
  }),
  openings: z
    .array(
      z.object({
        id,
        shape: z.enum(OPENING_SHAPES),
        /** Of its middle, along the lower edge from its fore end; of one across from the centreline to starboard. */
        along: lengthField('Middle, along the foot', -10_000, 10_000),
        up: lengthField('Middle, over the foot', 0, 5000),
        long: lengthField('Length along it', 5, 5000),
        wide: lengthField('Height of it', 5, 5000),
        corner: lengthField('Radius of its corners', 0, 2500),
      }),
    )
    .max(12),
});

/** Which way a block fills, from its straight face. */
export const FILLS = ['out', 'aft', 'forward', 'down', 'up'] as const;

const placeSchema = z.object({
  x: lengthField('From the stem', -100_000, 100_000),
  out: lengthField('Out from the centreline', 0, 5000),
  height: height('Height'),
});

const blockPlanSchema = z.object({
  id,
  name: z.string().min(1).max(60),
  fills: z.enum(FILLS),
  /** Of one across the boat the first end is to port, the second to starboard. */
  hand: z.enum(INSIDE_HANDS),
  /** The middle of its straight face, at either end. */
  from: placeSchema,
  to: placeSchema,
  /** Across its straight face. */
  width: lengthField('Width of the block', 3, 1000),
  /** Kept off what it fills up to, as for a fillet that lies there. */
  clear: lengthField('Clear of what it meets', 0, 100),
  /** Run on to the skin at both ends, and cut to it; or square where its line ends. */
  isToSkin: z.boolean(),
});

/** A board on edge ahead of the planed ends of the sides. */
const stemPlanSchema = z.object({
  id,
  name: z.string().min(1).max(60),
  end: z.enum(['fore', 'aft']),
  face: lengthField('Against the boat, across', 3, 300),
  outer: lengthField('Outer edge, across', 0, 300),
  depth: lengthField('Depth of the stem', 5, 500),
  /** Of its upper end over the sheer, and of its lower one beyond the sides'. */
  over: lengthField('Stands over the sheer', -500, 1000),
  under: lengthField('Runs on below', -500, 1000),
});

/** A board upright across the boat in the corner between the skin and what lies athwart, or under the sheer. */
const kneePlanSchema = z.object({
  id,
  name: z.string().min(1).max(60),
  hand: z.enum(['pair', 'starboard', 'port']),
  /** Its middle. */
  x: lengthField('Knee, from the stem', -100_000, 100_000),
  /** From what it meets down along the skin, or up. */
  goes: z.enum(['down', 'up']),
  /** The part whose under side or upper face it meets; null: a level of its own. */
  onPart: z.string().max(40).nullable(),
  height: height('Knee, height'),
  thickness: lengthField('Knee, thickness', 3, 300),
  across: lengthField('Arm across the boat', 20, 3000),
  along: lengthField('Arm along the skin', 20, 3000),
  /** How broad its arms are at their ends. */
  nose: lengthField('Breadth of an arm’s end', 3, 1000),
  hollow: lengthField('Free edge hollowed by', 0, 2000),
});

/** How one sits, lies or rows. */
export const POSES = ['seated', 'lying', 'rowing'] as const;

const personSchema = z.object({
  id,
  name: z.string().min(1).max(60),
  pose: z.enum(POSES),
  /** Which way the feet are. */
  faces: z.enum(['forward', 'aft']),
  /** Of the back: where one leans, or of one who lies the head. */
  x: lengthField('Back, from the stem', -100_000, 100_000),
  /** To starboard of the centreline; to port negative. */
  out: lengthField('Middle, to starboard', -5000, 5000),
  /** Of what one sits or lies on. */
  height: height('Height of the seat'),
  size: z.object({
    tall: lengthField('How tall', 500, 2500),
    sitting: lengthField('Sitting, seat to crown', 200, 1500),
    thigh: lengthField('Back to the front of the knee', 150, 1200),
    shin: lengthField('Under the knee to the heel', 100, 900),
    broad: lengthField('Breadth at the elbows', 150, 1200),
  }),
});

/** What the boat has to go through or stand in; 0: not said. */
const limitsSchema = z.object({
  shopLong: lengthOrNone('Shop, long', 500, 100_000),
  shopWide: lengthOrNone('Shop, wide', 500, 100_000),
  /** Kept free all round to work in. */
  walk: lengthField('Room to work, all round', 0, 3000),
  doorWide: lengthOrNone('Door, wide', 300, 20_000),
  doorHigh: lengthOrNone('Door, high', 300, 20_000),
  trailerLong: lengthOrNone('Trailer takes, long', 500, 100_000),
  trailerWide: lengthOrNone('Trailer takes, wide', 300, 10_000),
});

export const insideSchema = z.object({
  parts: z.array(insidePlanSchema).max(40),
  walls: z.array(wallPlanSchema).max(40),
  blocks: z.array(blockPlanSchema).max(60),
  stems: z.array(stemPlanSchema).max(4),
  knees: z.array(kneePlanSchema).max(40),
  people: z.array(personSchema).max(20),
  limits: limitsSchema,
  /** The height at which lengths along the boat are taken; null: half way up her side amidships. */
  lengthsAt: height('Lengths taken at').nullable(),
});

export type InsidePart = z.infer<typeof insideSchema>;
export type InsidePlan = z.infer<typeof insidePlanSchema>;
export type Hatch = InsidePlan['hatches'][number];
export type Fitting = InsidePlan['fittings'][number];
export type InsideKind = InsidePlan['kind'];

export type WallPlan = z.infer<typeof wallPlanSchema>;
export type WallKind = WallPlan['kind'];
export type WallLine = WallPlan['lower'];
export type BlockPlan = z.infer<typeof blockPlanSchema>;
export type StemPlan = z.infer<typeof stemPlanSchema>;
export type KneePlan = z.infer<typeof kneePlanSchema>;
export type PersonPlan = z.infer<typeof personSchema>;
export type Limits = z.infer<typeof limitsSchema>;
export type WallOpening = WallPlan['openings'][number];

/** Where the parts are kept in the project, for edits. */
export const INSIDE_PATH = ['fitout', 'parts'] as const;
export const WALLS_PATH = ['fitout', 'walls'] as const;
export const BLOCKS_PATH = ['fitout', 'blocks'] as const;
export const STEMS_PATH = ['fitout', 'stems'] as const;
export const KNEES_PATH = ['fitout', 'knees'] as const;
export const PEOPLE_PATH = ['fitout', 'people'] as const;
export const LIMITS_PATH = ['fitout', 'limits'] as const;

/** Nothing is said of the shop, the door or the trailer; room to walk round a boat that is worked on. */
const LIMITS_AT_FIRST: Limits = {
  ...{ shopLong: 0, shopWide: 0, walk: 600, doorWide: 0, doorHigh: 0, trailerLong: 0, trailerWide: 0 },
};

/** Of a boat with nothing in it. */
export const insideAtFirst = (): InsidePart => ({
  ...{ parts: [], walls: [], blocks: [], stems: [], knees: [], people: [] },
  limits: LIMITS_AT_FIRST,
  lengthsAt: null,
});
