import { describe, expect, it } from 'vitest';
import { at, distance2, polylineLength } from '../../geometry';
import { createDerive, demoProject, type Project } from '../../project';
import { outsideLines } from '../outside';
import { plainCleat } from '../plans';
import { framesToBuy } from './buys';
import { drillsFor, screwLength } from './screws';

const project = demoProject('orrin', 'x');
const derive = createDerive();
const rowsOf = (screws: Partial<Project['frames']['screws']>) =>
  derive({ ...project, frames: { ...project.frames, screws: { ...project.frames.screws, ...screws } } });

describe('screws through the skin', () => {
  const derived = rowsOf({ spacing: 100, ends: 25 });
  const { screws, frames: all, planked } = derived.frames.value;
  const frames = all.filter(({ isUnderSeam }) => !isUnderSeam);
  const { panels } = derived.panels.value;

  it('are none where none are wanted', () => expect(rowsOf({ spacing: 0, ends: 25 }).frames.value.screws).toEqual([]));
  it.each([
    ['held by two and a half times the skin', 6, 70, 15],
    ['no longer than leaves 2 mm of a thin timber', 6, 8, 12],
  ])('are %s', (_, held, timber, long) => expect(screwLength(held, timber)).toBe(long));
  it('stand on the line over the middle of each frame, evenly, the first as far from its end as was asked', () => {
    for (const frame of frames)
      for (const panel of panels) {
        const [line] = outsideLines(panel, frame, 6);
        const row = screws.find((one) => one.panel === panel.id && one.into === frame.name);
        if (!line || !row) throw new Error(`no screws of ${frame.name} in ${panel.name}`);
        const gaps = (polylineLength(line) - 50) / row.spacingMm;
        expect(gaps).toBeCloseTo(Math.round(gaps), 9);
        expect(Math.abs(row.spacingMm / 100 - 1)).toBeLessThan(0.5);
        row.places.slice(1).forEach((place, i) => {
          const apart = distance2(at(row.places, i), place);
          expect(apart / row.spacingMm).toBeCloseTo(1, 3);
        });
        expect(row.count).toBe(row.places.length * (panel.spansCentreline ? 1 : 2));
      }
  });
  it('of a frame leave out where a member’s notch is', () => {
    const side = panels.find((panel) => !panel.spansCentreline)!;
    const line = outsideLines(side, frames[0]!, 6)[0]!;
    const row = screws.find((one) => one.panel === side.id && one.into === frames[0]!.name)!;
    // as many as the line has room for, less the one in the clamp's notch at the sheer
    const all = Math.round((polylineLength(line) - 50) / row.spacingMm) + 1;
    expect(row.places).toHaveLength(all - 1);
  });
  it('over a seam stand in two rows, each in the middle of what its board lies on', () => {
    const bottom = panels.find(({ id }) => id === planked?.panel);
    const [timber] = all.filter(({ isUnderSeam }) => isUnderSeam);
    const seam = planked?.seams[0];
    if (!bottom || !timber || !seam) throw new Error('no seam');
    const rows = screws.filter(({ panel, into }) => panel === bottom.id && into === timber.name);
    const middle = (us: readonly number[]) => us.reduce((sum, u) => sum + u, 0) / us.length;
    const on = middle(seam.ends.map(([u]) => u));
    const off = rows.map(({ places }) => middle(places.map(([u]) => u)) - on);
    // a quarter of 1¾ inches
    expect(off.map((mm) => Math.round(mm))).toEqual([-11, 11]);
  });
  it('of a line too short for both its ends are none', () => {
    const { screws: few } = rowsOf({ spacing: 100, ends: 400 }).frames.value;
    expect(few.filter(({ panel, into }) => panel === panels[1]?.id && into === frames[0]?.name)).toEqual([]);
  });
});

