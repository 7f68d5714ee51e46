import {
  combineSlices,
  createDynamicMiddleware,
  type Store,
  type ThunkAction,
  type ThunkDispatch,
  type UnknownAction,
} from '@reduxjs/toolkit';
import { editorSlice } from './editorSlice';
import { fontsSlice } from './engine/fontsSlice';
import { fitSlice } from './fit/fitSlice';
import { documentSlice } from './document/documentSlice';
import { uploadsSlice } from './pictures/uploadsSlice';
import { laterSlice } from './saving/later/laterSlice';
import { noticesSlice } from '../ui/notices/noticesSlice';

/** Everything that is kept in the store, slice by slice. What acts on it imports its types from here. */
export const reducer = combineSlices({
  document: documentSlice.reducer,
  editor: editorSlice.reducer,
  fit: fitSlice.reducer,
  fonts: fontsSlice.reducer,
  later: laterSlice.reducer,
  notices: noticesSlice.reducer,
  uploads: uploadsSlice.reducer,
});

/** Where middleware comes in with what is fetched later. */
export const lateMiddleware = createDynamicMiddleware();

export type RootState = ReturnType<typeof reducer>;
export type AppDispatch = ThunkDispatch<RootState, unknown, UnknownAction>;
export type AppThunk<Result = void> = ThunkAction<Result, RootState, unknown, UnknownAction>;
export type AppStore = Omit<Store<RootState>, 'dispatch'> & { readonly dispatch: AppDispatch };
