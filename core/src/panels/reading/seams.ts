/**
 * Where panels meet: that their edges are equally long, and the holes by which they are stitched.
 *
 * Holes are set at even steps of arc length along the line itself, so that those of both panels are as many, as far
 * apart and face each other; numbered from the bow. On the flat each lies `inset` square in from the cut edge.
 */
import { at, distance2, distance3, lerp2, type Vec2 } from '../../geometry';
import { directionAt, STILL_MM } from '../cut/set-back';
import {
  lengthBetween,
  onEdge,
  onLine,
  pointsBetween,
  sharedStretches,
  type EdgeOfPanel,
  type PanelEnd,
  type Shared,
} from '../neighbours';
import type { Panel } from '../panel';
import type { PanelsPart } from '../schema';
import type { LaidRuling } from '../../surface';

export type Seam = {
  readonly line: string;
  /** The panel below the line, at its upper edge, and the one above, at its lower. */
  readonly panels: readonly [string, string];
  /** Of the two edges on the lines' surface, which must be equal. */
  readonly lengths: readonly [number, number];
  /** The second less the first, mm. */
  readonly difference: number;
  /** The same of the edges as they are cut: with thick sheet one runs outside the other and is truly longer. */
  readonly cutDifference: number;
};

/** The seams between neighbouring panels, lowest first; at a rounded chine the panels do not meet. */
export const seamsOf = (panels: readonly Panel[], roundedChines: PanelsPart['roundedChines'] = []): Seam[] =>
  sharedStretches(panels).flatMap((shared) => {
    const { line, from, to, below, above } = shared;
    if (!below || roundedChines.some(({ id }) => id === line)) return [];
    const cut = [lengthBetween(below, [from, to]), lengthBetween(above, [from, to])] as const;
    const lengths = [cut[0] - longerBy(below, shared), cut[1] - longerBy(above, shared)] as const;
    return [
      {
        line,
        panels: [below.panel.id, above.panel.id],
        lengths,
        difference: lengths[1] - lengths[0],
        cutDifference: cut[1] - cut[0],
      },
    ];
  });

/** How much longer a cut edge is than the line where it is shared; nought for one that is not cut. */
const longerBy = ({ panel, end }: EdgeOfPanel, { line, from }: Shared): number =>
  panel.allowances?.[end === 'P' ? 0 : 1].stretches.find((one) => one.line === line && one.from === from)?.longerBy ??
  0;

export type Stitch = {
  readonly line: string;
  /** From the bow, the same on both panels. */
  readonly number: number;
  readonly at: Vec2;
};

/** Nearer to an end than this the sheet would split. */
const CLEAR_OF_END_MM = 40;

/**
 * The holes of one panel along the edges that it shares, but for a rounded chine and a timber on the outside, which are
 * not stitched; the keel is
 * shared with the panel's own mirror. Along a line that several panels share in turn the numbers run on.
 */
export function stitchesOf(
  panel: Panel,
  panels: readonly Panel[],
  { stitches, roundedChines }: Pick<PanelsPart, 'stitches' | 'roundedChines'>,
): Stitch[] {
  if (stitches.spacing <= 0) return [];
  const last = new Map<string, number>();
  const runs = [...sharedStretches(panels)]
    .sort((a, b) => a.from - b.from)
    .flatMap((shared) => {
      if (roundedChines.some(({ id }) => id === shared.line)) return [];
      const { above, below } = shared;
      if (above.panel.allowances?.[0].isOverLog || below?.panel.allowances?.[1].isOverLog) return [];
      const places = evenPlaces(shared, stitches.spacing).filter(
        (t) => !isCutAway(above, t) && !(below && isCutAway(below, t)),
      );
      const first = (last.get(shared.line) ?? 0) + 1;
      last.set(shared.line, first + places.length - 1);
      return [{ shared, places, first }];
    });
  return (['P', 'Q'] as const).flatMap((end) =>
    runs.flatMap(({ shared, places, first }) => {
      // the port edge of a bottom across the centreline is its starboard edge's mirror
      const isOwnMirror = panel.spansCentreline && end === 'P';
      const own = end === 'P' && !isOwnMirror ? shared.above : shared.below;
      if (own?.panel !== panel) return [];
      return places.map((t, i) => ({
        line: shared.line,
        number: first + i,
        at: insetPoint(panel.rulings, end, onEdge(own.stretch, t), stitches.inset),
      }));
    }),
  );
}

const paramOf = (r: LaidRuling, end: PanelEnd): number => (end === 'P' ? r.s : r.t);
const flatOf = (r: LaidRuling, end: PanelEnd): Vec2 => (end === 'P' ? r.flatP : r.flatQ);

/**
 * Parameters of the line at even steps along what is shared of it, the first and last clear of its ends. Both panels'
 * holes are at these, whatever their own rulings.
 */
function evenPlaces({ above, from, to }: Shared, spacing: number): number[] {
  const points = pointsBetween(above, [from, to]);
  const lengths = [0];
  for (let k = 1; k < points.length; k++)
    lengths.push(at(lengths, -1) + distance3(at(points, k - 1).space, at(points, k).space));
  const room = at(lengths, -1) - 2 * CLEAR_OF_END_MM;
  if (room <= 0) return [];
  const count = Math.max(1, Math.round(room / spacing));
  let k = 1;
  return Array.from({ length: count + 1 }, (_, i) => {
    const wanted = CLEAR_OF_END_MM + (i * room) / count;
    while (k < points.length - 1 && at(lengths, k) < wanted) k++;
    const [l0, l1] = [at(lengths, k - 1), at(lengths, k)];
    const w = l1 > l0 ? (wanted - l0) / (l1 - l0) : 0;
    const [u0, u1] = [at(points, k - 1).u, at(points, k).u];
    return onLine(above.stretch, u0 + w * (u1 - u0));
  });
}

/** The ruling at or next after the edge's parameter u, never the first. */
function stepTo(rulings: readonly LaidRuling[], end: PanelEnd, u: number): number {
  let k = 1;
  while (k < rulings.length - 1 && paramOf(at(rulings, k), end) < u) k++;
  return k;
}

/**
 * Whether an edge, cut, has nothing left of the line's parameter t: there its rulings are drawn together in a corner.
 */
function isCutAway({ panel: { rulings }, end, stretch }: EdgeOfPanel, t: number): boolean {
  const u = onEdge(stretch, t);
  const k = stepTo(rulings, end, u);
  const [r0, r1] = [at(rulings, k - 1), at(rulings, k)];
  return paramOf(r1, end) - paramOf(r0, end) > NO_STEP && distance2(flatOf(r0, end), flatOf(r1, end)) < STILL_MM;
}

/** Parameters no further apart are one place of the edge. */
const NO_STEP = 1e-6;

/** The flat place of the line's parameter u, moved in square to the edge. */
function insetPoint(rulings: readonly LaidRuling[], end: PanelEnd, u: number, inset: number): Vec2 {
  const k = stepTo(rulings, end, u);
  const [c, s] = directionAt(
    rulings.map((r) => flatOf(r, end)),
    k,
  );
  const [r0, r1] = [at(rulings, k - 1), at(rulings, k)];
  const w = paramOf(r1, end) > paramOf(r0, end) ? (u - paramOf(r0, end)) / (paramOf(r1, end) - paramOf(r0, end)) : 0;
  const on = lerp2(flatOf(r0, end), flatOf(r1, end), w);
  const side = end === 'P' ? inset : -inset; // u runs aft and v from P to Q: inward is to the left of P's edge
  return [on[0] - side * s, on[1] + side * c];
}
