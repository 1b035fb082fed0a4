/** Panels of sheets of their own thickness, through all the stages. */
import { describe, expect, it } from 'vitest';
import { applyEdits, createDerive, demoProject, DEMO_IDS, shopTasks, wholeOf, type Project } from '../project';
import { outgoingDrawings, outgoingSheets, outgoingTables } from './export-files';

const edited = (project: Project, edits: readonly { readonly path: readonly string[]; readonly value: unknown }[]) => {
  const made = applyEdits(
    project,
    edits.map(({ path, value }) => ({ path: [...path], value: value as never })),
  );
  if (!made.ok) throw new Error(made.reason);
  return made.project;
};

/** Without what says only that the sheet is not the usual one, rounded past what adding in another order does. */
const plain = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (key, one: unknown) => {
      if (key === 'own' && typeof one === 'object' && one !== null && 'insideBy' in one) return undefined;
      return typeof one === 'number' ? Number(one.toPrecision(9)) + 0 : one;
    }),
  );

const FROM = 6;
const TO = 9;

describe('a skin whose every panel is told to be 9 mm', () => {
  // every demo once, and the first with its lines to each face
  it.each([
    ...DEMO_IDS.map((id) => [id, 'middle'] as const),
    ...(['outside', 'inside'] as const).map((to) => ['tamsel', to] as const),
  ])('is a skin of 9 mm, in all that is made of it: %s, lines to the %s', (id, linesTo) => {
    const base = edited(demoProject(id, 'x'), [{ path: ['panels', 'linesTo'], value: linesTo }]);
    const thick = edited(base, [{ path: ['panels', 'thickness'], value: TO }]);
    const whole = createDerive()(thick);
    const ids = whole.panels.value.panels.map((panel) => panel.id);
    const own = ids.map((panel) => ({ id: panel, thickness: TO }));
    const told = edited(base, [
      { path: ['panels', 'thickness'], value: FROM },
      { path: ['panels', 'ownThickness'], value: own },
    ]);
    const each = createDerive()(told);
    for (const stage of Object.keys(whole) as (keyof typeof whole)[])
      expect(plain(each[stage]), stage).toEqual(plain(whole[stage]));
    const paper = (project: Project, derived: typeof whole) => {
      const work = { project, derived, found: {} };
      return {
        drawings: outgoingDrawings(work),
        sheets: outgoingSheets(work),
        tables: outgoingTables(work),
        tasks: shopTasks(wholeOf(project, derived, {})),
      };
    };
    const [made, asked] = [paper(told, each), paper(thick, whole)];
    for (const kind of ['drawings', 'sheets', 'tables', 'tasks'] as const)
      expect(plain(made[kind]), kind).toEqual(plain(asked[kind]));
  });
});

describe('a bottom of 9 mm between sides of 6', () => {
  const base = edited(demoProject('tamsel', 'x'), [{ path: ['panels', 'thickness'], value: FROM }]);
  const thin = createDerive()(base);
  const thick = createDerive()(edited(base, [{ path: ['panels', 'thickness'], value: TO }]));
  const bottom = thin.panels.value.panels.find(({ name }) => name === 'Bottom')!;
  const ownThickness = [{ id: bottom.id, thickness: TO }];
  const mixed = createDerive()(edited(base, [{ path: ['panels', 'ownThickness'], value: ownThickness }]));

  it('has frames that end on the bottom as in a skin of 9, on the sides as in one of 6', () => {
    expect(mixed.frames.value.frames.length).toBeGreaterThan(2);
    for (const [k, frame] of mixed.frames.value.frames.entries())
      for (const [i, edge] of frame.edges.entries()) {
        const like = (edge.panel === bottom.id ? thick : thin).frames.value.frames[k]?.edges[i];
        // but for its ends, where it meets the edge beside it
        const within = like?.points.slice(1, -1).map(({ y, z }) => [y, z]) ?? [];
        const own = edge.points.map(({ y, z }) => [y, z]);
        const met = within.filter(([y, z]) => own.some(([v, w]) => Math.hypot(v! - y!, w! - z!) < 1e-9));
        expect(met.length, `${frame.name} on ${edge.panelName}`).toBeGreaterThanOrEqual(within.length - 1);
      }
  });
  it('is cut, joined and weighed as what it is', () => {
    const thicknesses = (derived: typeof mixed, of: string) =>
      new Set(derived.sheets.value.parts.filter((part) => part.of === of).map(({ thickness }) => thickness));
    const side = mixed.panels.value.panels.find(({ name }) => name === 'Side')!;
    expect(thicknesses(mixed, bottom.id)).toEqual(new Set([TO]));
    expect(thicknesses(mixed, side.id)).toEqual(new Set([FROM]));
    const jointed = (derived: typeof mixed) => derived.joints.value.find(({ panel }) => panel === bottom.id)!;
    for (const [k, joint] of jointed(mixed).joints.entries()) expect(joint.width).toBe(jointed(thick).joints[k]?.width);
    const item = (derived: typeof mixed) => derived.weights.value.items.find(({ id }) => id === bottom.id)!;
    const panel = (derived: typeof mixed) => derived.panels.value.panels.find(({ id }) => id === bottom.id)!;
    expect(item(mixed).grams / panel(mixed).areaM2).toBeCloseTo((item(thin).grams / panel(thin).areaM2) * 1.5, 6);
  });
  it('says so where it is drawn and in the book, and has a sheet of planing of its own', () => {
    const project = edited(base, [{ path: ['panels', 'ownThickness'], value: ownThickness }]);
    const work = { project, derived: mixed, found: {} };
    const material = (id: string) => outgoingDrawings(work).find(({ item }) => item.name === id)?.item.material;
    expect(material(bottom.id)).toContain('9 mm');
    const stacks = outgoingDrawings(work).filter(({ item }) => item.name.startsWith('scarf-planing'));
    expect(stacks.map(({ item }) => item.material)).toEqual(['9 mm plywood', '6 mm plywood']);
  });
});
