/**
 * The engine as the application sees it: `run(job, input)` gives ok, cancelled or failed, and never rejects.
 *
 * Working out has one worker that keeps its memory from edit to edit; while it is busy only the newest project waits,
 * and another project than the one that it is busy with does not: the worker is ended for it. Other jobs have a worker
 * each, ended when the job is stopped: a search cannot poll while it computes. A worker that dies, or does not answer
 * in its time, is ended; the working-out one is started again and asked once more, and that is told.
 */
import { proxy, wrap } from 'comlink';
import { createDeriver } from './deriver';
import type { JobInput, JobName, JobOutput, JobProgress, JobResult } from './jobs';
import { watched } from './watched';
import type { WorkerAnswer, WorkerApi } from './worker';

type RunOptions<K extends JobName> = {
  readonly signal?: AbortSignal;
  readonly onProgress?: (progress: JobProgress<K>) => void;
};

/** Searches end by their own clock, reading by its limits of size: this is for what goes wrong. */
const ALONE_LIMIT_MS = { take: 20_000, default: 180_000 } as const;

const startWorker = (): Worker =>
  new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'kalotrope-engine' });

const deriver = createDeriver(() => {
  const worker = startWorker();
  return { worker, api: wrap<WorkerApi>(worker) };
});

async function runAlone<K extends JobName>(
  name: K,
  input: JobInput<K>,
  { signal, onProgress }: RunOptions<K>,
): Promise<JobResult<JobOutput<K>>> {
  const worker = startWorker();
  // the worker runs the job of this name
  const report = (progress: unknown) => onProgress?.(progress as JobProgress<K>);
  // the job of this name gives it
  const asked = settle(wrap<WorkerApi>(worker).run(name, input, proxy(report))) as Promise<JobResult<JobOutput<K>>>;
  const limitMs = name === 'take' ? ALONE_LIMIT_MS.take : ALONE_LIMIT_MS.default;
  const answer = await watched(worker, asked, { limitMs, signal });
  worker.terminate();
  if (answer.kind === 'answered') return answer.value;
  return answer.kind === 'stopped' ? { kind: 'cancelled' } : { kind: 'failed', message: answer.reason };
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
    if (name === 'derive') return deriver(input as JobInput<'derive'>) as Promise<JobResult<JobOutput<K>>>;
    return runAlone(name, input, options);
  },
};
