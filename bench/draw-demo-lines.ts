/**
 * Draws the lines of the demo boats and prints their tables, as developable surfaces by construction.
 *
 * Method (derived here): through a chosen chine C(x) = (x, b, h) lay rulings. Going inboard a ruling is r = (a, −1,
 * −d); the surface is developable where det(C', r, r') = 0, which gives d' = a'·(b'd − h')/(1 + a·b'). Going up it is
 * r = (e, g, 1), and g' = e'·(b' − h'g)/(1 − h'e). With the fore-and-aft leans a(x), e(x) chosen, deadrise d and
 * flare g follow by integration (Runge-Kutta); the keel is where the bottom rulings reach the centreline, the sheer
 * where the side rulings reach its chosen height. The slender hull is three cones, each through the line before:
 * exact whatever the curves. Run: npx tsx bench/draw-demo-lines.ts tamsel|orrin|ilven
 */
import { MM_PER_INCH, formatLength } from '@kalotrope/core/measure';

type Curve = (w: number) => number;
type Point = readonly [number, number, number];

type Design = {
  readonly from: number;
  readonly to: number;
  readonly breadth: Curve;
  readonly height: Curve;
  /** Lean of the bottom rulings, and tan(deadrise) at the transom; none on a flat bottom. */
  readonly bottomLean?: { readonly a: Curve; readonly atTransom: number };
  /** Lean of the side rulings, and the flare at the bow. */
  readonly sideLean: { readonly e: Curve; readonly atBow: number };
  readonly sheer: Curve;
  readonly stations: readonly number[];
};

const STEPS = 4000;

function trace(design: Design): { keel?: Point[]; chine: Point[]; sheer: Point[] } {
  const length = design.to - design.from;
  const slope = (f: Curve, w: number) => (f(w + 1e-5) - f(w - 1e-5)) / 2e-5 / length;
  const rk4 = (rate: (w: number, y: number) => number, w: number, y: number, dw: number) => {
    const k1 = rate(w, y);
    const k2 = rate(w + dw / 2, y + (dw / 2) * k1);
    const k3 = rate(w + dw / 2, y + (dw / 2) * k2);
    const k4 = rate(w + dw, y + dw * k3);
    return y + (dw / 6) * (k1 + 2 * k2 + 2 * k3 + k4);
  };
  const chineAt = (w: number): Point => [design.from + w * length, design.breadth(w), design.height(w)];
  const chine = Array.from({ length: STEPS + 1 }, (_, i) => chineAt(i / STEPS));
  const sheer: Point[] = [];
  const { e, atBow } = design.sideLean;
  const flareRate = (w: number, g: number) =>
    (slope(e, w) * length * (slope(design.breadth, w) - slope(design.height, w) * g)) /
    (1 - slope(design.height, w) * e(w));
  for (let i = 0, g = atBow; i <= STEPS; i++) {
    const w = i / STEPS;
    const [x, b, h] = chineAt(w);
    const rise = design.sheer(w) - h;
    sheer.push([x + e(w) * rise, b + g * rise, h + rise]);
    g = rk4(flareRate, w, g, 1 / STEPS);
  }
  if (!design.bottomLean) return { chine, sheer };
  const { a, atTransom } = design.bottomLean;
  const deadriseRate = (w: number, d: number) =>
    (slope(a, w) * length * (slope(design.breadth, w) * d - slope(design.height, w))) /
    (1 + a(w) * slope(design.breadth, w));
  const keel: Point[] = [];
  for (let i = STEPS, d = atTransom; i >= 0; i--) {
    const w = i / STEPS;
    const [x, b, h] = chineAt(w);
    keel.unshift([x + a(w) * b, 0, h - d * b]);
    d = rk4(deadriseRate, w, d, -1 / STEPS);
  }
  return { keel, chine, sheer };
}

function atX(line: readonly Point[], x: number): Point | undefined {
  const i = line.findIndex((p, k) => k > 0 && p[0] >= x);
  const [p, q] = [line[i - 1], line[i]];
  if (!p || !q || x <= p[0]) return undefined;
  const w = (x - p[0]) / (q[0] - p[0]);
  return [x, p[1] + w * (q[1] - p[1]), p[2] + w * (q[2] - p[2])];
}

/** What is left of the length, never below nought: the slopes are taken just past the end. */
const left = (w: number): number => Math.max(0, 1 - w);

