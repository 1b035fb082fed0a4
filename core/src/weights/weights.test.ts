/** Floating held against closed forms; weights against the lists that they come from; the demos at rest. */
import { describe, expect, it } from 'vitest';
import { add3, cross3, distance3, dot3, length3, netArea, random, sub3, unit3, type Vec3 } from '../geometry';
import { applyEdits, createDerive, demoProject, DEMO_IDS, wholeOf } from '../project';
import { floats, levelFor } from './afloat';
import { box, halfCone, wedge } from './fixtures/solids';
import { hullSolid } from './hull-solid';
import { weighted } from './items';
import { judgeWeights } from './judge';
import { loaded, LOADINGS } from './loads';
import { weightsSchema, type Load } from './schema';
import { floatMarks, weightsSheets, weightsTables } from './tables';
import { openness, planeArea, under, type HullSolid } from './under';

const LITRE = 1e6;
/** Of a plane a tenth of a per cent off is told. */
const within = (found: number, true_: number, share = 1e-3) =>
  expect(Math.abs(found - true_)).toBeLessThanOrEqual(share * Math.abs(true_) + 1e-6);
const rest = (hull: HullSolid, grams: number, at: Vec3) => {
  const floating = floats(hull, { grams, at }, 1000);
  if (!floating.ok) throw new Error(floating.why);
  return floating.afloat;
};
const upright = { normal: [0, 0, 1] as Vec3 };

const derive = createDerive();
/** Over the base line, mm. */
const LOW = 100;

describe('the area that a plane cuts', () => {
  const [long, broad] = [2000, 800];
  const bare = box(long, broad, 400);
  it('of a box is that of its rectangle: longer by the slope, its second moments by hand', () => {
    const slope = 0.1;
    const normal = unit3([slope, 0, 1]);
    const cut = planeArea(bare, { normal, level: dot3(normal, [1000, 0, 200]) });
    const own = Math.hypot(long, slope * long);
    expect(cut.middle.map((mm) => Math.round(mm * 1e6) / 1e6)).toEqual([1000, 0, 200]);
    const of = (way: Vec3) => {
      const [u, v] = cut.along.map((one) => dot3(one, way)) as [number, number];
      return u * u * cut.moments[0] + 2 * u * v * cut.moments[1] + v * v * cut.moments[2];
    };
    within(of([0, 1, 0]), (own * broad ** 3) / 12, 1e-9);
    within(of(unit3([1, 0, -slope])), (broad * own ** 3) / 12, 1e-9);
  });
  it('with a skin outside goes with how the volume grows, of an upright side and of a flaring one', () => {
    const flared = halfCone(3000, 500, 60);
    for (const [hull, level, apart] of [
      [{ ...bare, skins: [{ triangles: bare.closed.slice(0, 8), outMm: 6 }] }, 150, 0],
      [{ ...flared, skins: [{ triangles: flared.closed.slice(0, 120), outMm: 6 }] }, 320, 0.5],
    ] as const) {
      // tilted a little about the middle of that area it keeps what it holds; about that of the bare one it would not
      const turn = 1e-4;
      for (const [x, y] of [
        [turn, 0],
        [0, turn],
      ] as const) {
        const { middle } = planeArea(hull, { ...upright, level });
        const holds = ([a, b]: readonly [number, number]) => {
          const normal = unit3([a, b, 1]);
          return under(hull, { normal, level: dot3(normal, middle) }).volumeMm3;
        };
        const change = Math.abs(holds([x, y]) - holds([-x, -y]));
        const bareMiddle = planeArea({ ...hull, skins: [] }, { ...upright, level }).middle;
        expect(change).toBeLessThan(1e-7 * holds([0, 0]));
        expect(distance3(middle, bareMiddle)).toBeGreaterThanOrEqual(apart);
      }
    }
  });
});

