/**
 * The boat cut across at a place: the skin, every part there, and how far one lies over another.
 *
 * Method: the skin by its panels' sections, outside and inside (surface/section.ts); a part where its sheet passes the
 * plane, piece by piece, as a strip between its two faces.
 * Conventions: y to starboard, z up. Both sides are given.
 */
import { upright, type Vec2 } from '../geometry';
import type { Panel } from '../panels';
import { sectionAt } from '../surface';
import { planeAtX } from './fitted';
import { alongAt, overMiddle, placeOn } from './lie';
import type { Fitted } from './value';

export type PartInSection = {
  readonly plan: string;
  readonly name: string;
  readonly outline: readonly Vec2[];
  /** Of its upper face, at the middle of this strip. */
  readonly topMm: number;
  readonly at: Vec2;
};

export type Section = {
  /** Outside and inside of the skin, both sides. */
  readonly skin: readonly (readonly Vec2[])[];
  readonly parts: readonly PartInSection[];
};

/** Steps across a cambered part, and of a flat one. */
const STEPS = 24;

export function sectionOf(
  { panels, parts }: { readonly panels: readonly Panel[]; readonly parts: readonly Fitted[] },
  x: number,
  skin: { readonly inside: number; readonly outside: number },
): Section {
  const lines = panels.flatMap(({ rulings, only, spansCentreline }) =>
    [skin.outside, skin.inside].flatMap((inset) => {
      const own = sectionAt(rulings, x, inset).map(({ space }): Vec2 => [space[1], space[2]]);
      const over = own.map(([y, z]): Vec2 => [-y, z]);
      if (own.length < 2) return [];
      return only === 'port' ? [over] : only === 'starboard' || spansCentreline ? [own] : [own, over];
    }),
  );
  return { skin: lines, parts: parts.flatMap((part) => inSection(part, x)) };
}

function inSection(part: Fitted, x: number): PartInSection[] {
  const { lie, hand, plan } = part;
  const [under, top] = [overMiddle(lie, 'under'), overMiddle(lie, 'top')];
  return part.pieces.flatMap((piece) => {
    const u = alongAt(lie, planeAtX(x), 0, 0);
    const strips = upright(piece.region.outline, u).flatMap((span) => without(span, piece.region.holes, u));
    return strips.flatMap(([from, to]) => {
      const on = (v: number, over: number): Vec2 => {
        const [, y, z] = placeOn(lie, [alongAt(lie, planeAtX(x), v, over), v], over);
        return [y, z];
      };
      const steps = lie.radius > 0 ? STEPS : 1;
      const vs = Array.from({ length: steps + 1 }, (_, i) => from + ((to - from) * i) / steps);
      const outline = [...vs.map((v) => on(v, under)), ...[...vs].reverse().map((v) => on(v, top))];
      const at = on((from + to) / 2, top);
      const own = { plan, name: part.name, outline, topMm: at[1], at };
      if (hand !== 'pair') return [own];
      const over = outline.map(([y, z]): Vec2 => [-y, z]);
      return [own, { ...own, outline: over, at: [-at[0], at[1]] as const }];
    });
  });
}

/** What of a span across is left beside holes. */
function without(span: readonly [number, number], holes: readonly (readonly Vec2[])[], u: number): [number, number][] {
  const cut = holes.flatMap((hole) => upright(hole, u)).sort((a, b) => a[0] - b[0]);
  const left: [number, number][] = [];
  let [from] = span;
  for (const [low, high] of cut) {
    if (low >= span[1] || high <= from) continue;
    if (low > from) left.push([from, low]);
    from = high;
  }
  if (from < span[1]) left.push([from, span[1]]);
  return left;
}
