/**
 * Walls, blocks, parts, people, stems and knees of any figures that the schema takes, by a seed: worked out or told of,
 * and always in figures.
 */
import { describe, expect, it } from 'vitest';
import { at, random } from '../geometry';
import { applyEdits, createDerive, demoProject, wholeOf } from '../project';
import { insideDrawings } from './drawings';
import { plainInside } from './plans';
import {
  FILLS,
  INSIDE_KINDS,
  POSES,
  WALL_KINDS,
  type BlockPlan,
  type InsidePlan,
  type KneePlan,
  type PersonPlan,
  type StemPlan,
  type WallLine,
  type WallPlan,
} from './schema';
import { plainWall } from './walls/new-wall';

const derive = createDerive();
const BOATS = ['tamsel', 'veyra', 'orrin'] as const;
const SEEDS = Array.from({ length: 40 }, (_, i) => i + 1);

function oddPlans(seed: number): { readonly wall: WallPlan; readonly block: BlockPlan } {
  const next = random(seed);
  const between = (low: number, high: number) => low + next() * (high - low);
  const pick = <T>(all: readonly T[]): T => at(all, Math.floor(next() * all.length));
  const place = () => ({ x: between(-500, 5000), out: between(0, 1200), height: between(-200, 1500) });
  const line = (follows: WallLine['follows']): WallLine => ({
    ...{ follows, from: between(-200, 3000), to: between(1000, 4600), in: between(-200, 700), up: between(-300, 900) },
    points: Array.from({ length: Math.floor(next() * 6) }, (_, i) => ({ id: `p${i}`, ...place() })),
    onPart: pick([null, null, 'foredeck', 'sole', 'gone']),
  });
  const wall = plainWall({
    ...{ id: 'odd', name: 'Odd wall', kind: pick(WALL_KINDS), hand: pick(['pair', 'starboard', 'port'] as const) },
    ...{ lower: line(pick(['sheer', 'points'] as const)), upper: line(pick(['sheer', 'points', 'lower'] as const)) },
    ...{ isTopStraight: next() < 0.5, below: between(0, 300), thickness: between(1, 40), gap: between(0, 20) },
    ...{ school: pick([null, 'framed', 'filleted'] as const), between: pick([null, 'odd', 'spray', 'gone']) },
    openings: Array.from({ length: Math.floor(next() * 3) }, (_, i) => ({
      ...{ id: `o${i}`, shape: pick(['rounded', 'oval'] as const), along: between(-500, 3000), up: between(0, 600) },
      ...{ long: between(5, 2000), wide: between(5, 900), corner: between(0, 500) },
    })),
  });
  const block: BlockPlan = {
    ...{ id: 'odd block', name: 'Odd block', fills: pick(FILLS), from: place(), to: place() },
    hand: pick(['across', 'pair', 'starboard', 'port'] as const),
    ...{ width: between(3, 400), clear: between(0, 50), isToSkin: next() < 0.5 },
  };
  return { wall, block };
}

/** A part, a person and a stem likewise. */
function oddOthers(seed: number): {
  readonly part: InsidePlan;
  readonly person: PersonPlan;
  readonly stem: StemPlan;
  readonly knee: KneePlan;
} {
  const next = random(1000 + seed);
  const between = (low: number, high: number) => low + next() * (high - low);
  const pick = <T>(all: readonly T[]): T => at(all, Math.floor(next() * all.length));
  const id = (name: string, i: number) => `${name}${i}`;
  const some = <T>(most: number, make: (i: number) => T): T[] =>
    Array.from({ length: Math.floor(next() * (most + 1)) }, (_, i) => make(i));
  const part = plainInside({
    ...{ id: 'odd part', name: 'Odd part', kind: pick(INSIDE_KINDS), fit: pick(['inside', 'over'] as const) },
    ...{
      from: between(-300, 3000),
      to: between(500, 5500),
      hand: pick(['across', 'pair', 'starboard', 'port'] as const),
    },
    height: { fore: between(-50, 800), aft: between(-50, 800), of: pick(['top', 'under'] as const) },
    inner: { fore: between(0, 900), aft: between(0, 900) },
    ...{ camber: { radius: pick([0, 0, between(100, 4000)]) }, thickness: between(1, 60), bearers: pick([0, 3, 30]) },
    ...{ school: pick([null, 'framed', 'filleted'] as const), isTimber: next() < 0.5, isHalved: next() < 0.3 },
    hollow: { fore: between(0, 600), aft: between(0, 600), inner: between(0, 600) },
    ...{ drain: pick([0, between(4, 100)]), screws: pick([0, between(20, 1000)]), overhang: between(0, 100) },
    fittings: some(3, (i) => ({
      ...{ id: id('f', i), name: 'Fitting', x: between(-500, 5500), out: between(0, 900), isPair: next() < 0.5 },
      pad: { long: between(5, 900), wide: between(5, 900), thick: between(1, 100) },
    })),
  });
  const person: PersonPlan = {
    ...{ id: 'odd one', name: 'Odd one', pose: pick(POSES), faces: pick(['forward', 'aft'] as const) },
    ...{ x: between(-1000, 6000), out: between(-900, 900), height: between(-500, 1500) },
    size: {
      ...{ tall: between(500, 2500), sitting: between(200, 1500), thigh: between(150, 1200) },
      ...{ shin: between(100, 900), broad: between(150, 1200) },
    },
  };
  const stem: StemPlan = {
    ...{ id: 'odd stem', name: 'Odd stem', end: pick(['fore', 'aft'] as const), face: between(3, 300) },
    ...{ outer: between(0, 300), depth: between(5, 500), over: between(-500, 1000), under: between(-500, 1000) },
  };
  const knee: KneePlan = {
    ...{ id: 'odd knee', name: 'Odd knee', hand: pick(['pair', 'starboard', 'port'] as const), x: between(-200, 5000) },
    ...{ goes: pick(['up', 'down'] as const), onPart: pick([null, 'odd', 'nowhere']), height: between(-200, 900) },
    ...{ thickness: between(3, 60), across: between(20, 900), along: between(20, 900), nose: between(3, 200) },
    hollow: between(0, 300),
  };
  return { part, person, stem, knee };
}

