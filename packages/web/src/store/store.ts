import { combineReducers, configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { composeSlice } from '../features/compose/composeSlice';
import { fitSlice } from '../features/fit/fitSlice';
import { documentSlice } from '../features/document/documentSlice';
import { saver } from '../features/document/saver';
import { uploadsSlice } from '../features/pictures/uploadsSlice';
import { laterSlice } from '../features/later';
import { noticesSlice } from '../features/notices/noticesSlice';

export const reducer = combineReducers({
  document: documentSlice.reducer,
  compose: composeSlice.reducer,
  fit: fitSlice.reducer,
  later: laterSlice.reducer,
  notices: noticesSlice.reducer,
  uploads: uploadsSlice.reducer,
});

export const makeStore = () =>
  configureStore({
    reducer,
    middleware: (defaults) =>
      // The document is checked where it comes in; walking it after every action would cost frames.
      defaults({ serializableCheck: false, immutableCheck: false }).prepend(saver.middleware),
  });

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<typeof reducer>;
export type AppDispatch = AppStore['dispatch'];
export type AppThunk<Result = void> = ThunkAction<Result, RootState, unknown, UnknownAction>;
