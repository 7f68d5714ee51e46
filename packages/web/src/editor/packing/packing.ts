import { wrap, type Remote } from 'comlink';
import { selectBand, selectLayout, selectNeedle, selectSavedView } from '../selectors';
import type { RootState } from '../state';
import type { Asked, Packing } from './packing.worker';

let worker: Remote<Packing> | null = null;

/** The worker that closes gaps and makes proposals; started when it is first needed. */
export function packing(): Remote<Packing> {
  worker ??= wrap<Packing>(new Worker(new URL('./packing.worker.ts', import.meta.url), { type: 'module' }));
  return worker;
}

/** How much of a picture may be cropped away by what is computed. */
export const MOST_CROP = 0.5;

/** What a question to the worker is about: the level one is on, as it is saved and not as it is tried. */
export const askedOf = (state: RootState): Asked => ({
  view: selectSavedView(state),
  band: selectBand(state).index,
  width: selectNeedle(state),
  inlineSize: selectLayout(state).inlineSize,
  mostCrop: MOST_CROP,
});

/** What to say when the worker could not answer. */
export const trouble = (error: unknown) =>
  `This could not be worked out: ${error instanceof Error ? error.message : String(error)}. Nothing was changed; reload the page and try again.`;
