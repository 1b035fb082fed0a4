/**
 * Edits: one value of the document put in place of another, by path. A list of things with ids is entered by id, so
 * that an edit still means the same after something was added before it.
 *
 * Cost: what an edit touches. The schema is followed along the edit's path, and only the value put there is checked.
 */
import { z } from 'zod';
import type { Edit } from '../findings';
import { NOTATIONS, type Notation } from '../measure';
import { refusalWords, unwrapped, type Refusal } from '../stage';
import { CHAIN, projectSchema, type Project } from './document';

export type EditResult = { readonly ok: true; readonly project: Project } | EditRefused;

/** `expected`: what would be taken in place of a value. */
type EditRefused = { readonly ok: false; readonly reason: string; readonly expected?: string };

/** The project with the edits made, or why not; the input is left alone. */
export function applyEdits(project: Project, edits: readonly Edit[]): EditResult {
  let next: unknown = project;
  for (const edit of edits) {
    const changed = setAt(next, edit.path, edit.value);
    if (changed === undefined) return missing(edit.path);
    next = changed;
  }
  for (const { path } of edits) {
    const fault = faultAt(next, path);
    if (fault) return fault;
  }
  return { ok: true, project: next as Project }; // what was put in was checked above; the rest was a project before
}

/** The edits made, and after them those by which the stages keep together what belongs together. */
export function followEdits(
  project: Project,
  edits: readonly Edit[],
): EditResult & { readonly edits: readonly Edit[] } {
  const made = applyEdits(project, edits);
  if (!made.ok) return { ...made, edits };
  const more = CHAIN.flatMap(({ name, follow }) => {
    // its own part, by its name
    const [before, after] = [project[name], made.project[name]] as unknown as readonly [never, never];
    return follow && before !== after ? follow({ before, after, edits }) : [];
  });
  if (more.length === 0) return { ...made, edits };
  return { ...applyEdits(made.project, more), edits: [...edits, ...more] };
}

const missing = (path: Edit['path']): EditResult => ({
  ok: false,
  reason: `There is no ${path.join('.')} in this project`,
});

/** What is wrong with the value at a path, by the schema of just that value; undefined where nothing is. */
function faultAt(project: unknown, path: Edit['path']): EditResult | undefined {
  let schema: z.ZodType = projectSchema;
  let node: unknown = project;
  let depth = 0;
  for (; depth < path.length; depth++) {
    const inner = schemaAt(schema, path[depth]!); // bounded by the loop
    if (inner === 'none') return missing(path);
    if (inner === 'whole') break;
    schema = inner;
    node = childOf(node, path[depth]!);
  }
  const read = schema.safeParse(node);
  if (read.success) return undefined;
  const at = [...path.slice(0, depth), ...(read.error.issues[0]?.path ?? [])];
  const { sentence, expected } = wordsAt(project, at);
  return { ok: false, reason: sentence, expected };
}

/** Why an edit's value would be refused, in the builder's words and unit; undefined where it is taken. */
export function refusalOf(project: Project, edit: Edit): Refusal | undefined {
  const result = applyEdits(project, [edit]);
  return result.ok ? undefined : { sentence: result.reason, expected: result.expected ?? 'another value' };
}

/** What is wrong with the value at a path of a document that is no project, in words. */
export function wordsAt(document: unknown, path: readonly PropertyKey[]): Refusal {
  let schema: z.ZodType = projectSchema;
  let node: unknown = document;
  for (const key of path) {
    const inner = schemaAt(schema, key as string | number); // zod's paths have no symbols
    if (inner === 'none' || inner === 'whole') break;
    schema = inner;
    node = childOf(node, key as string | number);
  }
  const place = path.join('.') || 'The project';
  return refusalWords(schema, node, { place, notation: notationOf(document) });
}

function notationOf(document: unknown): Notation {
  const said = isRecord(document) ? document['notation'] : undefined;
  return NOTATIONS.find((notation) => notation === said) ?? 'mm';
}

/**
 * The schema of what lies under a key: 'none' where the schema has no such key, 'whole' where the value can only be
 * checked as a whole.
 */
function schemaAt(schema: z.ZodType, key: string | number): z.ZodType | 'none' | 'whole' {
  const plain = unwrapped(schema);
  if (plain instanceof z.ZodArray) return plain.element as z.ZodType; // zod's core type of the same schema
  if (!(plain instanceof z.ZodObject)) return 'whole';
  if ((plain.def.checks?.length ?? 0) > 0) return 'whole'; // a rule about several fields together
  const shape = plain.shape as Readonly<Record<string, z.ZodType>>;
  return Object.hasOwn(shape, key) ? shape[key]! : 'none'; // its own: just asked
}

/** The path with ids turned into indices, as patches want it, and the value now there; undefined when there is none. */
export function resolvePath(
  project: Project,
  path: Edit['path'],
): { readonly path: (string | number)[]; readonly value: unknown } | undefined {
  let node: unknown = project;
  const resolved: (string | number)[] = [];
  for (const key of path) {
    if (typeof node !== 'object' || node === null) return undefined;
    const step = stepOf(node, key);
    // what can be left out may be missing at the end of the path, but not on the way
    if (!(step in node) && (Array.isArray(node) || resolved.length < path.length - 1)) return undefined;
    resolved.push(step);
    node = childOf(node, key);
  }
  return { path: resolved, value: node };
}

/** A list is entered by the id of what is in it, or by its place. */
const stepOf = (node: object, key: string | number): string | number =>
  Array.isArray(node) && typeof key === 'string' ? node.findIndex((item) => isRecord(item) && item['id'] === key) : key;

function childOf(node: unknown, key: string | number): unknown {
  if (typeof node !== 'object' || node === null) return undefined;
  return (node as Readonly<Record<string | number, unknown>>)[stepOf(node, key)]; // an object: checked above
}

function setAt(node: unknown, path: Edit['path'], value: Edit['value']): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(node)) {
    const list = node as readonly unknown[];
    const index = stepOf(list, key);
    if (!(index in list)) return undefined;
    const changed = setAt(list[Number(index)], rest, value);
    return changed === undefined ? undefined : list.map((item, i) => (i === index ? changed : item));
  }
  if (!isRecord(node) || typeof key !== 'string') return undefined;
  // it may be one of the things that can be left out: the schema tells
  if (rest.length === 0) return { ...node, [key]: value };
  if (!(key in node)) return undefined;
  const changed = setAt(node[key], rest, value);
  return changed === undefined ? undefined : { ...node, [key]: changed };
}

const isRecord = (node: unknown): node is Readonly<Record<string, unknown>> =>
  typeof node === 'object' && node !== null && !Array.isArray(node);
