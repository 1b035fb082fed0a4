/**
 * What changed between two answers of the worker, so that only that crosses to the page, and what did not change keeps
 * its identity there (a panel that is the same object is not drawn again).
 *
 * Method: the chain gives back the same object for what an edit did not touch. Two answers are compared by identity,
 * going into plain objects and lists of equal length down to `DEEPEST`; below that a thing is sent whole.
 */
export type Changes =
  | { readonly kind: 'same' }
  | { readonly kind: 'new'; readonly value: unknown }
  | { readonly kind: 'list'; readonly items: readonly Changes[] }
  | { readonly kind: 'object'; readonly entries: Readonly<Record<string, Changes>> };

/** Deep enough for stage, value, list, item. */
const DEEPEST = 4;

const APART = 'the changes do not fit what they are made to';

type Entries = Readonly<Record<string, unknown>>;
const isList = (value: unknown): value is readonly unknown[] => Array.isArray(value);
const isObject = (value: unknown): value is Entries =>
  typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;

/** What to send to one who has `before` and shall have `after`. */
export function changesBetween(before: unknown, after: unknown, depth = 0): Changes {
  if (Object.is(before, after)) return { kind: 'same' };
  if (depth < DEEPEST && isList(before) && isList(after) && before.length === after.length)
    return { kind: 'list', items: after.map((item, i) => changesBetween(before[i], item, depth + 1)) };
  if (depth < DEEPEST && isObject(before) && isObject(after) && hasSameKeys(before, after)) {
    const entries = Object.keys(after).map((key) => [key, changesBetween(before[key], after[key], depth + 1)] as const);
    return { kind: 'object', entries: Object.fromEntries(entries) };
  }
  return { kind: 'new', value: after };
}

/** `before` with the changes made; what is the same stays the same object. Throws when they were made from another. */
export function applyChanges(before: unknown, changes: Changes): unknown {
  switch (changes.kind) {
    case 'same':
      return before;
    case 'new':
      return changes.value;
    case 'list':
      if (!isList(before) || before.length !== changes.items.length) throw new TypeError(APART);
      return changes.items.map((item, i) => applyChanges(before[i], item));
    case 'object':
      if (!isObject(before) || !hasSameKeys(before, changes.entries)) throw new TypeError(APART);
      return Object.fromEntries(
        Object.entries(changes.entries).map(([key, entry]) => [key, applyChanges(before[key], entry)]),
      );
  }
}

function hasSameKeys(a: Entries, b: Entries): boolean {
  const keys = Object.keys(b);
  return keys.length === Object.keys(a).length && keys.every((key) => key in a);
}
