import { describe, expect, it } from 'vitest';
import { area, at, boundsOf, contains, unionOf, type Vec2 } from '../../geometry';
import { distanceToSegment } from '../../geometry/polyline';
import { outgoingDrawings } from '../../exchange/export-files';
import { createDerive, demoProject, DEMO_IDS, type Project } from '../../project';
import { cutLineOf } from './cut-line';

const LEFT = { lower: 6, upper: 4, fore: 12, aft: 9 };
const proud = (project: Project, panels: Partial<Project['panels']> = {}): Project => ({
  ...project,
  panels: { ...project.panels, proud: LEFT, transomProud: { skin: 8, top: 15 }, ...panels },
});
const off = (ring: readonly Vec2[], p: Vec2): number =>
  Math.min(...ring.map((a, i) => distanceToSegment(p, a, at(ring, (i + 1) % ring.length))));

describe.each(DEMO_IDS.map((id) => [id] as const))('%s cut proud', (id) => {
  const project = demoProject(id, 'x');
  const derive = createDerive();
  const [bare, left] = [derive(project), derive(proud(project))];
  const pairs = left.panels.value.panels.map((panel, i) => ({ panel, net: at(bare.panels.value.panels, i) }));
  it('keeps every panel’s net line, its edges and its area', () => {
    for (const { panel, net } of pairs) {
      expect({ ...panel, proud: undefined }).toEqual({ ...net, proud: undefined });
      expect(net.proud).toBeUndefined();
    }
  });
  it('leaves on along each edge what was asked for, square to it', () => {
    for (const { panel } of pairs) {
      const cut = cutLineOf(panel);
      panel.edges.forEach((edge, k) => {
        const middle = at(edge.points, Math.floor(edge.points.length / 2)).flat;
        expect(off(cut, middle)).toBeCloseTo(k === 0 ? LEFT.lower : LEFT.upper, 2);
      });
      for (const p of panel.outline) expect(contains(cut, p)).toBe(true);
    }
  });
  it('is jointed and cut from sheets as it is cut: the pieces make the cut line again', () => {
    for (const { panel } of pairs) {
      const jointed = left.joints.value.find((one) => one.panel === panel.id);
      const whole = unionOf((jointed?.pieces ?? []).map(({ outline }) => outline)).sort((a, b) => area(b) - area(a));
      const cut = cutLineOf(panel);
      // within 0.01 mm along the whole edge
      expect(Math.abs(area(at(whole, 0)) - area(cut))).toBeLessThan(0.01 * 2 * (jointed?.length ?? 0));
      const cuts = left.sheets.value.parts.filter((part) => jointed?.pieces.some(({ id: piece }) => piece === part.id));
      expect(boundsOf(cuts.flatMap(({ outline }) => outline)).minX).toBeCloseTo(boundsOf(cut).minX, 3);
    }
  });
  it('makes transoms larger along the skin and higher at the top', () => {
    left.panels.value.transoms.forEach((transom, i) => {
      const net = at(bare.panels.value.transoms, i);
      const [large, small] = [boundsOf(cutLineOf(transom)), boundsOf(net.outline)];
      expect(transom.outline).toEqual(net.outline);
      expect(large.maxY - small.maxY).toBeCloseTo(15, 1);
      expect(large.maxX - small.maxX).toBeGreaterThan(7.9);
      expect(large.maxX).toBeCloseTo(-large.minX, 3);
    });
  });
  it('has the net line on what is cut from', () => {
    const drawings = outgoingDrawings({ project: proud(project), derived: left, found: {} });
    const panels = drawings.filter(({ item }) => pairs.some(({ panel }) => panel.id === item.name));
    expect(panels).toHaveLength(pairs.length);
    for (const { item } of panels) expect(item.paths.some(({ layerName }) => layerName === 'NET')).toBe(true);
  });
});

it('gives a panel its own allowance in place of the boat’s', () => {
  const project = demoProject('tamsel', 'x');
  const own = { id: 'chine-sheer', lower: 0, upper: 0, fore: 0, aft: 0 };
  const panels = createDerive()(proud(project, { ownProud: [own] })).panels.value.panels;
  expect(panels.map(({ proud: cut }) => cut !== undefined)).toEqual([true, false]);
});

it('cuts a frame proud with its net line inside', () => {
  const project = demoProject('tamsel', 'x');
  const plain = project.frames.frames.map((frame) => ({ ...frame, limbers: [], openings: [] }));
  const frames = plain.map((frame) => ({ ...frame, proud: { skin: 5, top: 20 } }));
  const [bare, left] = [plain, frames].map(
    (own) =>
      createDerive()({ ...project, frames: { ...project.frames, members: [], frames: own } }).frames.value.frames,
  );
  left?.forEach((frame, i) => {
    const net = boundsOf(frame.net ?? []);
    const whole = boundsOf(at(bare ?? [], i).cut.outline);
    for (const key of ['minX', 'minY', 'maxX', 'maxY'] as const) expect(net[key]).toBeCloseTo(whole[key], 3);
    expect(boundsOf(frame.cut.outline).maxY - net.maxY).toBeCloseTo(20, 3);
  });
});
