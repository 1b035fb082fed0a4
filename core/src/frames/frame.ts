/** A frame as it is built: the hull's section where it stands, how its edges are made, and what is cut of it. */
import { at, distance2, lerp2, netArea, type Outline, type Region, type Vec2, type Vec3 } from '../geometry';
import { toRad } from '../measure';
import type { Panel, RoundedStrip } from '../panels';
import { blankOf, otherFaceHalf, type Blank, type EdgesMade } from './blank';
import { cleatsOf, type Cleat } from './cleats';
import type { Notch } from './cuts';
import { notchIn, type MemberRun } from './member';
import { rimsOf, type Rim } from './rims';
import type { FramePlan, FramesPart, Hand, School, TimberSettings } from './schema';
import { timberedFrame, type Timbered } from './timber/timbers';
import { sectionOfTaken, type Taken } from './taken/shape';
import { frameAt, placeInBoat, type FrameEdge, type FrameSection } from './section';

/** What a frame is, where the boat's own way is said. */
export type FrameKind = Exclude<FramePlan['kind'], 'usual'>;

export type Frame = Omit<FrameSection, 'edges'> & {
  readonly id: string;
  readonly name: string;
  readonly kind: FrameKind;
  readonly material: 'plywood' | 'timber';
  readonly hand: Hand;
  /** Where along the skin it reaches; heights over the base line, absent: as far as the hull. */
  readonly reach: Reach;
  readonly edges: readonly MadeEdge[];
  /** The edge of the face that is not the station's, where any is bevelled: starboard half, from the centreline up. */
  readonly otherFace?: readonly Vec2[];
  /** What is cut, by the frame's own plane, y to starboard: of a pair the starboard part. */
  readonly cut: Region;
  /** What it is trimmed to, where it is cut larger: the edge before anything is cut in it. */
  readonly net?: Outline;
  /** Of sawn timber what it is put together from; absent: it is one piece of plywood. */
  readonly timbered?: Timbered;
  /** Doublers and lids of its openings. */
  readonly rims: readonly Rim[];
  readonly cleats: readonly Cleat[];
  /** It follows from a seam of a planked bottom: nothing is decided of it by itself. */
  readonly isUnderSeam: boolean;
  /** How many openings are cut in it. */
  readonly openings: number;
  /** Into how many pieces it falls, of which `cut` is the largest. */
  readonly pieces: number;
  /** Of one face, both parts of a pair together. */
  readonly areaM2: number;
};

export type Reach = Pick<FramePlan['bounds'], 'hand' | 'inner'> & {
  readonly outer?: number;
  readonly bottom?: number;
  readonly top?: number;
};

/** Whether a frame reaches a place at the skin: of a hand, on either side. */
export const reaches = ({ hand, inner, outer, bottom, top }: Reach, [, y, z]: Vec3): boolean =>
  (hand === 'across' || Math.abs(y) >= inner) &&
  (outer === undefined || Math.abs(y) <= outer) &&
  (bottom === undefined || z >= bottom) &&
  (top === undefined || z <= top);

/** An edge at the skin, how it is made, and how far it runs along the skin within the frame's bounds, both sides. */
export type MadeEdge = FrameEdge & { readonly school: School; readonly seamMm: number };

export type FrameMaking = {
  /** From the lines' surface to the inside of the skin. */
  readonly skin: number;
  readonly strips?: readonly RoundedStrip[];
  readonly school: School;
  readonly gap: number;
  /** Of the cutter for which inner corners are relieved; absent: none. */
  readonly relief?: number;
  /** Those that run along the hull. */
  readonly members?: readonly MemberRun[];
  /** Shapes taken off a hull, with the bevel of their edge. */
  readonly shapes?: readonly (Taken & { readonly bevelDeg: number })[];
} & Pick<FramesPart, 'sawn' | 'moulds'>;

/** What a plan's frame is in a boat that is built so. */
export function kindOf({ kind }: Pick<FramePlan, 'kind'>, school: School): FrameKind {
  if (kind !== 'usual') return kind;
  return school === 'framed' ? 'sawn' : 'bulkhead';
}

const SHEET_KINDS: readonly FrameKind[] = ['bulkhead', 'ring'];

/** Of the members for which frames are notched, what each takes. */
function notchesIn(section: FrameSection, members: readonly MemberRun[]): Notch[] {
  return members.flatMap((run) => {
    const outline = run.isThrough && run.side === 'inside' ? notchIn(run, section) : undefined;
    return outline ? [{ id: run.id, isPair: run.isPair, outline }] : [];
  });
}

/** How each edge of a plan's frame is made. A mould is glued to nothing: it is planed to the skin. */
export function edgesMade(
  plan: Pick<FramePlan, 'kind' | 'school' | 'edges' | 'shape' | 'lining'>,
  { school, gap, relief = 0 }: FrameMaking,
): EdgesMade {
  const own = plan.school ?? school;
  const isMould = plan.kind === 'mould';
  return {
    ...{ gap, relief, lining: plan.shape === '' ? 0 : plan.lining },
    schoolOf: (panel) => (isMould ? 'framed' : (plan.edges.find(({ id }) => id === panel)?.school ?? own)),
  };
}

/**
 * What came of a plan. `no-section`: no panel is cut there; `no-shape`: the shape it is cut to was not taken;
 * `nothing-left`: its bounds leave nothing.
 */
export type Shaped =
  | { readonly ok: true; readonly frame: Frame; readonly blank: Blank }
  | { readonly ok: false; readonly why: 'no-section' | 'no-shape' | 'nothing-left' };

/** A plan; of a timber under a seam of the bottom, which no builder placed, with stock of its own. */
export type TimberedPlan = FramePlan & { readonly stock?: TimberSettings };

