/** The document: the project, its undo and redo by patches with their inverses, and how far it is saved. */
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { applyPatches, enablePatches, original, type Patch } from 'immer';
import type { Edit } from '@kalotrope/core/findings';
import { applyEdits, plainEdits, resolvePath, withFollowing, type Project } from '@kalotrope/core/project';

enablePatches();

type Change = {
  readonly label: string;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
  /** Changes of one gesture (a drag) are one entry. */
  readonly gesture?: string;
};
type SaveState = 'saved' | 'saving' | 'failed' | 'elsewhere';

export type DocumentState = {
  readonly project: Project | null;
  readonly past: readonly Change[];
  readonly future: readonly Change[];
  /** Raised by every change; results and saves carry it. */
  readonly version: number;
  /** Saves of this project so far, in any window. */
  readonly saves: number;
  readonly saveState: SaveState;
  /** Why the last edit was refused. */
  readonly refused: string | null;
};

const MOST_UNDO = 200;

export const initialDocument: DocumentState = {
  project: null,
  past: [],
  future: [],
  version: 0,
  saves: 0,
  saveState: 'saved',
  refused: null,
};

/** Edits by path as patches with their inverses, or why they cannot be made. */
function changeOf(project: Project, label: string, edits: readonly Edit[]): Change | { readonly reason: string } {
  const tried = applyEdits(project, edits);
  if (!tried.ok) return { reason: tried.reason };
  const patches: Patch[] = [];
  const inverse: Patch[] = [];
  for (const edit of edits) {
    const found = resolvePath(project, edit.path);
    if (!found) return { reason: `There is no ${edit.path.join('.')}` };
    patches.push({ op: 'replace', path: found.path, value: edit.value });
    inverse.unshift({ op: 'replace', path: found.path, value: found.value });
  }
  return { label, patches, inverse };
}

const step = (state: DocumentState, patches: readonly Patch[]): Project | null =>
  state.project && applyPatches(state.project, [...patches]);

/** A change of the same gesture as the last goes on from it: what is undone is what was there before the gesture. */
function joined(past: readonly Change[], made: Change, gesture?: string): { change: Change; past: readonly Change[] } {
  const last = past[past.length - 1];
  if (gesture === undefined || !last || last.gesture !== gesture)
    return { change: gesture === undefined ? made : { ...made, gesture }, past };
  const inverse = [...made.inverse, ...last.inverse];
  return {
    change: {
      ...made,
      gesture,
      patches: [...last.patches, ...made.patches].slice(-MOST_STEPS),
      inverse: inverse.slice(-MOST_STEPS),
    },
    past: past.slice(0, -1),
  };
}

/**
 * A long drag keeps the first figures, to go back to, and the last, to come again to: those between are passed over.
 */
const MOST_STEPS = 12;

/** The state itself, not the draft of it: these reducers give a new state and change nothing in place. */
// the slice's own state, drafted or not
const plain = (state: unknown): DocumentState => (original(state) ?? state) as DocumentState;

const documentSlice = createSlice({
  name: 'document',
  initialState: initialDocument,
  reducers: {
    opened: (state, { payload }: PayloadAction<{ project: Project; saves: number }>): DocumentState => ({
      ...initialDocument,
      project: payload.project,
      saves: payload.saves,
      version: state.version + 1,
    }),
    closed: (state): DocumentState => ({ ...initialDocument, version: state.version + 1 }),
    edited: (
      state,
      { payload }: PayloadAction<{ label: string; edits: readonly Edit[]; gesture?: string }>,
    ): DocumentState => {
      const before = plain(state);
      if (!before.project) return before;
      const made = changeOf(before.project, payload.label, withFollowing(before.project, plainEdits(payload.edits)));
      if ('reason' in made) return { ...before, refused: made.reason };
      const { change, past } = joined(before.past, made, payload.gesture);
      return {
        ...before,
        project: step(before, made.patches),
        past: [...past, change].slice(-MOST_UNDO),
        future: [],
        version: before.version + 1,
        saveState: 'saving',
        refused: null,
      };
    },
    undone: (state): DocumentState => {
      const before = plain(state);
      const change = before.past[before.past.length - 1];
      if (!change) return before;
      return {
        ...before,
        project: step(before, change.inverse),
        past: before.past.slice(0, -1),
        future: [change, ...before.future],
        version: before.version + 1,
        saveState: 'saving',
        refused: null,
      };
    },
    redone: (state): DocumentState => {
      const before = plain(state);
      const [change, ...rest] = before.future;
      if (!change) return before;
      return {
        ...before,
        project: step(before, change.patches),
        past: [...before.past, change],
        future: rest,
        version: before.version + 1,
        saveState: 'saving',
        refused: null,
      };
    },
    saveEnded: (
      state,
      { payload }: PayloadAction<{ version: number; saves: number; saveState: SaveState }>,
    ): DocumentState => {
      const before = plain(state);
      if (payload.saveState !== 'saved') return { ...before, saveState: payload.saveState };
      return {
        ...before,
        saves: payload.saves,
        saveState: payload.version === before.version ? 'saved' : 'saving',
      };
    },
    refusalSeen: (state): DocumentState => ({ ...plain(state), refused: null }),
  },
});

export const { opened, closed, edited, undone, redone, saveEnded, refusalSeen } = documentSlice.actions;
export const documentReducer = documentSlice.reducer;
