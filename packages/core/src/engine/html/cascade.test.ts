import { describe, expect, test } from '@jest/globals';
import { readPage } from './readPage.js';
import { layoutPage } from './layoutPage.js';
import { compareSpecificity, specificityOf } from './specificity.js';
import { parse } from 'css-what';
import { EIGHT_PX_A_LETTER } from '../../testing/layoutHtml.js';

const page = (css: string, attributes = '', width = 900) =>
  layoutPage(
    readPage(
      `<!doctype html><style>body { margin: 0 } ${css}</style><main class="g" data-grid style="display: grid"><p class="t" id="one" data-tile="a" ${attributes}></p></main>`,
    ),
    width,
    EIGHT_PX_A_LETTER,
  ).tiles[0];
const widthBy = (css: string, attributes = '', width = 900) => page(css, attributes, width)?.inlineSize;

describe('which declaration counts', () => {
  test.each<[string, string, number]>([
    ['the later of equals', '.t { width: 10px } .t { width: 20px }', 20],
    ['the more specific', '#one { width: 10px } .t { width: 20px }', 10],
    ['a class over two types', '.t { width: 10px } main p { width: 20px }', 10],
    ['`:is` with its most specific', ':is(#one, p) { width: 10px } .t.t { width: 20px }', 10],
    ['`:where` with nothing', ':where(#one) { width: 10px } p { width: 20px }', 20],
    ['`:not` with what is in it', 'p:not(#two) { width: 10px } .t { width: 20px }', 10],
    ['an attribute as a class', '[data-tile] { width: 10px } p { width: 20px }', 10],
    ['the important', '.t { width: 10px !important } #one { width: 20px }', 10],
    ['no rule whose selector does not match', '.t > b { width: 10px } .t { width: 20px }', 20],
    ['nested rules by their parents', 'main { & .t { width: 10px } } p { width: 20px }', 10],
    ['nested with `&`', '.t { width: 20px; &.t { width: 10px } }', 10],
    ['unlayered over layered', '@layer a { #one { width: 20px } } p { width: 10px }', 10],
    ['the later layer', '@layer a { #one { width: 20px } } @layer b { p { width: 10px } }', 10],
    [
      'layers in the order in which they are named',
      '@layer b, a; @layer a { p { width: 10px } } @layer b { #one { width: 20px } }',
      10,
    ],
    [
      'important in the earlier layer',
      '@layer a { p { width: 10px !important } } @layer b { p { width: 20px !important } }',
      10,
    ],
    ['a layer in a layer', '@layer a { @layer b { #one { width: 20px } } p { width: 10px } }', 10],
    ['the logical twin that comes later', '.t { width: 20px; inline-size: 10px }', 10],
    ['the physical twin that comes later', '.t { inline-size: 20px; width: 10px }', 10],
  ])('%s', (_, css, expected) => expect(widthBy(css)).toBe(expected));

  test('a style attribute over all rules but important ones', () => {
    expect(widthBy('#one { width: 10px }', 'style="width: 20px"')).toBe(20);
    expect(widthBy('#one { width: 10px !important }', 'style="width: 20px"')).toBe(10);
  });
});

