import { asksForShare, formatLength, lengthAt } from '../engine/css/writtenLength.js';
import { number, shown, type Check } from './checks.js';
import { LIMITS } from './limits.js';
import { LENGTH_LIKE } from './spellings.js';

/** Widths at which a length that follows the page is looked at, px. */
const LOOKED_AT = [LIMITS.narrowest, 480, 768, 1024, 1280, 1920, LIMITS.widest];

/** The most characters of a length in a file. */
const MOST = 200;

/** Within what a length stays at every width, and what it is called in messages. */
export interface LengthBounds {
  readonly least: number;
  readonly most: number;
  readonly what: string;
  /** Whether it is known what a share of it is of. */
  readonly shares: boolean;
}

/** Why a CSS length can’t be one within bounds at every width from 240 to 2560 px, in words; null: it can. */
export function lengthTrouble(text: string, { least, most, what, shares }: LengthBounds): string | null {
  if (text.length > MOST || formatLength(text) === null) return `${LENGTH_LIKE}; here it is ${shown(text)}.`;
  if (!shares && asksForShare(text))
    return `${what} can’t be in % here, since what that is of is not known. Write “cqi” for the page’s width.`;
  const all = LOOKED_AT.map((page) => lengthAt(text, page));
  const [smallest, largest] = [Math.min(...all), Math.max(...all)];
  if (!(largest <= most))
    return `${what} is up to ${most} px at every width; “${text}” comes to ${Math.round(largest)}.`;
  return least > 0 && smallest < 1 ? `${what} is at least 1 px at every width; “${text}” is less.` : null;
}

/** px, or a CSS length that comes to no more at any width; with shares where what they are of is known. */
export const length =
  (least: number, most: number, what: string, shares = false): Check =>
  (value, path, report) => {
    if (typeof value !== 'string') return number(least, most, what)(value, path, report);
    const message = lengthTrouble(value, { least, most, what, shares });
    if (message !== null) report({ path, severity: 'error', message });
  };
