import { asksForShare, typedLength } from '../../engine/css/writtenLength.js';
import { LIMITS } from '../../document/limits.js';
import { lengthTrouble } from '../../document/lengthCheck.js';

/** A length with another unit than px, in its one spelling; null: it is none, or a share of something unknown. */
export function writtenIn(text: string): string | null {
  const written = /[a-z]/i.test(text) && !/^[\d.]+\s*px$/i.test(text) ? typedLength(text) : null;
  return written !== null && asksForShare(written) ? null : written;
}

/** Throws a RangeError that says what is amiss with a written length. */
export function withinBounds(written: string, part: string, least: number, most: number): void {
  const trouble = lengthTrouble(written, { least, most, what: 'A length', shares: false });
  if (trouble !== null) throw new RangeError(`“${part}”: ${trouble}`);
}

/** A width of a page at which bands can change, px; throws a RangeError that says which there are. */
export function aWidth(px: number): number {
  if (!(px > LIMITS.narrowest && px <= LIMITS.widest))
    throw new RangeError(`A width is from ${LIMITS.narrowest + 1} to ${LIMITS.widest} px: “900”.`);
  return px;
}

/** Throws a RangeError that says what there may be of something, where there is less or more. */
export function inBounds(value: number, most: number, of: string, least = 1): void {
  if (!(value >= least && value <= most))
    throw new RangeError(`From ${least} to ${most} ${of}; here it is ${value}.`);
}
