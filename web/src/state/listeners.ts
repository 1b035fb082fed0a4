/** What follows an edit: the engine works it out, and it is saved. */
import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { gapLeft } from '@kalotrope/core/log';
import { allFindings } from '@kalotrope/core/project';
import { engine } from '../engine/client';
import { clearJournal, writeJournal } from '../storage/journal';
import { watchRecords } from '../storage/log';
import { storeHeld } from '../storage/pictures';
import { noteOpen, saveProject } from '../storage/projects';
import { onTold } from '../storage/windows';
import {
  derivedArrived,
  deriveFailed,
  derivedForgotten,
  movedArrived,
  recordsArrived,
  type DerivedState,
} from './derived-slice';
import { closed, edited, historyToKeep, opened, redone, saveEnded, undone, type DocumentState } from './document-slice';
import { createSaver } from './saver';
import { keepSlip } from '../storage/last-choices';
import { offeredNow, remedyWaits, selectIsBehind } from './take-remedy';
import { said, sectionTurned, slipFolded, slipSized, type ScreenState } from './screen-slice';

export const listener = createListenerMiddleware();

type WithDocument = { readonly document: DocumentState };
// the store's own shape; typing it here would be circular
const documentOf = (state: unknown): DocumentState => (state as WithDocument).document;

listener.startListening({
  matcher: isAnyOf(opened, edited, undone, redone),
  effect: async (_action, api) => {
    api.cancelActiveListeners(); // a newer edit makes this one's answer late
    const { project, version } = documentOf(api.getState());
    if (!project) return;
    const answer = await engine.run('derive', project);
    // an answer to a change before the newest is shown too, so that panels follow while a point is dragged
    if (documentOf(api.getState()).project?.id !== project.id) return;
    if (answer.kind === 'ok') api.dispatch(derivedArrived({ derived: answer.value, version }));
    if (answer.kind === 'ok' && answer.restarted !== undefined)
      api.dispatch(said(`Working out had stopped (${answer.restarted}); it was started again`));
    if (answer.kind === 'failed') api.dispatch(deriveFailed(answer.message));
  },
});

/** A remedy that was asked for too soon is not waited for longer than this. */
const REMEDY_WAITS_MS = 20_000;

listener.startListening({
  actionCreator: remedyWaits,
  effect: async ({ payload: remedy }, api) => {
    api.cancelActiveListeners();
    type Judged = WithDocument & { readonly derived: DerivedState };
    const stateOf = (state: unknown) => state as Judged; // the store's own shape
    const isThere = await api.condition((_action, state) => !selectIsBehind(stateOf(state)), REMEDY_WAITS_MS);
    const { document, derived } = stateOf(api.getState());
    if (!document.project) return;
    if (!isThere || !derived.derived) {
      api.dispatch(said(`“${remedy.label}” was not done: the boat is still being worked out. Press it again`));
      return;
    }
    const findings = allFindings(derived.derived, { project: document.project, found: derived.found });
    const edits = offeredNow(remedy, findings);
    if (edits) api.dispatch(edited({ label: remedy.label, edits: [...edits] }));
    else api.dispatch(said(`“${remedy.label}” is no longer offered: the boat has changed`));
  },
});

/** What is to be checked is noted once edits pause. */
const NOTE_AFTER_MS = 500;

listener.startListening({
  actionCreator: derivedArrived,
  effect: async ({ payload }, api) => {
    api.cancelActiveListeners();
    await api.delay(NOTE_AFTER_MS);
    const { project, version } = documentOf(api.getState());
    if (!project || version !== payload.version) return;
    const open = allFindings(payload.derived, { project, found: {} }).filter(({ severity }) => severity !== 'note');
    await noteOpen(project.id, open.length);
  },
});

type Dispatch = (action: { readonly type: string }) => unknown;
/** Set by the first action: the store is made with this listener in it. */
let dispatchSaved: Dispatch = () => undefined;

const saver = createSaver({
  save: async (what, known) => {
    const saved = await saveProject(what, known);
    if (saved.saveState === 'saved') await storeHeld();
    return saved;
  },
  onSaved: (answer) => {
    if (answer.saveState === 'saved') clearJournal(answer.id, answer.version);
    dispatchSaved(saveEnded(answer));
  },
  wait: (ms) => new Promise((resolve) => setTimeout(resolve, ms)),
});

/** When all edits so far have been saved, or refused. */
export const savesSettled = (): Promise<void> => saver.settled();

const isLost = ({ saveState }: DocumentState) => saveState === 'elsewhere' || saveState === 'deleted';

