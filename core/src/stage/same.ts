/**
 * Whether two plain values are the same by content.
 *
 * Things that are one object are not looked into, so that what an edit did not touch costs nothing; lists, records and
 * typed arrays are gone through to the first difference.
 */

export function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (isRow(a) || isRow(b)) return isRow(a) && isRow(b) && isSameRow(a, b);
  const [own, other] = [a as Entries, b as Entries]; // objects that are no lists: checked above
  const keys = Object.keys(own);
  if (keys.length !== Object.keys(other).length) return false;
  return keys.every((key) => Object.hasOwn(other, key) && isSame(own[key], other[key]));
}

type Entries = Readonly<Record<string, unknown>>;

const isRow = (value: object): value is ArrayLike<unknown> => Array.isArray(value) || ArrayBuffer.isView(value);

function isSameRow(a: ArrayLike<unknown>, b: ArrayLike<unknown>): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (!isSame(a[i], b[i])) return false;
  return true;
}
