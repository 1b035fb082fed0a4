/**
 * Develops the panels of one side of a hull: rulings, flat shape, twist, bend and strain, with what plywood will not
 * do.
 *
 * See inputs.ts for what the panels lie between, rulings.ts and strip.ts for the method, strain.ts for what will not
 * develop.
 */
import { area, at, cross3, distance2, length3, sub3, type Vec2, type Vec3 } from '../geometry';
import type { Finding, StageResult } from '../findings';
import { battenAt, type Hull, type HullLine } from '../lines';
import { leastRadius } from './bending';
import { STRAIN_LIMITS, TWIST_LIMIT_DEG } from './constants';
import { edgesOf, panelIdOf, panelInputs, placeOnRow, stretchesOf, type EdgeStretch, type PanelInput } from './inputs';
import { findRulings } from './rulings';
import { twistOf } from './twist';
import { strainOf, type StrainField } from './strain';
import type { EdgeAllowance } from './cut';
import { layStrip, squareUp, type LaidRuling } from './strip';

export type PanelEdge = {
  readonly line: string;
  /** Along the flat edge, mm. */
  readonly length: number;
  readonly points: readonly { readonly flat: Vec2; readonly space: Vec3 }[];
};

/** A figure with the place on the hull where it was found. */
export type Extreme = { readonly value: number; readonly x: number; readonly rulingIndex: number };

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
  /**
   * How far the after end lies beyond the last ruling, at even places from the lower edge to the upper; absent: on
   * it.
   */
  readonly aftCurve?: readonly number[];
  /** Of a panel cut in two: the id of the whole, and which part this is. */
  readonly partOf?: { readonly id: string; readonly part: 'lower' | 'upper' | 'half' };
};

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

/** What is wrong with one panel for a sheet of this thickness. */
export function judgePanel(panel: Panel, input: PanelInput, thicknessMm: number): Finding[] {
  const findings: Finding[] = [];
  const where = (extreme: Extreme) => ({ stage: 'panels', panel: panel.id, x: extreme.x }) as const;
  if (panel.maxTwist.value > TWIST_LIMIT_DEG.value) {
    findings.push({
      severity: panel.maxStrain.value > STRAIN_LIMITS.value.force ? 'stop' : 'check',
      code: 'panel-twist-high',
      where: where(panel.maxTwist),
      data: {
        panel: panel.name,
        twistDeg: panel.maxTwist.value,
        limitDeg: TWIST_LIMIT_DEG.value,
        xMm: panel.maxTwist.x,
        line: lineToMove(panel, input).name,
      },
    });
  }
  if (panel.maxStrain.value > STRAIN_LIMITS.value.joints) {
    findings.push({
      severity: panel.maxStrain.value > STRAIN_LIMITS.value.force ? 'stop' : 'check',
      code: 'panel-strain',
      where: where(panel.maxStrain),
      data: { panel: panel.name, strain: panel.maxStrain.value, xMm: panel.maxStrain.x },
    });
  }
  return [...findings, ...judgeBend(panel, thicknessMm)];
}

/** The line whose tangent turns more out of the plane through the ruling and the mean of both tangents. */
function lineToMove(panel: Panel, input: PanelInput): HullLine {
  const { s, t, p, q } = at(panel.rulings, panel.maxTwist.rulingIndex);
  const turn = ({ line, t: u }: { line: HullLine; t: number }) => {
    const before = battenAt(line.batten, Math.max(0, u - 0.03));
    const after = battenAt(line.batten, Math.min(1, u + 0.03));
    return Math.abs(twistOf(p, before.first, q, after.first));
  };
  const [lower, upper] = [placeOnRow(input.rows[0], s), placeOnRow(input.rows[1], t)];
  return (turn(lower) >= turn(upper) ? lower : upper).line;
}

function judgeBend(panel: Panel, thicknessMm: number): Finding[] {
  const bend = panel.minBendRadius;
  if (!bend) return [];
  const ruling = at(panel.rulings, bend.rulingIndex);
  // the grain runs along u; bending happens square to the ruling
  const alongRuling = Math.atan2(ruling.flatQ[1] - ruling.flatP[1], ruling.flatQ[0] - ruling.flatP[0]);
  const least = leastRadius(thicknessMm, alongRuling - Math.PI / 2);
  if (bend.value >= least) return [];
  const data = { panel: panel.name, radiusMm: bend.value, leastMm: least, thicknessMm, xMm: bend.x };
  return [
    {
      severity: 'check',
      code: 'panel-bend-tight',
      where: { stage: 'panels', panel: panel.id, x: bend.x },
      data,
    },
  ];
}

/** Develops the panels of one side. Lengths mm. Never throws on a fair or unfair hull: it says so in findings. */
export function developPanels(hull: Hull, options: { readonly thickness: number }): StageResult<readonly Panel[]> {
  const panels: Panel[] = [];
  const findings: Finding[] = [];
  for (const input of panelInputs(hull)) {
    const panel = developPanel(input);
    if ('reason' in panel) findings.push(notMade(input, panel.reason));
    else {
      panels.push(panel);
      findings.push(...judgePanel(panel, input, options.thickness));
    }
  }
  return { value: panels, findings, assumed: [] };
}

export function notMade(input: PanelInput, reason: string): Finding {
  return {
    severity: 'stop',
    code: 'panel-not-made',
    where: { stage: 'panels', panel: panelIdOf(input) },
    data: { panel: input.name, reason },
  };
}
