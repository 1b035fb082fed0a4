/**
 * A section marked out full size on a board: the points of one station in the order in which they are plotted, out from
 * the centreline and then up, each with a diagonal that checks both.
 */
import { battenAt, crossingsOfX } from './batten';
import type { Hull, Station } from './hull';

export type PlottedPoint = {
  readonly line: string;
  readonly name: string;
  /** From the centreline, mm. */
  readonly out: number;
  /** From the base line up; or down from the line that heights are measured from. */
  readonly up: number;
  /** From where the centreline crosses the line that heights are measured from; null for a point on the centreline. */
  readonly diagonal: number | null;
};

/** Where every line passes the station: the table's own figure where it has one, otherwise the batten's. */
export function plotSection(hull: Hull, { x }: Station, heightsFrom: number | null): PlottedPoint[] {
  return [...hull.lines, ...hull.extras].flatMap((line): PlottedPoint[] => {
    const given = line.points.find((p) => Math.abs(p.x - x) < SAME_X_MM);
    const [t] = given ? [] : crossingsOfX(line.batten, x);
    const found = t === undefined ? undefined : battenAt(line.batten, t).position;
    const out = given?.halfBreadth ?? found?.[1];
    const height = given?.height ?? found?.[2];
    if (out === undefined || height === undefined) return [];
    const up = heightsFrom === null ? height : heightsFrom - height;
    const diagonal = Math.abs(out) < SAME_X_MM ? null : Math.hypot(out, up);
    return [{ line: line.id, name: line.name, out, up, diagonal }];
  });
}

/** A table gives stations to a tenth at best. */
const SAME_X_MM = 0.05;

export type Half = 'starboard' | 'port';

/** What a tick is kept as: with its figures, so that a point that has moved since is not ticked any more. */
export const tickOf = (station: string, half: Half, { line, out, up }: PlottedPoint): string =>
  [station, half, line, out.toFixed(1), up.toFixed(1)].join('|');
