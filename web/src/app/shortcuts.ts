/** Keys that work everywhere but in a field. The list is shown by `?`. */
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import type { Stage } from '@kalotrope/core/findings';
import { redone, undone } from './document-slice';
import { findTurned, fitted, keysTurned, notationStepped, picked, type Picked } from './screen-slice';
import { selectDerived, selectLiveHull } from './selectors';
import { STAGE_LIST } from './stages';
import { useAppDispatch, useAppStore, type RootState } from './store';

export const KEYS: readonly (readonly [string, string])[] = [
  ['1 to 6', 'go to a stage'],
  ['/', 'find a part or a place'],
  ['[  ]', 'the one before, the one after'],
  ['u', 'next unit'],
  ['f', 'fit the drawing'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['Ctrl P', 'print the stage'],
  ['?', 'these keys'],
];

/** What `[` and `]` step through on a stage. */
function thingsOn(stage: Stage, state: RootState): Picked[] {
  // the lines are there before the engine has answered
  if (stage === 'lines') return (selectLiveHull(state)?.lines ?? []).map(({ id }) => ({ kind: 'line', line: id }));
  const derived = selectDerived(state);
  if (!derived) return [];
  if (stage === 'frames') return derived.frames.value.map(({ id }) => ({ kind: 'frame', id }));
  return derived.panels.value.panels.map(({ id }) => ({ kind: 'panel', id }));
}

/** The tape is a slider, which the hook would take for a field; its own keys are only the arrows. */
const ON_TAPE = { enableOnFormTags: ['slider' as const] };

export function useShortcuts(stage: Stage): void {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  // read when a key is pressed: following the state here would draw the whole bench again at every change of it
  const store = useAppStore();
  useHotkeys(
    STAGE_LIST.map((_, i) => String(i + 1)).join(','),
    (event) => {
      const info = STAGE_LIST[Number(event.key) - 1];
      const { project } = store.getState().document;
      if (info) void navigate(`/project/${project?.id ?? ''}/${info.stage}`);
    },
    ON_TAPE,
  );
  useHotkeys('/', () => void dispatch(findTurned(true)), { ...ON_TAPE, preventDefault: true, useKey: true });
  useHotkeys('u', () => void dispatch(notationStepped()), ON_TAPE);
  useHotkeys('f', () => void dispatch(fitted()), ON_TAPE);
  useHotkeys('shift+?', () => void dispatch(keysTurned(true)), { ...ON_TAPE, useKey: true });
  useHotkeys('mod+z', () => void dispatch(undone()), { ...ON_TAPE, preventDefault: true });
  useHotkeys('mod+shift+z', () => void dispatch(redone()), { ...ON_TAPE, preventDefault: true });
  const step = (by: 1 | -1) => {
    const state = store.getState();
    const { screen } = state;
    const list = thingsOn(stage, state);
    if (list.length === 0) return;
    const now = list.findIndex((item) => JSON.stringify(item) === JSON.stringify(screen.picked));
    // from nothing: on to the first, back to the last
    const next = now < 0 ? list.at(by === 1 ? 0 : -1) : list[(now + by + list.length) % list.length];
    if (next) dispatch(picked(next));
  };
  useHotkeys('[', () => step(-1), { ...ON_TAPE, useKey: true });
  useHotkeys(']', () => step(1), { ...ON_TAPE, useKey: true });
}
