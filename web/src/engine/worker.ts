/**
 * The one worker entry: runs a job by name. Errors cross as name and message, results as what changed since the last.
 */
import { expose } from 'comlink';
import { changesBetween, type Changes } from './changes';
import { JOBS, type JobName } from './jobs';

export type WorkerAnswer =
  { readonly kind: 'ok'; readonly changes: Changes } | { readonly kind: 'failed'; readonly message: string };

/** The last result of each job, which the page has too: it asks this worker one thing at a time. */
const last = new Map<JobName, unknown>();

const api = {
  run(name: JobName, input: unknown, onProgress: (progress: unknown) => void): WorkerAnswer {
    try {
      // the client's types pair name and input
      const job = JOBS[name] as (input: unknown, onProgress: (progress: unknown) => void) => unknown;
      const value = job(input, onProgress);
      const changes = changesBetween(last.get(name), value);
      last.set(name, value);
      return { kind: 'ok', changes };
    } catch (error) {
      return {
        kind: 'failed',
        message: error instanceof Error ? `${error.name}: ${error.message}` : String(error),
      };
    }
  },
};

export type WorkerApi = typeof api;
expose(api);
