/**
 * How hard a panel bends and stretches from place to place: in patches on the flat, by its rulings in the round.
 *
 * The bend at a place is the least radius that the sheet takes there, by its thickness and the angle to the face grain,
 * over the radius it has: 1 is as tight as it goes. Along a ruling the radius runs evenly from end to end.
 */
import { at, lerp2, type Vec2 } from '../geometry';
import { leastRadius } from './bending';
import { STRAIN_LIMITS } from './constants';
import type { Panel } from './panel';

export type Field = 'bend' | 'stretch';

/** A patch between two rulings: its corners on the flat, round it, and the field there as a share of the limit. */
export type Patch = {
  readonly flat: readonly Vec2[];
  readonly share: number;
};

const ALONG = 64;
const ACROSS = 4;

/** Share of what the sheet takes of bend, at a fraction w of a ruling from P to Q. */
export function bendShare(panel: Panel, k: number, w: number, thicknessMm: number): number {
  const { flatP, flatQ, endRadii } = at(panel.rulings, k);
  if (!endRadii) return 0;
  const radius = endRadii[0] + w * (endRadii[1] - endRadii[0]);
  const slope = Math.atan2(flatQ[1] - flatP[1], flatQ[0] - flatP[0]);
  return leastRadius(thicknessMm, slope - Math.PI / 2) / Math.max(radius, 1);
}

/** The field as a share of what the sheet takes, at a fraction w of ruling k. */
export function shareAt(
  panel: Panel,
  field: Field,
  { k, w, thickness }: { readonly k: number; readonly w: number; readonly thickness: number },
): number {
  if (field === 'bend') return bendShare(panel, k, w, thickness);
  const { columns, across, cells } = panel.strainField;
  const bay = Math.max(0, columns.findIndex((column) => column > k) - 1); // prettier-ignore
  const column = k >= at(columns, -1) ? columns.length - 2 : bay;
  return Math.abs(at(cells, column * (across - 1) + Math.min(across - 2, Math.floor(w * (across - 1))))) / STRAIN_LIMITS.value.joints; // prettier-ignore
}

/** The panel in patches, each with the field in its middle. */
export function fieldPatches(panel: Panel, field: Field, thicknessMm: number): Patch[] {
  return field === 'bend' ? bendPatches(panel, thicknessMm) : stretchPatches(panel);
}

function bendPatches(panel: Panel, thicknessMm: number): Patch[] {
  const last = panel.rulings.length - 1;
  const columns = [...new Set(Array.from({ length: ALONG + 1 }, (_, i) => Math.round((i * last) / ALONG)))];
  return columns.slice(1).flatMap((to, i) => {
    const from = at(columns, i);
    const middle = Math.round((from + to) / 2);
    return Array.from({ length: ACROSS }, (_, j) =>
      patch(
        panel,
        [from, to],
        [j / ACROSS, (j + 1) / ACROSS],
        bendShare(panel, middle, (j + 0.5) / ACROSS, thicknessMm),
      ),
    );
  });
}

/** The share is of what is lost in the joints. */
function stretchPatches(panel: Panel): Patch[] {
  const { columns, across, cells } = panel.strainField;
  return columns
    .slice(1)
    .flatMap((to, i) =>
      Array.from({ length: across - 1 }, (_, j) =>
        patch(
          panel,
          [at(columns, i), to],
          [j / (across - 1), (j + 1) / (across - 1)],
          Math.abs(at(cells, i * (across - 1) + j)) / STRAIN_LIMITS.value.joints,
        ),
      ),
    );
}

function patch(panel: Panel, [a, b]: [number, number], [w0, w1]: [number, number], share: number): Patch {
  const [ra, rb] = [at(panel.rulings, a), at(panel.rulings, b)];
  const corners = [
    [ra, w0],
    [rb, w0],
    [rb, w1],
    [ra, w1],
  ] as const;
  return {
    flat: corners.map(([r, w]) => lerp2(r.flatP, r.flatQ, w)),
    share,
  };
}
