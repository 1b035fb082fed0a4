/**
 * Panels and transoms cut proud: larger by an allowance along each edge, to be trimmed in place to the net line.
 *
 * A panel's `outline` stays its net line, in which its edges fit their neighbours; what is cut is kept beside it. Mm.
 */
import { at, distance2, setOut, type Vec2 } from '../../geometry';
import type { Panel } from '../panel';
import type { PanelProud, PanelsPart } from '../schema';
import type { Transom } from '../transom/transom';
import type { Proud } from './cut-line';

/** What is left on along a panel's edges: its own, else as on all. */
export const proudOf = (id: string, { proud, ownProud }: Pick<PanelsPart, 'proud' | 'ownProud'>): PanelProud =>
  ownProud.find((own) => own.id === id) ?? proud;

/** The panel with what is cut; as it is where nothing is left on. */
export function proudPanel(panel: Panel, lower: number, upper: number, fore: number, aft: number): Panel {
  const sides = sidesOf(panel);
  const outs = { lower, upper, fore, aft };
  const proud = proudBy(
    (['lower', 'aft', 'upper', 'fore'] as const).map((side) => ({ points: sides[side], outMm: outs[side] })),
  );
  return proud ? { ...panel, proud } : panel;
}

/** A transom: along the skin, and at the top, which is the side that crosses the centreline highest. */
export function proudTransom(transom: Transom, skin: number, top: number): Transom {
  const ring = transom.outline;
  const crossing = ring.map((from, i) => {
    const to = at(ring, (i + 1) % ring.length);
    return { i, up: (from[1] + to[1]) / 2, isTop: from[0] > 0 !== to[0] > 0 && from[0] > to[0] };
  });
  const highest = crossing.filter(({ isTop }) => isTop).sort((a, b) => b.up - a.up)[0];
  if (!highest) return transom;
  const { i } = highest;
  const turnedTo = [...ring.slice(i), ...ring.slice(0, i)];
  const proud = proudBy([
    { points: turnedTo.slice(0, 2), outMm: top },
    { points: [...turnedTo.slice(1), at(turnedTo, 0)], outMm: skin },
  ]);
  return proud ? { ...transom, proud } : transom;
}

type Left = { readonly points: readonly Vec2[]; readonly outMm: number };

function proudBy(sides: readonly Left[]): Proud | undefined {
  const real = sides.filter(({ points }) => points.length > 1);
  if (real.every(({ outMm }) => outMm === 0)) return undefined;
  return { outline: setOut(real), net: real.flatMap(({ points, outMm }) => (outMm > 0 ? [points] : [])) };
}

/** A panel's outline as its four sides, each from where the last one ends; a pointed end is none. */
function sidesOf({ outline, edges }: Panel): Record<'lower' | 'aft' | 'upper' | 'fore', Vec2[]> {
  const [lower, upper] = edges;
  const nearest = (to: Vec2, from: number) =>
    outline.reduce((best, p, i) => (i >= from && distance2(p, to) < distance2(at(outline, best), to) ? i : best), from);
  const lowAft = nearest(at(lower.points, -1).flat, 0);
  const highAft = nearest(at(upper.points, -1).flat, lowAft);
  const fore = at(upper.points, 0).flat;
  const closed = [...outline, at(outline, 0)];
  const last = closed.length - 1;
  const isPointed = distance2(fore, at(outline, 0)) < SAME_FLAT_MM;
  const highFore = isPointed ? last : nearest(fore, highAft);
  return {
    lower: closed.slice(0, lowAft + 1),
    aft: closed.slice(lowAft, highAft + 1),
    upper: closed.slice(highAft, highFore + 1),
    fore: closed.slice(highFore, last + 1),
  };
}

/** Points nearer than this in the flat are one point of the outline. */
const SAME_FLAT_MM = 2e-3;
