import { beforeAll, describe, expect, it } from 'vitest';
import { applyEdits, createDerive, demoProject, type Project } from '../project';
import { faultsOf } from './check';
import { findJointPlans, jointPlansInput, type JointPlans } from './joint-plans';
import { nest } from './nest';
import { insideAtFirst } from '../fitout/schema';

/** With nothing inside: its skin is what joints decide of. */
const project: Project = { ...demoProject('tamsel', 'x'), fitout: insideAtFirst() };
const inputOf = (of: typeof project) => {
  const { panels, frames, fitout, setup } = createDerive()(of);
  return jointPlansInput({
    project: of,
    values: { panels: panels.value, frames: frames.value, fitout: fitout.value, setup: setup.value },
  });
};
const batchOf = (of: typeof project) =>
  createDerive()(of).sheets.value.batches.find(({ thickness }) => thickness === 6)!;
const joinedAt = (bottom: number, side: number) => {
  const own = [
    { id: 'a', panel: 'keel-chine', at: bottom, kind: 'scarf' },
    { id: 'b', panel: 'chine-sheer', at: side, kind: 'scarf' },
  ];
  const edited = applyEdits(project, [{ path: ['joints', 'own'], value: own }]);
  if (!edited.ok) throw new Error(edited.reason);
  return edited.project;
};

describe('joints and sheets together', () => {
  it('the Tamsel’s 6 mm parts come onto three sheets, its joints elsewhere and every wish met', () => {
    const moved = joinedAt(1598.26, 2332.22);
    expect(createDerive()(moved).joints.findings).toEqual([]);
    const { job } = batchOf(moved);
    const result = nest(job, { seed: 1, rounds: 40 });
    expect(faultsOf(job, result)).toEqual([]);
    expect([result.sheetsUsed, result.unplaced.length]).toEqual([3, 0]);
  });

  describe('a short search', () => {
    let plans: JointPlans;
    const told: JointPlans[] = [];
    beforeAll(() => {
      plans = findJointPlans(inputOf(project), { seed: 1, most: 6, onProgress: (now) => told.push(now) });
    });
    it('tries so many, tells of each, and is the same again', () => {
      expect([plans.tried, told.length]).toEqual([6, 6]);
      expect(findJointPlans(inputOf(project), { seed: 1, most: 6 })).toEqual(plans);
    });
    it('never offers what is no better than the one before it', () => {
      const sheets = plans.plans.map(({ sheetsUsed }) => sheetsUsed);
      expect([...sheets].sort((a, b) => a - b)).toEqual(sheets);
      expect(plans.fewest).toBe(3); // 2.4 by area
    });
    it('counts the joints that a plan has more than the fewest', () => {
      const fewest = createDerive()(project).joints.value.reduce((sum, { joints }) => sum + joints.length, 0);
      for (const { own, more } of plans.plans.filter((plan) => plan !== plans.now))
        expect(own.length).toBe(fewest + more);
    });
    it('lays out each plan as it will be laid out once it is taken over', () => {
      for (const plan of plans.plans.filter(({ own }) => own.length > 0)) {
        const edited = applyEdits(project, [{ path: ['joints', 'own'], value: plan.own }]);
        if (!edited.ok) throw new Error(edited.reason);
        const batch = batchOf(edited.project);
        expect(plan.layout.key).toBe(batch.key);
        expect(faultsOf(batch.job, plan.layout.result)).toEqual([]);
      }
    });
  });

  it('leaves alone what the builder placed himself', () => {
    const input = inputOf(joinedAt(1992, 2186));
    const { plans, tried } = findJointPlans(input, { seed: 1, most: 3 });
    expect(tried).toBe(0); // nothing may move
    expect(plans.map(({ own }) => own.map(({ at }) => at))).toEqual([[1992, 2186]]);
  });
  it('joins a panel once more where its pieces then come out of short sheets, too', () => {
    const six = project.sheets.stock.find(({ thickness }) => thickness === 6)!;
    const short = { ...six, id: 'short', name: 'Short', width: 1300, qty: 6 };
    const scarce: Project = { ...project, sheets: { ...project.sheets, stock: [{ ...six, qty: 3 }, short] } };
    const { now, plans } = findJointPlans(inputOf(scarce), { seed: 1, most: 24 });
    expect(now?.unplaced).toBeGreaterThan(0);
    expect(plans[0]).toMatchObject({ unplaced: 0, more: 1, unmet: [] });
  });
  it('ends at once when the time is over', () => {
    expect(findJointPlans(inputOf(project), { seed: 1, most: 100, isOver: () => true }).tried).toBe(0);
  });
});
