/**
 * Writes triangles as an STL mesh in millimetres, for a model or for looking at elsewhere.
 *
 * Text form. Normals follow the corners' order: anticlockwise seen from outside. A triangle of three places on one line
 * stays, its normal nought: left out it would leave a slit.
 */
import { plainText } from '../measure';
import { cross3, sub3, unit3, type Vec3 } from '../geometry';

export type Triangle = readonly [Vec3, Vec3, Vec3];

export function writeStl(name: string, triangles: readonly Triangle[]): string {
  const title = plainText(name).replace(/[^ -~]/g, '?');
  return [`solid ${title}`, ...triangles.flatMap(facetOf), `endsolid ${title}`, ''].join('\n');
}

function facetOf([a, b, c]: Triangle): string[] {
  const normal = unit3(cross3(sub3(b, a), sub3(c, a)));
  return [
    `facet normal ${figures(normal)}`,
    'outer loop',
    ...[a, b, c].map((p) => `vertex ${figures(p)}`),
    'endloop',
    'endfacet',
  ];
}

const figures = (p: Vec3): string => p.map((value) => Number(value.toFixed(5))).join(' ');
