import { configureStore } from '@reduxjs/toolkit';
import { listeners } from '../editor/listeners';
import { lateMiddleware, reducer } from '../editor/state';

/** The store, with what happens after actions. */
export const makeStore = () =>
  configureStore({
    reducer,
    middleware: (defaults) =>
      // The document is checked where it comes in; walking it after every action would cost frames.
      defaults({ serializableCheck: false, immutableCheck: false })
        .prepend(listeners.middleware)
        .concat(lateMiddleware.middleware),
  });
