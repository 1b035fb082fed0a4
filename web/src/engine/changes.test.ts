import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { startLines } from '@kalotrope/core/lines';
import { applyEdits, createDerive, demoProject } from '@kalotrope/core/project';
import { applyChanges, changesBetween } from './changes';

describe('what changed between two answers', () => {
  it('gives the second answer when made to the first, whatever the two are (seed 11)', () => {
    const thing = fc.jsonValue();
    fc.assert(
      fc.property(thing, thing, (before, after) => {
        expect(applyChanges(before, structuredClone(changesBetween(before, after)))).toEqual(after);
      }),
      { seed: 11 },
    );
  });
  it('refuses changes that were made from another answer', () => {
    const answers = [[1, { a: 2 }], [1], { a: [1], b: 2 }, { a: [1, 2], c: 2 }, 7, null, undefined];
    const nested = (value: unknown) => ({ stage: { value } });
    for (const from of answers.slice(0, 4)) {
      // a change deep inside, so that nothing is sent whole
      const changes = changesBetween(nested(from), nested(Array.isArray(from) ? [...from] : { ...(from as object) }));
      for (const other of answers.filter((answer) => answer !== from))
        expect(() => applyChanges(nested(other), changes)).toThrow('the changes do not fit');
    }
  });
  it('keeps what an edit did not touch: a moved sheer leaves the bottom the same object', () => {
    const derive = createDerive();
    // three panels a side: the middle one is cut to meet the top one, and so follows it; the bottom does not
    const started = startLines('dory', {});
    if (!started.ok) throw new Error('the usual dimensions are within their range');
    const project = { ...demoProject('tamsel', 'x'), lines: started.lines };
    const before = derive(project);
    const sheer = project.lines.longitudinals[2]!; // chine, upper chine, sheer
    const edit = {
      path: ['lines', 'longitudinals', sheer.id, 'points', 3, 'height'],
      value: sheer.points[3]!.height + 20,
    } as const;
    const moved = applyEdits(project, [edit]);
    if (!moved.ok) throw new Error(moved.reason);
    const after = derive(moved.project);
    const changes = changesBetween(before, after);
    const made = applyChanges(before, structuredClone(changes)) as typeof before;
    expect(made).toEqual(after);
    expect(made.panels.value.panels[0]).toBe(before.panels.value.panels[0]);
    expect(made.panels.value.panels[2]).not.toBe(before.panels.value.panels[2]);
    expect(JSON.stringify(changes).length).toBeLessThan(0.8 * JSON.stringify(after).length);
  });
});
