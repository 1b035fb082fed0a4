/**
 * What the panels would have to be if frames stood a little off: how much each seam gapes for each mm.
 *
 * Method (derived here): each frame in turn is moved along, up and aside by so much, the battens go with it
 * (lines/displaced.ts), the panels are developed anew, laid on those drawn, and what lies between the edges, square to
 * them, is what the sheet as cut lacks there. The ends of the boat stay.
 */
import { add3, at, laidOn, pointAtLength, polylineLength, scale3, type Vec2, type Vec3 } from '../../geometry';
import { displaced, type Hull, type MovedSection } from '../../lines';
import type { Plane } from '../../surface';
import { assembleSkin, type SkinSettings, type StockForStrips } from '../develop';
import type { Panel } from '../panel';
import { edgeLine } from '../reading/edge-line';
import type { Facings } from './facing';

export type FrameOff = {
  readonly frame: string;
  readonly motion: 'along' | 'up' | 'aside';
  /** At each place, mm a mm. */
  readonly gaps: Float64Array;
};

export type HeldHull = {
  readonly hull: Hull;
  readonly settings: SkinSettings;
  readonly stock: StockForStrips;
  readonly frames: readonly { readonly id: string; readonly plane: Plane }[];
};

const WAYS: Readonly<Record<FrameOff['motion'], Vec3>> = { along: [1, 0, 0], up: [0, 0, 1], aside: [0, 1, 0] };
const MOTIONS = ['along', 'up', 'aside'] as const;
/** As far as frames are set off: what the panels do is as good as straight over it. */
const BY_MM = 2;
const KEEL_WITHIN_MM = 300;

export const framesOff = (facings: Facings, held: HeldHull): FrameOff[] =>
  held.frames.flatMap(({ id }) =>
    MOTIONS.map((motion): FrameOff => {
      const gaps = gapsWhere(facings, held, new Map([[id, scale3(WAYS[motion], BY_MM)]]));
      return { frame: id, motion, gaps: gaps.map((mm) => mm / BY_MM) };
    }),
  );

/** What is lacking at each place, mm, where frames, by their ids, went so far: x aft, y to starboard, z up. */
export function gapsWhere(facings: Facings, held: HeldHull, offs: ReadonlyMap<string, Vec3>): Float64Array {
  const needed = neededEdges(facings, held, offs);
  return Float64Array.from(facings.places, ({ sides }) =>
    sides.reduce((sum, { edge, along, place: { point, outward } }) => {
      const line = needed[edge];
      if (!line) return sum;
      const [x, y] = pointAtLength(line, (along / at(facings.edges, edge).line.length) * polylineLength(line));
      return sum + (x - point[0]) * outward[0] + (y - point[1]) * outward[1];
    }, 0),
  );
}

/** For each edge the line that it should have been cut to; undefined where no panel comes of it. */
function neededEdges(
  { sheets, edges }: Facings,
  { hull, settings, stock, frames }: HeldHull,
  offs: ReadonlyMap<string, Vec3>,
): (readonly Vec2[] | undefined)[] {
  const moved = (hand: 1 | -1): Hull =>
    displaced(
      hull,
      frames.map(({ id, plane }): MovedSection => {
        const [x, y, z] = offs.get(id) ?? [0, 0, 0];
        return { plane, move: (p) => add3(p, [x, hand * y, z]) };
      }),
    );
  const isAlike = [...offs.values()].every(([, y]) => y === 0);
  const asked = { ...settings, keelWithinMm: KEEL_WITHIN_MM };
  const panelsOf = (one: Hull, other: Hull) =>
    assembleSkin({ ...one, ...(other.lines[0] && { otherLowest: other.lines[0] }) }, asked, stock).value.panels;
  const [starboard, port] = [moved(1), isAlike ? undefined : moved(-1)];
  const whole = panelsOf(starboard, port ?? starboard);
  const others = port ? panelsOf(port, starboard) : whole;
  const laid = sheets.map(({ panel, hand }) => {
    const found = (hand === 'port' ? others : whole).find(({ id }) => id === panel.id);
    return found && laidLines(found, panel);
  });
  return edges.map(({ sheet, line }) => laid[sheet]?.[line.end]);
}

const SHARES = Array.from({ length: 61 }, (_, k) => k / 60);

/** The edges of a panel laid on those of the same one as drawn. */
function laidLines(built: Panel, drawn: Panel): Readonly<Record<'P' | 'Q', readonly Vec2[]>> {
  const [is, was] = [built, drawn].map((panel) => (['P', 'Q'] as const).map((end) => edgeLine(panel, end).points));
  const sampled = (lines: readonly (readonly Vec2[])[] = []): Vec2[] =>
    lines.flatMap((line) => {
      const length = polylineLength(line);
      return length === 0 ? [] : SHARES.map((share) => pointAtLength(line, share * length));
    });
  const lay = laidOn(sampled(is), sampled(was));
  const [p = [], q = []] = is ?? [];
  return { P: p.map(lay), Q: q.map(lay) };
}
