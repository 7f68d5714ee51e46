import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { element } from '../../engine/html/node.js';
import { sample } from '../../testing/sample.js';
import { cardWith } from '../../testing/held.js';
import { merged, shared } from './shared.js';
import { onlyPresent, presentIn } from './present.js';
import { readSheet, sheetText, type SheetItem } from './sheet.js';
import { spelt } from './spelling.js';
import { tidied } from './index.js';
import { tileClasses } from './tileClasses.js';

const nothing = { html: '', script: '' };
const one = (css: string) => css.replace(/\s+/g, ' ').trim();
const through = (css: string, ...steps: ((items: readonly SheetItem[]) => SheetItem[])[]) =>
  one(sheetText(steps.reduce<readonly SheetItem[]>((items, step) => step(items), readSheet(css))));

describe('rules that meet nothing', () => {
  const page = presentIn(
    [
      element('article', { class: 'text', 'data-tile': 'a' }, [element('h2', {}, ['Huts']), element('p')]),
      element('figure', { class: 'picture', 'data-tile': 'b' }, [element('img')]),
    ],
    { html: '<dialog class="enlarged"><button data-go="0"></button>', script: 'node.className = "shown"' },
  );
  test.each([
    ['.text { color: red }', '.text { color: red; }'],
    ['.quote { color: red }', ''],
    ['.text > h3 { color: red }', ''],
    ['.text > :is(h1, h2, h3) { color: red }', '.text > h2 { color: red; }'],
    [':where([data-tile]) :is(h2, p, ul) { margin: 0 }', ':where([data-tile]) :is(h2, p) { margin: 0; }'],
    ['figure:is(.picture, .film) { margin: 0 }', 'figure.picture { margin: 0; }'],
    ['.picture:is(figure, video) { margin: 0 }', '.picture:is(figure) { margin: 0; }'],
    // The list weighs as its heaviest member, met or not.
    ['.text :is(h2, .badge) { margin: 0 }', '.text :is(h2, .badge) { margin: 0; }'],
    ['.text:has(.cover) { margin: 0 }', ''],
    ['.text:not(.cover) { margin: 0 }', '.text:not(.cover) { margin: 0; }'],
    ['[data-tile="c"] { margin: 0 }', ''],
    ['[data-tile="b"] > img, [data-tile="c"] > img { margin: 0 }', '[data-tile="b"] > img { margin: 0; }'],
    ['.enlarged[open], .shown, .hidden { margin: 0 }', '.enlarged[open], .shown { margin: 0; }'],
    [
      '.enlarged > [data-go="0"], .enlarged > [data-go="2"] { margin: 0 }',
      '.enlarged > [data-go="0"] { margin: 0; }',
    ],
    ['@media print { .quote { margin: 0 } }', ''],
    ['@font-face { font-family: "A" }', '@font-face { font-family: "A" }'],
  ])('of %s stays %s', (css, left) => {
    expect(through(css, (items) => onlyPresent(items, page))).toBe(left);
  });
});

