/**
 * Reads lines from the polylines of a DXF drawing: one layer a line and view.
 *
 * Layers `PROFILE name` (x and height) and `PLAN name` (x and half-breadth), upper or lower case. A line that has no
 * plan lies on the centreline. Heights are measured from the level line on layer `PROFILE BASE`, half-breadths from
 * that on `PLAN CENTRE`; without those, from y = 0. Words on a line's two layers, standing on it, are the table's own
 * points, as this program draws them. Otherwise upright lines on layer `STATIONS`, with their labels as words on it,
 * say where the points are taken; without them, see drawn-points.ts. Lines of a view may be drawn in pieces that meet.
 */
import { at, distance2, type Vec2 } from '../geometry';
import { layerWord, readDxf, type DxfLine, type DxfWord } from '../formats';
import { GUIDE_ONLY, linesOf, readPointWord, type LinesPart, type Longitudinal, type OffsetPoint } from '../lines';
import { plainText, type Notation } from '../measure';
import { offPolyline2 } from './drawn-curve';
import { hundredth, MEET_MM, takePoints, type DrawnLine, type Place } from './drawn-points';

export type ReadDrawing =
  | { readonly ok: true; readonly lines: LinesPart; readonly notation: Notation; readonly assumed: readonly string[] }
  | { readonly ok: false; readonly problems: readonly string[] };

/** $INSUNITS: code → mm, and the notation to go on in. */
const UNITS: Readonly<Record<number, readonly [number, Notation]>> = {
  1: [25.4, 'in-16'],
  2: [304.8, 'ft-in-8ths'],
  4: [1, 'mm'],
  5: [10, 'mm'],
  6: [1000, 'mm'],
};

const FARTHEST_MM = 100_000;
const MOST_LINES = 20;
/** Words no further than this from their line stand on it. */
const ON_LINE_MM = 0.05;
/** An end of the table may lie so far from the end of the line, which runs out on another there. */
const END_MM = 4;

/** Kinds of drawn things that may be a line of the boat and are not read. */
const CURVES = /^(ARC|ELLIPSE|MLINE|SPLINE)$/;

type Layers = {
  readonly lines: ReadonlyMap<string, readonly DxfLine[]>;
  readonly words: ReadonlyMap<string, readonly DxfWord[]>;
};
type View = {
  readonly name: 'PROFILE' | 'PLAN';
  readonly lines: ReadonlyMap<string, readonly DxfLine[]>;
  readonly zero: number;
};

/** Never throws. */
export function readLinesDxf(text: string): ReadDrawing {
  const read = readDxf(text);
  if (!read.ok) return refuse(`This is not a DXF drawing that can be read. ${read.problem}`);
  const { unitCode, others } = read.content;
  const [scale, notation] = UNITS[unitCode] ?? [1, 'mm' as const];
  const layers = layersOf(read.content, scale);
  const [profile, plan] = [viewOf(layers, 'PROFILE', 'BASE'), viewOf(layers, 'PLAN', 'CENTRE')];
  const problems = [
    ...others.flatMap(({ layer, kind }) =>
      CURVES.test(kind) && /^(PROFILE|PLAN) ./i.test(layer)
        ? [`Layer ${layer.slice(0, 60)}: ${kind} cannot be read; expected lines and polylines`]
        : [],
    ),
    ...missingViews(layers, profile, plan),
  ];
  if (problems.length > 0) return refuse(...problems);
  const taken = [...profile.lines.keys()].map((name) => lineFrom(name, { layers, profile, plan }, problems));
  const lines = withOwnIds(taken.flatMap(({ line }) => (line ? [line] : [])));
  problems.push(...faultsOf(lines));
  if (problems.length > 0) return refuse(...problems);
  const isOwn = taken.every(({ isMarked }) => isMarked);
  const hasStations = (layers.lines.get('STATIONS') ?? []).length > 0;
  const assumed = [
    ...(UNITS[unitCode] ? [] : ['The drawing names no unit: millimetres assumed']),
    ...(hasStations || isOwn ? [] : ['No lines on a layer STATIONS: points taken at the corners of the lines']),
    ...taken.flatMap(({ notes }) => notes),
  ];
  return { ok: true, lines: linesOf(lines.sort((a, b) => meanHeight(a) - meanHeight(b))), notation, assumed };
}

