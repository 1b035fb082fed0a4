/** Lines that are known place by place, as a table of offsets. */
import { at, type Vec3 } from '../geometry';
import type { Longitudinal } from './schema';

/** A line by its places from the bow aft, mm. */
export type Traced = { readonly id: string; readonly name: string; readonly points: readonly Vec3[] };
type Ends = {
  readonly bow: 'pointed' | 'transom';
  readonly stern: 'pointed' | 'transom';
  /** Where stations are wanted, x in mm of the lines as they are traced, in any order. */
  readonly wanted?: readonly number[];
};

/** Stations about this far apart, as builders set them. */
const STATION_MM = 420;
const FEWEST_BAYS = 7;
/** A station is not set where another, or an end, is nearer than this share of a bay. */
const NEAR = 0.3;

/**
 * The traced lines as a table: even stations where all lines run, and each line's own ends; the lowest point at
 * nought.
 */
export function tableFrom(lines: readonly Traced[], ends: Ends): Longitudinal[] {
  const from = Math.max(...lines.map(({ points }) => at(points, 0)[0]));
  const to = Math.min(...lines.map(({ points }) => at(points, -1)[0]));
  const low = Math.min(...lines.flatMap(({ points }) => points.map((p) => p[2])));
  const fore = Math.min(...lines.map(({ points }) => at(points, 0)[0]));
  // whole millimetres from the foremost place, as the table counts
  const stations = stationsBetween(from - fore, to - fore, { ...ends, wanted: ends.wanted?.map((x) => x - fore) });
  return lines.map(({ id, name, points }) => {
    const rows: [string, Vec3][] = [
      [ends.bow === 'pointed' ? 'stem' : 'bow', at(points, 0)],
      ...stations.map(({ label, x }): [string, Vec3] => [label, atX(points, x + fore)]),
      [ends.stern === 'pointed' ? 'sternpost' : 'transom', at(points, -1)],
    ];
    return {
      id,
      name,
      points: rows.map(([station, [x, y, z]]) => ({
        station,
        x: tenth(x - fore),
        halfBreadth: tenth(y),
        height: tenth(z - low),
      })),
    };
  });
}

/**
 * Stations where they are wanted, and as even ones as may be between; a half one towards a pointed end, where the lines
 * curve most.
 */
function stationsBetween(from: number, to: number, ends: Ends): { label: string; x: number }[] {
  const step = Math.min(STATION_MM, (to - from) / FEWEST_BAYS);
  const marks = [from];
  for (const x of [...(ends.wanted ?? [])].sort((a, b) => a - b))
    if (x - at(marks, -1) > NEAR * step && to - x > NEAR * step) marks.push(x);
  const places = [...marks.slice(1), to].flatMap((x, k) => {
    const fore = at(marks, k);
    const bays = Math.max(1, Math.round((x - fore) / step));
    return Array.from({ length: bays }, (_, i) => fore + ((i + 1) / bays) * (x - fore));
  });
  const stations = places.slice(0, -1).map((x, i) => ({ label: String(i + 1), x }));
  if (ends.bow === 'pointed') stations.unshift({ label: '½', x: (from + at(places, 0)) / 2 });
  if (ends.stern === 'pointed') stations.push({ label: `${places.length - 1}½`, x: (at(places, -2) + to) / 2 });
  return stations.map(({ label, x }) => ({ label, x: Math.round(x) }));
}

export const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** Where a line passes x, straight between its places. */
export function atX(points: readonly Vec3[], x: number): Vec3 {
  const next = Math.max(
    1,
    points.findIndex((p) => p[0] >= x),
  );
  const [p, q] = [at(points, next - 1), at(points, next)];
  const w = (x - p[0]) / (q[0] - p[0]);
  return [x, p[1] + w * (q[1] - p[1]), p[2] + w * (q[2] - p[2])];
}
