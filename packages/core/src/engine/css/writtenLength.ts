import type { CssNode } from 'css-tree';
import { generate, parseValue } from './tree.js';
import { hasPercent, resolveLength, type Length } from './length.js';
import { DEFAULT_UNITS, parseLength } from './parseLength.js';
import { px } from './units.js';
import { perText } from '../../memo.js';

/**
 * px, or a CSS length as it is written in the file: `1.5rem`, `2cqi`, `clamp(8px, 2vw, 24px)`. Read with
 * `lengthAt`.
 */
export type WrittenLength = number | string;

/** px of the page’s root; type of the browser’s own size. */
const REM = 16;
/** What stands for something else on the stage than in the page, or depends on where it is used. */
const OTHER_UNIT = /\d(?:em|ex|ch|ic|lh|rlh|cap|vi|[sld]v[wi]|[sld]?v(?:h|b|min|max)|cq(?:h|b|min|max))\b/i;
/** The most characters of a length that are read; the page writes longer ones than anybody types. */
const MOST = 1000;

interface Read {
  readonly node: CssNode;
  readonly text: string;
  readonly hasPercent: boolean;
}

const remembered = perText<Read | null>(2000);

const read = (text: string): Read | null => remembered(text, () => readAnew(text));

function readAnew(text: string): Read | null {
  if (text.length > MOST || OTHER_UNIT.test(text)) return null;
  const node = parseValue(text);
  if (!node) return null;
  const length = parseLength(node, DEFAULT_UNITS);
  if (length === null) return null;
  const written = generate(node)
    .toLowerCase()
    .replace(/\s*([*/])\s*/g, ' $1 ')
    .replace(/,(?=\S)/g, ', ');
  return { node, text: written, hasPercent: hasPercent(length) };
}

/** The text of a length in its one spelling, such as `clamp(8px, 2cqi, 24px)`; null when it is none that can be used. */
export const formatLength = (text: string): string | null => read(text)?.text ?? null;

/** The length that somebody means who types one, or a sum of some as it would stand in `calc()`; null: none. */
export const typedLength = (text: string): string | null =>
  formatLength(text) ?? formatLength(`calc(${text})`);

/** Whether a length asks for a share of something that is known only where it is used. */
export const asksForShare = (length: WrittenLength): boolean =>
  typeof length === 'string' && (read(length)?.hasPercent ?? false);

/**
 * A length in px, never below 0; `cqi` and `vw` are hundredths of the page’s width.
 * @param page width of the page, px
 * @param basis what 100 % stands for, px; left out: the page’s width
 */
export function lengthAt(length: WrittenLength, page: number, basis = page): number {
  if (typeof length === 'number') return length;
  return Math.max(0, resolveLength(lengthIn(length, page), basis));
}

/** A length on a page so wide, px; shares of what it is used in stay. */
export function lengthIn(length: WrittenLength, page: number): Length {
  if (typeof length === 'number') return length;
  const found = read(length);
  const hundredth = page / 100;
  const units = { ...DEFAULT_UNITS, em: REM, rem: REM, vw: hundredth, cqw: hundredth };
  return (found && parseLength(found.node, units)) ?? 0;
}

/**
 * A length as the page’s style sheet writes it: never as it came, but from what was read of it. What is a part
 * of the width is one of the page’s, wherever the page stands, as breakpoints are.
 */
export const lengthCss = (length: WrittenLength): string =>
  typeof length === 'number' ? px(length) : ofContainer(formatLength(length) ?? '0');

/** The same text with the page’s own unit for parts of its width. */
export const ofContainer = (css: string): string => css.replace(/(\d)(?:vw|cqw)\b/gi, '$1cqi');

/** A length whose shares are written out as parts of something that has a width of its own. */
export const withShares = (length: WrittenLength, of: string): WrittenLength =>
  typeof length === 'number' || !asksForShare(length)
    ? length
    : length.replace(/(\d*\.?\d+)%/g, (_, share: string) => `calc(${share} * ${of} / 100)`);

/** So many times a length. */
export const multipleCss = (count: number, length: WrittenLength): string =>
  typeof length === 'number' ? px(count * length) : `calc(${timesCss(count, length)})`;

/** The same as a part of a calculation. */
export function timesCss(count: number, length: WrittenLength): string {
  // A zero without a unit is a number there, and no length (CSS Values 4, section 10.8).
  if (typeof length === 'number') return count * length === 0 ? '0px' : px(count * length);
  const read = ofContainer(formatLength(length) ?? '0px');
  // A browser takes none of these for less than nothing; in a calculation it would.
  const written = read.includes('-') ? `max(0px, ${read})` : read;
  return count === 1 ? written : `${count} * ${written}`;
}
