import { describe, expect, it } from 'vitest';
import { at, cross3, distance3, dot3, sub3, unit3, type Vec3 } from '@kalotrope/core/geometry';
import { createDerive, DEMO_IDS, demoProject } from '@kalotrope/core/project';
import { fittedBody, frameBody, transomBody } from './bodies';
import { ACROSS, emptyShell, fillShell, outlineOf } from './shell';
import { takeApart } from './take-apart';

const derive = createDerive();
const ROWS = ACROSS.length;
const HAIR_MM = 0.01; // the buffers are of single precision

describe.each(DEMO_IDS.map((id) => [id] as const))('the hull of %s in the round', (id) => {
  const project = demoProject(id, 'x');
  const { panels: skin, frames } = derive(project);
  const { panels, transoms } = skin.value;
  const filled = panels.map((panel) => {
    const shape = panel.rulings;
    const geometry = emptyShell(shape.length);
    const faces = { outer: 0, inner: -6 };
    fillShell(geometry, { panel, shape, faces, field: undefined, thickness: 6, isJoined: [true, true] });
    return { panel, geometry };
  });
  const vecOf = (geometry: ReturnType<typeof emptyShell>, name: string, i: number): Vec3 => {
    const attribute = geometry.getAttribute(name);
    return [attribute.getX(i), attribute.getY(i), attribute.getZ(i)];
  };

  it('has its outer face on the lines’ surface, its inner a sheet’s thickness within, normals out of the hull', () => {
    for (const { panel, geometry } of filled) {
      const count = panel.rulings.length;
      panel.rulings.forEach((ruling, k) => {
        expect(distance3(vecOf(geometry, 'position', k * ROWS), ruling.p)).toBeLessThan(HAIR_MM);
        expect(distance3(vecOf(geometry, 'position', k * ROWS + ROWS - 1), ruling.q)).toBeLessThan(HAIR_MM);
        const [outer, inner] = [k * ROWS + 3, count * ROWS + k * ROWS + 3];
        const through = sub3(vecOf(geometry, 'position', outer), vecOf(geometry, 'position', inner));
        expect(dot3(through, ruling.normal)).toBeCloseTo(6, 2);
        expect(dot3(vecOf(geometry, 'normal', outer), ruling.normal)).toBeCloseTo(1, 4);
        expect(dot3(vecOf(geometry, 'normal', inner), ruling.normal)).toBeCloseTo(-1, 4);
      });
    }
  });
  it('has an outline that passes every point of the edge once, and no corner that is no number', () => {
    for (const { panel, geometry } of filled) {
      const outline = outlineOf(panel.rulings.length);
      expect(new Set(outline).size).toBe(2 * panel.rulings.length + 2 * (ROWS - 2));
      for (const name of ['position', 'normal', 'color', 'uv'])
        expect([...geometry.getAttribute(name).array].every(Number.isFinite)).toBe(true);
      const corners = geometry.getAttribute('position').count;
      expect([...(geometry.getIndex()?.array ?? [])].every((i) => i >= 0 && i < corners)).toBe(true);
    }
  });
  it('is darker within, in the seams, than between them', () => {
    for (const { panel, geometry } of filled) {
      const count = panel.rulings.length;
      const k = Math.floor(count / 2);
      const { p, q } = at(panel.rulings, k);
      if (distance3(p, q) < 200) continue;
      const red = (row: number) => geometry.getAttribute('color').getX(count * ROWS + k * ROWS + row);
      expect(red(0)).toBeLessThan(0.8 * red(Math.floor(ROWS / 2)));
    }
  });
  it('is taken apart from the hull as it is to panels that lie flat beside one another', () => {
    const length = 4000;
    expect(takeApart(panels, 0, length).shapes).toEqual(panels.map(({ rulings }) => rulings));
    const { out, shapes } = takeApart(panels, 1, length);
    expect(out).toBe(1);
    for (const [i, shape] of shapes.entries()) {
      // a panel with twist is not quite flat when its facets are laid out
      const [a, b, c] = [at(shape, 0).p, at(shape, -1).p, at(shape, Math.floor(shape.length / 2)).q];
      const square = unit3(cross3(sub3(b, a), sub3(c, a)));
      const off = shape.flatMap(({ p, q }) => [p, q].map((point) => Math.abs(dot3(sub3(point, a), square))));
      if (at(panels, i).maxTwist.value < 0.1) expect(Math.max(...off)).toBeLessThan(1);
      const lengths = at(panels, i).rulings.map(({ p, q }) => distance3(p, q));
      shape.forEach(({ p, q }, k) => expect(distance3(p, q)).toBeCloseTo(at(lengths, k), 3));
    }
  });
  it('has cleats, gussets and doublers on the faces that they go on, as thick as they are', () => {
    for (const frame of frames.value.frames) {
      const body = fittedBody(frame);
      const doublers = frame.rims.filter(({ region }) => region.holes.length > 0);
      const plates = frame.timbered?.plates ?? [];
      const both = plates.some(({ faces }) => faces > 1);
      expect(body !== undefined).toBe(frame.cleats.length + doublers.length + plates.length > 0);
      if (!body || frame.rakeRad !== 0) continue;
      const [near, far] = frame.face === 'fore' ? [frame.x, frame.x + frame.width] : [frame.x - frame.width, frame.x];
      const on = (face: 'fore' | 'aft') => [
        ...frame.cleats.filter((cleat) => cleat.face === face).map(({ depthMm }) => depthMm),
        ...(frame.face === face ? doublers.map(({ thicknessMm }) => thicknessMm) : []),
        ...(both || frame.face === face ? plates.map(({ thicknessMm }) => thicknessMm) : []),
      ];
      body.computeBoundingBox();
      const { min, max } = body.boundingBox!; // just computed
      expect(min.x).toBeCloseTo(on('fore').length > 0 ? near - Math.max(...on('fore')) : far, 3);
      expect(max.x).toBeCloseTo(on('aft').length > 0 ? far + Math.max(...on('aft')) : near, 3);
    }
  });
  it('has frames and transoms as thick as they are', () => {
    for (const frame of frames.value.frames) {
      const geometry = frameBody(frame);
      geometry.computeBoundingBox();
      const { min, max } = geometry.boundingBox!; // just computed
      // of one that leans the body leans too
      if (frame.rakeRad !== 0) continue;
      expect(max.x - min.x).toBeCloseTo(frame.width, 3);
      expect(frame.face === 'fore' ? min.x : max.x).toBeCloseTo(frame.x, 3);
      expect(max.y).toBeCloseTo(Math.max(...frame.cut.outline.map(([y]) => y)), 2);
    }
    for (const transom of transoms) {
      const geometry = transomBody(transom, 9);
      const position = geometry.getAttribute('position');
      const along = (i: number) =>
        position.getX(i) * Math.cos(transom.rakeRad) - position.getZ(i) * Math.sin(transom.rakeRad);
      const places = Array.from({ length: position.count }, (_, i) => along(i));
      if (!transom.rows) expect(Math.max(...places) - Math.min(...places)).toBeCloseTo(9, 0);
    }
  });
});
