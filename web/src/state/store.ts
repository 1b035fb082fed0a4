/** The application's state: the document with its undo, what is on screen, and what was worked out. */
import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { derivedReducer } from './derived-slice';
import { documentReducer } from './document-slice';
import { listener } from './listeners';
import { lastNotation, lastSlip } from '../storage/last-choices';
import { initialScreen, screenReducer } from './screen-slice';

const reducer = combineReducers({
  document: documentReducer,
  screen: screenReducer,
  derived: derivedReducer,
});
export type RootState = ReturnType<typeof reducer>;

export const store = configureStore({
  reducer,
  preloadedState: { screen: { ...initialScreen, notation: lastNotation(), slip: lastSlip(initialScreen.slip) } },
  middleware: (defaults) =>
    defaults({
      // results are large and come from the worker as plain data: checking them on every action would cost the frame
      serializableCheck: { ignoredPaths: ['derived'], ignoredActionPaths: ['payload'] },
      immutableCheck: { ignoredPaths: ['derived'] },
    }).prepend(listener.middleware),
});

export type AppDispatch = typeof store.dispatch;
export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppStore = useStore.withTypes<typeof store>();
