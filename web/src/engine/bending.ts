/**
 * Cards bent one after another in a worker that is kept: of those asked for while it is busy only the newest is bent.
 * A worker that dies or does not answer in its time is ended; the next card starts another.
 */
import { wrap, type Remote } from 'comlink';
import type { Card, CardBent } from '@kalotrope/core/bend';
import type { BendApi } from './bend-worker';
import { watched } from './watched';

type Asked = { readonly card: Card; readonly spans: number };
export type Bending = {
  readonly ask: (asked: Asked) => void;
  readonly end: () => void;
};
export type BendingTold =
  | { readonly kind: 'bent'; readonly asked: Asked; readonly result: CardBent }
  | { readonly kind: 'failed'; readonly asked: Asked; readonly message: string };

/** From nothing a sheet takes a second: on a machine twenty times slower, what has not answered by then will not. */
const LIMIT_MS = 30_000;

export function startBending(onTold: (told: BendingTold) => void): Bending {
  let worker: { readonly thread: Worker; readonly api: Remote<BendApi> } | undefined;
  let next: Asked | undefined;
  let isBusy = false;
  let isOver = false;
  const start = () => {
    const thread = new Worker(new URL('./bend-worker.ts', import.meta.url), { type: 'module', name: 'kalotrope-bend' });
    return { thread, api: wrap<BendApi>(thread) };
  };
  const run = async () => {
    isBusy = true;
    for (let asked = next; asked && !isOver; asked = next) {
      next = undefined;
      worker ??= start();
      const told = await tell(worker, asked);
      if (told.isLost) worker = undefined;
      if (!isOver) onTold(told.told);
    }
    isBusy = false;
  };
  return {
    ask: (asked) => {
      next = asked;
      if (!isBusy) void run();
    },
    end: () => {
      isOver = true;
      next = undefined;
      worker?.thread.terminate();
    },
  };
}

type Told = { readonly told: BendingTold; readonly isLost: boolean };

async function tell(worker: { readonly thread: Worker; readonly api: Remote<BendApi> }, asked: Asked): Promise<Told> {
  const failed = (message: string): BendingTold => ({ kind: 'failed', asked, message });
  try {
    const bent: Promise<CardBent> = worker.api.bend(asked.card, asked.spans);
    const answer = await watched(worker.thread, bent, { limitMs: LIMIT_MS });
    if (answer.kind === 'answered') return { told: { kind: 'bent', asked, result: answer.value }, isLost: false };
    return { told: failed(answer.kind === 'lost' ? answer.reason : 'it was ended'), isLost: true };
  } catch (error) {
    return { told: failed(error instanceof Error ? error.message : String(error)), isLost: false };
  }
}
