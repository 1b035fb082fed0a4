/**
 * A transom, aft or at the bow: the flat panel across the ends of the lines, where they end off the centreline.
 *
 * Its plane holds the athwart direction, so it is a line in the profile, fitted by least squares to the ends (derived
 * here). Flat axes: u athwart to starboard, v up along the transom. Edges are straight between the ends of the lines,
 * as the panels' end rulings are; how the transom stands to the panels says how far within: see transom-fit.ts.
 */
import { add3, area, at, distance2, distance3, dot3, scale3, sub3, type Vec2, type Vec3 } from '../../geometry';
import type { PanelsFinding } from '../findings';
import { battenAt, CENTRELINE_MM, linesToEnd, positionOf, type Hull } from '../../lines';
import { leastRadius } from '../bending';
import { fitCylinder, rakeOf, remedyOnCylinder, rolledOut, type TransomCylinder } from './curved-transom';
import type { Proud } from '../cut/cut-line';
import type { Panel } from '../panel';
import type { TransomFit } from '../schema';
import {
  cornerInset,
  endMoved,
  movedHalf,
  outlineInset,
  panelBetween,
  panelsRunOn,
  type EdgeMet,
  type EndPlane,
  type TransomSheet,
} from './transom-fit';

export type Transom = {
  readonly id: 'transom' | 'bow-transom';
  /** Which end of the boat it closes. */
  readonly end: 'fore' | 'aft';
  readonly name: string;
  readonly fit: TransomFit;
  /** The face that lies in the plane of the panels' ends: the inner one of a transom that caps, else the outer. */
  readonly face: 'fore' | 'aft';
  /** As it stands in the boat. Counter-clockwise, seen from aft. */
  readonly outline: readonly Vec2[];
  /** What is cut, where that is larger; absent: the outline. */
  readonly proud?: Proud;
  /** The corners of the lines' surface in the plane of the panels' ends, in space. */
  readonly corners: readonly Vec3[];
  /** Lean from upright, rad; positive when the top lies further aft. */
  readonly rakeRad: number;
  readonly areaM2: number;
  /** The corner between its inner face and the inside of the skin, stretch by stretch, both sides of the boat. */
  readonly seam: readonly { readonly length: number; readonly angleRad: number }[];
  /** Of one bent athwart: rows of points across it from its lowest up, for drawing it in the round. */
  readonly rows?: readonly (readonly Vec3[])[];
};

/** Ends further off the common plane than this do not make a flat transom. */
const FLAT_MM = 1.5;

/** What the after one is bent to, and the panels that meet it there. */
export type TransomBend = { readonly cylinder: TransomCylinder; readonly panels: readonly Panel[] };

/** A sheet without thickness, on the lines' surface. */
const NO_THICKNESS: TransomSheet = {
  ...{ fit: 'caps', ends: 'inner', thickness: 0, gap: null },
  ...{ skinUnder: () => 0, skinOver: () => 0 },
};

/** The lines that end on a transom, and where the panels end on them. */
export type TransomEnd = {
  readonly end: Transom['end'];
  readonly plane: EndPlane;
  readonly rakeRad: number;
  readonly lines: readonly {
    readonly id: string;
    /** The line's parameter where the panels end. */
    readonly t: number;
    readonly at: Vec3;
  }[];
  /** How far the lines' ends lie off one plane at most. */
  readonly offMm: number;
};

/** The ends of the hull that a transom closes. One that is bent keeps the lines' own ends. */
export function transomEnds(hull: Hull, sheet: Pick<TransomSheet, 'fit' | 'ends' | 'thickness'>, isBent = false) {
  return (['fore', 'aft'] as const).flatMap((end): TransomEnd[] => {
    const lines = linesToEnd(hull, end);
    const ends = lines.map((line): Vec3 => positionOf(at(line.points, end === 'aft' ? -1 : 0)));
    if (!ends.some(([, y]) => y > CENTRELINE_MM) || ends.length < 2) return [];
    const rakeRad = rakeOf(ends);
    const out = end === 'aft' ? 1 : -1;
    const normal: Vec3 = [out * Math.cos(rakeRad), 0, -out * Math.sin(rakeRad)];
    const point = scale3(
      ends.reduce((sum, p) => add3(sum, p), [0, 0, 0] as Vec3),
      1 / ends.length,
    );
    const plane = { point, normal };
    const byMm = isBent && end === 'aft' ? 0 : panelsRunOn(sheet);
    const offMm = Math.max(...ends.map((p) => Math.abs(dot3(sub3(p, point), normal))));
    const moved = lines.map((line, i) => {
      const t = endMoved(line, end, plane, byMm);
      return { id: line.id, t, at: byMm === 0 ? at(ends, i) : battenAt(line.batten, t).position };
    });
    return [{ end, plane, rakeRad, lines: moved, offMm }];
  });
}

