import {
  combineReducers,
  type Store,
  type ThunkAction,
  type ThunkDispatch,
  type UnknownAction,
} from '@reduxjs/toolkit';
import { composeSlice } from '../features/compose/composeSlice';
import { fitSlice } from '../features/fit/fitSlice';
import { documentSlice } from '../features/document/documentSlice';
import { uploadsSlice } from '../features/pictures/uploadsSlice';
import { laterSlice } from '../features/later/laterSlice';
import { noticesSlice } from '../features/notices/noticesSlice';

/** Everything that is kept in the store, slice by slice. What acts on it imports its types from here. */
export const reducer = combineReducers({
  document: documentSlice.reducer,
  compose: composeSlice.reducer,
  fit: fitSlice.reducer,
  later: laterSlice.reducer,
  notices: noticesSlice.reducer,
  uploads: uploadsSlice.reducer,
});

export type RootState = ReturnType<typeof reducer>;
export type AppDispatch = ThunkDispatch<RootState, unknown, UnknownAction>;
export type AppThunk<Result = void> = ThunkAction<Result, RootState, unknown, UnknownAction>;
export type AppStore = Omit<Store<RootState>, 'dispatch'> & { readonly dispatch: AppDispatch };
