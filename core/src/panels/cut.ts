/**
 * What is cut, where the sheet has thickness: the flat shape of the sheet's middle, its edges set back as the panels meet.
 *
 * Method (derived here): the lines lie to the outside, the middle or the inside of the skin. A bent sheet keeps its length
 * in its middle, so every ruling is moved along its normal to the middle surface (the parallel surface of a developable
 * has parallel rulings) and the strip laid out anew; under MIDDLE_FROM_MM that is less than a pencil and is left out.
 * Where two panels meet at a turn φ of their normals, square edges that touch at the inner corners ("stitched") stand
 * back from the foot of the normal at the line by d·tan(φ/2), d being how deep the inner faces lie under the lines; at a
 * hollow corner the outer corners touch, and d is what lies over the lines. "Lapped": the upper panel runs past to the
 * outer corner, the lower stands back as before; the keel is stitched in either case. The top edge and the ends at stem
 * and transom have no allowance.
 * Conventions: space coordinates stay those of the lines; only what is flat changes.
 */
import { add3, at, cross3, dot3, length3, lerp3, scale3, sub3, unit3, type Vec2, type Vec3 } from '../geometry';
import { CENTRELINE_MM } from '../lines';
import type { LinesTo, Meeting } from './schema';
import { withFlat, type Panel } from './panel';
import { layFlat, type LaidRuling } from './strip';

export type Skin = { readonly thickness: number; readonly linesTo: LinesTo; readonly meeting: Meeting };

/** What the thickness changed along one edge, mm. */
export type EdgeAllowance = {
  readonly line: string;
  /** Length of the cut edge less that of the line. */
  readonly longerBy: number;
  /** How far the edge stands back, least and most along it; negative: it runs past. */
  readonly setback: { readonly least: number; readonly most: number };
};

/** Thinner sheets are developed on the lines' own surface. */
export const MIDDLE_FROM_MM = 5;
/** A sharper corner than this is not two panels edge to edge. */
const SHARPEST_RAD = (2 * Math.PI) / 3;
/** No edge moves further along a ruling than this share of it, and rulings nearly along the edge count as this steep. */
const MOST_OF_RULING = 0.4;
const LEAST_SINE = 0.3;

/** Outward from the lines to the middle of the skin, mm. */
export const middleOffset = ({ thickness, linesTo }: Omit<Skin, 'meeting'>): number =>
  thickness < MIDDLE_FROM_MM ? 0 : { outside: -0.5, middle: 0, inside: 0.5 }[linesTo] * thickness;

/** From the lines inward to the skin's inner face, mm. */
export const depthOfInside = ({ thickness, linesTo }: Omit<Skin, 'meeting'>): number =>
  ({ outside: 1, middle: 0.5, inside: 0 })[linesTo] * thickness;

/** The panels as they are cut; lowest first, as they come. */
export const cutPanels = (panels: readonly Panel[], skin: Skin): Panel[] =>
  panels.map((panel, i) => cutPanel(panel, { below: panels[i - 1], above: panels[i + 1] }, skin));

type Neighbours = { readonly below: Panel | undefined; readonly above: Panel | undefined };

function cutPanel(panel: Panel, { below, above }: Neighbours, skin: Skin): Panel {
  const shift = middleOffset(skin);
  const move = (point: Vec3, normal: Vec3) => add3(point, scale3(normal, shift));
  const { rulings } = panel;
  const flat =
    shift === 0
      ? { p: rulings.map((r) => r.flatP), q: rulings.map((r) => r.flatQ) }
      : layFlat(rulings.map((r) => move(r.p, r.normal)), rulings.map((r) => move(r.q, r.normal))); // prettier-ignore
  // where the bottom spans the centreline both its edges meet the side
  const overP = panel.spansCentreline ? above : below;
  const setbackP = rulings.map((r) => setbackOf(r, 'P', { panel, other: overP, isMirrored: panel.spansCentreline }, skin)); // prettier-ignore
  const setbackQ = rulings.map((r) => setbackOf(r, 'Q', { panel, other: above, isMirrored: false }, skin));
  const set = rulings.map((_, k) => ({
    p: inward(flat.p, at(flat.q, k), k, at(setbackP, k)),
    q: inward(flat.q, at(flat.p, k), k, at(setbackQ, k)),
  }));
  const cut = withFlat(panel, { p: set.map(({ p }) => p), q: set.map(({ q }) => q) });
  const allowance = (k: 0 | 1, setbacks: readonly number[]): EdgeAllowance => ({
    line: panel.edges[k].line,
    longerBy: cut.edges[k].length - panel.edges[k].length,
    setback: { least: Math.min(...setbacks), most: Math.max(...setbacks) },
  });
  return { ...cut, allowances: [allowance(0, setbackP), allowance(1, setbackQ)] };
}

