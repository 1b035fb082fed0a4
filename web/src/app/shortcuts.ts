/** Keys that work everywhere but in a field. The list is shown by `?`. */
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import type { Stage } from '@kalotrope/core/findings';
import { redone, undone } from './document-slice';
import { findTurned, fitted, keysTurned, notationStepped, picked } from './screen-slice';
import { STAGE_LIST } from './stages';
import { useAppDispatch, useAppSelector } from './store';

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

/** The tape is a slider, which the hook would take for a field; its own keys are only the arrows. */
const ON_TAPE = { enableOnFormTags: ['slider' as const] };

export function useShortcuts(stage: Stage): void {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const state = useAppSelector((all) => all);
  const projectId = state.document.project?.id ?? '';
  useHotkeys(
    STAGE_LIST.map((_, i) => String(i + 1)).join(','),
    (event) => {
      const info = STAGE_LIST[Number(event.key) - 1];
      if (info) void navigate(`/project/${projectId}/${info.stage}`);
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
    const { derived } = state.derived;
    if (!derived) return;
    const list =
      stage === 'frames'
        ? derived.frames.value.map(({ id }) => ({ kind: 'frame' as const, id }))
        : stage === 'lines'
          ? derived.lines.value.lines.map(({ id }) => ({ kind: 'line' as const, line: id }))
          : derived.panels.value.panels.map(({ id }) => ({ kind: 'panel' as const, id }));
    const now = list.findIndex((item) => JSON.stringify(item) === JSON.stringify(state.screen.picked));
    const next = list[(now + by + list.length) % list.length];
    if (next) dispatch(picked(next));
  };
  useHotkeys('[', () => step(-1), { ...ON_TAPE, useKey: true });
  useHotkeys(']', () => step(1), { ...ON_TAPE, useKey: true });
}