describe('what becomes of them', () => {
  const buysOf = (screws: Partial<Project['frames']['screws']>) => {
    const { value } = rowsOf({ spacing: 100, ends: 25, ...screws }).frames;
    const count = value.screws.reduce((sum, row) => sum + row.count, 0);
    const notation = 'mm' as const;
    const frames = { screws: { ...project.frames.screws, ...screws } };
    return {
      count,
      rows: value.screws,
      buys: framesToBuy({ project: { notation, frames }, values: { frames: value } }),
    };
  };
  const idsOf = ({ buys }: ReturnType<typeof buysOf>) => [...new Set(buys.map(({ id }) => id.split(' ')[0]))];
  const boughtOf = ({ buys }: ReturnType<typeof buysOf>, kind: string) =>
    buys.filter(({ id }) => id.startsWith(kind)).reduce((sum, { howMuch }) => sum + Number(howMuch), 0);

  it('left in: each is bought, and a tenth to spare', () => {
    const left = buysOf({ use: 'left' });
    expect(idsOf(left)).toEqual(['screws']);
    expect(boughtOf(left, 'screws')).toBeGreaterThanOrEqual(left.count * 1.1);
    expect(boughtOf(left, 'screws')).toBeLessThan(left.count * 1.1 + left.buys.length);
  });
  it('under plugs: as many plugs as screws', () => {
    const plugged = buysOf({ use: 'plugged' });
    expect(idsOf(plugged)).toEqual(['screws', 'plugs']);
    expect(boughtOf(plugged, 'plugs')).toBe(Math.ceil(plugged.count * 1.1));
  });
  it('drawn again: as many as the fullest panel takes, with washers only under a thin sheet', () => {
    const drawn = buysOf({ use: 'drawn' });
    const most = Math.max(
      ...[...new Set(drawn.rows.map(({ panel }) => panel))].map((panel) =>
        drawn.rows.filter((row) => row.panel === panel).reduce((sum, row) => sum + row.count, 0),
      ),
    );
    expect(idsOf(drawn)).toEqual(['drawn']); // a skin of 6 mm
    expect(boughtOf(drawn, 'drawn')).toBeLessThanOrEqual(Math.ceil(most * 1.1) + 1);
    const thin = derive({
      ...project,
      panels: { ...project.panels, thickness: 4 },
      frames: { ...project.frames, screws: { ...project.frames.screws, spacing: 100, use: 'drawn' } },
    });
    expect(thin.frames.value.screws.every(({ hasWashers }) => hasWashers)).toBe(true);
  });
  it('staples stand at their own distance, and no screw is bought', () => {
    const staples = buysOf({ use: 'staples', staples: 40 });
    expect(idsOf(staples)).toEqual(['staples']);
    for (const { spacingMm, places } of staples.rows)
      if (places.length > 3) expect(Math.abs(spacingMm - 40)).toBeLessThan(8);
  });
  it('is told for one timber alone', () => {
    const [frame] = derive(project).frames.value.frames;
    const { rows } = buysOf({ own: [{ id: frame!.id, use: 'none' }] });
    expect(rows.filter(({ intoId }) => intoId === frame!.id)).toEqual([]);
    expect(rows.length).toBeGreaterThan(0);
  });
  it('through a bulkhead into its cleat: by the cleat’s length, no longer than leaves 2 mm of it', () => {
    const tamsel = demoProject('tamsel', 'x');
    const cleats = [{ ...plainCleat([], 'mm'), breadth: 25, depth: 12 }];
    const frames = tamsel.frames.frames.map((frame, i) => (i === 1 ? { ...frame, cleats } : frame));
    const screws = { ...tamsel.frames.screws, spacing: 100, ends: 20 };
    const { value } = derive({ ...tamsel, frames: { ...tamsel.frames, frames, screws } }).frames;
    const cleated = value.frames[1]!.cleats[0]!;
    const rows = value.screws.filter(({ panel, intoId }) => panel === '' && intoId === value.frames[1]!.id);
    const counts = cleated.pieces.map(
      ({ lengthMm, isPair }) => (Math.max(1, Math.round((lengthMm - 40) / 100)) + 1) * (isPair ? 2 : 1),
    );
    expect(rows.map(({ count }) => count)).toEqual(counts);
    expect(new Set(rows.map(({ lengthMm }) => lengthMm))).toEqual(new Set([Math.min(2.5 * 9, 9 + 12 - 2)]));
  });
  it('is drilled for by its thickness', () => expect(drillsFor(4)).toEqual({ pilotMm: 2.8, clearanceMm: 4.2 }));
});

describe('what is said of them', () => {
  const codesOf = (screws: Partial<Project['frames']['screws']>) =>
    rowsOf({ spacing: 100, ends: 25, ...screws }).frames.findings.map(({ code }) => code);
  it.each<[string, string, Partial<Project['frames']['screws']>]>([
    ['a landing is too narrow for so thick a screw', 'landing-narrow', { diameter: 8 }],
    ['a plug leaves too little of the sheet', 'plug-deep', { use: 'plugged' }],
    ['the plane would meet it at the edge', 'screw-near-edge', { ends: 5 }],
  ])('%s', (_, code, screws) => {
    expect(codesOf(screws)).toContain(code);
    expect(codesOf({ diameter: 3 })).not.toContain(code);
    expect(codesOf({ ...screws, spacing: 0 })).not.toContain(code);
  });
  it('there is nothing but plywood’s edge, until a cleat is put along it or nothing is to be held there', () => {
    const tamsel = demoProject('tamsel', 'x');
    const [first, second, ...rest] = tamsel.frames.frames;
    const told = (own: Project['frames']['screws']['own'], framed = true) => {
      const edges = framed ? [{ id: 'bottom', school: 'framed' as const }] : [];
      const panel = derive(tamsel).panels.value.panels[0]!.id;
      const frames = [first!, { ...second!, edges: edges.map((edge) => ({ ...edge, id: panel })) }, ...rest];
      const screws = { ...tamsel.frames.screws, spacing: 100, own };
      const { findings } = derive({ ...tamsel, frames: { ...tamsel.frames, frames, screws } }).frames;
      return findings.filter(({ code }) => code === 'screw-ply-edge').length;
    };
    expect([told([]), told([], false), told([{ id: second!.id, use: 'none' }])]).toEqual([1, 0, 0]);
  });
});
