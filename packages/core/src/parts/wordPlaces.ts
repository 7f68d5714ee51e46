import { frameOf } from '../engine/box/sizes.js';
import { layoutBox } from '../engine/box/layoutBox.js';
import { tileBox } from './tileBox.js';
import type { Fragment } from '../engine/box/box.js';
import type { SlotSize } from '../look/crop.js';
import type { CollectionDocument, Tile } from '../document/types.js';
import type { TextMeasurer } from '../engine/text/types.js';

/** Where the letters of a line of words stand, px from the border box of its tile. */
export interface WordPlace {
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
}

/**
 * Where the words of a tile stand in it, line by line; badges, which have a ground of their own, are left out.
 * @param size of the tile, px of its border box
 * @param page width of the page, px; type may grow with it
 * @throws whatever the measurer throws
 */
export function wordPlaces(
  document: CollectionDocument,
  tile: Tile,
  { inlineSize, blockSize }: SlotSize,
  page: number,
  measurer: TextMeasurer,
): readonly WordPlace[] {
  const box = tileBox(document, tile, measurer, page);
  const space = { inline: inlineSize, block: blockSize, inlineSize, blockSize };
  return placesIn(layoutBox(box, space).fragment, 0, 0);
}

function placesIn({ box, children, inlineSize }: Fragment, x: number, y: number): WordPlace[] {
  if (!box.text)
    return children.flatMap((each) =>
      each.box.style.position === 'absolute' ? [] : placesIn(each, x + each.x, y + each.y),
    );
  const [top, right, , left] = frameOf(box.style, inlineSize);
  const room = Math.max(0, inlineSize - left - right);
  const blockSize = box.text.blockSizeAt(room);
  const lines = box.text.linesIn?.(room) ?? [
    { x: 0, inlineSize: room, blockSize, above: 0, letters: blockSize },
  ];
  let at = y + top;
  return lines.map((line) => {
    const place = {
      x: x + left + line.x,
      y: at + line.above,
      inlineSize: line.inlineSize,
      blockSize: line.letters,
    };
    at += line.blockSize;
    return place;
  });
}