/** Names of what is no figure. */
function noFigures(...values: readonly unknown[]): string[] {
  const found: string[] = [];
  JSON.stringify(values, (key, value: unknown) => {
    if (typeof value === 'number' && !Number.isFinite(value)) found.push(key);
    return value;
  });
  return found;
}

describe('parts, people, stems and knees of odd figures', () => {
  it.each(SEEDS)('are worked out or told of, through to what is bought and drawn (seed %i)', (seed) => {
    const { part, person, stem, knee } = oddOthers(seed);
    const boat = demoProject(at(BOATS, seed % BOATS.length), 'x');
    const made = applyEdits(boat, [
      { path: ['fitout', 'parts'], value: [...boat.fitout.parts, part] },
      { path: ['fitout', 'people'], value: [person] },
      { path: ['fitout', 'stems'], value: [stem] },
      { path: ['fitout', 'knees'], value: [knee] },
    ]);
    if (!made.ok) throw new Error('the schema does not take it');
    const derived = derive(made.project);
    const { fitout, sheets, timber, epoxy } = derived;
    const odd = fitout.value.parts.filter(({ plan }) => plan === part.id);
    const codes = fitout.findings.filter(({ severity }) => severity === 'stop').map(({ code }) => code);
    if (odd.every(({ pieces }) => pieces.length === 0))
      expect(codes.some((code) => code.startsWith('part'))).toBe(true);
    if (fitout.value.knees.every(({ rows }) => rows.length === 0))
      expect(codes.some((code) => code.startsWith('knee'))).toBe(true);
    expect(noFigures(fitout, sheets.value, timber.value, epoxy.value)).toEqual([]);
    const whole = wholeOf(made.project, derived, {});
    expect(noFigures(insideDrawings(whole))).toEqual([]);
  });
});

describe('walls and blocks of odd figures', () => {
  it.each(SEEDS)(
    'are worked out or told of, and what is cut, bought and coated of them are figures (seed %i)',
    (seed) => {
      const { wall, block } = oddPlans(seed);
      const boat = demoProject(at(BOATS, seed % BOATS.length), 'x');
      const edits = [
        { path: ['fitout', 'walls'], value: [...boat.fitout.walls, wall] },
        { path: ['fitout', 'blocks'], value: [block] },
      ];
      const made = applyEdits(boat, edits);
      if (!made.ok) throw new Error('the schema does not take it');
      const { fitout, sheets, timber, epoxy } = derive(made.project);
      const odd = fitout.value.walls.find(({ id }) => id === 'odd')!;
      const codes = fitout.findings.filter(({ severity }) => severity === 'stop').map(({ code }) => code);
      if (odd.pieces.length === 0) expect(codes.some((code) => code.startsWith('wall'))).toBe(true);
      if (at(fitout.value.blocks, 0).rows.length === 0)
        expect(codes.some((code) => code.startsWith('block'))).toBe(true);
      expect(noFigures(fitout, sheets.value, timber.value, epoxy.value)).toEqual([]);
    },
  );
});
