import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface LaterState {
  /** The paths of what has not arrived yet, of this tab. */
  readonly waiting: readonly string[];
  /** Counts up whenever something has arrived. */
  readonly arrived: number;
}

const initialState: LaterState = { waiting: [], arrived: 0 };

export const laterSlice = createSlice({
  name: 'later',
  initialState,
  reducers: {
    noted: (state, { payload }: PayloadAction<string>) => {
      if (!state.waiting.includes(payload)) state.waiting.push(payload);
    },
    settled: (state, { payload }: PayloadAction<string>) => {
      state.waiting = state.waiting.filter((path) => path !== payload);
      state.arrived++;
    },
  },
});
