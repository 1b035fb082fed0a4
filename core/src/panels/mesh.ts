/**
 * The skin as triangles, for a mesh: two between successive rulings of every panel, to starboard and mirrored to port,
 * and the transoms; normals outward. The surface is the one the lines were drawn to, without thickness.
 */
import type { Triangle } from '../formats';
import { lerp3, type Vec3 } from '../geometry';
import type { Panel } from './panel';
import { endPoints } from './transom/curved-transom';
import { transomTriangles, type Transom } from './transom/transom';

export function skinTriangles(panels: readonly Panel[], transoms: readonly Transom[]): Triangle[] {
  const skin = panels.flatMap((panel) => {
    const side = strip(panel);
    return panel.spansCentreline ? side : [...side, ...side.map(mirrored)];
  });
  return [...skin, ...transoms.flatMap(transomTriangles)];
}

function strip(panel: Panel): Triangle[] {
  const end = panel.aftCurve ? endStrip(panel) : [];
  return [...end, ...between(panel.rulings)];
}

/** From the last ruling to an end set out from it. */
function endStrip(panel: Panel): Triangle[] {
  const points = endPoints(panel);
  const last = points.length - 1;
  const [p, q] = [points[0], points[last]];
  if (!p || !q) return [];
  return between(points.map((out, i) => ({ p: lerp3(p, q, i / last), q: out }))).map(([a, b, c]) => [a, c, b]);
}

function between(rulings: readonly { readonly p: Vec3; readonly q: Vec3 }[]): Triangle[] {
  return rulings.slice(1).flatMap((b, k): Triangle[] => {
    const a = rulings[k]!; // the one before b
    return [
      [a.p, b.p, a.q],
      [a.q, b.p, b.q],
    ];
  });
}

const mirror = ([x, y, z]: Vec3): Vec3 => [x, -y, z];
const mirrored = ([a, b, c]: Triangle): Triangle => [mirror(a), mirror(c), mirror(b)];