listener.startListening({
  matcher: isAnyOf(edited, undone, redone),
  effect: (_action, api) => {
    dispatchSaved = api.dispatch;
    const document = documentOf(api.getState());
    const { project, version, saveState } = document;
    // an edit that was refused changed nothing; what another window has changed or deleted is not written over
    if (!project || saveState === 'saved' || isLost(document)) return;
    askToKeep();
    saver.change({ project, version, ...historyToKeep(document) });
  },
});

listener.startListening({
  actionCreator: opened,
  effect: ({ payload }, api) => {
    dispatchSaved = api.dispatch;
    const document = documentOf(api.getState());
    saver.open(payload.project.id, payload.saves);
    // one that the store would not take at first is tried again, and so is what a page had no time to save
    if (document.saveState !== 'saved')
      saver.change({ project: payload.project, version: document.version, ...historyToKeep(document) });
  },
});

listener.startListening({
  actionCreator: closed,
  effect: (_action, api) => {
    // its save is under way; should the page go before it is answered, this is taken up
    keepUnsaved(documentOf(api.getOriginalState()));
    api.dispatch(derivedForgotten());
  },
});

/** Writes down at once what is not saved yet. */
function keepUnsaved(document: DocumentState): void {
  const { project, saveState, version } = document;
  if (project && (saveState === 'saving' || saveState === 'failed'))
    writeJournal(project, { saves: saver.savesOf(project.id) ?? 0, version, ...historyToKeep(document) });
}

/** Once it lies still. */
const SLIP_RESTS_MS = 300;

listener.startListening({
  matcher: isAnyOf(slipSized, slipFolded, sectionTurned),
  effect: async (_action, api) => {
    api.cancelActiveListeners();
    await api.delay(SLIP_RESTS_MS);
    keepSlip((api.getState() as { readonly screen: ScreenState }).screen.slip); // the store's own shape
  },
});

let stopWatching: () => void = () => undefined;

/** What was done on the open boat is kept beside it, and followed wherever it is written down. */
listener.startListening({
  actionCreator: opened,
  effect: ({ payload }, api) => {
    stopWatching();
    stopWatching = watchRecords(payload.project.id, (log) => api.dispatch(recordsArrived(log)));
  },
});

listener.startListening({ actionCreator: closed, effect: () => stopWatching() });

/** Once edits pause: what is cut, against the boat as it is drawn now. */
const COMPARE_AFTER_MS = 500;

listener.startListening({
  matcher: isAnyOf(derivedArrived, recordsArrived),
  effect: async (_action, api) => {
    api.cancelActiveListeners();
    await api.delay(COMPARE_AFTER_MS);
    const { document, derived } = api.getState() as WithDocument & { readonly derived: DerivedState }; // its own shape
    const log = derived.found.log;
    if (!document.project || !derived.derived || !log) return;
    if (log.parts.length === 0) {
      if (log.moved.length > 0) api.dispatch(movedArrived([]));
      return;
    }
    const parts = derived.derived.sheets.value.parts.map(({ id, name, outline, holes }) => ({
      id,
      name,
      outline,
      holes,
    }));
    const ask = { records: log.parts, parts, gapLeft: gapLeft(document.project) };
    const answer = await engine.run('compareParts', ask, { signal: api.signal });
    if (answer.kind === 'ok') api.dispatch(movedArrived(answer.value));
  },
});

let isAsked = false;
/** Once something is worth keeping: that the browser does not clear it away when it wants room. */
function askToKeep(): void {
  if (isAsked || typeof navigator === 'undefined' || !('storage' in navigator)) return;
  isAsked = true;
  void navigator.storage.persist().catch(() => false);
}

type StoreLike = { readonly getState: () => WithDocument; readonly dispatch: Dispatch };

/** What the windows around this one and the page itself have to say: it is left, or hidden, or another saved. */
export function watchPage({ getState, dispatch }: StoreLike): void {
  const keep = () => keepUnsaved(getState().document);
  const leave = () => {
    // a field that is half typed is committed as if it were left
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    keep();
  };
  // the browser waits for the first, however busy the page; for the second, on a phone the only one, half a second
  window.addEventListener('beforeunload', leave);
  window.addEventListener('pagehide', leave);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') keep();
  });
  onTold((told) => {
    const { project, version } = getState().document;
    if (!project || project.id !== told.id) return;
    const isNews = told.kind === 'deleted' || told.saves > (saver.savesOf(project.id) ?? 0);
    if (!isNews) return;
    dispatch(saveEnded({ id: project.id, version, saveState: told.kind === 'deleted' ? 'deleted' : 'elsewhere' }));
  });
}
