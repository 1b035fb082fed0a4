/**
 * A bottom planked athwart: boards or sheets laid across the boat, their seams square to the centreline, and a timber
 * under each.
 *
 * Method: the seams' places come first, a board's breadth apart along the middle of the developed panel, which by
 * symmetry is straight on the flat and is the centreline of the bottom on the boat; each seam is the straight line
 * square to it. A board is what of the panel lies between two seams. A timber stands under the seam, square to the
 * bottom there: a frame of sawn timber, as high as the timber is deep, in the plane square to the centreline.
 * Conventions: seams from forward aft; boards and timbers are numbered from the end that the work begins at.
 */
import { area, at, distance2, intersectionOf, lerp2, lerp3, type Outline, type Vec2, type Vec3 } from '../../geometry';
import { toDeg } from '../../measure';
import { cutLineOf, type Panel } from '../../panels';
import { wholeEnds } from '../../surface';
import type { TimberedPlan } from '../frame';
import { plainFrame } from '../plans';
import type { FramePlan, PlankedPlan } from '../schema';
import { frameAt } from '../section';

export type Board = { readonly id: string; readonly name: string; readonly outline: Outline };

export type Seam = {
  /** Its ends on the flat panel. */
  readonly ends: readonly [Vec2, Vec2];
  /** Its middle, on the lines' surface. */
  readonly place: Vec3;
  /** How steeply the bottom rises aft there. */
  readonly riseRad: number;
};

export type Planked = {
  readonly panel: string;
  readonly boards: readonly Board[];
  /** In the order of the work. */
  readonly seams: readonly Seam[];
};

/** A board narrower than this at the end is left with the one before it. */
const LEAST_BOARD_MM = 30;

/** Undefined for a panel that is one of a pair: its seams would not be square to the centreline. */
export function layBoards(
  panels: readonly Panel[],
  { panel: id, board, from }: Pick<PlankedPlan, 'panel' | 'board' | 'from'>,
): Planked | undefined {
  const panel = panels.find((one) => one.id === id);
  if (!panel?.spansCentreline || panel.rulings.length < 2) return undefined;
  // by the ends that the rulings have on the lines, whatever the cut edges have lost or run past
  const middles = panel.rulings.map((ruling) => ({
    flat: lerp2(...wholeEnds(ruling), 0.5),
    space: lerp3(ruling.p, ruling.q, 0.5),
  }));
  const [first, last] = [at(middles, 0).flat, at(middles, -1).flat];
  const long = distance2(first, last);
  if (long < 2 * LEAST_BOARD_MM) return undefined;
  const along: Vec2 = [(last[0] - first[0]) / long, (last[1] - first[1]) / long];
  const count = Math.ceil((long - LEAST_BOARD_MM) / board) - 1;
  const steps = Array.from({ length: Math.max(0, count) }, (_, k) => (k + 1) * board);
  const places = from === 'aft' ? steps.map((s) => long - s) : steps;
  const across = (s: number, out: number): Vec2 => [
    first[0] + s * along[0] - out * along[1],
    first[1] + s * along[1] + out * along[0],
  ];
  const seams = places.flatMap((s): Seam[] => {
    const ends = endsOf(panel.outline, (out) => across(s, out));
    return ends ? [{ ends, ...placeAlong(middles, s, (flat) => dotFrom(first, along, flat)) }] : [];
  });
  const bounds = from === 'aft' ? [FAR_MM, ...places, -FAR_MM] : [-FAR_MM, ...places, FAR_MM];
  const boards = bounds.slice(1).flatMap((to, i): Board[] => {
    const [a, b] = [at(bounds, i), to];
    const strip = [across(a, -FAR_MM), across(b, -FAR_MM), across(b, FAR_MM), across(a, FAR_MM)];
    const [outline] = [...intersectionOf([cutLineOf(panel)], [strip])].sort((p, q) => area(q) - area(p));
    return outline ? [{ id: `${panel.id}.board.${i + 1}`, name: `${panel.name}, board ${i + 1}`, outline }] : [];
  });
  return { panel: panel.id, boards, seams };
}

