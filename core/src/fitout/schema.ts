/**
 * The part of a project that lies inside and on top: soles, seats, tops, decks. Lengths mm; `from` and `to` aft from
 * the boat's datum, heights from the base line.
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

export const insideSchema = z.object({ parts: z.array(insidePlanSchema).max(40) });

export type InsidePlan = z.infer<typeof insidePlanSchema>;
export type Hatch = InsidePlan['hatches'][number];
export type InsideKind = InsidePlan['kind'];

/** Where the parts are kept in the project, for edits. */
export const INSIDE_PATH = ['fitout', 'parts'] as const;
