/**
 * How hard a panel is asked from place to place: bend, twist and stretch, each as a share of what plywood takes.
 *
 * The bend at a place is the least radius that the sheet takes there, by its thickness and the angle to the face grain,
 * over the radius it has: 1 is as tight as it goes. Along a ruling the radius runs evenly from end to end, so its share
 * runs as a hyperbola, to infinity at the point of a fan. The twist is that of the ruling, of the twist limit; the
 * stretch that of the best flattening, of what is lost in the joints. For drawing, the field is read on a grid of
 * rulings × places across, and each cell is cut along the levels asked for (marching triangles; the bend by the
 * reciprocal of its share, which is what runs evenly).
 */
import { at, lerp2, type Vec2 } from '../../geometry';
import { leastRadius } from '../bending';
import { thicknessOf } from '../cut/own-sheet';
import { STRAIN_LIMITS, TWIST_LIMIT_DEG } from '../constants';
import type { Panel } from '../panel';
import type { LaidRuling } from '../../surface';

export const FIELDS = ['bend', 'twist', 'stretch'] as const;
export type Field = (typeof FIELDS)[number];

/**
 * Bays along the panel into which it is cut. Across, one bay is enough for the bend and the twist, which run evenly.
 */
const ALONG = 100;

/** Share of what the sheet takes of bend (the usual one or its own), at a fraction w of a ruling from P to Q. */
export function bendShare(panel: Panel, k: number, w: number, usualMm: number): number {
  const ruling = at(panel.rulings, k);
  return ruling.endRadii
    ? leastOn(ruling, thicknessOf(panel, usualMm) / (panel.layers?.length ?? 1)) / radiusOn(ruling.endRadii, w)
    : 0;
}

function leastOn({ flatP, flatQ }: LaidRuling, thicknessMm: number): number {
  const slope = Math.atan2(flatQ[1] - flatP[1], flatQ[0] - flatP[0]);
  return leastRadius(thicknessMm, slope - Math.PI / 2);
}

const radiusOn = (ends: readonly [number, number], w: number): number => Math.max(ends[0] + w * (ends[1] - ends[0]), 1);

/** The field as a share of what the sheet takes, at a fraction w of ruling k. */
export type FieldReader = (k: number, w: number) => number;

export function fieldReader(panel: Panel, field: Field, thicknessMm: number): FieldReader {
  if (field === 'bend') return (k, w) => bendShare(panel, k, w, thicknessMm);
  if (field === 'twist') return (k) => Math.abs(at(panel.rulings, k).twistDeg) / TWIST_LIMIT_DEG.value;
  return stretchReader(panel);
}

/** Evenly between the corners of the strain's mesh, where each has the mean of the cells about it. */
function stretchReader({ strainField }: Panel): FieldReader {
  const { columns, across, cells } = strainField;
  const rows = across - 1;
  const corner = (column: number, row: number) => {
    const about = [-1, 0].flatMap((i) =>
      [-1, 0].flatMap((j) => {
        const [c, r] = [column + i, row + j];
        return c >= 0 && c < columns.length - 1 && r >= 0 && r < rows ? [Math.abs(at(cells, c * rows + r))] : [];
      }),
    );
    return about.reduce((sum, strain) => sum + strain, 0) / about.length / STRAIN_LIMITS.value.joints;
  };
  const corners = columns.map((_, column) => Array.from({ length: across }, (__, row) => corner(column, row)));
  return (k, w) => {
    const next = columns.findIndex((column) => column > k);
    const bay = next < 0 ? columns.length - 2 : Math.max(0, next - 1);
    const [from, to] = [at(columns, bay), at(columns, bay + 1)];
    const along = Math.min(1, (k - from) / (to - from));
    const row = Math.min(rows - 1, Math.floor(w * rows));
    const up = w * rows - row;
    const on = (column: number) => {
      const [low, high] = [at(at(corners, column), row), at(at(corners, column), row + 1)];
      return low + up * (high - low);
    };
    return on(bay) + along * (on(bay + 1) - on(bay));
  };
}

