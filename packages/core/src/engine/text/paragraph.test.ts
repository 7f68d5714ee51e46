import { describe, expect, test } from '@jest/globals';
import { paragraph } from './paragraph.js';
import type { ParagraphStyle, TextMeasurer, TextRun } from './types.js';

/** Every character is 10 px wide, wide ones of East Asia 20. */
const measurer: TextMeasurer = {
  width: (text) =>
    Array.from(text).reduce(
      (sum, character) => sum + (/\p{Script=Han}/u.test(character) ? 20 : /\p{Mn}/u.test(character) ? 0 : 10),
      0,
    ),
  metrics: ({ size }) => ({ ascent: size * 0.8, descent: size * 0.2, lineGap: 0 }),
};
const plain: ParagraphStyle = { wraps: true, collapses: 'all', overflowWrap: 'normal', wordBreak: 'normal' };
const run = (text: string, more: Partial<TextRun> = {}): TextRun => ({
  text,
  font: { families: ['Any'], size: 20, weight: 400, italic: false, features: 'normal', axes: 'normal' },
  lineHeight: 30,
  letterSpacing: 0,
  ...more,
});
const lines = (text: string, width: number, style: Partial<ParagraphStyle> = {}) =>
  paragraph([run(text)], { ...plain, ...style }, measurer).linesAt(width);

describe('a paragraph', () => {
  test('measures its longest piece and its one line', () => {
    const { minContent, maxContent, blockSizeAt } = paragraph(
      [run('snow and  stove\n lit')],
      plain,
      measurer,
    );
    expect([minContent, maxContent]).toEqual([50, 180]);
    expect([180, 90, 89, 50].map(blockSizeAt)).toEqual([30, 60, 90, 120]);
  });

  test.each([
    ['a space at the end of a line hangs', 'aaaa bbbb', 40, {}, 2],
    ['after a hyphen', 'half-board', 50, {}, 2],
    ['at a soft hyphen, which then needs room for a hyphen', 'war\u00adden', 39, {}, 2],
    ['not at a slash', 'km/h', 30, {}, 1],
    ['not at a no-break space', '2\u00a0710', 30, {}, 1],
    ['between characters of Chinese', '山小屋', 40, {}, 2],
    ['anywhere when it must', 'ladder', 30, { overflowWrap: 'anywhere' }, 2],
    ['nowhere when it must not', 'snow and stove', 30, { wraps: false }, 1],
    ['at every line end that is kept', 'a\nb\n\nc', 500, { collapses: 'none' }, 4],
    ['between characters, all of them', 'snow and', 40, { wordBreak: 'break-all' }, 2],
    ['right to left as left to right', 'שלג ותנור דולק', 60, {}, 3],
  ] as const)('breaks %s', (_, text, width, style, count) => expect(lines(text, width, style)).toBe(count));

  test('cuts between what is seen as one character', () => {
    const family = '\u{1F468}\u200d\u{1F469}\u200d\u{1F467}';
    expect(lines(`${family}${family}`, 50, { overflowWrap: 'anywhere' })).toBe(2);
    expect(lines('e\u0301e\u0301', 10, { overflowWrap: 'anywhere' })).toBe(2);
  });

  test('counts letter spacing, and the highest of its runs', () => {
    expect(paragraph([run('abc', { letterSpacing: 2 })], plain, measurer).maxContent).toBe(36);
    const mixed = paragraph([run('small '), run('large', { lineHeight: 50 })], plain, measurer);
    expect(mixed.blockSizeAt(500)).toBe(50);
    expect(mixed.blockSizeAt(60)).toBe(80);
  });

  test('of nothing has no height', () =>
    expect(paragraph([run('  ')], plain, measurer).blockSizeAt(100)).toBe(0));
});

test('lines are as wide as their words, stand where they are aligned, and balance where they are to', () => {
  const runs = [run('one path and dry wood')];
  const at = (own: Partial<ParagraphStyle>, size: number) =>
    paragraph(runs, { ...plain, ...own }, measurer).linesIn?.(size) ?? [];
  const width = paragraph(runs, plain, measurer).maxContent;
  const [only, ...more] = at({ align: 'end' }, width + 40);
  expect(more).toEqual([]);
  expect([only?.x, only?.inlineSize]).toEqual([40, width]);
  const two = at({}, width * 0.8);
  expect(two).toHaveLength(2);
  expect(two.every(({ x }) => x === 0)).toBe(true);
  const balanced = at({ balances: true }, width * 0.8);
  expect(balanced).toHaveLength(2);
  const longest = (lines: typeof two) => Math.max(...lines.map(({ inlineSize }) => inlineSize));
  expect(longest(balanced)).toBeLessThan(longest(two));
  const centred = at({ align: 'center' }, width * 0.8);
  for (const line of centred) expect(line.x * 2 + line.inlineSize).toBeCloseTo(width * 0.8, 5);
});

test('the letters of a line begin at a whole px below its top, or above it where lines are close', () => {
  const at = (lineHeight: number) =>
    paragraph([run('hut', { lineHeight })], plain, measurer).linesIn?.(400)[0] ?? {
      above: NaN,
      letters: NaN,
    };
  const { letters } = at(20);
  const font = measurer.metrics(run('hut').font);
  expect(letters).toBe(Math.round(font.ascent) + Math.round(font.descent));
  expect(at(letters + 5).above).toBe(2);
  expect(at(letters - 1).above).toBe(-1);
});
