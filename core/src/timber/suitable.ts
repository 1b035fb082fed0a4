/** What is looked for in timber, by what it is to do: grain, rings, knots. House rules; the wood in hand decides. */
import { GRAIN_BENT, GRAIN_STRAIGHT } from './constants';
import type { TimberRun } from './runs';

const USES = ['bent', 'layers', 'frame', 'straight'] as const;
export type TimberUse = (typeof USES)[number];

/** A member that is bent has a place where no scarf may be: its hardest bend. */
export function useOfTimber({ layers, clear, member, own }: TimberRun): TimberUse {
  if (layers) return 'layers';
  if (clear.length > 0) return 'bent';
  return member === undefined && own === undefined ? 'frame' : 'straight';
}

export const USE_NAMES: Readonly<Record<TimberUse, string>> = {
  bent: 'bent into the boat',
  layers: 'glued up of layers',
  frame: 'sawn for frames',
  straight: 'straight, or nearly',
};

const CHOOSING: Readonly<Record<TimberUse, readonly string[]>> = {
  bent: [
    `grain that runs out no steeper than 1 : ${GRAIN_BENT.value}`,
    'growth rings flat to the bend',
    'no knot near the hardest bend',
  ],
  layers: [
    `grain that runs out no steeper than 1 : ${GRAIN_BENT.value}, strip by strip`,
    'small knots apart from layer to layer',
    'all strips of one board, in the order in which they were sawn',
  ],
  frame: [
    `grain along each timber, running out no steeper than 1 : ${GRAIN_STRAIGHT.value}`,
    'not the centre of the tree: it splits',
    'no knot where it is joined or screwed',
  ],
  straight: [
    `grain that runs out no steeper than 1 : ${GRAIN_STRAIGHT.value}`,
    'knots small, sound, and away from the edges',
  ],
};

/** Of the uses that a boat has, in their order. */
export const usesOf = (runs: readonly TimberRun[]): readonly TimberUse[] => {
  const used = new Set(runs.map(useOfTimber));
  return USES.filter((use) => used.has(use));
};

export const choosingFor = (use: TimberUse): readonly string[] => CHOOSING[use];
