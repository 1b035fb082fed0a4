import 'fake-indexeddb/auto';
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
