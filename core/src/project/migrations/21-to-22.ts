import type { Json, Migration } from './migration';

/** A job may be put after another, as the builder likes it: none is at first. */
export const from21To22: Migration = (before) => {
  const plan = (before['plan'] ?? {}) as Json;
  const jobs = Array.isArray(plan['jobs']) ? (plan['jobs'] as Json[]) : [];
  return { ...before, version: 22, plan: { ...plan, jobs: jobs.map((job) => ({ ...job, after: '' })) } };
};
