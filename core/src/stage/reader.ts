/**
 * A reader over plain data that notes every value taken from it.
 *
 * Method: a proxy that goes down into records to a given depth. What lies at that depth, and every list and plain value
 * above it, is handed out as it is and noted with its path; so the notes are all that the reader's user can have seen.
 * Whether an answer still holds is then a comparison of the noted values with those that stand at the same paths now.
 */
import { isSame } from './same';

/** Notes of which keys a record had: taken when it is spread or listed. */
const KEYS = Symbol('keys');
type Noted = { readonly path: readonly (string | typeof KEYS)[]; readonly value: unknown };

export type Reader<T extends object> = {
  readonly view: T;
  /** Whether `now` has all that was read of the data before. */
  readonly stillHolds: (now: T) => boolean;
};

const readers = new WeakSet<object>();

/** Whether a value is a reader's view: it must not be kept, as what is read of it later is not noted. */
export const isReaderView = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && readers.has(value);

/** @param depths by first key, at which length of a path values are handed out as they are; 1 for a key not named */
export function readerOf<T extends object>(data: T, depths: Readonly<Record<string, number>>): Reader<T> {
  const notes: Noted[] = [];
  const view = viewOf(data, [], { notes, depths });
  return { view, stillHolds: (now) => notes.every(({ path, value }) => isSame(valueAt(now, path), value)) };
}

type Noting = { readonly notes: Noted[]; readonly depths: Readonly<Record<string, number>> };

function viewOf<T extends object>(data: T, path: readonly string[], noting: Noting): T {
  // over a copy: a proxy of a frozen record may not hand out views in place of its own values
  const view = new Proxy(
    { ...data },
    {
      get(target, key) {
        const value: unknown = Reflect.get(target, key);
        if (typeof key !== 'string') return value;
        const here = [...path, key];
        const depth = noting.depths[here[0] ?? key] ?? 1;
        if (here.length < depth && isRecord(value)) return viewOf(value, here, noting);
        noting.notes.push({ path: here, value });
        return value;
      },
      ownKeys(target) {
        noting.notes.push({ path: [...path, KEYS], value: Object.keys(target) });
        return Reflect.ownKeys(target);
      },
      has(target, key) {
        noting.notes.push({ path: [...path, KEYS], value: Object.keys(target) });
        return Reflect.has(target, key);
      },
    },
  );
  readers.add(view);
  return view;
}

function valueAt(data: unknown, path: Noted['path']): unknown {
  return path.reduce<unknown>((node, key) => {
    if (typeof node !== 'object' || node === null) return undefined;
    // an object: checked above
    return key === KEYS ? Object.keys(node) : (node as Readonly<Record<string, unknown>>)[key];
  }, data);
}

const isRecord = (value: unknown): value is object =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