const DESIGNS: Record<string, Design> = {
  tamsel: {
    from: 260,
    to: 4205,
    breadth: (w) => 665 * (1 - left(w) ** 2.3) - 40 * w ** 3,
    height: (w) => 128 + 225 * left(w) ** 2.6 + 12 * w * w,
    bottomLean: { a: (w) => -0.75 * left(w) ** 1.7 - 0.0475 * w, atTransom: 0.19 },
    sideLean: { e: (w) => -0.75 + 1.6 * w - 0.6 * w * w, atBow: 0 },
    sheer: (w) => 505 + 165 * left(w) ** 1.9 + 18 * w * w,
    stations: [600, 1200, 1800, 2400, 3000, 3600],
  },
  orrin: {
    from: 214,
    to: 2545,
    breadth: (w) => 285 + 560 * w - 430 * w * w,
    height: (w) => 105 * (1 - 1.9 * w) ** 2 + 18,
    sideLean: { e: (w) => -0.5 + 0.8 * w, atBow: 0.3 },
    sheer: (w) => 455 - 110 * w + 62 * w * w,
    stations: [457.2, 914.4, 1371.6, 1828.8, 2286],
  },
};

/** Of the slender hull: from its upper chine down to the lower one, from that to the keel, and up to the sheer. */
const APEXES = {
  bilge: [3739, -600, -1000],
  bottom: [3739, -3000, -950],
  side: [2839, 0, -4300],
} as const satisfies Record<string, Point>;
const towards = (p: Point, apex: Point, share: number): Point => [
  p[0] + share * (apex[0] - p[0]),
  p[1] + share * (apex[1] - p[1]),
  p[2] + share * (apex[2] - p[2]),
];
/** All run on past the transom, and are cut off by its plane. */
const PAST = 1.15;
const TRANSOM = { x: 6303, lean: 0.18 };

function slender(): Record<string, Point[]> {
  const ws = Array.from({ length: STEPS + 1 }, (_, i) => (i / STEPS) * PAST);
  const upper = ws.map((w): Point => [
    179 + 6070 * w,
    270 * (1 - left(w) ** 2.4) - 70 * w ** 3,
    178 + 150 * left(w) ** 2.2 + 40 * w * w,
  ]);
  const lower = upper.map((p, i) => towards(p, APEXES.bilge, 0.14 * (1 - left(ws[i] ?? 0) ** 1.7)));
  const keel = lower.map((p) => towards(p, APEXES.bottom, p[1] / (p[1] - APEXES.bottom[1])));
  const sheer = upper.map((p, i) => {
    const w = ws[i] ?? 0;
    const height = 530 + 110 * left(w) ** 2 + 10 * w * w;
    return towards(p, APEXES.side, -(height - p[2]) / (p[2] - APEXES.side[2]));
  });
  const cut = (line: readonly Point[]): Point[] => {
    const k = line.findIndex(([x, , z]) => x > TRANSOM.x + TRANSOM.lean * z);
    const [a, b] = [line[k - 1], line[k]];
    if (!a || !b) throw new Error('a line does not reach the transom');
    const off = ([x, , z]: Point) => x - TRANSOM.x - TRANSOM.lean * z;
    return [...line.slice(0, k), towards(a, b, off(a) / (off(a) - off(b)))];
  };
  return { keel: cut(keel), 'lower-chine': cut(lower), 'upper-chine': cut(upper), sheer: cut(sheer) };
}

const SLENDER = 'ilven';
const name = process.argv[2] ?? 'tamsel';
const design = DESIGNS[name];
if (!design && name !== SLENDER)
  throw new Error(`No such demo: ${name}; there are ${[...Object.keys(DESIGNS), SLENDER].join(', ')}`);
const stations = design?.stations ?? Array.from({ length: 9 }, (_, i) => 640 * (i + 1));
const imperial = name === 'orrin';
const round = (v: number) =>
  imperial ? (Math.round(v / (MM_PER_INCH / 16)) * MM_PER_INCH) / 16 : Math.round(v * 10) / 10;
const show = (v: number) => (imperial ? formatLength(round(v), 'ft-in-8ths') : String(round(v)));
console.log(`# units=${imperial ? 'ft-in-8ths' : 'mm'}`);
console.log('line,station,x,half_breadth,height');
for (const [line, points] of Object.entries(design ? trace(design) : slender())) {
  if (!points) continue;
  const [first, last] = [points[0], points[points.length - 1]];
  if (!first || !last) continue;
  const bow = name === 'orrin' ? 'bow' : 'stem';
  const rows: [string, Point][] = [
    [bow, first],
    ...stations.flatMap((x, i): [string, Point][] => {
      const p = atX(points, x);
      return p ? [[String(i + 1), p]] : [];
    }),
    ['transom', last],
  ];
  for (const [label, [x, y, z]] of rows) console.log([line, label, show(x), show(y), show(z)].join(','));
}
