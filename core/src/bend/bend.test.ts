import { describe, expect, it } from 'vitest';
import {
  add3,
  at,
  distance3,
  dot3,
  laidOn,
  pointAtLength,
  polylineLength,
  polylineLength3,
  random,
  scale3,
  solveDense,
  sub3,
  type Vec2,
  type Vec3,
} from '../geometry';
import { drawLines } from '../lines';
import { developPanels, type Panel } from '../panels';
import { cone } from '../panels/fixtures/exact-shapes';
import { demoProject } from '../project';
import { addTo, emptyBand, factor, solveFactored } from './banded';
import { basisAt, controlCount } from './b-spline';
import { bendSheet, type Bent } from './bend';
import { STRAIN_SAID } from './constants';
import { edgeReader } from './edges';
import { sheetByChance } from './fixtures/by-chance';
import { readBendJob, type BendJob } from './job';

const jobOf = (data: object): BendJob => {
  const read = readBendJob(data);
  if (!read.ok) throw new Error(read.problem);
  return read.job;
};

/** A side with cuts and flare, held by the bow, a frame and a transom. */
const SKIFF = jobOf({
  lower: [
    [0, 0],
    [4000, 0],
  ],
  upper: [
    [-150, 400],
    [4100, 400],
  ],
  stern: { lower: 350, upper: 480 },
  frames: [{ x: 2100, lower: 480, upper: 640 }],
});

const apart = (one: Bent, other: Bent): number =>
  Math.max(
    ...(['lower', 'upper'] as const).flatMap((edge) =>
      one[edge].map((p, k) => Math.hypot(...p.map((x, d) => x - (at(other[edge], k)[d] ?? NaN)))),
    ),
  );

describe('what it stands on', () => {
  it('splines add up to one, and their derivatives are those of what they give', () => {
    for (const t of [0, 0.013, 0.2, 0.5, 0.77, 0.999, 1]) {
      const { value, slope, second, first } = basisAt(9, t);
      expect(first).toBeGreaterThanOrEqual(0);
      expect(first + 3).toBeLessThan(controlCount(9));
      const sum = (all: readonly number[]) => all.reduce((total, x) => total + x, 0);
      expect([sum(value), sum(slope), sum(second)].map((x) => Math.round(x * 1e9) / 1e9 + 0)).toEqual([1, 0, 0]);
      if (t < 0.01 || t > 0.99) continue;
      const h = 1e-5;
      const [before, after] = [basisAt(9, t - h), basisAt(9, t + h)];
      if (before.first !== first || after.first !== first) continue;
      value.forEach((_, k) => {
        expect((at(after.value, k) - at(before.value, k)) / (2 * h)).toBeCloseTo(at(slope, k), 4);
        expect((at(after.slope, k) - at(before.slope, k)) / (2 * h)).toBeCloseTo(at(second, k), 2);
      });
    }
  });
  it('a band is solved as the whole matrix is, and one that is not positive is told', () => {
    const next = random(4);
    const [size, half] = [23, 4];
    const band = emptyBand(size, half);
    const whole = Array.from({ length: size }, () => new Array<number>(size).fill(0));
    for (let i = 0; i < size; i++)
      for (let j = Math.max(0, i - half); j <= i; j++) {
        const by = i === j ? 10 + next() : next() - 0.5;
        addTo(band, i, j, by);
        whole[i]![j] = whole[j]![i] = by;
      }
    const right = Float64Array.from({ length: size }, () => next());
    const made = factor(band);
    const solved = solveFactored(made!, right);
    solveDense(whole, [...right]).forEach((x, k) => expect(solved[k]).toBeCloseTo(x, 10));
    addTo(band, 5, 5, -30);
    expect(factor(band)).toBeUndefined();
  });
});

/** A strip on two supports and spread in the middle: θ' = −R x, by shooting with Runge and Kutta. */
function elastica(length: number, breadth: number): (s: number) => Vec2 {
  const run = (lean: number, pull: number, to: number): [number, number, number] => {
    const count = 2000;
    const ds = to / count;
    let state: [number, number, number] = [0, 0, lean];
    const rate = ([x, , turn]: typeof state): typeof state => [Math.cos(turn), Math.sin(turn), -pull * x];
    const plus = (a: typeof state, b: typeof state, by: number): typeof state => [
      a[0] + by * b[0],
      a[1] + by * b[1],
      a[2] + by * b[2],
    ];
    for (let k = 0; k < count; k++) {
      const one = rate(state);
      const two = rate(plus(state, one, ds / 2));
      const three = rate(plus(state, two, ds / 2));
      const four = rate(plus(state, three, ds));
      state = plus(plus(plus(plus(state, one, ds / 6), two, ds / 3), three, ds / 3), four, ds / 6);
    }
    return state;
  };
  let [lean, pull] = [0.5, 1];
  const miss = (a: number, b: number): Vec2 => {
    const [, y, turn] = run(a, b, length / 2);
    return [turn, y - breadth];
  };
  for (let k = 0; k < 20; k++) {
    const h = 1e-6;
    const [here, byLean, byPull] = [miss(lean, pull), miss(lean + h, pull), miss(lean, pull + h)];
    const matrix = ([0, 1] as const).map((d) => [(byLean[d] - here[d]) / h, (byPull[d] - here[d]) / h]);
    const [a = 0, b = 0] = solveDense(matrix, [...here]);
    [lean, pull] = [lean - a, pull - b];
  }
  return (s) => {
    const [x, y] = run(lean, pull, s);
    return [x, y];
  };
}