describe('what several tiles say', () => {
  const at = (id: string) => `[data-tile="${id}"]`;

  test('is said once, but not where they lie, and not what is a part of something else', () => {
    const rules = ['first', 'second', 'third']
      .map(
        (id, k) =>
          `${at(id)} { grid-column: span 2; padding-top: 3px; justify-content: flex-end; order: ${k} }`,
      )
      .join('');
    expect(through(`${rules} ${at('fourth')} { padding: 1px }`, shared)).toMatch(
      /^\[data-tile="first"\], \[data-tile="second"\], \[data-tile="third"\] \{ padding-top: 3px; justify-content: flex-end; \} \[data-tile="first"\] \{ grid-column: span 2; order: 0; \}/,
    );
    const whole = rules.replaceAll('order: ', 'padding: ');
    expect(through(whole, shared)).toMatch(
      /^[^{]*"third"\] \{ grid-column: span 2; justify-content: flex-end; \} \[/,
    );
  });

  test('is one rule where all of it is the same, in conditions too', () => {
    const css = `@container (width < 600px) { ${at('a')} { order: 1 } ${at('b')} { order: 2 } ${at('c')} { order: 1 } }`;
    expect(through(css, merged)).toBe(
      `@container (width < 600px) { ${at('a')}, ${at('c')} { order: 1; } ${at('b')} { order: 2; } }`,
    );
    const between = `${at('a')} { order: 1 } .text { order: 3 } ${at('c')} { order: 1 }`;
    expect(through(between, merged)).toBe(one(between.replaceAll(' }', '; }')));
  });

  test('is not what others than tiles say, though it is the same', () => {
    const css = `.text { order: 1; } .text { gap: 2px; } ${at('a')} { order: 1; gap: 2px; }`;
    expect(through(css, merged)).toBe(`.text { order: 1; gap: 2px; } ${at('a')} { order: 1; gap: 2px; }`);
  });

  /** What each tile and each picture in one is in the end, by the order of rules alone. */
  const seen = (items: readonly SheetItem[]) => {
    const values: Record<string, Record<string, string>> = {};
    const visit = (all: readonly SheetItem[], within: string): void => {
      for (const item of all) {
        if (item.kind === 'block') visit(item.items, `${within}${item.condition}`);
        if (item.kind !== 'rule') continue;
        for (const selector of item.selectors) {
          const own = (values[`${within} ${JSON.stringify(selector)}`] ??= {});
          for (const [property, value] of item.declarations) {
            own[property] = value;
            if (property === 'padding') own['padding-left'] = value;
          }
        }
      }
    };
    visit(items, '');
    return values;
  };
  const rule = fc
    .record({
      ids: fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e'), { minLength: 1, maxLength: 2 }),
      rest: fc.constantFrom('', '', '', ' > img', '::after'),
      said: fc.uniqueArray(
        fc.tuple(
          fc.constantFrom('padding', 'padding-left', 'justify-content', 'grid-row'),
          fc.constantFrom('1', '2'),
        ),
        { minLength: 1, selector: ([property]) => property },
      ),
    })
    .map(({ ids, rest, said }) => {
      const lines = said.map(([property, value]) => `${property}: ${value}`).join(';');
      return `${ids.map((id) => `${at(id)}${rest}`).join(', ')} { ${lines} }`;
    });
  const other = fc.constantFrom('.text { order: 1 }', '@media print { .text { order: 1 } }');
  const anySheet = fc.array(fc.oneof({ weight: 9, arbitrary: rule }, { weight: 1, arbitrary: other }), {
    maxLength: 14,
  });

  test('is to each of them what it was, in any sheet', () => {
    fc.assert(
      fc.property(anySheet, (rules) => {
        const items = readSheet(rules.join('\n'));
        expect(seen(merged(shared(items)))).toEqual(seen(items));
      }),
      { numRuns: 2000 },
    );
  });
});

test.each([
  ['a { color: #FFFFFF; --x: 1px }', 'a { --x: 1px; color: #FFF; }'],
  ['a { background: url("#aabbcc") #aabbcc }', 'a { background: url("#aabbcc") #abc; }'],
  ['a { color: #aabbccdd }', 'a { color: #aabbccdd; }'],
  ['a { align-items: start; justify-items: start }', 'a { place-items: start; }'],
  ['a { justify-self: end; align-self: start }', 'a { place-self: start end; }'],
  [
    'a { grid-template-columns: repeat(2, minmax(0, 1fr)); grid-template-areas: "a b" "c c"; grid-template-rows: auto 80px }',
    'a { grid-template: "a b" "c c" 80px / minmax(0, 1fr) minmax(0, 1fr); }',
  ],
  [
    'a { grid-template-columns: 1fr; grid-template-areas: "a" "c"; grid-template-rows: none }',
    'a { grid-template-columns: 1fr; grid-template-areas: "a" "c"; grid-template-rows: none; }',
  ],
  [
    'a { grid-template-columns: repeat(auto-fill, 90px); grid-template-areas: "a"; grid-template-rows: auto }',
    'a { grid-template-columns: repeat(auto-fill, 90px); grid-template-areas: "a"; grid-template-rows: auto; }',
  ],
])('%s is spelt %s', (css, short) => expect(through(css, spelt)).toBe(short));

describe('a tile in a style sheet', () => {
  test('goes by its name: short, told from others and from the classes of parts', () => {
    const named = (name: string, id: string) => ({ ...cardWith('text', id, { heading: 'Huts' }), name });
    const tiles = [
      named('Open all winter', 'a'),
      named('Open all winter', 'b'),
      named('text', 'c'),
      named('Über 2 710 m', 'd'),
      named('…', 'e'),
      named('A very long name that nobody would want to have in a style sheet', 'f'),
      named('Donaudampfschifffahrtsgesellschaftskapitänsmütze', 'g'),
    ];
    const document = { ...sample([]), tiles: Object.fromEntries(tiles.map((tile) => [tile.id, tile])) };
    const present = presentIn([element('article', { class: 'text' })], nothing);
    expect([...tileClasses(document, present).values()]).toEqual([
      'open-all-winter',
      'open-all-winter-2',
      'text-2',
      'uber-2-710-m',
      'e',
      'a-very-long-name-that-nobody',
      'donaudampfschifffahrtsgesellscha',
    ]);
  });

  test('has that class beside what it is, wherever it is named', () => {
    const document = sample([[1, 1]]);
    const [id = ''] = document.order;
    const { css, nodes } = tidied(
      { ...document, tiles: { [id]: { ...cardWith('stat', id, { figure: '7' }), name: 'Seven huts' } } },
      {
        css: `[data-tile="${id}"]:is(:hover, :focus-within) { color: red } .collection:has(> [data-tile="${id}"]) { color: red }`,
        nodes: [[element('p', { class: 'stat', 'data-tile': id })]],
        beside: nothing,
      },
    );
    expect(nodes[0]?.[0]?.attributes).toEqual({ class: 'stat seven-huts', 'data-tile': id });
    expect(one(css)).toBe(
      '.seven-huts:is(:hover, :focus-within) { color: red; } .collection:has(> .seven-huts) { color: red; }',
    );
  });
});
