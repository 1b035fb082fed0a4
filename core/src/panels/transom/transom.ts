/**
 * A transom, aft or at the bow: the flat panel across the ends of the lines, where they end off the centreline.
 *
 * Its plane holds the athwart direction, so it is a line in the profile, fitted by least squares to the ends (derived
 * here). Flat axes: u athwart to starboard, v up along the transom. Edges are straight between the ends of the lines,
 * as the panels' end rulings are.
 */
import { area, at, type Vec2, type Vec3 } from '../../geometry';
import type { PanelsFinding } from '../findings';
import { CENTRELINE_MM, linesToEnd, type Hull } from '../../lines';
import { leastRadius } from '../bending';
import { fitCylinder, rakeOf, remedyOnCylinder, rolledOut, type TransomCylinder } from './curved-transom';
import type { Panel } from '../panel';

export type Transom = {
  readonly id: 'transom' | 'bow-transom';
  /** Which end of the boat it closes. */
  readonly end: 'fore' | 'aft';
  readonly name: string;
  /** Counter-clockwise, seen from aft. */
  readonly outline: readonly Vec2[];
  /** The same corners in space. */
  readonly corners: readonly Vec3[];
  /** Lean from upright, rad; positive when the top lies further aft. */
  readonly rakeRad: number;
  readonly areaM2: number;
  /** Of one bent athwart: rows of points across it from its lowest up, for drawing it in the round. */
  readonly rows?: readonly (readonly Vec3[])[];
};

/** Ends further off the common plane than this do not make a flat transom. */
const FLAT_MM = 1.5;

/** What the after one is bent to, and the panels that meet it there. */
export type TransomBend = { readonly cylinder: TransomCylinder; readonly panels: readonly Panel[] };

export function findTransoms(hull: Hull, bend?: TransomBend): { transoms: Transom[]; findings: PanelsFinding[] } {
  const transoms: Transom[] = [];
  const findings: PanelsFinding[] = [];
  for (const end of ['fore', 'aft'] as const) {
    const ends = linesToEnd(hull, end).map((line) => at(line.points, end === 'aft' ? -1 : 0));
    if (!ends.some((point) => point.halfBreadth > CENTRELINE_MM) || ends.length < 2) continue;
    const { transom, offMm } = flatten(
      end,
      ends.map((p): Vec3 => [p.x, p.halfBreadth, p.height]),
    );
    if (transom.areaM2 < LEAST_M2) continue;
    if (bend && end === 'aft') {
      transoms.push(bentTransom(bend.panels, bend.cylinder));
      continue;
    }
    transoms.push(transom);
    if (offMm <= FLAT_MM) continue;
    findings.push({
      severity: 'check',
      code: 'transom-not-flat',
      where: { stage: 'panels', panel: transom.id, x: at(ends, 0).x },
      data: { transom: transom.name, offMm },
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

function flatten(end: Transom['end'], ends: readonly Vec3[]): { transom: Transom; offMm: number } {
  const mean = (axis: 0 | 2) => ends.reduce((sum, p) => sum + p[axis], 0) / ends.length;
  const [mx, mz] = [mean(0), mean(2)];
  const angle = rakeOf(ends); // up along the transom
  const [ux, uz] = [Math.sin(angle), Math.cos(angle)];
  const along = (p: Vec3) => (p[0] - mx) * ux + (p[2] - mz) * uz;
  const low = Math.min(...ends.map(along));
  const offMm = Math.max(...ends.map((p) => Math.abs((p[0] - mx) * uz - (p[2] - mz) * ux)));
  const half = ends.map((p): Vec2 => [p[1], along(p) - low]);
  const mirrored = [...half].reverse().filter(([y]) => Math.abs(y) > CENTRELINE_MM);
  const outline = [...half, ...mirrored.map(([y, v]): Vec2 => [-y, v])];
  const backwards = [...ends].reverse().filter((p) => Math.abs(p[1]) > CENTRELINE_MM);
  const corners = [...ends, ...backwards.map(([x, y, z]): Vec3 => [x, -y, z])];
  return { transom: { ...NAMES[end], end, outline, corners, rakeRad: angle, areaM2: area(outline) / 1e6 }, offMm };
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

/** The transom rolled out, its edges where the panels meet it. */
export function bentTransom(panels: readonly Panel[], cylinder: TransomCylinder): Transom {
  const { outline, corners, rows } = rolledOut(panels, cylinder);
  return {
    ...NAMES.aft,
    end: 'aft',
    outline,
    corners,
    rows,
    rakeRad: cylinder.rakeRad,
    areaM2: area(outline) / 1e6,
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
