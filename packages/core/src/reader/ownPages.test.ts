import { describe, expect, test } from '@jest/globals';
import { checkDocument } from '../check/checkDocument.js';
import { demoDocument } from '../testing/demo.js';
import { partsOf } from '../document/card.js';
import { layoutCollection } from '../layout/layout.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { readCollection } from './readCollection.js';
import { writePage } from '../export/page/writePage.js';
import type { CollectionDocument, Tile } from '../document/types.js';
import type { Layout } from '../arrangements/kind.js';

const WIDTHS = [240, 360, 500, 640, 800, 1000, 1280, 1720];

/** The page of a collection, read again with its pictures. */
function readBack(document: CollectionDocument): CollectionDocument {
  const { files, assets } = writePage(document, LETTERS);
  const byPath = new Map(
    assets.flatMap((each) => (each.kind === 'picture' ? [[each.path, each.picture] as const] : [])),
  );
  const { document: back } = readCollection(files['index.html'] ?? '', 'Page', {
    readSheet: (href) => files[href] ?? null,
    readPicture: (address) => {
      const picture = document.pictures[byPath.get(address) ?? ''];
      if (!picture) return null;
      const { id: _, name: __, alternativeText: ___, ...file } = picture;
      return file;
    },
  });
  if (!back) throw new Error('There is a grid.');
  expect(checkDocument(back).problems).toEqual([]);
  return back;
}

/** Where tiles lie, those in groups too. */
function boxesOf({ tiles, groups }: Layout, x = 0, y = 0): [string, number[]][] {
  return tiles.flatMap((tile) => {
    const group = groups[tile.id];
    const at = [x + tile.x, y + tile.y, tile.inlineSize, tile.blockSize];
    return [[tile.id, at] as [string, number[]], ...(group ? boxesOf(group, x + tile.x, y + tile.y) : [])];
  });
}

/** What is in a tile: words, links and pictures, in their order. */
const contentOf = (tile: Tile | undefined) =>
  tile?.kind === 'card'
    ? [
        tile.link,
        ...partsOf(tile)
          .filter((part) => !part.hidden && (!('words' in part) || part.words !== ''))
          .map((part) => [
            part.kind,
            'words' in part ? part.words : undefined,
            'address' in part ? part.address : undefined,
            'caption' in part ? part.caption : undefined,
            'icons' in part ? part.icons.map(({ label, address }) => [label, address]) : undefined,
          ]),
      ]
    : [];

describe.each([
  'winter-at-the-huts',
  'night-sky-above-hut-four',
  'a-year-of-work-days',
  'seven-days-seven-paths',
  'sent-in-by-guests',
])('the page of “%s”, read again', (name) => {
  const document = demoDocument(name);
  const back = readBack(document);

  test('has its tiles in their places at every width', () => {
    for (const width of WIDTHS) {
      const there = new Map(boxesOf(layoutCollection(back, width, { measurer: LETTERS })));
      for (const [id, box] of boxesOf(layoutCollection(document, width, { measurer: LETTERS })))
        box.forEach((px, k) =>
          expect([width, id, Math.abs(px - (there.get(id)?.[k] ?? NaN)) < 0.5]).toEqual([width, id, true]),
        );
    }
  });

  test('has every word, link and picture', () => {
    for (const [id, tile] of Object.entries(document.tiles))
      expect([id, contentOf(back.tiles[id])]).toEqual([id, contentOf(tile)]);
    const hashes = (of: CollectionDocument) => new Set(Object.values(of.pictures).map(({ hash }) => hash));
    for (const hash of hashes(back)) expect(hashes(document)).toContain(hash);
  });
});
