import { describe, expect, it } from 'vitest';
import { contains, type Vec2 } from '../geometry';
import { distanceToSegment } from '../geometry/polyline';
import { framesOnPanel } from '../frames/drawings';
import { createDerive, demoProject } from '../project';
import { markingCsv, panelDrawing, type PanelMarks } from './drawings';
import type { Panel } from './panel';
import { markOut } from './reading/marking';
import { stitchesOf } from './reading/seams';
import { BASE_LINES } from './schema';
import { writeDxf } from '../formats/writers/dxf';

const project = demoProject('tamsel', 'x');
const derived = createDerive()(project);
const { panels } = derived.panels.value;
const marks = (panel: Panel, part: Partial<PanelMarks['part']>): PanelMarks => ({
  stations: derived.lines.value.stations,
  panels,
  part: { ...project.panels, ...part },
  others: [framesOnPanel(panel, derived.frames.value.frames)],
  notation: 'mm',
});
const near = (outline: readonly Vec2[], p: Vec2): number =>
  Math.min(...outline.map((a, i) => distanceToSegment(p, a, outline[(i + 1) % outline.length] ?? a)));

describe.each(panels.map((panel) => [panel.name, panel] as const))('the drawing of %s to cut from', (_name, panel) => {
  const drawing = panelDrawing(panel, marks(panel, { waterline: 250 }));
  const layer = (name: string) => drawing.paths.filter(({ layerName }) => layerName === name);
  it('has every mark on the panel', () => {
    for (const { points, layer: kind } of drawing.paths)
      if (kind === 'mark')
        for (const p of points) expect(contains(panel.outline, p) || near(panel.outline, p) < 0.1).toBe(true);
  });
  it('has both faces of each frame, the waterline, and a hole for each stitch', () => {
    expect(layer('FRAMES')).toHaveLength(2 * derived.frames.value.frames.length);
    expect(layer('WATERLINE').length).toBeGreaterThan(0);
    expect(layer('HOLES')).toHaveLength(stitchesOf(panel, panels, project.panels).length);
    for (const { name } of derived.frames.value.frames)
      expect(drawing.texts.map(({ text }) => text)).toContain(`${name}: bare, fillets beside`);
    expect(drawing.texts.map(({ text }) => text)).toContain('FORE');
  });
  it('leaves out what is not asked for', () => {
    const part = { stitches: { spacing: 0, inset: 9 }, waterline: null };
    const bare = panelDrawing(panel, { ...marks(panel, part), others: [], notation: 'mm' });
    expect(bare.paths.filter(({ layerName }) => layerName !== undefined)).toEqual([]);
  });
  it('names its layers in a DXF', () => {
    const dxf = writeDxf(drawing);
    for (const name of ['frames', 'waterline', 'holes']) expect(dxf.toLowerCase()).toContain(name);
  });
  it.each(BASE_LINES)('has its offsets from the line %s the panel as CSV, to the tenth', (markingBase) => {
    const [head, ...rows] = markingCsv(panel, { markingStep: 150, markingBase, markingStray: 0.3 }, 'mm')
      .trim()
      .split('\n');
    expect(head).toBe('along,lower_edge,upper_edge,corner');
    const wanted = markOut(panel, 150, markingBase, 0.3).rows;
    expect(rows).toHaveLength(wanted.length);
    rows.forEach((row, i) => {
      const [u, lower, upper] = row.split(',').map(Number);
      expect(Math.abs((u ?? NaN) - (wanted[i]?.u ?? NaN))).toBeLessThan(0.051);
      expect(Math.abs((lower ?? NaN) - (wanted[i]?.lower ?? NaN))).toBeLessThan(0.051);
      expect(Math.abs((upper ?? NaN) - (wanted[i]?.upper ?? NaN))).toBeLessThan(0.051);
    });
  });
});
