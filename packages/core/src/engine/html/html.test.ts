import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bandsOf, placeIn } from '../../document/bands.js';
import { checkDocument } from '../../check/checkDocument.js';
import { writePage } from '../../export/page/writePage.js';
import { readCollection } from '../../reader/readCollection.js';
import { readPage } from './readPage.js';
import { demoDocument } from '../../testing/demo.js';
import { gridPage, layoutHtml, letters, LETTERS } from '../../testing/layoutHtml.js';
import { heldBy } from '../../testing/held.js';
import { kindTitle } from '../../parts/said.js';
import type { Tile } from '../../document/types.js';

const page = (css: string, tiles = letters(2)) => gridPage(css, tiles);

describe('a page is laid out by its own style', () => {
  test('the more specific, the later, the important and the unlayered rule wins', () => {
    const css = `
      @layer low, high; @layer high { [data-tile=a] { height: 10px } } @layer low { .g > [data-tile=a] { height: 20px } }
      [data-tile=b] { height: 30px !important } .g > [data-tile=b] { height: 40px }
      :is(#none, .g) { row-gap: 4px } .g { row-gap: 6px }`;
    expect(layoutHtml(page(css), 300)).toEqual({ a: [0, 0, 300, 10], b: [0, 14, 300, 30] });
  });

  test('variables, nesting, media and container queries count', () => {
    const css = `
      .g { --n: 2; --gap: var(--none, 10px); gap: var(--gap); grid-template-columns: repeat(var(--n), 1fr); grid-auto-rows: 50px;
        & > * { grid-row: span 1 } @media (width < 400px) { --n: 1 } }
      @media screen and (min-width: 900px) { .g { grid-template-columns: 1fr 3fr } }`;
    expect(layoutHtml(page(css), 500).b).toEqual([255, 0, 245, 50]);
    expect(layoutHtml(page(css), 399).b).toEqual([0, 60, 399, 50]);
    expect(layoutHtml(page(css), 910).b).toEqual([235, 0, 675, 50]);
    const contained = `<style>body { margin: 0 } main { container: hall / inline-size; padding: 0 50px }
      .g { display: grid; grid-auto-rows: 20px } @container hall (inline-size >= 400px) { .g { grid-template-columns: 1fr 1fr } }</style>
      <main><div class="g" data-grid><i data-tile="a"></i><i data-tile="b"></i></div></main>`;
    expect(layoutHtml(contained, 500).b).toEqual([200, 0, 200, 20]);
    expect(layoutHtml(contained, 499).b).toEqual([0, 20, 399, 20]);
  });

  test('words make rows as high as their lines', () => {
    const html = page(
      '.g { grid-template-columns: 1fr 1fr; font: 16px/20px any }',
      '<p data-tile="a" style="margin:0">four words are here</p><div data-tile="b"></div>',
    );
    expect(layoutHtml(html, 160).b).toEqual([80, 0, 80, 40]);
  });

  test('a page is laid out as nobody does anything with it', () => {
    const css = `.g { grid-template-columns: 1fr 1fr; grid-auto-rows: 50px }
      ${['hover', 'active', 'focus', 'focus-visible', 'focus-within', 'target'].map((state) => `[data-tile=a]:${state}`).join()} { height: 9px }
      .g:has(> :focus-within) { grid-template-columns: 1fr }
      [data-tile=b]:not(:focus-visible) { height: 20px }`;
    expect(readPage(page(css)).reports).toEqual([]);
    expect(layoutHtml(page(css), 400)).toMatchObject({ a: [0, 0, 200, 50], b: [200, 0, 200, 20] });
  });

  test('what is not understood is reported by line, never dropped in silence', () => {
    const { reports } = readPage(
      '<style>\n.a { color: red }\n@weird x { }\n.b:nonsense(2) { top: 0 }\n.c { gap: 1px 2px 3px }\n</style><link rel=stylesheet href=gone.css>',
    );
    expect(reports.map(({ line }) => line)).toEqual([3, 4, 5, 6]);
    expect(reports.map(({ message }) => message).join(' ')).toMatch(
      /@weird.*nonsense.*gap: 1px 2px 3px.*gone\.css/,
    );
  });
});

