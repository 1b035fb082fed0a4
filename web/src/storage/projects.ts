/** Projects in the browser's own database. Every save is one transaction. */
import { DEMO_IDS, demoProject, demoRecords, readProject, type Project } from '@kalotrope/core/project';
import { db, type Deletion, type History, type ProjectRecord } from './database';
import { forgetJournal, goesOnFrom, readJournal } from './journal';
import { dayOf } from './day';
import { addRecords } from './log';
import { tellOthers, WINDOW_ID } from './windows';

export type { Deletion, ProjectRecord } from './database';

export type SaveState = 'saved' | 'failed' | 'elsewhere' | 'deleted';
export type Saved = { readonly saves: number; readonly saveState: SaveState; readonly reason?: string };

/** What a window knows of the stored project: how often it was saved; null where it was never stored. */
export type KnownSaves = number | null;

export type ToSave = { readonly project: Project } & Pick<History, 'past' | 'future'>;

/** Saves unless another window has saved since, or has deleted it: then nothing is written. Never rejects. */
export async function saveProject({ project, past, future }: ToSave, known: KnownSaves): Promise<Saved> {
  const own = known ?? 0;
  try {
    const saved = await db.transaction('rw', db.projects, db.histories, async (): Promise<Saved> => {
      const stored = await db.projects.get(project.id);
      if (!stored && known !== null) return { saves: own, saveState: 'deleted' };
      // a save of this window's that was slow to be answered is no other's
      if (stored && stored.saves !== own && stored.writer !== WINDOW_ID) return { saves: own, saveState: 'elsewhere' };
      const saves = Math.max(own, stored?.saves ?? 0) + 1;
      const open = stored?.open;
      await db.projects.put({
        ...recordOf(project, saves),
        ...(open === undefined ? {} : { open }),
        writer: WINDOW_ID,
      });
      await db.histories.put({ id: project.id, saves, past, future });
      return { saves, saveState: 'saved' };
    });
    if (saved.saveState === 'saved') tellOthers({ kind: 'saved', id: project.id, saves: saved.saves });
    return saved;
  } catch (error) {
    return { saves: own, saveState: 'failed', reason: reasonOf(error) };
  }
}

/** Of a refusal of the store's its first line: those after it say it again. */
export function reasonOf(error: unknown): string {
  const said = error instanceof Error && error.message !== '' ? error.message : String(error);
  return said.slice(0, Math.max(0, said.indexOf('\n')) || said.length);
}

const recordOf = (project: Project, saves: number): ProjectRecord => ({
  ...{ id: project.id, name: project.name, updatedAt: Date.now(), saves },
  doc: project,
});

/** How the project stands, for the list of projects; no save, and of no account where the store refuses it. */
export async function noteOpen(id: string, open: number): Promise<void> {
  await db.projects.update(id, { open }).catch(() => undefined);
}

export async function addProject(project: Project): Promise<void> {
  await db.projects.put(recordOf(project, 0));
}

/** `saves` null: the store does not have it. `isUnsaved`: something of it is still to be saved. */
export type Loaded = { readonly project: Project; readonly saves: KnownSaves; readonly isUnsaved: boolean } & Pick<
  History,
  'past' | 'future'
>;

/**
 * The stored project, brought up to the present version, with what can be undone of it; or, where a page was left
 * before it could be saved, as it was then.
 */
export async function loadProject(id: string): Promise<Loaded | { reason: string }> {
  const [record, history] = await db.transaction('r', db.projects, db.histories, () =>
    Promise.all([db.projects.get(id), db.histories.get(id)]),
  );
  const left = leftUnsaved(id, record);
  if (left) return { ...left, saves: record?.saves ?? null, isUnsaved: true };
  if (!record) return { reason: 'This project is not in this browser.' };
  const read = readProject(record.doc);
  if (!read.ok) return { reason: read.problems[0] ?? 'This project cannot be read.' };
  // of another save, or of a document that was of another shape, nothing can be undone
  const isOfThis = history?.saves === record.saves && read.fromVersion === read.project.version;
  const { past, future } = isOfThis && history ? history : { past: [], future: [] };
  return { project: read.project, saves: record.saves, isUnsaved: false, past, future };
}

type Left = { readonly project: Project } & Pick<History, 'past' | 'future'>;

function leftUnsaved(id: string, record: ProjectRecord | undefined): Left | undefined {
  const entry = readJournal(id);
  if (!entry || (record && !goesOnFrom(entry, record))) return undefined;
  const read = readProject(entry.doc);
  if (!read.ok || read.project.id !== id) return undefined;
  const { past, future } = read.fromVersion === read.project.version ? entry : {};
  const listOf = (kept: unknown): readonly unknown[] => (Array.isArray(kept) ? kept : []);
  return { project: read.project, past: listOf(past), future: listOf(future) };
}

export const listProjects = (): Promise<ProjectRecord[]> => db.projects.orderBy('updatedAt').reverse().toArray();

export const MOST_DELETIONS = 20;

/** Takes a project out; the last twenty that were can be put back. */
export async function removeProject(id: string): Promise<void> {
  await db.transaction('rw', db.projects, db.deletions, async () => {
    const record = await db.projects.get(id);
    if (!record) return;
    await db.deletions.add({ deletedAt: Date.now(), record });
    await db.projects.delete(id);
    const older = await db.deletions.orderBy('deletedAt').reverse().offset(MOST_DELETIONS).primaryKeys();
    await db.deletions.bulkDelete(older);
  });
  forgetJournal(id);
  tellOthers({ kind: 'deleted', id });
}

/** What was deleted, the last first. */
export const listDeletions = (): Promise<Deletion[]> => db.deletions.orderBy('deletedAt').reverse().toArray();

/** Puts a deleted project back; where one of its id is there again, beside that, as a copy. */
export async function putBack({ key, record }: Deletion): Promise<void> {
  await db.transaction('rw', db.projects, db.deletions, async () => {
    const isThere = (await db.projects.get(record.id)) !== undefined;
    const id = isThere ? crypto.randomUUID() : record.id;
    const name = isThere ? `${record.name}, put back`.slice(0, 120) : record.name;
    await db.projects.put({ ...record, id, name, doc: { ...record.doc, id, name } });
    if (key !== undefined) await db.deletions.delete(key);
  });
}

let seeding: Promise<boolean> | undefined;

/** The demo boats, where this is the first opening; whether it was. */
export function seedDemos(): Promise<boolean> {
  seeding ??= seedOnce().finally(() => {
    seeding = undefined;
  });
  return seeding;
}

async function seedOnce(): Promise<boolean> {
  if (await db.marks.get('seeded')) return false;
  for (const demo of [...DEMO_IDS].reverse()) {
    await addProject(demoProject(demo, `demo-${demo}`));
    await addRecords(`demo-${demo}`, demoRecords(demo, dayOf(Date.now())));
  }
  await db.marks.put({ key: 'seeded', value: 'yes' });
  return true;
}

/** The project to open; on first opening a demo boat. */
export const firstProject = async (): Promise<string | undefined> =>
  (await seedDemos()) ? `demo-${DEMO_IDS[0]}` : (await listProjects())[0]?.id;
