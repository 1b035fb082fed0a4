/** Lines that are known place by place, as a table of offsets. */
import { at, type Vec3 } from '../geometry';
import type { Longitudinal } from './schema';

/** A line by its places from the bow aft, mm. */
export type Traced = { readonly id: string; readonly name: string; readonly points: readonly Vec3[] };
type Ends = { readonly bow: 'pointed' | 'transom'; readonly stern: 'pointed' | 'transom' };

/** Stations about this far apart, as builders set them. */
const STATION_MM = 420;

/**
 * The traced lines as a table: even stations where all lines run, and each line's own ends; the lowest point at
 * nought.
 */
export function tableFrom(lines: readonly Traced[], ends: Ends): Longitudinal[] {
  const from = Math.max(...lines.map(({ points }) => at(points, 0)[0]));
  const to = Math.min(...lines.map(({ points }) => at(points, -1)[0]));
  const stations = stationsBetween(from, to, ends);
  const low = Math.min(...lines.flatMap(({ points }) => points.map((p) => p[2])));
  const fore = Math.min(...lines.map(({ points }) => at(points, 0)[0]));
  return lines.map(({ id, name, points }) => {
    const rows: [string, Vec3][] = [
      [ends.bow === 'pointed' ? 'stem' : 'bow', at(points, 0)],
      ...stations.map(({ label, x }): [string, Vec3] => [label, atX(points, x)]),
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

/** Even stations, with a half one towards a pointed end, where the lines curve most. */
function stationsBetween(from: number, to: number, ends: Ends): { label: string; x: number }[] {
  const count = Math.max(7, Math.round((to - from) / STATION_MM));
  const step = (to - from) / count;
  const stations = Array.from({ length: count - 1 }, (_, i) => ({ label: String(i + 1), x: from + (i + 1) * step }));
  if (ends.bow === 'pointed') stations.unshift({ label: '½', x: from + step / 2 });
  if (ends.stern === 'pointed') stations.push({ label: `${count - 1}½`, x: to - step / 2 });
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
