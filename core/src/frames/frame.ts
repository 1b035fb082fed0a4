/** A frame as it is built: the hull's section where it stands, how its edges are made, and what is cut of it. */
import { area, at, distance2, type Region, type Vec2 } from '../geometry';
import { toRad } from '../measure';
import type { Panel, RoundedStrip } from '../panels';
import { blankOf, type Blank, type EdgesMade } from './blank';
import type { Notch } from './cuts';
import { notchIn, type MemberRun } from './member';
import type { FramePlan, Hand, School } from './schema';
import { frameAt, type FrameEdge, type FrameSection } from './section';

/** What a frame is, where the boat's own way is said. */
export type FrameKind = Exclude<FramePlan['kind'], 'usual'>;

export type Frame = Omit<FrameSection, 'edges'> & {
  readonly id: string;
  readonly name: string;
  readonly kind: FrameKind;
  readonly material: 'plywood' | 'timber';
  readonly hand: Hand;
  readonly edges: readonly MadeEdge[];
  /** What is cut, by the frame's own plane, y to starboard: of a pair the starboard part. */
  readonly cut: Region;
  /** Into how many pieces it falls, of which `cut` is the largest. */
  readonly pieces: number;
  /** Of one face, both parts of a pair together. */
  readonly areaM2: number;
};

/** An edge at the skin, how it is made, and how far it runs along the skin within the frame's bounds, both sides. */
export type MadeEdge = FrameEdge & { readonly school: School; readonly seamMm: number };

export type FrameMaking = {
  /** From the lines' surface to the inside of the skin. */
  readonly skin: number;
  readonly strips?: readonly RoundedStrip[];
  readonly school: School;
  readonly gap: number;
  /** Those that run along the hull. */
  readonly members?: readonly MemberRun[];
};

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
export function edgesMade(plan: Pick<FramePlan, 'kind' | 'school' | 'edges'>, { school, gap }: FrameMaking): EdgesMade {
  const own = plan.school ?? school;
  const isMould = plan.kind === 'mould';
  return {
    gap,
    schoolOf: (panel) => (isMould ? 'framed' : (plan.edges.find(({ id }) => id === panel)?.school ?? own)),
  };
}

/** What came of a plan. `no-section`: no panel is cut there; `nothing-left`: its bounds leave nothing. */
export type Shaped =
  | { readonly ok: true; readonly frame: Frame; readonly blank: Blank }
  | { readonly ok: false; readonly why: 'no-section' | 'nothing-left' };

export function shapeFrame(plan: FramePlan, panels: readonly Panel[], making: FrameMaking): Shaped {
  const { width, face, lining } = plan;
  const rakeRad = toRad(plan.rakeDeg);
  const section = frameAt(panels, plan.x, {
    ...{ skin: making.skin + lining, width, face, rakeRad },
    ...(making.strips && { strips: making.strips }),
  });
  if (!section) return { ok: false, why: 'no-section' };
  const kind = kindOf(plan, plan.school ?? making.school);
  const edges = edgesMade(plan, making);
  const blank = blankOf(
    section,
    { ...plan, ring: kind === 'ring' ? plan.ring : null },
    edges,
    notchesIn(section, making.members ?? []),
  );
  const cut = blank.regions[0];
  if (!cut) return { ok: false, why: 'nothing-left' };
  const { hand } = plan.bounds;
  const frame: Frame = {
    ...section,
    id: plan.id,
    name: plan.name,
    kind,
    material: SHEET_KINDS.includes(kind) ? 'plywood' : 'timber',
    hand,
    edges: section.edges.map((edge) => ({
      ...edge,
      school: edges.schoolOf(edge.panel),
      seamMm: seamLength(edge, plan, rakeRad),
    })),
    cut,
    pieces: blank.regions.length,
    areaM2: (netArea(cut) * (hand === 'pair' ? 2 : 1)) / 1e6,
  };
  return { ok: true, frame, blank };
}

const netArea = ({ outline, holes }: Region): number =>
  area(outline) - holes.reduce((sum, hole) => sum + area(hole), 0);

/** Along the skin, as far as the frame goes, on both sides of the boat or on its own. */
function seamLength(edge: FrameEdge, { bounds, top }: FramePlan, rakeRad: number): number {
  const { hand, inner, outer, bottom } = bounds;
  const isWithin = ([y, z]: Vec2) =>
    (hand === 'across' || y >= inner) &&
    (outer === null || y <= outer) &&
    (bottom === null || z * Math.cos(rakeRad) >= bottom) &&
    (top.kind !== 'level' || z * Math.cos(rakeRad) <= top.mm);
  let length = 0;
  for (let i = 1; i < edge.points.length; i++) {
    const [a, b] = [at(edge.points, i - 1), at(edge.points, i)].map(({ y, z }): Vec2 => [y, z]) as [Vec2, Vec2]; // two
    if (isWithin([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2])) length += distance2(a, b);
  }
  return hand === 'across' || hand === 'pair' ? 2 * length : length;
}

/**
 * As it is seen by one who looks at its station face: from forward starboard is on the left. For drawings and for what
 * is cut; a pair's part is the starboard one.
 */
export const asSeen = ({ face }: Pick<Frame, 'face'>, [y, z]: Vec2): Vec2 => (face === 'fore' ? [-y, z] : [y, z]);

/** What is cut, as it is seen from the station face. */
export function cutAsSeen(frame: Pick<Frame, 'face' | 'cut'>): Region {
  if (frame.face === 'aft') return frame.cut;
  const over = (ring: readonly Vec2[]) => [...ring].reverse().map((p) => asSeen(frame, p));
  return { outline: over(frame.cut.outline), holes: frame.cut.holes.map(over) };
}
