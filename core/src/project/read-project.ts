/** Reads a saved project of any version: brings it up to the present one, a step at a time, and checks it. */
import { PROJECT_FORMAT, PROJECT_VERSION, projectSchema, type Project } from './document';
import { MIGRATIONS } from './migrations/index';
import type { Json } from './migrations/migration';
import { wordsAt } from './edits';
import { withPlainWords } from './plain-words';

export type ReadProject =
  | { readonly ok: true; readonly project: Project; readonly fromVersion: number }
  | { readonly ok: false; readonly problems: readonly string[] };

/** Any parsed JSON into a valid project, or all that is wrong with it. Never throws. */
export function readProject(data: unknown): ReadProject {
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return {
      ok: false,
      problems: ['This is not a Kalotrope project: expected an object with "format" and "version".'],
    };
  const raw = data as Json; // a non-null object: checked above
  if (raw['format'] !== PROJECT_FORMAT)
    return {
      ok: false,
      problems: [`This is not a Kalotrope project: "format" is ${show(raw['format'])}, expected "${PROJECT_FORMAT}".`],
    };
  const version = raw['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return {
      ok: false,
      problems: [`"version" is ${show(version)}; expected a whole number from 1 to ${PROJECT_VERSION}.`],
    };
  if (version > PROJECT_VERSION)
    return {
      ok: false,
      problems: [
        `This project was saved by a later Kalotrope (version ${version}; this one reads up to ${PROJECT_VERSION}).`,
      ],
    };
  if (isLargerThan(data, MOST_PARTS))
    return { ok: false, problems: [`This project has over ${MOST_PARTS} figures and words; no boat has.`] };
  const migrated = MIGRATIONS.slice(version - 1).reduce((json, step) => step(json), raw);
  const parsed = projectSchema.safeParse(withPlainWords(migrated));
  if (parsed.success) {
    const twice = idsTwice(parsed.data);
    if (twice.length > 0) return { ok: false, problems: twice };
    return { ok: true, project: parsed.data, fromVersion: version };
  }
  return {
    ok: false,
    problems: parsed.error.issues.slice(0, 20).map(({ path }) => {
      const [place, words] = [path.join('.') || 'project', wordsAt(migrated, path).sentence];
      return words.startsWith(place) ? words : `${place}: ${words}`;
    }),
  };
}

/** Things of one list with one id: an edit of the one would be one of the other. */
function idsTwice(data: unknown, place = ''): string[] {
  if (typeof data !== 'object' || data === null) return [];
  const entries = Object.entries(data);
  if (!Array.isArray(data))
    return entries.flatMap(([key, inner]) => idsTwice(inner, place === '' ? key : `${place}.${key}`));
  const ids = data.flatMap((item: unknown) =>
    typeof item === 'object' && item !== null && 'id' in item && typeof item.id === 'string' ? [item.id] : [],
  );
  const twice = [...new Set(ids.filter((id, i) => ids.indexOf(id) !== i))];
  return [
    ...twice.map((id) => `${place}: the id "${id.slice(0, 60)}" is there twice; expected each once`),
    ...entries.flatMap(([, inner]) => idsTwice(inner, place)),
  ];
}

/** Ten boats of the largest table that is read. */
const MOST_PARTS = 300_000;

/** Whether parsed JSON has more parts than this; looked at without going deeper than it is. */
function isLargerThan(data: unknown, most: number): boolean {
  const left: unknown[] = [data];
  let count = 0;
  while (left.length > 0) {
    count += 1;
    if (count + left.length > most) return true;
    const next = left.pop();
    if (typeof next === 'object' && next !== null) for (const inner of Object.values(next)) left.push(inner);
  }
  return false;
}

function show(value: unknown): string {
  return value === undefined ? 'missing' : (JSON.stringify(value) ?? 'not readable').slice(0, 40);
}
