import { describe, expect, test } from '@jest/globals';
import { checkDocument } from '../check/checkDocument.js';
import { readCollection } from './readCollection.js';
import type { Card } from '../document/types.js';

function read(tile: string, css = '') {
  const { document, reports } = readCollection(
    `<style>.g { display: grid } ${css}</style><div class="g">${tile}</div>`,
    'Page',
  );
  if (!document) throw new Error('There is a grid.');
  expect(checkDocument(document).problems).toEqual([]);
  const card = document.tiles['tile-1'] as Card;
  const parts = card.parts.map(({ id: _, kind, ...fields }) => {
    const words = 'words' in fields ? fields.words : undefined;
    return words === undefined ? [kind] : [kind, words];
  });
  return { card, parts, said: reports.map(({ message }) => message).join('\n') };
}

describe('what is in a tile of a page', () => {
  test('a heading with its level, what stands over it, and paragraphs with marks', () => {
    const { parts, card } = read(`<article>
      <p>Hut four</p>
      <h3>Open <em>all</em> winter</h3>
      <p>Seven huts,  <strong>stove lit</strong>, key with <a href="/warden">the <em>warden</em></a>.</p>
      <p>Bring a spoon.<br>And a lamp.</p>
    </article>`);
    expect(parts).toEqual([
      ['eyebrow', 'Hut four'],
      ['heading', 'Open all winter'],
      [
        'text',
        [
          {
            kind: 'paragraph',
            spans: [
              { text: 'Seven huts, ' },
              { text: 'stove lit', strong: true },
              { text: ', key with ' },
              { text: 'the ', link: '/warden' },
              { text: 'warden', link: '/warden', emphasis: true },
              { text: '.' },
            ],
          },
          { kind: 'paragraph', spans: [{ text: 'Bring a spoon.\nAnd a lamp.' }] },
        ],
      ],
    ]);
    expect(card.parts[1]).toMatchObject({ level: 3 });
  });

  test('words without marks are plain, with a blank line between paragraphs', () =>
    expect(read('<div><p>One path.</p><p>Dry wood.</p></div>').parts).toEqual([
      ['text', 'One path.\n\nDry wood.'],
    ]));

  test('lists, in their place between paragraphs', () =>
    expect(
      read('<div><p>Bring</p><ul><li>a <b>spoon</b></li><li>a lamp</li></ul><ol><li>wood</li></ol></div>')
        .parts,
    ).toEqual([
      [
        'text',
        [
          { kind: 'paragraph', spans: [{ text: 'Bring' }] },
          { kind: 'list', items: [[{ text: 'a ' }, { text: 'spoon', strong: true }], [{ text: 'a lamp' }]] },
          { kind: 'numbered', items: [[{ text: 'wood' }]] },
        ],
      ],
    ]));

  test.each([
    ['<div><b>184</b><small>beds</small></div>', '.g > div { display: flex }'],
    ['<div><div class="stat-number">184</div><p>beds</p></div>', ''],
    ['<p class="stat"><strong>184</strong><span class="stat__label">beds</span></p>', 'p { display: grid }'],
  ])('a figure with what it counts: %s', (tile, css) =>
    expect(read(tile, css).parts).toEqual([
      ['figure', '184'],
      ['label', 'beds'],
    ]),
  );

  test.each([
    '<blockquote>We stayed.<cite>Guest book</cite></blockquote>',
    '<figure><blockquote><p>We stayed.</p></blockquote><figcaption>Guest book</figcaption></figure>',
    '<div><blockquote>We stayed.</blockquote><p class="quote__author">Guest book</p></div>',
  ])('a quote with its source: %s', (tile) =>
    expect(read(tile).parts).toEqual([
      ['quote', 'We stayed.'],
      ['source', 'Guest book'],
    ]),
  );

  test('a card that is a link leads there; one in its heading too; a link among words stays there', () => {
    const whole = read('<a href="/huts/4"><h2>Hut four</h2><p>Open.</p></a>');
    expect([whole.card.link, whole.parts.length]).toEqual(['/huts/4', 2]);
    expect(read('<div><h2><a href="/huts/4">Hut four</a></h2><p>Open.</p></div>').card.link).toBe('/huts/4');
    expect(read('<div><p>Ask <a href="/w">her</a>.</p></div>').card.link).toBeUndefined();
  });

  test('links and buttons in lines of their own are actions, in any number', () => {
    const { card, said } = read(
      '<div><h2>Stay</h2><p>Two nights.</p><p><a class="button" href="#book">Ask for a bunk</a></p><button>Call</button></div>',
    );
    expect(card.parts.slice(2)).toMatchObject([
      { kind: 'action', words: 'Ask for a bunk', address: '#book' },
      { kind: 'action', words: 'Call', address: '#' },
    ]);
    expect(said.split('\n')).toEqual([
      // That of the browser.
      '“border” of <button> is left out: only whole tiles have one.',
      '“margin” of <div> differs between its parts; all are 19.92 px apart now.',
    ]);
  });

  test('pictures between words, with their captions, and lines', () => {
    const { parts, card, said } = read(
      '<div><figure><img src="ridge.jpg" alt="A ridge"><figcaption>At dusk</figcaption></figure><hr><h2>Ridge</h2></div>',
    );
    expect(parts.map(([kind]) => kind)).toEqual(['picture', 'divider', 'heading']);
    expect(card.parts[0]).toMatchObject({ picture: null, caption: 'At dusk' });
    expect(said).toMatch(/ridge\.jpg/);
    expect(read('<img src="ridge.jpg" alt="A ridge">').card.name).toBe('A ridge');
  });

  test('addresses that no link may have, and what no part holds, are said', () => {
    const { card, said } = read(
      '<a href="javascript:alert(1)"><h2>Hut</h2><svg aria-label="Star"></svg><table><tr><td>Oats</td></tr></table></a>',
    );
    expect(card.link).toBeUndefined();
    expect(said).toMatch(/javascript/);
    expect(said).toMatch(/drawing “Star”/);
    expect(said).toMatch(/<table>/);
    expect(card.parts.at(-1)).toMatchObject({ kind: 'text', words: 'Oats' });
  });

  const star = (more = '') =>
    `<svg width="32" height="32" viewBox="0 0 24 24" fill="none" stroke="currentColor"${more}><path d="M12 2l3 7h7"/><circle cx="12" cy="12" r="3" onclick="x()"/></svg>`;

  test('rows of icons with their labels and links, each icon once; one alone', () => {
    const { card, parts, said } = read(
      `<div><ul><li>${star()}<span>Star</span></li><li><a href="/b">${star()}Again</a></li></ul></div>`,
    );
    expect(parts).toEqual([['icons']]);
    expect(card.parts[0]).toMatchObject({
      icons: [
        { icon: 'star', label: 'Star', address: '' },
        { icon: 'star', label: 'Again', address: '/b' },
      ],
      size: 32,
      showLabels: true,
    });
    expect(said).toBe('“onclick” of <circle> is left out.');
    const { document } = readCollection(
      `<style>.g { display: grid }</style><div class="g"><div>${star(' aria-label="Hut"')}<p>Open</p></div></div>`,
      'Page',
    );
    expect(document?.icons?.hut?.shapes).toEqual([
      ['path', { d: 'M12 2l3 7h7' }],
      ['circle', { cx: '12', cy: '12', r: '3' }],
    ]);
    const unseen = read(`<ul class="x"><li>${star()}<span class="sr-only">Star</span></li></ul>`);
    expect(unseen.card.parts[0]).toMatchObject({ kind: 'icons', showLabels: false });
  });

  test('a drawing that is no icon is said; a list of words with a large picture is no row', () => {
    expect(read('<div><ul><li><svg viewBox="0 0 9 9"></svg>Hut</li></ul></div>').said).toMatch(/icon “Hut”/);
    expect(read('<div><ul><li><img src="a.jpg" height="300">Hut</li></ul></div>').parts).toEqual([
      ['picture'],
      ['text', 'Hut'],
    ]);
  });

  test('empty room between parts, and what is there twice for the eye alone', () =>
    expect(
      read('<div><h2>Hut</h2><div class="card__spacer"></div><p>Open</p><p inert>Open</p></div>').parts,
    ).toEqual([['heading', 'Hut'], ['spacer'], ['text', 'Open']]));

  test('what nobody reads is left out', () =>
    expect(read('<div><script>alert(1)</script><style>p {}</style><p>Hut</p></div>').parts).toEqual([
      ['text', 'Hut'],
    ]));
});

