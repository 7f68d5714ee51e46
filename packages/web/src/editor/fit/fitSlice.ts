import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CollectionDocument, FitReport } from '@noria/core';
import { shown } from '../editorSlice';

export interface FitState {
  /** The last answer of the fit check; null before the first. */
  readonly report: FitReport | null;
  /** What it is about: the document as shown, to tell whether it has changed since. */
  readonly about: CollectionDocument | null;
  /** The last answer about the document as it is, not as something under way would make it. */
  readonly settled: FitReport | null;
  readonly trouble: string | null;
  /** Whether one asked for findings: until then a collection that has just been begun is not scolded. */
  readonly asked: boolean;
}

const initialState: FitState = { report: null, about: null, settled: null, trouble: null, asked: false };

export const fitSlice = createSlice({
  name: 'fit',
  initialState: initialState,
  reducers: {
    checked: (
      state: FitState,
      {
        payload: { isTrial, ...found },
      }: PayloadAction<Pick<FitState, 'report' | 'about'> & { readonly isTrial: boolean }>,
    ): FitState => ({
      ...state,
      ...found,
      settled: isTrial ? state.settled : found.report,
      trouble: null,
    }),
    askedFor: (state: FitState): FitState => ({ ...state, asked: true }),
    couldNotCheck: (state: FitState, { payload }: PayloadAction<string>): FitState => ({
      ...state,
      trouble: payload,
    }),
    forgotten: (): FitState => initialState,
  },
  extraReducers: (builder) =>
    builder.addCase(shown, (state, { payload }) =>
      payload === 'findings' || payload === 'gaps' ? { ...state, asked: true } : state,
    ),
});

export const { askedFor, checked, couldNotCheck, forgotten } = fitSlice.actions;
