/** Ways of joining: a blank first, joints on frames, scarfs planed in a stack. */
import { describe, expect, it } from 'vitest';
import { area, at, boundsOf, contains, unionOf, widened } from '../geometry';
import { createDerive, demoProject, DEMO_IDS, wholeOf, type Project } from '../project';
import { marksOfParts } from '../sheets/part-marks';
import { piecesOf } from '../sheets/parts';
import { planedEnds, planingStack } from './planing';

const derive = createDerive();
const withJoints = (project: Project, joints: Partial<Project['joints']>): Project => ({
  ...project,
  joints: { ...project.joints, ...joints },
});

describe.each(DEMO_IDS.map((id) => [id] as const))('a blank of %s', (id) => {
  const project = withJoints(demoProject(id, 'x'), { way: 'blank' });
  const { panels, joints } = derive(project);
  const blanks = joints.value.filter(({ isBlank }) => isBlank);
  it('is a rectangle of as many sheets as pieces, each lap lost once, with the panel on it', () => {
    for (const { panel: panelId, joints: own, pieces, length, from } of blanks) {
      const panel = at(
        panels.value.panels.filter((one) => one.id === panelId),
        0,
      );
      const net = boundsOf(panel.outline);
      const long = pieces.reduce((sum, { outline }) => sum + boundsOf(outline).maxX - boundsOf(outline).minX, 0);
      const lost = own.reduce((sum, { lap }) => sum + lap, 0);
      expect(long - lost).toBeCloseTo(length, 2);
      const [blank] = unionOf(pieces.map(({ outline }) => outline));
      expect(area(blank ?? [])).toBeCloseTo(length * (net.maxY - net.minY), -1);
      expect(boundsOf(blank ?? []).minX).toBeCloseTo(from, 3);
      const [room] = widened(blank ?? [], 0.01);
      for (const p of panel.outline) expect(contains(room ?? [], p)).toBe(true);
    }
  });
});

it('a blank’s pieces carry the edge of the panel that is cut from it', () => {
  const project = withJoints(demoProject('tamsel', 'x'), { way: 'blank' });
  const derived = derive(project);
  const { parts } = derived.sheets.value;
  const marksOf = marksOfParts(wholeOf(project, derived, {}), parts);
  const blank = parts.filter(({ name }) => name.includes('blank'));
  expect(blank.length).toBeGreaterThan(3);
  for (const part of blank) {
    const marks = marksOf(at(piecesOf(part), 0)).paths.filter(({ layerName }) => layerName === 'NET');
    const long = marks.reduce((sum, { points }) => sum + boundsOf(points).maxX - boundsOf(points).minX, 0);
    const box = boundsOf(part.outline);
    // both long edges of the panel run over most of the piece
    expect(long).toBeGreaterThan(1.2 * (box.maxX - box.minX));
  }
});

describe('joints wanted on frames', () => {
  it.each(DEMO_IDS)('of %s are in the middle of one, or are told', (id) => {
    const project = withJoints(demoProject(id, 'x'), { kind: 'strap', toFrames: 'on' });
    const { joints } = derive(project);
    const told = joints.findings.filter(({ code }) => code === 'joint-off-frames').length;
    // half of a strap's width less than the room to the frame's face is nought where it stands on it
    const on = joints.value.flatMap((panel) => panel.joints).filter(({ around }) => around.frame?.clearMm === 0);
    const all = joints.value.flatMap((panel) => panel.joints).length;
    expect(on.length + told).toBeGreaterThanOrEqual(all);
    expect(joints.findings.some(({ code }) => code === 'frame-in-joint' || code === 'joint-near-frame')).toBe(false);
  });
  it('are moved there: the Tamsel’s go to a frame within their room', () => {
    const clear = derive(demoProject('tamsel', 'x')).joints;
    const on = derive(withJoints(demoProject('tamsel', 'x'), { toFrames: 'on' })).joints;
    const us = [clear, on].map(({ value }) => value.flatMap((panel) => panel.joints.map(({ u }) => u)));
    expect(us[0]).not.toEqual(us[1]);
  });
});

describe('scarfs planed in a stack', () => {
  const project = demoProject('tamsel', 'x');
  const { joints } = derive(project);
  it('have every piece once for each of its tapers, the forward one inside up', () => {
    expect(planedEnds(joints.value).map(({ piece, end, up }) => `${piece} ${end} ${up}`)).toEqual([
      'Bottom 1 of 2 aft inside',
      'Bottom 2 of 2 fore outside',
      'Side 1 of 2 aft inside',
      'Side 2 of 2 fore outside',
    ]);
  });
  it('lie back by the scarf, so that one straight slope is the taper of each', () => {
    const stack = planingStack(joints.value, { thickness: 6, notation: 'mm' });
    const slope = stack?.paths.find(({ layer }) => layer === 'cut')?.points ?? [];
    expect(slope).toEqual([
      [0, 0],
      [-4 * 48, 4 * 6],
    ]);
    const edges = (stack?.paths ?? []).filter(({ layer }) => layer === 'mark').map(({ points }) => boundsOf(points));
    edges.forEach(({ maxX, minY, maxY }, k) => {
      // lower edge of the taper on the slope at the sheet's own end; upper one a scarf further in
      expect(maxX).toBe(-48 * k);
      expect([minY, maxY]).toEqual([6 * k, 6 * (k + 1)]);
      expect(minY).toBeCloseTo((-maxX * 6) / 48, 9);
    });
  });
  it('are none where nothing is scarfed', () => {
    const strapped = derive(withJoints(project, { kind: 'strap' })).joints.value;
    expect(planingStack(strapped, { thickness: 6, notation: 'mm' })).toBeUndefined();
  });
});
