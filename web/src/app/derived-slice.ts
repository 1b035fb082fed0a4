/** What was worked out from the document; disposable. Sheet layouts belong to the batches that they were made from. */
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
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

const derivedSlice = createSlice({
  name: 'derived',
  initialState,
  reducers: {
    derivedArrived: (state, { payload }: PayloadAction<{ derived: Derived; version: number }>) =>
      payload.version < state.version ? state : { ...(state as DerivedState), ...payload, failed: null },
    deriveFailed: (state, { payload }: PayloadAction<string>) => ({
      ...(state as DerivedState),
      failed: payload,
    }),
    layoutArrived: (state, { payload }: PayloadAction<{ thickness: number } & Layout>) => {
      const { thickness, ...layout } = payload;
      const before = state as DerivedState;
      return { ...before, layouts: { ...before.layouts, [thickness]: layout } };
    },
    nestingTurned: (state, { payload }: PayloadAction<boolean>) => ({
      ...(state as DerivedState),
      isNesting: payload,
    }),
    derivedForgotten: () => initialState,
  },
});

export const { derivedArrived, deriveFailed, layoutArrived, nestingTurned, derivedForgotten } = derivedSlice.actions;
export const derivedReducer = derivedSlice.reducer;
