import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { LIMITS, type SetFor, type TileId } from '@noria/core';

export interface ComposeState {
  /** The width now shown, in px. */
  readonly needle: number;
  readonly inHand: readonly TileId[];
  readonly setFor: SetFor;
  readonly showLines: boolean;
  /** While a pointer drags the width, tiles follow at once instead of gliding. */
  readonly sweeping: boolean;
  readonly keySheet: boolean;
}

const initialState: ComposeState = {
  needle: 1280,
  inHand: [],
  setFor: 'band',
  showLines: false,
  sweeping: false,
  keySheet: false,
};

export const composeSlice = createSlice({
  name: 'compose',
  initialState: initialState,
  reducers: {
    needleMoved: (state, { payload }: PayloadAction<number>) => ({
      ...state,
      needle: Math.min(LIMITS.widest, Math.max(LIMITS.narrowest, Math.round(payload))),
    }),
    swept: (state, { payload }: PayloadAction<boolean>) => ({ ...state, sweeping: payload }),
    taken: (state, { payload }: PayloadAction<readonly TileId[]>) => ({ ...state, inHand: payload }),
    /** Adds a tile to those in hand, or lets it go. */
    toggled: (state, { payload }: PayloadAction<TileId>) => ({
      ...state,
      inHand: state.inHand.includes(payload)
        ? state.inHand.filter((id) => id !== payload)
        : [...state.inHand, payload],
    }),
    setForChosen: (state, { payload }: PayloadAction<SetFor>) => ({ ...state, setFor: payload }),
    linesToggled: (state) => ({ ...state, showLines: !state.showLines }),
    keySheetToggled: (state, { payload }: PayloadAction<boolean>) => ({ ...state, keySheet: payload }),
  },
});

export const { needleMoved, swept, taken, toggled, setForChosen, linesToggled, keySheetToggled } =
  composeSlice.actions;