type Meets = { readonly panel: Panel; readonly other: Panel | undefined; readonly isMirrored: boolean };

function setbackOf(ruling: LaidRuling, end: 'P' | 'Q', { panel, other, isMirrored }: Meets, skin: Skin): number {
  const isKeel = end === 'P' && !other && Math.abs(ruling.p[1]) <= CENTRELINE_MM;
  if (!other && !isKeel) return 0;
  const mirror = ([x, y, z]: Vec3): Vec3 => [x, -y, z];
  const across = unit3(sub3(ruling.q, ruling.p));
  let [normal, away] = [mirror(ruling.normal), mirror(across)];
  if (other) {
    const end2 = panel.spansCentreline || end === 'Q' ? 'P' : 'Q';
    const there = rulingAt(other, end2, end === 'P' ? ruling.s : ruling.t);
    const outward = unit3(sub3(there.q, there.p));
    [normal, away] = [there.normal, end2 === 'P' ? outward : scale3(outward, -1)];
    if (isMirrored) [normal, away] = [mirror(normal), mirror(away)];
  }
  const turn = Math.atan2(length3(cross3(ruling.normal, normal)), dot3(ruling.normal, normal));
  if (turn > SHARPEST_RAD) return 0;
  const isHollow = dot3(ruling.normal, away) > 0;
  const inner = depthOfInside(skin);
  const depth = isHollow ? skin.thickness - inner : inner;
  const laps = skin.meeting === 'lapped' && end === 'P' && !isKeel && !panel.spansCentreline && !isHollow;
  return (laps ? inner - skin.thickness : depth) * Math.tan(turn / 2);
}

/** Direction and normal of the panel at a place on one of its edges, between its rulings. */
function rulingAt(panel: Panel, end: 'P' | 'Q', u: number): Pick<LaidRuling, 'p' | 'q' | 'normal'> {
  const { rulings } = panel;
  const of = (r: LaidRuling) => (end === 'P' ? r.s : r.t);
  const k = Math.max(
    1,
    rulings.findIndex((r) => of(r) >= u),
  );
  const [a, b] = [at(rulings, k - 1), at(rulings, k)];
  const w = of(b) > of(a) ? Math.min(1, Math.max(0, (u - of(a)) / (of(b) - of(a)))) : 0;
  return { p: lerp3(a.p, b.p, w), q: lerp3(a.q, b.q, w), normal: unit3(lerp3(a.normal, b.normal, w)) };
}

/** The edge's point k moved towards the other end of its ruling, so that it lies `setback` in from the edge. */
function inward(edge: readonly Vec2[], opposite: Vec2, k: number, setback: number): Vec2 {
  const here = at(edge, k);
  if (setback === 0) return here;
  const [before, after] = [at(edge, Math.max(0, k - 2)), at(edge, Math.min(edge.length - 1, k + 2))];
  const [tx, ty] = [after[0] - before[0], after[1] - before[1]];
  const [dx, dy] = [opposite[0] - here[0], opposite[1] - here[1]];
  const [along, across] = [Math.hypot(tx, ty), Math.hypot(dx, dy)];
  if (across === 0) return here;
  const sine = along === 0 ? 1 : Math.max(LEAST_SINE, Math.abs(tx * dy - ty * dx) / (along * across));
  const share = Math.min(MOST_OF_RULING, setback / sine / across);
  return [here[0] + share * dx, here[1] + share * dy];
}
