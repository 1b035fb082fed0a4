/** What follows an edit: the engine works it out, and within a second it is saved. */
import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { engine } from '../engine/client';
import { saveProject } from '../storage/projects';
import { derivedArrived, deriveFailed, derivedForgotten } from './derived-slice';
import { closed, edited, opened, redone, saveEnded, undone, type DocumentState } from './document-slice';
import { notationSet } from './screen-slice';

export const listener = createListenerMiddleware();

type WithDocument = { readonly document: DocumentState };
// the store's own shape; typing it here would be circular
const documentOf = (state: unknown): DocumentState => (state as WithDocument).document;
const SAVE_AFTER_MS = 350;

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
    else if (answer.kind === 'failed') api.dispatch(deriveFailed(answer.message));
  },
});

listener.startListening({
  matcher: isAnyOf(edited, undone, redone),
  effect: async (_action, api) => {
    api.cancelActiveListeners();
    await api.delay(SAVE_AFTER_MS);
    await api.pause(saveNow(api));
  },
});

async function saveNow(api: { getState: () => unknown; dispatch: (action: unknown) => unknown }): Promise<void> {
  const { project, version, saves, saveState } = documentOf(api.getState());
  if (!project || saveState === 'saved' || saveState === 'elsewhere') return;
  const saved = await saveProject(project, saves);
  api.dispatch(saveEnded({ version, ...saved }));
}

listener.startListening({
  actionCreator: opened,
  effect: ({ payload }, api) => {
    api.dispatch(notationSet(payload.project.notation));
  },
});

listener.startListening({
  actionCreator: closed,
  effect: (_action, api) => {
    api.dispatch(derivedForgotten());
  },
});
