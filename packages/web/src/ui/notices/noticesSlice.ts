import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface NoticesState {
  /** Said to a screen reader; the count makes the same words sound twice. */
  readonly announcement: { readonly words: string; readonly count: number };
  /** Shown until it is closed or the next one comes. */
  readonly warning: string | null;
}

const initialState: NoticesState = { announcement: { words: '', count: 0 }, warning: null };

export const noticesSlice = createSlice({
  name: 'notices',
  initialState,
  reducers: {
    announce: (state, { payload }: PayloadAction<string>) => {
      state.announcement = { words: payload, count: state.announcement.count + 1 };
    },
    warn: (state, { payload }: PayloadAction<string | null>) => {
      state.warning = payload;
    },
  },
});

export const { announce, warn } = noticesSlice.actions;