describe('what is under a plane', () => {
  it('of a box is its length, breadth and draught, and the middle of them; of a cut aslant as by hand', () => {
    const hull = box(2000, 800, 400);
    expect(openness(hull.closed)).toBeLessThan(1e-12);
    const level = under(hull, { ...upright, level: 150 });
    within(level.volumeMm3, 2000 * 800 * 150, 1e-12);
    expect(level.middle.map((mm) => Math.round(mm * 1e6) / 1e6)).toEqual([1000, 0, 75]);
    within(level.planeMm2, 2000 * 800, 1e-12);
    expect(level.reach).toEqual({ x: [0, 2000], y: [-400, 400] });
    // from 200 forward to 100 aft it holds the same; its middle moves forward by L·(200 − 100)/(12·150)
    const normal = unit3([100 / 2000, 0, 1]);
    const slanted = under(hull, { normal, level: dot3(normal, [0, 0, 200]) });
    within(slanted.volumeMm3, level.volumeMm3, 1e-12);
    within(1000 - slanted.middle[0], (2000 * 100) / (12 * 150), 1e-9);
  });
  it('of a wedge is half of the box about it; of a half cone a sixth of its cylinder', () => {
    const v = under(wedge(3000, 1000, 500), { ...upright, level: 200 });
    within(v.volumeMm3, (3000 * 200 * 400) / 2, 1e-12);
    within(v.middle[2], (2 / 3) * 200, 1e-12);
    const [long, radius] = [3000, 400];
    const cone = under(halfCone(long, radius, 400), { ...upright, level: radius });
    within(cone.volumeMm3, (Math.PI * radius ** 2 * long) / 6, 1e-4);
    within(cone.middle[0], 0.75 * long, 1e-4);
    // of a half cone the middle lies r/π under its flat
    within(radius - cone.middle[2], radius / Math.PI, 1e-3);
  });
  it('with a skin outside is larger by its wet area times its thickness, and never less where the plane rises', () => {
    const bare = box(2000, 800, 400);
    const skinned = { ...bare, skins: [{ triangles: bare.closed.slice(0, 8), outMm: 5 }] };
    const plane = { ...upright, level: 150 };
    // bottom and both sides; the ends have none
    within(under(skinned, plane).volumeMm3 - under(bare, plane).volumeMm3, 5 * 2000 * (800 + 2 * 150), 1e-9);
    let before = 0;
    for (let level = 0; level <= 400; level += 20) {
      const { volumeMm3 } = under(skinned, { ...upright, level });
      expect(volumeMm3).toBeGreaterThanOrEqual(before);
      before = volumeMm3;
    }
  });
  it('the level for a volume gives that volume, by chance planes; more than all of it has none', () => {
    const next = random(5);
    const hull = halfCone(3000, 500, 40);
    for (let k = 0; k < 40; k++) {
      const normal = unit3([next() - 0.5, next() - 0.5, 1]);
      const volume = 50 * LITRE * (0.2 + next());
      within(levelFor(hull, normal, volume)!.state.volumeMm3, volume, 1e-9);
    }
    expect(levelFor(hull, [0, 0, 1], 1000 * LITRE)).toBeUndefined();
  });
});

describe('at rest', () => {
  const hull = box(2000, 800, 400);
  const grams = 240_000; // 150 mm deep
  it('a box lies level under a weight in its middle, to its draught', () => {
    const { draughtMm, trimRad, heelRad, gramsPerCm } = rest(hull, grams, [1000, 0, 100]);
    within(draughtMm, 150);
    expect(Math.abs(trimRad) + Math.abs(heelRad)).toBeLessThan(1e-9);
    within(gramsPerCm, 16_000);
  });
  it('a weight forward, or across, turns it by as much as its metacentre says, the heavy side down', () => {
    const up = 100;
    const [long, broad, deep] = [2000, 800, 150];
    // of a wall-sided box exactly: shift = tan·(BM + BM·tan²/2 + B − G), BM = I/V
    const shiftFor = (tan: number, size: number) => {
      const metacentre = size ** 2 / (12 * deep);
      return tan * (metacentre * (1 + tan ** 2 / 2) + deep / 2 - up);
    };
    for (const tan of [0.01, 0.05, 0.1]) {
      const bowDown = rest(hull, grams, [1000 - shiftFor(tan, long), 0, up]);
      within(Math.tan(bowDown.trimRad), tan);
      const starboardDown = rest(hull, grams, [1000, shiftFor(tan, broad), up]);
      within(Math.tan(starboardDown.heelRad), tan);
      const portDown = rest(hull, grams, [1000, -shiftFor(tan, broad), up]);
      within(Math.tan(-portDown.heelRad), tan);
    }
  });
  it('a wedge floats at the depth whose triangle holds its weight; trimmed, it stands over its middle', () => {
    const v = wedge(3000, 1000, 500);
    const grams3 = (3000 * 200 * 400) / 2 / 1000;
    within(rest(v, grams3, [1500, 0, 100]).draughtMm, 200);
    const { plane, middle } = rest(v, grams3, [1400, 20, 120]);
    const lever = sub3([1400, 20, 120], middle);
    expect(length3(cross3(lever, plane.normal))).toBeLessThan(1e-4);
  });
  it('a box too tender to stand upright leans to where its sides hold it, and does not stay on the ridge', () => {
    // 150 deep: wall-sided, it leans by tan² = 2 (G − M)/BM
    const [metacentre, up] = [300 ** 2 / (12 * 150), 135];
    const tan = Math.sqrt((2 * (up - 75 - metacentre)) / metacentre);
    const { heelRad } = rest(box(2000, 300, 600), 90_000, [1000, 0, up]);
    within(Math.tan(Math.abs(heelRad)), tan);
  });
  it('a slender hull with nothing low in her is not said to stand upright', () => {
    // of the two hulls of a carrier one: her weight too high for her breadth
    const project = demoProject('ilven', 'x');
    const bare = derive({ ...project, weights: { ...project.weights, loads: [] } }).weights;
    const heel = bare.value.afloat?.heelRad ?? Infinity;
    expect(Math.abs(heel)).toBeGreaterThan(0.05);
    expect(bare.findings.map(({ code }) => code)).toContain(bare.value.afloat ? 'float-tender' : 'float-not-settled');
  });
  it('what is heavier than the water that it can push away sinks, and is told', () => {
    expect(floats(hull, { grams: 700_000, at: [1000, 0, 100] }, 1000)).toEqual({ ok: false, why: 'too heavy' });
  });
  it('does not depend on where the boat stands in the table', () => {
    const off: Vec3 = [12_345, 0, -678];
    const moved = { ...hull, closed: hull.closed.map((t) => t.map((p) => add3(p, off)) as unknown as typeof t) };
    const at: Vec3 = [900, 30, 100];
    const [one, other] = [rest(hull, grams, at), rest(moved, grams, add3(at, off))];
    expect(Math.abs(one.trimRad - other.trimRad) + Math.abs(one.heelRad - other.heelRad)).toBeLessThan(1e-7);
    expect(Math.abs(one.draughtMm - other.draughtMm)).toBeLessThan(1e-4);
  });
});

