/**
 * A second search on another core, while this one searches: a worker that runs this same bundle and puts its result
 * where both can read it, as this core does not look up from its own search.
 */
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { isMainThread, Worker, workerData } from 'node:worker_threads';
import { nest, type NestJob, type NestResult } from '@kalotrope/core/sheets';

export type Beside = { readonly job: NestJob; readonly seed: number; readonly endsAt: number };

type Given = Beside & { readonly state: Int32Array; readonly bytes: Uint8Array };

/** Longer than any result of a job that can be read. */
const BYTES = 8_000_000;
/** For what the worker has to do after its search has ended, ms. */
const GRACE_MS = 250;
const ENDLESS = 1e9;

/** Starts it; the function that is given back has its result, or nothing where there is no second core or bundle. */
export function startBeside(input: Beside): () => NestResult | undefined {
  const bundle = join(dirname(process.argv[1] ?? ''), '../cli/dist/kalo.cjs');
  if (!existsSync(bundle)) return () => undefined;
  const state = new Int32Array(new SharedArrayBuffer(8));
  const bytes = new Uint8Array(new SharedArrayBuffer(BYTES));
  const given: Given = { ...input, state, bytes };
  const worker = new Worker(bundle, { workerData: given });
  worker.on('error', () => undefined); // this core's own result stands
  worker.unref();
  return () => {
    Atomics.wait(state, 0, 0, Math.max(0, input.endsAt + GRACE_MS - Date.now()));
    const isDone = Atomics.load(state, 0) === 1;
    void worker.terminate();
    // of its own making
    return isDone ? (JSON.parse(new TextDecoder().decode(bytes.slice(0, state[1]))) as NestResult) : undefined;
  };
}

/** In the worker: searches, and says so. True where this is one. */
export function searchedBeside(): boolean {
  if (isMainThread) return false;
  const { job, seed, endsAt, state, bytes } = workerData as Given; // from startBeside
  const result = nest(job, { seed, rounds: ENDLESS, isOver: () => Date.now() > endsAt });
  const text = new TextEncoder().encode(JSON.stringify(result));
  if (text.length <= bytes.length) {
    bytes.set(text);
    state[1] = text.length;
    Atomics.store(state, 0, 1);
  }
  Atomics.notify(state, 0);
  return true;
}
