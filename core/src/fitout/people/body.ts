/**
 * A person in the boat as joints and thicknesses: seated, lying, or at the oars.
 *
 * Method: a trunk that leans on its back; hip, knee and heel are a triangle of three known sides. Of one who sits the
 * knee is a right angle: over a seat of the shin's own height the thigh is level, over a lower one the feet go forward
 * and the knees come up, over a higher one the feet hang. Of one who rows the legs are nearly straight to the brace.
 * Sizes are the person's own; what is not asked
 * for is a share of how tall one is (Drillis and Contini, Body segment parameters, 1966, as handbooks of biomechanics
 * have it; trunk's depth and thigh's thickness house estimates).
 * Conventions: `ahead` is −1 where the feet are forward, +1 where they are aft. All in the person's middle plane.
 */
import { distance2, lerp2, type Vec2 } from '../../geometry';
import {
  FOOT_LONG,
  HEAD_RADIUS,
  HIP_DOWN,
  KNEE_DOWN,
  LEGS_BENT,
  LYING_SPARE,
  ROWLOCK_AFT,
  ROWLOCK_UP,
  THIGH_THICK,
  TRUNK_DEEP,
} from '../constants';
import type { PersonPlan } from '../schema';

/** A stretch of a body between two joints, x aft and z up, and how thick it is, mm. */
export type Limb = { readonly from: Vec2; readonly to: Vec2; readonly thick: number };

export type Body = Pick<PersonPlan, 'id' | 'name' | 'pose' | 'out' | 'height'> & {
  readonly ahead: 1 | -1;
  readonly crown: Vec2;
  readonly hip: Vec2;
  readonly knee: Vec2;
  readonly heel: Vec2;
  readonly toe: Vec2;
  readonly head: { readonly at: Vec2; readonly radius: number };
  readonly limbs: readonly Limb[];
  /** Along the boat from the least to the greatest. */
  readonly span: readonly [number, number];
  readonly broad: number;
  /** How far the feet hang over what they would stand on. */
  readonly hangs: number;
  /** Of one who rows: where the oars turn, in profile; how far out is the boat's own. */
  readonly rowlock?: Vec2;
};

/** `floor`: the height of what the feet stand on. */
export function bodyOf(plan: PersonPlan, floor: number): Body {
  const { id, name, pose, out, height, faces } = plan;
  const own = { id, name, pose, out, height, ahead: faces === 'forward' ? (-1 as const) : (1 as const) };
  return pose === 'lying' ? lying(plan, own) : sitting(plan, own, floor);
}

type Own = Pick<Body, 'id' | 'name' | 'pose' | 'out' | 'height' | 'ahead'>;

const headOf = (tall: number): number => HEAD_RADIUS.value * tall;

function sitting({ x, height, size, pose }: PersonPlan, own: Own, floor: number): Body {
  const { tall, sitting: high, thigh, shin, broad } = size;
  const { ahead } = own;
  const deep = TRUNK_DEEP.value * tall;
  const thick = THIGH_THICK.value * tall;
  const on = (along: number, up: number): Vec2 => [x + ahead * along, height + up];
  const hip = on(deep / 2, thick / 2);
  const radius = headOf(tall);
  const rows = pose === 'rowing';
  const [upper, lower] = [thigh - thick / 2 - deep / 2, shin + thick / 2];
  // at the oars nearly straight, sitting at a right angle
  const reach = rows ? LEGS_BENT.value * (upper + lower) : Math.hypot(upper, lower);
  const { knee, heel, hangs } = legsTo({ hip, ahead, upper, lower, reach, floor });
  const toe: Vec2 = rows
    ? [heel[0], heel[1] + FOOT_LONG.value * tall]
    : [heel[0] + ahead * FOOT_LONG.value * tall, heel[1]];
  const neck = on(deep / 2, high - 2 * radius);
  const ends = [x, knee[0] + (ahead * thick) / 2, heel[0], toe[0]];
  return {
    ...own,
    ...{ crown: on(deep / 2, high), hip, knee, heel, toe, broad, hangs },
    head: { at: on(deep / 2, high - radius), radius },
    // round their ends: so that none comes through the seat or the floor, they begin and end within by half of that
    limbs: [
      { from: on(deep / 2, deep / 2), to: neck, thick: deep },
      { from: hip, to: knee, thick },
      { from: knee, to: shortOf(heel, knee, SHIN_THICK * thick), thick: SHIN_THICK * thick },
      rows ? footUp(heel, toe, ahead, FOOT_THICK * thick) : footFlat(heel, toe, FOOT_THICK * thick),
    ],
    span: [Math.min(...ends), Math.max(...ends)],
    ...(rows && { rowlock: on(ROWLOCK_AFT.value * tall, ROWLOCK_UP.value * tall) }),
  };
}

