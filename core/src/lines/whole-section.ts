/** The section of the whole skin by the plane x = const, as it stands on the lofting board. */
import type { Vec2 } from '../geometry';
import { battenAt, crossingsOfX } from './batten';
import type { Hull } from './hull';
import { sectionAt, type LaidRuling } from '../surface';

/** A developed panel, as far as a section of it goes. */
export type Ruled = { readonly rulings: readonly LaidRuling[] };

/** The section of the skin's outer side at a station, from panel to panel: the true curves where panels are given, else
 * straight from line to line. Half-breadth and height. */
export function sectionCurves(hull: Hull, panels: readonly Ruled[], x: number): Vec2[][] {
  const curves = panels.map((panel) => sectionAt(panel.rulings, x).map(({ space }): Vec2 => [space[1], space[2]]));
  if (panels.length > 0) return curves.filter((curve) => curve.length > 1);
  const corners = sectionCorners(hull, x);
  return corners.length > 1 ? [corners] : [];
}

/** Where the lines that bound panels pass x, lowest first. */
export const sectionCorners = (hull: Hull, x: number): Vec2[] =>
  hull.lines.flatMap((line) =>
    crossingsOfX(line.batten, x)
      .slice(0, 1)
      .map((t): Vec2 => {
        const [, y, z] = battenAt(line.batten, t).position;
        return [y, z];
      }),
  );
