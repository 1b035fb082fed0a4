import { describe, expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import {
  documentReducer,
  edited,
  historyToKeep,
  initialDocument,
  opened,
  redone,
  saveEnded,
  undone,
} from './document-slice';

const project = demoProject('tamsel', 'x');
const start = documentReducer(initialDocument, opened({ project, saves: 3 }));
const edits = [
  edited({ label: 'Place', edits: [{ path: ['frames', 'frames', 'frame.1', 'x'], value: 1250 }] }),
  edited({
    label: 'Two at once',
    edits: [
      { path: ['panels', 'thickness'], value: 5 },
      { path: ['panels', 'thickness'], value: 4 },
    ],
  }),
  edited({ label: 'Waste', edits: [{ path: ['epoxy', 'waste'], value: 0.3 }] }),
];

describe('the document', () => {
  it.each(edits.map((action) => [action.payload.label, action] as const))(
    'undo gives back the identical document: %s',
    (_label, action) => {
      const after = documentReducer(start, action);
      expect(after.project).not.toEqual(project);
      const back = documentReducer(after, undone());
      expect(back.project).toEqual(project);
      expect(documentReducer(back, redone()).project).toEqual(after.project);
    },
  );
  it('walks all the way back and forth, and drops what was undone when edited anew', () => {
    const done = edits.reduce(documentReducer, start);
    const back = edits.reduce((state) => documentReducer(state, undone()), done);
    expect(back.project).toEqual(project);
    const anew = documentReducer(back, edits[2]!); // there are three
    expect([anew.past.length, anew.future.length]).toEqual([1, 0]);
  });
  it('takes a drag as one entry: undone at once, done again at once', () => {
    const drag = (value: number) =>
      edited({
        label: 'Drag',
        gesture: 'a',
        edits: [
          { path: ['panels', 'thickness'], value },
          { path: ['epoxy', 'waste'], value: value / 100 },
        ],
      });
    const dragged = Array.from({ length: 40 }, (_, i) => 7 + i / 4).reduce(
      (s, v) => documentReducer(s, drag(v)),
      start,
    );
    expect(dragged.past).toHaveLength(1);
    const back = documentReducer(dragged, undone());
    expect(back.project).toEqual(project);
    expect(documentReducer(back, redone()).project).toEqual(dragged.project);
    const other = documentReducer(
      dragged,
      edited({ label: 'Other drag', gesture: 'b', edits: [{ path: ['panels', 'thickness'], value: 3 }] }),
    );
    expect(other.past).toHaveLength(2);
  });
  it('refuses what the schema refuses, says why, and changes nothing', () => {
    const after = documentReducer(start, edited({ label: 'x', edits: [{ path: ['panels', 'thickness'], value: -1 }] }));
    expect(after.project).toBe(start.project);
    expect(after.refused).toMatch(/thickness/);
  });
  it('counts as saved only when the newest version is', () => {
    const first = documentReducer(start, edits[0]!); // there are three
    const second = documentReducer(first, edits[2]!);
    const saved = { id: project.id, saveState: 'saved' as const };
    expect(documentReducer(second, saveEnded({ ...saved, version: first.version })).saveState).toBe('saving');
    expect(documentReducer(second, saveEnded({ ...saved, version: second.version })).saveState).toBe('saved');
    // of another project that was open before
    expect(documentReducer(second, saveEnded({ ...saved, id: 'other', version: second.version }))).toBe(second);
  });
  it('keeps its undo over a reload: opened with it, the last edit can be taken back', () => {
    const after = edits.reduce(documentReducer, start);
    const kept = JSON.parse(JSON.stringify(historyToKeep(after))) as ReturnType<typeof historyToKeep>;
    const again = documentReducer(initialDocument, opened({ project: after.project!, saves: 9, ...kept }));
    const back = edits.reduce((state) => documentReducer(state, undone()), again);
    expect(back.project).toEqual(start.project);
  });
  it('keeps no more of it than there is room for', () => {
    const long = 'x'.repeat(300_000);
    const change = (label: string) => ({
      label,
      patches: [{ op: 'replace' as const, path: ['note'], value: long }],
      inverse: [],
    });
    const past = Array.from({ length: 5 }, (_, i) => change(`edit ${i}`));
    expect(historyToKeep({ past, future: [] }).past).toEqual([past[4]]);
    const many = Array.from({ length: 300 }, (_, i) => ({ label: `edit ${i}`, patches: [], inverse: [] }));
    expect(historyToKeep({ past: many, future: [] }).past).toEqual(many.slice(-60));
  });
});