export function shapeFrame(plan: TimberedPlan, panels: readonly Panel[], making: FrameMaking): Shaped {
  const section = plan.shape === '' ? sectionOfHull(plan, panels, making) : sectionOfShape(plan, making);
  if (!section) return { ok: false, why: plan.shape === '' ? 'no-section' : 'no-shape' };
  const kind = kindOf(plan, plan.school ?? making.school);
  const edges = edgesMade(plan, making);
  const blank = blankOf(
    section,
    { ...plan, ring: kind === 'ring' ? plan.ring : null },
    edges,
    notchesIn(section, making.members ?? []),
  );
  const net = netOutline(section, plan, edges);
  const isTimber = !SHEET_KINDS.includes(kind);
  const settings = plan.stock ?? (kind === 'mould' ? making.moulds : making.sawn);
  const timbered = isTimber
    ? timberedFrame({ section, blank, hand: plan.bounds.hand, made: edges, settings })
    : undefined;
  const regions = timbered?.regions ?? blank.regions;
  const cut = regions[0];
  if (!cut) return { ok: false, why: 'nothing-left' };
  const { hand } = plan.bounds;
  const reach = reachOf(plan);
  const isBevelled = section.edges.some(({ panel }) => edges.schoolOf(panel) === 'framed');
  const frame: Frame = {
    ...section,
    id: plan.id,
    name: plan.name,
    kind,
    material: isTimber ? 'timber' : 'plywood',
    hand,
    reach,
    edges: section.edges.map((edge) => ({
      ...edge,
      school: edges.schoolOf(edge.panel),
      seamMm: seamLength(edge, section, reach),
    })),
    ...(isBevelled && { otherFace: otherFaceHalf(section) }),
    cut,
    ...(net && { net }),
    rims: rimsOf(plan, plan.openings, ({ isPair }) => hand === 'pair' || (hand === 'across' && isPair)),
    cleats: cleatsOf(plan.cleats, {
      ...{ section, blank, hand },
      isBevelled: (panel) => edges.schoolOf(panel) === 'framed',
    }),
    isUnderSeam: plan.stock !== undefined,
    openings: plan.openings.length,
    pieces: regions.length,
    ...(timbered && { timbered: timbered.made }),
    areaM2: (netArea(cut) * (hand === 'pair' ? 2 : 1)) / 1e6,
  };
  return { ok: true, frame, blank };
}

/** Of a frame that is cut proud the outline without that. */
function netOutline(section: FrameSection, plan: FramePlan, edges: EdgesMade): Outline | undefined {
  if (plan.proud.skin === 0 && plan.proud.top === 0) return undefined;
  const bare = { ...plan, ring: null, proud: { skin: 0, top: 0 }, openings: [], limbers: [], slots: [] };
  return blankOf(section, bare, edges).regions[0]?.outline;
}

function sectionOfHull(
  { x, width, face, lining, rakeDeg }: FramePlan,
  panels: readonly Panel[],
  { skin, strips }: FrameMaking,
): FrameSection | undefined {
  const options = { skin: skin + lining, width, face, rakeRad: toRad(rakeDeg) };
  return frameAt(panels, x, { ...options, ...(strips && { strips }) });
}

/** It was taken on the inside of the skin: only a lining is still to come off. */
function sectionOfShape(
  { shape, x, width, face, rakeDeg }: FramePlan,
  { shapes = [] }: FrameMaking,
): FrameSection | undefined {
  const taken = shapes.find(({ id }) => id === shape);
  return taken && sectionOfTaken(taken, taken.bevelDeg, { x, width, face, rakeRad: toRad(rakeDeg) });
}

function reachOf({ bounds: { hand, inner, outer, bottom }, top }: FramePlan): Reach {
  return {
    ...{ hand, inner },
    ...(outer !== null && { outer }),
    ...(bottom !== null && { bottom }),
    ...(top.kind === 'level' && { top: top.mm }),
  };
}

/** Along the skin, as far as the frame goes, on both sides of the boat or on its own. */
function seamLength(edge: FrameEdge, section: FrameSection, reach: Reach): number {
  let length = 0;
  for (let i = 1; i < edge.points.length; i++) {
    const [a, b] = [at(edge.points, i - 1), at(edge.points, i)].map(({ y, z }): Vec2 => [y, z]) as [Vec2, Vec2]; // two
    if (reaches(reach, placeInBoat(section, lerp2(a, b, 0.5)))) length += distance2(a, b);
  }
  return reach.hand === 'across' || reach.hand === 'pair' ? 2 * length : length;
}

/**
 * As it is seen by one who looks at its station face: from forward starboard is on the left. For drawings and for what
 * is cut; a pair's part is the starboard one.
 */
export const asSeen = ({ face }: Pick<Frame, 'face'>, [y, z]: Vec2): Vec2 => (face === 'fore' ? [-y, z] : [y, z]);

/** Whether its middle is left in, and no opening is cut in it: room for words. */
export const isSolid = ({ kind, openings }: Pick<Frame, 'kind' | 'openings'>): boolean =>
  kind === 'bulkhead' && openings === 0;

/** What it is trimmed to, as it is seen from the station face: closed, its first point again at the end. */
export const netAsSeen = (frame: Pick<Frame, 'face' | 'net'>): Vec2[][] =>
  frame.net ? [[...frame.net, at(frame.net, 0)].map((p) => asSeen(frame, p))] : [];

/** What is cut, as it is seen from the station face. */
export function cutAsSeen(frame: Pick<Frame, 'face' | 'cut'>): Region {
  if (frame.face === 'aft') return frame.cut;
  const over = (ring: readonly Vec2[]) => [...ring].reverse().map((p) => asSeen(frame, p));
  return { outline: over(frame.cut.outline), holes: frame.cut.holes.map(over) };
}
