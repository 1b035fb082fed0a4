import { describe, expect, it, vi } from 'vitest';
import { DEMO_IDS, demoProject, type Project } from '@kalotrope/core/project';
import { clearJournal, readJournal, writeJournal } from './journal';
import {
  addProject,
  firstProject,
  listDeletions,
  listProjects,
  loadProject,
  MOST_DELETIONS,
  putBack,
  removeProject,
  saveProject,
  seedDemos,
  type Deletion,
} from './projects';

const left = new Map<string, string>();
vi.stubGlobal('localStorage', {
  getItem: (key: string) => left.get(key) ?? null,
  setItem: (key: string, text: string) => left.set(key, text),
  removeItem: (key: string) => left.delete(key),
});

const nothing = { past: [], future: [] };
const save = (project: Project, known: number | null) => saveProject({ project, ...nothing }, known);
const idsIn = async () => (await listProjects()).map(({ id }) => id);
const lastDeletion = async () => (await listDeletions())[0]!;
const nameIn = async (id: string) => {
  const loaded = await loadProject(id);
  return 'project' in loaded ? loaded.project.name : loaded.reason;
};

it('puts the demos in once, however many ask, and opens the first', async () => {
  expect(await Promise.all([seedDemos(), seedDemos()])).toEqual([true, true]);
  expect(await idsIn()).toHaveLength(DEMO_IDS.length);
  expect(await seedDemos()).toBe(false);
  expect(await firstProject()).toBe('demo-tamsel');
  for (const record of await listProjects()) await removeProject(record.id);
  expect(await firstProject()).toBeUndefined();
});

it('saves over what it knows and nothing else', async () => {
  const project = demoProject('orrin', 'mine');
  await addProject(project);
  expect(await save({ ...project, name: 'A' }, 0)).toEqual({ saves: 1, saveState: 'saved' });
  const { record } = { record: (await listProjects()).find(({ id }) => id === 'mine')! };
  // as another window saves it
  await removeProject('mine');
  await putBack({ deletedAt: 1, record: { ...record, saves: 5, writer: 'another window' } });
  expect(await save({ ...project, name: 'B' }, 1)).toMatchObject({ saveState: 'elsewhere' });
  expect(await nameIn('mine')).toBe('A');
});

it('takes a save of its own that was never answered for its own', async () => {
  const project = demoProject('orrin', 'slow');
  await addProject(project);
  await save({ ...project, name: 'once' }, 0);
  // the answer did not come: the window still knows of none
  expect(await save({ ...project, name: 'twice' }, 0)).toEqual({ saves: 2, saveState: 'saved' });
  expect(await nameIn('slow')).toBe('twice');
});

describe('what is deleted', () => {
  it('comes back as it was, both of two', async () => {
    for (const id of ['one', 'two']) await addProject(demoProject('orrin', id));
    await removeProject('one');
    await removeProject('two');
    expect(await loadProject('one')).toEqual({ reason: 'This project is not in this browser.' });
    for (const deletion of (await listDeletions()).slice(0, 2)) await putBack(deletion);
    expect(await idsIn()).toEqual(expect.arrayContaining(['one', 'two']));
  });
  it('is not made again by a window that still has it open, unless it says so', async () => {
    const project = demoProject('orrin', 'gone');
    await addProject(project);
    const { saves } = await save(project, 0);
    await removeProject('gone');
    expect(await save(project, saves)).toMatchObject({ saveState: 'deleted' });
    expect(await save({ ...project, name: 'kept' }, null)).toMatchObject({ saveState: 'saved' });
    expect(await nameIn('gone')).toBe('kept');
  });
  it('comes back beside a newer one of its id, never over it', async () => {
    const older = await lastDeletion();
    expect(older.record.id).toBe('gone');
    await putBack(older);
    expect(await nameIn('gone')).toBe('kept');
    expect((await listProjects()).map(({ name }) => name)).toContain(`${older.record.name}, put back`);
  });
  it('is kept as far as the last twenty', async () => {
    for (let i = 0; i < MOST_DELETIONS + 3; i++) {
      await addProject({ ...demoProject('orrin', `many-${i}`), name: `Many ${i}` });
      await removeProject(`many-${i}`);
    }
    const kept = (await listDeletions()).map(({ record }) => record.name);
    expect(kept).toHaveLength(MOST_DELETIONS);
    expect(kept).toContain(`Many ${MOST_DELETIONS + 2}`);
    expect(kept).not.toContain('Many 2');
  });
});