describe('a side bent between what holds it', () => {
  const bent = bendSheet(SKIFF);

  it('keeps its holds, hardly stretches, and says what each takes', () => {
    expect([bent.isSettled, bent.problem]).toEqual([true, undefined]);
    for (const { offMm } of bent.held) expect(Math.abs(offMm)).toBeLessThan(0.05);
    expect(bent.strain.most).toBeLessThan(0.0002);
    expect(bent.strain.rms).toBeLessThan(0.00003);
    expect(bent.strain.is).toBe('ordinary');
    expect(bent.held.map(({ at: where, edge }) => `${where} ${edge}`)).toEqual([
      ...['0 lower', '0 upper', 'stern lower', 'stern upper'],
    ]);
    // what presses out and what draws in keep each other in balance with what the bow takes
    expect(bent.held.every(({ pullN }) => Number.isFinite(pullN))).toBe(true);
  });

  it('with flare has rocker and a hollow sheer, of a length less than the sheet’s', () => {
    expect(Math.min(bent.rocker.fore, bent.rocker.aft)).toBeGreaterThan(50);
    expect(bent.sheerMm).toBeLessThan(-50);
    expect(bent.flareDeg).toBeGreaterThan(15);
    expect(bent.lengthMm).toBeLessThan(4250);
    expect(bent.lengthMm).toBeGreaterThan(4000);
  });

  it('says by how much each edge comes out longer than it was cut', () => {
    const fine = bendSheet(SKIFF, { places: 4000 });
    for (const edge of ['lower', 'upper'] as const) {
      const longer = polylineLength3(fine[edge]) - edgeReader(SKIFF[edge]).length;
      expect(fine.longer[edge]).toBeCloseTo(longer, 2);
      expect(Math.abs(longer)).toBeLessThan(0.5);
    }
  });

  it('is not called ordinary where an edge gives, little as the sheet stretches inside', () => {
    const next = random(2026);
    const sheets = Array.from({ length: 53 }, () => sheetByChance(next, 16));
    const job = jobOf(at(sheets, -1));
    const { strain, longer } = bendSheet(job);
    expect(strain.most).toBeLessThan(STRAIN_SAID.value.ordinary);
    expect(longer.lower / edgeReader(job.lower).length).toBeGreaterThan(STRAIN_SAID.value.ordinary);
    expect(strain.is).toBe('clamped');
  });

  it('does not depend on the mesh', () => expect(apart(bent, bendSheet({ ...SKIFF, spans: 64 }))).toBeLessThan(0.6));

  it.each([16, 32])('does not depend on where it begins, on %i spans', (spans) => {
    const still = bendSheet({ ...SKIFF, spans });
    for (let seed = 1; seed <= 10; seed++) {
      const stirred = bendSheet({ ...SKIFF, spans }, { stir: { seed, mm: 25 } });
      expect(stirred.problem).toBeUndefined();
      expect(apart(still, stirred)).toBeLessThan(0.01);
    }
  });

  it('follows a hold that is moved, from the shape before, as from nothing', () => {
    const moved = { ...SKIFF, frames: [{ x: 2100, lower: 484, upper: 640 }] };
    const warm = bendSheet(moved, { from: bent.shape });
    expect(warm.steps).toBeLessThan(10);
    expect(apart(warm, bendSheet(moved))).toBeLessThan(0.01);
  });

  it('is an elastica where it is an even strip', () => {
    const strip = jobOf({
      ...{ lower: [[0, 0] as const, [4000, 0] as const], upper: [[0, 400] as const, [4000, 400] as const] },
      ...{ stern: { lower: 0, upper: 0 }, frames: [{ along: 2000, lower: 600, upper: 600 }] },
    });
    const { lower, upper } = bendSheet(strip);
    const exact = elastica(4, 0.6);
    lower.slice(0, 31).forEach(([x, y], k) => {
      const [ex, ey] = exact((4 * k) / 60);
      expect(Math.hypot(x - 1000 * ex, y - 1000 * ey)).toBeLessThan(0.7);
      const [ux, uy, uz] = at(upper, k);
      expect(Math.hypot(ux - x, uy - y, uz - 400)).toBeLessThan(0.01);
    });
  });
});

