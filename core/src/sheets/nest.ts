/**
 * Lays parts out on sheets: real shapes, no overlap, the gap and the margin kept, quantities right.
 *
 * Method: parts are laid down one by one (lay-down.ts), which is valid at once; from there a search that lets parts
 * overlap and separates them again makes the layout shorter (search). Every layout of the search is judged by true
 * distances (check.ts) before it is shown. Repeatable by seed and rounds: a round is one order of laying down, or one
 * sweep of the search.
 */
import { random } from '../geometry';
import { faultsOf } from './check';
import { copiesOf, isFixed, layDown, resultOf } from './lay-down';
import { posesIn } from './laying/poses';
import { isBetter, type NestBudget, type NestResult } from './result';
import type { NestJob } from './schema';
import { search } from './search/search';
import { layoutOf, startOf } from './search-start';
import { stackJob, unstacked } from './stacks';

/** Rounds of laying down before the search begins. */
const ORDERS = 4;
/** Of more pieces every pair is more than the search can weigh: they are laid down in one order after another. */
const MOST_COPIES = 600;

/** Of the pairs alone, before what is no pair is laid: more make their layout no shorter. */
const STACK_ROUNDS = 600;

/** Lays out the job. Never throws on a valid job; what fits nowhere is listed as unplaced. */
export function nest(job: NestJob, budget: NestBudget): NestResult {
  const stack = stackJob(job);
  if (!stack) return layOutFreely(job, budget);
  const { seed, rounds, isOver = () => false, onProgress } = budget;
  const on = (first: number, then: NestBudget) =>
    layOutFreely(unstacked(job, layOutFreely(stack, { seed, isOver, rounds: first })), then);
  // all of it laid down before any of it is looked at longer: time may run out
  const quick = on(1, { seed, isOver, rounds: 1 });
  if (rounds < 4 || isOver()) return quick;
  onProgress?.(quick, 1);
  const first = Math.min(STACK_ROUNDS, Math.ceil(rounds / 2));
  const longer = on(first, { ...budget, rounds: rounds - first });
  return longer.isCut || isBetter(quick, longer) ? quick : longer;
}

function layOutFreely(job: NestJob, budget: NestBudget): NestResult {
  const poses = posesIn(job);
  const isOver = budget.isOver ?? (() => false);
  const orders = copiesOf(job).length > MOST_COPIES ? budget.rounds : Math.min(budget.rounds, ORDERS);
  const first = layDown(job, { ...budget, rounds: orders, poses });
  let best = resultOf(first, job);
  if (copiesOf(job).every((copy) => isFixed(copy, job))) return best;
  if (first.isCut || budget.rounds <= orders || isOver() || best.sheetsUsed === 0) return best;
  const from = startOf(job, { poses, first, seed: budget.seed });
  if (!from) return best;
  let round = orders;
  search({
    ...from,
    isOver,
    next01: random(budget.seed * 7919 + 1),
    onSweep: () => ++round >= budget.rounds,
    onFound: ({ places }) => {
      const made = resultOf(layoutOf(from, places, poses), job);
      if (faultsOf(job, made).length > 0) return false;
      best = made;
      budget.onProgress?.(best, round);
      return true;
    },
  });
  return best;
}
