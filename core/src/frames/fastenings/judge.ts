/** What is said of fastenings: landings too narrow, edges that are planed off, plugs in thin sheets, ply's edges. */
import { at, distanceToSegment, type Vec2 } from '../../geometry';
import { thicknessOf, type Panel } from '../../panels';
import { EDGE_DIAMETERS, PLUG_DEPTH } from '../constants';
import type { FramesFinding } from '../findings';
import type { Frame } from '../frame';
import type { FramesPart } from '../schema';
import { frameThing, memberThing } from '../things';
import type { ScrewRow } from './screws';

type Asked = {
  readonly frames: readonly Frame[];
  readonly thickness: number;
  readonly screws: FramesPart['screws'];
};

export function judgeFastenings(rows: readonly ScrewRow[], panels: readonly Panel[], asked: Asked): FramesFinding[] {
  const { screws } = asked;
  if (screws.spacing === 0) return [];
  const screwed = rows.filter(({ use }) => use !== 'staples');
  return [...landings(screwed, asked), ...edges(screwed, panels, asked), ...plugs(screwed, asked), ...plyEdges(asked)];
}

const placeOf = ({ intoId }: Pick<ScrewRow, 'intoId'>, frames: readonly Frame[]) => ({
  stage: 'frames' as const,
  part: frames.some(({ id }) => id === intoId) ? frameThing(intoId) : memberThing(intoId),
});

/** One word a thing that is fastened into, of the narrowest of its rows. */
function landings(rows: readonly ScrewRow[], { frames, screws }: Asked): FramesFinding[] {
  const leastMm = 2 * EDGE_DIAMETERS.value * screws.diameter;
  const narrowest = new Map<string, ScrewRow>();
  for (const row of rows)
    if (row.landingMm < leastMm && !((narrowest.get(row.into)?.landingMm ?? Infinity) <= row.landingMm))
      narrowest.set(row.into, row);
  return [...narrowest.values()].map((row) => ({
    ...{ severity: 'check', code: 'landing-narrow', where: placeOf(row, frames) },
    data: { into: row.into, landingMm: row.landingMm, leastMm, diameterMm: screws.diameter },
  }));
}

/** Where a panel's edge is planed to its neighbour as much as it is thick goes, and a screw with it. */
function edges(
  rows: readonly ScrewRow[],
  panels: readonly Panel[],
  { frames, thickness, screws }: Asked,
): FramesFinding[] {
  return rows.flatMap((row): FramesFinding[] => {
    const on = panels.find(({ id }) => id === row.panel);
    if (!on) return [];
    const leastMm = Math.max(EDGE_DIAMETERS.value * screws.diameter, thicknessOf(on, thickness) + screws.diameter);
    const near = row.places.map((place) => distanceToRing(place, on.outline)).filter((mm) => mm < leastMm);
    if (near.length === 0) return [];
    const { panelName: panel, into } = row;
    const data = { panel, into, count: near.length, nearMm: Math.min(...near), leastMm };
    return [{ severity: 'check', code: 'screw-near-edge', where: { ...placeOf(row, frames), panel: row.panel }, data }];
  });
}

const distanceToRing = (p: Vec2, ring: readonly Vec2[]): number =>
  Math.min(...ring.map((from, i) => distanceToSegment(p, from, at(ring, (i + 1) % ring.length))));

/** A plug and the head beneath it leave half of the sheet at least. */
function plugs(rows: readonly ScrewRow[], { frames, screws }: Asked): FramesFinding[] {
  const row = rows.find(({ use, heldMm }) => use === 'plugged' && heldMm - plugTakes(screws.diameter) < heldMm / 2);
  if (!row) return [];
  const leftMm = Math.max(0, row.heldMm - plugTakes(screws.diameter));
  const data = { into: row.into, heldMm: row.heldMm, takesMm: plugTakes(screws.diameter), leftMm };
  return [{ severity: 'check', code: 'plug-deep', where: placeOf(row, frames), data }];
}

const plugTakes = (diameter: number): number => PLUG_DEPTH.value + diameter / 2;

/** A bulkhead whose edge the skin is to be screwed to, with no cleat along it. */
function plyEdges({ frames, screws }: Asked): FramesFinding[] {
  return frames.flatMap(({ id, name, material, width, edges: own, cleats }): FramesFinding[] => {
    const use = screws.own.find((other) => other.id === id)?.use ?? screws.use;
    if (material !== 'plywood' || use === 'none') return [];
    const bare = own.filter(
      ({ school, panelName }) => school === 'framed' && !cleats.some(({ along }) => along === panelName),
    );
    if (bare.length === 0) return [];
    const data = { frame: name, panels: bare.map(({ panelName }) => panelName).join(', '), widthMm: width };
    return [{ severity: 'check', code: 'screw-ply-edge', where: { stage: 'frames', part: frameThing(id) }, data }];
  });
}