type Drawn = { readonly flat: readonly (readonly Vec2[])[]; readonly space: readonly (readonly Vec3[])[] };

/** The job of a side that is known, held where its edges pass these places; how far the bent one is from it. */
function heldBack({ flat, space }: Drawn, xs: readonly number[]): { readonly bent: Bent; readonly off: number } {
  const [lowFlat, highFlat] = flat.map(evenly);
  const [low, high] = [at(space, 0), at(space, 1)];
  const [fx, , fz] = at(low, 0);
  const [u0, v0] = at(lowFlat ?? [], 0);
  const shifted = (line: readonly Vec2[] = []) => line.map(([u, v]): Vec2 => [u - u0, v - v0]);
  const yAt = (line: readonly Vec3[], x: number) => {
    const k = Math.max(
      1,
      line.findIndex((p) => p[0] >= x),
    );
    const [a, b] = [at(line, k - 1), at(line, k)];
    return a[1] + ((x - a[0]) / (b[0] - a[0])) * (b[1] - a[1]);
  };
  const [lastLow, lastHigh] = [at(low, -1), at(high, -1)];
  const job = jobOf({
    ...{
      lower: shifted(lowFlat),
      upper: shifted(highFlat),
      bow: { lower: at(low, 0)[1], upper: at(high, 0)[1] },
      rise: lastLow[2] - fz,
    },
    stern: { lower: lastLow[1], upper: lastHigh[1] },
    frames: xs.map((x) => ({ x: x - fx, lower: yAt(low, x), upper: yAt(high, x) })),
  });
  const bent = bendSheet(job);
  // the flat side says nothing of how it stands in the boat's profile: laid on the known one there
  const inProfile = (lines: readonly (readonly Vec3[])[]) =>
    lines.flatMap((line) =>
      Array.from({ length: 61 }, (_, k) => {
        const [x, z] = pointAtLength(
          line.map((p): Vec2 => [p[0], p[2]]),
          (k / 60) * polylineLength(line.map((p): Vec2 => [p[0], p[2]])),
        );
        return [x, z] as const;
      }),
    );
  const lay = laidOn(inProfile([bent.lower, bent.upper]), inProfile([low, high]));
  const off = Math.max(
    ...[bent.lower, bent.upper].flatMap((line, edge) =>
      line.map(([x, y, z]) => {
        const [lx, lz] = lay([x, z]);
        return offLine(at(space, edge), [lx, y, lz]);
      }),
    ),
  );
  return { bent, off };
}

/** From a point to a line of straight pieces. */
const offLine = (line: readonly Vec3[], p: Vec3): number =>
  Math.min(
    ...line.slice(1).map((b, k) => {
      const a = at(line, k);
      const way = sub3(b, a);
      const share = Math.min(1, Math.max(0, dot3(sub3(p, a), way) / Math.max(1e-12, dot3(way, way))));
      return distance3(p, add3(a, scale3(way, share)));
    }),
  );

function evenly(line: readonly Vec2[]): Vec2[] {
  const length = polylineLength(line);
  return Array.from({ length: 49 }, (_, k) => pointAtLength(line, (k / 48) * length));
}

