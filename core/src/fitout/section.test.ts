import { describe, expect, it } from 'vitest';
import { createDerive, demoProject } from '../project';
import { boundsOf } from '../geometry';
import { plainInside } from './plans';
import { sectionOf } from './section';
import { insideAtFirst } from './schema';

const project = demoProject('tamsel', 'x');
const derive = createDerive();
const skin = { inside: 6, outside: 0 };

describe('the boat cut across', () => {
  const { panels, fitout } = derive(project);
  const at = (x: number) => sectionOf({ panels: panels.value.panels, ...fitout.value }, x, skin);
  it('has the skin of both sides, its inside within its outside', () => {
    const { skin: lines } = at(3000);
    expect(lines).toHaveLength(8);
    const outs = lines.map((line) => Math.max(...line.map(([y]) => y)));
    expect(Math.max(...outs)).toBeCloseTo(689.7, 0);
  });
  it('has every part that lies there and no other, each as thick as its sheet, a pair twice', () => {
    const names = (x: number) => at(x).parts.map(({ name }) => name);
    expect(names(3000)).toEqual(['Sole', 'Sole', 'Side seat', 'Side seat']);
    expect(names(600)).toEqual(['Foredeck']);
    expect(names(1400)).toEqual([]);
    for (const { outline, name } of at(3000).parts) {
      const { minY, maxY } = boundsOf(outline);
      expect(maxY - minY, name).toBeCloseTo(9, 6);
    }
  });
  it('tells the height of each upper face: the seat 188 over the sole', () => {
    const tops = at(3000).parts.map(({ topMm }) => topMm);
    expect(tops[0]).toBeCloseTo(181, 6);
    expect(tops[2]! - tops[0]!).toBeCloseTo(188, 6);
  });
  it('parts a part at its hatch, and follows its camber', () => {
    const hatch = {
      id: 'h',
      shape: 'rounded',
      x: 3000,
      out: 0,
      long: 400,
      wide: 300,
      corner: 0,
      isPair: false,
    } as const;
    const whole = plainInside({
      ...{ id: 'p', name: 'Sole', kind: 'sole', from: 2500, to: 3400, hatches: [hatch] },
      height: { fore: 172, aft: 172, of: 'under' },
    });
    const cut = derive({ ...project, fitout: { ...insideAtFirst(), parts: [whole] } });
    const { parts } = sectionOf({ panels: cut.panels.value.panels, ...cut.fitout.value }, 3000, skin);
    expect(parts).toHaveLength(2);
    expect(boundsOf(parts[0]!.outline).maxX).toBeCloseTo(-150, 3);
    const [deck] = at(600).parts;
    const { minY, maxY, maxX } = boundsOf(deck!.outline);
    // an arc of 2520 over its half-breadth, and the sheet’s thickness
    expect(maxY - minY).toBeCloseTo(6 + 2520 - Math.sqrt(2520 ** 2 - maxX ** 2), 1);
  });
});
