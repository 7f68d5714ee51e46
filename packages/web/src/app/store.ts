import { configureStore } from '@reduxjs/toolkit';
import { saver } from '../editor/saving/saver';
import { reducer } from '../editor/state';

/** The store with what saves. */
export const makeStore = () =>
  configureStore({
    reducer,
    middleware: (defaults) =>
      // The document is checked where it comes in; walking it after every action would cost frames.
      defaults({ serializableCheck: false, immutableCheck: false }).prepend(saver.middleware),
  });
