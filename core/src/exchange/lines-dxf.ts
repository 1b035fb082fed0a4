/**
 * Reads lines from the polylines of a DXF drawing: one layer a line and view.
 *
 * Layers `PROFILE name` (x and height) and `PLAN name` (x and half-breadth), upper or lower case. A line that has no
 * plan lies on the centreline. Heights are measured from the level line on layer `PROFILE BASE`, half-breadths from
 * that on `PLAN CENTRE`; without those, from y = 0. Upright lines on layer `STATIONS`, with their labels as words on
 * it, say where the points of the table are taken; without them, at the corners of the drawn lines, or at eleven even
 * steps where there are too many of those. Lines of a view may be drawn in pieces that meet.
 */
import DxfParser from 'dxf-parser';
import { z } from 'zod';
import { at, distance2, fitSpline, evaluate, simplify, uEnd, type Vec2 } from '../geometry';
import { linesOf, type LinesPart, type Longitudinal, type OffsetPoint } from '../lines';
import type { Notation } from '../measure';

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

/** What is read of the parser's output; everything else in the file is passed over. */
const fileSchema = z.object({
  header: z.record(z.string(), z.unknown()).optional(),
  entities: z.array(
    z.object({
      type: z.string(),
      layer: z.string().optional(),
      vertices: z.array(z.object({ x: z.number(), y: z.number(), bulge: z.number().optional() })).optional(),
      text: z.string().optional(),
      startPoint: z.object({ x: z.number(), y: z.number() }).optional(),
    }),
  ),
});

type Drawn = { readonly points: readonly Vec2[]; readonly hasArcs: boolean };
type Label = { readonly at: Vec2; readonly text: string };

/** Pieces of a line further apart than this do not meet. */
const MEET_MM = 0.5;
/** More corners than this were not put there one by one. */
const MOST_CORNERS = 40;
const EVEN_STEPS = 11;
const FARTHEST_MM = 100_000;

/** Never throws. */
export function readLinesDxf(text: string): ReadDrawing {
  const parsed = parse(text);
  if ('problem' in parsed) return refuse(parsed.problem);
  const { layers, labels, notation, assumed } = parsed;
  const views = { profile: viewLayers(layers, 'PROFILE', 'BASE'), plan: viewLayers(layers, 'PLAN', 'CENTRE') };
  if (views.profile.lines.size === 0)
    return refuse(
      'No layer "PROFILE name" with a polyline on it; the file has ' +
        `${[...layers.keys()].slice(0, 8).join(', ') || 'no polylines'}. Expected a layer a line and view, such ` +
        'as PROFILE SHEER and PLAN SHEER',
    );
  const problems: string[] = [];
  for (const name of views.plan.lines.keys())
    if (!views.profile.lines.has(name)) problems.push(`Layer PLAN ${name}: expected a layer PROFILE ${name} too`);
  const stations = stationsFrom(layers.get('STATIONS') ?? [], labels);
  const longitudinals: Longitudinal[] = [];
  for (const [name, pieces] of views.profile.lines) {
    const profile = joined(pieces, `PROFILE ${name}`, problems);
    const plan = joined(views.plan.lines.get(name) ?? [], `PLAN ${name}`, problems);
    if (!profile) continue;
    const points = pointsOf(
      name,
      lowered(profile, views.profile.zero),
      plan && lowered(plan, views.plan.zero),
      stations,
      problems,
    );
    longitudinals.push({ id: name.toLowerCase().replace(/\s+/g, '-').slice(0, 60), name: capital(name), points });
  }
  if (longitudinals.length > 20) problems.push(`${longitudinals.length} lines; expected 20 at most`);
  if (
    longitudinals.some((line) =>
      line.points.some((p) => Math.max(Math.abs(p.x), Math.abs(p.halfBreadth), Math.abs(p.height)) > FARTHEST_MM),
    )
  )
    problems.push(`Some points lie further than ${FARTHEST_MM / 1000} m away; expected a drawing at full size`);
  if (problems.length > 0) return { ok: false, problems };
  const ordered = longitudinals.sort((a, b) => meanHeight(a) - meanHeight(b));
  if ([...layers.values()].some((drawn) => drawn.some(({ hasArcs }) => hasArcs)))
    assumed.push('Arcs in polylines were taken as straight between their ends');
  if (stations.length === 0) assumed.push('No lines on a layer STATIONS: points taken at the corners of the lines');
  return { ok: true, lines: linesOf(ordered), notation, assumed };
}

