/**
 * One panel, developed: its rulings, flat shape, twist, bend and strain.
 *
 * See inputs.ts for what the panels lie between, rulings.ts and strip.ts for the method, strain.ts for what will not
 * develop.
 */
import { area, at, cross3, distance2, length3, sub3, type Vec2, type Vec3 } from '../geometry';
import { findRulings, layStrip, squareUp, strainOf, type LaidRuling, type StrainField } from '../surface';
import type { Proud } from './cut/cut-line';
import { edgesOf, panelIdOf, stretchesOf, type EdgeStretch, type PanelInput } from './inputs';

type PanelEdge = {
  readonly line: string;
  /** Along the flat edge, mm. */
  readonly length: number;
  readonly points: readonly { readonly flat: Vec2; readonly space: Vec3 }[];
};

/** A figure with the place on the hull where it was found. */
export type Extreme = { readonly value: number; readonly x: number; readonly rulingIndex: number };

/** What the thickness changed along one edge, mm. */
export type EdgeAllowance = {
  readonly line: string;
  /** Length of the cut edge less that of the line. */
  readonly longerBy: number;
  /** The same of each stretch that it shares with another panel or its mirror, by where that begins on its line. */
  readonly stretches: readonly { readonly line: string; readonly from: number; readonly longerBy: number }[];
  /** How far the edge stands back, least and most along it; negative: it runs past. */
  readonly setback: { readonly least: number; readonly most: number };
  /** It runs past the corner, under a timber on the outside of what it meets: fastened to that, not stitched. */
  readonly isOverLog?: boolean;
};

/** One of the thin sheets that a panel is laid of; the first is the inside one. */
export type Layer = {
  /** Id of the panel. */
  readonly of: string;
  readonly number: number;
  readonly count: number;
  readonly thicknessMm: number;
};

/** How a sheet thinner or thicker than the skin's usual one lies, beside that one, mm. */
export type OwnSheet = {
  readonly thicknessMm: number;
  /** How much deeper under the lines its inside lies, and how much further out its outside. */
  readonly insideBy: number;
  readonly outsideBy: number;
};

export type Panel = {
  readonly id: string;
  readonly name: string;
  readonly between: readonly [string, string];
  /** What its lower and its upper edge run along, fore to aft: mostly each one whole line. */
  readonly stretches: readonly [readonly EdgeStretch[], readonly EdgeStretch[]];
  /**
   * Where the lower and the upper edge may have corners within: at knuckles and between stretches, by the edge's
   * parameter.
   */
  readonly knuckles: readonly [readonly number[], readonly number[]];
  /** One panel spans the centreline; otherwise there is a mirrored one to port. */
  readonly spansCentreline: boolean;
  readonly outline: readonly Vec2[];
  readonly edges: readonly [PanelEdge, PanelEdge];
  readonly rulings: readonly LaidRuling[];
  readonly maxTwist: Extreme;
  readonly maxStrain: Extreme;
  readonly strainField: StrainField;
  /** Null when the panel is flat. */
  readonly minBendRadius: Extreme | null;
  readonly areaM2: number;
  readonly spaceAreaM2: number;
  /** What the skin's thickness changed along the lower and the upper edge; absent where the lines' surface is meant. */
  readonly allowances?: readonly [EdgeAllowance, EdgeAllowance];
  /** How deep its inside face, on which it is marked, lies under the lines' surface, mm; absent: on it. */
  readonly insideMm?: number;
  /**
   * How far the after end lies beyond the last ruling, at even places from the lower edge to the upper; absent: on
   * it.
   */
  readonly aftCurve?: readonly number[];
  /** Of a panel cut in two: the id of the whole, and which part this is. */
  readonly partOf?: { readonly id: string; readonly part: 'lower' | 'upper' | 'half' };
  /** What is cut, where that is larger than the outline; absent: the outline. */
  readonly proud?: Proud;
  /** Cut of a sheet thinner or thicker than the skin's usual one; absent: of that. */
  readonly own?: OwnSheet;
  /** Laid of thin sheets: the shape of each, from the inside out; what the panel itself is stays its middle. */
  readonly layers?: readonly Panel[];
  /** Which of a panel's layers this is. */
  readonly layer?: Layer;
  /** Of a boat whose sides differ: there is this one alone. Drawn is what the starboard one's inside would be. */
  readonly only?: 'starboard' | 'port';
  /** Of such a one to port: the id of the one to starboard, under which what is decided of both is kept. */
  readonly like?: string;
};

