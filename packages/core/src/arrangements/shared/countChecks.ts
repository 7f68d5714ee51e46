import { number, orNull } from '../../document/checks.js';
import { length } from '../../document/lengthCheck.js';
import { LIMITS } from '../../document/limits.js';

/** Checks of a number of columns: so many, or as many of a least width as fit. */
export const countChecks = (what: string) => ({
  count: orNull(number(1, LIMITS.columns, `A number of ${what}`, true)),
  min: length(1, LIMITS.track, `The minimum width of ${what}`),
  max: orNull(number(1, LIMITS.columns, `A greatest number of ${what}`, true)),
});
