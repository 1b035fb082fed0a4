/**
 * The engine as the application sees it: `run(job, input)` gives ok, cancelled or failed, and never rejects.
 *
 * Working out has one worker that keeps its memory from edit to edit; while it is busy only the newest project waits.
 * Nesting has a worker of its own, ended when the search is stopped: a search cannot poll while it computes.
 */
import { proxy, wrap, type Remote } from 'comlink';
import { applyChanges, changesBetween, type Changes } from './changes';
import type { JobInput, JobName, JobOutput, JobProgress } from './jobs';
import { unpack } from './packing';
import type { WorkerAnswer, WorkerApi } from './worker';

export type JobResult<T> =
  | { readonly kind: 'ok'; readonly value: T }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'failed'; readonly message: string };

type RunOptions<K extends JobName> = {
  readonly signal?: AbortSignal;
  readonly onProgress?: (progress: JobProgress<K>) => void;
};

const startWorker = (): Worker =>
  new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'kalotrope-engine' });

let main: Remote<WorkerApi> | undefined;
let newest = 0;
let busy: Promise<unknown> = Promise.resolve();
/** The project that the working-out worker has, and its last answer: both ways only what changed since goes across. */
let lastSent: JobInput<'derive'> | undefined;
let lastAnswer: JobOutput<'derive'> | undefined;

async function runDerive(input: JobInput<'derive'>): Promise<JobResult<JobOutput<'derive'>>> {
  const mine = ++newest;
  await busy;
  if (mine !== newest) return { kind: 'cancelled' };
  main ??= wrap<WorkerApi>(startWorker());
  const asked = main.derive(changesBetween(lastSent, input));
  lastSent = input;
  const settled = settle(asked);
  busy = settled;
  const answer = await settled;
  if (answer.kind !== 'ok') return answer;
  // the worker made the changes from it
  lastAnswer = applyChanges(lastAnswer, unpack(answer.value) as Changes) as JobOutput<'derive'>;
  return { kind: 'ok', value: lastAnswer };
}

async function runAlone<K extends JobName>(
  name: K,
  input: JobInput<K>,
  options: RunOptions<K>,
): Promise<JobResult<JobOutput<K>>> {
  const worker = startWorker();
  // the worker runs the job of this name
  const report = (progress: unknown) => options.onProgress?.(progress as JobProgress<K>);
  const stopped = new Promise<JobResult<JobOutput<K>>>((resolve) => {
    options.signal?.addEventListener('abort', () => resolve({ kind: 'cancelled' }), { once: true });
  });
  // the job of this name gives it
  const answer = settle(wrap<WorkerApi>(worker).run(name, input, proxy(report))) as Promise<JobResult<JobOutput<K>>>;
  const result = await Promise.race([answer, stopped]);
  worker.terminate();
  return result;
}

async function settle<T>(asked: Promise<WorkerAnswer<T>>): Promise<JobResult<T>> {
  try {
    return await asked;
  } catch (error) {
    return { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
  }
}

export const engine = {
  run<K extends JobName>(name: K, input: JobInput<K>, options: RunOptions<K> = {}): Promise<JobResult<JobOutput<K>>> {
    // K is 'derive' here
    if (name === 'derive') return runDerive(input as JobInput<'derive'>) as Promise<JobResult<JobOutput<K>>>;
    return runAlone(name, input, options);
  },
};