export function findTransoms(
  hull: Hull,
  {
    sheet = NO_THICKNESS,
    panels = [],
    bend,
  }: {
    readonly sheet?: TransomSheet;
    readonly panels?: readonly Panel[];
    readonly bend?: TransomBend | undefined;
  } = {},
): { transoms: Transom[]; findings: PanelsFinding[] } {
  const transoms: Transom[] = [];
  const findings: PanelsFinding[] = [];
  for (const where of transomEnds(hull, sheet, bend !== undefined)) {
    const transom = flatten(where, sheet, panels);
    if (transom.areaM2 < LEAST_M2) continue;
    if (bend && where.end === 'aft') {
      transoms.push(bentTransom(bend.panels, bend.cylinder));
      continue;
    }
    transoms.push(transom);
    if (where.offMm <= FLAT_MM) continue;
    findings.push({
      severity: 'check',
      code: 'transom-not-flat',
      where: { stage: 'panels', panel: transom.id, x: at(where.lines, 0).at[0] },
      data: { transom: transom.name, offMm: where.offMm },
    });
  }
  return { transoms, findings };
}

/** Smaller than a hand: the lines end close to one point. */
const LEAST_M2 = 0.005;

/** What a transom is called, by the end that it closes. */
const NAMES = {
  fore: { id: 'bow-transom', name: 'Bow transom' },
  aft: { id: 'transom', name: 'Transom' },
} as const;

const OTHER_FACE = { fore: 'aft', aft: 'fore' } as const;

function flatten({ end, plane, rakeRad, lines }: TransomEnd, sheet: TransomSheet, panels: readonly Panel[]): Transom {
  const ends = lines.map((line) => line.at);
  // in the transom's plane: athwart, and up along it
  const along = (p: Vec3) => (p[0] - plane.point[0]) * Math.sin(rakeRad) + (p[2] - plane.point[2]) * Math.cos(rakeRad);
  const low = Math.min(...ends.map(along));
  const flat = ends.map((p): Vec2 => [p[1], along(p) - low]);
  const met = edgesMet({ end, plane, ends, panels });
  const isFlatBottomed = at(flat, 0)[0] > CENTRELINE_MM;
  const fromCentre = isFlatBottomed ? [[0, at(flat, 0)[1]] as const, ...flat] : flat;
  const half = movedHalf(
    fromCentre,
    met.map((edge) => outlineInset(sheet, edge)),
  ).slice(isFlatBottomed ? 1 : 0);
  const corner = movedHalf(
    fromCentre,
    met.map((edge) => cornerInset(sheet, edge)),
  );
  const backwards = [...ends].reverse().filter((p) => Math.abs(p[1]) > CENTRELINE_MM);
  const outline = bothHalves(half);
  return {
    ...NAMES[end],
    end,
    fit: sheet.fit,
    face: sheet.fit === 'caps' ? OTHER_FACE[end] : end,
    outline,
    corners: [...ends, ...backwards.map(([x, y, z]): Vec3 => [x, -y, z])],
    rakeRad,
    areaM2: area(outline) / 1e6,
    seam: met.map(({ bevelRad }, i) => ({
      length: 2 * distance2(at(corner, i), at(corner, i + 1)),
      angleRad: Math.PI / 2 + bevelRad,
    })),
  };
}

