import { expect } from '@jest/globals';
import { layoutPage } from '../engine/html/layoutPage.js';
import { readPage } from '../engine/html/readPage.js';
import { layoutCollection } from '../layout/layout.js';
import { writePage } from '../export/page/writePage.js';
import { LETTERS } from './layoutHtml.js';
import type { CollectionDocument } from '../document/types.js';

/** Expects that a collection's page, read back by the page engine, lies at a width as the stage does; answers its files. */
export function expectReadBack(
  document: CollectionDocument,
  width: number,
): Readonly<Record<string, string>> {
  const { files } = writePage(document, LETTERS);
  const page = readPage(files['index.html'] ?? '', (href) => files[href] ?? null);
  const there = layoutPage(page, width, { height: 800, measurer: LETTERS, pictureSize: () => null });
  const laid = layoutCollection(document, width, { measurer: LETTERS });
  for (const [k, tile] of laid.tiles.entries())
    for (const side of ['x', 'y', 'inlineSize', 'blockSize'] as const)
      expect(there.tiles[k]?.[side]).toBeCloseTo(tile[side], 1);
  return files;
}