/** Shares of the thigh's thickness. */
const SHIN_THICK = 0.7;
const FOOT_THICK = 0.35;

/** Short of a joint by half a thickness, on the way to another. */
const shortOf = (joint: Vec2, towards: Vec2, thick: number): Vec2 =>
  lerp2(joint, towards, Math.min(0.5, thick / 2 / Math.max(1, distance2(joint, towards))));

const footFlat = (heel: Vec2, toe: Vec2, thick: number): Limb => ({
  ...{ from: [heel[0], heel[1] + thick / 2], to: [toe[0], toe[1] + thick / 2], thick },
});

/** Against a brace. */
const footUp = (heel: Vec2, toe: Vec2, ahead: number, thick: number): Limb => ({
  from: [heel[0] - (ahead * thick) / 2, heel[1] + thick / 2],
  to: [toe[0] - (ahead * thick) / 2, toe[1]],
  thick,
});

type Legs = { readonly knee: Vec2; readonly heel: Vec2; readonly hangs: number };

type LegsAsked = {
  readonly hip: Vec2;
  readonly ahead: number;
  /** From the hip to the knee, and from the knee to the heel, joint to joint. */
  readonly upper: number;
  readonly lower: number;
  /** From the hip to the heel. */
  readonly reach: number;
  readonly floor: number;
};

/** Less is rounding, mm. */
const HANGS_MM = 1e-6;

/** Hip, knee and heel as a triangle of three known sides, the heel on the floor or over it; the knee up. */
function legsTo({ hip, ahead, upper, lower, reach, floor }: LegsAsked): Legs {
  // where the floor is lower than the shin reaches with the thigh level, the feet hang
  const lowest = reach < upper + lower ? Math.min(reach, lower) : reach;
  const drop = Math.min(hip[1] - floor, lowest);
  const forward = Math.sqrt(Math.max(0, reach ** 2 - drop ** 2));
  const heel: Vec2 = [hip[0] + ahead * forward, hip[1] - drop];
  const along = (upper ** 2 - lower ** 2 + reach ** 2) / (2 * reach);
  const over = Math.sqrt(Math.max(0, upper ** 2 - along ** 2));
  const [forwardShare, downShare] = [forward / reach, drop / reach];
  const knee: Vec2 = [
    hip[0] + ahead * (along * forwardShare + over * downShare),
    hip[1] - along * downShare + over * forwardShare,
  ];
  const hangs = hip[1] - drop - floor;
  return { knee, heel, hangs: hangs > HANGS_MM ? hangs : 0 };
}

function lying({ x, height, size: { tall, broad } }: PersonPlan, own: Own): Body {
  const { ahead } = own;
  const thick = TRUNK_DEEP.value * tall;
  const radius = headOf(tall);
  const on = (along: number, up = thick / 2): Vec2 => [x + ahead * along, height + up];
  const long = tall + LYING_SPARE.value;
  const [crown, hip, knee, heel, toe] = [
    on(0),
    on(HIP_DOWN.value * tall),
    on(KNEE_DOWN.value * tall),
    on(tall),
    on(long),
  ];
  return {
    ...{ ...own, crown, hip, knee, heel, toe, broad, hangs: 0 },
    head: { at: on(radius, radius), radius },
    limbs: [
      { from: on(2 * radius), to: hip, thick },
      { from: hip, to: knee, thick: 0.8 * thick },
      { from: knee, to: heel, thick: 0.5 * thick },
    ],
    span: [Math.min(x, toe[0]), Math.max(x, toe[0])],
  };
}