describe('a side that is known, held as it is', () => {
  it('a cone comes back within a millimetre at seventeen stations, and not between a few', () => {
    const shape = cone({
      ...{ apex: [1800, -4300, 3300], leanRad: 0.3, halfAngleRad: 0.9, phi: [-0.36, 0.36] as const },
      ...{ rP: [7400, 150] as const, rQ: [6900, -90] as const },
    });
    const shares = Array.from({ length: 801 }, (_, k) => k / 800);
    const space = [shape.p, shape.q].map((line) => shares.map(line));
    // its own flat place, turned to lie along u, the lower edge below
    const raw = space.map((line) => line.map(shape.flatOf));
    const [a, b] = [at(at(raw, 0), 0), at(at(raw, 0), -1)];
    const turn = Math.atan2(b[1] - a[1], b[0] - a[0]);
    const turned = raw.map((line) =>
      line.map(([u, v]): Vec2 => [
        (u - a[0]) * Math.cos(turn) + (v - a[1]) * Math.sin(turn),
        (v - a[1]) * Math.cos(turn) - (u - a[0]) * Math.sin(turn),
      ]),
    );
    const isUp = at(at(turned, 1), 400)[1] > at(at(turned, 0), 400)[1];
    const flat = isUp ? turned : turned.map((line) => line.map(([u, v]): Vec2 => [u, -v]));
    const stations = (count: number) => {
      const [from, to] = [at(at(space, 0), 0)[0], at(at(space, 0), -1)[0]];
      return Array.from({ length: count }, (_, k) => from + ((k + 1) / (count + 1)) * (to - from));
    };
    const many = heldBack({ flat, space }, stations(15));
    expect(many.off).toBeLessThan(1);
    expect(heldBack({ flat, space }, stations(2)).off).toBeGreaterThan(many.off);
  });

  it('Tamsel’s own comes back the nearer the more frames hold it', () => {
    const project = demoProject('tamsel', 'x');
    const hull = drawLines(project.lines).value;
    const panel = developPanels(hull, { thickness: 1 }).value.find(({ name }) => name === 'Side') as Panel;
    const drawn = {
      flat: [panel.rulings.map((r) => r.flatP), panel.rulings.map((r) => r.flatQ)].map(thinned),
      space: [panel.rulings.map((r) => r.p), panel.rulings.map((r) => r.q)],
    };
    const inner = hull.stations.map(({ x }) => x).filter((x) => x > 300 && x < 4000);
    const some = (count: number) =>
      Array.from({ length: count }, (_, k) => at(inner, Math.round(((k + 0.5) / count) * (inner.length - 1))));
    const three = heldBack(drawn, some(3));
    const all = heldBack(drawn, inner);
    // closer than boats are built
    const many = heldBack(
      drawn,
      Array.from({ length: 39 }, (_, k) => 300 + (k * 3700) / 38),
    );
    expect(three.bent.problem).toBeUndefined();
    expect(three.off).toBeLessThan(15);
    expect(all.off).toBeLessThan(4);
    expect(many.bent.problem).toBeUndefined();
    expect(many.off).toBeLessThan(1);
  });
});

/** Without places in which an edge stands still. */
const thinned = (line: readonly Vec2[]): Vec2[] =>
  line.filter((p, k) => k === 0 || Math.hypot(p[0] - at(line, k - 1)[0], p[1] - at(line, k - 1)[1]) > 1e-6);

describe('sheets by chance', () => {
  it('settle, or say why not; none is torn, mirrored or inside out without a word', () => {
    const next = random(77);
    let settled = 0;
    for (let k = 0; k < 14; k++) {
      const read = readBendJob(sheetByChance(next, 16));
      if (!read.ok) {
        expect(read.problem).toMatch(/apart|expected|hold/);
        continue;
      }
      const bent = bendSheet(read.job);
      if (bent.problem !== undefined) {
        // each of these settles: what is said is of its holds
        expect(bent.problem).toMatch(/reach|tear|inside out/);
        continue;
      }
      settled++;
      for (const { offMm } of bent.held) expect(Math.abs(offMm)).toBeLessThan(0.05);
      const middle = at(bent.lower, 30);
      expect(at(bent.upper, 30)[2]).toBeGreaterThan(middle[2]);
      expect(middle[0]).toBeGreaterThan(0);
    }
    expect(settled).toBeGreaterThan(5);
  });
});

/** Places one after another: u, v, u, v. */
const edge = (...figures: number[]): Vec2[] =>
  figures.flatMap((u, k): Vec2[] => (k % 2 === 0 ? [[u, figures[k + 1] ?? NaN]] : []));

describe('what is refused', () => {
  it.each<[string, object, RegExp]>([
    ['one point', { lower: edge(0, 0) }, /lower/],
    ['an edge that turns back', { lower: edge(0, 0, 500, 0, 400, 0) }, /lower\.2: .*from the bow aft/],
    ['edges that cross', { upper: edge(0, 300, 2000, -10, 4000, 300) }, /upper: .*above the lower/],
    ['breadths further apart than the sheet is wide', { frames: [{ x: 2000, lower: 100, upper: 700 }] }, /more than/],
    ['a frame nowhere', { frames: [{ lower: 300 }] }, /frames\.0: expected either x or along/],
    ['a frame of no breadth', { frames: [{ x: 2000 }] }, /frames\.0: expected a half-breadth/],
    ['nothing that holds it', { frames: [], stern: undefined }, /nothing but the bow/],
    ['a figure that is none', { thickness: 'six' }, /thickness/],
  ])('%s', (_, change, problem) => {
    const read = readBendJob({ ...SKIFF, ...change });
    expect(read.ok ? 'taken' : read.problem).toMatch(problem);
  });
});
