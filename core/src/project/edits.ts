/**
 * Edits: one value of the document put in place of another, by path. A list of things with ids is entered by id, so
 * that an edit still means the same after something was added before it.
 */
import type { Edit } from '../findings';
import { projectSchema, type Project } from './document';

export type EditResult =
  { readonly ok: true; readonly project: Project } | { readonly ok: false; readonly reason: string };

/** The project with the edits made, or why not; the input is left alone. */
export function applyEdits(project: Project, edits: readonly Edit[]): EditResult {
  let next: unknown = project;
  for (const edit of edits) {
    const changed = setAt(next, edit.path, edit.value);
    if (changed === undefined) return { ok: false, reason: `There is no ${edit.path.join('.')} in this project` };
    next = changed;
  }
  const parsed = projectSchema.safeParse(next);
  const unknown = parsed.success ? edits.find((edit) => !resolvePath(parsed.data, edit.path, true)) : undefined;
  if (unknown) return { ok: false, reason: `There is no ${unknown.path.join('.')} in this project` };
  // just checked; kept as is, so that what did not change stays the same object
  if (parsed.success) return { ok: true, project: next as Project };
  const issue = parsed.error.issues[0];
  return { ok: false, reason: `${issue?.path.join('.') ?? 'project'}: ${issue?.message ?? 'not valid'}` };
}

/** The path with ids turned into indices, as patches want it, and the value now there; undefined when there is none.
 * `isWhole`: also the last step must be there. */
export function resolvePath(
  project: Project,
  path: Edit['path'],
  isWhole = false,
): { readonly path: (string | number)[]; readonly value: unknown } | undefined {
  let node: unknown = project;
  const resolved: (string | number)[] = [];
  for (const key of path) {
    const index =
      Array.isArray(node) && typeof key === 'string'
        ? node.findIndex((item) => isRecord(item) && item['id'] === key)
        : key;
    if (typeof node !== 'object' || node === null) return undefined;
    // what can be left out may be missing at the end of the path, but not on the way
    if (!(index in node) && (isWhole || Array.isArray(node) || resolved.length < path.length - 1)) return undefined;
    resolved.push(index);
    node = (node as Readonly<Record<string | number, unknown>>)[index]; // an object that has it: checked above
  }
  return { path: resolved, value: node };
}

function setAt(node: unknown, path: Edit['path'], value: Edit['value']): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(node)) {
    const list = node as readonly unknown[];
    const index = typeof key === 'number' ? key : list.findIndex((item) => isRecord(item) && item['id'] === key);
    if (!(index in list)) return undefined;
    const changed = setAt(list[index], rest, value);
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
