/** Places that are glued, by the areas that the glue is counted from. */
import { describe, expect, it } from 'vitest';
import { area, boundsOf, contains } from '../geometry';
import { cutLineOf } from '../panels';
import { createDerive, demoProject } from '../project';
import { gluedAreas } from './glued-areas';

const derive = createDerive();

describe.each(['tamsel', 'orrin', 'veyra'] as const)('what is glued on the panels of %s', (id) => {
  const { panels, frames, epoxy } = derive(demoProject(id, 'x'));
  const all = panels.value.panels.map((panel) => ({ panel, glued: gluedAreas(panel, frames.value) }));
  const glueOf = (item: string) => {
    const from = epoxy.value.lines.find((line) => line.group === 'glue' && line.item === item)?.from;
    return from?.kind === 'glued' ? from.areaM2 : 0;
  };
  const laid = (name: string, hands: (panel: (typeof all)[number]['panel']) => number) =>
    all.reduce((sum, { panel, glued }) => {
      const own = glued.filter((one) => one.name === name);
      return sum + own.reduce((mm2, { outline }) => mm2 + Math.abs(area(outline)), 0) * hands(panel);
    }, 0) / 1e6;

  it('under each member is as much as its glue was counted from', () => {
    for (const { name, isPair } of frames.value.members)
      expect(
        laid(name, () => (isPair ? 2 : 1)),
        name,
      ).toBeCloseTo(glueOf(name), 6);
  });
  it('under a framed edge is what lies between its two faces, on either hand', () => {
    const framed = frames.value.frames.filter(
      ({ kind, edges }) => kind !== 'mould' && edges.every(({ school }) => school === 'framed'),
    );
    for (const { name } of framed) {
      const counted = glueOf(`${name}, edge`);
      // counted along the station face; the two faces are not of one length
      expect(laid(name, ({ spansCentreline }) => (spansCentreline ? 1 : 2)) / counted, name).toBeGreaterThan(0.97);
      expect(laid(name, ({ spansCentreline }) => (spansCentreline ? 1 : 2)) / counted, name).toBeLessThan(1.06);
    }
    expect(framed.length > 0).toBe(id === 'orrin');
  });
  it('lies on the panel, but for what a log’s own edge reaches past it', () => {
    for (const { panel, glued } of all)
      for (const { outline, name } of glued) {
        const { minX, minY, maxX, maxY } = boundsOf(outline);
        expect(contains(cutLineOf(panel), [(minX + maxX) / 2, (minY + maxY) / 2]) || maxX - minX > 500, name).toBe(
          true,
        );
      }
  });
  it('is nothing under a filleted edge', () => {
    const filleted = frames.value.frames.filter(({ edges }) => edges.every(({ school }) => school === 'filleted'));
    const names = all.flatMap(({ glued }) => glued.map(({ name }) => name));
    for (const { name } of filleted) expect(names).not.toContain(name);
  });
});
