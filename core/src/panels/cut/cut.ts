/**
 * What is cut, where the sheet has thickness: the flat shape of the sheet's middle, its edges set back as the panels
 * meet.
 *
 * Method (derived here): the lines lie to the outside, the middle or the inside of the skin. A bent sheet keeps its
 * length in its middle, so every ruling is moved along its normal to the middle surface (the parallel surface of a
 * developable has parallel rulings) and the strip laid out anew; under MIDDLE_FROM_MM that is less than a pencil and
 * is left out. Where two panels meet at a turn φ of their normals, square edges that touch at the inner corners
 * ("stitched") stand back from the foot of the normal at the line by d·tan(φ/2), d being how deep the inner faces lie
 * under the lines; at a hollow corner the outer corners touch, and d is what lies over the lines (two sheets of unlike
 * thickness: own-sheet.ts). "Lapped": the upper panel runs past to the outer corner, the lower stands back as before;
 * the keel is stitched in either case. Where a
 * timber lies in the corner on the outside of one panel, the other runs past to its outer face: out from the line by
 * (o + d + h·cos φ)/sin φ, d being how deep the timber is, o and h how far the skin's outer face lies over the lines
 * and the farther-reaching face of the other panel under them. The top edge and the ends at stem and transom have no
 * allowance. A layer of a panel that is laid of several is laid out on its own middle in the same way, and its edges
 * stand back as the whole panel's do, whose edge is one square face. Conventions: space coordinates stay those of the
 * lines; only what is flat changes.
 */
import { add3, at, cross3, distance2, dot3, length3, lerp3, scale3, sub3, unit3, type Vec3 } from '../../geometry';
import { lengthBetween, matesOf, type Mate, type PanelEnd, type Shared } from '../neighbours';
import type { LinesTo, Meeting, RoundedChine } from '../schema';
import { withFlat, type EdgeAllowance, type Layer, type Panel } from '../panel';
import { depthOfInside, meetsAt, thicknessOf } from './own-sheet';
import { setEdgesBack, STILL_MM, type Flat, type Setbacks } from './set-back';
import { layFlat, type LaidRuling } from '../../surface';

export type Skin = {
  readonly thickness: number;
  readonly linesTo: LinesTo;
  readonly meeting: Meeting;
  /** Along these lines the panels stand back to where the rounding begins. */
  readonly roundedChines?: readonly RoundedChine[];
  /** Of a panel laid of layers the one that is cut: from the inside, of so many. */
  readonly layer?: Pick<Layer, 'number' | 'count'>;
  /** Timbers in a corner on the skin's outside. */
  readonly outsideLogs?: readonly OutsideLog[];
};

/** In the corner along a line, on the outside of the panel above it or below it; how deep it stands off the skin. */
export type OutsideLog = { readonly line: string; readonly on: 'above' | 'below'; readonly depthMm: number };

/** Thinner sheets are developed on the lines' own surface. */
export const MIDDLE_FROM_MM = 5;
/** A sharper corner than this is not two panels edge to edge. */
const SHARPEST_RAD = (2 * Math.PI) / 3;

/** Outward from the lines to the middle of the skin, mm. */
export const middleOffset = ({ thickness, linesTo }: Pick<Skin, 'thickness' | 'linesTo'>): number =>
  thickness < MIDDLE_FROM_MM ? 0 : { outside: -0.5, middle: 0, inside: 0.5 }[linesTo] * thickness;

/** Outward from the lines to the middle of one of the skin's layers, mm: exact, however thin it is. */
const layerOffset = (skin: Pick<Skin, 'thickness' | 'linesTo'>, { number, count }: Pick<Layer, 'number' | 'count'>) =>
  ((number - 0.5) / count) * skin.thickness - depthOfInside(skin);

/** How deep the face on which it is marked lies under the lines: a layer's own inner one. */
const insideOf = (skin: Skin): number =>
  depthOfInside(skin) - (skin.layer ? ((skin.layer.number - 1) / skin.layer.count) * skin.thickness : 0);

/** A panel that rounding leaves less of is cut as if there were none. */
const LEAST_LEFT = 0.02;

/**
 * The skin as it is where a panel is: of its own thickness.
 *
 * @param panel the one to be cut, or what it lies against
 */
export const skinOf = ({ own }: Pick<Panel, 'own'>, usual: Skin): Skin =>
  own ? { ...usual, thickness: thicknessOf({ own }, usual.thickness) } : usual;

/**
 * @param shared where it lies against others, all of the hull's or those of its own
 * @param skin of the usual sheet: a panel's own goes before it, and that of what it lies against
 */
export function cutPanel(panel: Panel, shared: readonly Shared[], skin: Skin): Panel {
  const cut = cutEdges(panel, shared, skin);
  const isGone = skin.roundedChines?.length && cut.areaM2 < LEAST_LEFT * panel.areaM2;
  return isGone ? cutEdges(panel, shared, { ...skin, roundedChines: [] }) : cut;
}

