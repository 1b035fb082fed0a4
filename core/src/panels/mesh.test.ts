/** The hull as a solid, read back from its file and checked by what any slicer checks; nothing of mesh.ts is used. */
import { describe, expect, it } from 'vitest';
import { cross3, dot3, length3, sub3, type Vec3 } from '../geometry';
import { bendLines, type LinesTable } from '../lines';
import { createDerive, DEMO_IDS, demoProject, type Project } from '../project';
import { writeStl } from '../formats';
import { developPanels } from './develop';
import { chineOnSheer, chineOnStem } from './fixtures/run-out-hulls';
import { hullTriangles } from './mesh';

const read = (text: string) =>
  [...text.matchAll(/facet normal (.+)\nouter loop\nvertex (.+)\nvertex (.+)\nvertex (.+)\n/g)].map((match) => {
    const [normal, ...corners] = match.slice(1).map((part) => part.split(' ').map(Number) as unknown as Vec3);
    return { normal: normal!, corners: corners as [Vec3, Vec3, Vec3] };
  });
type Facet = ReturnType<typeof read>[number];

/** Sides of triangles that are not passed exactly once each way: holes, slits, and triangles turned over. */
function looseSides(facets: readonly Facet[]): string[] {
  const sides = new Map<string, number>();
  for (const { corners } of facets)
    corners.forEach((a, i) => {
      const key = `${a.join(' ')} > ${corners[(i + 1) % 3]!.join(' ')}`;
      sides.set(key, (sides.get(key) ?? 0) + 1);
    });
  return [...sides].flatMap(([key, count]) => {
    const back = sides.get(key.split(' > ').reverse().join(' > ')) ?? 0;
    return count === 1 && back === 1 ? [] : [key];
  });
}
/** By the divergence theorem: positive where the facets' outer sides are outward, m³. */
const volumeOf = (facets: readonly Facet[]) =>
  facets.reduce((sum, { corners: [a, b, c] }) => sum + dot3(a, cross3(b, c)), 0) / 6e9;

const derive = createDerive();
const panelsIn = (project: Project) => derive(project).panels.value.panels;
const tamsel = demoProject('tamsel', 'x');
const hulls: readonly (readonly [string, ReturnType<typeof panelsIn>])[] = [
  ...DEMO_IDS.map((id) => [id, panelsIn(demoProject(id, 'x'))] as const),
  ['a bent transom', panelsIn({ ...tamsel, panels: { ...tamsel.panels, transomRadius: 2500 } })],
  [
    'panels cut in two',
    panelsIn({
      ...tamsel,
      panels: { ...tamsel.panels, splits: [{ id: 'chine-sheer', fore: 0.4, middle: 0.5, aft: 0.6 }] },
    }),
  ],
  ['panels that run on over the transom', panelsIn({ ...tamsel, panels: { ...tamsel.panels, transomFit: 'between' } })],
  ['a chine from the stem', developPanels(bendLines(chineOnStem()).value, { thickness: 6 }).value],
  ['a chine up to the sheer', developPanels(bendLines(chineOnSheer()).value, { thickness: 6 }).value],
];

describe.each(hulls)('the hull of %s as a solid', (_name, panels) => {
  const facets = read(writeStl('hull', hullTriangles(panels)));
  it('is closed: every side of a triangle belongs to one other, the other way about', () => {
    expect(facets.length).toBeGreaterThan(400);
    expect(looseSides(facets)).toEqual([]);
  });
  it('has its outer side outward, and normals that say so', () => {
    expect(volumeOf(facets)).toBeGreaterThan(0.3);
    for (const { normal, corners } of facets.slice(0, 300)) {
      const [a, b, c] = corners;
      const square = cross3(sub3(b, a), sub3(c, a));
      if (length3(square) > 1) expect(dot3(normal, square) / length3(square)).toBeGreaterThan(0.999);
    }
  });
  it('is as far to port as to starboard', () => {
    const ys = facets.flatMap(({ corners }) => corners.map((p) => p[1]));
    expect(Math.max(...ys)).toBe(-Math.min(...ys));
  });
});

it('holds what a box holds: 2 m by 1 m by 0.3 m', () => {
  const box: LinesTable = {
    longitudinals: [0, 300].map((height) => ({
      id: `at ${height}`,
      name: 'line',
      points: [0, 700, 2000].map((x) => ({ station: '', x, halfBreadth: 500, height })),
    })),
  };
  const panels = developPanels(bendLines(box).value, { thickness: 6 }).value;
  const facets = read(writeStl('box', hullTriangles(panels)));
  expect(looseSides(facets)).toEqual([]);
  expect(volumeOf(facets)).toBeCloseTo(0.6, 9);
});

it('has the area of the panels, both sides, the ends and the lid', () => {
  const { panels, transoms } = derive(tamsel).panels.value;
  const facets = read(writeStl('hull', hullTriangles(panels)));
  const isLid = ({ normal }: Facet) => normal[2] > 0.9;
  const areaM2 = facets
    .filter((facet) => !isLid(facet))
    .reduce((sum, { corners: [a, b, c] }) => sum + length3(cross3(sub3(b, a), sub3(c, a))) / 2e6, 0);
  const wanted =
    panels.reduce((sum, panel) => sum + panel.spaceAreaM2 * (panel.spansCentreline ? 1 : 2), 0) +
    transoms.reduce((sum, transom) => sum + transom.areaM2, 0);
  expect(Math.abs(areaM2 / wanted - 1)).toBeLessThan(1e-4);
});
