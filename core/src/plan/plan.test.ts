/** Plans by hand, and of all demos through calendars, paces and temperatures by seeds; checked by other code. */
import { describe, expect, it } from 'vitest';
import { at } from '../geometry';
import { applyEdits, createDerive, demoProject, DEMO_IDS, wholeOf, type Project } from '../project';
import { beforeGlue } from './before-glue';
import { calendarFile } from './calendar-file';
import { dayNumber, isoOf, weekdayOf, WEEKDAYS } from './days';
import { daysOf, dayWords, momentWords } from './days-of-plan';
import { faultsOfPlan } from './fixtures/faults-of-plan';
import { oddCalendar } from './fixtures/odd-calendar';
import { judgePlan } from './judge';
import { planAtFirst, planSchema, type PlanPart } from './schema';
import { planSheets, planTables } from './tables';
import { paced, planOfPaced } from './value';
import type { Need, WorkJob } from './work/job';
import { clockWords, hoursWords } from './words';

const planOf = (work: readonly WorkJob[], own: PlanPart) => planOfPaced(paced(work, own), own);
const part = (given: Partial<PlanPart> = {}): PlanPart => ({ ...planAtFirst(), ...given });
const job = (id: string, minutes: number, given: Partial<WorkJob> = {}): WorkJob => ({
  ...{
    id,
    name: id,
    group: 'hull',
    does: 'fit',
    parts: [],
    minutes,
    isOneGo: false,
    hands: 1,
    needs: [],
    isWet: false,
    isPaint: false,
  },
  ...given,
});
const coatOn = (id: string): Need => ({ job: id, leastH: 4, bonds: { mostH: 30, sandFromH: 30, sandMin: 45 } });
const warm = { shop: 20, least: 10 };
const codesOf = (jobs: readonly WorkJob[], own = part()) => judgePlan(planOf(jobs, own), warm).map(({ code }) => code);
/** Minutes from the first Monday. */
const on = (day: number, hour: number) => day * 1440 + hour * 60;

describe('days', () => {
  it('go from number to date and back for a thousand years, one after another', () => {
    let before = '';
    for (let day = -200_000; day < 200_000; day += 7) {
      const iso = isoOf(day);
      expect(dayNumber(iso)).toBe(day);
      expect(iso > before).toBe(true);
      before = iso;
    }
  });
  it.each([
    ['2026-11-29', 'sun'],
    ['2000-02-29', 'tue'],
    ['1970-01-01', 'thu'],
    ['2100-03-01', 'mon'],
  ])('%s is a %s', (iso, name) => expect(weekdayOf(dayNumber(iso)!)).toBe(name));
  it.each(['2027-02-29', '2027-13-01', '2027-00-10', '2027-1-1', 'soon', ''])('%s is none', (iso) =>
    expect(dayNumber(iso)).toBeUndefined(),
  );
});

