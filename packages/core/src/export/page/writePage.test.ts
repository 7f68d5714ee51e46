import { describe, expect, test } from '@jest/globals';
import { HtmlValidate } from 'html-validate';
import { contrast } from '../../look/contrast.js';
import { pictureSizes, pictureVariants } from './pictureSizes.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { hut } from '../../testing/hut.js';
import { sample } from '../../testing/sample.js';
import { writePage } from './writePage.js';
import { change } from '../../edit/patch/change.js';
import { groupTiles } from '../../edit/commands/groups.js';
import { setLook } from '../../edit/commands/tiles.js';
import { cardWith } from '../../testing/held.js';
import type { CollectionDocument, PictureAsset, Tile } from '../../document/types.js';

function withTiles(...tiles: Tile[]): CollectionDocument {
  const base = sample([[1, 1]]);
  return {
    ...base,
    tiles: Object.fromEntries(tiles.map((tile) => [tile.id, tile])),
    order: tiles.map(({ id }) => id),
    pictures: { hut },
  };
}

const pictureTile = (place: Partial<Tile['place']> = {}, caption = ''): Tile => ({
  ...cardWith('picture', 'p', { picture: { picture: 'hut', caption } }),
  place: { columnSpan: 2, rowSpan: 2, pin: null, ...place },
});

