/** What is glassed flat, tabbed, peeled: on a boat of the demos with its figures counted again by hand. */
import { describe, expect, it } from 'vitest';
import { area, boundsOf } from '../geometry';
import { createDerive, demoProject, type Project } from '../project';
import { clothToLay } from './cloth/cloth';
import { FILL_COAT, FILL_COATS, RESIN_PER_BIAXIAL, RESIN_PER_WOVEN } from './constants';
import { flatParts } from './flat-parts';

const derive = createDerive();
type Epoxy = Project['epoxy'];
const demo = demoProject('tamsel', 'x');
const made = (of: Partial<Epoxy>, project = demo) => {
  const whole = { ...project, epoxy: { ...project.epoxy, ...of } };
  const derived = derive(whole);
  return { whole, derived, takeoff: derived.epoxy.value };
};
const bare = made({});
const parts = flatParts({
  ...bare.derived.frames.value,
  transoms: bare.derived.panels.value.transoms,
  inside: bare.derived.fitout.value.all,
});
const [first, second] = parts as [(typeof parts)[number], (typeof parts)[number]];
const glassed = (faces: 'one' | 'both', part = first): Epoxy['flat'] => [
  { id: 'flat.1', of: part.of, part: part.id, faces },
];

describe('parts that are glassed flat', () => {
  it('are all of plywood that stands in the boat', () => {
    const { frames, girders } = bare.derived.frames.value;
    const standing = frames.filter(({ material }) => material === 'plywood').length + girders.length;
    const lying = bare.derived.fitout.value.all.length;
    expect(lying).toBeGreaterThan(0);
    expect(parts).toHaveLength(standing + bare.derived.panels.value.transoms.length + lying);
  });
  it.each([
    ['one', 1],
    ['both', 2],
  ] as const)('have cloth on %s of their faces, filled, and are not sealed there', (faces, count) => {
    const { takeoff } = made({ flat: glassed(faces) });
    const [line, ...others] = takeoff.lines.filter(({ group }) => group === 'flat');
    expect(others).toEqual([]);
    const m2 = count * first.areaM2;
    const perM2 = demo.epoxy.sheathingWeight * RESIN_PER_WOVEN.value + FILL_COATS.value * FILL_COAT.value;
    expect(line).toMatchObject({ item: first.name, clothM2: m2, resin: m2 * perM2 });
    const sealed = (of: typeof takeoff) =>
      of.lines.filter(({ group, item }) => group === 'sealing' && item === first.name).reduce((g, l) => g + l.resin, 0);
    expect(sealed(takeoff)).toBeCloseTo(sealed(bare.takeoff) * (1 - count / 2), 6);
    // the one beside it is as it was
    const beside = (of: typeof takeoff) => of.lines.filter(({ item }) => item === second.name);
    expect(beside(takeoff)).toEqual(beside(bare.takeoff));
  });
  it('are done before they are glued in, and all of it is in some job', () => {
    const { takeoff } = made({ flat: glassed('both') });
    const names = takeoff.jobs.map(({ name }) => name);
    expect(names.indexOf('Glassing parts flat')).toBeGreaterThan(-1);
    expect(names.indexOf('Glassing parts flat')).toBeLessThan(names.indexOf('Gluing'));
    const inJobs = takeoff.jobs.reduce((sum, { grams }) => sum + grams, 0);
    expect(inJobs).toBeCloseTo(takeoff.resin + takeoff.filler, 6);
  });
  it('have their cloth on the roll, a length a face, the other turned over', () => {
    const { whole, derived } = made({
      flat: glassed('both'),
      sheathe: 'none',
      glass: { ...demo.epoxy.glass, trim: 0 },
    });
    const values = {
      lines: derived.lines.value,
      panels: derived.panels.value,
      frames: derived.frames.value,
      fitout: derived.fitout.value,
    };
    const { cuts } = clothToLay({ project: whole, values })!;
    expect(cuts.map(({ name }) => name)).toEqual([`${first.name}, one face`, `${first.name}, other face`]);
    const all = cuts.reduce((sum, { outline }) => sum + Math.abs(area(outline)), 0) / 1e6;
    // cut over its openings, which are cut out of it when it is hard
    expect(all).toBeGreaterThan(2 * first.areaM2 - 1e-6);
    expect(all).toBeCloseTo((2 * Math.abs(area(first.outlines[0]!))) / 1e6, 6);
    const [one, other] = cuts.map(({ outline }) => boundsOf(outline));
    expect(other!.minX).toBeCloseTo(-one!.maxX, 6);
  });
  it('that are gone from the boat are counted nowhere', () => {
    const { takeoff } = made({ flat: [{ id: 'flat.1', of: 'frame', part: 'was here', faces: 'both' }] });
    expect(takeoff).toEqual(bare.takeoff);
  });
});

describe('tabs', () => {
  const tabbed = made({ tabs: { length: 80, apart: 250 } });
  const lines = tabbed.takeoff.lines.filter(({ group }) => group === 'tabs');
  it('lie across every seam of a bulkhead, in each of its corners, about as far apart as is asked', () => {
    const seams = tabbed.takeoff.seams.filter(({ kind }) => kind === 'bulkhead');
    expect(lines.map(({ seam }) => seam)).toEqual(seams.map(({ id }) => id));
    lines.forEach((line, k) => {
      const { length, corners } = seams[k]!;
      const count = Math.max(1, Math.round(length / 250)) * corners;
      expect(line.from).toEqual({ kind: 'tabs', count, length: 80, width: demo.epoxy.tapeWidth });
      const m2 = (count * 80 * demo.epoxy.tapeWidth) / 1e6;
      expect(line.clothM2).toBeCloseTo(m2, 9);
      expect(line.resin).toBeCloseTo(m2 * demo.epoxy.tapeWeight * RESIN_PER_BIAXIAL.value, 6);
    });
  });
  it('are bought with the tape of their width, and put on before the fillets', () => {
    const wide = demo.epoxy.tapeWidth;
    const metres = (of: typeof bare) => of.takeoff.glass.tapes.find(({ widthMm }) => widthMm === wide)!.lengthM;
    const own = lines.reduce((sum, { tapeM }) => sum + tapeM, 0);
    expect(metres(tabbed) - metres(bare)).toBeCloseTo(own, 9);
    const names = tabbed.takeoff.jobs.map(({ name }) => name);
    expect(names.indexOf('Tabs')).toBeGreaterThan(names.indexOf('Tacking'));
    expect(names.indexOf('Tabs')).toBeLessThan(names.indexOf('Fillets'));
  });
});

describe('peel ply', () => {
  it('has as much film over it where that is wanted, and none by itself', () => {
    const glass = { ...demo.epoxy.glass, film: true };
    expect(made({ glass }).takeoff.glass).toMatchObject({ peelPlyM2: 0, filmM2: 0 });
    const { peelPlyM2, filmM2 } = made({ glass: { ...glass, peelPly: true } }).takeoff.glass;
    expect(peelPlyM2).toBeGreaterThan(5);
    expect(filmM2).toBe(peelPlyM2);
  });
});
