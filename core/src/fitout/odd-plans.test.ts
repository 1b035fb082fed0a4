/** Walls and blocks of any figures that the schema takes, by a seed: worked out or told of, and always in figures. */
import { describe, expect, it } from 'vitest';
import { at, random } from '../geometry';
import { applyEdits, createDerive, demoProject } from '../project';
import { FILLS, WALL_KINDS, type BlockPlan, type WallLine, type WallPlan } from './schema';
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
      const noFigures: string[] = [];
      JSON.stringify([fitout, sheets.value, timber.value, epoxy.value], (key, value: unknown) => {
        if (typeof value === 'number' && !Number.isFinite(value)) noFigures.push(key);
        return value;
      });
      expect(noFigures).toEqual([]);
    },
  );
});