/** Further than any boat is long. */
const FAR_MM = 50_000;

const dotFrom = (from: Vec2, along: Vec2, p: Vec2): number => (p[0] - from[0]) * along[0] + (p[1] - from[1]) * along[1];

/** Where an endless line crosses an outline, furthest out either way; it begins within. */
function endsOf(outline: Outline, on: (out: number) => Vec2): readonly [Vec2, Vec2] | undefined {
  const [a, b] = [on(0), on(1)];
  const across: Vec2 = [b[0] - a[0], b[1] - a[1]];
  const outs = outline.flatMap((p, i): number[] => {
    const q = at(outline, (i + 1) % outline.length);
    const side = (r: Vec2) => (r[0] - a[0]) * across[1] - (r[1] - a[1]) * across[0];
    const [sp, sq] = [side(p), side(q)];
    if (sp <= 0 === sq <= 0) return [];
    return [dotFrom(a, across, lerp2(p, q, sp / (sp - sq)))];
  });
  return outs.length < 2 ? undefined : [on(Math.min(...outs)), on(Math.max(...outs))];
}

type Middle = { readonly flat: Vec2; readonly space: Vec3 };

function placeAlong(
  middles: readonly Middle[],
  s: number,
  standOf: (flat: Vec2) => number,
): Pick<Seam, 'place' | 'riseRad'> {
  const after = middles.findIndex(({ flat }) => standOf(flat) >= s);
  const k = after < 0 ? middles.length - 1 : Math.max(1, after);
  const [a, b] = [at(middles, k - 1), at(middles, k)];
  const [from, to] = [standOf(a.flat), standOf(b.flat)];
  const place = lerp3(a.space, b.space, to > from ? (s - from) / (to - from) : 0);
  return { place, riseRad: Math.atan2(b.space[2] - a.space[2], b.space[0] - a.space[0]) };
}

type Stands = Pick<FramePlan, 'x' | 'width' | 'face' | 'rakeDeg'>;

/** Whether a frame stands over a seam, so that it needs no timber of its own. */
function standsOver({ x, width, face, rakeDeg }: Stands, [seamX, , z]: Vec3): boolean {
  const station = x + z * Math.tan((rakeDeg * Math.PI) / 180);
  return face === 'fore' ? seamX >= station && seamX <= station + width : seamX <= station && seamX >= station - width;
}

/** Under each seam on which no frame stands; none where they have no depth. */
export function bottomTimbers(
  panels: readonly Panel[],
  { seams }: Pick<Planked, 'seams'>,
  frames: readonly Stands[],
  { breadth, depth, skin }: Pick<PlankedPlan, 'breadth' | 'depth'> & { readonly skin: number },
): TimberedPlan[] {
  if (depth === 0) return [];
  return seams.flatMap(({ place, riseRad }, i): TimberedPlan[] => {
    if (frames.some((frame) => standsOver(frame, place))) return [];
    // square to the bottom, half the breadth forward of the seam
    const rakeRad = -riseRad;
    const [x, , z] = place;
    const fore = x - (breadth / 2) * Math.cos(riseRad) - (z - (breadth / 2) * Math.sin(riseRad)) * Math.tan(rakeRad);
    const section = frameAt(panels, fore, { skin, width: breadth, face: 'fore', rakeRad });
    const lowest = section?.outline[0];
    if (!lowest) return [];
    return [
      {
        ...plainFrame({
          ...{ id: `bottom-timber.${i + 1}`, name: `Bottom timber ${i + 1}` },
          ...{ kind: 'sawn', school: 'framed', x: fore, rakeDeg: toDeg(rakeRad), width: breadth, face: 'fore' },
          top: { kind: 'level', mm: (lowest[1] + depth) * Math.cos(rakeRad), below: 0 },
        }),
        stock: {
          ...{ corner: 'floor', floor: depth, side: depth },
          plate: { thickness: 1, leg: 10, faces: 0 },
          spall: { height: null, breadth: depth },
        },
      },
    ];
  });
}
