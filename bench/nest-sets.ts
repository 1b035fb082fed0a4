/** Sets of parts to lay out, made by chance from a seed: the kinds that boats ask for, and a sheet cut into pieces. */
import {
  area,
  at,
  differenceOf,
  intersectionOf,
  netArea,
  random,
  widened,
  type Vec2,
} from '../core/src/geometry/index';
import type { NestJob } from '../core/src/sheets/index';

type Part = NestJob['parts'][number];
export type NestSet = { readonly name: string; readonly job: NestJob };

const SHEET = { id: 'A', width: 2440, height: 1220, qty: 12 };
const ALONG = [0, 180];
const QUARTERS = [0, 90, 180, 270];

const part = (id: string, outline: readonly Vec2[], given: Partial<Part> = {}): Part => ({
  ...{ id, outline: outline.map(([x, y]): [number, number] => [x, y]), holes: [], qty: 1 },
  ...{ rotations: ALONG, mirror: false },
  ...given,
});
const job = (parts: Part[], given: Partial<NestJob> = {}): NestJob => ({
  gap: 6,
  margin: 8,
  sheets: [SHEET],
  parts,
  ...given,
});

/** Between two curved edges that taper. */
function strake(long: number, fore: number, aft: number, hollow: number, rise: number): Vec2[] {
  const steps = 12;
  const at = (k: number) => k / steps;
  const middle = (w: number) => rise * 4 * w * (1 - w);
  const lower = Array.from({ length: steps + 1 }, (_, k): Vec2 => [at(k) * long, middle(at(k))]);
  const upper = Array.from({ length: steps + 1 }, (_, k): Vec2 => {
    const w = at(steps - k);
    return [w * long, middle(w) + fore + (aft - fore) * w + hollow * 4 * w * (1 - w)];
  });
  return [...lower, ...upper];
}

const polygon = (radii: readonly number[], squash = 1): Vec2[] =>
  radii.map((r, k): Vec2 => {
    const angle = (2 * Math.PI * k) / radii.length;
    return [r * Math.cos(angle), squash * r * Math.sin(angle)];
  });

const trapeze = (low: number, top: number, high: number): Vec2[] => [
  [-low / 2, 0],
  [low / 2, 0],
  [top / 2, high],
  [-top / 2, high],
];
const bulkhead = (beam: number, deep: number, v: number): Vec2[] => [
  [0, 0],
  [beam * 0.38, v],
  [beam / 2, deep],
  [-beam / 2, deep],
  [-beam * 0.38, v],
];
const knee = (leg: number, other: number, throat: number): Vec2[] => [
  [0, 0],
  [leg, 0],
  [leg, throat],
  [leg * 0.45, throat + (other - throat) * 0.2],
  [throat, other],
  [0, other],
];
const rectangle = (wide: number, high: number): Vec2[] => [
  [0, 0],
  [wide, 0],
  [wide, high],
  [0, high],
];
const mirrored = (outline: readonly Vec2[]): Vec2[] => outline.map(([x, y]): Vec2 => [-x, y]).reverse();
const pair = (id: string, outline: readonly Vec2[], given: Partial<Part> = {}): Part[] => [
  part(`${id}.s`, outline, given),
  part(`${id}.p`, mirrored(outline), given),
];

function skiff(seed: number): NestJob {
  const next = random(seed);
  const about = (mm: number) => mm * (0.9 + 0.2 * next());
  const free = { rotations: QUARTERS };
  return job([
    ...pair('side.1', strake(about(2150), about(300), about(430), about(40), about(50)), {}),
    ...pair('side.2', strake(about(2050), about(430), about(390), about(20), about(-30)), {}),
    ...pair('bottom.1', strake(about(1700), about(60), about(460), about(90), about(30)), {}),
    ...pair('bottom.2', strake(about(2200), about(460), about(440), about(15), about(20)), {}),
    ...[1, 2, 3].map((k) => part(`bulkhead.${k}`, bulkhead(about(700 + 110 * k), about(420), about(70)), free)),
    part('transom', bulkhead(about(980), about(410), about(60)), {}),
    ...[1, 2, 3].map((k) => part(`seat.${k}`, trapeze(about(900 + 60 * k), about(960), about(280)), {})),
    ...pair('knee.1', knee(about(280), about(230), about(70)), free),
    ...pair('knee.2', knee(about(220), about(200), about(60)), free),
    part('breasthook', trapeze(about(320), about(90), about(260)), free),
  ]);
}

function rings(seed: number): NestJob {
  const next = random(seed);
  const about = (low: number, high: number) => low + (high - low) * next();
  return job(
    Array.from({ length: 60 }, (_, k): Part => {
      if (k % 5 >= 3) {
        const sides = 3 + Math.floor(4 * next());
        const radii = Array.from({ length: sides }, () => about(45, 110));
        return part(`small.${k}`, polygon(radii), { rotations: QUARTERS });
      }
      const [wide, high, rim] = [about(280, 560), about(220, 420), about(40, 70)];
      const outline = bulkhead(wide, high, high * 0.2);
      const hole = (widened(outline, -rim)[0] ?? []).map(([x, y]): [number, number] => [x, y]);
      return part(`ring.${k}`, outline, { holes: hole.length > 2 ? [hole] : [], rotations: ALONG });
    }),
  );
}

