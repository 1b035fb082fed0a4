/** A builder's own order of the jobs, what each job wants, and what a forecast spoils. */
import { describe, expect, it } from 'vitest';
import { random } from '../geometry';
import { createDerive, demoProject, DEMO_IDS } from '../project';
import { faultsOfPlan } from './fixtures/faults-of-plan';
import { inOwnOrder, mayFollow } from './own-order';
import { planAtFirst, type JobPlan } from './schema';
import { planOfPaced } from './value';
import { wantLines } from './want-words';
import { spoiltBy } from './weather';

const derive = createDerive();
const put = (id: string, after: string): JobPlan => ({ id, hours: null, notBefore: '', after, isDone: false });
const DEMOS = DEMO_IDS.map((id) => [id] as const);
const planOf = (id: (typeof DEMO_IDS)[number]) => derive(demoProject(id, 'own')).plan.value;

describe('a job put after another', () => {
  it.each(DEMOS)('of %s: wishes by chance are kept, or told where they go in a circle; nothing else moves', (id) => {
    const { jobs } = planOf(id);
    const next = random(7);
    const one = () => jobs[Math.floor(next() * jobs.length)]!.id;
    for (let k = 0; k < 12; k++) {
      const own = Array.from({ length: 6 }, () => put(one(), one())).filter(
        (wish, i, all) => all.findIndex((other) => other.id === wish.id) === i,
      );
      const part = { ...planAtFirst(), jobs: own };
      const { jobs: ordered, against } = inOwnOrder(jobs, part);
      expect(ordered.map((job) => job.id).sort()).toEqual(jobs.map((job) => job.id).sort());
      const place = new Map(ordered.map((job, i) => [job.id, i]));
      for (const job of ordered)
        for (const need of job.needs) expect(place.get(need.job)! < place.get(job.id)!).toBe(true);
      const { planned } = planOfPaced(jobs, part);
      const by = new Map(planned.map((job) => [job.job.id, job]));
      for (const wish of own)
        expect(against.includes(wish.id) || by.get(wish.id)!.start >= by.get(wish.after)!.end - 1e-6).toBe(true);
      expect(faultsOfPlan(ordered, planned, part)).toEqual([]);
    }
  });
  it('may follow whatever does not wait for it, and never itself', () => {
    const { jobs } = planOf('tamsel');
    for (const { id, needs } of jobs) {
      const may = mayFollow(jobs, id).map((job) => job.id);
      expect(may).not.toContain(id);
      for (const { job } of needs) expect(may).toContain(job);
      for (const other of may) expect(inOwnOrder(jobs, { jobs: [put(id, other)] }).against).toEqual([]);
    }
  });
  it('after one that is not there any more it stands as it comes', () => {
    const { jobs } = planOf('tamsel');
    expect(inOwnOrder(jobs, { jobs: [put('turn', 'cut.panel.gone')] })).toEqual({ jobs, against: [] });
  });
});

describe('what a job wants', () => {
  it.each(DEMOS)('of %s: tools for every one, epoxy that adds up to the list, lines that are no empty ones', (id) => {
    const { plan, epoxy } = derive(demoProject(id, 'own'));
    const all = plan.value.jobs.map((job) => ({ job, wants: plan.value.wants[job.id]! }));
    for (const { job, wants } of all) {
      expect([job.id, wants.tools.length > 0]).toEqual([job.id, true]);
      expect([job.id, wants.cure !== undefined]).toEqual([job.id, job.isWet]);
      for (const { what, value } of wantLines(wants, 'mm'))
        expect([what, /^\S.*/.test(value) && !/undefined|NaN/.test(value)]).toEqual([what, true]);
    }
    const grams = all
      .flatMap(({ wants }) => wants.materials)
      .filter(({ what }) => what === 'epoxy, mixed')
      .reduce((sum, one) => sum + (one.grams ?? 0), 0);
    // each job is rounded up to ten grams
    expect(grams).toBeGreaterThanOrEqual(epoxy.value.resin - 1);
    expect(grams).toBeLessThanOrEqual(epoxy.value.resin + 10 * all.length);
    const tapeM = all
      .flatMap(({ wants }) => wants.materials)
      .reduce((sum, { what, runM = 0 }) => sum + (what === 'glass tape' ? runM : 0), 0);
    expect(Math.abs(tapeM - epoxy.value.tapeM)).toBeLessThan(0.05);
  });
});

describe('a forecast', () => {
  const value = planOf('tamsel');
  const { resin } = demoProject('tamsel', 'own').epoxy;
  const MINUTE = 60_000;
  const clockOf = (minute: number) => minute * MINUTE;
  const hours = (tempC: (hour: number) => number, humidity = 50) =>
    Array.from({ length: 24 * 60 }, (_, k) => ({ at: k * 60 * MINUTE, tempC: tempC(k), humidity }));
  const wet = value.planned.filter(({ job, start }) => job.isWet && start < 60 * 1440);
  it('warm and dry spoils nothing; cold or damp every wet job and no dry one', () => {
    const asked = { resin, clockOf };
    expect(spoiltBy(value, { ...asked, weather: hours(() => 20) })).toEqual([]);
    for (const weather of [hours(() => 2), hours(() => 20, 95)])
      expect(spoiltBy(value, { ...asked, weather }).map(({ job }) => job.id)).toEqual(wet.map(({ job }) => job.id));
  });
  it('that cools when the work is done is told with the hour; what is done instead is dry, and ready', () => {
    const one = wet[0]!;
    const end = Math.ceil(one.end / 60);
    const spoilt = spoiltBy(value, { resin, clockOf, weather: hours((hour) => (hour > end ? 3 : 20)) });
    const own = spoilt.find(({ job }) => job.id === one.job.id)!;
    expect([own.why, own.coldAt]).toEqual([[], (end + 1) * 60 * MINUTE]);
    const ends = new Map(value.planned.map((planned) => [planned.job.id, planned.end]));
    for (const { instead, start } of spoilt)
      for (const { isWet, needs } of instead) {
        expect(isWet).toBe(false);
        for (const need of needs) expect(ends.get(need.job)! <= start).toBe(true);
      }
    expect(spoilt.some(({ instead }) => instead.length > 0)).toBe(true);
  });
  it('of other days says nothing of the plan', () => {
    const weather = hours(() => 2).map((hour) => ({ ...hour, at: hour.at - 400 * 86_400_000 }));
    expect(spoiltBy(value, { resin, clockOf, weather })).toEqual([]);
    expect(spoiltBy(value, { resin, clockOf, weather: [] })).toEqual([]);
  });
});
