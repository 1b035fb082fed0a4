import type { Json, Migration } from './migration';

const WEIGHTS = { ply: 560, timber: 480, fittings: 0, water: 'fresh', loads: [], onPanels: false };

/** A job may be put after another, as the builder likes it: none is at first. The boat is weighed and floated, bare. */
export const from21To22: Migration = (before) => {
  const plan = (before['plan'] ?? {}) as Json;
  const jobs = Array.isArray(plan['jobs']) ? (plan['jobs'] as Json[]) : [];
  return {
    ...before,
    version: 22,
    weights: WEIGHTS,
    plan: { ...plan, jobs: jobs.map((job) => ({ ...job, after: '' })) },
  };
};