/** Whether it is cut twice, the second the mirror image of the first. */
export const isCutTwice = ({ spansCentreline, only }: Pick<Panel, 'spansCentreline' | 'only'>): boolean =>
  !spansCentreline && only === undefined;

/** Develops one panel, or says why it cannot be. */
export function developPanel(input: PanelInput): Panel | { readonly reason: string } {
  const [P, Q] = edgesOf(input);
  const { name, spansCentreline } = input;
  const between = [input.lower.id, input.upper.id] as const;
  const names = {
    id: panelIdOf(input),
    name,
    between,
    stretches: stretchesOf(input),
    knuckles: [P.knuckles, Q.knuckles] as const,
    spansCentreline,
  };
  const panel = panelOf(layStrip(P, Q, findRulings(P, Q)), names);
  if (panel.outline.length < 3 || panel.areaM2 * 1e6 < 1) return { reason: 'its two lines lie on one another' };
  return panel;
}

/** What a panel is, beside its shape. */
export type PanelNames = Pick<
  Panel,
  'id' | 'name' | 'between' | 'stretches' | 'knuckles' | 'spansCentreline' | 'partOf' | 'aftCurve'
>;

/** The panel of these rulings, with all that is measured on it. */
export function panelOf(rulings: readonly LaidRuling[], names: PanelNames): Panel {
  const outline = outlineOf(rulings, names.aftCurve);
  return {
    ...names,
    outline,
    edges: [edgeOf(rulings, 'P', names.between[0]), edgeOf(rulings, 'Q', names.between[1])],
    rulings,
    ...extremesOf(rulings),
    areaM2: area(outline) / 1e6,
    spaceAreaM2: spaceArea(rulings) / 1e6,
  };
}

/** The same panel with its after end set out from the last ruling. */
export const withAftCurve = (panel: Panel, aftCurve: readonly number[]): Panel =>
  panelOf(panel.rulings, { ...panel, aftCurve });

/** A stretch of an end's curve, from one share of the ruling to another. */
export function partOfCurve(
  curve: readonly number[] | undefined,
  [from, to]: readonly [number, number],
): number[] | undefined {
  if (!curve) return undefined;
  const last = curve.length - 1;
  return curve.map((_, i) => {
    const place = Math.min(last, Math.max(0, (from + ((to - from) * i) / last) * last));
    const k = Math.min(last - 1, Math.floor(place));
    return at(curve, k) + (place - k) * (at(curve, k + 1) - at(curve, k));
  });
}

type Flat = { readonly p: readonly Vec2[]; readonly q: readonly Vec2[] };

/** The same panel with another flat shape: a place for each end of each ruling. `ends`: the shares of the last ruling
 * between which the after end is left. `whole`: the flat shape before its edges were set back, where they have been. */
export function withFlat(
  panel: Panel,
  flat: Flat,
  { ends = [0, 1], whole }: { readonly ends?: readonly [number, number]; readonly whole?: Flat } = {},
): Panel {
  const square = squareUp(flat, whole ?? { p: [], q: [] });
  const rulings = panel.rulings.map(({ whole: _, ...r }, k): LaidRuling => {
    const laid = { ...r, flatP: at(square.p, k), flatQ: at(square.q, k) };
    return whole ? { ...laid, whole: [at(square.along.p, k), at(square.along.q, k)] } : laid;
  });
  const outline = outlineOf(rulings, partOfCurve(panel.aftCurve, ends));
  const edges = [edgeOf(rulings, 'P', panel.between[0]), edgeOf(rulings, 'Q', panel.between[1])] as const;
  return { ...panel, rulings, outline, edges, areaM2: area(outline) / 1e6 };
}

/** Points nearer than this in the flat are one point of the outline. */
const SAME_FLAT_MM = 1e-3;

function outlineOf(rulings: readonly LaidRuling[], aftCurve?: readonly number[]): Vec2[] {
  const outline: Vec2[] = [];
  const add = (point: Vec2) => {
    const before = outline[outline.length - 1];
    if (!before || distance2(point, before) > SAME_FLAT_MM) outline.push(point);
  };
  for (const { flatP } of rulings) add(flatP);
  if (aftCurve) for (const point of aftEnd(at(rulings, -1), aftCurve)) add(point);
  for (let k = rulings.length - 1; k >= 0; k--) add(at(rulings, k).flatQ);
  // the first point again: both edges begin in one
  if (outline.length > 1 && distance2(at(outline, 0), at(outline, -1)) <= SAME_FLAT_MM) outline.pop();
  return outline;
}

