/**
 * Working out, as the page asks for it: one worker that keeps its memory from edit to edit. While it is busy only the
 * newest project waits, and another project than the one that it is busy with does not: the worker is ended for it.
 *
 * Both sides keep the last project and the last result, and only changes go across. Whatever goes wrong on the way (it
 * dies, does not answer, its answer does not fit what the page has) leaves the two apart, so the worker is ended, a new
 * one is asked once more with the whole project, and that is told. It never rejects.
 */
import { applyChanges, changesBetween, type Changes } from './changes';
import type { JobInput, JobOutput, JobResult } from './jobs';
import { unpack, type Packed } from './packing';
import { watched, type Watchable, type Watched } from './watched';
import type { WorkerAnswer } from './worker';

type Input = JobInput<'derive'>;
type Output = JobOutput<'derive'>;

/** A worker, and the way to ask it. */
export type DeriveWorker = {
  readonly worker: Watchable;
  readonly api: { readonly derive: (changes: Changes) => Promise<WorkerAnswer<Packed>> };
};

/** The worker, the project that it has, and its last answer. */
type Main = DeriveWorker & {
  sent: Input | undefined;
  answer: Output | undefined;
  /** Ends it while it is busy. */
  readonly ending: AbortController;
};

/** The largest hull takes seconds: on a machine twenty times slower, what has not answered by then will not. */
const DERIVE_LIMIT_MS = 90_000;

export function createDeriver(
  start: () => DeriveWorker,
  limitMs = DERIVE_LIMIT_MS,
): (input: Input) => Promise<JobResult<Output>> {
  let main: Main | undefined;
  let newest = 0;
  let busy: Promise<unknown> = Promise.resolve();
  let busyWith: string | undefined;

  /** One question to the worker, started if there is none; lost or stopped, it is gone. */
  async function once(input: Input): Promise<Watched<JobResult<Output>>> {
    try {
      main ??= { ...start(), sent: undefined, answer: undefined, ending: new AbortController() };
      const answer = await ask(main, input, limitMs);
      if (answer.kind !== 'answered') main = undefined;
      return answer;
    } catch (error) {
      main?.worker.terminate();
      main = undefined;
      return { kind: 'lost', reason: error instanceof Error ? error.message : String(error) };
    }
  }

  async function orRestart(input: Input): Promise<JobResult<Output>> {
    const first = await once(input);
    if (first.kind === 'stopped') return { kind: 'cancelled' };
    if (first.kind === 'answered') return first.value;
    const second = await once(input);
    if (second.kind === 'stopped') return { kind: 'cancelled' };
    if (second.kind === 'lost') return { kind: 'failed', message: `the worker stopped twice: ${second.reason}` };
    return second.value.kind === 'ok' ? { ...second.value, restarted: first.reason } : second.value;
  }

  return async (input) => {
    const mine = ++newest;
    // another project is opened: what is worked out of the last is of no use any more
    if (busyWith !== undefined && busyWith !== input.id) main?.ending.abort();
    await busy;
    if (mine !== newest) return { kind: 'cancelled' };
    busyWith = input.id;
    const working = orRestart(input);
    busy = working;
    const result = await working;
    if (busy === working) busyWith = undefined;
    return result;
  };
}

/** Throws where the question does not get across, or the answer does not fit what the page has. */
async function ask(main: Main, input: Input, limitMs: number): Promise<Watched<JobResult<Output>>> {
  const question = main.api.derive(changesBetween(main.sent, input));
  main.sent = input;
  const answer = await watched(main.worker, question, { limitMs, signal: main.ending.signal });
  if (answer.kind !== 'answered') return answer;
  if (answer.value.kind !== 'ok') return { kind: 'answered', value: answer.value };
  // the worker made the changes from it
  main.answer = applyChanges(main.answer, unpack(answer.value.value) as Changes) as Output;
  return { kind: 'answered', value: { kind: 'ok', value: main.answer } };
}
