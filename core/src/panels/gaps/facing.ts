/**
 * Where the edges of panels come against one another in the finished hull, both hands of it, place by place.
 *
 * An edge that is left on and trimmed in place, one that runs out over a timber and those of a rounded chine are not
 * foretold: they are made to fit.
 */
import { at } from '../../geometry';
import { setbackByThickness } from '../cut/cut';
import { proudOf } from '../cut/proud';
import { lengthBetween, matesOf, onEdge, sharedStretches, type EdgeOfPanel, type PanelEnd } from '../neighbours';
import { alongAtParam, edgeLine, placeOnEdge, type EdgeLine, type EdgePlace } from '../reading/edge-line';
import type { Panel } from '../panel';
import type { PanelsPart } from '../schema';

/** A panel as it is cut, once for each hand. */
export type CutSheet = { readonly panel: Panel; readonly hand: 'starboard' | 'port' | 'across' };
/** `drawn`: which line this is of those that are alike on both hands. */
export type FacingEdge = { readonly sheet: number; readonly line: EdgeLine; readonly drawn: number };
export type FacingPlace = { readonly edge: number; readonly along: number; readonly place: EdgePlace };
export type Facing = {
  readonly seam: number;
  /** Along the seam from its fore end, mm. */
  readonly along: number;
  readonly sides: readonly [FacingPlace, FacingPlace];
  /** How much wider it gapes for each mm that a sheet is thicker. */
  readonly thicker: readonly { readonly sheet: number; readonly by: number }[];
};

export type FacingSeam = {
  readonly line: string;
  /** The panel below the line, null at the keel, and the one above. */
  readonly below: string | null;
  readonly above: string;
  readonly hand: 'starboard' | 'port' | 'keel';
  readonly length: number;
};

export type Facings = {
  readonly sheets: readonly CutSheet[];
  readonly edges: readonly FacingEdge[];
  readonly seams: readonly FacingSeam[];
  readonly places: readonly Facing[];
};

/** Places along a seam are so near to one another, and as many at least. */
const EVERY_MM = 40;
const LEAST_PLACES = 12;
/** The ends of a seam are looked at so far in, as a share of it: there the batten begins and the corner is cut. */
const END_SHARE = 1e-4;

type Part = Pick<PanelsPart, 'roundedChines' | 'meeting' | 'proud' | 'ownProud'>;

export function facings(panels: readonly Panel[], part: Part): Facings {
  const sheets: CutSheet[] = [];
  const edges: FacingEdge[] = [];
  const lines: { readonly panel: Panel; readonly line: EdgeLine }[] = [];
  const sheetOf = (panel: Panel, hand: CutSheet['hand']): number => {
    const own = panel.spansCentreline ? 'across' : hand;
    const found = sheets.findIndex((sheet) => sheet.panel === panel && sheet.hand === own);
    return found >= 0 ? found : sheets.push({ panel, hand: own }) - 1;
  };
  const edgeOf = (panel: Panel, end: PanelEnd, hand: CutSheet['hand']): number => {
    const sheet = sheetOf(panel, hand);
    let drawn = lines.findIndex((one) => one.panel === panel && one.line.end === end);
    if (drawn < 0) drawn = lines.push({ panel, line: edgeLine(panel, end) }) - 1;
    const found = edges.findIndex((edge) => edge.sheet === sheet && edge.drawn === drawn);
    return found >= 0 ? found : edges.push({ sheet, drawn, line: at(lines, drawn).line }) - 1;
  };
  const seams: FacingSeam[] = [];
  const places: Facing[] = [];
  const shared = sharedStretches(panels);
  for (const { line, from, to, below, above } of shared) {
    const isMade = [below, above].some((edge) => edge && isMadeToFit(edge, part));
    if (isMade || part.roundedChines.some(({ id }) => id === line)) continue;
    const length = lengthBetween(above, [from, to]);
    const count = Math.max(LEAST_PLACES, Math.ceil(length / EVERY_MM));
    const shares = Array.from({ length: count + 1 }, (_, k) => Math.min(1 - END_SHARE, Math.max(END_SHARE, k / count)));
    const hands = below ? (['starboard', 'port'] as const) : (['keel'] as const);
    for (const hand of hands) {
      const seam = seams.push({
        ...{ line, below: below?.panel.id ?? null, above: above.panel.id, hand, length },
      });
      // of a bottom across the centreline the edge to port is its lower one, and lies as the upper one does
      const under: readonly [EdgeOfPanel, CutSheet['hand'], PanelEnd] = below
        ? [below, hand === 'port' ? 'port' : 'starboard', below.panel.spansCentreline && hand === 'port' ? 'P' : 'Q']
        : [above, 'port', 'P'];
      const over: typeof under = [above, hand === 'port' ? 'port' : 'starboard', 'P'];
      const sides = [under, over].map(([edge, side, end]) => {
        const { panel, stretch } = edge;
        const mateAt = matesOf(panel, shared);
        const number = edgeOf(panel, end, side);
        return (t: number) => {
          const u = onEdge(stretch, t);
          const along = alongAtParam(at(edges, number).line, u);
          const place = placeOnEdge(at(edges, number).line, along);
          const ruling = panel.rulings.find((r) => (edge.end === 'P' ? r.s : r.t) >= u) ?? at(panel.rulings, -1);
          const setback = { end: edge.end, mate: mateAt(edge.end, u), meeting: part.meeting };
          return {
            facing: { edge: number, along, place },
            thicker: { sheet: at(edges, number).sheet, by: setbackByThickness(ruling, panel, setback) },
          };
        };
      });
      for (const share of shares) {
        const [one, other] = sides.map((side) => side(from + share * (to - from)));
        if (!one || !other) continue;
        places.push({
          ...{ seam: seam - 1, along: share * length, sides: [one.facing, other.facing] },
          // one that should stand further back is too far out as it is
          thicker: [one.thicker, other.thicker].flatMap(({ sheet, by }) => (by === 0 ? [] : [{ sheet, by: -by }])),
        });
      }
    }
  }
  return { sheets, edges, seams, places };
}

function isMadeToFit({ panel, end }: EdgeOfPanel, part: Part): boolean {
  const k = end === 'P' ? 0 : 1;
  return proudOf(panel.id, part)[k === 0 ? 'lower' : 'upper'] > 0 || panel.allowances?.[k].isOverLog === true;
}
