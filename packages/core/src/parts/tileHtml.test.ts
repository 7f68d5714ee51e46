import { describe, expect, test } from '@jest/globals';
import { emptyDocument } from '../edit/emptyDocument.js';
import { newGroup } from './newTile.js';
import { tileHtml } from './tileHtml.js';
import { cardWith, type Held } from '../testing/held.js';
import type { CollectionDocument } from '../document/types.js';
import type { CompositionName, Sources } from './part.js';

const HOSTILE = '</p><script>alert("x")</script>&';

const document: CollectionDocument = {
  ...emptyDocument('Huts'),
  pictures: {
    hut: {
      id: 'hut',
      name: 'Hut',
      file: 'hut.webp',
      hash: 'c'.repeat(64),
      mediaType: 'image/webp',
      inlineSize: 900,
      blockSize: 600,
      alternativeText: `A hut ${HOSTILE}`,
    },
  },
};
const sources: Sources = {
  picture: ({ file }) => ({ src: `pictures/${file}`, srcset: `pictures/${file} 900w`, sizes: '100vw' }),
  small: ({ file }, size) => `pictures/${size}-${file}`,
  film: ({ file }) => `films/${file}`,
};

const html = (composition: CompositionName, held: Held = {}, values: object = {}): string => {
  const tile = { ...cardWith(composition, 't', held), ...values };
  return tileHtml({ ...document, tiles: { t: tile }, order: ['t'] }, tile, sources);
};

describe('a tile as HTML', () => {
  test.each<[CompositionName, Held, object]>([
    ['text', { eyebrow: HOSTILE, heading: HOSTILE, text: HOSTILE }, {}],
    ['stat', { figure: HOSTILE, label: HOSTILE }, {}],
    ['quote', { quote: HOSTILE, source: HOSTILE }, {}],
    ['action', { action: { words: HOSTILE, address: `#${HOSTILE}` } }, {}],
    ['picture', { picture: { picture: 'hut', caption: HOSTILE } }, {}],
    ['text', { heading: 'A' }, { link: `/${HOSTILE}` }],
    ['picture', { picture: { picture: 'hut', enlarges: HOSTILE } }, {}],
  ])('%s %j: words stay words', (composition, held, values) => {
    const written = html(composition, held, values);
    expect(written).not.toContain('<script');
    expect(written).not.toMatch(/="[^"]*<\/p>/);
  });

  test('text has a heading of its level, its own words as paragraphs, and no empty element', () => {
    expect(html('text', { heading: 'Snow', text: 'One\n\nTwo' })).toMatch(
      /<article class="text" data-tile="t">\s*<h(\d)>Snow<\/h\1>\s*<p>One<\/p>\s*<p>Two<\/p>\s*<\/article>/,
    );
    expect(html('text', { heading: '' })).not.toMatch(/<h\d|<p/);
  });

  test('a link is the heading where there is one, else a cover with a name', () => {
    const led = html('text', { heading: 'Snow' }, { link: '/snow' });
    expect(led).toContain('<a class="cover" href="/snow">Snow</a>');
    expect(led.match(/<a /g)).toHaveLength(1);
    const leads = { name: 'To the snow', link: '/snow' };
    for (const [composition, held] of [
      ['stat', { figure: '4' }],
      ['quote', { quote: 'Snow.' }],
      ['picture', { picture: { picture: 'hut' } }],
      ['text', { heading: '', text: 'Snow' }],
    ] as const)
      expect(html(composition, held, leads)).toContain(
        '<a class="cover" href="/snow" aria-label="To the snow"></a>',
      );
    expect(html('stat', { figure: '4', label: 'huts' }, { link: '/snow' })).toContain('aria-label="4 huts"');
  });

  test('a picture alone is an image; with words or a button over it, a figure around one', () => {
    const alone = html('picture', { picture: { picture: 'hut' } });
    expect(alone).toMatch(/^\s*<img [^>]*data-tile="t"/);
    expect(alone).toContain('srcset="pictures/hut.webp 900w"');
    const named = html('picture', { picture: { picture: 'hut', caption: 'At dusk' } });
    expect(named).toMatch(/^\s*<figure class="picture" data-tile="t">/);
    expect(named).toContain('<figcaption>At dusk</figcaption>');
    const large = html('picture', { picture: { picture: 'hut', enlarges: 'huts' } });
    expect(large).toMatch(/<button type="button" class="enlarge" data-set="huts" aria-label="Enlarge: A hut/);
  });

  test('a slot without a picture is there all the same', () => {
    expect(html('picture')).toMatch(/<figure class="picture" data-tile="t">/);
  });

  test('badges come with their words, in order', () => {
    const badges = ['New', 'Two nights'].map((words) => ({
      words,
      corner: 'start start',
      fill: '#000000',
      textColour: '#ffffff',
    }));
    expect(html('stat', {}, { badges })).toMatch(
      /<span class="badge" data-badge="1">New<\/span>\s*<span class="badge" data-badge="2">Two nights<\/span>/,
    );
  });

  test('an action is a link with its words, and one that leads nowhere yet leads to the top', () => {
    expect(html('action', { action: { words: 'Ask', address: '/ask' } })).toMatch(
      /<a class="action"[^>]* href="\/ask">/,
    );
    expect(html('action', { action: { words: 'Ask', address: '' } })).toContain('href="#"');
  });

  test('a group is a section with its tiles in order', () => {
    const inner = cardWith('stat', 'inner', { figure: '7' });
    const group = { ...newGroup('t'), order: ['inner'] };
    const written = tileHtml({ ...document, tiles: { t: group, inner }, order: ['t'] }, group, sources);
    expect(written).toMatch(
      /<section class="group" data-tile="t">[\s\S]*data-tile="inner"[\s\S]*<\/section>/,
    );
  });
});
