import type { Json, Migration } from './migration';

const RATES = {
  plywood: 1,
  framework: 1,
  'setting up': 1,
  hull: 1,
  outside: 1,
  inside: 1,
  finish: 1,
};

/** A log came, with a budget; and rates of one's own for each kind of work, which begin as the usual ones. */
export const from20To21: Migration = (before) => {
  const plan = (before['plan'] ?? {}) as Json;
  return { ...before, version: 21, plan: { ...plan, rates: RATES }, log: { budget: 0 } };
};