const refuse = (...problems: string[]): ReadDrawing => ({ ok: false, problems });
const capital = (name: string) => (name.charAt(0) + name.slice(1).toLowerCase()).slice(0, 60);
const meanHeight = ({ points }: Longitudinal) =>
  points.reduce((sum, p) => sum + p.height, 0) / Math.max(1, points.length);

type Parsed = { layers: Map<string, Drawn[]>; labels: Label[]; notation: Notation; assumed: string[] };

function parse(text: string): Parsed | { readonly problem: string } {
  let raw: unknown;
  try {
    raw = new DxfParser().parseSync(text);
  } catch (error) {
    return {
      problem:
        'This is not a DXF drawing that can be read: ' +
        `${error instanceof Error ? error.message.slice(0, 120) : 'unknown fault'}`,
    };
  }
  const read = fileSchema.safeParse(raw);
  if (!read.success) return { problem: 'This is not a DXF drawing that can be read; expected one with polylines' };
  const code = Number(read.data.header?.['$INSUNITS'] ?? 0);
  const [scale, notation] = UNITS[code] ?? [1, 'mm' as const];
  const assumed = UNITS[code] ? [] : ['The drawing names no unit: millimetres assumed'];
  const layers = new Map<string, Drawn[]>();
  const labels: Label[] = [];
  for (const { type, layer, vertices, text: word, startPoint } of read.data.entities) {
    const name = (layer ?? '0').toUpperCase().trim();
    if ((type === 'TEXT' || type === 'MTEXT') && word !== undefined && startPoint)
      labels.push({ at: [startPoint.x * scale, startPoint.y * scale], text: word });
    if (!vertices || vertices.length < 2 || !/LINE$/.test(type)) continue;
    const points = vertices.map(({ x, y }): Vec2 => [x * scale, y * scale]);
    const drawn = { points, hasArcs: vertices.some(({ bulge }) => (bulge ?? 0) !== 0) };
    layers.set(name, [...(layers.get(name) ?? []), drawn]);
  }
  return { layers, labels, notation, assumed };
}

/** The lines of a view by name, and the height on paper that its figures are measured from. */
function viewLayers(layers: ReadonlyMap<string, readonly Drawn[]>, view: string, zeroName: string) {
  const lines = new Map<string, readonly Drawn[]>();
  let zero = 0;
  for (const [layer, drawn] of layers) {
    if (!layer.startsWith(`${view} `)) continue;
    const name = layer.slice(view.length + 1).trim();
    if (name === zeroName) zero = drawn[0]?.points[0]?.[1] ?? 0;
    else if (name !== '') lines.set(name, drawn);
  }
  return { lines, zero };
}

const lowered = (points: readonly Vec2[], zero: number): Vec2[] => points.map(([x, y]) => [x, y - zero]);

/** The pieces of a line end to end, from forward aft; undefined where there is none. */
function joined(pieces: readonly Drawn[], layer: string, problems: string[]): Vec2[] | undefined {
  const left = pieces.map(({ points }) => {
    const isAft = at(points, 0)[0] > at(points, -1)[0];
    return isAft ? [...points].reverse() : [...points];
  });
  left.sort((a, b) => at(a, 0)[0] - at(b, 0)[0]);
  const first = left.shift();
  if (!first) return undefined;
  for (const next of left) {
    if (distance2(at(first, -1), at(next, 0)) > MEET_MM) {
      problems.push(
        `Layer ${layer}: ${pieces.length} pieces that do not meet; expected one line, or pieces end to end`,
      );
      return undefined;
    }
    first.push(...next.slice(1));
  }
  return first;
}

