/** What is foretold of a panel's edges, as a field over the panel: even from edge to edge along each ruling. */
import { at } from '../../geometry';
import type { Panel } from '../panel';
import { alongAtParam, edgeLine } from '../reading/edge-line';
import type { FieldReader } from '../reading/fields';
import type { GapEdge } from './gaps';

/** As a share of the widest gap that is left as it is; nothing at an edge that meets no other. */
export function gapReader(panel: Panel, edges: readonly GapEdge[], widestMm: number): FieldReader {
  const [lower, upper] = (['P', 'Q'] as const).map((end) => {
    const told = edges.find((edge) => edge.panel === panel.id && edge.end === end)?.places ?? [];
    const line = edgeLine(panel, end);
    return panel.rulings.map((ruling) =>
      told.length === 0 || line.points.length < 2
        ? 0
        : between(told, alongAtParam(line, end === 'P' ? ruling.s : ruling.t)) / widestMm,
    );
  });
  return (k, w) => {
    const [low, high] = [lower?.[k] ?? 0, upper?.[k] ?? 0];
    return low + w * (high - low);
  };
}

/** Before the first place and beyond the last there is no seam. */
function between(places: GapEdge['places'], along: number): number {
  const next = places.findIndex((place) => place.along >= along);
  if (next < 0) return along > at(places, -1).along + END_MM ? 0 : at(places, -1).nineteen;
  if (next === 0) return along < at(places, 0).along - END_MM ? 0 : at(places, 0).nineteen;
  const [a, b] = [at(places, next - 1), at(places, next)];
  const share = b.along > a.along ? (along - a.along) / (b.along - a.along) : 0;
  return a.nineteen + share * (b.nineteen - a.nineteen);
}

const END_MM = 5;
