/** A bottom laid in layers, through all the stages. */
import { describe, expect, it } from 'vitest';
import { area, at, unionOf } from '../geometry';
import { cutOf, withLayers } from '../panels';
import { panelsToCut } from '../setup';
import { applyEdits } from './edits';
import { createDerive, demoProject, sentence, shopTasks, type Project } from '.';
import { wholeOf } from './whole';

const PANEL = 'Bottom';
const plain = demoProject('tamsel', 'x');
const asDrawn = createDerive()(plain);
const bottom = asDrawn.panels.value.panels.find(({ name }) => name === PANEL)!;

const edited = (project: Project, path: readonly string[], value: unknown): Project => {
  const made = applyEdits(project, [{ path: [...path], value: value as never }]);
  if (!made.ok) throw new Error(made.reason);
  return made.project;
};
const inLayers = (layers: number, project = plain) =>
  edited(project, ['panels', 'layered'], [{ id: bottom.id, layers }]);

describe('a bottom laid in two layers', () => {
  const project = inLayers(2);
  const derived = createDerive()(project);
  const whole = wholeOf(project, derived, {});
  const jointed = derived.joints.value.filter(({ layer }) => layer?.of === bottom.id);
  const parts = derived.sheets.value.parts;

  it('leaves all that stands against the skin as it was', () => {
    expect(derived.frames.value).toEqual(asDrawn.frames.value);
    expect(derived.fitout.value).toEqual(asDrawn.fitout.value);
    expect(derived.setup.value).toEqual(asDrawn.setup.value);
    const { layers: _, ...same } = derived.panels.value.panels.find(({ id }) => id === bottom.id)!;
    expect(same).toEqual(bottom);
  });
  it('is cut as two parts a hand of half the thickness; what is no panel stays as it is', () => {
    const own = parts.filter(({ of }) => of.startsWith(`${bottom.id}.layer`));
    expect(new Set(own.map(({ thickness }) => thickness))).toEqual(new Set([plain.panels.thickness / 2]));
    const panelIds = asDrawn.joints.value.map(({ panel }) => panel);
    const rest = (list: typeof parts) => list.filter((part) => !own.includes(part) && !panelIds.includes(part.of));
    expect(rest(parts)).toEqual(rest(asDrawn.sheets.value.parts));
    // put together again the pieces of a layer are the layer
    const layers = cutOf(derived.panels.value.panels.find(({ id }) => id === bottom.id)!);
    for (const layer of layers) {
      const pieces = own.filter(({ of }) => of === layer.id);
      const joined = unionOf(pieces.map(({ outline }) => [...outline]));
      expect(Math.abs(joined.reduce((sum, ring) => sum + area(ring), 0) - area(layer.outline))).toBeLessThan(1);
    }
  });
  it('says that no sheet so thin is in stock, until there is one', () => {
    const codes = ({ findings }: { readonly findings: readonly { readonly code: string }[] }) =>
      findings.map(({ code }) => code);
    expect(codes(derived.sheets)).toContain('sheet-missing');
    const [remedy] = derived.sheets.findings.find(({ code }) => code === 'sheet-missing')?.remedies ?? [];
    expect(remedy?.label).toBe('Buy such sheets');
    const bought = applyEdits(project, remedy!.edits);
    if (!bought.ok) throw new Error(bought.reason);
    expect(at(bought.project.sheets.stock, -1)).toMatchObject({ thickness: 3, width: 2440, height: 1220 });
    const stocked = createDerive()(bought.project);
    expect(codes(stocked.sheets)).not.toContain('sheet-missing');
  });
  it('is butted, each layer clear of the butts of the one under it as far as is wanted', () => {
    const [inner, outer] = jointed;
    expect(jointed.flatMap(({ joints }) => joints.map(({ kind }) => kind))).toEqual(
      jointed.flatMap(({ joints }) => joints.map(() => 'butt')),
    );
    expect(inner!.joints.length).toBeGreaterThan(0);
    for (const { u } of outer!.joints)
      for (const under of inner!.joints) expect(Math.abs(u - under.u)).toBeGreaterThanOrEqual(project.joints.stagger);
    expect(jointed.flatMap(({ straps }) => straps)).toEqual([]);
  });
  it('is glued between its layers over the whole of a face, on either hand', () => {
    const line = derived.epoxy.value.lines.find(({ from }) => from.kind === 'glued' && from.what === 'skins');
    const face = jointed[1]!.pieces.reduce((sum, { outline }) => sum + area(outline), 0) * (jointed[1]!.isPair ? 2 : 1);
    expect(line?.item).toBe(jointed[1]!.name);
    expect(line?.from.kind === 'glued' && line.from.areaM2).toBeCloseTo(Math.abs(face) / 1e6, 9);
  });
  it('weighs as much plywood as before', () => {
    const grams = (of: typeof derived) => of.weights.value.items.find(({ id }) => id === bottom.id)?.grams;
    expect(grams(derived)).toBeCloseTo(grams(asDrawn) ?? NaN, 9);
  });
  it('is marked out layer by layer, in the shop and on paper, and what is fastened to it is on the inside one', () => {
    const names = shopTasks(whole).flatMap(({ tasks }) =>
      tasks.filter(({ kind }) => kind === 'Mark out').map(({ name }) => name),
    );
    expect(names).toEqual(expect.arrayContaining([`${PANEL}, inner layer`, `${PANEL}, outer layer`]));
    expect(names).not.toContain(PANEL);
  });
  it('has its own butts on either hand of a boat that is cut as built', () => {
    const panels = panelsToCut({ panels: derived.panels.value, setup: derived.setup.value });
    expect(panels.map(({ name }) => name).filter((name) => name.startsWith(PANEL))).toEqual([
      `${PANEL}, inner layer`,
      `${PANEL}, outer layer`,
    ]);
  });
});

