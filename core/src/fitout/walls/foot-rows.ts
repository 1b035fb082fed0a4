/** The foot of a wall at even steps along it: where its outer face stands, and what it leans. */
import { at, distance2, lerp3, placeAtLength, polylineLength, type Vec3 } from '../../geometry';
import type { FittedWall } from './fitted-wall';

type FootRow = { readonly place: Vec3; readonly bevelDeg: number };

const ROWS = 10;
const STEP_MM = 150;

export const footRows = ({ pieces }: Pick<FittedWall, 'pieces'>): FootRow[] =>
  pieces.flatMap(({ atSkin }) =>
    atSkin.flatMap(({ points }) => {
      const flats = points.map(({ flat }) => flat);
      const long = polylineLength(flats);
      const rows = Math.max(2, Math.min(ROWS, Math.ceil(long / STEP_MM) + 1));
      return Array.from({ length: rows }, (_, i): FootRow => {
        const { point, next } = placeAtLength(flats, (long * i) / (rows - 1));
        const [a, b] = [at(points, next - 1), at(points, next)];
        const step = distance2(a.flat, b.flat);
        const w = step > 0 ? distance2(a.flat, point) / step : 0;
        return { place: lerp3(a.space, b.space, w), bevelDeg: a.bevelDeg + w * (b.bevelDeg - a.bevelDeg) };
      });
    }),
  );
