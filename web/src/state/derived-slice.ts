/**
 * What was worked out from the document, and what searches found for it; disposable.
 *
 * The reducer is a plain one: results are large, arrive whole and are never changed in place, and drafting them on
 * every edit cost more than working them out.
 */
import { createAction } from '@reduxjs/toolkit';
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
export const searchTurned = createAction<boolean>('derived/searchTurned');
export const derivedForgotten = createAction('derived/forgotten');

export function derivedReducer(state: DerivedState = initialState, action: { readonly type: string }): DerivedState {
  if (derivedArrived.match(action)) {
    const { derived, version } = action.payload;
    return version < state.version ? state : { ...state, derived, version, failed: null };
  }
  if (deriveFailed.match(action)) return { ...state, failed: action.payload };
  if (foundArrived.match(action)) return { ...state, found: { ...state.found, ...action.payload } };
  if (searchTurned.match(action)) return { ...state, isSearching: action.payload };
  return derivedForgotten.match(action) ? initialState : state;
}
