/** Revisions of a boat that were kept: only added to; an older one is read as any older project is. */
import { readProject, type Project } from '@kalotrope/core/project';
import { db, type KeptRevision } from './database';

export type { KeptRevision } from './database';

type Given = Pick<KeptRevision, 'name' | 'note' | 'keptAt'>;

/** Resolves when it is on the disk. */
export async function keepRevision(doc: Project, given: Given): Promise<void> {
  await db.revisions.add({ ...given, project: doc.id, doc });
}

/** The last kept first. */
export async function revisionsOf(project: string): Promise<KeptRevision[]> {
  return (await db.revisions.where('project').equals(project).sortBy('key')).reverse();
}

/** The boat of one, brought up to the present version; undefined where it cannot be read. */
export function docOf({ doc }: KeptRevision): Project | undefined {
  const read = readProject(doc);
  return read.ok ? read.project : undefined;
}
