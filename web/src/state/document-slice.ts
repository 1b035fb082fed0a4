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
type SaveState = 'saved' | 'saving' | 'failed' | 'elsewhere' | 'deleted';

/** What can be undone and done again, as it is kept with the project. */
type Kept = { readonly past: readonly unknown[]; readonly future: readonly unknown[] };

export type DocumentState = {
  readonly project: Project | null;
  readonly past: readonly Change[];
  readonly future: readonly Change[];
  /** Raised by every change; results and saves carry it. */
  readonly version: number;
  readonly saveState: SaveState;
  /** Why it could not be saved. */
  readonly notSaved: string | null;
  /** Why the last edit was refused. */
  readonly refused: string | null;
};

const MOST_UNDO = 200;

export const initialDocument: DocumentState = {
  project: null,
  past: [],
  future: [],
  version: 0,
  saveState: 'saved',
  notSaved: null,
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
    /** `saves`: how often it was saved; null for one that the store does not have. */
    opened: (
      state,
      { payload }: PayloadAction<{ project: Project; saves: number | null; isUnsaved?: boolean } & Partial<Kept>>,
    ): DocumentState => ({
      ...initialDocument,
      project: payload.project,
      // they went out from here, by historyToKeep
      past: (payload.past ?? []) as readonly Change[],
      future: (payload.future ?? []) as readonly Change[],
      saveState: payload.saves === null || payload.isUnsaved ? 'saving' : 'saved',
      version: state.version + 1,
    }),
    closed: (state): DocumentState => ({ ...initialDocument, version: state.version + 1 }),
    edited: (
      state,
      {
        payload,
      }: PayloadAction<{
        label: string;
        edits: readonly Edit[];
        gesture?: string;
        /** Nothing is moved along with them: the boat is as it once was. */
        isExact?: true;
      }>,
    ): DocumentState => {
      const before = plain(state);
      if (!before.project) return before;
      const edits = plainEdits(payload.edits);
      const whole = payload.isExact ? edits : withFollowing(before.project, edits);
      const made = changeOf(before.project, payload.label, whole);
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
      { payload }: PayloadAction<{ id: string; version: number; saveState: SaveState; reason?: string }>,
    ): DocumentState => {
      const before = plain(state);
      if (before.project?.id !== payload.id) return before;
      if (payload.saveState !== 'saved')
        return { ...before, saveState: payload.saveState, notSaved: payload.reason ?? null };
      return { ...before, saveState: payload.version === before.version ? 'saved' : 'saving', notSaved: null };
    },
    refusalSeen: (state): DocumentState => ({ ...plain(state), refused: null }),
  },
});

/** So many steps can be undone after a reload, */
const MOST_KEPT = 60;
/** and so many letters of JSON do they have together: a whole table is some thousands. */
const MOST_LETTERS = 400_000;
const lettersOf = new WeakMap<Change, number>();

/** The last steps that can be undone, and the next that can be done again, as many as are kept over a reload. */
export function historyToKeep({ past, future }: Pick<DocumentState, 'past' | 'future'>): Kept {
  let left = MOST_LETTERS;
  const fits = (change: Change) => {
    const letters = lettersOf.get(change) ?? JSON.stringify(change).length;
    lettersOf.set(change, letters);
    left -= letters;
    return left >= 0;
  };
  const newest = [...past].reverse().slice(0, MOST_KEPT);
  const cut = newest.findIndex((change) => !fits(change));
  const kept = newest.slice(0, cut < 0 ? MOST_KEPT : cut).reverse();
  const next = future.slice(0, MOST_KEPT);
  const end = next.findIndex((change) => !fits(change));
  return { past: kept, future: next.slice(0, end < 0 ? MOST_KEPT : end) };
}

export const { opened, closed, edited, undone, redone, saveEnded, refusalSeen } = documentSlice.actions;
export const documentReducer = documentSlice.reducer;
