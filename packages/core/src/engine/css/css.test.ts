import { evaluate } from './arithmetic.js';
import { describe, expect, test } from '@jest/globals';
import { parse, type CssNode } from 'css-tree';
import { hasPercent, resolveLength } from './length.js';
import { DEFAULT_UNITS, parseLength } from './parseLength.js';
import { parseAreas, parseLine, parseTemplate } from './parseTracks.js';

const nodes = (text: string): CssNode[] => {
  const value = parse(text, { context: 'value' });
  return value.type === 'Value' ? value.children.toArray() : [];
};
const length = (text: string) => parseLength(nodes(text)[0], DEFAULT_UNITS);

describe('lengths', () => {
  test.each([
    ['12px', 0, 12],
    ['1.5rem', 0, 24],
    ['25%', 800, 200],
    ['10vw', 0, 128],
    ['calc(50% - 2 * (1rem + 4px))', 400, 160],
    ['calc((100% - 3 * 24px) / 4)', 1000, 232],
    ['max(200px, (100% - 2 * 24px) / 3)', 1200, 384],
    ['clamp(4px, 2%, 24px)', 800, 16],
    ['min(100%, 200px)', 150, 150],
    ['0', 9, 0],
  ])('%s of %d is %d px', (text, basis, px) =>
    expect(resolveLength(length(text) ?? NaN, basis)).toBeCloseTo(px),
  );

  test.each([
    '12',
    'auto',
    'calc(1px + 2)',
    'calc(1px * 2px)',
    'calc(1px / 0)',
    'calc(infinity * 1px)',
    '5deg',
    'calc()',
  ])('refuses %s', (text) => expect(length(text)).toBeNull());

  test('a share of what is not known counts as nothing', () => {
    const share = length('calc(10px + 50%)') ?? 0;
    expect(hasPercent(share)).toBe(true);
    expect(resolveLength(share, NaN)).toBe(10);
  });
});

describe('track lists', () => {
  const template = (text: string) => parseTemplate(nodes(text), DEFAULT_UNITS);

  test('hold names, repetitions, limits and shares', () => {
    expect(
      template('[a b] repeat(2, [c] 1fr) fit-content(40%) minmax(min-content, 2fr)')?.parts.map(
        ({ kind }) => kind,
      ),
    ).toEqual(['names', 'repeat', 'track', 'track']);
    expect(template('subgrid [x] repeat(auto-fill, [y])')?.kind).toBe('subgrid');
    expect(template('none')?.parts).toEqual([]);
  });

  test.each([
    '1fr 1frr',
    'repeat(0, 1fr)',
    'minmax(1fr, 100px)',
    '-5px',
    'repeat(2, repeat(2, 1fr))',
    '[only]',
    'repeat(auto-fill, 1px) repeat(auto-fit, 1px)',
  ])('refuse %s', (text) => expect(template(text)).toBeNull());

  test('areas are rectangles in rows of one length', () => {
    expect(parseAreas(['a a b', 'a a .'])?.areas.get('a')).toEqual({
      rowStart: 1,
      rowEnd: 3,
      columnStart: 1,
      columnEnd: 3,
    });
    expect(parseAreas(['a a b', 'a .'])).toBeNull();
    expect(parseAreas(['a b a'])).toBeNull();
  });

  test.each([
    ['2', { kind: 'line', number: 2, name: null }],
    ['-1', { kind: 'line', number: -1, name: null }],
    ['span 3', { kind: 'span', count: 3, name: null }],
    ['span main', { kind: 'span', count: 1, name: 'main' }],
    ['main 2', { kind: 'line', number: 2, name: 'main' }],
    ['main', { kind: 'name', name: 'main' }],
    ['0', null],
    ['span 0', null],
    ['1.5', null],
  ])('the line “%s”', (text, line) => expect(parseLine(nodes(text))).toEqual(line));
});

describe('a sum typed into a field', () => {
  test.each([
    ['1200/3', 400],
    ['100% - 40', 1160],
    ['100%-40px', 1160],
    ['2*(24+8)', 64],
    ['2 × 8', 16],
    ['-4', -4],
    ['3 - -1', 4],
    ['1,5', 1.5],
    ['.5', 0.5],
  ])('%s comes to %d', (text, value) => expect(evaluate(text, 1200)).toBeCloseTo(value));

  test.each(['', '12/0', '1 +', 'alert(1)', '2em', '1 2', '()'])('%j is none', (text) =>
    expect(evaluate(text, 1200)).toBeNull(),
  );

  test('a percentage needs something to be a share of', () => expect(evaluate('50%')).toBeNull());
});
