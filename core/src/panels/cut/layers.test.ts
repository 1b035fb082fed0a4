import { describe, expect, it } from 'vitest';
import { area, at, distance2, lerp2 } from '../../geometry';
import { bendLines } from '../../lines';
import { demoProject } from '../../project';
import { developPanels } from '../develop';
import { obliqueCylinder, tableOf } from '../fixtures/exact-shapes';
import { wholeEnds } from '../../surface';
import { sharedStretches } from '../neighbours';
import type { Panel } from '../panel';
import { MOST_LAYERS } from '../schema';
import { flatOnto } from '../reading/on-surface';
import { cutPanel, type Skin } from './cut';
import { cutLayers, cutOf, layeredOf, layersOf, withLayers } from './layers';

const skin = (part: Partial<Skin> = {}): Skin => ({ thickness: 9, linesTo: 'outside', meeting: 'stitched', ...part });

/** Each panel with all that it lies against. */
const panelsOf = (boat: 'tamsel' | 'orrin' | 'veyra') => {
  const panels = developPanels(bendLines(demoProject(boat, 'x').lines).value, { thickness: 9 }).value;
  const shared = sharedStretches(panels);
  return panels.map((panel) => ({
    panel,
    own: shared.filter(({ above, below }) => above.panel === panel || below?.panel === panel),
  }));
};

describe('layers on a cylinder', () => {
  const shape = obliqueCylinder({ radius: 1500, leanRad: 0.2, arcRad: 1.2, height: 450 });
  const side = developPanels(bendLines(tableOf([shape.p, shape.q])).value, { thickness: 9 }).value.find(
    (panel) => !panel.spansCentreline,
  ) as Panel;
  it.each([
    ['outside', 3, [-7.5, -4.5, -1.5]],
    ['outside', 2, [-6.75, -2.25]],
    ['middle', 3, [-3, 0, 3]],
    ['inside', 2, [2.25, 6.75]],
  ] as const)(
    'lines to the %s, %i of them: each as large as its own middle, %o off the lines',
    (linesTo, count, offs) => {
      const layers = cutLayers(side, [], skin({ linesTo }), count);
      expect(layers.map(({ layer }) => layer)).toEqual(
        offs.map((_, k) => ({ of: side.id, number: k + 1, count, thicknessMm: 9 / count })),
      );
      // over its middle a layer of radius R + off is (R + off)/R as long, and as high
      layers.forEach(({ areaM2 }, k) => {
        expect(Math.abs(areaM2 / side.areaM2 - (1500 + at(offs, k)) / 1500)).toBeLessThan(
          2e-5 * Math.abs(at(offs, k)) + 1e-9,
        );
      });
    },
  );
});

describe.each(['tamsel', 'orrin', 'veyra'] as const)('the panels of %s in layers', (boat) => {
  const all = panelsOf(boat);
  it('have as the middle one of three the very panel in one sheet, whichever face the lines are on', () => {
    for (const linesTo of ['outside', 'middle', 'inside'] as const)
      for (const { panel, own } of all) {
        const whole = cutPanel(panel, own, skin({ linesTo }));
        const middle = at(cutLayers(panel, own, skin({ linesTo }), 3), 1);
        expect(middle.outline).toHaveLength(whole.outline.length);
        middle.outline.forEach((p, i) => expect(distance2(p, at(whole.outline, i))).toBeLessThan(1e-6));
      }
  });
  it('are even steps from one another: the middle of the inner and the outer is the panel, nearly', () => {
    for (const { panel, own } of all) {
      const [inner, outer] = cutLayers(panel, own, skin(), 2);
      const whole = cutPanel(panel, own, skin());
      const mean = (area(inner!.outline) + area(outer!.outline)) / 2;
      expect(Math.abs(mean / area(whole.outline) - 1)).toBeLessThan(1e-6);
    }
  });
  it('are marked each on its own inner face, a layer farther out than the one before', () => {
    for (const { panel, own } of all)
      expect(cutLayers(panel, own, skin(), 3).map(({ insideMm }) => insideMm)).toEqual([9, 6, 3]);
  });
  it('take a mark from the panel to the same place of the surface: edges onto edges, rulings onto rulings', () => {
    for (const { panel, own } of all) {
      const whole = cutPanel(panel, own, skin());
      const inner = at(cutLayers(panel, own, skin(), 2), 0);
      const over = flatOnto(whole, inner);
      whole.rulings.forEach((ruling, k) => {
        const same = at(inner.rulings, k);
        for (const share of [0, 0.3, 1]) {
          const found = over(lerp2(...wholeEnds(ruling), share));
          expect(distance2(found, lerp2(...wholeEnds(same), share))).toBeLessThan(1e-6);
        }
      });
    }
  });
});

describe('which panels are layered', () => {
  it('is a list that keeps the others; one layer is none', () => {
    const two = withLayers([{ id: 'side', layers: 3 }], 'bottom', 2);
    expect(two).toEqual([
      { id: 'side', layers: 3 },
      { id: 'bottom', layers: 2 },
    ]);
    expect(withLayers(two, 'side', 2).find(({ id }) => id === 'side')).toEqual({ id: 'side', layers: 2 });
    expect(withLayers(two, 'side', 1)).toEqual([{ id: 'bottom', layers: 2 }]);
    expect([layersOf('bottom', two), layersOf('other', two)]).toEqual([2, 1]);
  });
  it('names each after its panel and where it lies, on either hand', () => {
    const [{ panel, own }] = panelsOf('tamsel') as [ReturnType<typeof panelsOf>[number]];
    const layered = layeredOf(panel, ...cutLayers(panel, own, skin(), 2));
    expect(cutOf(panel)).toEqual([panel]);
    const names = (count: number) =>
      cutOf(layeredOf(panel, ...cutLayers(panel, own, skin(), count))).map(({ name }) => name.replace(/^.*, /, ''));
    expect([names(3), names(MOST_LAYERS)]).toEqual([
      ['inner layer', 'middle layer', 'outer layer'],
      ['inner layer', 'second layer', 'third layer', 'outer layer'],
    ]);
    expect(cutOf({ ...layered, id: 'b.port', name: 'Bottom, port', like: 'b', only: 'port' })).toMatchObject([
      { id: 'b.port.layer1', name: 'Bottom, port, inner layer', like: 'b.layer1', only: 'port' },
      { id: 'b.port.layer2', name: 'Bottom, port, outer layer', like: 'b.layer2', only: 'port' },
    ]);
  });
});
