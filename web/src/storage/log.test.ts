/** The log in the browser's store: nothing that was said to be kept is lost, whatever is killed. */
import { expect, it } from 'vitest';
import { NO_RECORDS, type LogEntry } from '@kalotrope/core/log';
import { db } from './database';
import { addEntry, addRecords, recordsOf, startClock, stopClock, watchRecords } from './log';
import { addPotRecord } from './pots';

const entry = (id: string, minutes = 10): LogEntry => ({
  ...{ id, day: '2027-03-06', written: 1, kind: 'hours', job: '', jobName: '', group: '', parts: [], revision: 1 },
  ...{ words: '', answer: '', minutes, cents: 0, on: '', drawn: 0, found: 0, pictures: [], corrects: '' },
  isTakenBack: false,
});
const idsOf = async (project: string) => (await recordsOf(project)).entries.map(({ id }) => id);

it('has every entry that was said to be kept after a hundred kills, in the order of writing', async () => {
  const promised: string[] = [];
  for (let kill = 0; kill < 100; kill++) {
    await addEntry('killed', entry(`kept ${kill}`));
    promised.push(`kept ${kill}`);
    // under way when the page goes: it may be there or not, and nothing else may be harmed by it
    const late = addEntry('killed', entry(`late ${kill}`)).catch(() => undefined);
    db.close();
    await late;
    await db.open();
  }
  const there = await idsOf('killed');
  expect(there.filter((id) => promised.includes(id))).toEqual(promised);
  expect(new Set(there).size).toBe(there.length);
});

it('lets a clock run through a kill, and writes its hours once, however often it is stopped', async () => {
  await startClock('clocked', { job: 'turn', since: 1000 });
  await startClock('clocked', { job: 'other', since: 2000 });
  db.close();
  await db.open();
  expect((await recordsOf('clocked')).clock).toEqual({ job: 'turn', since: 1000 });
  const write = () => entry('clock', 25);
  await Promise.all([stopClock('clocked', write), stopClock('clocked', write), stopClock('clocked', write)]);
  expect(await idsOf('clocked')).toEqual(['clock']);
  expect((await recordsOf('clocked')).clock).toBeNull();
});

it('keeps the clock where its hours cannot be written', async () => {
  await startClock('refused', { job: '', since: 5 });
  const full = () => {
    throw new Error('full');
  };
  await expect(stopClock('refused', full)).rejects.toThrow('full');
  expect((await recordsOf('refused')).clock).toEqual({ job: '', since: 5 });
  expect(await idsOf('refused')).toEqual([]);
});

it('reads no clock from what is none', async () => {
  for (const value of ['', 'soon', '{"job":1,"since":"x"}']) {
    await db.marks.put({ key: 'clock odd', value });
    expect((await recordsOf('odd')).clock).toBeNull();
  }
});

it('tells whoever follows of all that is added, of this boat alone', async () => {
  const told: number[] = [];
  let seen = () => undefined as unknown;
  const stop = watchRecords('followed', ({ entries, pots }) => {
    told.push(entries.length + pots.length);
    seen();
  });
  const until = (count: number) =>
    new Promise<void>((resolve) => {
      seen = () => told.includes(count) && resolve();
      seen();
    });
  await until(0);
  await addEntry('another', entry('x'));
  await addEntry('followed', entry('a'));
  await until(1);
  const pot = { kind: 'emptied', at: 5, job: 'fillets', number: 1, of: 1, thrown: 20 } as const;
  await addPotRecord({ ...pot, project: 'followed' });
  await until(2);
  stop();
  expect(Math.max(...told)).toBe(2);
  // without what only the store knows
  expect((await recordsOf('followed')).pots).toEqual([pot]);
});

it('takes the records of a file under the project that it became', async () => {
  const pot = { kind: 'sample', at: 9, job: 'fillets', number: 1, of: 1, isHard: true } as const;
  const records = { ...NO_RECORDS, entries: [entry('a'), entry('b')], pots: [pot] };
  await addRecords('taken', records);
  expect(await recordsOf('taken')).toEqual(records);
});