const bothHalves = (half: readonly Vec2[]): Vec2[] => {
  const mirrored = [...half].reverse().filter(([y]) => Math.abs(y) > CENTRELINE_MM);
  return [...half, ...mirrored.map(([y, v]): Vec2 => [-y, v])];
};

type Meets = Pick<TransomEnd, 'end' | 'plane'> & { readonly ends: readonly Vec3[]; readonly panels: readonly Panel[] };

/** How far off square each stretch of the edge meets the skin, from the centreline up; square where no panel is. */
function edgesMet({ end, plane, ends, panels }: Meets): EdgeMet[] {
  const [lowest] = ends as [Vec3];
  const from: Vec3[] = lowest[1] > CENTRELINE_MM ? [[lowest[0], -lowest[1], lowest[2]], ...ends] : [...ends];
  return from.slice(1).map((b, i) => {
    const there = panelBetween(panels, end, at(from, i), b);
    const bevelRad = there ? Math.asin(Math.max(-1, Math.min(1, dot3(there.normal, plane.normal)))) : 0;
    return { bevelRad, panel: there?.panel };
  });
}

/** What a transom bent athwart has to be told: the lines' ends, whether the sheet takes it, and where it lies. */
export function cylinderFor(
  hull: Hull,
  { radius, thickness }: { readonly radius: number; readonly thickness: number },
): { readonly cylinder: TransomCylinder | undefined; readonly findings: PanelsFinding[] } {
  const ends = linesToEnd(hull, 'aft')
    .map((line) => at(line.points, -1))
    .map((p): Vec3 => [p.x, p.halfBreadth, p.height]);
  const breadth = Math.max(0, ...ends.map(([, y]) => y));
  if (breadth <= CENTRELINE_MM) return { cylinder: undefined, findings: [] };
  const where = { stage: 'panels', panel: NAMES.aft.id, x: ends[0]?.[0] ?? 0 } as const;
  const cylinder = fitCylinder(ends, radius);
  if (!cylinder) {
    const data = { radiusMm: radius, breadthMm: breadth };
    return { cylinder, findings: [{ severity: 'check', code: 'transom-too-round', where, data }] };
  }
  const findings: PanelsFinding[] = [];
  if (cylinder.offMm > FLAT_MM)
    findings.push({
      severity: 'check',
      code: 'transom-off-bend',
      where,
      data: { offMm: cylinder.offMm, radiusMm: radius },
      remedies: [remedyOnCylinder(hull, cylinder)],
    });
  const leastMm = leastRadius(thickness, 0); // its grain runs athwart
  if (radius < leastMm)
    findings.push({
      severity: 'check',
      code: 'transom-bend-tight',
      where,
      data: { radiusMm: radius, leastMm, thicknessMm: thickness, acrossMm: leastRadius(thickness, Math.PI / 2) },
    });
  return { cylinder, findings };
}

/** The transom rolled out, its edges where the panels meet it: it caps them. */
export function bentTransom(panels: readonly Panel[], cylinder: TransomCylinder): Transom {
  const { outline, corners, rows } = rolledOut(panels, cylinder);
  const half = corners.slice(0, Math.ceil(corners.length / 2));
  const length = 2 * half.reduce((sum, p, i) => (i === 0 ? Math.abs(p[1]) : sum + distance3(at(half, i - 1), p)), 0);
  return {
    ...NAMES.aft,
    end: 'aft',
    fit: 'caps',
    face: 'fore',
    outline,
    corners,
    rows,
    rakeRad: cylinder.rakeRad,
    areaM2: area(outline) / 1e6,
    seam: [{ length, angleRad: Math.PI / 2 }],
  };
}

/** The transom in the round as triangles, their outer side aft. */
export function transomTriangles({ corners, rows }: Transom): (readonly [Vec3, Vec3, Vec3])[] {
  if (!rows) return corners.slice(2).map((c, i) => [at(corners, 0), at(corners, i + 1), c] as const);
  return rows.slice(1).flatMap((above, i) => {
    const below = at(rows, i);
    return above
      .slice(1)
      .flatMap((c, j) => [[at(below, j), at(above, j), c] as const, [at(below, j), c, at(below, j + 1)] as const]);
  });
}
