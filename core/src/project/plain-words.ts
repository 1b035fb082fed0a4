/**
 * Words of a project as they come in: one line each, without control characters, so that no name can break the lines of
 * a file or a label. Only the builder's note may have several.
 */
import type { Edit } from '../findings';
import { plainText } from '../measure';

const HAS_LINES = 'note';

/** No project is nested deeper; what is will be refused as it is. */
const DEEPEST = 20;

/** All words within a value, names of fields left alone. */
function plainWithin(value: unknown, key: string | undefined, depth: number): unknown {
  if (typeof value === 'string') return key === HAS_LINES ? value : plainText(value);
  if (typeof value !== 'object' || value === null || depth > DEEPEST) return value;
  if (Array.isArray(value)) return value.map((item: unknown) => plainWithin(item, undefined, depth + 1));
  return Object.fromEntries(Object.entries(value).map(([name, inner]) => [name, plainWithin(inner, name, depth + 1)]));
}

/** Of parsed JSON. */
export const withPlainWords = (data: unknown): unknown => plainWithin(data, undefined, 0);

export const plainEdits = (edits: readonly Edit[]): Edit[] =>
  edits.map(({ path, value }) => {
    const last = path[path.length - 1];
    // of the same shape as it was
    return { path, value: plainWithin(value, typeof last === 'string' ? last : undefined, 0) as Edit['value'] };
  });
