/**
 * Writes the hull's skin as an STL mesh in millimetres, for a model or for looking at elsewhere.
 *
 * Method: two triangles between successive rulings of every panel, to starboard and mirrored to port, and the transoms;
 * normals outward. The surface is the one the lines were drawn to, without thickness.
 */
import { cross3, lerp3, sub3, unit3, type Vec3 } from '../geometry';
import { endPoints, transomTriangles, type Panel, type Transom } from '../panels';

type Triangle = readonly [Vec3, Vec3, Vec3];

/** Text form. A triangle without area (the tip of a pointed panel) is left out. */
export function writeStl(name: string, panels: readonly Panel[], transoms: readonly Transom[]): string {
  const title = name.replace(/[^ -~]/g, '?');
  const skin = panels.flatMap((panel) => {
    const side = strip(panel);
    return panel.spansCentreline ? side : [...side, ...side.map(mirrored)];
  });
  const facets = [...skin, ...transoms.flatMap(transomTriangles)].flatMap((triangle) => facetOf(triangle));
  return [`solid ${title}`, ...facets, `endsolid ${title}`, ''].join('\n');
}

function strip(panel: Panel): Triangle[] {
  const { rulings } = panel;
  const end = panel.aftCurve ? endStrip(panel) : [];
  return [...end, ...between(rulings)];
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

function facetOf([a, b, c]: Triangle): string[] {
  const normal = unit3(cross3(sub3(b, a), sub3(c, a)));
  if (normal.every((part) => part === 0)) return [];
  return [
    `facet normal ${figures(normal)}`,
    'outer loop',
    ...[a, b, c].map((p) => `vertex ${figures(p)}`),
    'endloop',
    'endfacet',
  ];
}

const figures = (p: Vec3): string => p.map((value) => Number(value.toFixed(5))).join(' ');
