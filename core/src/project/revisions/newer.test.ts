import { expect, it } from 'vitest';
import { demoProject } from '../demos/index';
import { applyEdits } from '../edits';
import { isOtherPlanOf, newerPlan } from './newer';

const present = (() => {
  const made = applyEdits(demoProject('tamsel', 'x'), [
    {
      path: ['plan', 'jobs'],
      value: [{ id: 'cut.panel.keel-chine', hours: null, notBefore: '', after: '', isDone: true }],
    },
    {
      path: ['setup', 'readings'],
      value: [
        { id: 'frame.1.along', frame: 'frame.1', what: 'along', isTrue: false, value: 900, turn: 1, firstTurn: 1 },
      ],
    },
    { path: ['log', 'budget'], value: 900 },
  ]);
  if (!made.ok) throw new Error(made.reason);
  return made.project;
})();
const fresh = demoProject('tamsel', 'y');
const came = { ...fresh, panels: { ...fresh.panels, thickness: 9 }, setup: { ...fresh.setup, off: 333 } };

it('is another plan of the boat by its name, where anything of it differs but its place in the store', () => {
  expect(isOtherPlanOf(came, present)).toBe(true);
  expect(isOtherPlanOf({ ...came, name: ' TAMSEL 430 ' }, present)).toBe(true);
  expect(isOtherPlanOf({ ...came, name: 'Another' }, present)).toBe(false);
  expect(isOtherPlanOf({ ...present, id: 'z' }, present)).toBe(false);
});
it('taken it is the next revision: drawn as it came, with what was done and read here', () => {
  const made = applyEdits(present, newerPlan(came, present));
  expect(made.ok).toBe(true);
  const taken = made.ok ? made.project : present;
  expect(taken).toMatchObject({ id: 'x', revision: present.revision + 1 });
  expect(taken.panels).toEqual(came.panels);
  expect(taken.setup).toEqual({ ...came.setup, readings: present.setup.readings });
  expect([taken.plan, taken.log]).toEqual([present.plan, present.log]);
});
