import { expect, it } from 'vitest';
import { demoProject } from '@kalotrope/core/project';
import { documentReducer, edited, initialDocument, opened } from './document-slice';
import { offeredNow, remedyTaken, remedyWaits, selectIsBehind } from './take-remedy';

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
  expect(offeredNow(remedy, offers(4))).toEqual(remedy.edits);
  expect(offeredNow(remedy, offers(5))).toBeUndefined();
  expect(offeredNow(remedy, [finding])).toBeUndefined();
});

it('where a point came in before it, it is put to the point that it was found for; of two alike to neither', () => {
  const finding = { severity: 'check', code: 'point-off', where: { stage: 'lines' }, data: {} } as const;
  const offer = (line: string, place: number, value = 450) => ({
    ...{
      ...finding,
      remedies: [{ label: 'Take it', edits: [{ path: ['lines', line, 'points', place, 'y'], value }] }],
    },
  });
  const [remedy] = offer('chine', 2).remedies;
  const placeNow = (...findings: ReturnType<typeof offer>[]) => offeredNow(remedy!, findings)?.[0]?.path[3];
  expect(placeNow(offer('chine', 3))).toBe(3);
  expect(placeNow(offer('chine', 2), offer('chine', 3))).toBe(2);
  expect(placeNow(offer('chine', 3), offer('chine', 4))).toBeUndefined();
  expect(placeNow(offer('sheer', 3))).toBeUndefined();
  expect(placeNow(offer('chine', 3, 451))).toBeUndefined();
});
