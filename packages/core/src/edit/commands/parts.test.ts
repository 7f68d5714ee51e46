import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkDocument } from '../../check/checkDocument.js';
import { partsOf, pictureOf } from '../../document/card.js';
import { LIMITS } from '../../document/limits.js';
import { compositionOf, compositions } from '../../parts/compositions/index.js';
import { plainWords } from '../../parts/richText.js';
import { tileHtml } from '../../parts/tileHtml.js';
import { tileCss } from '../../parts/tileRules.js';
import { tileName } from '../../parts/said.js';
import { cardWith, heldBy } from '../../testing/held.js';
import { emptyDocument } from '../emptyDocument.js';
import { applyPatch } from '../patch/applyPatch.js';
import { change, type Command } from '../patch/change.js';
import { addPart, becomeComposition, movePart, placePart, removePart, repeatPart } from './parts.js';
import type { Card, CollectionDocument, Part, Tile } from '../../document/types.js';

const hut = cardWith('text', 'a', { eyebrow: 'Winter', heading: 'Hut four', text: 'Twelve beds.' });
const start: CollectionDocument = { ...emptyDocument('Huts'), tiles: { a: hut }, order: ['a'] };
/** After commands, each of which must leave a sound file and be undone to what was before. */
const run = (...commands: Command[]): CollectionDocument =>
  commands.reduce((before, command) => {
    const { document, inverse } = change(before, command);
    expect(checkDocument(JSON.parse(JSON.stringify(document))).problems).toEqual([]);
    expect(applyPatch(document, inverse)).toEqual(before);
    return document;
  }, start);
const card = ({ tiles }: CollectionDocument) => tiles.a as Card;
const ids = (document: CollectionDocument) => card(document).parts.map(({ id }) => id);
const SOURCES = { picture: () => ({ src: '' }), small: () => '', film: () => '' };
const html = (document: CollectionDocument) => tileHtml(document, card(document), SOURCES);

describe('parts of a card', () => {
  test('are added as they begin, after another or at the end; each has an id of its own', () => {
    const more = run(
      addPart(['a'], 'figure', 'heading'),
      addPart(['a'], 'divider'),
      addPart(['a'], 'heading'),
    );
    expect(ids(more)).toEqual(['eyebrow', 'heading', 'figure', 'text', 'divider', 'heading-2']);
    expect(heldBy(card(more))).toMatchObject({ figure: '0', 'heading-2': 'A heading' });
    expect(html(more)).toContain('<hr>');
  });

  test('are moved, repeated and removed; at an end a part stays', () => {
    expect(ids(run(movePart(['a'], 'text', -1)))).toEqual(['eyebrow', 'text', 'heading']);
    expect(ids(run(movePart(['a'], 'text', 5)))).toEqual(['eyebrow', 'heading', 'text']);
    expect(ids(run(movePart(['a'], 'text', -9)))).toEqual(['text', 'eyebrow', 'heading']);
    const twice = run(repeatPart(['a'], 'heading'));
    expect(heldBy(card(twice))['heading-2']).toBe('Hut four');
    expect(ids(run(removePart(['a'], 'heading')))).toEqual(['eyebrow', 'text']);
    expect(ids(run(removePart(['a'], 'none'), movePart(['a'], 'none', 1)))).toEqual(ids(start));
  });

  test('that are hidden keep what they say, and are not in the page or the name', () => {
    const hidden = run(placePart(['a'], 'heading', { hidden: true }));
    expect(html(hidden)).not.toContain('Hut four');
    expect(heldBy(card(hidden)).heading).toMatchObject({ words: 'Hut four' });
    expect(tileName(card(hidden), hidden)).toBe('Twelve beds.');
    expect(
      html(
        run(
          placePart(['a'], 'heading', { hidden: true }),
          placePart(['a'], 'heading', { hidden: undefined }),
        ),
      ),
    ).toBe(html(start));
  });

  test('stand in one line with the part before; a part with several elements is one in it', () => {
    const two = run(
      (draft) =>
        void Object.assign((draft.tiles.a as unknown as Card).parts[2] as Part, { words: 'One.\n\nTwo.' }),
      placePart(['a'], 'heading', { beside: true }),
      placePart(['a'], 'text', { beside: true }),
    );
    expect(html(two)).toBe(
      '<article class="card" data-tile="a"><div class="row"><p class="eyebrow">Winter</p><h2>Hut four</h2>' +
        '<div class="part"><p>One.</p><p>Two.</p></div></div></article>',
    );
    // The first of a card has nothing before it.
    expect(html(run(placePart(['a'], 'eyebrow', { beside: true })))).not.toContain('class="row"');
  });

  test('have an alignment of their own, with their words where parts are stacked', () => {
    const aligned = run(placePart(['a'], 'heading', { align: 'center' }));
    expect(html(aligned)).toContain('<h2 data-part="heading">');
    expect(tileCss(aligned, card(aligned), () => 'none')).toMatch(
      /\[data-part="heading"\] \{\s*align-self: center;\s*text-align: center;/,
    );
    const beside = run(placePart(['a'], 'heading', { align: 'end', beside: true }));
    expect(tileCss(beside, card(beside), () => 'none')).toMatch(/align-self: flex-end;\s*\}/);
  });

  test('of a card are no more than there may be', () => {
    const full = {
      ...hut,
      parts: Array.from({ length: LIMITS.parts }, (_, k) => ({ ...hut.parts[0], id: `e${k}` }) as Part),
    };
    for (const command of [addPart(['a'], 'text'), repeatPart(['a'], 'e0'), becomeComposition(['a'], 'stat')])
      expect(() => change({ ...start, tiles: { a: full } }, command)).toThrow('A card has at most 60 parts.');
  });
});

