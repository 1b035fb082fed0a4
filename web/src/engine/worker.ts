/**
 * The one worker entry. Working out is told what changed in the project since it was last asked, and answers with what
 * changed in the result; other jobs are run by name. Errors cross as name and message.
 */
import { expose, transfer } from 'comlink';
import { applyChanges, changesBetween, type Changes } from './changes';
import { JOBS, type JobInput, type JobName, type JobOutput } from './jobs';
import { pack, type Packed } from './packing';

export type WorkerAnswer<T> =
  { readonly kind: 'ok'; readonly value: T } | { readonly kind: 'failed'; readonly message: string };

/** The last project and the last result, which the page has too: it asks this worker one thing at a time. */
let lastInput: unknown;
let lastResult: JobOutput<'derive'> | undefined;

const api = {
  derive(input: Changes): WorkerAnswer<Packed> {
    const answered = answer(() => {
      lastInput = applyChanges(lastInput, input);
      // the page made the changes from a project
      const result = JOBS.derive(lastInput as JobInput<'derive'>);
      const packed = pack(changesBetween(lastResult, result));
      lastResult = result;
      return packed;
    });
    return answered.kind === 'ok' ? transfer(answered, [answered.value.figures.buffer]) : answered;
  },
  async run(name: JobName, input: unknown, onProgress: (progress: unknown) => void): Promise<WorkerAnswer<unknown>> {
    // the client's types pair name and input
    const job = JOBS[name] as (input: unknown, onProgress: (progress: unknown) => void) => unknown;
    try {
      return { kind: 'ok', value: await job(input, onProgress) };
    } catch (error) {
      return failure(error);
    }
  },
};

function answer<T>(work: () => T): WorkerAnswer<T> {
  try {
    return { kind: 'ok', value: work() };
  } catch (error) {
    return failure(error);
  }
}

const failure = (error: unknown) =>
  ({
    kind: 'failed',
    message: error instanceof Error ? `${error.name}: ${error.message}` : String(error),
  }) as const;

export type WorkerApi = typeof api;
expose(api);
