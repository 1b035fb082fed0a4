/**
 * What is marked out on a flat panel: offsets to both edges from a base line at even steps, and its stations.
 *
 * The base line is the u axis, at or below the lowest point of the panel; the offsets are measured square to it from the
 * end at u = 0, as a builder does with a tape along the bottom and a square.
 */
import { at, crossings, type Vec2 } from '../geometry';
import type { Panel } from './panel';
import { sectionAt } from './section';

/** At distance u from the named end: v to the lower and to the upper edge, mm. */
export type MarkingRow = { readonly u: number; readonly lower: number; readonly upper: number };

export function markingTable(panel: Panel, step: number): MarkingRow[] {
  const us = panel.outline.map((p) => p[0]);
  const [from, to] = [Math.min(...us), Math.max(...us)];
  const stops = [from];
  for (let u = Math.ceil(from / step + 1e-9) * step; u < to; u += step) stops.push(u);
  stops.push(to);
  return stops.flatMap((u) => {
    const inside = Math.min(Math.max(u, from + END_MM), to - END_MM);
    const vs = crossings([...panel.outline, at(panel.outline, 0)], 0, inside).map((p) => p[1]);
    return vs.length === 0 ? [] : [{ u, lower: Math.min(...vs), upper: Math.max(...vs) }];
  });
}

/** The ends are read this far in, where the outline certainly crosses. */
const END_MM = 1e-4;

export type StationMark = { readonly label: string; readonly x: number; readonly curve: readonly Vec2[] };

/** The true curve of each station on the flat panel, nearly straight. */
export function stationMarks(panel: Panel, stations: readonly { label: string; x: number }[]): StationMark[] {
  return stations
    .map(({ label, x }) => ({ label, x, curve: sectionAt(panel.rulings, x).map((p) => p.flat) }))
    .filter((mark) => mark.curve.length > 1);
}