describe('another composition', () => {
  test('takes words where they mean as much, keeps the others hidden, and is taken back', () => {
    const stat = run(becomeComposition(['a'], 'stat'));
    expect(compositionOf(card(stat)).name).toBe('stat');
    expect(heldBy(card(stat))).toEqual({
      figure: 'Hut four',
      label: 'Twelve beds.',
      eyebrow: { words: 'Winter', hidden: true },
    });
    expect(heldBy(card(run(becomeComposition(['a'], 'stat'), becomeComposition(['a'], 'text'))))).toEqual(
      heldBy(hut),
    );
  });

  test('keeps what is hidden, and begins as a new one does where nothing fits', () => {
    const picture = run(becomeComposition(['a'], 'picture'));
    expect(pictureOf(card(picture))).toMatchObject({ picture: null });
    expect(heldBy(card(run(becomeComposition(['a'], 'picture'), becomeComposition(['a'], 'text'))))).toEqual(
      heldBy(hut),
    );
    const action = run(
      removePart(['a'], 'eyebrow'),
      removePart(['a'], 'heading'),
      removePart(['a'], 'text'),
      becomeComposition(['a'], 'action'),
    );
    expect(heldBy(card(action))).toEqual({ action: { words: 'Go there', address: '#' } });
  });

  test('keeps rich words as they are where only plain ones are taken', () => {
    const rich = [
      { kind: 'paragraph', spans: [{ text: 'Twelve ' }, { text: 'beds', strong: true }] },
    ] as const;
    const stat = run(
      (draft) => void Object.assign((draft.tiles.a as unknown as Card).parts[2] as Part, { words: rich }),
      becomeComposition(['a'], 'stat'),
    );
    expect(heldBy(card(stat))).toMatchObject({ label: '', text: { words: rich, hidden: true } });
  });

  test('any, after any others, loses no word, and comes back to what it was', () => {
    const words = (tile: Tile) =>
      partsOf(tile)
        .map((part) => ('words' in part ? plainWords(part.words) : ''))
        .filter(Boolean)
        .sort();
    const names = fc.array(fc.constantFrom(...compositions().map(({ name }) => name)), { maxLength: 6 });
    fc.assert(
      fc.property(names, (all) => {
        const after = run(...all.map((name) => becomeComposition(['a'], name)));
        expect(words(card(after))).toEqual(words(hut));
        expect(
          heldBy(card(run(...[...all, 'text' as const].map((name) => becomeComposition(['a'], name))))),
        ).toEqual(heldBy(hut));
      }),
      { numRuns: 60 },
    );
  });
});
