/**
 * Saves what changes: at once, then again as soon as the last save is answered and a moment has passed, so that there
 * is never more than one under way and nothing waits for a pause in the editing.
 *
 * The saver alone knows how often the open project was saved. What the store refuses is tried again, less and less
 * often. It knows neither the store nor the database: both are given to it.
 */
import type { KnownSaves, Saved, ToSave } from '../storage/projects';

/** A project as it stands, and the document version that it is. */
export type Standing = ToSave & { readonly version: number };

export type SaverNeeds = {
  readonly save: (what: ToSave, known: KnownSaves) => Promise<Saved>;
  /** Told of each answer, with the version that was saved. */
  readonly onSaved: (answer: Saved & { readonly id: string; readonly version: number }) => void;
  readonly wait: (ms: number) => Promise<void>;
};

/** Between the answer to one save and the next: a drag makes sixty edits a second. */
const REST_MS = 150;
const FIRST_RETRY_MS = 1000;
const LAST_RETRY_MS = 15_000;

export function createSaver({ save, onSaved, wait }: SaverNeeds) {
  const known = new Map<string, KnownSaves>();
  /** The newest of each project that is still to be saved: but for a moment one, the open project's. */
  const waiting = new Map<string, Standing>();
  /** What the store has refused, until it takes it or something newer is there to be saved. */
  const refused = new Map<string, Standing>();
  let running: Promise<void> | undefined;
  let retryMs = FIRST_RETRY_MS;

  const start = () => {
    running ??= run().finally(() => {
      running = undefined;
    });
  };

  async function run(): Promise<void> {
    for (let entry = firstOf(waiting); entry; entry = firstOf(waiting)) {
      const [id, now] = entry;
      waiting.delete(id);
      const answer = await save(now, known.get(id) ?? null);
      if (answer.saveState === 'saved') {
        known.set(id, answer.saves);
        retryMs = FIRST_RETRY_MS;
      }
      refused.delete(id);
      if (answer.saveState === 'failed' && !waiting.has(id)) tryAgain(id, now);
      onSaved({ ...answer, id, version: now.version });
      if (waiting.size > 0) await wait(REST_MS);
    }
  }

  function tryAgain(id: string, last: Standing): void {
    const ms = retryMs;
    retryMs = Math.min(2 * retryMs, LAST_RETRY_MS);
    refused.set(id, last);
    void wait(ms).then(() => {
      // an older one must not be written over what was saved meanwhile
      if (refused.get(id) !== last) return;
      waiting.set(id, last);
      start();
    });
  }

  return {
    /** A project is open: `saves` as it was loaded, null if it was never stored. */
    open: (id: string, saves: KnownSaves) => {
      known.set(id, saves);
    },
    /** The open project has changed. */
    change: (standing: Standing) => {
      refused.delete(standing.project.id);
      waiting.set(standing.project.id, standing);
      start();
    },
    /** When all that changed has been answered for once. */
    settled: (): Promise<void> => running ?? Promise.resolve(),
    /** How often this window knows a project to have been saved. */
    savesOf: (id: string): KnownSaves => known.get(id) ?? null,
  };
}

const firstOf = <K, V>(map: ReadonlyMap<K, V>): readonly [K, V] | undefined => [...map][0];
