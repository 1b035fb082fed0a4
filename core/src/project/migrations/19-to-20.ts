import type { Json, Migration } from './migration';

const EVENING = { from: 19, hours: 2, hands: 1 };
const NO_EVENING = { ...EVENING, hours: 0 };
const PLAN = {
  starts: '',
  week: {
    ...{ mon: NO_EVENING, tue: EVENING, wed: NO_EVENING, thu: EVENING, fri: NO_EVENING },
    sat: { from: 9, hours: 6, hands: 2 },
    sun: { from: 10, hours: 4, hands: 1 },
  },
  ...{ days: [], pace: 1, jobs: [] },
};

/** Hanging knees came, of which an older boat has none; and a plan, which begins with usual hours. */
export const from19To20: Migration = (before) => {
  const fitout = (before['fitout'] ?? {}) as Json;
  return { ...before, version: 20, fitout: { ...fitout, knees: [] }, plan: PLAN };
};