/** A sheet in pieces by straight cuts at any angle through the largest piece. */
function cutUp(count: number, seed: number, sheets: number): Vec2[][] {
  const next = random(seed);
  let pieces: Vec2[][] = Array.from({ length: sheets }, () => rectangle(SHEET.width - 16, SHEET.height - 16));
  while (pieces.length < count) {
    pieces = pieces.sort((a, b) => area(b) - area(a));
    const [largest, ...others] = pieces;
    if (!largest) break;
    const xs = largest.map(([x]) => x);
    const ys = largest.map(([, y]) => y);
    const at = (of: number[]) => Math.min(...of) + (0.35 + 0.3 * next()) * (Math.max(...of) - Math.min(...of));
    const [x, y] = [at(xs), at(ys)];
    const isLong = Math.max(...xs) - Math.min(...xs) > Math.max(...ys) - Math.min(...ys);
    const angle = (isLong ? Math.PI / 2 : 0) + (next() - 0.5) * 0.9;
    const [c, s] = [Math.cos(angle) * 5000, Math.sin(angle) * 5000];
    const side: Vec2[] = [
      [x - c, y - s],
      [x + c, y + s],
      [x + c - s, y + s + c],
      [x - c - s, y - s + c],
    ];
    const one = intersectionOf([largest], [side])[0];
    const other = differenceOf([largest], [side])[0]?.outline;
    if (!one || !other) continue;
    pieces = [...others, [...one], [...other]];
  }
  return pieces;
}

function jigsaw(seed: number): NestJob {
  const pieces = cutUp(24, seed, 2).map((piece) => widened(piece, -3)[0] ?? piece);
  const next = random(seed + 1);
  // as much as nine tenths of the two sheets: some pieces are left out
  const whole = 2 * SHEET.width * SHEET.height;
  const order = pieces.map((piece) => ({ piece, at: next() })).sort((a, b) => a.at - b.at);
  let sum = 0;
  const kept = order.filter(({ piece }) => (sum + area(piece) <= 0.9 * whole ? ((sum += area(piece)), true) : false));
  return job(kept.map(({ piece }, k) => part(`piece.${k}`, piece)));
}

function strakes(seed: number): NestJob {
  const next = random(seed);
  const about = (mm: number) => mm * (0.88 + 0.24 * next());
  const lengths = [1, 2, 3, 4].flatMap((k) =>
    [1, 2, 3].flatMap((piece) =>
      pair(
        `strake.${k}.${piece}`,
        strake(about(1600), about(100 + 18 * k), about(120 + 18 * k), about(25), about(70 - 30 * piece)),
      ),
    ),
  );
  return job([
    ...lengths,
    ...[1, 2, 3, 4, 5, 6, 7].map((k) =>
      part(`frame.${k}`, bulkhead(about(420 + 80 * k), about(360), about(80)), { rotations: QUARTERS }),
    ),
    ...[1, 2, 3, 4, 5, 6].flatMap((k) =>
      pair(`knee.${k}`, knee(about(260), about(210), about(65)), { rotations: QUARTERS }),
    ),
  ]);
}

function quarters(seed: number): NestJob {
  const next = random(seed);
  const about = (low: number, high: number) => low + (high - low) * next();
  const free = { rotations: QUARTERS };
  return job([
    ...Array.from({ length: 12 }, (_, k) =>
      part(`frame.${k}`, bulkhead(about(500, 1000), about(260, 460), about(40, 110)), free),
    ),
    ...Array.from({ length: 10 }, (_, k) =>
      part(`knee.${k}`, knee(about(160, 300), about(160, 300), about(50, 90)), free),
    ),
    ...Array.from({ length: 14 }, (_, k) =>
      part(`small.${k}`, trapeze(about(120, 300), about(60, 240), about(80, 220)), free),
    ),
    ...Array.from({ length: 6 }, (_, k) => part(`seat.${k}`, rectangle(about(500, 900), about(180, 300)), free)),
  ]);
}

const pieces = (seed: number): NestJob =>
  job(
    cutUp(30, seed, 1).map((piece, k) => part(`piece.${k}`, piece)),
    { gap: 0 },
  );

/** 120 parts of a boat, each of one of three thicknesses: pieces of strakes, frames, some with holes, knees, seats. */
export function threeThicknesses(seed: number): readonly NestSet[] {
  const next = random(seed);
  const about = (low: number, high: number) => low + (high - low) * next();
  const free = { rotations: QUARTERS };
  const made = Array.from({ length: 120 }, (_, k): { mm: number; one: Part } => {
    const mm = at([4, 6, 9], Math.floor(3 * next()));
    const kind = k % 6;
    if (kind < 2) {
      const outline = strake(about(900, 2000), about(90, 260), about(90, 260), about(0, 30), about(-60, 60));
      return { mm, one: part(`strake.${k}`, outline) };
    }
    if (kind === 2) return { mm, one: part(`knee.${k}`, knee(about(160, 300), about(160, 300), about(50, 90)), free) };
    if (kind === 3) return { mm, one: part(`seat.${k}`, rectangle(about(400, 900), about(150, 300))) };
    const outline = bulkhead(about(400, 1000), about(260, 460), about(40, 110));
    const hole = (widened(outline, -about(60, 100))[0] ?? []).map(([x, y]): [number, number] => [x, y]);
    return { mm, one: part(`frame.${k}`, outline, { ...free, holes: kind === 4 && hole.length > 2 ? [hole] : [] }) };
  });
  return [4, 6, 9].map((mm) => ({
    name: `of 120 parts those of ${mm} mm`,
    job: job(made.filter((other) => other.mm === mm).map(({ one }) => one)),
  }));
}

export const nestSets = (seed: number): readonly NestSet[] => [
  { name: 'skiff in pieces', job: skiff(seed) },
  { name: '60 parts with holes', job: rings(seed) },
  { name: 'two sheets in 24 pieces', job: jigsaw(seed) },
  { name: 'strakes in three pieces', job: strakes(seed) },
  { name: 'quarter turns', job: quarters(seed) },
  { name: 'a sheet in 30 pieces', job: pieces(seed) },
];

export const areaOf = ({ parts }: NestJob): number => parts.reduce((sum, one) => sum + one.qty * netArea(one), 0);
