/** Labels of parts: one a part and hand, and a square that says where it leads. */
import { encode } from 'uqr';
import { describe, expect, it } from 'vitest';
import { drawingBounds, type DrawnPath } from '../formats/drawing';
import { createDerive, demoProject, wholeOf } from '../project';
import { partLabels } from './labels';

const project = demoProject('tamsel', 'b2f0a0de-4c1c-4a55-9f0e-2f5d0a1b2c3d');
const whole = wholeOf(project, createDerive()(project), {}, {});
const HOME = 'http://localhost:4173';
const FIELD_MM = 0.7;

/** The fields that strokes cover, the first row on top. */
function fieldsOf(strokes: readonly DrawnPath[]): boolean[][] {
  const box = drawingBounds({ name: '', paths: strokes, texts: [] });
  const size = Math.round((box.maxX - box.minX) / FIELD_MM);
  return Array.from({ length: size }, (_, r) =>
    Array.from({ length: size }, (__, c) => {
      const x = box.minX + (c + 0.5) * FIELD_MM;
      const y = box.maxY - r * FIELD_MM;
      return strokes.some(({ points: [a, b] }) => Math.abs(a![1] - y) < 0.1 && a![0] < x && b![0] > x);
    }),
  );
}

describe('labels', () => {
  const sheets = partLabels(whole, HOME)!;
  const words = sheets.pages.flatMap(({ texts }) => texts.map(({ text }) => text));
  it('are one for every part of either hand', () => {
    const { parts } = whole.values.sheets;
    const count = parts.reduce((sum, { isPair }) => sum + (isPair ? 2 : 1), 0);
    expect(words.filter((text) => text === `${project.name}, rev ${project.revision}`)).toHaveLength(count);
    expect(words.filter((text) => text === 'port')).toHaveLength(parts.filter(({ isPair }) => isPair).length);
  });
  it('have FORE on what lies along the boat, and the face on what stands athwart', () => {
    const athwart = whole.values.frames.frames.length + whole.values.panels.transoms.length;
    const all = words.filter((text) => text === `${project.name}, rev ${project.revision}`).length;
    expect(words.filter((text) => text === 'FORE')).toHaveLength(all - athwart);
    expect(words).toContain('forward face up');
    expect(words).toContain('inside face up');
  });
  it('have the square of the address, field by field', () => {
    const [first] = sheets.pages;
    const [one] = whole.values.sheets.parts;
    // strokes of one label: those that lie in the first one's box
    const strokes = first!.paths.filter(({ widthMm, points }) => widthMm === FIELD_MM && points.length === 2);
    const corner = first!.paths
      .filter(({ points, widthMm }) => points.length === 4 && widthMm === 0.18)
      .map(({ points }) => points);
    const box = corner.find((ring) => ring[1]![0] - ring[0]![0] === 64)!;
    const inside = strokes.filter(
      ({ points: [a] }) => a![0] > box[0]![0] && a![0] < box[1]![0] && a![1] > box[0]![1] && a![1] < box[2]![1],
    );
    const panel = whole.values.panels.panels[0]!;
    const asked = encodeURIComponent(`${panel.name}${one!.isPair ? ', starboard' : ''}`);
    const address = `${HOME}/project/${project.id}/shop?part=${asked}`;
    expect(fieldsOf(inside)).toEqual(encode(address, { ecc: 'L', border: 0 }).data);
  });
  it('have no square larger than the label, however long a name is', () => {
    const [first] = whole.values.panels.panels;
    const long = { ...first!, name: 'Ж'.repeat(60) };
    const panels = { ...whole.values.panels, panels: [long, ...whole.values.panels.panels.slice(1)] };
    for (const home of [HOME, undefined, `http://${'a'.repeat(400)}`]) {
      const { pages, size } = partLabels({ ...whole, values: { ...whole.values, panels } }, home)!;
      for (const [x, y] of pages.flatMap(({ paths }) => paths.flatMap(({ points }) => [...points])))
        expect(x > 12 - 0.01 && x < size.width - 12 + 0.01 && y > 12 - 0.01 && y < size.height - 12 + 0.01).toBe(true);
      for (const { points, widthMm } of pages[0]!.paths)
        if (widthMm === FIELD_MM && points.length === 2) expect(points[1]![0] - points[0]![0]).toBeLessThan(32);
    }
  });
  it('without an address say in the square whose they are; of nothing there are none', () => {
    expect(partLabels(whole, undefined)!.pages.length).toBe(sheets.pages.length);
    const nothing = { ...whole, values: { ...whole.values, sheets: { ...whole.values.sheets, parts: [] } } };
    expect(partLabels(nothing, HOME)).toBeUndefined();
  });
});
