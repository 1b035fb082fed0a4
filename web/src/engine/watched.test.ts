import { describe, expect, it, vi } from 'vitest';
import { watched, type Watchable } from './watched';

/** A worker that can be made to fail, and says whether it was ended. */
function fakeWorker() {
  const target = new EventTarget();
  const ended = { count: 0 };
  const worker: Watchable = {
    addEventListener: target.addEventListener.bind(target),
    removeEventListener: target.removeEventListener.bind(target),
    terminate: () => void (ended.count += 1),
  };
  return { worker, ended, fail: (event: Event) => target.dispatchEvent(event) };
}
const never = new Promise<never>(() => undefined);

describe('a question to a worker', () => {
  it('is answered, and the worker goes on', async () => {
    const { worker, ended } = fakeWorker();
    expect(await watched(worker, Promise.resolve(7), { limitMs: 1000 })).toEqual({ kind: 'answered', value: 7 });
    expect(ended.count).toBe(0);
  });
  it.each(['error', 'messageerror'])('is lost when the worker dies (%s): it is ended', async (name) => {
    const { worker, ended, fail } = fakeWorker();
    const asked = watched(worker, never, { limitMs: 1000 });
    fail(Object.assign(new Event(name), { message: 'out of memory' }));
    expect(await asked).toEqual({ kind: 'lost', reason: 'out of memory' });
    expect(ended.count).toBe(1);
  });
  it('is lost when there is no answer in time', async () => {
    vi.useFakeTimers();
    const { worker, ended } = fakeWorker();
    const asked = watched(worker, never, { limitMs: 20_000 });
    await vi.advanceTimersByTimeAsync(20_001);
    vi.useRealTimers();
    expect(await asked).toEqual({ kind: 'lost', reason: 'no answer in 20 s' });
    expect(ended.count).toBe(1);
  });
  it('is stopped when asked to, also before it began', async () => {
    for (const isBefore of [true, false]) {
      const { worker, ended } = fakeWorker();
      const stopping = new AbortController();
      if (isBefore) stopping.abort();
      const asked = watched(worker, never, { limitMs: 1000, signal: stopping.signal });
      stopping.abort();
      expect(await asked).toEqual({ kind: 'stopped' });
      expect(ended.count).toBe(1);
    }
  });
  it('that fails by itself rejects, and leaves the worker alone', async () => {
    const { worker, ended } = fakeWorker();
    await expect(watched(worker, Promise.reject(new Error('no')), { limitMs: 1000 })).rejects.toThrow('no');
    expect(ended.count).toBe(0);
  });
});