describe('in evenings of two hours and a weekend', () => {
  it('dry work goes on from day to day; it ends when its minutes are used up', () => {
    const { planned, end, bound } = planOf([job('a', 300)], part());
    // Tuesday and Thursday 19 to 21, Saturday from 9
    expect(at(planned, 0).sessions).toEqual([
      { from: on(1, 19), to: on(1, 21) },
      { from: on(3, 19), to: on(3, 21) },
      { from: on(5, 9), to: on(5, 10) },
    ]);
    expect([end, bound]).toEqual([on(5, 10), on(5, 10)]);
  });
  it('what is wet waits for a day that is long enough, and other work is done first', () => {
    const { planned } = planOf([job('wet', 180, { isOneGo: true }), job('dry', 60)], part());
    expect(planned.map((one) => [one.job.id, one.start])).toEqual([
      ['dry', on(1, 19)],
      ['wet', on(5, 9)],
    ]);
  });
  it('a coat goes on when the one under it is tacky, on the same day where the hours allow it', () => {
    const { planned } = planOf(
      [job('a', 60, { isOneGo: true }), job('b', 60, { isOneGo: true, needs: [coatOn('a')] })],
      {
        ...part(),
        week: { ...planAtFirst().week, tue: { from: 9, hours: 8, hands: 1 } },
      },
    );
    expect(planned.map(({ start, sandedFor }) => [start, sandedFor])).toEqual([
      [on(1, 9), undefined],
      [on(1, 14), undefined],
    ]);
  });
  it('is held back to Saturday where the next then bonds the same day, as sanding it would take longer', () => {
    const bonds = { mostH: 30, sandFromH: 30, sandMin: 600 };
    const coats = [
      job('a', 60, { isOneGo: true, isWet: true }),
      job('b', 60, { isWet: true, needs: [{ job: 'a', leastH: 4, bonds }] }),
    ];
    const { planned } = planOf(coats, part());
    expect(planned.map(({ start }) => start)).toEqual([on(5, 9), on(5, 14)]);
    expect(planned.every(({ sandedFor }) => sandedFor === undefined)).toBe(true);
  });
  it('is sanded where no two days are near enough, which takes its time and is told', () => {
    const week = { ...planAtFirst().week, sun: { from: 10, hours: 0, hands: 1 }, sat: { from: 9, hours: 3, hands: 2 } };
    const coats = [job('a', 60, { isOneGo: true }), job('b', 60, { isOneGo: true, needs: [coatOn('a')] })];
    const { planned } = planOf(coats, part({ week }));
    expect(at(planned, 1)).toMatchObject({ sandedFor: 'a', minutes: 105 });
    expect(codesOf(coats, part({ week }))).toContain('plan-sanded');
  });
  it('work that wants two is done on the day with help; where there is none that is told', () => {
    expect(planOf([job('lift', 30, { hands: 2 })], part()).end).toBe(on(5, 9.5));
    const week = { ...planAtFirst().week, sat: { from: 9, hours: 6, hands: 1 } };
    expect(codesOf([job('lift', 30, { hands: 2 })], part({ week }))).toEqual(['plan-lacks-hands']);
    expect(planOf([job('lift', 30, { hands: 2 })], part({ week })).left).toEqual([]);
  });
  it('what no day is long enough for runs over, and is told', () => {
    const long = [job('sheathe', 480, { isOneGo: true })];
    expect(at(planOf(long, part()).planned, 0)).toMatchObject({ start: on(5, 9), overMin: 120 });
    expect(codesOf(long)).toEqual(['plan-runs-over']);
  });
  it('a holiday has no work, an evening more has some, a pinned job waits for its date', () => {
    const own = part({
      starts: '2027-03-01',
      days: [
        { id: 'h', date: '2027-03-02', from: 19, hours: 0, hands: 1 },
        { id: 'e', date: '2027-03-03', from: 18, hours: 1, hands: 2 },
      ],
      jobs: [{ id: 'b', hours: null, notBefore: '2027-03-06', after: '', isDone: false }],
    });
    const { planned } = planOf([job('a', 90), job('b', 60)], own);
    expect(at(planned, 0).sessions).toEqual([
      { from: on(2, 18), to: on(2, 19) },
      { from: on(3, 19), to: on(3, 19.5) },
    ]);
    expect(at(planned, 1).start).toBe(on(5, 9));
    expect(momentWords(at(planned, 1).end, own)).toBe('Saturday 2027-03-06, 10:00');
  });
  it('the builder’s own hours and pace rule, and what is done is planned no more', () => {
    const jobs = [job('a', 60), job('b', 60, { needs: [{ job: 'a', leastH: 20 }] })];
    expect(planOf(jobs, part({ pace: 2 })).workMin).toBe(240);
    const own = [{ id: 'a', hours: 0.5, notBefore: '', after: '', isDone: false }];
    expect(planOf(jobs, part({ pace: 2, jobs: own })).workMin).toBe(150);
    const done = planOf(jobs, part({ jobs: [{ id: 'a', hours: null, notBefore: '', after: '', isDone: true }] }));
    expect(done.planned.map((one) => [one.job.id, one.start])).toEqual([['b', on(1, 19)]]);
  });
  it('the longest chain is told from what may slip', () => {
    const jobs = [job('a', 60), job('b', 60, { needs: [{ job: 'a', leastH: 48 }] }), job('aside', 30)];
    const critical = planOf(jobs, part()).planned.filter(({ isCritical }) => isCritical);
    expect(critical.map((one) => one.job.id)).toEqual(['a', 'b']);
  });
  it('no hours at all, and too few for ten years, are told', () => {
    const none = Object.fromEntries(WEEKDAYS.map((day) => [day, { from: 9, hours: 0, hands: 1 }])) as PlanPart['week'];
    expect(codesOf([job('a', 60)], part({ week: none }))).toEqual(['plan-no-hours']);
    const single = [{ id: 'd', date: '2027-03-06', from: 9, hours: 1, hands: 1 }];
    expect(codesOf([job('a', 120)], part({ week: none, days: single, starts: '2027-03-01' }))).toEqual([
      'plan-not-ended',
    ]);
  });
  it('a shop under the hardener’s least is told, as long as there is wet work', () => {
    const cold = (isWet: boolean) =>
      judgePlan(planOf([job('a', 60, { isWet })], part()), { shop: 5, least: 10 }).map(({ code }) => code);
    expect([cold(true), cold(false)]).toEqual([['plan-too-cold'], []]);
  });
});

