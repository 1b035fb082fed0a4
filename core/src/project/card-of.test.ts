import { describe, expect, it } from 'vitest';
import { bendCard, type Card } from '../bend';
import { drawLines } from '../lines';
import { developPanels } from '../panels';
import { cardOfPanel, mayBeCard, ownCardTaken } from './card-of';
import { demoProject, type DemoId } from './demos/index';
import type { Project } from './document';
import { applyEdits } from './edits';

function cardOf(demo: DemoId, panel: string, frames?: readonly number[]): { project: Project; card: Card } {
  const project = demoProject(demo, 'x');
  const xs = frames ?? project.frames.frames.map(({ x }) => x);
  const made = cardOfPanel(drawLines(project.lines).value, { panel, frames: xs, thickness: 6 });
  if (!made.ok) throw new Error(made.why);
  return { project, card: made.card };
}
function taken(project: Project, card: Card): Project {
  const made = bendCard(card);
  if (!made.ok) throw new Error(made.problem.why);
  const edited = applyEdits(project, ownCardTaken(project, card, made.bent));
  if (!edited.ok) throw new Error(edited.reason);
  return edited.project;
}
/** How far the points of a line stand from where they stood, at most. */
const off = (one: Project, other: Project, id: string) => {
  const points = (project: Project) => project.lines.longitudinals.find((line) => line.id === id)?.points ?? [];
  return Math.max(
    ...points(one).map((p, k) => {
      const q = points(other)[k];
      return q ? Math.hypot(p.x - q.x, p.halfBreadth - q.halfBreadth, p.height - q.height) : Infinity;
    }),
  );
};

describe('a panel of the boat as a card', () => {
  it('bends to her lines again, the nearer the more frames hold it', () => {
    const few = cardOf('tamsel', 'chine-sheer');
    expect(few.card.spreaders).toHaveLength(3);
    expect(few.card.lines).toEqual({ lower: 'chine', upper: 'sheer' });
    const stations = drawLines(few.project.lines).value.stations.map(({ x }) => x);
    const inner = stations.filter((x) => x > 300 && x < 4000);
    const many = cardOf('tamsel', 'chine-sheer', inner);
    for (const line of ['chine', 'sheer']) {
      expect(off(few.project, taken(few.project, few.card), line)).toBeLessThan(15);
      expect(off(many.project, taken(many.project, many.card), line)).toBeLessThan(5);
    }
  });
  it('gives back the side of a slender hull, which nine frames hold, to a tenth', () => {
    const { project, card } = cardOf('ilven', 'upper-chine-sheer');
    const after = taken(project, card);
    expect(off(project, after, 'sheer')).toBeLessThan(0.2);
  });
  it('dragged at an edge changes her two lines, and nothing else of her', () => {
    const { project, card } = cardOf('tamsel', 'chine-sheer');
    const lower = { ...card, upper: card.upper.map((p, k) => (k === 4 ? { ...p, up: p.up - 40 } : p)) };
    const [as, after] = [taken(project, card), taken(project, lower)];
    expect(off(as, after, 'sheer')).toBeGreaterThan(20);
    expect(off(project, after, 'keel')).toBe(0);
    const { lines: _lines, ...others } = after;
    const { lines: _before, ...kept } = project;
    expect(others).toEqual(kept);
  });
  it('gives back the side of a pram, which ends on a transom at the bow too', () => {
    const { project, card } = cardOf('orrin', 'chine-sheer');
    expect([card.hasBowTransom, card.hasTransom, card.stem]).toEqual([true, true, 0]);
    const after = taken(project, card);
    for (const line of ['chine', 'sheer']) expect(off(project, after, line)).toBeLessThan(15);
  });
  it('is refused where it is none: a bottom laid across, a panel that is not there', () => {
    const hull = drawLines(demoProject('orrin', 'x').lines).value;
    const ask = (panel: string) => cardOfPanel(hull, { panel, frames: [900], thickness: 6 });
    expect([ask('chine-chine'), ask('none')].map((made) => (made.ok ? 'made' : made.why))).toEqual([
      ...['several lines', 'shape'],
    ]);
    const panels = developPanels(hull, { thickness: 6 }).value;
    expect(panels.filter(mayBeCard).map(({ id }) => id)).toEqual(['chine-sheer']);
  });
});
