/**
 * A whole build of the Tamsel, simulated through what the screens do: hours, receipts, pots, readings, a mistake, a
 * revision in the midst of it, undo and redo between; the log adds up to the entries, and nothing of it is lost.
 */
import { expect, it } from 'vitest';
import { centsOf, epoxySums, minutesOf, standing } from '@kalotrope/core/log';
import { jobsWith, PLAN_JOBS_PATH } from '@kalotrope/core/plan';
import { createDerive, demoProject, type Project } from '@kalotrope/core/project';
import { documentReducer, edited, initialDocument, opened, undone } from '../../state/document-slice';
import { db } from '../../storage/database';
import { addEntry, recordsOf, startClock, stopClock } from '../../storage/log';
import { addPotRecord } from '../../storage/pots';
import { emptyDraft, entryOf, missing, type Draft } from './draft';
import { entryNow } from '../../storage/entry-now';

const ID = 'whole-build';
const START = new Date(2027, 2, 1, 19).getTime();
const DAY_MS = 86_400_000;

/** Figures by chance, the same at every run (Park and Miller). */
function chance(seed: number) {
  let state = seed;
  return (most: number): number => {
    state = (state * 48_271) % 2_147_483_647;
    return state % most;
  };
}

it.each([1, 2, 3])(
  'adds up to the minute, the cent and the gram, and undo takes nothing out of it (seed %i)',
  async (seed) => {
    const id = `${ID}-${seed}`;
    const next = chance(seed);
    const derive = createDerive();
    let document = documentReducer(initialDocument, opened({ project: demoProject('tamsel', id), saves: 0 }));
    const project = (): Project => document.project!; // it was opened
    const edit = (label: string, path: readonly string[], value: unknown) => {
      document = documentReducer(document, edited({ label, edits: [{ path: [...path], value: value as never }] }));
      expect(document.refused).toBeNull();
    };
    const total = { minutes: 0, cents: 0, mixed: 0, thrown: 0, entries: 0 };
    const write = async (given: Partial<Draft>, corrects = '') => {
      const draft = { ...emptyDraft(START), ...given };
      expect(missing(draft)).toEqual({});
      const entry = entryNow({ ...entryOf(draft, jobs), corrects }, project().revision);
      await addEntry(id, entry);
      total.entries += 1;
      return entry;
    };
    const { jobs } = derive(project()).plan.value;
    expect(jobs.length).toBeGreaterThan(30);
    for (const [i, job] of jobs.entries()) {
      const day = new Date(START + i * DAY_MS).toISOString().slice(0, 10);
      const minutes = 5 + next(400);
      if (i % 5 === 0) {
        // by the clock, through a kill
        await startClock(id, { job: job.id, since: START });
        db.close();
        await db.open();
        await stopClock(id, (clock) => entryNow({ kind: 'hours', job: clock.job, minutes, day }, project().revision));
        total.entries += 1;
      } else
        await write({
          kind: 'hours',
          job: job.id,
          day,
          hours: `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`,
        });
      total.minutes += minutes;
      edit(`${job.name}: done`, PLAN_JOBS_PATH, jobsWith(project().plan.jobs, job.id, { isDone: true }));
      if (job.isWet) {
        const pot = { job: job.id, number: 1, a: 100 + next(200), b: 50 + next(100), filler: next(60) };
        const at = START + i * DAY_MS;
        const thrown = next(30);
        await addPotRecord({
          ...pot,
          project: id,
          at,
          kind: 'mixed',
          planned: 200,
          potLife: 25,
          shopC: 18,
          by: 'typed',
        });
        await addPotRecord({ project: id, at: at + 1, kind: 'emptied', job: job.id, number: 1, of: at, thrown });
        total.mixed += pot.a + pot.b + pot.filler;
        total.thrown += thrown;
      }
      if (i % 4 === 1) {
        const cents = next(50_000) - 2000;
        await write({ kind: 'money', day, amount: (cents / 100).toFixed(2), on: 'sheets', words: 'receipt' });
        total.cents += cents;
      }
      if (i === 12) {
        // a mistake, its hours put right, a receipt taken back, a revision in the midst of it
        const wrong = await write({ kind: 'hours', day, hours: '9:00', words: 'two of them on the radio' });
        const right = await write({ kind: 'hours', day, hours: '7:00' }, wrong.id);
        await write({ kind: 'hours', day, hours: '6:30' }, right.id);
        total.minutes += 390;
        const bought = await write({ kind: 'money', day, amount: '19.99' });
        await addEntry(id, { ...entryNow({ ...bought, corrects: bought.id, isTakenBack: true }, 1) });
        total.entries += 1;
        await write({
          kind: 'mistake',
          day,
          words: 'cut to the wrong line',
          answer: 'made again',
          parts: ['Bulkhead 1'],
        });
        await write({ kind: 'measured', day, drawn: 1500, found: 1503, words: 'over the sheer at station 3' });
        edit('Revision', ['revision'], 2);
      }
      if (i % 7 === 3) document = documentReducer(document, undone());
    }
    const records = await recordsOf(id);
    const stand = standing(records.entries);
    expect(records.entries).toHaveLength(total.entries);
    expect(minutesOf(stand)).toBe(total.minutes);
    expect(centsOf(stand)).toBe(total.cents);
    expect(epoxySums(records.pots)).toMatchObject({ mixed: total.mixed, thrown: total.thrown });
    // each says of which revision it was written
    expect(new Set(records.entries.map(({ revision }) => revision))).toEqual(new Set([1, 2]));
    // all that is not undone is done, and planned no more
    const { value } = derive(project()).plan;
    expect(value.planned.map(({ job }) => job.id).sort()).toEqual(
      jobs
        .filter((job) => !value.done.includes(job.id))
        .map((job) => job.id)
        .sort(),
    );
  },
);
