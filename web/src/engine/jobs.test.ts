import { strFromU8, unzipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import { bandColour, colourOf, LIMITS, OVER, RAMP, worstPlace } from '../drawing/bands';
import { JOBS } from './jobs';

describe('the jobs of the Panels stage', () => {
  it('finds remedies that can cross to the page', () => {
    const { lines } = demoProject('veyra', 'x');
    const remedies = JOBS.remedies({ lines, panel: 'keel-chine' });
    expect(remedies.map(({ kind }) => kind)).toEqual(['move', 'split']);
    expect(structuredClone(remedies)).toEqual(remedies);
    expect(JOBS.remedies({ lines, panel: 'upper-chine-sheer' })).toEqual([]);
  });
  it('makes a card model that can cross to the page', () => {
    const project = demoProject('orrin', 'x');
    const model = JOBS.card({ project, options: { scale: 20, paper: 'Letter', edges: 'tabs' } });
    expect(model.pages.length).toBe(1);
    expect(structuredClone(model)).toEqual(model);
  });
});

describe('what goes out, made apart', () => {
  const from = { project: demoProject('tamsel', 'x'), found: {}, printing: {} };
  it('is listed, and each thing in the list is made under its own name', async () => {
    const { drawings, tables } = await JOBS.exportList(from);
    const names = drawings.map(({ file }) => file);
    expect(names).toContain('tamsel-430-keel-chine');
    expect(new Set(names).size).toBe(names.length);
    for (const kind of ['dxf', 'svg', 'pdf'] as const) {
      const made = await JOBS.exportFile({ from, ask: { what: 'drawing', file: names[0]!, kind } });
      expect(made?.name.startsWith(names[0]!)).toBe(true);
      expect(made?.content.length).toBeGreaterThan(100);
    }
    const layout = { paper: 'A4', isEdgesOnly: true } as const;
    const counted = await JOBS.exportPages({ from, file: names[0]!, layout });
    expect(counted?.pages).toBeGreaterThan(4);
    const joined = await JOBS.exportFile({ from, ask: { what: 'pages', file: names[0]!, layout } });
    expect(joined?.name).toBe(`${names[0]!}-a4-edges.pdf`);
    expect(await JOBS.exportPages({ from, file: 'none of them', layout })).toBeUndefined();
    const table = await JOBS.exportFile({ from, ask: { what: 'table', file: tables[0]!.file } });
    expect(table?.name).toBe(`${tables[0]!.file}.csv`);
    expect(await JOBS.exportFile({ from, ask: { what: 'table', file: 'none of them' } })).toBeUndefined();
  });
  it('is one archive of everything, the project’s own file as the page gave it', async () => {
    const made = await JOBS.exportFile({ from, ask: { what: 'everything', projectFile: '{"own":1}' } });
    const files = unzipSync(made!.content as Uint8Array);
    expect(made?.name).toBe('tamsel-430.zip');
    expect(strFromU8(files['tamsel-430.kalotrope.json']!)).toBe('{"own":1}');
    expect(Object.keys(files).filter((name) => name.endsWith('.dxf')).length).toBeGreaterThan(8);
  });
});

describe('the colours of a field', () => {
  it('darken with the share, each band as its middle; over the limit they are of another kind', () => {
    const light = (colour: string) => [1, 3, 5].reduce((sum, i) => sum + parseInt(colour.slice(i, i + 2), 16), 0);
    const shades = LIMITS.map((_, i) => light(bandColour(i)));
    expect(shades.slice(1).every((shade, i) => shade < (shades[i] ?? 0))).toBe(true);
    expect(colourOf(0)).toBe(RAMP[0]?.[1]);
    expect(colourOf(1)).toBe(RAMP.at(-1)?.[1]);
    expect([bandColour(LIMITS.length), colourOf(1.001), colourOf(900)]).toEqual([OVER, OVER, OVER]);
  });
  it('has its worst place on the panel; none where nothing stretches', () => {
    for (const boat of ['tamsel', 'veyra'] as const)
      for (const panel of JOBS.derive(demoProject(boat, 'x')).panels.value.panels) {
        const worst = worstPlace(panel, 'bend');
        expect(worst === null || panel.rulings.includes(worst.ruling)).toBe(true);
        expect(worst?.value).toBe(panel.minBendRadius?.value);
        if (boat === 'tamsel') expect([worstPlace(panel, 'stretch'), worstPlace(panel, 'twist')]).toEqual([null, null]);
      }
  });
});
