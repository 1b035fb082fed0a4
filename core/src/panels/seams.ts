/**
 * Where panels meet: that their edges are equally long, and the holes by which they are stitched.
 *
 * Holes are set at even steps of arc length along the line itself, so that those of both panels are as many, as far apart
 * and face each other; numbered from the bow. On the flat each lies `inset` square in from the cut edge.
 */
import { at, lerp2, type Vec2 } from '../geometry';
import { CENTRELINE_MM } from '../lines';
import { directionAt } from './cut';
import type { Panel } from './panel';
import type { PanelsPart } from './schema';
import type { LaidRuling } from './strip';

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
  panels.slice(1).flatMap((above, i) => {
    if (roundedChines.some(({ id }) => id === above.edges[0].line)) return [];
    const below = at(panels, i);
    const cut = [below.edges[1].length, above.edges[0].length] as const;
    const lengths = [
      cut[0] - (below.allowances?.[1].longerBy ?? 0),
      cut[1] - (above.allowances?.[0].longerBy ?? 0),
    ] as const;
    return [
      {
        line: above.edges[0].line,
        panels: [below.id, above.id],
        lengths,
        difference: lengths[1] - lengths[0],
        cutDifference: cut[1] - cut[0],
      },
    ];
  });

export type Stitch = {
  readonly line: string;
  /** From the bow, the same on both panels. */
  readonly number: number;
  readonly at: Vec2;
};

/** Nearer to an end than this the sheet would split. */
const CLEAR_OF_END_MM = 40;

/** The holes of one panel along the edges that it shares, but for a rounded chine, which is not stitched; the keel is shared with the panel's own mirror. */
export function stitchesOf(
  panel: Panel,
  panels: readonly Panel[],
  { stitches, roundedChines }: Pick<PanelsPart, 'stitches' | 'roundedChines'>,
): Stitch[] {
  if (stitches.spacing <= 0) return [];
  const place = panels.indexOf(panel);
  const isKeel = panel.rulings.every((r) => Math.abs(r.p[1]) <= CENTRELINE_MM);
  const ends = [
    ...(place > 0 || isKeel || panel.spansCentreline ? (['P'] as const) : []),
    ...(place < panels.length - 1 ? (['Q'] as const) : []),
  ];
  return ends.flatMap((end) => {
    const line = panel.edges[end === 'P' ? 0 : 1].line;
    if (roundedChines.some(({ id }) => id === line)) return [];
    return evenPlaces(panel.rulings, end, stitches.spacing).map((u, i) => ({
      line,
      number: i + 1,
      at: insetPoint(panel.rulings, end, u, stitches.inset),
    }));
  });
}

const paramOf = (r: LaidRuling, end: 'P' | 'Q'): number => (end === 'P' ? r.s : r.t);
const spaceOf = (r: LaidRuling, end: 'P' | 'Q') => (end === 'P' ? r.p : r.q);
const flatOf = (r: LaidRuling, end: 'P' | 'Q'): Vec2 => (end === 'P' ? r.flatP : r.flatQ);

/** Parameters of the line at even steps along it, the first and last clear of its ends. */
function evenPlaces(rulings: readonly LaidRuling[], end: 'P' | 'Q', spacing: number): number[] {
  const lengths = [0];
  for (let k = 1; k < rulings.length; k++) {
    const [a, b] = [spaceOf(at(rulings, k - 1), end), spaceOf(at(rulings, k), end)];
    lengths.push(at(lengths, -1) + Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]));
  }
  const room = at(lengths, -1) - 2 * CLEAR_OF_END_MM;
  if (room <= 0) return [];
  const count = Math.max(1, Math.round(room / spacing));
  let k = 1;
  return Array.from({ length: count + 1 }, (_, i) => {
    const wanted = CLEAR_OF_END_MM + (i * room) / count;
    while (k < rulings.length - 1 && at(lengths, k) < wanted) k++;
    const [l0, l1] = [at(lengths, k - 1), at(lengths, k)];
    const w = l1 > l0 ? (wanted - l0) / (l1 - l0) : 0;
    const [u0, u1] = [paramOf(at(rulings, k - 1), end), paramOf(at(rulings, k), end)];
    return u0 + w * (u1 - u0);
  });
}

/** The flat place of the line's parameter u, moved in square to the edge. */
function insetPoint(rulings: readonly LaidRuling[], end: 'P' | 'Q', u: number, inset: number): Vec2 {
  let k = 1;
  while (k < rulings.length - 1 && paramOf(at(rulings, k), end) < u) k++;
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