describe('grids in the grid', () => {
  const nested = `<!doctype html><style>
    .g { display: grid; grid-template-columns: repeat(6, 1fr); gap: 20px }
    .month { grid-column: span 3; display: grid; grid-template-columns: repeat(7, 1fr); gap: 4px; padding: 8px; background: #112233 }
    .card { display: grid; gap: 8px; grid-column: span 3 }
    @media (max-width: 599px) { .g { grid-template-columns: 1fr } .month, .card { grid-column: auto } .month { gap: 2px } .wide { grid-column: span 2 } }
  </style><div class="g"><div class="month"><p>1</p><p class="wide">Two</p><div><h3>3</h3></div></div><div class="card"><h2>Hut</h2><p>Open.</p></div></div>`;

  test('are groups with their own arrangement, looks and bands; a card whose contents stand in one column stays a card', () => {
    const { document } = readCollection(nested, 'Page');
    expect(checkDocument(document).problems).toEqual([]);
    const [month, card] = (document?.order ?? []).map((id) => document?.tiles[id]);
    expect(card).toMatchObject({ kind: 'card', parts: [{ kind: 'heading' }, { kind: 'text' }] });
    if (month?.kind !== 'group') throw new Error('A grid in the grid is a group.');
    expect(month.arrangement).toMatchObject({
      columns: Array<string>(7).fill('1fr'),
      columnGap: 4,
      padding: { blockStart: 8, inlineStart: 8 },
    });
    expect(month.look).toMatchObject({ fill: '#112233' });
    expect(month.look.padding).toBeUndefined();
    expect(month.order).toHaveLength(3);
    const [band] = document?.bands ?? [];
    expect(band?.below).toBe(600);
    expect(band?.groups?.[month.id]).toMatchObject({ columnGap: 2, rowGap: 2 });
    expect(band?.tiles[month.order[1] ?? '']).toEqual({ columnSpan: 2 });
  });

  test('tiles that are called something keep their names', () => {
    const { document } = readCollection(
      '<style>.g { display: grid }</style><div class="g"><p data-tile="hut-at-dusk">Hut</p><p data-tile="Not An Id">A</p><p data-tile="hut-at-dusk">B</p></div>',
      'Page',
    );
    expect(document?.order).toEqual(['hut-at-dusk', 'tile-2', 'tile-3']);
    expect(document?.tiles['hut-at-dusk']?.name).toBe('Hut at dusk');
  });
});
