import { describe, expect, it } from 'vitest';
import { at, distance2, polylineLength } from '../geometry';
import { createDerive, demoProject, type Project } from '../project';
import { outsideLines } from './outside';
import { screwLength } from './screws';

const project = demoProject('orrin', 'x');
const derive = createDerive();
const rowsOf = (screws: Project['frames']['screws']) => derive({ ...project, frames: { ...project.frames, screws } });

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