describe('bad input', () => {
  const finite = (html: string, width: number) =>
    Object.values(layoutHtml(html, width)).flat().every(Number.isFinite);

  test.each([
    ['.g { grid-template-columns: repeat(10000, 1fr) } [data-tile] { grid-column: span 3 }'],
    ['.g { grid-template-columns: repeat(0, 1fr) } [data-tile] { width: -5px; height: -5px }'],
    ['.g { grid-template-columns: NaNpx calc(1px / 0) 1fr }'],
    ['[data-tile=a] { grid-column: span 1000000 }'],
    ['[data-tile=a] { grid-row: span 1000000 }'],
    ['[data-tile=a] { grid-column: -99999 / 99999 }'],
    ['.g { width: max-content } [data-tile] { width: 50%; padding: 10%; min-height: 100%; height: 100% }'],
    ['.g { gap: -5px; grid-template-columns: calc(infinity * 1px) 0fr } [data-tile] { aspect-ratio: 0 / 0 }'],
    ['.g { --a: var(--b); --b: var(--a); gap: var(--a) }'],
    ['.g { grid-template-columns: repeat(auto-fill, 0px) }'],
    ['.g { grid-template-columns: repeat(2, 1fr } [data-tile] { grid-column: 3'],
  ])('%s comes out finite', (css) => expect(finite(page(css), 640)).toBe(true));

  test('a grid that no memory would hold is refused in words', () => {
    const css =
      '.g { grid-template-columns: repeat(100, 1px) } [data-tile] { grid-column: span 9999999; grid-row: span 9999999 }';
    expect(() => layoutHtml(page(css), 640)).toThrow(/cells; 200000000 are the most/);
  });

  test('any mixture of values comes out finite', () => {
    const size = fc.constantFrom(
      '0',
      '-1px',
      '1e9px',
      '50%',
      'auto',
      '1fr',
      'calc(1% - 1px)',
      'min-content',
      'banana',
      'minmax(0, 1fr)',
      'NaN',
    );
    const line = fc.constantFrom('1', '-1', 'span 9', '5 / 2', 'x', 'span x', '0', '2 / -7');
    fc.assert(
      fc.property(
        fc.array(size, { maxLength: 4 }),
        size,
        size,
        line,
        line,
        fc.constantFrom('row', 'column dense', 'dense'),
        (columns, gap, height, column, row, flow) => {
          const css = `.g { grid-template-columns: ${columns.join(' ')}; gap: ${gap}; height: ${height}; grid-auto-flow: ${flow} }
          [data-tile=a] { grid-column: ${column}; grid-row: ${row}; width: ${height}; margin: ${gap} }`;
          expect(finite(page(css), 500)).toBe(true);
        },
      ),
    );
  });
});

describe('sizes that attributes say', () => {
  const boxOf = (css: string) =>
    layoutHtml(
      `<style>#g { display: grid; grid-template-columns: 90px; justify-items: start; align-items: start } img { display: block; ${css} }</style><div id="g" data-grid="g"><img data-tile="t" width="600" height="400" alt=""></div>`,
      300,
    ).t?.slice(2);

  test.each([
    ['', [600, 400]],
    ['block-size: auto', [600, 400]],
    ['inline-size: 60px', [60, 400]],
    ['inline-size: 60px; block-size: auto', [60, 40]],
    ['inline-size: auto; block-size: 80px', [120, 80]],
  ])('are the weakest: with “%s” it is %j', (css, size) => expect(boxOf(css)).toEqual(size));
});

describe('a page as a collection', () => {
  test.each(['winter-at-the-huts', 'a-year-of-work-days', 'night-sky-above-hut-four'])(
    'the page of “%s” comes back with its grid at every width',
    (name) => {
      const document = demoDocument(name);
      const { files } = writePage(document, LETTERS);
      const read = readCollection(files['index.html'] ?? '', 'page', {
        readSheet: (href) => files[href] ?? null,
      }).document;
      expect(checkDocument(read).problems).toEqual([]);
      const bands = bandsOf(document);
      const back = read ? bandsOf(read) : [];
      expect(back.map(({ below }) => below)).toEqual(bands.map(({ below }) => below));
      back.forEach((band, index) => {
        expect(band.arrangement).toEqual(bands[index]?.arrangement);
        // The page says spans as the grid pulls them in.
        const columns = band.arrangement.columns.length;
        const places = (of: typeof document) =>
          of.order.map((id) => {
            const place = placeIn(of, of.tiles[id] as Tile, index);
            return { ...place, columnSpan: Math.min(place.columnSpan, columns) };
          });
        expect(read && places(read)).toEqual(places(document));
      });
    },
  );

  test('kinds are told from the content, and what has no word here is reported by line', () => {
    const { document, reports } = readCollection(
      `<title>Huts</title><style>
.g { display: grid; grid-template-columns: repeat(auto-fill, minmax(200px, 1fr)); justify-items: center; gap: 2% }
.dark { background: #123; color: rebeccapurple; transform: rotate(3deg) }
</style><div class="g"><h2>Seven huts</h2><div class="dark"><b>184</b><small>beds</small></div>
<blockquote>We stayed.<cite>Guest book</cite></blockquote><a href="/book">Ask for a bunk</a><img src="ridge.jpg" alt="Ridge"></div>`,
      'page',
    );
    expect(document?.name).toBe('Huts');
    expect(document?.order.map((id) => document.tiles[id] && kindTitle(document.tiles[id]))).toEqual([
      'Text',
      'Stat',
      'Quote',
      'Action',
      'Picture',
    ]);
    expect(heldBy(document?.tiles['tile-2'])).toEqual({ figure: '184', label: 'beds' });
    expect(document?.tiles['tile-2']?.look).toMatchObject({ fill: '#112233', textColour: '#663399' });
    expect(heldBy(document?.tiles['tile-3'])).toEqual({ quote: 'We stayed.', source: 'Guest book' });
    const lines = reports.map(({ line, message }) => `${line} ${message}`).join('\n');
    expect(lines).toMatch(/^2 .*justify-items/m);
    expect(lines).toMatch(/^3 .*transform/m);
    expect(lines).toMatch(/ridge\.jpg/);
    expect(readCollection('<p>No grid</p>', 'page').document).toBeNull();
  });
});
