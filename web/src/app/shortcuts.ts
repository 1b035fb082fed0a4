/** Keys that work everywhere but in a field. The list is shown by `?`. */
import { useBench } from '../state/bench';
import type { StageName } from '@kalotrope/core/project';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { printAsked } from '../state/ask-print';
import { redone, undone } from '../state/document-slice';
import { findTurned, fitted, keysTurned, picked } from '../state/screen-slice';
import { stepNotation } from '../state/unit';
import { isSameThing } from '../state/picked';
import { stagePath } from './paths';
import { useAppDispatch, useAppStore } from '../state/store';

/** The tenth stage is at the key beside the ninth’s; no figures are left for those after it, plan and log. */
const NINE = 9;
const STAGE_KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0', 'p', 'l'] as const;
const keyOf = (i: number): string => STAGE_KEYS[i] ?? '';

/** The list that `?` shows. */
export const keysFor = (stageCount: number): readonly (readonly [string, string])[] => [
  [
    stageCount > NINE ? [`1 to ${NINE}`, ...STAGE_KEYS.slice(NINE, stageCount)].join(', ') : `1 to ${stageCount}`,
    'go to a stage',
  ],
  ['/', 'find a part or a place'],
  ['[  ]', 'the one before, the one after'],
  ['u', 'next unit'],
  ['f', 'fit the drawing'],
  ['v', 'the hull from three-quarter, from the side, bow on'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['Ctrl P', 'print the stage'],
  ['?', 'these keys'],
];

/** The tape is a slider, which the hook would take for a field; its own keys are only the arrows. */
const ON_TAPE = { enableOnFormTags: ['slider' as const] };

const SIGNS = ['/', '?', '[', ']'] as const;
const HELD = ['', 'shift+', 'alt+', 'ctrl+alt+'] as const;

/** Fields that enter what is typed say when nothing is; any other has typing of its own to take back. */
const isTyping = (target: EventTarget | null): boolean =>
  (target instanceof HTMLTextAreaElement ||
    (target instanceof HTMLInputElement && /^(text|search)$/.test(target.type))) &&
  target.dataset['atRest'] !== 'true';

/** Few hooks, each for several keys: every one of them looks at every key that is pressed. */
export function useShortcuts(stage: StageName): void {
  const { entries } = useBench();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  // read when a key is pressed: following the state here would draw the whole bench again at every change of it
  const store = useAppStore();
  const step = (by: 1 | -1) => {
    const state = store.getState();
    const list = entries.find((entry) => entry.stage === stage)?.steps(state) ?? [];
    if (list.length === 0) return;
    const now = list.findIndex((item) => isSameThing(item, state.screen.picked));
    // from nothing: on to the first, back to the last
    const next = now < 0 ? list.at(by === 1 ? 0 : -1) : list[(now + by + list.length) % list.length];
    if (next) dispatch(picked(next));
  };
  useHotkeys(
    [...entries.map((_, i) => keyOf(i)), 'u', 'f'],
    ({ key }) => {
      if (key.toLowerCase() === 'u') dispatch(stepNotation());
      else if (key.toLowerCase() === 'f') dispatch(fitted());
      const entry = entries.find((_, i) => keyOf(i) === key.toLowerCase());
      const { project } = store.getState().document;
      if (entry) void navigate(stagePath(project?.id ?? '', entry.stage));
    },
    ON_TAPE,
  );
  // by the sign that is typed, wherever it lies on the keyboard and whatever else is held to type it
  useHotkeys(
    SIGNS.flatMap((sign) => HELD.map((held) => `${held}${sign}`)),
    (event) => {
      event.preventDefault();
      if (event.key === '/') dispatch(findTurned(true));
      else if (event.key === '?') dispatch(keysTurned(true));
      else step(event.key === '[' ? -1 : 1);
    },
    { ...ON_TAPE, useKey: true },
  );
  // the browser's own print does not wait for the boat to be worked out
  useHotkeys('mod+p', () => dispatch(printAsked()), { enableOnFormTags: true, preventDefault: true });
  // in a field, unless something is typed there and not entered yet: that is the field's own to take back
  useHotkeys(
    ['mod+z', 'mod+shift+z'],
    (event) => {
      event.preventDefault();
      dispatch(event.shiftKey ? redone() : undone());
    },
    { enableOnFormTags: true, ignoreEventWhen: ({ target }) => isTyping(target) },
  );
}