/** The after end, from the lower edge to the upper: u runs aft, so out is to the right of the way from P to Q. */
function aftEnd({ flatP, flatQ }: LaidRuling, curve: readonly number[]): Vec2[] {
  const length = distance2(flatP, flatQ);
  if (length < SAME_FLAT_MM) return [];
  const [du, dv] = [(flatQ[0] - flatP[0]) / length, (flatQ[1] - flatP[1]) / length];
  return curve.map((out, i): Vec2 => {
    const along = (length * i) / (curve.length - 1);
    return [flatP[0] + along * du + out * dv, flatP[1] + along * dv - out * du];
  });
}

function edgeOf(rulings: readonly LaidRuling[], end: 'P' | 'Q', line: string): PanelEdge {
  const points: { flat: Vec2; space: Vec3 }[] = [];
  for (const r of rulings) {
    const point = end === 'P' ? { flat: r.flatP, space: r.p } : { flat: r.flatQ, space: r.q };
    const before = points[points.length - 1];
    if (!before || distance2(before.flat, point.flat) > SAME_FLAT_MM) points.push(point);
  }
  return { line, length: smoothLength(points.map(({ flat }) => flat)), points };
}

/**
 * Length of the smooth curve through close points: each chord longer by θ²/24, θ the turn from chord to chord at its
 * ends, the lesser of both, so that a corner counts for nothing.
 */
export function smoothLength(points: readonly Vec2[]): number {
  const steps = points.slice(1).map((b, i): Vec2 => [b[0] - points[i]![0], b[1] - points[i]![1]]); // i + 1 is in bounds
  const turns2 = steps.slice(1).map(([x, y], i) => {
    const [u, v] = steps[i]!; // the one before
    return (u * y - v * x) ** 2 / ((x * x + y * y) * (u * u + v * v)); // by its sine: it is small
  });
  return steps.reduce((sum, [x, y], i) => {
    const turn2 = Math.min(turns2[i - 1] ?? Infinity, turns2[i] ?? Infinity);
    const chord = Math.sqrt(x * x + y * y);
    return sum + chord * (1 + (turn2 < Infinity ? turn2 / 24 : 0));
  }, 0);
}

function extremesOf(rulings: readonly LaidRuling[]) {
  const x = (k: number) => (at(rulings, k).p[0] + at(rulings, k).q[0]) / 2;
  const extreme = (value: number, k: number): Extreme => ({ value, x: x(k), rulingIndex: k });
  const twists = rulings.map((r) => Math.abs(r.twistDeg));
  const twistAt = indexOfMost(twists, interior(rulings));
  const strain = strainOf(rulings);
  const radii = rulings.map((r) => (r.bendRadius === null ? 0 : 1 / r.bendRadius));
  const bendAt = indexOfMost(radii, interior(rulings));
  return {
    maxTwist: extreme(at(twists, twistAt), twistAt),
    maxStrain: extreme(strain.max, strain.rulingIndex),
    strainField: strain,
    minBendRadius: at(radii, bendAt) > 0 ? extreme(1 / at(radii, bendAt), bendAt) : null,
  };
}

/** The end rulings are edges of the panel, and a pointed panel's first few have no length to be twisted. */
const interior = (rulings: readonly LaidRuling[]) => (k: number) =>
  k > 0 && k < rulings.length - 1 && length3(sub3(at(rulings, k).q, at(rulings, k).p)) > 10;

function indexOfMost(values: readonly number[], counts: (k: number) => boolean): number {
  let best = Math.min(1, values.length - 1);
  values.forEach((value, k) => {
    if (counts(k) && (value > at(values, best) || !counts(best))) best = k;
  });
  return best;
}

/** Area of the triangles between the rulings in space, mm². The check of the flat area. */
function spaceArea(rulings: readonly LaidRuling[]): number {
  let twice = 0;
  for (let k = 1; k < rulings.length; k++) {
    const [a, b] = [at(rulings, k - 1), at(rulings, k)];
    const diagonal = sub3(b.q, a.p);
    twice += length3(cross3(sub3(a.q, a.p), diagonal)) + length3(cross3(diagonal, sub3(b.p, a.p)));
  }
  return twice / 2;
}