const refuse = (...problems: string[]): ReadDrawing => ({ ok: false, problems });
const capital = (name: string) => (name.charAt(0) + name.slice(1).toLowerCase()).slice(0, 60);
const meanHeight = ({ points }: Longitudinal) =>
  points.reduce((sum, p) => sum + p.height, 0) / Math.max(1, points.length);

function layersOf(content: { lines: readonly DxfLine[]; words: readonly DxfWord[] }, scale: number): Layers {
  const [lines, words] = [new Map<string, DxfLine[]>(), new Map<string, DxfWord[]>()];
  const put = <T>(map: Map<string, T[]>, layer: string, item: T) => {
    const name = layer.toUpperCase().trim();
    const list = map.get(name);
    if (list) list.push(item);
    else map.set(name, [item]);
  };
  const scaled = ([x, y]: Vec2): Vec2 => [x * scale, y * scale];
  for (const { layer, points } of content.lines)
    if (points.length > 1) put(lines, layer, { layer, points: points.map(scaled) });
  for (const { layer, at: place, text } of content.words) put(words, layer, { layer, at: scaled(place), text });
  return { lines, words };
}

/** The lines of a view by name, and the height on paper that its figures are measured from. */
function viewOf({ lines }: Layers, name: View['name'], zeroName: string): View {
  const own = new Map<string, readonly DxfLine[]>();
  for (const [layer, drawn] of lines) {
    const word = layer.slice(name.length + 1).trim();
    if (layer.startsWith(`${name} `) && word !== '' && word !== zeroName) own.set(word, drawn);
  }
  return { name, lines: own, zero: lines.get(`${name} ${zeroName}`)?.[0]?.points[0]?.[1] ?? 0 };
}

function missingViews({ lines }: Layers, profile: View, plan: View): string[] {
  if (profile.lines.size === 0)
    return [
      'No layer "PROFILE name" with a polyline on it; the file has ' +
        `${[...lines.keys()].slice(0, 8).join(', ') || 'no polylines'}. Expected a layer a line and view, such ` +
        'as PROFILE SHEER and PLAN SHEER',
    ];
  return [...plan.lines.keys()].flatMap((name) =>
    profile.lines.has(name) ? [] : [`Layer PLAN ${name}: expected a layer PROFILE ${name} too`],
  );
}

type Sheet = { readonly layers: Layers; readonly profile: View; readonly plan: View };
type Taken = { readonly line: Longitudinal | undefined; readonly isMarked: boolean; readonly notes: readonly string[] };

function lineFrom(name: string, sheet: Sheet, problems: string[]): Taken {
  const [profile, plan] = [joined(name, sheet.profile, problems), joined(name, sheet.plan, problems)];
  if (!profile) return { line: undefined, isMarked: false, notes: [] };
  const words = sheet.layers.words.get(`PROFILE ${name}`) ?? [];
  const isExtra = words.some(({ text }) => text.endsWith(GUIDE_ONLY));
  const written = words
    .map(({ text }) => text.replace(GUIDE_ONLY, '').trim())
    .find((text) => isLayerOf(name, layerWord(text)));
  const called = plainText(written ?? capital(name)).slice(0, 60) || 'Line';
  const line = { id: called.toLowerCase().replace(/\s+/g, '-'), name: called, ...(isExtra ? { isExtra } : {}) };
  const marked = markedPoints({ name, profile, plan }, sheet);
  if (marked) return { line: { ...line, points: marked }, isMarked: true, notes: [] };
  const stations = stationsFrom(sheet.layers);
  const taken = takePoints({ name, profile, plan }, stations);
  if ('problem' in taken) problems.push(taken.problem);
  return 'problem' in taken
    ? { line: undefined, isMarked: false, notes: [] }
    : { line: { ...line, points: taken.points }, isMarked: false, notes: taken.notes };
}

/** A line's layer is called after it, with a number where another is called alike. */
const isLayerOf = (layer: string, word: string): boolean =>
  word !== '' && (layer === word || (layer.slice(0, word.length) === word && /^ \d+$/.test(layer.slice(word.length))));

