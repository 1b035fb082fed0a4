/**
 * The part of a project that lies inside and on top: soles, seats, tops, decks; walls, which are developed between two
 * lines: cabin sides, coamings, decks that follow the sheer; blocks of timber that fill up to the hull. Lengths mm;
 * `from` and `to` aft from the boat's datum, heights from the base line.
 */
import { z } from 'zod';
import { OPENING_SHAPES, SCHOOLS } from '../frames';
import { countField, lengthField, lengthOrNone } from '../stage';

/** What it is called, and what it is begun with. */
export const INSIDE_KINDS = ['sole', 'seat', 'thwart', 'top', 'deck', 'side-deck'] as const;
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

export const insideSchema = z.object({
  parts: z.array(insidePlanSchema).max(40),
  walls: z.array(wallPlanSchema).max(40),
  blocks: z.array(blockPlanSchema).max(60),
});

export type InsidePlan = z.infer<typeof insidePlanSchema>;
export type Hatch = InsidePlan['hatches'][number];
export type InsideKind = InsidePlan['kind'];

export type WallPlan = z.infer<typeof wallPlanSchema>;
export type WallKind = WallPlan['kind'];
export type WallLine = WallPlan['lower'];
export type BlockPlan = z.infer<typeof blockPlanSchema>;
export type WallOpening = WallPlan['openings'][number];

/** Where the parts are kept in the project, for edits. */
export const INSIDE_PATH = ['fitout', 'parts'] as const;
export const WALLS_PATH = ['fitout', 'walls'] as const;
export const BLOCKS_PATH = ['fitout', 'blocks'] as const;
