import { describe, expect, test } from '@jest/globals';
import { parse } from 'css-tree';
import fc from 'fast-check';
import { parseFragment } from 'parse5';
import { checkDocument } from '../check/checkDocument.js';
import { withEntryIds } from '../check/entryIds.js';
import { partsOf } from '../document/card.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { summaryOf } from '../analysis/summary.js';
import { layoutCollection } from '../layout/layout.js';
import { cardWith } from '../testing/held.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { newCard, newTile } from './newTile.js';
import { compositionOf, compositions, flows, isApart, isBare, startingParts } from './compositions/index.js';
import { partKindOf, partKinds } from './index.js';
import { kindTitle, mainWords } from './said.js';
import { tileHtml } from './tileHtml.js';
import { filmsIn, iconsIn, picturesIn, withAssets } from './uses.js';
import type { Card, CollectionDocument, Part, Tile } from '../document/types.js';
import type { Sources } from './part.js';

const SOURCES: Sources = { picture: ({ id }) => ({ src: id }), small: ({ id }) => id, film: ({ id }) => id };
const HOSTILE = '</style><script>alert(1)</script>"\'>';
const file = (id: string) => ({
  id,
  name: id,
  file: `${id}.webp`,
  hash: 'b'.repeat(64),
  inlineSize: 900,
  blockSize: 600,
  alternativeText: HOSTILE,
});
const document: CollectionDocument = {
  ...emptyDocument('Huts'),
  pictures: { hut: { ...file('hut'), mediaType: 'image/webp' } },
  films: { snow: { ...file('snow'), file: 'snow.webm', mediaType: 'video/webm', duration: 3 } },
  icons: { soup: { id: 'soup', name: 'Soup', shapes: [['path', { d: 'M4 4h16' }]] } },
};

/** Fields that make each part show something. */
const FULL: Readonly<Record<string, object>> = {
  picture: { picture: 'hut', caption: HOSTILE, tint: { colour: '#102030', opacity: 0.3 } },
  film: { film: 'snow', poster: 'hut', caption: HOSTILE },
  divider: {},
  spacer: { size: 24 },
  icons: { icons: [{ id: 'a', icon: 'soup', picture: null, label: HOSTILE, address: '#x' }] },
};
const NAMES = partKinds().map(({ name }) => name);
const fullPart = (kind: Part['kind'], id: string = kind): Part =>
  ({
    id,
    kind,
    ...partKindOf({ kind }).empty,
    ...(FULL[kind] ?? { words: HOSTILE }),
  }) as Part;
const cardOf = (...parts: readonly Part[]): Card => ({ ...newCard('text', 't'), parts });
const withTile = (tile: Tile): CollectionDocument => ({ ...document, tiles: { t: tile }, order: ['t'] });
const htmlOf = (tile: Tile) => tileHtml(withTile(tile), tile, SOURCES);

describe.each(NAMES)('the part %s', (name) => {
  const kind = partKindOf({ kind: name });

  test('is sound with nothing of its own, and full; each of its fields is asked for or may be lacking', () => {
    const empty = { id: name, kind: name, ...kind.empty } as Part;
    for (const part of [empty, fullPart(name)])
      expect(checkDocument(withTile(cardOf(part))).problems).toEqual([]);
    for (const field of Object.keys(kind.fields)) {
      const { [field]: _, ...lacking } = { ...empty } as Record<string, unknown>;
      const { problems } = checkDocument(withTile(cardOf(lacking as unknown as Part)));
      expect(problems.map(({ path }) => path)).toEqual(
        kind.optional?.includes(field) ? [] : [`/tiles/t/parts/0/${field}`],
      );
    }
  });

  test('is written as HTML and CSS that no words break out of, alone and among others', () => {
    for (const tile of [cardOf(fullPart(name)), cardOf(fullPart('label', 'first'), fullPart(name))]) {
      const written = htmlOf(tile);
      expect(written).not.toContain('<script');
      expect(parseFragment(written).childNodes).toHaveLength(1);
    }
    const errors: string[] = [];
    for (const css of Object.values<string>({ ...kind.css(document.look) }))
      parse(css, { onParseError: ({ message }) => void errors.push(message) });
    expect(errors).toEqual([]);
  });

  test('has slots that are fields of it, and names its assets so that they can be others', () => {
    for (const { field } of kind.slots) expect(kind.fields).toHaveProperty(field);
    const tile = cardOf(fullPart(name));
    const same = withAssets(tile, (_, id) => id);
    expect(same).toEqual(tile);
    const other = withAssets(tile, (what, id) => `${what}-${id}`);
    const named = (of: Tile) => [...picturesIn(of), ...filmsIn(of), ...iconsIn(of)];
    expect(named(other)).toEqual([
      ...picturesIn(tile).map((id) => `picture-${id}`),
      ...filmsIn(tile).map((id) => `film-${id}`),
      ...iconsIn(tile).map((id) => `icon-${id}`),
    ]);
  });

  test('makes a tile of a size, in any place of a card', () => {
    for (const parts of [[fullPart(name)], [fullPart('label', 'first'), fullPart(name)]]) {
      const { tiles } = layoutCollection(withTile(cardOf(...parts)), 900, { measurer: LETTERS });
      expect(tiles).toHaveLength(1);
      expect(tiles[0]?.blockSize).toBeGreaterThan(0);
    }
  });
});

