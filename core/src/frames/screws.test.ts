import { describe, expect, it } from 'vitest';
import { at, distance2, polylineLength } from '../geometry';
import { createDerive, demoProject, type Project } from '../project';
import { outsideLine } from './outside';
import { screwLength } from './screws';

const project = demoProject('orrin', 'x');
const derive = createDerive();
const rowsOf = (screws: Project['frames']['screws']) => derive({ ...project, frames: { ...project.frames, screws } });

describe('screws through the skin', () => {
  const derived = rowsOf({ spacing: 100, ends: 25 });
  const { screws, frames } = derived.frames.value;
  const { panels } = derived.panels.value;

  it('are none where none are wanted', () => expect(rowsOf({ spacing: 0, ends: 25 }).frames.value.screws).toEqual([]));
  it.each([
    ['held by two and a half times the skin', 6, 70, 15],
    ['no longer than leaves 2 mm of a thin timber', 6, 8, 12],
  ])('are %s', (_, held, timber, long) => expect(screwLength(held, timber)).toBe(long));
  it('stand on the line over the middle of each frame, evenly, the first as far from its end as was asked', () => {
    for (const frame of frames)
      for (const panel of panels) {
        const line = outsideLine(panel, frame, 6);
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
    const line = outsideLine(side, frames[0]!, 6)!;
    const row = screws.find((one) => one.panel === side.id && one.into === frames[0]!.name)!;
    // as many as the line has room for, less the one in the clamp's notch at the sheer
    const all = Math.round((polylineLength(line) - 50) / row.spacingMm) + 1;
    expect(row.places).toHaveLength(all - 1);
  });
  it('of a line too short for both its ends are none', () => {
    const { screws: few } = rowsOf({ spacing: 100, ends: 400 }).frames.value;
    expect(few.filter(({ panel, into }) => panel === panels[1]?.id && into === frames[0]?.name)).toEqual([]);
  });
});