describe('conditions', () => {
  test.each<[string, string, number]>([
    ['(width < 600px)', '@media (width < 600px) { .t { width: 10px } }', 500],
    ['(max-width: 600px)', '@media (max-width: 600px) { .t { width: 10px } }', 600],
    ['a range', '@media (400px <= width < 600px) { .t { width: 10px } }', 599],
    ['and', '@media (width > 400px) and (width < 600px) { .t { width: 10px } }', 500],
    [
      'a container',
      'body { container-type: inline-size } @container (width < 600px) { .t { width: 10px } }',
      599,
    ],
    [
      'a named container',
      'body { container: page / inline-size } @container page (width < 600px) { .t { width: 10px } }',
      599,
    ],
    ['nested in a rule', '.t { @media (width < 600px) { width: 10px } }', 500],
    ['in each other', '@media (width < 600px) { @supports (display: grid) { .t { width: 10px } } }', 500],
  ])('%s holds at some widths', (_, css, width) => {
    const all = `.t { width: 20px } ${css}`;
    expect([widthBy(all, '', width), widthBy(all, '', 700)]).toEqual([10, 20]);
  });

  test.each<[string, number]>([
    ['(display: grid)', 10],
    ['(display: grid-lanes)', 10],
    ['(display: table)', 20],
    ['not (display: table)', 10],
    ['(display: table) or (display: flex)', 10],
    ['(display: grid) and (display: table)', 20],
    ['((display: grid) and (display: flex)) or (display: table)', 10],
  ])('@supports %s', (condition, expected) =>
    expect(widthBy(`.t { width: 20px } @supports ${condition} { .t { width: 10px } }`)).toBe(expected),
  );
});

describe('values', () => {
  test.each<[string, string, number]>([
    ['a variable', ':root { --w: 10px } .t { width: var(--w) }', 10],
    ['its fallback', '.t { width: var(--none, 10px) }', 10],
    ['a variable of a variable', 'main { --a: 10px; --b: var(--a) } .t { width: var(--b) }', 10],
    ['the nearest', ':root { --w: 20px } main { --w: 10px } .t { width: var(--w) }', 10],
    [
      'no value where variables go round',
      '.t { --a: var(--b); --b: var(--a); width: var(--a); max-width: 30px }',
      30,
    ],
    ['inherit', 'main { width: 300px } .t { width: inherit }', 300],
    ['initial', 'p { width: 20px } .t { width: initial; max-width: 30px }', 30],
    ['unset', 'p { width: 20px } .t { width: unset; max-width: 30px }', 30],
    ['calc', '.t { width: calc(100% / 3 - 10px) }', 290],
    ['min and max', '.t { width: max(5px, min(10px, 50%)) }', 10],
    ['clamp', '.t { width: clamp(5px, 50%, 10px) }', 10],
    ['em of its own type', '.t { font-size: 20px; width: 2em }', 40],
    ['rem of the root', ':root { font-size: 10px } .t { font-size: 20px; width: 2rem }', 20],
    ['vw', '.t { width: 10vw }', 90],
    ['cqi', 'body { container-type: inline-size } .t { width: 10cqi }', 90],
  ])('%s', (_, css, expected) => expect(widthBy(css)).toBe(expected));

  test('what makes no sense is left out, with its line', () => {
    const wrong = 'margin: 1px 2px 3px 4px 5px';
    const { reports } = readPage(`<!doctype html>\n<style>\n.t { ${wrong} }\n</style><p class="t"></p>`);
    expect(reports).toMatchObject([{ line: 3 }]);
    expect(page(`.t { margin: 10px; ${wrong} }`)?.x).toBe(10);
  });
});

describe('specificity (Selectors 4, section 17)', () => {
  test.each<[string, readonly number[]]>([
    ['*', [0, 0, 0]],
    ['li', [0, 0, 1]],
    ['ul li', [0, 0, 2]],
    ['ul ol+li', [0, 0, 3]],
    ['h1 + *[rel=up]', [0, 1, 1]],
    ['ul ol li.red', [0, 1, 3]],
    ['li.red.level', [0, 2, 1]],
    ['#x34y', [1, 0, 0]],
    ['#s12:not(foo)', [1, 0, 1]],
    [':is(em, #foo)', [1, 0, 0]],
    [':where(em, #foo)', [0, 0, 0]],
  ])('%s', (selector, expected) => expect(specificityOf(parse(selector)[0] ?? [])).toEqual(expected));

  test('is compared from the left', () => {
    expect(compareSpecificity([1, 0, 0], [0, 9, 9])).toBeGreaterThan(0);
    expect(compareSpecificity([0, 1, 0], [0, 1, 1])).toBeLessThan(0);
    expect(compareSpecificity([0, 1, 1], [0, 1, 1])).toBe(0);
  });
});