function cutEdges(panel: Panel, shared: readonly Shared[], usual: Skin): Panel {
  const skin = skinOf(panel, usual);
  const shift = skin.layer ? layerOffset(skin, skin.layer) : middleOffset(skin);
  const move = (point: Vec3, normal: Vec3) => add3(point, scale3(normal, shift));
  const { rulings } = panel;
  const flat =
    shift === 0
      ? { p: rulings.map((r) => r.flatP), q: rulings.map((r) => r.flatQ) }
      : layFlat(
          rulings.map((r) => move(r.p, r.normal)),
          rulings.map((r) => move(r.q, r.normal)),
          rulings.map((r) => r.normal),
        );
  const mateAt = matesOf(panel, shared);
  const setbackP = rulings.map((r) => setbackOf(r, 'P', panel, mateAt('P', r.s), usual));
  const setbackQ = rulings.map((r) => setbackOf(r, 'Q', panel, mateAt('Q', r.t), usual));
  const plan = (end: PanelEnd, setbacks: readonly number[]): Setbacks => {
    const isRoundedAt = (u: number) => roundingAt(mateAt(end, u), skin) !== undefined;
    // where one thing it meets gives way to the next, it is set back by the one up to there and by the other from
    // there on
    const joins = panel.stretches[end === 'P' ? 0 : 1].slice(1).map(({ from }) => from);
    const beside = (way: 1 | -1) =>
      setbacks.map((setback, k) => {
        const ruling = at(rulings, k);
        const u = end === 'P' ? ruling.s : ruling.t;
        const join = joins.find((place) => Math.abs(place - u) < ON_JOIN);
        return join === undefined
          ? setback
          : setbackOf(ruling, end, panel, mateAt(end, join + way * BESIDE_JOIN), usual);
      });
    const isPlain = joins.length === 0;
    const along = rulings.map((r) => (end === 'P' ? r.s : r.t));
    const knuckles = panel.knuckles[end === 'P' ? 0 : 1];
    return {
      along,
      knuckles,
      before: isPlain ? setbacks : beside(-1),
      after: isPlain ? setbacks : beside(1),
      isRounded: [isRoundedAt(0), isRoundedAt(1)],
    };
  };
  const isRounded = panel.stretches.some((row) =>
    row.some(({ line }) => skin.roundedChines?.some(({ id }) => id === line)),
  );
  const cutFlat = setEdgesBack(flat, { p: plan('P', setbackP), q: plan('Q', setbackQ) }, isRounded);
  const cut = withFlat(panel, cutFlat, { ends: endShares(flat, cutFlat), whole: flat });
  const isOverLog = (k: 0 | 1) => {
    const end = k === 0 ? 'P' : 'Q';
    const { s, t } = at(rulings, rulings.length >> 1);
    const mate = mateAt(end, k === 0 ? s : t);
    return mate !== undefined && logBeside(end, panel, mate, skin) !== undefined;
  };
  const allowance = (k: 0 | 1, setbacks: readonly number[]): EdgeAllowance => ({
    line: panel.edges[k].line,
    longerBy: cut.edges[k].length - panel.edges[k].length,
    stretches: shared.flatMap(({ line, from, to, above, below }) => {
      const own = k === 0 ? above : below;
      if (own?.panel !== panel) return [];
      const longerBy = lengthBetween({ ...own, panel: cut }, [from, to]) - lengthBetween(own, [from, to]);
      return [{ line, from, longerBy }];
    }),
    setback: { least: Math.min(...setbacks), most: Math.max(...setbacks) },
    ...(isOverLog(k) && { isOverLog: true }),
  });
  return { ...cut, insideMm: insideOf(skin), allowances: [allowance(0, setbackP), allowance(1, setbackQ)] };
}

/**
 * By the edge's parameter: within the first of a join a ruling lies on it, by the second to either side nothing else
 * does.
 */
const ON_JOIN = 1e-6;
const BESIDE_JOIN = 2e-6;

/** Between which shares of the last ruling its cut ends lie. */
function endShares(whole: Flat, cut: Flat): readonly [number, number] {
  const length = distance2(at(whole.p, -1), at(whole.q, -1));
  if (length < STILL_MM) return [0, 1];
  return [distance2(at(whole.p, -1), at(cut.p, -1)) / length, 1 - distance2(at(whole.q, -1), at(cut.q, -1)) / length];
}

function setbackOf(ruling: LaidRuling, end: PanelEnd, panel: Panel, mate: Mate | undefined, usual: Skin): number {
  const corner = cornerAt(ruling, mate);
  if (!mate || !corner || corner.turnRad > SHARPEST_RAD) return 0;
  const [skin, other] = [skinOf(panel, usual), skinOf(mate.panel ?? panel, usual)];
  const log = logBeside(end, panel, mate, skin);
  if (log && !corner.isKeel && !corner.isHollow && corner.turnRad > SOFTEST_FOR_LOG_RAD)
    return -reachOver(log, corner.turnRad, skin, other);
  const rounded = roundingAt(mate, skin);
  if (rounded && !corner.isKeel && !corner.isHollow)
    return Math.max(0, radiusOnLines(rounded, mate.t, skin)) * Math.tan(corner.turnRad / 2);
  const meets = (depthOf: (sheet: Skin) => number) => meetsAt(depthOf(skin), depthOf(other), corner.turnRad);
  if (corner.isHollow) return meets(heightOfOutside);
  const laps = skin.meeting === 'lapped' && end === 'P' && !corner.isKeel && !panel.spansCentreline;
  return laps ? 0 - meets(heightOfOutside) : meets(depthOfInside);
}