/** Names that differ in capitals alone would have one id. */
function withOwnIds(lines: readonly Longitudinal[]): Longitudinal[] {
  const taken = new Set<string>();
  return lines.map((line) => {
    let { id } = line;
    for (let k = 2; taken.has(id); k++) id = `${line.id.slice(0, 55)}-${k}`;
    taken.add(id);
    return { ...line, id };
  });
}

function faultsOf(lines: readonly Longitudinal[]): string[] {
  const faults: string[] = [];
  if (lines.length > MOST_LINES) faults.push(`${lines.length} lines; expected ${MOST_LINES} at most`);
  const figures = lines.flatMap(({ points }) => points.flatMap((p) => [p.x, p.halfBreadth, p.height]));
  if (figures.some((value) => Math.abs(value) > FARTHEST_MM))
    faults.push(`Some points lie further than ${FARTHEST_MM / 1000} m away; expected a drawing at full size`);
  return faults;
}

/** The pieces of a line end to end, from forward aft, its figures from the view's zero; undefined if there is none. */
function joined(name: string, view: View, problems: string[]): Vec2[] | undefined {
  const pieces = view.lines.get(name) ?? [];
  const left = pieces.map(({ points }) => {
    const lowered = points.map(([x, y]): Vec2 => [x, y - view.zero]);
    return at(points, 0)[0] > at(points, -1)[0] ? lowered.reverse() : lowered;
  });
  left.sort((a, b) => at(a, 0)[0] - at(b, 0)[0]);
  const line = left.shift();
  if (!line) return undefined;
  for (const next of left) {
    if (distance2(at(line, -1), at(next, 0)) > MEET_MM) {
      problems.push(
        `Layer ${view.name} ${name}: ${pieces.length} pieces that do not meet; expected one line, or pieces end to end`,
      );
      return undefined;
    }
    for (const point of next.slice(1)) line.push(point);
  }
  return line;
}

/** The points that the drawing itself names, by words on the line in every view; undefined where they do not agree. */
function markedPoints({ name, profile, plan }: DrawnLine, { layers, ...views }: Sheet): OffsetPoint[] | undefined {
  const wordsOn = (view: View, curve: readonly Vec2[]) =>
    (layers.words.get(`${view.name} ${name}`) ?? [])
      .map(({ at: [x, y], text }) => ({ at: [x, y - view.zero] as Vec2, text }))
      .filter((word) => offPolyline2(curve, word.at) < ON_LINE_MM || isAtEnd(curve, word.at));
  const inProfile = wordsOn(views.profile, profile);
  const inPlan = plan && wordsOn(views.plan, plan);
  if (inProfile.length < 2 || (inPlan && inPlan.length !== inProfile.length)) return undefined;
  const agree = inProfile.every(({ at: [x], text }, i) => {
    const other = inPlan ? at(inPlan, i) : undefined;
    return !other || (other.text === text && Math.abs(other.at[0] - x) < ON_LINE_MM);
  });
  if (!agree) return undefined;
  return inProfile.map(({ at: [x, z], text }, i) => {
    const { station, isKnuckle } = readPointWord(text);
    const halfBreadth = hundredth(inPlan ? at(inPlan, i).at[1] : 0);
    return { station, x: hundredth(x), halfBreadth, height: hundredth(z), ...(isKnuckle ? { isKnuckle } : {}) };
  });
}

const isAtEnd = (curve: readonly Vec2[], p: Vec2) => [0, -1].some((end) => distance2(at(curve, end), p) < END_MM);

function stationsFrom({ lines, words }: Layers): Place[] {
  const labels = new Map<number, string>();
  for (const { at: place, text } of [...words.values()].flat()) {
    const key = Math.round(place[0]);
    if (text.trim() !== '' && !labels.has(key)) labels.set(key, text.trim().slice(0, 40));
  }
  const found = new Set<number>();
  for (const { points } of lines.get('STATIONS') ?? [])
    if (Math.abs(at(points, 0)[0] - at(points, -1)[0]) <= MEET_MM) found.add(hundredth(at(points, 0)[0]));
  return [...found].sort((a, b) => a - b).map((x, i) => ({ x, label: labels.get(Math.round(x)) ?? String(i + 1) }));
}
