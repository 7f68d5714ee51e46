import { selectBand, selectLayout, selectLevel, selectNeedle } from '../selectors';
import type { RootState } from '../state';
import type { Asked } from '../engine/questions';

/** How much of a picture may be cropped away by what is computed. */
export const MOST_CROP = 0.5;

/** What a question about the level one is on is about. */
export const askedOf = (state: RootState): Asked => ({
  level: selectLevel(state),
  band: selectBand(state).index,
  width: selectNeedle(state),
  inlineSize: selectLayout(state).inlineSize,
  mostCrop: MOST_CROP,
});

/** What to say when the worker could not answer. */
export const trouble = (error: unknown) =>
  `This could not be calculated: ${error instanceof Error ? error.message : String(error)}. Nothing was changed; reload the page and try again.`;
