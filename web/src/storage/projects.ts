/** Projects in the browser's own database. Nothing else imports Dexie. Every save is one transaction. */
import Dexie, { type Table } from 'dexie';
import { DEMO_IDS, demoProject, readProject, type Project } from '@kalotrope/core/project';

export type ProjectRecord = {
  readonly id: string;
  readonly name: string;
  readonly updatedAt: number;
  /** Raised by each save: a window that knows a lower number must not overwrite. */
  readonly saves: number;
  readonly doc: Project;
};

/** A scan or photo that lies under a view; the project names it by id and copies of the project share it. */
export type Picture = { readonly id: string; readonly type: 'image/png' | 'image/jpeg'; readonly bytes: Uint8Array };

class Database extends Dexie {
  projects!: Table<ProjectRecord, string>; // set by Dexie from the stores below
  marks!: Table<{ key: string; value: string }, string>; // as above
  pictures!: Table<Picture, string>; // as above
  constructor() {
    super('kalotrope');
    this.version(1).stores({ projects: 'id, updatedAt', marks: 'key' });
    this.version(2).stores({ pictures: 'id' });
  }
}

const db = new Database();

export type Saved = { readonly saves: number; readonly saveState: 'saved' | 'failed' | 'elsewhere' };

/** Saves unless another window has saved since: then nothing is written. */
export async function saveProject(project: Project, knownSaves: number): Promise<Saved> {
  try {
    return await db.transaction('rw', db.projects, async () => {
      const stored = await db.projects.get(project.id);
      if (stored && stored.saves !== knownSaves) return { saves: knownSaves, saveState: 'elsewhere' as const };
      const saves = knownSaves + 1;
      await db.projects.put({
        id: project.id,
        name: project.name,
        updatedAt: Date.now(),
        saves,
        doc: project,
      });
      return { saves, saveState: 'saved' as const };
    });
  } catch {
    return { saves: knownSaves, saveState: 'failed' };
  }
}

export async function addProject(project: Project): Promise<void> {
  await db.projects.put({
    id: project.id,
    name: project.name,
    updatedAt: Date.now(),
    saves: 0,
    doc: project,
  });
}

/** The stored project, brought up to the present version. */
export async function loadProject(id: string): Promise<{ project: Project; saves: number } | { reason: string }> {
  const record = await db.projects.get(id);
  if (!record) return { reason: 'This project is not in this browser.' };
  const read = readProject(record.doc);
  return read.ok
    ? { project: read.project, saves: record.saves }
    : { reason: read.problems[0] ?? 'This project cannot be read.' };
}

export const listProjects = (): Promise<ProjectRecord[]> => db.projects.orderBy('updatedAt').reverse().toArray();

/** Takes a project out and gives it back, so that it can be put back. */
export async function removeProject(id: string): Promise<ProjectRecord | undefined> {
  const record = await db.projects.get(id);
  await db.projects.delete(id);
  return record;
}

export const putBack = async (record: ProjectRecord): Promise<void> => {
  await db.projects.put(record);
};

/** On first opening: the demo boats. Returns the project to open. */
export async function firstProject(): Promise<string | undefined> {
  const isSeeded = await db.marks.get('seeded');
  if (!isSeeded) {
    for (const demo of [...DEMO_IDS].reverse()) await addProject(demoProject(demo, `demo-${demo}`));
    await db.marks.put({ key: 'seeded', value: 'yes' });
    return `demo-${DEMO_IDS[0]}`;
  }
  return (await listProjects())[0]?.id;
}

/**
 * A picture once stored is never written over: whoever names it gets the same. Never taken out, since an undo may
 * bring it back.
 */
export const addPictures = async (pictures: readonly Picture[]): Promise<void> => {
  await db.pictures.bulkPut([...pictures]);
};

export const loadPicture = (id: string): Promise<Picture | undefined> => db.pictures.get(id);