describe('compositions', () => {
  test.each(compositions())('$name is what its parts make, all of them or some in their order', (each) => {
    const card = newCard(each.name, 'c');
    expect(compositionOf(card)).toBe(each);
    expect(card.parts.map(({ kind }) => kind)).toEqual(each.parts);
    expect(kindTitle(card)).toBe(each.title);
    expect(checkDocument(withTile({ ...card, id: 't' })).problems).toEqual([]);
    expect(htmlOf({ ...card, id: 't' })).toContain(`class="${each.className}"`);
    const [first] = card.parts;
    if (first) expect(compositionOf({ ...card, parts: [first] })).toBe(each);
  });

  test('other parts, or another order, make a card of its own; nothing at all is words to come', () => {
    expect(isApart(cardOf(fullPart('label'), fullPart('figure')))).toBe(true);
    expect(isApart(cardOf(fullPart('heading'), fullPart('heading', 'second')))).toBe(true);
    expect(isApart(cardOf(fullPart('picture'), fullPart('heading')))).toBe(true);
    expect(kindTitle(cardOf(fullPart('picture'), fullPart('heading')))).toBe('Card');
    expect(compositionOf(cardOf()).name).toBe('text');
    expect(flows(newTile('group', 'g'))).toBe(false);
  });

  test('a card of its own has every part once, in order, and its pictures by their ids', () => {
    const parts = [
      fullPart('picture'),
      fullPart('eyebrow'),
      fullPart('heading'),
      fullPart('quote'),
      fullPart('source'),
      fullPart('figure'),
      fullPart('icons'),
      fullPart('action'),
    ];
    const written = htmlOf(cardOf(...parts));
    const tags = [...written.matchAll(/<(article|figure|p|h2|blockquote|strong|ul|a)\b/g)].map(
      ([, tag]) => tag,
    );
    expect(tags).toEqual(['article', 'figure', 'p', 'h2', 'blockquote', 'p', 'p', 'strong', 'ul', 'a', 'a']);
    expect(written).toContain('<figure class="picture" data-part="picture">');
  });

  test('a link is the first heading with words, else it lies over all', () => {
    const led = (...parts: Part[]) => htmlOf({ ...cardOf(...parts), link: '#there' });
    const heading = (id: string, words: string): Part => ({ id, kind: 'heading', words });
    expect(led(heading('a', ''), heading('b', 'Snow'), heading('c', 'Ice'))).toMatch(
      /<h2><a class="cover" href="#there">Snow<\/a><\/h2><h2>Ice<\/h2>/,
    );
    expect(led(fullPart('picture'), fullPart('label')).match(/class="cover"/g)).toHaveLength(1);
  });

  test('only a picture with nothing around it is the tile itself', () => {
    expect(isBare(cardWith('picture', 't', { picture: { picture: 'hut' } }))).toBe(true);
    expect(isBare(cardWith('picture', 't', { picture: { picture: 'hut', caption: 'Dusk' } }))).toBe(false);
    expect(isBare(cardWith('film', 't', { film: { film: 'snow' } }))).toBe(false);
    expect(isBare(cardOf(fullPart('picture'), fullPart('label')))).toBe(false);
  });

  test('the words that matter most are those of the weightiest part that has some', () => {
    expect(mainWords(cardWith('text', 't', { eyebrow: 'Winter', heading: 'Huts', text: 'Stove' }))).toBe(
      'Huts',
    );
    expect(mainWords(cardWith('text', 't', { eyebrow: 'Winter', heading: '' }))).toBe('Winter');
    expect(mainWords(cardWith('stat', 't', { figure: '184' }))).toBe('184');
    expect(mainWords(newTile('group', 't'))).toBe('');
  });
});

describe('any parts in any order', () => {
  const any = fc.array(fc.constantFrom(...NAMES), { maxLength: 8 });

  test('are sound, are written, and are as high on the stage as one after the other is at least', () => {
    fc.assert(
      fc.property(any, fc.boolean(), (names, isFull) => {
        const parts = names.map((kind, k) =>
          isFull ? fullPart(kind, `p${k}`) : ({ id: `p${k}`, kind, ...partKindOf({ kind }).empty } as Part),
        );
        const tile = cardOf(...parts);
        const { document: read, problems } = checkDocument(withTile(tile));
        expect(problems).toEqual([]);
        expect(htmlOf(tile)).not.toContain('<script');
        const { tiles } = layoutCollection(read as CollectionDocument, 900, { measurer: LETTERS });
        expect(Number.isFinite(tiles[0]?.blockSize)).toBe(true);
        expect(partsOf(summaryOf(read as CollectionDocument).tiles.t as Tile)).toHaveLength(names.length);
      }),
      { numRuns: 60 },
    );
  });

  test('get the ids that they lack, each another', () => {
    fc.assert(
      fc.property(any, fc.array(fc.constantFrom('', 'a', 'b')), (names, ids) => {
        const parts = names.map((kind, k) => ({ ...fullPart(kind), id: ids[k] ?? '' }));
        const made = withEntryIds(withTile(cardOf(...parts)));
        const named = partsOf(made.tiles.t as Tile).map(({ id }) => id);
        expect(new Set(named).size).toBe(named.length);
        expect(named).not.toContain('');
        expect(withEntryIds(made)).toBe(made);
      }),
    );
  });

  test('of a composition that there is none of, there is none', () => {
    expect(() => startingParts('poem' as 'text')).toThrow('There is no composition “poem”.');
  });
});
