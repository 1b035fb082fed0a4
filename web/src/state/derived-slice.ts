/**
 * What was worked out from the document, and what searches found for it; disposable.
 *
 * The reducer is a plain one: results are large, arrive whole and are never changed in place, and drafting them on
 * every edit cost more than working them out.
 */
import { createAction } from '@reduxjs/toolkit';
import { NO_RECORDS, type LogRecords } from '@kalotrope/core/log';
import type { Derived, Found } from '@kalotrope/core/project';

export type DerivedState = {
  readonly derived: Derived | null;
  /** The document version that `derived` belongs to. */
  readonly version: number;
  readonly failed: string | null;
  readonly found: Found;
  readonly isSearching: boolean;
};

const initialState: DerivedState = {
  derived: null,
  version: -1,
  failed: null,
  found: {},
  isSearching: false,
};

export const derivedArrived = createAction<{ derived: Derived; version: number }>('derived/arrived');
export const deriveFailed = createAction<string>('derived/failed');
/** What a search of one stage has found so far, in place of what it had found before. */
export const foundArrived = createAction<Found>('derived/foundArrived');
/** What was done, as it stands in the store. */
export const recordsArrived = createAction<LogRecords>('derived/recordsArrived');
/** Cut parts that are off the boat as it is drawn now. */
export const movedArrived = createAction<LogRecords['moved']>('derived/movedArrived');
export const searchTurned = createAction<boolean>('derived/searchTurned');
export const derivedForgotten = createAction('derived/forgotten');

export function derivedReducer(state: DerivedState = initialState, action: { readonly type: string }): DerivedState {
  if (derivedArrived.match(action)) {
    const { derived, version } = action.payload;
    return version < state.version ? state : { ...state, derived, version, failed: null };
  }
  if (deriveFailed.match(action)) return { ...state, failed: action.payload };
  if (foundArrived.match(action)) return { ...state, found: { ...state.found, ...action.payload } };
  if (recordsArrived.match(action)) {
    const { moved } = state.found.log ?? NO_RECORDS;
    return { ...state, found: { ...state.found, log: { ...action.payload, moved } } };
  }
  if (movedArrived.match(action)) {
    const log = { ...(state.found.log ?? NO_RECORDS), moved: action.payload };
    return { ...state, found: { ...state.found, log } };
  }
  if (searchTurned.match(action)) return { ...state, isSearching: action.payload };
  return derivedForgotten.match(action) ? initialState : state;
}
