/** What is on screen: the picked thing, the mark on the tape, the unit, the shade. Never saved with the project. */
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Notation } from '@kalotrope/core/measure';
import { SLIP_PX, type SlipLook } from '../storage/last-choices';
import type { Picked } from './picked';

export type ScreenState = {
  readonly picked: Picked | null;
  /** Length along the tape, mm; null when nothing is marked. */
  readonly tapeMm: number | null;
  /** Of a new boat; an open one has its own. */
  readonly notation: Notation;
  readonly shade: 'light' | 'dark';
  readonly fitCount: number;
  readonly isFindOpen: boolean;
  readonly isKeysOpen: boolean;
  /** Where equal spacing is worked out. */
  readonly isSpacingOpen: boolean;
  /** Printed as soon as the boat is worked out. */
  readonly isPrintAsked: boolean;
  /** The trade's word whose meaning is shown, by its id. */
  readonly word: string | null;
  readonly slip: SlipLook;
  readonly message: string | null;
};

export const initialScreen: ScreenState = {
  picked: null,
  tapeMm: null,
  notation: 'mm',
  shade: 'light',
  fitCount: 0,
  isFindOpen: false,
  isKeysOpen: false,
  isSpacingOpen: false,
  isPrintAsked: false,
  word: null,
  slip: { widthPx: SLIP_PX.usual, isFolded: false, open: [] },
  message: null,
};

const screenSlice = createSlice({
  name: 'screen',
  initialState: initialScreen,
  reducers: {
    picked: (state, { payload }: PayloadAction<Picked | null>): ScreenState => ({
      ...state,
      picked: payload,
      tapeMm: null,
    }),
    tapeMarked: (state, { payload }: PayloadAction<number | null>): ScreenState => ({
      ...state,
      tapeMm: payload,
    }),
    notationSet: (state, { payload }: PayloadAction<Notation>): ScreenState => ({
      ...state,
      notation: payload,
    }),
    shadeTurned: (state): ScreenState => ({ ...state, shade: state.shade === 'light' ? 'dark' : 'light' }),
    fitted: (state): ScreenState => ({ ...state, fitCount: state.fitCount + 1 }),
    findTurned: (state, { payload }: PayloadAction<boolean>): ScreenState => ({
      ...state,
      isFindOpen: payload,
    }),
    keysTurned: (state, { payload }: PayloadAction<boolean>): ScreenState => ({
      ...state,
      isKeysOpen: payload,
    }),
    spacingTurned: (state, { payload }: PayloadAction<boolean>): ScreenState => ({
      ...state,
      isSpacingOpen: payload,
    }),
    printTurned: (state, { payload }: PayloadAction<boolean>): ScreenState => ({
      ...state,
      isPrintAsked: payload,
    }),
    wordAsked: (state, { payload }: PayloadAction<string | null>): ScreenState => ({ ...state, word: payload }),
    slipSized: ({ slip, ...state }, { payload }: PayloadAction<number>): ScreenState => ({
      ...state,
      slip: { ...slip, widthPx: Math.min(SLIP_PX.most, Math.max(SLIP_PX.least, Math.round(payload))) },
    }),
    slipFolded: ({ slip, ...state }): ScreenState => ({ ...state, slip: { ...slip, isFolded: !slip.isFolded } }),
    sectionTurned: (
      { slip, ...state },
      { payload: { title, isOpen } }: PayloadAction<{ readonly title: string; readonly isOpen: boolean }>,
    ): ScreenState => {
      const others = slip.open.filter((other) => other !== title);
      return { ...state, slip: { ...slip, open: isOpen ? [...others, title] : others } };
    },
    said: (state, { payload }: PayloadAction<string | null>): ScreenState => ({ ...state, message: payload }),
  },
});

export const {
  picked,
  tapeMarked,
  notationSet,
  shadeTurned,
  fitted,
  findTurned,
  keysTurned,
  printTurned,
  spacingTurned,
  wordAsked,
  slipSized,
  slipFolded,
  sectionTurned,
  said,
} = screenSlice.actions;
export const screenReducer = screenSlice.reducer;