const load = (given: Partial<Load>): Load => ({
  ...{ id: 'one', name: 'One', kg: 80, x: 2300, out: 0, up: 400, isAboard: true },
  ...given,
});

describe.each(DEMO_IDS.map((id) => [id] as const))('%s', (id) => {
  const project = demoProject(id, 'x');
  const derived = derive(project);
  const { items, bareGrams, bareAt } = derived.weights.value;
  const { ply } = project.weights;

  it('is a closed hull; its plywood weighs what lies on the sheets less the laps, its epoxy what the list has', () => {
    const { panels } = derived.panels.value;
    expect(openness(hullSolid(panels, 0).closed)).toBeLessThan(1e-6);
    const parts = derived.sheets.value.parts;
    const cut = parts.reduce(
      (sum, { outline, holes = [], thickness, isPair }) =>
        sum + netArea({ outline, holes: [...holes] }) * thickness * (isPair ? 2 : 1) * ply * 1e-6,
      0,
    );
    const laps = derived.joints.value.reduce(
      (sum, { joints, isPair }) =>
        sum + joints.reduce((all, { depth, lap }) => all + depth * lap, 0) * (isPair ? 2 : 1),
      0,
    );
    const lapped = laps * project.panels.thickness * ply * 1e-6;
    const inTimber = items.filter(({ group }) => group === 'plywood');
    const weighed = inTimber.reduce((sum, { grams }) => sum + grams, 0);
    // bearers and cleats under parts are weighed with them, and are no plywood
    const under = derived.fitout.value.all
      .filter(({ pieces }) => pieces.length > 0)
      .reduce(
        (sum, { supports, hand }) =>
          sum + (hand === 'pair' ? 2 : 1) * supports.reduce((all, s) => all + s.lengthMm * s.breadth * s.depth, 0),
        0,
      );
    const wood = under * project.weights.timber * 1e-6;
    within(weighed - wood, cut - lapped, 0.03);
    const epoxy = items.find((item) => item.id === 'epoxy.glass')!;
    within(epoxy.grams, derived.epoxy.value.weight, 1e-9);
    within(
      bareGrams,
      items.reduce((sum, { grams }) => sum + grams, 0),
      1e-12,
    );
    expect(length3(sub3(bareAt, weighted(items)!))).toBeLessThan(1e-9);
    // a boat of one kind of side lies even
    expect(Math.abs(bareAt[1])).toBeLessThan(1);
  });

  it('rests with the two middles over one another and her weight of water pushed away; heavier she lies deeper', () => {
    const laden = (kg: number) =>
      derive({ ...project, weights: { ...project.weights, loads: [load({ kg, x: bareAt[0], up: LOW })] } }).weights
        .value;
    // low enough that the slenderest of them stands
    const [light, heavy] = [laden(60), laden(100)];
    for (const value of [light, heavy]) {
      const { plane, middle, volumeMm3 } = value.afloat!;
      within(volumeMm3, value.allGrams / 0.000999, 1e-6);
      expect(length3(cross3(sub3(value.allAt, middle), plane.normal))).toBeLessThan(1e-3);
      expect(value.freeboard!.mm).toBeGreaterThan(0);
    }
    expect(heavy.afloat!.draughtMm).toBeGreaterThan(light.afloat!.draughtMm);
    const out = derive({
      ...project,
      weights: { ...project.weights, loads: [load({ kg: 60, x: bareAt[0], out: 40, up: LOW })] },
    });
    expect(out.weights.value.afloat!.heelRad).toBeGreaterThan(0.005);
  });

  it('goes out as a table and a sheet that say what they are not; the float line is on panels if asked for', () => {
    const edits = [{ path: ['weights', 'onPanels'], value: true }];
    const made = applyEdits(project, edits);
    if (!made.ok) throw new Error(made.reason);
    const whole = wholeOf(made.project, derive(made.project), {});
    const [table] = weightsTables(whole);
    expect(table!.csv.trim().split(/\r?\n/)).toHaveLength(
      items.length + 1 + project.weights.loads.filter((l) => l.isAboard).length,
    );
    expect(JSON.stringify(weightsSheets(whole))).toMatch(/approves nothing/i);
    const marked = derived.panels.value.panels.filter((panel) => floatMarks(panel, whole).paths.length > 0);
    expect(marked.length > 0).toBe(whole.values.weights.afloat !== undefined);
    const plain = wholeOf(project, derived, {});
    expect(derived.panels.value.panels.flatMap((panel) => floatMarks(panel, plain).paths)).toEqual([]);
  });
});

