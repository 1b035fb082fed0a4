import type { Json, Migration } from './migration';

const ACCURACY = { marks: 0.5, rule: 0.5, cut: 0.5, planed: 150, thickness: 0.3, framesOff: 2 };
const RULE_INCHES = 25.4 / 32;

/**
 * How true one marks and cuts, for the gaps that are foretold. The steps of the marking tables stay even: a boat may
 * have been marked out by them.
 */
export const from22To23: Migration = (before) => {
  const isMetric = before['notation'] === 'mm' || before['notation'] === 'm';
  const accuracy = isMetric ? ACCURACY : { ...ACCURACY, rule: RULE_INCHES };
  const panels = (before['panels'] ?? {}) as Json;
  return { ...before, version: 23, panels: { ...panels, markingStray: 0, accuracy } };
};
