/**
 * How far the demo boats' plans are from what no plan can beat, through calendars by seeds; and how long planning anew
 * takes after a job is ticked, against working the boat out anew. `npx tsx bench/plan.ts [CALENDARS]`
 */
import { at } from '../core/src/geometry';
import { oddCalendar } from '../core/src/plan/fixtures/odd-calendar';
import { faultsOfPlan } from '../core/src/plan/fixtures/faults-of-plan';
import { applyEdits, createDerive, demoProject, DEMO_IDS } from '../core/src/project';

const calendars = Number(process.argv[2] ?? 200);
const boats = DEMO_IDS.filter((id) => id !== 'slips');
const derive = createDerive();
const median = (values: readonly number[]) =>
  at(
    [...values].sort((a, b) => a - b),
    Math.floor(values.length / 2),
  );
const timed = (work: () => unknown) => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

for (const id of boats) {
  const project = demoProject(id, 'x');
  const { value } = derive(project).plan;
  const sanded = value.planned.filter(({ sandedFor }) => sandedFor !== undefined).length;
  console.log(
    `${id}: ${value.jobs.length} jobs, ${(value.workMin / 60).toFixed(1)} h of work, ` +
      `ends day ${Math.ceil(value.end / 1440)}, ` +
      `${(value.end / value.bound).toFixed(2)} times the bound, ${sanded} coats sanded first`,
  );
}

const ratios: number[] = [];
let faults = 0;
for (let seed = 1; seed <= calendars; seed++) {
  const project = demoProject(at(boats, seed % boats.length), 'x');
  const { plan, tempC } = oddCalendar(seed);
  const made = applyEdits(project, [
    { path: ['plan'], value: plan },
    { path: ['epoxy', 'shop', 'tempC'], value: tempC },
  ]);
  if (!made.ok) throw new Error(made.reason);
  const { value } = derive(made.project).plan;
  faults += faultsOfPlan(value.jobs, value.planned, plan).length;
  ratios.push(value.end / value.bound);
}
const near = ratios.filter((ratio) => ratio <= 1.1).length;
console.log(
  `${calendars} calendars and temperatures: ${faults} faults; ${near} within a tenth of the bound, median ` +
    `${median(ratios).toFixed(2)}, most ${Math.max(...ratios).toFixed(2)} times`,
);

const project = demoProject('tamsel', 'x');
const { jobs } = derive(project).plan.value;
const ticked = jobs.slice(0, 20).map((_, k) => {
  const done = jobs.slice(0, k + 1).map(({ id }) => ({ id, hours: null, notBefore: '', isDone: true }));
  const made = applyEdits(project, [{ path: ['plan', 'jobs'], value: done }]);
  if (!made.ok) throw new Error(made.reason);
  return timed(() => derive(made.project));
});
const anew = Array.from({ length: 9 }, () => timed(() => createDerive()(project)));
console.log(
  `planned anew after a job is ticked: median ${median(ticked).toFixed(1)} ms, ` +
    `most ${Math.max(...ticked).toFixed(1)}; the whole boat anew ${median(anew).toFixed(0)} ms, ` +
    `${(median(anew) / median(ticked)).toFixed(0)} times that`,
);
