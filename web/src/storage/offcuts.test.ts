import { beforeEach, expect, it } from 'vitest';
import { db } from './database';
import { offcutsOnRack, putOnRack, takeOffRack, type KeptOffcut } from './offcuts';

const offcut = (id: string): KeptOffcut => ({
  ...{ id, name: `Tamsel 430, ${id}`, thickness: 6, kind: 'okoume', width: 700, height: 400 },
  outline: [
    { x: 0, y: 0 },
    { x: 700, y: 0 },
    { x: 0, y: 400 },
  ],
});

beforeEach(async () => {
  await db.offcuts.clear();
});

it('keeps offcuts with their true edge, each once, until it is taken off', async () => {
  await putOnRack(offcut('a'));
  await putOnRack(offcut('b'));
  await putOnRack(offcut('a'));
  expect(await offcutsOnRack()).toEqual([offcut('a'), offcut('b')]);
  await takeOffRack('a');
  await takeOffRack('never there');
  expect(await offcutsOnRack()).toEqual([offcut('b')]);
});