describe('the page', () => {
  const hostile = '<script>alert("1")</script> & "quotes"';
  const all = withTiles(
    cardWith('text', 't', { eyebrow: hostile, heading: hostile, text: `One\n\n${hostile}` }),
    cardWith('stat', 's', { figure: hostile, label: '' }),
    cardWith('quote', 'q', { quote: hostile, source: hostile }),
    cardWith('action', 'a', { action: { words: hostile, address: 'https://example.org/?a=1&b="2"' } }),
    pictureTile(),
    { ...pictureTile({}, hostile), id: 'captioned' },
    cardWith('picture', 'empty'),
  );

  test('is valid HTML without a script, whatever the words are', async () => {
    const html = writePage({ ...all, name: hostile }, LETTERS).files['index.html'] ?? '';
    expect(html).not.toContain('<script');
    expect(html).toContain('&lt;script&gt;');
    const validator = new HtmlValidate({
      extends: ['html-validate:standard'],
      rules: {
        'void-style': 'off',
        'doctype-style': 'off',
        'no-trailing-whitespace': 'off',
        'long-title': 'off',
      },
    });
    const { results } = await validator.validateString(html);
    expect(
      results.flatMap(({ messages }) => messages.map(({ ruleId, message }) => `${ruleId}: ${message}`)),
    ).toEqual([]);
  });

  test('comes in reading order, one element a tile', () => {
    const html = writePage(all, LETTERS).files['index.html'] ?? '';
    expect([...html.matchAll(/data-tile="([^"]+)"/g)].map(([, id]) => id)).toEqual(all.order);
  });

  test('writes in a band only what differs from the wider one', () => {
    const css = writePage(all, LETTERS).files['style.css'] ?? '';
    const [, middle = '', narrow = ''] = css.split('@container');
    expect(middle).toContain('(width < 1080px)');
    expect(middle).toContain('grid-template-columns: repeat(4, minmax(0, 1fr));');
    expect(middle).not.toContain('gap');
    expect(narrow).toContain('gap: 12px;');
    expect(narrow).not.toMatch(/^ {2}\.(?!collection \{)/m);
  });

  test('tells words anew where a band sets another fill for the group around them, and only there', () => {
    const base = change(
      change(withTiles(cardWith('text', 't', { heading: 'Hut four' })), groupTiles(['t'], 'g', 0)).document,
      setLook(['t'], { fill: 'none', textColour: 'auto' }),
    ).document;
    const light = change(base, setLook(['g'], { fill: '#f4f1ea' })).document;
    const bands = [
      { id: 'narrow', below: 700, arrangement: {}, tiles: {}, looks: { g: { fill: '#10201e' } } },
    ];
    const css = writePage({ ...light, bands }, LETTERS).files['style.css'] ?? '';
    const colours = [...css.matchAll(/\.hut-four \{[^}]*?\bcolor: (#\w+)/g)].map(([, colour]) => colour);
    expect(colours).toHaveLength(2);
    expect(contrast(colours[0] as string, '#f4f1ea')).toBeGreaterThan(4.5);
    expect(contrast(colours[1] as string, '#10201e')).toBeGreaterThan(4.5);
  });

  test('pulls spans and pins into the columns of each band', () => {
    const css =
      writePage(withTiles(pictureTile({ columnSpan: 5, pin: { column: 6, row: 2 } })), LETTERS).files[
        'style.css'
      ] ?? '';
    expect(css).toContain('grid-column: 2 / span 5;');
    expect(css.split('@container')[1]).toContain('grid-column: span 4;');
    expect(css.split('@container')[1]).toContain('grid-row: span 2;');
    expect(css.split('@container')[2]).toContain('grid-column: span 2;');
  });

  test('lists the files that belong beside it', () => {
    const { assets } = writePage(all, LETTERS);
    expect(assets.filter(({ kind }) => kind === 'picture').map(({ path }) => path)).toEqual(
      [320, 480, 640, 960, 1280, 1600, 1800].map((size) => `pictures/hut-${size}.webp`),
    );
    // Of each family the file with the letters that are written.
    expect(assets.filter(({ kind }) => kind === 'font')).toHaveLength(2);
  });
});

describe('sizes of a picture', () => {
  test('never upscale', () => expect(pictureVariants({ inlineSize: 330 })).toEqual([330]));

  test('follow the slot through every band, and its height where that asks for more', () => {
    // Six columns: 2·(W − 128)/6 + 16; four: 2·(W − 96)/4 + 16; two: all of it. Two rows: 336 px, × 1.5.
    expect(pictureSizes(withTiles(pictureTile()), pictureTile(), hut, LETTERS)).toBe(
      '(width < 530px) 498px, (width < 640px) calc(100vw - 32px), (width < 1072px) 504px, (width < 1080px) calc(50vw - 32px), (width < 1592px) 504px, calc(33.33vw - 26.65px)',
    );
  });
});

test('contrast is that of WCAG', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21);
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  expect(contrast('#336699', '#336699')).toBe(1);
});

test('a drawing goes out as it is, once, wherever it is shown', () => {
  const drawing: PictureAsset = { ...hut, file: 'hut.svg', mediaType: 'image/svg+xml' };
  const page = writePage({ ...withTiles(pictureTile()), pictures: { hut: drawing } }, LETTERS);
  expect(page.files['index.html']).toMatch(/<img [^>]*src="pictures\/hut\.svg" width="1800"/);
  expect(page.files['index.html']).not.toMatch(/srcset|sizes=/);
  expect(page.assets.filter(({ kind }) => kind === 'picture').map(({ path }) => path)).toEqual([
    'pictures/hut.svg',
  ]);
});

test('the first picture comes before anything else, and no other does', () => {
  const tiles = ['a', 'b', 'c'].map((id) => ({ ...pictureTile(), id }));
  const html = writePage(withTiles(cardWith('text', 't', { heading: 'Huts' }), ...tiles), LETTERS).files[
    'index.html'
  ];
  const pictures = html?.match(/<img [^>]*>/g) ?? [];
  expect(pictures.map((each) => each.includes('fetchpriority="high"'))).toEqual([true, false, false]);
  expect(pictures.map((each) => each.includes('loading="lazy"'))).toEqual([false, true, true]);
});

test('a picture waits to be scrolled to, but not where its tile is as wide as it', () => {
  const fit = { inline: 'end', block: 'end', inlineSize: null, blockSize: null } as const;
  const page = (tile: Tile, more: Partial<CollectionDocument> = {}) =>
    (writePage({ ...withTiles(first, tile), ...more }, LETTERS).files['index.html'] ?? '').replace(
      /^.*data-tile="first".*$/m,
      '',
    );
  const first = { ...pictureTile(), id: 'first' };
  expect(page(pictureTile())).toContain('loading="lazy"');
  expect(page(pictureTile({ fit: { ...fit, inlineSize: 200 } }))).toContain('loading="lazy"');
  expect(page(pictureTile({ fit }))).not.toContain('loading="lazy"');
});
