import { describe, expect, it } from 'vitest';
import { at, type Vec3 } from '../geometry';
import { bendLines } from '../lines';
import { createDerive, demoProject } from '../project';
import { tableOf } from '../panels/fixtures/exact-shapes';
import { developPanels } from '../panels/develop';
import type { Panel } from '../panels/panel';
import { strainOf } from './strain';
import type { LaidRuling } from './strip';

const side = (curves: readonly ((w: number) => Vec3)[], count = 13): Panel =>
  developPanels(bendLines(tableOf(curves, count)).value, { thickness: 6 }).value.find(
    (panel) => !panel.spansCentreline,
  ) as Panel;

/** Straight edges of 3 m, the upper turned by so many mm over its length: it twists by construction. */
const twisted = (by: number, size = 1): Panel =>
  side([
    (w) => [3000 * size * w, 300 * size, 0],
    (w) => [3000 * size * w, (700 + by * w) * size, (500 - by * w) * size],
  ]);

/** One ruling fifteen times, as far apart on the flat as rounding leaves them. */
const again = (r: LaidRuling): LaidRuling[] =>
  Array.from({ length: 15 }, (_, i) => ({
    ...r,
    flatP: [r.flatP[0] + 1e-12 * i, r.flatP[1] - 3e-12 * ((i * 7) % 15)],
  }));

describe('the strain of the best flattening', () => {
  it('grows with the twist, faster than in proportion', () => {
    const strains = [40, 80, 160, 320].map((by) => twisted(by).maxStrain.value);
    strains.slice(1).forEach((strain, k) => expect(strain).toBeGreaterThan(2 * at(strains, k)));
    expect(at(strains, -1)).toBeGreaterThan(1e-3);
  });
  it('does not care how large the boat is', () => {
    expect(twisted(200, 2).maxStrain.value / twisted(200).maxStrain.value).toBeCloseTo(1, 3);
  });
  it('is less than that of simply rolling out the strip: the best spreads it', () => {
    const panel = twisted(300);
    // the strip keeps both edges; its diagonals bear all: a shear of half the twist over the width, squared
    expect(panel.maxStrain.value).toBeLessThan(0.01);
    const { cells } = panel.strainField;
    const mean = cells.reduce((sum, cell) => sum + Math.abs(cell), 0) / cells.length;
    expect(mean).toBeGreaterThan(0.1 * panel.maxStrain.value);
  });
  it('is nought where the rulings come out of the point of a panel, hollow or not', () => {
    // keel and chine meet at the stem; the chine runs hollow from it, so that the first rulings are a fan
    for (const hollow of [0, 30, 60, 90]) {
      const tip: Vec3 = [200, 0, 400];
      const panel = side([
        (w) => [tip[0] + 4000 * w, 0, tip[2] - 380 * (1 - (1 - w) ** 2)],
        (w) => [
          tip[0] + 4000 * w,
          500 * (1 - (1 - w) ** 2),
          tip[2] - 250 * (1 - (1 - w) ** 2) - hollow * Math.sin(Math.PI * Math.min(1, 4 * w)),
        ],
      ]);
      expect(panel.maxStrain.value).toBeLessThan(5e-4 + 0.002 * (panel.maxTwist.value / 5));
    }
  });
  it('is no more where several rulings lie in one place', () => {
    for (const panel of createDerive()(demoProject('tamsel', 'x')).panels.value.panels) {
      const marked = panel.rulings.map((r) => ({ ...r, twistDeg: 0.5 })); // as if it did not develop: the fine mesh
      const repeated = marked.flatMap((r, k) => (k % 40 === 20 ? again(r) : [r]));
      expect(strainOf(repeated).max).toBeLessThan(1.05 * strainOf(marked).max + 1e-6);
    }
  });
  it('has a cell between each two rulings and places of its mesh', () => {
    for (const boat of ['tamsel', 'veyra'] as const)
      for (const panel of createDerive()(demoProject(boat, 'x')).panels.value.panels) {
        const { columns, across, cells, max } = strainOf(panel.rulings);
        expect(cells).toHaveLength((columns.length - 1) * (across - 1));
        expect([columns[0], columns[columns.length - 1]]).toEqual([0, panel.rulings.length - 1]);
        for (const cell of cells) expect(Math.abs(cell)).toBeLessThanOrEqual(max);
      }
  });
});