const derive = createDerive();
const BOATS = DEMO_IDS.filter((id) => id !== 'slips');

/** Boat after boat: what does not change of one is kept from seed to seed. */
const SEEDS = 200;
const boatOf = (seed: number) => at(BOATS, Math.floor(((seed - 1) * BOATS.length) / SEEDS));

describe('the plan of each demo', () => {
  it.each(Array.from({ length: SEEDS }, (_, i) => i + 1))('keeps all there is to keep (seed %i)', (seed) => {
    const project = demoProject(boatOf(seed), 'x');
    const { plan, tempC } = oddCalendar(seed);
    const made = applyEdits(project, [
      { path: ['plan'], value: plan },
      { path: ['epoxy', 'shop', 'tempC'], value: tempC },
    ]);
    if (!made.ok) throw new Error(made.reason);
    const { value, findings } = derive(made.project).plan;
    expect(faultsOfPlan(value.jobs, value.planned, plan)).toEqual([]);
    expect(value.left).toEqual([]);
    expect(value.end).toBeGreaterThanOrEqual(value.bound - 1e-6);
    // near the bound, or the reason is said
    const reasons = ['plan-waits', 'plan-sanded', 'plan-runs-over', 'plan-lacks-hands'];
    if (value.end > 1.1 * value.bound) expect(findings.some(({ code }) => reasons.includes(code))).toBe(true);
  });
  it.each(BOATS)('has each job after what it needs, and every part of the cut list in some job: %s', (id) => {
    const demo = demoProject(id, 'x');
    // from its first day, also where a demo is half built
    const { plan, sheets, panels, frames, fitout } = derive({ ...demo, plan: { ...demo.plan, jobs: [] } });
    const { jobs, planned } = plan.value;
    jobs.forEach(({ id: own, needs }, i) => {
      for (const need of needs)
        expect(
          jobs.findIndex((one) => one.id === need.job),
          `${own}: ${need.job}`,
        ).toBeLessThan(i);
      for (const need of needs) expect(jobs.some((one) => one.id === need.job)).toBe(true);
    });
    expect(new Set(jobs.map((one) => one.id)).size).toBe(jobs.length);
    expect(planned).toHaveLength(jobs.length);
    const named = new Set(jobs.filter(({ id: own }) => own.startsWith('cut.')).flatMap(({ parts }) => parts));
    for (const { name } of [...panels.value.transoms, ...frames.value.frames]) expect(named, name).toContain(name);
    for (const { id: piece, name } of sheets.value.parts)
      if (fitout.value.all.some(({ pieces }) => pieces.some((one) => one.id === piece)))
        expect(named, name).toContain(name);
  });
  it('goes round what is ticked as done: cut panels are cut no more, and what is left keeps all', () => {
    const project = demoProject('tamsel', 'x');
    const { jobs } = derive(project).plan.value;
    const done = jobs.slice(0, 8).map(({ id }) => ({ id, hours: null, notBefore: '', after: '', isDone: true }));
    const plan = { ...project.plan, jobs: done };
    const value = planOf(jobs, plan);
    expect(faultsOfPlan(jobs, value.planned, plan)).toEqual([]);
    expect(value.planned).toHaveLength(jobs.length - 8);
  });
});

