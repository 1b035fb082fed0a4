import { expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import { addProject, firstProject, listProjects, loadProject, putBack, removeProject, saveProject } from './projects';

it('puts the demos in once, and opens the first', async () => {
  expect(await firstProject()).toBe('demo-tamsel');
  for (const record of await listProjects()) await removeProject(record.id);
  expect(await firstProject()).toBeUndefined();
});

it('saves over what it knows and nothing else', async () => {
  const project = demoProject('orrin', 'mine');
  await addProject(project);
  const first = await saveProject({ ...project, name: 'A' }, 0);
  expect(first).toEqual({ saves: 1, saveState: 'saved' });
  expect(await saveProject({ ...project, name: 'B' }, 0)).toMatchObject({ saveState: 'elsewhere' });
  const loaded = await loadProject('mine');
  expect('project' in loaded && [loaded.project.name, loaded.saves]).toEqual(['A', 1]);
});

it('brings a deleted project back as it was', async () => {
  const record = await removeProject('mine');
  expect(await loadProject('mine')).toEqual({ reason: 'This project is not in this browser.' });
  if (record) await putBack(record);
  expect('project' in (await loadProject('mine'))).toBe(true);
});

it('brings an old document up when it is opened, and says why one cannot be', async () => {
  const doc = demoProject('orrin', 'old');
  const { school: _school, ...older } = doc;
  const asVersion1 = { ...older, version: 1, frames: { frames: doc.frames.frames } };
  const record = { id: 'old', name: 'Old', updatedAt: 1, saves: 7 };
  // what an earlier release stored is not of today's type: that is the point
  await putBack({ ...record, doc: asVersion1 as unknown as typeof doc });
  const opened = await loadProject('old');
  expect('project' in opened && [opened.project.version, opened.project.school, opened.saves]).toEqual([
    doc.version,
    'filleted',
    7,
  ]);
  await putBack({ ...record, doc: { ...doc, panels: {} } as unknown as typeof doc });
  const broken = await loadProject('old');
  expect('reason' in broken && broken.reason).toMatch(/panels\.thickness/);
});

it('lists the newest first', async () => {
  for (const [id, updatedAt] of [
    ['a', 10],
    ['b', 30],
    ['c', 20],
  ] as const)
    await putBack({ id, name: id, updatedAt, saves: 0, doc: demoProject('orrin', id) });
  const ids = (await listProjects()).map((record) => record.id).filter((id) => ['a', 'b', 'c'].includes(id));
  expect(ids).toEqual(['b', 'c', 'a']);
});
