/** The hull taken apart by a share: first the frames and the transom come out, then the panels, flat on the floor. */
import { foldHull, type FoldedRuling, type Panel } from '@kalotrope/core/panels';
import { add3, type Vec3 } from '@kalotrope/core/geometry';

/** Of the whole way, that the frames take. */
const FRAMES_OUT = 0.35;

export type Apart = {
  /** From 0 to 1: how far frames and transom are out. */
  readonly out: number;
  /** By starboard panel: its rulings where they then are. */
  readonly shapes: readonly (readonly FoldedRuling[])[];
};

/** Between panels that lie on the floor, of the boat's length. */
const GAP = 0.02;

export function takeApart(panels: readonly Panel[], share: number, length: number): Apart {
  const out = Math.min(1, share / FRAMES_OUT);
  const flat = Math.max(0, (share - FRAMES_OUT) / (1 - FRAMES_OUT));
  if (flat === 0) return { out, shapes: panels.map(({ rulings }) => rulings) };
  const shapes = foldHull(panels, 1 - flat).map((shape, i) => {
    const by: Vec3 = [0, flat * GAP * length * (i + (panels[0]?.spansCentreline ? 0 : 0.5)), 0];
    return shape.map(({ p, q }) => ({ p: add3(p, by), q: add3(q, by) }));
  });
  return { out, shapes };
}