/** A place on the flat with the field there, in whatever runs evenly between places. */
type Node = { readonly flat: Vec2; readonly value: number };

/**
 * The panel cut up by the field: for each band from one limit to the next, and the last beyond them all, polygons on
 * the flat that cover it once. `limits` rise; the first band begins at nought. A field of another kind is given by its
 * reader, and runs evenly from edge to edge.
 */
export function fieldBands(
  panel: Panel,
  field: Field | FieldReader,
  { thickness, limits }: { readonly thickness: number; readonly limits: readonly number[] },
): Vec2[][][] {
  const even = field === 'bend' ? reciprocal : (share: number) => share;
  const levels = limits.map(even);
  const bands: Vec2[][][] = Array.from({ length: limits.length + 1 }, () => []);
  const bandOf = (value: number) => {
    const band = levels.findIndex((level) => value <= level);
    return band < 0 ? levels.length : band;
  };
  const read = typeof field === 'function' ? field : fieldReader(panel, field, thickness);
  const grid = nodesOf(panel, field, read, even);
  for (let i = 1; i < grid.length; i++)
    for (let j = 1; j < at(grid, i).length; j++) {
      const [before, here] = [at(grid, i - 1), at(grid, i)];
      const cell = [at(before, j - 1), at(here, j - 1), at(here, j), at(before, j)] as const;
      const found = cell.map(({ value }) => bandOf(value));
      const [low, high] = [Math.min(...found), Math.max(...found)];
      if (low === high) {
        at(bands, low).push(cell.map(({ flat }) => flat));
        continue;
      }
      const [a, b, c, d] = cell;
      for (let band = low; band <= high; band++)
        for (const triangle of [
          [a, b, c],
          [a, c, d],
        ]) {
          const part = within(triangle, levels[band - 1] ?? -Infinity, levels[band] ?? Infinity);
          if (part.length > 2) at(bands, band).push(part.map(({ flat }) => flat));
        }
    }
  return bands;
}

/** A share so small that the bend is as good as none. */
const NO_BEND = 0.01;
const reciprocal = (share: number): number => -1 / Math.max(share, NO_BEND);

/** The places at which a field is read: on the strain's own mesh, or on even rulings. */
function nodesOf(
  panel: Panel,
  field: Field | FieldReader,
  read: FieldReader,
  even: (share: number) => number,
): Node[][] {
  const { strainField, rulings } = panel;
  const last = rulings.length - 1;
  const columns =
    field === 'stretch'
      ? strainField.columns
      : [...new Set(Array.from({ length: ALONG + 1 }, (_, i) => Math.round((i * last) / ALONG)))];
  const rows = field === 'stretch' ? strainField.across - 1 : 1;
  return columns.map((k) => {
    const { flatP, flatQ } = at(rulings, k);
    return Array.from({ length: rows + 1 }, (_, j) => ({
      flat: lerp2(flatP, flatQ, j / rows),
      value: even(read(k, j / rows)),
    }));
  });
}

/** The part of a polygon where the value lies between two levels, running evenly along its sides. */
const within = (polygon: readonly Node[], low: number, high: number): Node[] => cut(cut(polygon, low, 1), high, -1);

function cut(polygon: readonly Node[], level: number, sign: 1 | -1): Node[] {
  if (!Number.isFinite(level)) return [...polygon];
  return polygon.flatMap((b, i) => {
    const a = at(polygon, i - 1);
    const [past, here] = [sign * (a.value - level), sign * (b.value - level)];
    const kept = here >= 0 ? [b] : [];
    if (past >= 0 === here >= 0) return kept;
    const w = past / (past - here);
    return [{ flat: lerp2(a.flat, b.flat, w), value: level }, ...kept];
  });
}
