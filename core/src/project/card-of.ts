/**
 * A panel of a boat as a card: cut as it develops, held where the boat's frames stand, so that it bends to the boat
 * again; and what is made of the boat's lines after its edges were dragged.
 */
import { bendCard, CARD_LIMITS, type Card } from '../bend';
import type { Edit } from '../findings';
import { at, distance3, type Vec2, type Vec3 } from '../geometry';
import { lineOnCard, linesStage, type Hull, type Longitudinal } from '../lines';
import { developPanel, panelIdOf, panelInputs, type Panel } from '../panels';
import type { Project } from './document';

export type CardOfPanel =
  { readonly ok: true; readonly card: Card } | { readonly ok: false; readonly why: 'several lines' | 'shape' };

/** Points of an edge: between them it runs as a batten through them. */
const POINTS = 9;
/** Ends so near to one another are one end, mm. */
const SAME_MM = 0.5;

/** Whether a panel may be bent as a card at all: one of a pair, between two lines from end to end. */
export const mayBeCard = ({ spansCentreline, stretches, partOf }: Panel): boolean =>
  !spansCentreline && partOf === undefined && stretches.every(({ length }) => length === 1);

/** @param frames where the boat's frames stand, x in mm; @param thickness of the skin, mm */
export function cardOfPanel(
  hull: Hull,
  {
    panel: id,
    frames,
    thickness,
  }: { readonly panel: string; readonly frames: readonly number[]; readonly thickness: number },
): CardOfPanel {
  const input = panelInputs(hull).find((one) => panelIdOf(one) === id);
  const panel = input && developPanel(input);
  if (!panel || 'reason' in panel) return { ok: false, why: 'shape' };
  if (!mayBeCard(panel)) return { ok: false, why: 'several lines' };
  const low = edgeOf(panel, 'p', 'flatP');
  const high = edgeOf(panel, 'q', 'flatQ');
  const [bow, stern] = [0, -1].map((k) => [at(low, k).space, at(high, k).space] as const) as [Ends, Ends];
  const lay = laidAlong(low, high);
  const drawn = (edge: readonly Place[]): Card['lower'] =>
    Array.from({ length: POINTS }, (_, k) => {
      const place = at(edge, Math.round((k / (POINTS - 1)) * (edge.length - 1)));
      const [along, up] = lay.at(place.flat);
      return { id: `p${k + 1}`, along, up };
    });
  // wider than a stem, or flaring, it is a transom
  const hasBowTransom = Math.abs(bow[0][1] - bow[1][1]) > SAME_MM || 2 * bow[0][1] > CARD_LIMITS.stem;
  const isPointed =
    !hasBowTransom &&
    stern.every(([, y]) => Math.abs(y - stern[0][1]) < SAME_MM) &&
    Math.abs(stern[0][1] - bow[0][1]) < SAME_MM;
  const card: Card = {
    ...{ sheetCount: 1, sheetLong: lay.long, sheetWide: lay.wide, joint: 0, thickness },
    ...{ lower: drawn(low), upper: drawn(high), stem: hasBowTransom ? 0 : Math.max(0, 2 * bow[0][1]) },
    ...{ hasBowTransom, bow: halvesOf(bow), hasTransom: !isPointed, transom: halvesOf(stern) },
    rise: stern[0][2] - bow[0][2],
    spreaders: heldAt(low, high, { frames, lay }).slice(0, CARD_LIMITS.spreaders),
    lines: { lower: panel.between[0], upper: panel.between[1] },
  };
  const { along, wide } = CARD_LIMITS;
  const isSmall = lay.long <= along && lay.wide <= wide;
  return isSmall && bendCard(card).ok ? { ok: true, card } : { ok: false, why: 'shape' };
}

type Place = { readonly flat: Vec2; readonly space: Vec3 };
type Ends = readonly [Vec3, Vec3];
const halvesOf = ([low, high]: Ends) => ({ lower: Math.max(0, low[1]), upper: Math.max(0, high[1]) });

/** An edge place by place, fore to aft, without those that lie on the one before. */
function edgeOf({ rulings }: Panel, space: 'p' | 'q', flat: 'flatP' | 'flatQ'): Place[] {
  const places: Place[] = [];
  for (const ruling of rulings) {
    const last = places.at(-1);
    if (!last || distance3(last.space, ruling[space]) > SAME_MM)
      places.push({ flat: ruling[flat], space: ruling[space] });
  }
  return places;
}

