import type { Spread } from '../../document/types.js';

/** How contents are spread, as `justify-content` writes it. */
export const SPREAD: Readonly<Record<Spread, string>> = {
  start: 'flex-start',
  center: 'center',
  end: 'flex-end',
  between: 'space-between',
};
