import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkDocument } from '../check/checkDocument.js';
import { formatProblem } from '../document/problems.js';
import { layoutCollection } from '../layout/layout.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { readCollection } from './readCollection.js';
import { writePage } from '../export/page/writePage.js';

const length = fc.constantFrom(
  ...['0', '8px', '-4px', '1.5rem', '12%', '50vw', '9999999px', 'calc(1px + 2%)', 'auto', 'thin', 'NaN'],
);
const track = fc.constantFrom(
  ...[
    '1fr',
    '0.5fr',
    '120px',
    'auto',
    'minmax(0, 1fr)',
    'minmax(9em, 2fr)',
    'fit-content(20%)',
    'max-content',
    '100000px',
  ],
  ...[
    'repeat(3, 1fr)',
    'repeat(auto-fill, minmax(10rem, 1fr))',
    'repeat(2, [a] 1fr [b])',
    'repeat(900, 1px)',
    'subgrid',
    'wide',
  ],
);
const line = fc.constantFrom(
  '1',
  '3',
  '-1',
  'span 2',
  'span 5000',
  '2 / span 3',
  '1 / -1',
  'side',
  'auto',
  '0',
  'b / a',
);
const colour = fc.constantFrom(
  'red',
  '#12345',
  '#123456',
  'rgb(1 2 3 / 40%)',
  'transparent',
  'var(--ink)',
  'oklch(0.7 0.1 200)',
  'nonsense',
);

const declaration = fc.oneof(
  fc.array(track, { minLength: 1, maxLength: 4 }).map((all) => `grid-template-columns: ${all.join(' ')}`),
  fc.array(track, { minLength: 1, maxLength: 2 }).map((all) => `grid-template-rows: ${all.join(' ')}`),
  fc
    .constantFrom('"a a" "b c"', '"a" "b b"', '". side" ". side"', 'none')
    .map((map) => `grid-template-areas: ${map}`),
  fc.tuple(length, length).map(([row, column]) => `gap: ${row} ${column}`),
  fc
    .tuple(
      fc.constantFrom(
        'padding',
        'padding-inline',
        'margin',
        'max-width',
        'height',
        'min-height',
        'border-radius',
        'font-size',
      ),
      length,
    )
    .map(([property, value]) => `${property}: ${value}`),
  fc
    .tuple(fc.constantFrom('grid-column', 'grid-row', 'grid-area'), line)
    .map(([property, value]) => `${property}: ${value}`),
  fc
    .tuple(fc.constantFrom('color', 'background', 'border', '--ink'), colour)
    .map(([property, value]) => `${property}: ${value}`),
  fc.constantFrom(
    ...[
      'order: 3',
      'order: -99999',
      'z-index: 1000000',
      'display: none',
      'display: flex',
      'align-self: end',
      'justify-items: center',
    ],
    ...[
      'grid-auto-flow: column dense',
      'position: absolute',
      'aspect-ratio: 16 / 9',
      'text-align: center',
      'grid: none',
      'all: unset',
    ],
  ),
);
const block = fc.array(declaration, { maxLength: 5 }).map((all) => all.join('; '));
const selector = fc.constantFrom(
  '.g',
  '.g > *',
  '.g > :nth-child(2)',
  '.t',
  'h2',
  '.g:hover',
  '.g > .t:not(:first-child)',
  ':root',
);
const rule = fc.tuple(selector, block).map(([to, body]) => `${to} { ${body} }`);
const query = fc.constantFrom(
  ...[
    '@media (max-width: 600px)',
    '@media (width < 900px)',
    '@media (min-width: 40em) and (max-width: 60em)',
    '@media print',
  ],
  ...[
    '@container (inline-size < 500px)',
    '@container hall (width > 10cm)',
    '@supports (display: grid)',
    '@layer base',
    '@media (width: 1px) {',
  ],
);
const sheet = fc.array(
  fc.oneof(
    { weight: 3, arbitrary: rule },
    fc.tuple(query, fc.array(rule, { maxLength: 2 })).map(([at, rules]) => `${at} { ${rules.join('\n')} }`),
  ),
  { maxLength: 7 },
);

const words = fc.constantFrom('Hut four', '184', 'Open <all> winter', '&amp;', '', '‮back', 'x'.repeat(300));
const item = fc.oneof(
  words.map((text) => `<div class="t"><h2>${text}</h2><p>${text}</p></div>`),
  words.map((text) => `<p class="t">${text}</p>`),
  words.map((text) => `<blockquote>${text}<cite>${text}</cite></blockquote>`),
  fc
    .constantFrom('/a', 'javascript:alert(1)', 'https://hut.example', '#', '')
    .map((to) => `<a href="${to}">Go</a>`),
  fc
    .constantFrom('ridge.jpg', 'data:image/png;base64,AA==', '', '../../x.png')
    .map((src) => `<img src="${src}" alt="Ridge">`),
  words.map(
    (text) => `<div class="g t"><b>${text}</b><i>${text}</i><div class="g"><p>${text}</p></div></div>`,
  ),
  fc.constantFrom(
    '<script>alert(1)</script>',
    '<style>.g{gap:1px}</style>',
    '<!-- x -->',
    '<svg><path d="M0 0h9"/></svg>',
    '<table><td>x',
    '</div></div>',
  ),
);

const page = fc
  .record({
    sheets: sheet,
    items: fc.array(item, { maxLength: 7 }),
    own: block,
    cut: fc.integer({ min: 0, max: 40 }),
  })
  .map(({ sheets, items, own, cut }) => {
    const html = `<!doctype html><title>Huts</title><style>.g { display: grid }\n${sheets.join('\n')}</style><main class="g" style="${own}">${items.join('\n')}</main>`;
    return cut === 40 ? html.slice(0, Math.floor(html.length * 0.8)) : html;
  });

describe('any page', () => {
  test('is read into a sound collection or none, which is laid out and written as a page again', () => {
    fc.assert(
      fc.property(page, (html) => {
        const { document, reports } = readCollection(html, 'page');
        for (const { line: at, message } of reports) {
          expect(at).toBeGreaterThan(0);
          expect(message).not.toMatch(/undefined|NaN|\[object/);
        }
        if (!document) return;
        const { problems } = checkDocument(JSON.parse(JSON.stringify(document)));
        expect([html, problems.filter(({ severity }) => severity === 'error').map(formatProblem)]).toEqual([
          html,
          [],
        ]);
        for (const width of [240, 777, 1600]) {
          const { tiles, blockSize } = layoutCollection(document, width, { measurer: LETTERS });
          expect(
            tiles.flatMap(({ x, y, inlineSize }) => [x, y, inlineSize, blockSize]).every(Number.isFinite),
          ).toBe(true);
        }
        const { files } = writePage(document, LETTERS);
        expect(files['index.html']).not.toMatch(/<script|javascript:/i);
        expect(files['style.css']).not.toMatch(/undefined|NaN/);
      }),
      { numRuns: 150 },
    );
  });
});