describe('loads', () => {
  const project = demoProject('tamsel', 'x');
  const { size } = derive(project).weights.value;
  const boat = { ...size, people: project.fitout.people };
  it('of every standard loading are within the boat, take the place of what was aboard, each with its id', () => {
    const ashore = load({ id: 'person', name: 'Ashore', isAboard: false });
    for (const loading of LOADINGS) {
      const loads = loaded([ashore, load({})], loading, boat);
      expect(loads[0]).toBe(ashore);
      expect(loads.some(({ id }) => id === 'one')).toBe(false);
      expect(new Set(loads.map(({ id }) => id)).size).toBe(loads.length);
      expect(weightsSchema.safeParse({ ...project.weights, loads }).success).toBe(true);
      for (const { x } of loads.slice(1)) expect(x >= size.from && x <= size.to).toBe(true);
    }
  });
  it('with nothing aboard she is not judged by how she lies, whatever the trim', () => {
    const bare = derive({ ...project, weights: { ...project.weights, loads: [] } }).weights;
    expect(Math.abs(bare.value.afloat!.trimRad)).toBeGreaterThan(0.02);
    expect(bare.findings).toEqual([]);
    const empty = { ...bare.value, afloat: undefined };
    for (const notAfloat of ['open', 'unlike'] as const) {
      expect(judgeWeights({ ...empty, notAfloat }, { loads: [] })).toEqual([]);
      expect(judgeWeights({ ...empty, notAfloat }, project.weights)).toHaveLength(1);
    }
  });
  it('too many of them are told, from a low sheer to sinking', () => {
    const codes = [200, 500, 2000].map((kg) => {
      const weights = { ...project.weights, loads: [load({ kg, x: 2500, up: 200 })] };
      return derive({ ...project, weights }).weights.findings.map(({ code }) => code);
    });
    expect(codes[2]).toEqual(['float-too-heavy']);
    const value = derive(project).weights.value;
    const freeboard = { mm: 90, x: 4000, side: 'port' } as const;
    const { loads } = project.weights;
    expect(judgeWeights({ ...value, freeboard }, { loads }).map(({ code }) => code)).toContain('float-low');
    expect(
      judgeWeights({ ...value, freeboard: { ...freeboard, mm: -5 } }, { loads }).map(({ code }) => code),
    ).toContain('float-over-sheer');
  });
});

it('the middle of several is that of their weights', () => {
  expect(
    weighted([
      { grams: 1, at: [0, 0, 0] },
      { grams: 3, at: [4, 0, 8] },
    ]),
  ).toEqual([3, 0, 6]);
  expect(weighted([])).toBeUndefined();
});
