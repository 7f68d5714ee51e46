import { isAlong } from '../document/kindValues.js';
import { alongBox, alongToCss } from './along.js';
import { masonryBox } from './box.js';
import { masonryToCss } from './toCss.js';
import type { ArrangementKind } from '../arrangement.js';

/** Lanes in which tiles run down, or along. */
export const masonry: ArrangementKind = {
  kind: 'masonry',
  box: (input) => (isAlong(input.band.arrangement) ? alongBox(input) : masonryBox(input)),
  toCss: (input) => (isAlong(input.band.arrangement) ? alongToCss(input) : masonryToCss(input)),
};
