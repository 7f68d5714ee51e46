import { createListenerMiddleware } from '@reduxjs/toolkit';
import type { AppDispatch, RootState } from './state';

/** What happens after actions. Each part of the editor adds its own when it comes. */
export const listeners = createListenerMiddleware();
export const listen = listeners.startListening.withTypes<RootState, AppDispatch>();
