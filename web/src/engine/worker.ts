/** The one worker entry: runs a job by name. Errors cross as name and message. */
import { expose } from 'comlink';
import { JOBS, type JobName } from './jobs';

export type WorkerAnswer =
  { readonly kind: 'ok'; readonly value: unknown } | { readonly kind: 'failed'; readonly message: string };

const api = {
  run(name: JobName, input: unknown, onProgress: (progress: unknown) => void): WorkerAnswer {
    try {
      const job = JOBS[name] as (input: unknown, onProgress: (progress: unknown) => void) => unknown; // the client's types pair name and input
      return { kind: 'ok', value: job(input, onProgress) };
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
