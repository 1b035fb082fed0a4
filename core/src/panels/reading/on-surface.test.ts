import { describe, expect, it } from 'vitest';
import { at, distance3, lerp2, lerp3 } from '../../geometry';
import { createDerive, DEMO_IDS, demoProject } from '../../project';
import { wholeEnds } from '../../surface';
import { stitchesOf } from './seams';
import { lineOn, placeOn } from './on-surface';

describe.each(DEMO_IDS.map((id) => [id] as const))('places on the panels of %s', (id) => {
  const project = demoProject(id, 'x');
  const { panels } = createDerive()(project).panels.value;

  it('on a ruling lie on it in space, by the same share', () => {
    for (const panel of panels)
      panel.rulings.forEach((r, k) => {
        if (k % 5 !== 1) return;
        for (const w of [0.01, 0.3, 0.9]) {
          const there = placeOn(panel, lerp2(...wholeEnds(r), w));
          expect(there).toBeDefined();
          // half a fan may lie within one ruling's thickness
          expect(distance3(there!, lerp3(r.p, r.q, w))).toBeLessThan(1e-3);
        }
      });
  });
  it('keep their distance from one another along the sheet, as it is bent and not stretched', () => {
    for (const panel of panels) {
      const { minX, maxX } = panel.outline.reduce(
        (box, [u]) => ({ minX: Math.min(box.minX, u), maxX: Math.max(box.maxX, u) }),
        { minX: Infinity, maxX: -Infinity },
      );
      const u = (minX + maxX) / 2;
      const r = at(panel.rulings, Math.floor(panel.rulings.length / 2));
      const v = (r.flatP[1] + r.flatQ[1]) / 2;
      const line = lineOn(panel, [u - 300, v], [u + 300, v], 121);
      const length = line.slice(1).reduce((sum, p, i) => sum + distance3(at(line, i), p), 0);
      expect(line).toHaveLength(121);
      // the flat is that of the middle of the sheet, the lines lie on one of its faces
      const half = project.panels.thickness / 2 / (panel.minBendRadius?.value ?? Infinity);
      expect(Math.abs(length - 600)).toBeLessThan(600 * half + 0.05);
    }
  });
  it('are there for every hole, and none is for a place off the panel', () => {
    for (const panel of panels) {
      for (const hole of stitchesOf(panel, panels, project.panels)) expect(placeOn(panel, hole.at)).toBeDefined();
      expect(placeOn(panel, [-1e5, 0])).toBeUndefined();
    }
  });
});
