import { describe, expect, it } from 'vitest';
import { startLines, type Starter } from '../lines';
import { newProject } from './defaults';
import { demoProject } from './demos/index';
import { projectSchema, type Project } from './document';
import { applyEdits } from './edits';
import { cardTaken, isAsDrawn, redrawn } from './redraw';

const SKIFF: Starter = { kind: 'skiff', dimensions: { length: 4000 } };

function drawnFrom(starter: Starter): Project {
  const started = startLines(starter.kind, starter.dimensions);
  if (!started.ok) throw new Error('refused');
  return newProject({ id: 'own', name: 'Own', notation: 'mm', lines: { ...started.lines, starter } });
}
function made(project: Project, starter: Starter): Project {
  const change = redrawn(project, starter);
  const edited = change.ok && applyEdits(project, change.edits);
  if (!edited || !edited.ok) throw new Error('refused');
  return edited.project;
}
const longer: Starter = { kind: 'skiff', dimensions: { length: 5000 } };

describe('a boat drawn from dimensions', () => {
  const boat = drawnFrom(SKIFF);
  it('keeps them in its file', () => {
    expect(projectSchema.parse(JSON.parse(JSON.stringify(boat))).lines.starter).toEqual(SKIFF);
    expect(isAsDrawn(boat)).toBe(true);
  });
  it('is drawn anew from others as one drawn from those at once, frames included', () => {
    const again = made(boat, longer);
    expect(again).toEqual(drawnFrom(longer));
    expect(isAsDrawn(again)).toBe(true);
  });
  it('keeps frames that were moved', () => {
    const moved = applyEdits(boat, [{ path: ['frames', 'frames', boat.frames.frames[0]!.id, 'x'], value: 700 }]);
    if (!moved.ok) throw new Error(moved.reason);
    expect(made(moved.project, longer).frames).toEqual(moved.project.frames);
  });
  it('is no longer as drawn once a figure is changed, or one waits in its cell; drawn anew it is', () => {
    const path = ['lines', 'longitudinals', 'sheer', 'points', 2, 'height'];
    const changed = applyEdits(boat, [{ path, value: 1 }]);
    if (!changed.ok) throw new Error(changed.reason);
    expect(isAsDrawn(changed.project)).toBe(false);
    expect(isAsDrawn(made(changed.project, SKIFF))).toBe(true);
    const waiting: Project = {
      ...boat,
      lines: { ...boat.lines, openCells: [{ line: 'sheer', column: '9', quantity: 'height', text: 'x' }] },
    };
    expect(isAsDrawn(waiting)).toBe(false);
    expect(isAsDrawn(made(waiting, SKIFF))).toBe(true);
  });
  it('refuses dimensions that do not work, with the nearest that do', () => {
    expect(redrawn(boat, { kind: 'skiff', dimensions: { length: 90_000 } })).toEqual({
      ok: false,
      problems: [{ key: 'length', nearest: 8000 }],
    });
  });
  it('a boat from a table is none', () => expect(isAsDrawn(demoProject('tamsel', 'x'))).toBe(false));
});

describe('a card’s lines put into the table', () => {
  const taken = (project: Project): Project => {
    const table = startLines('skiff', { length: 4500 });
    const edited = table.ok && applyEdits(project, cardTaken(project, table.lines.longitudinals));
    if (!edited || !edited.ok) throw new Error('refused');
    return edited.project;
  };
  it('take the place of those that are there, and of what they were drawn from; frames go with them', () => {
    const boat = taken(drawnFrom(SKIFF));
    expect(boat.lines.starter).toBeUndefined();
    expect(boat.frames).toEqual(drawnFrom({ kind: 'skiff', dimensions: { length: 4500 } }).frames);
    expect(taken(boat).lines).toEqual(boat.lines);
  });
  it('leave frames that were moved, and all else', () => {
    const boat = drawnFrom(SKIFF);
    const moved = applyEdits(boat, [{ path: ['frames', 'frames', boat.frames.frames[0]!.id, 'x'], value: 700 }]);
    if (!moved.ok) throw new Error(moved.reason);
    const { lines: _lines, ...others } = taken(moved.project);
    const { lines: _before, ...kept } = moved.project;
    expect(others).toEqual(kept);
  });
});
