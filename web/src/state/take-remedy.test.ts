import { expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import { documentReducer, edited, initialDocument, opened } from './document-slice';
import { isOffered, remedyTaken, remedyWaits, selectIsBehind } from './take-remedy';

it('a remedy is put to the boat that it was found for; for a later one it waits', () => {
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
  expect(takenFrom(changed)).toEqual({ isBehind: true, done: [remedyWaits(remedy)] });
  expect(takenFrom(judged)).toEqual({ isBehind: false, done: [edited(remedy)] });
});

it('one that waited is put only where the very same is offered again', () => {
  const remedy = { label: 'Thinner', edits: [{ path: ['panels', 'thickness'], value: 4 }] };
  const finding = { severity: 'check', code: 'panel-stiff', where: { stage: 'panels' }, data: {} } as const;
  const offers = (value: number) => [
    { ...finding, remedies: [{ label: 'Thinner', edits: [{ path: ['panels', 'thickness'], value }] }] },
  ];
  expect(isOffered(remedy, offers(4))).toBe(true);
  expect(isOffered(remedy, offers(5))).toBe(false);
  expect(isOffered(remedy, [finding])).toBe(false);
});
