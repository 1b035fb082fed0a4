import { expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import { documentReducer, edited, initialDocument, opened } from './document-slice';
import { remedyTaken, selectIsBehind } from './take-remedy';

it('a remedy is put to the boat that it was found for, and to no later one', () => {
  const remedy = { label: 'Thinner', edits: [{ path: ['panels', 'thickness'], value: 4 }] };
  const judged = documentReducer(initialDocument, opened({ project: demoProject('tamsel', 'x'), saves: 0 }));
  const step = edited({ label: 'Step', edits: [{ path: ['panels', 'markingStep'], value: 250 }] });
  const changed = documentReducer(judged, step);
  const takenFrom = (document: typeof judged) => {
    const state = { document, derived: { version: judged.version } };
    const done: unknown[] = [];
    remedyTaken(remedy)(
      ((action: unknown) => done.push(action)) as never, // a store's, as far as it is used
      () => state as never,
    );
    return { isBehind: selectIsBehind(state), done };
  };
  expect(takenFrom(changed)).toEqual({ isBehind: true, done: [] });
  expect(takenFrom(judged)).toEqual({ isBehind: false, done: [edited(remedy)] });
});
