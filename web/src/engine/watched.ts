/**
 * A question to a worker, with an eye on the worker: it may die, or never answer. Whoever asks gets an answer in any
 * case, and the worker that failed is not asked again.
 */

/** As much of a worker as is watched. */
export type Watchable = Pick<Worker, 'addEventListener' | 'removeEventListener' | 'terminate'>;

export type Watched<T> =
  | { readonly kind: 'answered'; readonly value: T }
  /** It is ended; `reason` in words. */
  | { readonly kind: 'lost'; readonly reason: string }
  | { readonly kind: 'stopped' };

type Watching = {
  readonly limitMs: number;
  /** Ends the worker when it is aborted. */
  readonly signal?: AbortSignal | undefined;
};

/** Never rejects, but where the question itself does. */
export function watched<T>(worker: Watchable, asked: Promise<T>, { limitMs, signal }: Watching): Promise<Watched<T>> {
  return new Promise((resolve, reject) => {
    const end = (answer: Watched<T> | undefined, error?: unknown) => {
      clearTimeout(timer);
      worker.removeEventListener('error', onError);
      worker.removeEventListener('messageerror', onError);
      signal?.removeEventListener('abort', onStop);
      if (answer && answer.kind !== 'answered') worker.terminate();
      if (answer) resolve(answer);
      else reject(error instanceof Error ? error : new Error(String(error)));
    };
    const onError = (event: Event) => {
      const said = 'message' in event && typeof event.message === 'string' ? event.message : '';
      end({ kind: 'lost', reason: said === '' ? 'the worker ended' : said });
    };
    const onStop = () => end({ kind: 'stopped' });
    const seconds = Math.round(limitMs / 1000);
    const timer = setTimeout(() => end({ kind: 'lost', reason: `no answer in ${seconds} s` }), limitMs);
    worker.addEventListener('error', onError);
    worker.addEventListener('messageerror', onError);
    signal?.addEventListener('abort', onStop, { once: true });
    if (signal?.aborted) onStop();
    asked.then(
      (value) => end({ kind: 'answered', value }),
      (error: unknown) => end(undefined, error),
    );
  });
}