describe('told', () => {
  const project: Project = { ...demoProject('tamsel', 'x'), plan: part({ starts: '2027-03-01' }) };
  const derived = derive(project);
  const { planned, workMin } = derived.plan.value;
  it('day by day its minutes are the plan’s own', () => {
    const days = daysOf(planned, project.plan);
    const all = days.flatMap(({ entries }) => entries).reduce((sum, { from, to }) => sum + to - from, 0);
    expect(all).toBeCloseTo(
      planned.reduce((sum, { minutes }) => sum + minutes, 0),
      6,
    );
    expect(all).toBeGreaterThanOrEqual(workMin - 1e-6);
    for (const { day, date, weekday } of days)
      expect([date, weekday]).toEqual([isoOf(dayNumber('2027-03-01')! + day), weekdayOf(dayNumber(date)!)]);
  });
  it('as a table and on paper with every session', () => {
    const whole = wholeOf(project, derived, {});
    const sessions = planned.reduce((sum, one) => sum + one.sessions.length, 0);
    const [table] = planTables(whole);
    expect(table!.csv.trim().split(/\r?\n/)).toHaveLength(sessions + 1);
    expect(planSheets(whole).map(({ name }) => name)).toEqual(['plan-sheet', 'plan-wants']);
    expect(planTables({ ...whole, values: { plan: { ...planOf([], project.plan), wants: {} } } })).toEqual([]);
  });
  it('in hours, times and days', () => {
    expect([hoursWords(45), hoursWords(60), hoursWords(135)]).toEqual(['45 min', '1 h', '2 h 15 min']);
    expect([clockWords(on(3, 19)), clockWords(on(3, 0) - 5)]).toEqual(['19:00', '23:55']);
    expect(dayWords({ day: 8, weekday: 'tue', date: '' })).toBe('Week 2, Tuesday');
  });
  it('before every wet job what has to be there, before a dry one nothing', () => {
    for (const one of planned) expect(beforeGlue(one.job).length > 0).toBe(one.job.isWet);
  });
});

it('refuses a date that is none and hours beyond a day', () => {
  for (const bad of [{ starts: '2027-02-30' }, { starts: 'soon' }, { pace: 0 }])
    expect(planSchema.safeParse(part(bad)).success).toBe(false);
});

describe('the calendar file', () => {
  const project = demoProject('tamsel', 'x');
  const dated = { ...project.plan, starts: '2027-03-01' };
  const { planned } = planOf(derive(project).plan.value.jobs, dated);
  const text = calendarFile(planned, dated, { boat: 'Tern; a boat, long', id: 'x' })!;
  it('has an event a session, at its own clock time', () => {
    const sessions = planned.reduce((sum, one) => sum + one.sessions.length, 0);
    expect(text.split('BEGIN:VEVENT')).toHaveLength(sessions + 1);
    // the first Tuesday evening
    expect(text).toContain('DTSTART:20270302T190000');
    expect(new Set(text.match(/^UID:.*$/gm)).size).toBe(sessions);
  });
  it('folds long lines, ends each as the form wants it, and escapes what parts texts', () => {
    const lines = text.split('\r\n');
    expect(lines.pop()).toBe('');
    for (const line of lines) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
    expect(text.replaceAll('\r\n ', '')).toContain('SUMMARY:Tern\\; a boat\\, long: ');
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
  });
  it('is none without a first day', () => {
    expect(calendarFile(planned, { starts: '' }, { boat: 'x', id: 'x' })).toBeUndefined();
  });
});