const stored = (id: string, doc: unknown, saves = 7, updatedAt = 1): Deletion => ({
  deletedAt: 1,
  // what an earlier release stored is not of today's type: that is the point
  record: { id, name: id, updatedAt, saves, doc: doc as Project },
});

it('brings an old document up when it is opened, and says why one cannot be', async () => {
  const doc = demoProject('orrin', 'old');
  const { school: _school, ...older } = doc;
  await putBack(stored('old', { ...older, version: 1, frames: { frames: doc.frames.frames } }));
  const opened = await loadProject('old');
  expect('project' in opened && [opened.project.version, opened.project.school, opened.saves]).toEqual([
    doc.version,
    'filleted',
    7,
  ]);
  await putBack(stored('broken', { ...doc, id: 'broken', panels: {} }));
  const broken = await loadProject('broken');
  expect('reason' in broken && broken.reason).toMatch(/panels\.thickness|Skin thickness/);
});

it('lists the newest first', async () => {
  for (const [id, updatedAt] of [
    ['a', 10],
    ['b', 30],
    ['c', 20],
  ] as const)
    await putBack(stored(id, demoProject('orrin', id), 0, updatedAt));
  expect((await idsIn()).filter((id) => ['a', 'b', 'c'].includes(id))).toEqual(['b', 'c', 'a']);
});

describe('what can be undone', () => {
  it('is kept with the save that it belongs to, and left where another came after', async () => {
    const project = demoProject('orrin', 'undo');
    await addProject(project);
    const past = [{ label: 'one' }];
    await saveProject({ project, past, future: [] }, 0);
    expect(await loadProject('undo')).toMatchObject({ saves: 1, past, isUnsaved: false });
    const { record } = { record: (await listProjects()).find(({ id }) => id === 'undo')! };
    await removeProject('undo');
    await putBack({ deletedAt: 1, record: { ...record, saves: 2 } });
    expect(await loadProject('undo')).toMatchObject({ saves: 2, past: [] });
  });
});

describe('what a page had no time to save', () => {
  const project = demoProject('orrin', 'left');
  it('is taken up with what can be undone of it, and is still to be saved', async () => {
    await addProject(project);
    const past = [{ label: 'Name', patches: [], inverse: [] }];
    writeJournal({ ...project, name: 'left at' }, { saves: 0, version: 9, past, future: [] });
    const left = { project: { name: 'left at' }, saves: 0, isUnsaved: true };
    expect(await loadProject('left')).toMatchObject({ ...left, past });
    // where there is no room for that, the project alone
    const set = vi.spyOn(localStorage, 'setItem').mockImplementationOnce(() => {
      throw new Error('full');
    });
    writeJournal({ ...project, name: 'left at' }, { saves: 0, version: 9, past, future: [] });
    expect(await loadProject('left')).toMatchObject({ ...left, past: [] });
    set.mockRestore();
    clearJournal('left', 8); // an earlier version has been saved: this one has not
    expect(readJournal('left')?.version).toBe(9);
    clearJournal('left', 9);
    expect(await nameIn('left')).toBe(project.name);
  });
  it('is not, where another window has saved since; nor where it is no project', async () => {
    writeJournal({ ...project, name: 'old' }, { saves: 0, version: 9, past: [], future: [] });
    const { record } = { record: (await listProjects()).find(({ id }) => id === 'left')! };
    await removeProject('left');
    writeJournal({ ...project, name: 'old' }, { saves: 0, version: 9, past: [], future: [] });
    await putBack({ deletedAt: 1, record: { ...record, saves: 3, writer: 'another window' } });
    expect(await nameIn('left')).toBe(project.name);
    for (const text of ['', '{', 'null', '{"doc":1,"saves":3,"version":1,"writer":"x"}']) {
      localStorage.setItem('kalotrope-unsaved-left', text);
      expect(await nameIn('left')).toBe(project.name);
    }
  });
});
