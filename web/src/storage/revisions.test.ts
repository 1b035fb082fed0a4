import { expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import { db } from './database';
import { docOf, keepRevision, revisionsOf } from './revisions';

const boat = demoProject('tamsel', 'revised');
const keep = (revision: number, name: string) =>
  keepRevision({ ...boat, revision }, { name, note: '', keptAt: revision });

it('keeps each revision whole through a closing of the store, the last first, of this boat alone', async () => {
  await keep(1, 'first');
  await keepRevision(demoProject('orrin', 'another'), { name: 'other', note: '', keptAt: 0 });
  db.close();
  await db.open();
  await keep(2, 'second');
  await keep(2, 'second');
  const kept = await revisionsOf('revised');
  expect(kept.map(({ name }) => name)).toEqual(['second', 'second', 'first']);
  expect(kept.map((one) => docOf(one))).toEqual([2, 2, 1].map((revision) => ({ ...boat, revision })));
});

it('reads one of an older version as the present has it, and says of one that is none that it cannot', () => {
  const told = { project: 'revised', name: 'old', note: '', keptAt: 0 };
  const { log: _log, weights: _weights, ...older } = { ...boat, version: 20 };
  expect(docOf({ ...told, doc: older as never })).toEqual({
    ...boat,
    ...{ weights: { ...boat.weights, loads: [] }, panels: { ...boat.panels, markingStray: 0 } },
  });
  expect(docOf({ ...told, doc: { format: 'other' } as never })).toBeUndefined();
});