/** Turned so that the lower edge's ends lie level, in a sheet with a little to spare. */
function laidAlong(low: readonly Place[], high: readonly Place[]) {
  const [a, b] = [at(low, 0).flat, at(low, -1).flat];
  const turn = Math.atan2(b[1] - a[1], b[0] - a[0]);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const turned = ([u, v]: Vec2): Vec2 => [u * cos + v * sin, v * cos - u * sin];
  // the upper edge above the lower one
  const hand =
    turned(at(high, Math.floor(high.length / 2)).flat)[1] > turned(at(low, Math.floor(low.length / 2)).flat)[1]
      ? 1
      : -1;
  const flip = ([u, v]: Vec2): Vec2 => [u, hand * v];
  const all = [...low, ...high].map(({ flat }) => flip(turned(flat)));
  const [left, bottom] = [Math.min(...all.map(([u]) => u)), Math.min(...all.map(([, v]) => v))];
  const [right, top] = [Math.max(...all.map(([u]) => u)), Math.max(...all.map(([, v]) => v))];
  return {
    long: Math.ceil(right - left + 2 * SPARE),
    wide: Math.ceil(top - bottom + 2 * SPARE),
    at: (place: Vec2): Vec2 => {
      const [u, v] = flip(turned(place));
      return [u - left + SPARE, v - bottom + SPARE];
    },
  };
}
/** Room to drag into, mm. */
const SPARE = 40;

type Lay = ReturnType<typeof laidAlong>;

/** Where the lower edge passes each frame, and abreast of that on the card, as far out as the boat is there. */
function heldAt(
  low: readonly Place[],
  high: readonly Place[],
  { frames, lay }: { readonly frames: readonly number[]; readonly lay: Lay },
) {
  return frames.flatMap((x, k): Card['spreaders'] => {
    const here = crossing(low, (place) => place.space[0] - x);
    if (!here) return [];
    const u = lay.at(here.flat)[0];
    const abreast = crossing(high, (place) => lay.at(place.flat)[0] - u);
    return [{ id: `f${k + 1}`, along: here.along, lower: here.out, upper: abreast ? abreast.out : null }];
  });
}

/** Where along an edge a figure of it changes sign first, straight between two places. */
function crossing(edge: readonly Place[], figure: (place: Place) => number) {
  let along = 0;
  for (let k = 1; k < edge.length; k++) {
    const [a, b] = [at(edge, k - 1), at(edge, k)];
    const [fa, fb] = [figure(a), figure(b)];
    const step = distance3(a.space, b.space);
    if (fa < 0 && fb >= 0) {
      const w = fa / (fa - fb);
      const flat: Vec2 = [a.flat[0] + w * (b.flat[0] - a.flat[0]), a.flat[1] + w * (b.flat[1] - a.flat[1])];
      return { along: along + w * step, flat, out: Math.max(0, a.space[1] + w * (b.space[1] - a.space[1])) };
    }
    along += step;
  }
  return undefined;
}

type Edges = { readonly lower: readonly Vec3[]; readonly upper: readonly Vec3[] };

/** Puts the edges of a boat's own panel, bent anew, into her lines: the foot of the bow stays where it is. */
export function ownCardTaken({ lines }: Project, card: Card, edges: Edges): Edit[] {
  const own = card.lines;
  const foot = lines.longitudinals.find(({ id }) => id === own?.lower)?.points[0];
  if (!own || !foot) return [];
  const from = at(edges.lower, 0);
  const moved = (edge: readonly Vec3[]) =>
    edge.map(([x, y, z]): Vec3 => [x + foot.x - from[0], y, z + foot.height - from[2]]);
  return lines.longitudinals.flatMap((line: Longitudinal): Edit[] => {
    const edge = line.id === own.lower ? edges.lower : line.id === own.upper ? edges.upper : undefined;
    if (!edge) return [];
    return [
      { path: [linesStage.name, 'longitudinals', line.id, 'points'], value: lineOnCard(line.points, moved(edge)) },
    ];
  });
}
