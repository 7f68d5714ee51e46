import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CollectionDocument, FitReport } from '@noria/core';

export interface FitState {
  /** The last answer of the fit check; null before the first. */
  readonly report: FitReport | null;
  /** What it is about: the document itself, to tell whether it has changed since. */
  readonly about: CollectionDocument | null;
  /** How long the last check took, ms. */
  readonly ms: number;
  readonly trouble: string | null;
}

const initialState: FitState = { report: null, about: null, ms: 0, trouble: null };

export const fitSlice = createSlice({
  name: 'fit',
  initialState: initialState,
  reducers: {
    checked: (
      _: FitState,
      { payload }: PayloadAction<Pick<FitState, 'report' | 'about' | 'ms'>>,
    ): FitState => ({ ...payload, trouble: null }),
    couldNotCheck: (state: FitState, { payload }: PayloadAction<string>): FitState => ({
      ...state,
      trouble: payload,
    }),
    forgotten: (): FitState => initialState,
  },
});

export const { checked, couldNotCheck, forgotten } = fitSlice.actions;
