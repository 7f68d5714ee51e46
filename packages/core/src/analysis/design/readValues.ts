import { aWidth, inBounds, withinBounds, writtenIn } from './bounds.js';
import { LIMITS } from '../../document/limits.js';
import type { DesignValues } from './design.js';

/** What a part begins with that is a value, and no card. */
export const VALUE =
  /^(gap|padding|radius|fill|background|width|height|at most|spans by shape|spans from|square cells|first rows?|enlarge all|no breakpoints?|breakpoints?)\b\s*(.*)$/i;

/**
 * The values that are said beside the cards.
 * @throws RangeError when one can’t be read or is out of bounds; it says what to write
 */
export function readValues(parts: readonly string[]): DesignValues {
  return Object.assign({}, ...parts.map(readValue)) as DesignValues;
}

function readValue(part: string): DesignValues {
  const [, name = '', rest = ''] = VALUE.exec(part) ?? [];
  const word = name.toLowerCase();
  const number = (most: number, like: string, least = 0) => {
    const value = /^\d+(?:\.\d+)?(?=\s*(?:px)?$)/i.exec(rest)?.[0];
    if (value === undefined || Number(value) < least || Number(value) > most)
      throw new RangeError(`“${part}”: write “${like}”, from ${least} to ${most} px.`);
    return Number(value);
  };
  const length = (most: number, like: string, least = 0) => {
    const written = writtenIn(rest);
    if (written === null) return number(most, like, least);
    withinBounds(written, part, least, most);
    return written;
  };
  switch (word) {
    case 'gap':
      return { gap: length(LIMITS.gap, 'gap 16') };
    case 'padding':
      return { padding: length(LIMITS.padding, 'padding 24') };
    case 'radius':
      return { radius: length(LIMITS.radius, 'radius 14') };
    case 'fill':
      return { fill: colour(part, word, rest) };
    case 'background':
      return { background: colour(part, word, rest) };
    case 'width':
      return { width: length(LIMITS.widest, 'width 1200', 1) };
    case 'spans by shape': {
      const from = /^from\s+(\d+)(?:\s*px)?$/i.exec(rest)?.[1];
      if (rest !== '' && from === undefined)
        throw new RangeError(`“${part}”: write “spans by shape”, or “spans by shape from 640”.`);
      return { spansByShape: true, ...(from !== undefined && { spansFrom: aWidth(Number(from)) }) };
    }
    case 'spans from':
      return { spansFrom: aWidth(number(LIMITS.widest, 'spans from 640', 1)) };
    case 'first row':
    case 'first rows': {
      const sizes = rest
        .split(/\s+/)
        .map((each) => (/^\d+(?:\.\d+)?$/.test(each) ? `${each}px` : each.toLowerCase()));
      if (!sizes.every((each) => each === 'auto' || /^\d+(?:\.\d+)?(?:px|fr)$/.test(each)))
        throw new RangeError(
          `“${part}”: write the heights of the first rows, “first row 180” or “first rows 64 1fr auto”.`,
        );
      inBounds(sizes.length, LIMITS.rows, 'rows');
      for (const size of sizes) inBounds(size === 'auto' ? 1 : parseFloat(size), LIMITS.track, 'px', 0);
      return { rows: sizes };
    }
    case 'square cells':
      if (rest !== '') throw new RangeError(`“${part}”: write “square cells” alone.`);
      return { cells: 'square' };
    case 'enlarge all':
      if (!/^(?:pictures)?$/i.test(rest)) throw new RangeError(`“${part}”: write “enlarge all” alone.`);
      return { enlarges: 'all' };
    case 'no breakpoint':
    case 'no breakpoints':
      if (rest !== '')
        throw new RangeError(`“${part}”: write “no breakpoints” alone, or “breakpoints 900 580”.`);
      return { breakpoints: [] };
    case 'at most': {
      const most = Number(/^\d+(?=(?:\s+columns?)?$)/i.exec(rest)?.[0]);
      if (!(most >= 1 && most <= LIMITS.columns))
        throw new RangeError(`“${part}”: write “at most 5”, up to ${LIMITS.columns} columns.`);
      return { atMost: most };
    }
    case 'height':
      return {
        height: readHeight(part, rest) ?? {
          kind: 'fixed',
          px: length(LIMITS.height, 'height 600', 1),
          rows: 'share',
        },
      };
    default: {
      const widths = rest.split(/\s+(?:and\s+)?/i).map((each) => Number(each.replace(/px$/i, '')));
      return { breakpoints: [...new Set(widths.map(aWidth))].sort((a, b) => b - a) };
    }
  }
}

function colour(part: string, of: string, written: string): string {
  const [, short, long] = /^#(?:([0-9a-f]{3})|([0-9a-f]{6}))$/i.exec(written) ?? [];
  const digits = long ?? short?.replace(/./g, '$&$&');
  if (digits === undefined)
    throw new RangeError(`“${part}”: write the colour as “${of} #14181d” or “${of} #fff”.`);
  return `#${digits.toLowerCase()}`;
}

/** A share of the screen; null: nothing of the screen is said. */
function readHeight(part: string, rest: string): DesignValues['height'] | null {
  if (/^(?:the\s+)?screen$/i.test(rest)) return { kind: 'screen', share: 1, rows: 'share' };
  const [, percent] = /^(\d+(?:\.\d+)?)\s*%(?:\s+of\s+the\s+screen)?$/i.exec(rest) ?? [];
  if (percent === undefined) return null;
  if (!(Number(percent) >= 1 && Number(percent) <= 400))
    throw new RangeError(`“${part}”: write “height 92%”, from 1 to 400 % of the screen.`);
  return { kind: 'screen', share: Number(percent) / 100, rows: 'share' };
}
