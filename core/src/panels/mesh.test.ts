import { describe, expect, it } from 'vitest';
import { cross3, dot3, length3, sub3, type Vec3 } from '../geometry';
import { createDerive, demoProject } from '../project';
import { writeStl } from '../formats';
import { skinTriangles } from './mesh';

const read = (text: string) =>
  [...text.matchAll(/facet normal (.+)\nouter loop\nvertex (.+)\nvertex (.+)\nvertex (.+)\n/g)].map((match) => {
    const [normal, ...corners] = match.slice(1).map((part) => part.split(' ').map(Number) as unknown as Vec3);
    return { normal: normal!, corners: corners as [Vec3, Vec3, Vec3] };
  });

describe.each(['tamsel', 'orrin'] as const)('the hull of %s as a mesh', (name) => {
  const { panels, transoms } = createDerive()(demoProject(name, 'x')).panels.value;
  const facets = read(writeStl('hull', skinTriangles(panels, transoms)));
  it('has the area of the panels, both sides, and the transoms', () => {
    const wanted =
      panels.reduce((sum, panel) => sum + panel.spaceAreaM2 * (panel.spansCentreline ? 1 : 2), 0) +
      transoms.reduce((sum, transom) => sum + transom.areaM2, 0);
    const twice = facets.reduce((sum, { corners: [a, b, c] }) => sum + length3(cross3(sub3(b, a), sub3(c, a))), 0);
    expect(Math.abs(twice / 2e6 / wanted - 1)).toBeLessThan(1e-4);
  });
  it('lies as far to port as to starboard, its normals square to its faces', () => {
    const ys = facets.flatMap(({ corners }) => corners.map((p) => p[1]));
    expect(Math.max(...ys)).toBeCloseTo(-Math.min(...ys), 4);
    for (const {
      normal,
      corners: [a, b],
    } of facets.slice(0, 400)) {
      expect(length3(normal)).toBeCloseTo(1, 3);
      expect(Math.abs(dot3(normal, sub3(b, a)))).toBeLessThan(1e-3 * length3(sub3(b, a)) + 1e-3);
    }
  });
});
