import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { FilmToPlace, TileId } from '@noria/core';
import type { LibraryPicture } from '../../api/pictures';

export interface UploadsState {
  /** How many are to be uploaded, and how far they have come; null: none. */
  readonly batch: { readonly total: number; readonly done: number; readonly failed: number } | null;
  /** What is under way before that, such as a ZIP that is unpacked. */
  readonly preparing: string | null;
  /** What was not taken, and why. */
  readonly troubles: readonly string[];
  /** The order in which many pictures are taken. */
  readonly order: 'picked' | 'numbered';
  /** Pictures that were taken by their numbers although they were picked otherwise; null: none. */
  readonly renumbered: Renumbered | null;
  /** Counts up when the library has become another. */
  readonly changes: number;
}

/** A film of the library, with what shows before it plays. */
export interface ArrivedFilm extends FilmToPlace {
  readonly name: string;
}

export type ArrivedMedia = LibraryPicture | ArrivedFilm;

export interface Renumbered {
  /** As they were picked. */
  readonly picked: readonly ArrivedMedia[];
  readonly onto: TileId | null;
  readonly cell: { readonly column: number; readonly row: number } | null;
  /** How many steps were done then. */
  readonly steps: number;
}

const initialState: UploadsState = {
  batch: null,
  preparing: null,
  troubles: [],
  order: 'picked',
  renumbered: null,
  changes: 0,
};

export const uploadsSlice = createSlice({
  name: 'uploads',
  initialState: initialState,
  reducers: {
    preparing: (state, { payload }: PayloadAction<string | null>) => ({ ...state, preparing: payload }),
    begun: (state, { payload }: PayloadAction<number>) => ({
      ...state,
      batch: { total: payload, done: 0, failed: 0 },
    }),
    uploaded: (state) => ({
      ...state,
      batch: state.batch && { ...state.batch, done: state.batch.done + 1 },
    }),
    failed: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      batch: state.batch && { ...state.batch, failed: state.batch.failed + 1 },
      troubles: [...state.troubles, payload],
    }),
    refused: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      troubles: [...state.troubles, payload],
    }),
    ended: (state) => ({ ...state, batch: null, preparing: null, changes: state.changes + 1 }),
    troublesRead: (state) => ({ ...state, troubles: [] }),
    orderChosen: (state, { payload }: PayloadAction<UploadsState['order']>) => ({ ...state, order: payload }),
    renumberedNoted: (state, { payload }: PayloadAction<Renumbered | null>) => ({
      ...state,
      renumbered: payload,
    }),
    libraryChanged: (state) => ({ ...state, changes: state.changes + 1 }),
  },
});

export const {
  preparing,
  begun,
  uploaded,
  failed,
  refused,
  ended,
  troublesRead,
  orderChosen,
  renumberedNoted,
  libraryChanged,
} = uploadsSlice.actions;