describe('a panel that bends too hard for its sheet', () => {
  const thick = edited(demoProject('veyra', 'x'), ['panels', 'thickness'], 12);
  const found = createDerive()(thick).panels.findings.filter(({ code }) => code === 'panel-bend-tight');
  it('is told, with the fewest layers that take the bend; taken, it is told no more', () => {
    expect(found.flatMap(({ remedies = [] }) => remedies.map(({ label }) => label))).toEqual(
      expect.arrayContaining(['Lay it in 2 layers', 'Lay it in 3 layers']),
    );
    for (const finding of found) {
      const [remedy] = finding.remedies ?? [];
      if (!remedy) throw new Error('without a remedy');
      const made = applyEdits(thick, remedy.edits);
      if (!made.ok) throw new Error(made.reason);
      const [laid] = made.project.panels.layered;
      const isTold = (project: Project) =>
        createDerive()(project).panels.findings.some(
          ({ code, where }) => code === finding.code && where.panel === finding.where.panel,
        );
      expect(isTold(made.project)).toBe(false);
      // one layer fewer would not do
      const fewer = withLayers([], laid!.id, laid!.layers - 1);
      expect(isTold(edited(thick, ['panels', 'layered'], fewer))).toBe(true);
    }
  });
  it('is laid of sheets that are sold: 9 mm in three of 3 mm, though two of 4.5 would bend', () => {
    const nine = edited(demoProject('veyra', 'x'), ['panels', 'thickness'], 9);
    const labels = createDerive()(nine).panels.findings.flatMap(({ remedies = [] }) =>
      remedies.map(({ label }) => label).filter((label) => label.startsWith('Lay it')),
    );
    expect(new Set(labels)).toEqual(new Set(['Lay it in 3 layers']));
    // three eighths of an inch in two of three sixteenths
    const inch = edited(demoProject('veyra', 'x'), ['panels', 'thickness'], 9.525);
    expect(
      createDerive()(inch).panels.findings.flatMap(({ remedies = [] }) => remedies.map(({ label }) => label)),
    ).toContain('Lay it in 2 layers');
  });
  it('of a butt where nothing lies over it is stopped', () => {
    const own = [{ id: 'j', panel: bottom.id, at: 1500, kind: 'butt' }];
    const { findings } = createDerive()(edited(plain, ['joints', 'own'], own)).joints;
    const alone = findings.find(({ code }) => code === 'butt-alone');
    expect(alone?.severity).toBe('stop');
    expect(alone && sentence(alone, 'mm')).toMatch(/^Bottom: nothing lies over the butt 1500 mm from its fore end/);
  });
  it('that is laid across in boards, too, is told to be cut as layers', () => {
    const orrin = demoProject('orrin', 'x');
    const across = createDerive()(orrin).frames.value.planked;
    if (!across) throw new Error('no boards');
    const both = createDerive()(edited(orrin, ['panels', 'layered'], [{ id: across.panel, layers: 2 }])).joints;
    expect(both.findings.map(({ code }) => code)).toContain('planked-in-layers');
    const pieces = both.value.filter(({ layer }) => layer?.of === across.panel).map((one) => one.pieces.length);
    expect(Math.max(...pieces)).toBeLessThan(across.boards.length);
  });
});
