import { describe, expect, it } from 'vitest';
import {
  allFindings,
  applyEdits,
  createDerive,
  demoProject,
  DEMO_IDS,
  searchAll,
  sentence,
  type Project,
} from '../project';
import { faultsOfPlan } from './check';
import { planOf } from './judge';
import { layersFor, sectionOf, timberRuns } from './runs';
import { timberAtFirst, type TimberPart } from './schema';
import { insideAtFirst } from '../fitout/schema';

const tamsel = demoProject('tamsel', 'x');
const withTimber = (change: Partial<TimberPart>, project: Project = tamsel): Project => ({
  ...project,
  timber: { ...project.timber, ...change },
});
const rail = { id: 'rail', name: 'Rail', width: 40, depth: 18, length: 5300, qty: 2, mayScarf: true };
const planned = (project: Project) => {
  const derived = createDerive()(project);
  const found = searchAll(project, derived, 20);
  const findings = allFindings(derived, { project, found }).filter(({ where }) => where.stage === 'timber');
  return { value: derived.timber.value, plan: planOf(derived.timber.value, found.timber), findings };
};

describe('the timber of a boat', () => {
  it.each(DEMO_IDS)('%s: every member is planned, as long and as often as it is in the boat', (id) => {
    const { value, plan } = planned(demoProject(id, 'x'));
    if (!plan) throw new Error('no plan');
    expect(faultsOfPlan(value.job, plan)).toEqual([]);
    const cut = new Map<string, number>();
    for (const { cuts } of plan.sticks) for (const { run, length } of cuts) cut.set(run, (cut.get(run) ?? 0) + length);
    for (const run of value.runs) expect(cut.get(run.id)).toBeGreaterThanOrEqual(run.qty * run.length - 1e-6);
  });
  it('counts a member of each hand twice, and takes the builder’s own as he says', () => {
    const { value } = planned({ ...withTimber({ own: [rail] }), fitout: insideAtFirst() });
    expect(value.runs.map(({ name, qty }) => [name, qty])).toEqual([
      ['Side stringer', 2],
      ['Sheer clamp', 2],
      ['Rail', 2],
    ]);
  });
  it('scarfs what is longer than any stick, both sides apart', () => {
    const { plan, findings } = planned(withTimber({ own: [rail] }));
    const joins = plan!.joins.filter(({ run }) => run === 'own rail');
    expect(joins).toHaveLength(2);
    expect(Math.abs(joins[0]!.at[0]! - joins[1]!.at[0]!)).toBeGreaterThanOrEqual(600);
    expect(findings).toEqual([]);
  });
  it('glues its scarfs: as wide as the piece and as long as the slope, two of them', () => {
    const ratio = tamsel.timber.scarfRatio;
    const lineOf = (own: typeof rail) =>
      createDerive()(withTimber({ own: [own] })).epoxy.value.lines.find(({ item }) => item === 'Rail, scarfs');
    const areaM2 = (2 * 40 * Math.hypot(18 * ratio, 18)) / 1e6;
    expect(lineOf(rail)?.from).toMatchObject({ kind: 'glued', what: 'scarfs' });
    expect(lineOf(rail)?.from).toHaveProperty('areaM2', expect.closeTo(areaM2, 9));
    // one part more, where a clear stretch or a shorter stick does not ask for two
    expect(lineOf({ ...rail, length: 9600 })?.from).toHaveProperty('areaM2', expect.closeTo(2 * areaM2, 9));
    expect(lineOf({ ...rail, length: 4800 })).toBeUndefined();
  });
  it('takes the sticks by their timber where no price is given: the shorter one that will do', () => {
    const { plan, value } = planned(withTimber({ own: [{ ...rail, length: 2900, qty: 1 }] }));
    const stick = plan!.sticks.find(({ cuts }) => cuts.some(({ run }) => run === 'own rail'))!;
    expect(value.job.stock.find(({ id }) => id === stick.stock)?.length).toBe(3000);
  });
  it.each<[string, Partial<TimberPart>, RegExp]>([
    ['too long', { own: [{ ...rail, mayScarf: false }] }, /^Rail is 5300 mm long, the longest stick 4800 mm\. Add/],
    [
      'no stock',
      { own: [rail], stock: [{ id: 's', width: 30, depth: 18, length: 4800, qty: 0, price: 0 }] },
      /No stick of/,
    ],
    [
      'too few',
      { stock: [{ id: 's', width: 0, depth: 0, length: 4800, qty: 1, price: 0 }] },
      /^Too few sticks in the list/,
    ],
  ])('says what cannot be had: %s', (_what, change, words) => {
    const { findings } = planned(withTimber(change));
    expect(findings.map((finding) => sentence(finding, 'mm')).join('\n')).toMatch(words);
  });
  it('leaves nothing of a plan that was made for another stock', () => {
    const derived = createDerive()(tamsel);
    const found = searchAll(tamsel, derived, 5);
    const edited = applyEdits(tamsel, [{ path: ['timber', 'kerf'], value: 5 }]);
    expect(planOf(createDerive()((edited as { project: Project }).project).timber.value, found.timber)).toBeUndefined();
  });
  it('is imperial in an imperial boat', () => {
    expect(timberAtFirst({}, 'ft-in-8ths').stock.map(({ length }) => length)).toEqual(
      [96, 120, 144, 168, 192].map((inches) => inches * 25.4),
    );
  });
});

describe('layers', () => {
  it('none where the bend is wide; else the fewest that bend, over a mould that springs back', () => {
    expect(layersFor(18, 18 * 120, 120)).toBeUndefined();
    const layers = layersFor(18, 1000, 120)!;
    // one piece may be 1000 / 120 = 8.33 thick: three of 6
    expect(layers).toMatchObject({ count: 3, eachMm: 6, mouldMm: 1000 * (1 - 1 / 9) });
    expect(layers.eachMm * 120).toBeLessThanOrEqual(1000);
  });
  it('are counted as pieces of their own thickness', () => {
    const derived = createDerive()(tamsel);
    const { members, frames } = derived.frames.value;
    const bent = members.map((member) => ({ ...member, bend: { radiusMm: 1000, x: 2000 } }));
    const [run] = timberRuns({ members: bent, frames, inside: [] }, { own: [], bendRatio: 120 });
    expect(run).toMatchObject({ qty: 6, depth: 6 });
    expect(sectionOf(run!)).toBe('30×6');
    expect(run!.clear[0]![1] - run!.clear[0]![0]).toBeCloseTo(600, 6);
  });
});
