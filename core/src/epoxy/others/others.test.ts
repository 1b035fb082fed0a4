import { describe, expect, it } from 'vitest';
import { createDerive, demoProject, type Project } from '../../project';
import { coatWindow } from '../windows';
import type { Finish, Glue } from '../schema';

const demo = demoProject('tamsel', 'x');
const project: Project = { ...demo, epoxy: { ...demo.epoxy, finishes: [] } };
const derive = createDerive();
const epoxyOf = (epoxy: Partial<Project['epoxy']>) =>
  derive({ ...project, epoxy: { ...project.epoxy, ...epoxy } }).epoxy;
const withGlue = (kind: Glue['kind'], gluedWith: Partial<Project['epoxy']['gluedWith']>, packMl = 500) =>
  epoxyOf({
    glues: [
      {
        ...{ id: 'g', name: 'Some glue', packMl, price: 10, onHand: 1, kind, spread: 200 },
        ...{ openMinutes: 20, clampHours: 3, cleanMinutes: 10 },
      },
    ],
    gluedWith: { ...project.epoxy.gluedWith, ...gluedWith },
  });
const paint = (id: string, given: Partial<Finish>): Finish => ({
  ...{ id, name: 'Some paint', packMl: 750, price: 20, onHand: 0, kind: 'paint', where: 'outside' },
  ...{ coats: 2, covers: 10, fromHours: 8, untilHours: 48, ...given },
});

describe('another glue', () => {
  const usual = epoxyOf({}).value;
  it('takes the joints that it is told from epoxy, and no others', () => {
    const { value } = withGlue('cartridge', { blanks: 'g' });
    const scarfs = usual.lines.filter(({ from }) => from.kind === 'glued' && from.what === 'blanks');
    expect(scarfs.length).toBeGreaterThan(0);
    expect(value.others.map(({ item }) => item)).toEqual(scarfs.map(({ item }) => item));
    expect(value.lines).toEqual(usual.lines.filter((line) => !scarfs.includes(line)));
    expect(value.jobs.some(({ id }) => id === 'join')).toBe(false);
  });
  it('is spread on one face of them, and bought in whole packs', () => {
    const { value } = withGlue('cartridge', { blanks: 'g' }, 50);
    const areaM2 = value.others.reduce((sum, { from }) => sum + (from.kind === 'glued' ? from.areaM2 : NaN), 0);
    expect(value.products).toMatchObject([{ id: 'g', onHand: 1, packs: Math.ceil((areaM2 * 200) / 50) }]);
    expect(value.products[0]!.ml).toBeCloseTo(areaM2 * 200, 9);
  });
  it('that is not there is epoxy', () => {
    expect(epoxyOf({ gluedWith: { ...project.epoxy.gluedWith, blanks: 'gone' } }).value.lines).toEqual(usual.lines);
  });
  it.each<[Glue['kind'], string[]]>([
    ['sealing', ['glue-does-not-bear']],
    ['instant', ['glue-does-not-bear']],
    ['expanding', ['glue-foams']],
    ['cartridge', []],
  ])('of the kind %s at a scarf is judged', (kind, codes) => {
    const found = withGlue(kind, { blanks: 'g' }).findings.map(({ code }) => code);
    expect(found.filter((code) => code.startsWith('glue-'))).toEqual(codes);
  });
});

describe('a finish', () => {
  const { panels, transoms } = derive(project).panels.value;
  const skinM2 =
    panels.reduce((sum, { areaM2, spansCentreline }) => sum + areaM2 * (spansCentreline ? 1 : 2), 0) +
    transoms.reduce((sum, { areaM2 }) => sum + areaM2, 0);
  it('outside takes the skin’s area, coat by coat, over what a litre covers', () => {
    const { value } = epoxyOf({ finishes: [paint('f', {})] });
    expect(value.products[0]!.ml).toBeCloseTo((skinM2 * 2 * 1000) / 10, 6);
    expect(value.products[0]!.packs).toBe(Math.ceil((skinM2 * 200) / 750));
    expect(value.coats.map(({ number, ml }) => [number, ml])).toEqual(
      [1, 2].map((k) => [k, value.products[0]!.ml / 2]),
    );
  });
  it('all over is outside and inside together, and the inside has both faces of each bulkhead and part', () => {
    const [outside, inside, all] = (['outside', 'inside', 'all'] as const).map(
      (where) => epoxyOf({ finishes: [paint('f', { where })] }).value.products[0]!.ml,
    );
    expect(all).toBeCloseTo(outside! + inside!, 6);
    const bulkheads = derive(project).frames.value.frames.reduce((sum, { areaM2 }) => sum + 2 * areaM2, 0);
    const lying = derive(project).fitout.value.all.reduce(
      (sum, { hand, pieces }) =>
        sum + pieces.reduce((all, { areaM2 }) => all + 2 * areaM2, 0) * (hand === 'pair' ? 2 : 1),
      0,
    );
    expect(lying).toBeGreaterThan(0);
    expect(inside! - outside!).toBeCloseTo((bulkheads + lying) * 200, 6);
  });
  it('of no coats is none', () => expect(epoxyOf({ finishes: [paint('f', { coats: 0 })] }).value.products).toEqual([]));
  it('is dry after its hours at 20 °C, twice as long at 10 °C, and never in the cold', () => {
    const hours = (tempC: number) => {
      const { from, until } = coatWindow(0, [{ at: 0, tempC, humidity: 60 }], paint('f', {}));
      return [from, until].map((at) => (at === null ? null : at / 3_600_000));
    };
    expect(hours(20)).toEqual([8, 48]);
    expect(hours(10).map((h) => Number(h?.toFixed(9)))).toEqual([16, 96]);
    expect(hours(5)).toEqual([null, null]);
  });
});

describe('fillers', () => {
  it('are all that is in the pots, by what they are for, in whole bags of loose powder', () => {
    const { value } = epoxyOf({});
    const all = value.fillers.reduce((sum, { grams }) => sum + grams, 0);
    expect(all).toBeCloseTo(value.plan.totals.filler, 6);
    expect(value.fillers.map(({ use }) => use)).toEqual(['fillets', 'glue']);
    for (const { use, ml, bags, grams } of value.fillers) {
      expect(ml * project.epoxy.fillers[use].density).toBeCloseTo(grams, 9);
      expect(bags).toBe(Math.ceil(ml / 1000));
    }
  });
});
