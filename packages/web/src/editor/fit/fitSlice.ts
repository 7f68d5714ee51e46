import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CollectionDocument, FitReport } from '@noria/core';

export interface FitState {
  /** The last answer of the fit check; null before the first. */
  readonly report: FitReport | null;
  /** What it is about: the document as shown, to tell whether it has changed since. */
  readonly about: CollectionDocument | null;
  /** The last answer about the document as it is, not as something under way would make it. */
  readonly settled: FitReport | null;
  readonly trouble: string | null;
}

const initialState: FitState = { report: null, about: null, settled: null, trouble: null };

export const fitSlice = createSlice({
  name: 'fit',
  initialState: initialState,
  reducers: {
    checked: (
      state: FitState,
      {
        payload: { isTrial, ...found },
      }: PayloadAction<Pick<FitState, 'report' | 'about'> & { readonly isTrial: boolean }>,
    ): FitState => ({ ...found, settled: isTrial ? state.settled : found.report, trouble: null }),
    couldNotCheck: (state: FitState, { payload }: PayloadAction<string>): FitState => ({
      ...state,
      trouble: payload,
    }),
    forgotten: (): FitState => initialState,
  },
});

export const { checked, couldNotCheck, forgotten } = fitSlice.actions;