/** From the lines outward to the outer face of a sheet. */
const heightOfOutside = (skin: Skin): number => skin.thickness - depthOfInside(skin);

/**
 * How much further an edge should stand back for each mm that the sheet is thicker than it was drawn, its inside where
 * it was: nothing where inner corners touch.
 */
export function setbackByThickness(
  ruling: LaidRuling,
  panel: Panel,
  { end, mate, meeting }: { readonly end: PanelEnd; readonly mate: Mate | undefined; readonly meeting: Meeting },
): number {
  const corner = cornerAt(ruling, mate);
  if (!corner || corner.turnRad > SHARPEST_RAD) return 0;
  const share = Math.tan(corner.turnRad / 2);
  if (corner.isHollow) return share;
  return meeting === 'lapped' && end === 'P' && !corner.isKeel && !panel.spansCentreline ? -share : 0;
}

/** Over a softer corner a log on one panel does not lie on the other. */
const SOFTEST_FOR_LOG_RAD = Math.PI / 9;

/** The log that lies on the outside of what a panel meets. */
function logBeside(end: PanelEnd, panel: Panel, mate: Mate, { outsideLogs = [] }: Skin): OutsideLog | undefined {
  const isBelow = end === 'Q' || panel.spansCentreline;
  return outsideLogs.find(({ line, on }) => line === mate.line && (on === 'above') === isBelow);
}

/** Out from the line along the panel, to the log's outer face. */
function reachOver({ depthMm }: OutsideLog, turnRad: number, skin: Skin, other: Skin): number {
  const cos = Math.cos(turnRad);
  const own = cos > 0 ? depthOfInside(skin) : -heightOfOutside(skin);
  return (heightOfOutside(other) + depthMm + own * cos) / Math.sin(turnRad);
}

const roundingAt = (mate: Mate | undefined, skin: Skin): RoundedChine | undefined =>
  skin.roundedChines?.find(({ id }) => id === mate?.line);

/** The radius of a rounded chine at the line's parameter t, on the surface that the lines lie on. */
export const radiusOnLines = ({ radiusFore, radiusAft }: RoundedChine, t: number, skin: Skin): number =>
  radiusFore + (radiusAft - radiusFore) * t - heightOfOutside(skin);

type Corner = {
  readonly normal: Vec3;
  readonly turnRad: number;
  readonly isHollow: boolean;
  readonly isKeel: boolean;
};

/**
 * How what lies against a panel meets it at the end of a ruling; undefined where nothing does. `normal` is the
 * other's.
 */
export function cornerAt(ruling: LaidRuling, mate: Mate | undefined): Corner | undefined {
  if (!mate) return undefined;
  const mirror = ([x, y, z]: Vec3): Vec3 => [x, -y, z];
  const across = unit3(sub3(ruling.q, ruling.p));
  let [normal, away] = [mirror(ruling.normal), mirror(across)];
  if (mate.panel) {
    const there = rulingAt(mate.panel, mate.end, mate.u);
    const outward = unit3(sub3(there.q, there.p));
    [normal, away] = [there.normal, mate.end === 'P' ? outward : scale3(outward, -1)];
    if (mate.isMirrored) [normal, away] = [mirror(normal), mirror(away)];
  }
  const turnRad = Math.atan2(length3(cross3(ruling.normal, normal)), dot3(ruling.normal, normal));
  return { normal, turnRad, isHollow: dot3(ruling.normal, away) > 0, isKeel: mate.panel === null };
}

/** Direction and normal of the panel at a place on one of its edges, between its rulings. */
function rulingAt(panel: Panel, end: 'P' | 'Q', u: number): Pick<LaidRuling, 'p' | 'q' | 'normal'> {
  const { rulings } = panel;
  const of = (r: LaidRuling) => (end === 'P' ? r.s : r.t);
  // the first at u or beyond it, by halving: parameters only rise
  let [low, high] = [1, rulings.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (of(at(rulings, middle)) >= u) high = middle;
    else low = middle + 1;
  }
  const [a, b] = [at(rulings, low - 1), at(rulings, low)];
  const w = of(b) > of(a) ? Math.min(1, Math.max(0, (u - of(a)) / (of(b) - of(a)))) : 0;
  return { p: lerp3(a.p, b.p, w), q: lerp3(a.q, b.q, w), normal: unit3(lerp3(a.normal, b.normal, w)) };
}
