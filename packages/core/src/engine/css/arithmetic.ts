import { parseValue } from './tree.js';
import { DEFAULT_UNITS, parseNumber } from './parseLength.js';

const SIGNS = /^[\d.\s+\-*/()]+$/;

/**
 * What a person types into a field for a number: `1200/3`, `100% - 40`, `2 * (24 + 8)`. Units of px
 * may be left in; a percentage is a share of the basis.
 * @param basis what 100 % stands for; NaN where percentages mean nothing
 * @returns null when the text is no sum that comes out as a number
 */
export function evaluate(text: string, basis = NaN): number | null {
  if (text.includes('%') && Number.isNaN(basis)) return null;
  const plain = text
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/[×·]/g, '*')
    .replace(/[−–]/g, '-')
    .replace(/:|÷/g, '/')
    .replace(/(\d)\s*px\b/gi, '$1')
    .replace(/(\d+(?:\.\d+)?|\.\d+)\s*%/g, (_, share: string) => `(${Number(share) / 100}*${basis})`);
  if (!SIGNS.test(plain) || !/\d/.test(plain) || /[\d.]\s+[\d.]/.test(plain)) return null;
  // CSS wants blanks around + and −, so that they are no signs of a number.
  const spaced = plain
    .replace(/([\d.)])\s*([+-])\s*/g, '$1 $2 ')
    .replace(/\s+/g, ' ')
    .trim();
  const value = parseNumber(parseValue(`calc(${spaced})`) ?? undefined, DEFAULT_UNITS);
  return value !== null && Number.isFinite(value) ? value : null;
}
