import { describe, expect, it } from 'vitest';
import { at } from '../geometry';
import { battenAt, bendLines, linesOf, pointPath, type Longitudinal } from '../lines';
import { chineOnStem } from '../panels/fixtures/run-out-hulls';
import { demoProject } from './demos/index';
import { applyEdits } from './edits';
import { withFollowing } from './following';
import type { Project } from './document';

const project: Project = { ...demoProject('tamsel', 'x'), lines: linesOf(chineOnStem().longitudinals) };
const lineOf = ({ lines }: Project, id: string) => lines.longitudinals.find((line) => line.id === id) as Longitudinal;
const foot = lineOf(project, 'keel').points.findIndex(({ isKnuckle }) => isKnuckle);
const done = (edits: Parameters<typeof withFollowing>[1]): Project => {
  const made = applyEdits(project, withFollowing(project, edits));
  if (!made.ok) throw new Error(made.reason);
  return made.project;
};
const said = ({ lines }: Project) => bendLines(lines).findings.map(({ code }) => code);

describe('an edit of a line that another runs out on', () => {
  it('takes the other’s end along with the point that it lies on', () => {
    const { x, height } = at(lineOf(project, 'keel').points, foot);
    const after = done([
      { path: pointPath('keel', foot, 'x'), value: x - 30 },
      { path: pointPath('keel', foot, 'height'), value: height + 20 },
    ]);
    expect(at(lineOf(after, 'chine').points, 0).x).toBeCloseTo(x - 30, 2);
    expect(at(lineOf(after, 'chine').points, 0).height).toBeCloseTo(height + 20, 2);
    expect(said(after)).toEqual(['line-runs-out']);
  });
  it('takes it along with the batten where it lies between points', () => {
    const keel = at(bendLines(project.lines).value.lines, 0);
    const [x, halfBreadth, height] = battenAt(keel.batten, 0.31).position;
    const begin = { station: '', x, halfBreadth, height };
    const chine = {
      ...lineOf(project, 'chine'),
      points: [begin, ...lineOf(project, 'chine').points.filter((p) => p.x > x + 60)],
    };
    const between: Project = { ...project, lines: linesOf([lineOf(project, 'keel'), chine, lineOf(project, 'sheer')]) };
    const next = lineOf(project, 'keel').points.findIndex((p) => p.x > x);
    const edit = {
      path: pointPath('keel', next, 'height'),
      value: at(lineOf(project, 'keel').points, next).height - 25,
    };
    const plain = applyEdits(between, [edit]);
    const followed = applyEdits(between, withFollowing(between, [edit]));
    expect(plain.ok && said(plain.project)).not.toContain('line-runs-out');
    expect(followed.ok && said(followed.project)).toContain('line-runs-out');
  });
  it('leaves alone what the edit sets itself, what does not run out, and edits of other things', () => {
    const own = { path: pointPath('chine', 0, 'height'), value: 9 };
    const both = [{ path: pointPath('keel', foot, 'height'), value: 5 }, own];
    for (const edits of [
      both,
      [own],
      [{ path: pointPath('sheer', 4, 'height'), value: 610 }],
      [{ path: ['panels', 'thickness'], value: 9 }],
    ])
      expect(withFollowing(project, edits)).toBe(edits);
    const wrong = [{ path: pointPath('keel', foot, 'height'), value: 'high' }];
    expect(withFollowing(project, wrong)).toBe(wrong);
  });
});
