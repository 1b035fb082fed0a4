/**
 * What is cut in a frame: openings, and the limber holes through which water runs along the boat.
 *
 * Conventions: the frame's own plane, y to starboard, z up. A limber hole is found along the edge at the skin, as it
 * is cut: set in, so that its rim is that far from the edge, or with its middle on the edge itself. Accuracy: rounds
 * within 0.05 mm.
 */
import { at, distance2, mirrored, upright, type Outline, type Vec2 } from '../geometry';
import type { FramePlan, Limber, Opening, SlotPlan } from './schema';

/** A cut, with the list and the id under which the project keeps it. */
export type Cut = {
  readonly of: 'openings' | 'limbers' | 'slots' | 'members';
  readonly id: string;
  readonly outline: Outline;
};

/** What a member takes of a frame: the starboard one of a pair. */
export type Notch = { readonly id: string; readonly isPair: boolean; readonly outline: Outline };

type Base = { readonly outlines: readonly Outline[]; readonly half: readonly Vec2[]; readonly isAcross: boolean };

/** All that the plan has cut, of a frame in one piece on both sides; what lies off its edge is left out. */
export function cutsIn(
  base: Base,
  { openings, limbers, slots }: Pick<FramePlan, 'openings' | 'limbers' | 'slots'>,
  notches: readonly Notch[] = [],
): Cut[] {
  const both = (isPair: boolean, outline: Outline): Outline[] =>
    isPair && base.isAcross ? [outline, [...mirrored(outline)].reverse()] : [outline];
  return [
    ...openings.flatMap((opening) =>
      both(opening.isPair, outlineOfOpening(opening)).map((outline) => ({
        of: 'openings' as const,
        id: opening.id,
        outline,
      })),
    ),
    ...limbers.flatMap((limber) => {
      const outline = outlineOfLimber(base.half, limber);
      return outline
        ? both(limber.isPair, outline).map((one) => ({ of: 'limbers' as const, id: limber.id, outline: one }))
        : [];
    }),
    ...slots.flatMap((slot) => {
      const outline = outlineOfSlot(base, slot);
      return outline
        ? both(slot.isPair, outline).map((one) => ({ of: 'slots' as const, id: slot.id, outline: one }))
        : [];
    }),
    ...notches.flatMap(({ id, isPair, outline }) =>
      both(isPair, outline).map((one) => ({ of: 'members' as const, id, outline: one })),
    ),
  ];
}

/** Limber holes and slots for which the edge does not come so far out, or begins not so near to the centreline. */
export const outOfReach = (
  base: Base,
  { limbers, slots }: Pick<FramePlan, 'limbers' | 'slots'>,
): Pick<Cut, 'of' | 'id'>[] => [
  ...limbers.filter((limber) => !outlineOfLimber(base.half, limber)).map(({ id }) => ({ of: 'limbers' as const, id })),
  ...slots.filter((slot) => !outlineOfSlot(base, slot)).map(({ id }) => ({ of: 'slots' as const, id })),
];

/** Chords of a quarter round: within 0.02 mm at a radius of 100. */
const QUARTER = 24;

const arc = ([x, y]: Vec2, [a, b]: Vec2, fromQuarter: number, quarters = 1): Vec2[] =>
  Array.from({ length: quarters * QUARTER + 1 }, (_, i): Vec2 => {
    const angle = ((fromQuarter + i / QUARTER) * Math.PI) / 2;
    return [x + a * Math.cos(angle), y + b * Math.sin(angle)];
  });

export function outlineOfOpening({
  shape,
  out,
  up,
  width,
  height,
  corner,
}: Pick<Opening, 'shape' | 'out' | 'up' | 'width' | 'height' | 'corner'>): Outline {
  const [a, b] = [width / 2, height / 2];
  if (shape === 'oval') return arc([out, up], [a, b], 0, 4).slice(1);
  const r = Math.min(corner, a, b);
  const at4: Vec2[] = [
    [out + a - r, up + b - r],
    [out - a + r, up + b - r],
    [out - a + r, up - b + r],
    [out + a - r, up - b + r],
  ];
  return r === 0 ? at4 : at4.flatMap((middle, k) => arc(middle, [r, r], k));
}

/** Undefined where the edge does not come so far out. */
function outlineOfLimber(half: readonly Vec2[], { out, diameter, setIn }: Limber): Outline | undefined {
  const middle = middleOfLimber(half, out, setIn > 0 ? setIn + diameter / 2 : 0);
  return middle && arc(middle, [diameter / 2, diameter / 2], 0, 4).slice(1);
}

/** Out so far along the edge, and square in from it; on the centreline as far from both halves of it. */
function middleOfLimber(half: readonly Vec2[], out: number, inward: number): Vec2 | undefined {
  const k = half.findIndex(([y], i) => i > 0 && y >= out && distance2(at(half, i - 1), at(half, i)) > 0);
  if (k < 1 || at(half, 0)[0] > out) return undefined;
  const [a, b] = [at(half, k - 1), at(half, k)];
  const w = b[0] > a[0] ? (out - a[0]) / (b[0] - a[0]) : 0;
  const on: Vec2 = [out, a[1] + w * (b[1] - a[1])];
  const length = distance2(a, b);
  const [dy, dz] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  // on the centreline the middle stays there: up until its distance from the edge is what it should be
  if (out === 0) return dy > 0 ? [0, on[1] + inward / dy] : undefined;
  return [on[0] - dz * inward, on[1] + dy * inward];
}

/** So far beyond its edge a slot is cut, that nothing is left of an edge that is hollow there. */
const BEYOND_MM = 20;
/** The direction of an edge is taken over this much of it, to either side. */
const BESIDE_MM = 1;

/** As wide along the edge, and as deep square to it. Undefined where the edge does not come so far out. */
function outlineOfSlot({ outlines, half }: Base, { edge, out, width, depth }: SlotPlan): Outline | undefined {
  const onEdge = edge === 'skin' ? skinAt(half, out) : topAt(outlines, out);
  if (!onEdge) return undefined;
  const { on, along } = onEdge;
  const corner = (s: number, inward: number): Vec2 => [
    on[0] + s * along[0] - inward * along[1],
    on[1] + s * along[1] + inward * along[0],
  ];
  const by = width / 2;
  return [corner(-by, -BEYOND_MM), corner(by, -BEYOND_MM), corner(by, depth), corner(-by, depth)];
}

/** A place of an edge, and which way it goes there with the part on its left. */
type OnEdge = { readonly on: Vec2; readonly along: Vec2 };

function skinAt(half: readonly Vec2[], out: number): OnEdge | undefined {
  const [on, inside] = [middleOfLimber(half, out, 0), middleOfLimber(half, out, 1)];
  if (!on || !inside) return undefined;
  // on the centreline of a V both halves are as near: straight up
  const size = distance2(on, inside) || 1;
  return { on, along: [(inside[1] - on[1]) / size, -(inside[0] - on[0]) / size] };
}

function topAt(outlines: readonly Outline[], out: number): OnEdge | undefined {
  const high = (y: number): Vec2 | undefined =>
    outlines
      .flatMap((outline) => upright(outline, y))
      .reduce<Vec2 | undefined>((best, [, z]) => (best && best[1] >= z ? best : [y, z]), undefined);
  const on = high(out);
  if (!on) return undefined;
  const [a, b] = [high(out - BESIDE_MM) ?? on, high(out + BESIDE_MM) ?? on];
  const long = distance2(a, b);
  // the part lies under its top: the edge goes inward
  return { on, along: long > 0 ? [(a[0] - b[0]) / long, (a[1] - b[1]) / long] : [-1, 0] };
}