type At = { readonly label: string; readonly x: number };

function stationsFrom(drawn: readonly Drawn[], labels: readonly Label[]): At[] {
  const found = new Map<number, string>();
  for (const { points } of drawn) {
    const [a, b] = [at(points, 0), at(points, -1)];
    if (Math.abs(a[0] - b[0]) > MEET_MM) continue;
    const x = Math.round(a[0] * 100) / 100;
    const own = labels.filter((label) => Math.abs(label.at[0] - x) < MEET_MM && label.text.trim() !== '');
    found.set(x, own[0]?.text.trim().slice(0, 40) ?? found.get(x) ?? '');
  }
  return [...found].sort((a, b) => a[0] - b[0]).map(([x, label], i) => ({ x, label: label || String(i + 1) }));
}

function pointsOf(
  name: string,
  profile: readonly Vec2[],
  plan: readonly Vec2[] | undefined,
  stations: readonly At[],
  problems: string[],
): OffsetPoint[] {
  const turnsBack = profile.some((p, i) => i > 0 && p[0] < at(profile, i - 1)[0]);
  if (turnsBack && plan) {
    problems.push(
      `Layer PROFILE ${name}: the line turns back; expected one that runs aft all through, or one without a plan`,
    );
    return [];
  }
  // on the centreline there is only the profile: it may run as it likes
  if (turnsBack) return thinned(profile).map(([x, height]) => ({ station: '', x, halfBreadth: 0, height }));
  const [heightAt, breadthAt] = [reader(profile), plan ? reader(plan) : () => 0];
  const [from, to] = [at(profile, 0)[0], at(profile, -1)[0]];
  const inside = (stations.length > 0 ? stations : corners(profile, from, to)).filter(
    ({ x }) => x > from + MEET_MM && x < to - MEET_MM,
  );
  return [{ x: from, label: 'fore end' }, ...inside, { x: to, label: 'aft end' }].map(({ x, label }): OffsetPoint => ({
    station: label,
    x: hundredth(x),
    halfBreadth: hundredth(breadthAt(x)),
    height: hundredth(heightAt(x)),
  }));
}

const hundredth = (mm: number) => Math.round(mm * 100) / 100;

const thinned = (line: readonly Vec2[]): readonly Vec2[] => (line.length <= MOST_CORNERS ? line : simplify(line, 0.05));

function corners(profile: readonly Vec2[], from: number, to: number): At[] {
  const xs =
    profile.length <= MOST_CORNERS
      ? profile.map((p) => p[0])
      : Array.from({ length: EVEN_STEPS }, (_, i) => from + ((to - from) * i) / (EVEN_STEPS - 1));
  return xs.map((x) => ({ x, label: '' }));
}

/** The line's y by x. Few corners are what a batten went through; many are the batten's own curve. */
function reader(line: readonly Vec2[]): (x: number) => number {
  const kept = line.filter((p, i) => i === 0 || p[0] - at(line, i - 1)[0] > 1e-6);
  if (kept.length < 2) return () => at(line, 0)[1];
  const isCurve = kept.length > MOST_CORNERS;
  const spline = isCurve ? undefined : fitSpline(kept.map(([x, y]) => [x, y, 0] as const));
  return (x) => {
    const i = Math.min(
      Math.max(
        kept.findIndex((p) => p[0] >= x),
        1,
      ),
      kept.length - 1,
    );
    const [a, b] = [at(kept, i - 1), at(kept, x > at(kept, -1)[0] ? -1 : i)];
    const w = Math.min(Math.max((x - a[0]) / (b[0] - a[0]), 0), 1);
    if (!spline || w === 0 || w === 1) return a[1] + w * (b[1] - a[1]);
    let [low, high] = [0, uEnd(spline)];
    for (let k = 0; k < 60; k++) {
      const middle = (low + high) / 2;
      if (evaluate(spline, middle).position[0] < x) low = middle;
      else high = middle;
    }
    return evaluate(spline, low).position[1];
  };
}
