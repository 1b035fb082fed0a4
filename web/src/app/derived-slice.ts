/**
 * What was worked out from the document; disposable. Sheet layouts belong to the batches that they were made from.
 *
 * The reducer is a plain one: results are large, arrive whole and are never changed in place, and drafting them on
 * every edit cost more than working them out.
 */
import { createAction } from '@reduxjs/toolkit';
import type { Derived } from '@kalotrope/core/project';
import type { NestResult } from '@kalotrope/core/sheets';

export type Layout = { readonly key: string; readonly result: NestResult; readonly isFinal: boolean };

export type DerivedState = {
  readonly derived: Derived | null;
  /** The document version that `derived` belongs to. */
  readonly version: number;
  readonly failed: string | null;
  /** By thickness of the batch. */
  readonly layouts: Readonly<Record<string, Layout>>;
  readonly isNesting: boolean;
};

const initialState: DerivedState = {
  derived: null,
  version: -1,
  failed: null,
  layouts: {},
  isNesting: false,
};

export const derivedArrived = createAction<{ derived: Derived; version: number }>('derived/arrived');
export const deriveFailed = createAction<string>('derived/failed');
export const layoutArrived = createAction<{ thickness: number } & Layout>('derived/layoutArrived');
export const nestingTurned = createAction<boolean>('derived/nestingTurned');
export const derivedForgotten = createAction('derived/forgotten');

export function derivedReducer(state: DerivedState = initialState, action: { readonly type: string }): DerivedState {
  if (derivedArrived.match(action)) {
    const { derived, version } = action.payload;
    return version < state.version ? state : { ...state, derived, version, failed: null };
  }
  if (deriveFailed.match(action)) return { ...state, failed: action.payload };
  if (layoutArrived.match(action)) {
    const { thickness, ...layout } = action.payload;
    return { ...state, layouts: { ...state.layouts, [thickness]: layout } };
  }
  if (nestingTurned.match(action)) return { ...state, isNesting: action.payload };
  return derivedForgotten.match(action) ? initialState : state;
}
