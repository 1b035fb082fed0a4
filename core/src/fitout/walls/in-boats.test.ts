/** Walls begun in whole boats; a cabin on its side decks as solids; what is found and what follows through. */
import { describe, expect, it } from 'vitest';
import { at, boundsOf, contains, upright, type Vec2 } from '../../geometry';
import { applyEdits, createDerive, demoProject, DEMO_IDS, type Project } from '../../project';
import { flatOf, heightOver } from '../lie';
import { newInside } from '../plans';
import { insideAtFirst, WALL_KINDS, type InsidePlan, type WallPlan } from '../schema';
import { facesOf, placesOf, seenFromAbove, seenFromSide } from '../in-boat';
import { sectionOf } from '../section';
import { newWall } from './new-wall';
import { wallMoved } from './moved-wall';

const derive = createDerive();
const withWalls = (project: Project, walls: WallPlan[], parts: InsidePlan[] = []): Project => ({
  ...project,
  fitout: { ...insideAtFirst(), parts, walls },
});

/** One after another, each put in as the screen puts it in. */
function begun(project: Project, kinds: readonly WallPlan['kind'][], parts: InsidePlan[] = []): Project {
  return kinds.reduce(
    (boat, kind) => {
      const { lines, fitout } = derive(boat);
      const asked = { hull: lines.value, notation: boat.notation, walls: fitout.value.walls };
      return withWalls(boat, [...boat.fitout.walls, newWall(kind, boat.fitout, asked)], parts);
    },
    withWalls(project, [], parts),
  );
}

describe.each(DEMO_IDS)('walls begun in %s', (id) => {
  const project = demoProject(id, 'x');
  const boat = begun(project, WALL_KINDS);
  const { value, findings } = derive(boat).fitout;
  it('are taken by the project, and each is a piece of some size, bent without stretching', () => {
    expect(applyEdits(project, [{ path: ['fitout', 'walls'], value: boat.fitout.walls }]).ok).toBe(true);
    for (const { name, pieces, panel } of value.walls) {
      expect(pieces, name).toHaveLength(1);
      expect(at(pieces, 0).areaM2, name).toBeGreaterThan(0.01);
      expect(panel?.maxStrain.value, name).toBeLessThan(0.003);
    }
    expect(findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    // a fan's point is no bend that a sheet takes
    for (const { name, bend } of value.walls) if (bend) expect(bend.radiusMm, name).toBeGreaterThan(50);
  });
  it('come back to the boat from the flat: the faces as far apart as the sheet is thick', () => {
    for (const wall of value.walls) {
      const place = placesOf(wall);
      const [outer, inner] = facesOf(wall);
      const { outline } = at(wall.pieces, 0).region;
      for (const p of outline.filter((_, i) => i % 15 === 0)) {
        const [a, b] = [place(p, outer), place(p, inner)];
        // where it is bent a chord between two rulings is a little nearer
        expect(Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])).toBeCloseTo(wall.thickness, 1);
      }
      expect(seenFromAbove(wall)).toHaveLength(1);
      expect(seenFromSide(wall).length).toBeGreaterThan(2);
    }
  });
});

describe('a cabin on its side decks', () => {
  const project = demoProject('tamsel', 'x');
  const { lines } = derive(project);
  const asked = { hull: lines.value, notation: project.notation };
  const deck = newInside('side-deck', [], asked);
  // broad enough to stand on, and as far as the cabin reaches
  const parts = [{ ...deck, inner: { fore: 20, aft: 20 } }];
  const boat = begun(project, ['cabin-side', 'cabin-front', 'cabin-back'], parts);
  const { fitout, panels } = derive(boat);
  const { walls, parts: lying } = fitout.value;
  const [side, front, back] = [at(walls, 0), at(walls, 1), at(walls, 2)];
  it('stands on them with the gap under its shorter face, and nothing of it stands beside them', () => {
    const { lie, pieces } = at(lying, 0);
    expect(side.offAt).toBeUndefined();
    for (const { outer, inner } of side.rulings.slice(2, -2)) {
      const heights = [outer, inner].map(([foot]) => heightOver(lie, foot, 'top'));
      expect(Math.min(...heights)).toBeGreaterThan(1.3);
      expect(Math.min(...heights)).toBeLessThan(1.6);
      const [u, v] = flatOf(lie, outer[0]);
      expect(pieces.some(({ region }) => contains(region.outline, [u, v]))).toBe(true);
    }
  });
  it('closes its ends between the sides: no corner of a front is in a side, and each is within 3 mm of it', () => {
    for (const end of [front, back]) {
      expect(end.isShort).toBe(false);
      const place = placesOf(end);
      const { outline } = at(end.pieces, 0).region;
      const { minX, maxX, minY, maxY } = boundsOf(outline);
      // across it at several heights: both its ends
      const turned = outline.map(([u, v]): Vec2 => [v, u]);
      const apart = [0.3, 0.5, 0.7]
        .map((w) => minY + w * (maxY - minY))
        .flatMap((v) => upright(turned, v).flatMap((span) => span.map((u): Vec2 => [u, v])))
        .filter(([u]) => u < minX + 80 || u > maxX - 80)
        .flatMap((p) => facesOf(end).map((over) => place(p, over)))
        .map(([x, y, z]) => insideAt(side.rulings, x, z) - Math.abs(y));
      // the edge is square: one of its faces has the gap, the other more
      expect(Math.min(...apart)).toBeGreaterThan(1.4);
      expect(Math.min(...apart)).toBeLessThan(1.7);
    }
  });
  it('is there where the boat is cut across, as thick as its sheet, on both sides', () => {
    const x = (at(side.rulings, 0).outer[0][0] + at(side.rulings, -1).outer[0][0]) / 2;
    const { parts: seen } = sectionOf({ panels: panels.value.panels, ...fitout.value }, x, { inside: 4, outside: 0 });
    const own = seen.filter(({ plan }) => plan === side.plan);
    expect(own).toHaveLength(2);
    const { minY, maxY } = boundsOf(at(own, 0).outline);
    expect(maxY - minY).toBeGreaterThan(200);
  });
  it('leaves its foot on the deck it stands on, for both hands', () => {
    // of a pair of decks the starboard one is drawn
    expect(at(lying, 0).feet?.some(({ name }) => name === side.name)).toBe(true);
  });
  it('is cut, coated and glued with the rest', () => {
    const derived = derive(boat);
    const names = JSON.stringify([derived.sheets.value, derived.epoxy.value, derived.timber.value]);
    for (const { name } of walls) expect(names).toContain(name);
  });
  it('moves along the boat as it is', () => {
    const plan = at(boat.fitout.walls, 0);
    const moved = applyEdits(boat, wallMoved(plan, 100));
    expect(moved.ok && at(moved.project.fitout.walls, 0).lower.from).toBe(plan.lower.from + 100);
    expect(moved.ok && at(moved.project.fitout.walls, 0).upper).toEqual(plan.upper);
  });
});

