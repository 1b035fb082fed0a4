/**
 * How a flat panel differs from the same one as it was drawn, edge by edge.
 *
 * Method: the one laid on the other by the turn and the move that bring their edges nearest, place by place at even
 * shares of each edge's length (least squares; closed form in the plane), and what lies off, square to the edge.
 */
import { at, distance2, laidOn, pointAtLength, polylineLength, type Vec2 } from '../geometry';
import type { Panel } from '../panels';

export type EdgeChange = {
  /** The line that it runs along. */
  readonly edge: string;
  readonly isUpper: boolean;
  /** Longer by so much than as drawn, mm. */
  readonly longerBy: number;
  /** What goes off most, outward, negative inward, mm; and how far along the edge from its fore end that is. */
  readonly offMm: number;
  readonly alongMm: number;
};

type Edged = Pick<Panel, 'edges'>;
const PLACES = 120;

/** Of the lower and the upper edge. */
export function edgeChanges(built: Edged, drawn: Edged): EdgeChange[] {
  const [is, was] = [sampled(built), sampled(drawn)];
  const lay = laidOn(is.flat(), was.flat());
  return drawn.edges.map((edge, k): EdgeChange => {
    const laid = at(is, k).map(lay);
    const off = laid.map((p, i) => outward(at(was, k), i, k === 1, p));
    const most = off.reduce((worst, mm, i) => (Math.abs(mm) > Math.abs(at(off, worst)) ? i : worst), 0);
    return {
      ...{ edge: edge.line, isUpper: k === 1, longerBy: lengthOf(built, k) - lengthOf(drawn, k) },
      ...{ offMm: at(off, most), alongMm: (most / PLACES) * lengthOf(drawn, k) },
    };
  });
}

const lengthOf = ({ edges }: Edged, k: number): number => at(edges, k).length;

const sampled = ({ edges }: Edged): Vec2[][] =>
  edges.map(({ points }) => {
    const line = points.map(({ flat }) => flat);
    const long = polylineLength(line);
    return Array.from({ length: PLACES + 1 }, (_, i) => pointAtLength(line, (i / PLACES) * long));
  });

/** How far a point lies outward of an edge at its i-th place: to the right of the lower one as it runs aft. */
function outward(edge: readonly Vec2[], i: number, isUpper: boolean, [x, y]: Vec2): number {
  const [before, after] = [at(edge, Math.max(0, i - 1)), at(edge, Math.min(edge.length - 1, i + 1))];
  const long = distance2(before, after);
  if (long === 0) return 0;
  const [u, v] = at(edge, i);
  const toRight = ((x - u) * (after[1] - before[1]) - (y - v) * (after[0] - before[0])) / long;
  return isUpper ? -toRight : toRight;
}
