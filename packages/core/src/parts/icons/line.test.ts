import { expect, test } from '@jest/globals';
import { HtmlValidate } from 'html-validate';
import { writePage } from '../../export/page/writePage.js';
import { emptyDocument } from '../../edit/emptyDocument.js';
import { cardWith } from '../../testing/held.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { newCard } from '../newTile.js';
import { tileSize } from '../tileSize.js';
import type { Card, CollectionDocument, IconsPart } from '../../document/types.js';

const icons = (n: number, line?: IconsPart['line']): IconsPart => ({
  id: 'icons',
  kind: 'icons',
  icons: Array.from({ length: n }, (_, k) => ({
    id: `i${k}`,
    icon: 'soup',
    picture: null,
    label: `Soup ${k}`,
    address: '#soup',
  })),
  size: 28,
  showLabels: false,
  ...(line && { line }),
});
const alone = (part: IconsPart): Card => ({ ...newCard('icons', 't'), parts: [part] });
const under = (part: IconsPart): Card => {
  const words = cardWith('text', 't', { heading: 'Soups' });
  return { ...words, parts: [...words.parts, part] };
};
const withTile = (tile: Card): CollectionDocument => ({
  ...emptyDocument('Huts'),
  icons: { soup: { id: 'soup', name: 'Soup', shapes: [['path', { d: 'M4 4h16' }]] } },
  tiles: { t: tile },
  order: ['t'],
});
const height = (tile: Card) => tileSize(withTile(tile), tile, LETTERS).blockSizeAt(300);

test.each([
  ['alone', alone],
  ['under a heading', under],
])('icons %s in one line are as high as few, however many there are', (_, card) => {
  for (const line of ['centred', 'scrolling'] as const)
    expect(height(card(icons(40, line)))).toBeCloseTo(height(card(icons(2, line))));
  expect(height(card(icons(40)))).toBeGreaterThan(height(card(icons(2))) + 100);
  // Nor does it ask for more width than a card that holds it has.
  const least = (part: IconsPart) => tileSize(withTile(card(part)), card(part), LETTERS).minInlineSize;
  expect(least(icons(40, 'centred'))).toBeLessThanOrEqual(least(icons(1)));
});

test('the page has the rules for that only where it has such a row, and the second of a row that scrolls is for the eye alone', () => {
  const filesOf = (tile: Card) => writePage(withTile(tile), LETTERS).files;
  expect(filesOf(alone(icons(3)))['style.css']).not.toMatch(/\.line|scroll-by/);
  const { 'index.html': html = '', 'style.css': css = '' } = filesOf(alone(icons(3, 'scrolling')));
  expect(css).toMatch(/@keyframes scroll-by/);
  expect(html.match(/Soup 1/g)).toHaveLength(2);
  expect(html.match(/<ul aria-hidden="true" inert>/g)).toHaveLength(1);
  expect(html).toMatch(
    /<div class="icons soup-[\w-]+" data-tile="t"><div class="icons line scrolls"><ul><li>/,
  );
  expect(new HtmlValidate({ extends: ['html-validate:standard'] }).validateStringSync(html).results).toEqual(
    [],
  );
  expect(filesOf(under(icons(3, 'centred')))['index.html']).toMatch(/<div class="icons line"/);
});
