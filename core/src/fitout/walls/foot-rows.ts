/** The foot of a wall at even steps along it: where its outer face stands, and what it leans. */
import { evenRows, type EdgeRow } from '../edge-rows';
import type { FittedWall } from './fitted-wall';

const MOST_ROWS = 10;

export const footRows = ({ pieces }: Pick<FittedWall, 'pieces'>): EdgeRow[] =>
  pieces.flatMap(({ atSkin }) => atSkin.flatMap(({ points }) => evenRows(points, MOST_ROWS)));
