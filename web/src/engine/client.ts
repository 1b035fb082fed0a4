/**
 * The engine as the application sees it: `run(job, input)` gives ok, cancelled or failed, and never rejects.
 *
 * Working out has one worker that keeps its memory from edit to edit; while it is busy only the newest project waits,
 * and another project than the one that it is busy with does not: the worker is ended for it. Other jobs have a worker
 * each, ended when the job is stopped: a search cannot poll while it computes. A worker that dies, or does not answer
 * in its time, is ended; the working-out one is started again and asked once more, and that is told.
 */
import { proxy, wrap, type Remote } from 'comlink';
import { applyChanges, changesBetween, type Changes } from './changes';
import type { JobInput, JobName, JobOutput, JobProgress } from './jobs';
import { unpack } from './packing';
import { watched, type Watched } from './watched';
import type { WorkerAnswer, WorkerApi } from './worker';

export type JobResult<T> =
  | { readonly kind: 'ok'; readonly value: T; readonly restarted?: string }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'failed'; readonly message: string };

type RunOptions<K extends JobName> = {
  readonly signal?: AbortSignal;
  readonly onProgress?: (progress: JobProgress<K>) => void;
};

/** The largest hull takes seconds: on a machine twenty times slower, what has not answered by then will not. */
const DERIVE_LIMIT_MS = 90_000;
/** Searches end by their own clock, reading by its limits of size: this is for what goes wrong. */
const ALONE_LIMIT_MS = { take: 20_000, default: 180_000 } as const;

const startWorker = (): Worker =>
  new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'kalotrope-engine' });

/** The worker that works out: the project that it has, and its last answer. Both ways only changes go across. */
type Main = {
  readonly worker: Worker;
  readonly api: Remote<WorkerApi>;
  sent: JobInput<'derive'> | undefined;
  answer: JobOutput<'derive'> | undefined;
  /** Ends it while it is busy. */
  readonly ending: AbortController;
};
let main: Main | undefined;
let newest = 0;
let busy: Promise<unknown> = Promise.resolve();
let busyWith: string | undefined;

function startMain(): Main {
  const worker = startWorker();
  return { worker, api: wrap<WorkerApi>(worker), sent: undefined, answer: undefined, ending: new AbortController() };
}

async function runDerive(input: JobInput<'derive'>): Promise<JobResult<JobOutput<'derive'>>> {
  const mine = ++newest;
  // another project is opened: what is worked out of the last is of no use any more
  if (busyWith !== undefined && busyWith !== input.id) main?.ending.abort();
  await busy;
  if (mine !== newest) return { kind: 'cancelled' };
  busyWith = input.id;
  const working = deriveOrRestart(input);
  busy = working;
  const result = await working;
  busyWith = undefined;
  return result;
}

async function deriveOrRestart(input: JobInput<'derive'>): Promise<JobResult<JobOutput<'derive'>>> {
  const first = await deriveOnce(input);
  if (first.kind === 'stopped') return { kind: 'cancelled' };
  if (first.kind === 'answered') return first.value;
  const second = await deriveOnce(input);
  if (second.kind === 'stopped') return { kind: 'cancelled' };
  if (second.kind === 'lost') return { kind: 'failed', message: `the worker stopped twice: ${second.reason}` };
  return second.value.kind === 'ok' ? { ...second.value, restarted: first.reason } : second.value;
}

/** One question to the working-out worker, started if there is none; lost or stopped, it is gone. */
async function deriveOnce(input: JobInput<'derive'>): Promise<Watched<JobResult<JobOutput<'derive'>>>> {
  main ??= startMain();
  const own = main;
  const asked = settle(own.api.derive(changesBetween(own.sent, input)));
  own.sent = input;
  const answer = await watched(own.worker, asked, { limitMs: DERIVE_LIMIT_MS, signal: own.ending.signal });
  if (answer.kind !== 'answered') {
    main = undefined;
    return answer;
  }
  if (answer.value.kind !== 'ok') return { kind: 'answered', value: answer.value };
  // the worker made the changes from it
  own.answer = applyChanges(own.answer, unpack(answer.value.value) as Changes) as JobOutput<'derive'>;
  return { kind: 'answered', value: { kind: 'ok', value: own.answer } };
}

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
    if (name === 'derive') return runDerive(input as JobInput<'derive'>) as Promise<JobResult<JobOutput<K>>>;
    return runAlone(name, input, options);
  },
};