type Rulings = readonly { readonly inner: readonly (readonly number[])[] }[];

/** How far out the inner face of a side is: by the nearest ruling's line at that height, between it and the next. */
function insideAt(rulings: Rulings, x: number, z: number): number {
  const places = rulings.map(({ inner: [foot, top] }) => {
    const w = (z - foot![2]!) / (top![2]! - foot![2]!);
    return [0, 1].map((k) => foot![k]! + w * (top![k]! - foot![k]!)) as [number, number];
  });
  const k = Math.max(
    1,
    Math.min(
      places.length - 1,
      places.findIndex(([px]) => px > x),
    ),
  );
  const [a, b] = [places[k - 1]!, places[k]!];
  return a[1] + ((x - a[0]) / (b[0] - a[0])) * (b[1] - a[1]);
}

describe('what is found of walls', () => {
  const project = begun(demoProject('tamsel', 'x'), ['cabin-side', 'coaming']);
  const found = (change: (wall: WallPlan) => WallPlan) =>
    derive(withWalls(project, project.fitout.walls.map(change))).fitout.findings.map(({ code }) => code);
  it('says in words what has no line, no place, nothing to stand on, and no breadth', () => {
    expect(found((wall) => ({ ...wall, lower: { ...wall.lower, follows: 'points' } }))).toContain('wall-few-points');
    expect(found((wall) => ({ ...wall, lower: { ...wall.lower, from: 3000, to: 2000 } }))).toContain('wall-off-sheer');
    expect(found((wall) => ({ ...wall, lower: { ...wall.lower, onPart: 'gone' } }))).toContain('wall-on-nothing');
    expect(found((wall) => ({ ...wall, upper: { ...wall.upper, in: 0, up: 0 } }))).toContain('wall-no-surface');
  });
  it('says where it twists: a top that turns against its foot', () => {
    const points = [
      { id: 'a', x: 1500, out: 480, height: 700 },
      { id: 'b', x: 2200, out: 250, height: 900 },
      { id: 'c', x: 2900, out: 480, height: 700 },
    ];
    const turned = found((wall) => ({
      ...wall,
      isTopStraight: false,
      upper: { ...wall.upper, follows: 'points', points },
    }));
    expect(turned).toContain('wall-twists');
  });
  it('says which opening is too near to an edge, and which sheet is too small', () => {
    const opening = { id: 'o', shape: 'rounded', along: 300, up: 40, long: 200, wide: 70, corner: 20 } as const;
    expect(found((wall) => ({ ...wall, openings: [opening] }))).toContain('wall-opening-near');
    expect(found((wall) => ({ ...wall, upper: { ...wall.upper, up: 1900 } }))).toContain('piece-over-sheet');
  });
  it('says that a bend is too tight for its sheet', () => {
    const points = [0, 200, 300].map((out, i) => ({ id: `p${i}`, x: 1500 + out ** 2 / 400, out, height: 700 }));
    const bent = found((wall) => ({
      ...{ ...wall, kind: 'cabin-front', isTopStraight: false },
      lower: { ...wall.lower, follows: 'points', points },
    }));
    expect(bent).toContain('wall-bend-tight');
  });
});
