/** The joints' part of a project. Lengths mm. */
import { z } from 'zod';
import { FASTENING_USES } from '../frames';
import { usualIn, type Notation } from '../measure';
import { figureField, lengthField } from '../stage';
import {
  BOUGHT_LOSS,
  CLEAR_OF_FRAMES,
  CUTTER_RADIUS,
  FIT,
  SCARF_RATIO,
  STAGGER,
  STRAP_RATIO,
  STRAP_SHORT,
  TONGUE,
} from './constants';

/** Ways to join two sheets end to end: a long taper; a strap behind; tongues cut into each other; bought ready cut. */
export const SHEET_KINDS = ['scarf', 'strap', 'tongues', 'bought'] as const;
/** Layers may be butted besides: the next layer lies over the joint. */
export const JOINT_KINDS = [...SHEET_KINDS, 'butt'] as const;
export type JointKind = (typeof JOINT_KINDS)[number];

/** Pieces cut, then joined; or sheets joined into a blank first, and the panel cut from that. */
export const JOINING_WAYS = ['pieces', 'blank'] as const;
/** How joints stand to frames: clear of them, or in their middle where one is within reach. */
export const JOINT_STANDS = ['clear', 'on'] as const;

/** A joint put where the builder wants it. */
const ownJointSchema = z.object({
  id: z.string().min(1).max(160),
  /** Id of the panel. */
  panel: z.string().min(1).max(130),
  /** Of its middle, from the panel's fore end. */
  at: lengthField('Joint at', 0, 100_000),
  kind: z.enum(JOINT_KINDS),
});

export const jointsSchema = z.object({
  kind: z.enum(SHEET_KINDS),
  /** Scarf length over thickness. */
  scarfRatio: figureField('Scarf ratio', { min: 4, max: 20 }),
  /** Width of a butt strap over the thickness. */
  strapRatio: figureField('Strap’s width, times the thickness', { min: 4, max: 60 }),
  /** How far a strap ends from the panel's edges. */
  strapShort: lengthField('Strap short of the edges', 0, 200),
  /** Strap of timber, which is not cut from the sheets. */
  strapIsSolid: z.boolean(),
  /** What becomes of the screws through the panel into a strap; spaced as those of the frames. */
  strapUse: z.enum(FASTENING_USES),
  /** How far the tongues reach into each other. */
  tongue: lengthField('Tongues reach', 10, 200),
  /** Of the cutter that cuts the tongues, and the room left between the two halves. */
  cutterRadius: lengthField('Cutter’s radius', 0.5, 20),
  fit: lengthField('Room between the halves', 0, 2),
  /** What a joint that is bought ready cut takes of the length. */
  boughtLoss: lengthField('Lost at a bought joint', 0, 300),
  way: z.enum(JOINING_WAYS),
  toFrames: z.enum(JOINT_STANDS),
  /** Wanted between a joint and a frame. */
  clearOfFrames: lengthField('Clear of frames', 0, 500),
  /** Wanted between joints of neighbouring panels. */
  stagger: lengthField('Stagger between panels', 0, 2000),
  own: z.array(ownJointSchema).max(200),
});

export type JointsPart = z.infer<typeof jointsSchema>;
export type OwnJoint = JointsPart['own'][number];

/** The joints' part of a new project. */
export const jointsAtFirst = (notation: Notation): JointsPart => ({
  kind: 'scarf',
  scarfRatio: SCARF_RATIO.value,
  strapRatio: STRAP_RATIO.value,
  strapShort: usualIn(STRAP_SHORT.value, notation),
  strapIsSolid: false,
  strapUse: 'drawn',
  tongue: usualIn(TONGUE.value, notation),
  cutterRadius: CUTTER_RADIUS.value,
  fit: FIT.value,
  boughtLoss: usualIn(BOUGHT_LOSS.value, notation),
  way: 'pieces',
  toFrames: 'clear',
  clearOfFrames: usualIn(CLEAR_OF_FRAMES.value, notation),
  stagger: usualIn(STAGGER.value, notation),
  own: [],
});
