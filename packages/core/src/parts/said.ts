/** What a tile is and says, in short. */

import { shownParts } from '../document/card.js';
import { compositionOf } from './compositions/index.js';
import { partKindOf } from './index.js';
import { plainWords } from './richText.js';
import { titleOf } from './newTile.js';
import { withContents } from '../document/levels.js';
import type { Shown } from './part.js';
import type { CollectionDocument, Part, Tile, TileId } from '../document/types.js';

/** What kind of tile it is, by what is in it. */
export const kindTitle = (tile: Tile): string =>
  tile.kind === 'group' ? titleOf(tile.kind) : compositionOf(tile).title;

/** The words of the part that matters most; empty where there are none. */
export function mainWords(tile: Tile): string {
  let [most, said] = [0, ''];
  for (const part of shownParts(tile)) {
    const { weight } = partKindOf(part);
    const words = 'words' in part ? plainWords(part.words) : '';
    if (weight > most && words !== '') [most, said] = [weight, words];
  }
  return said;
}

/** A name is as much of what a tile says as one can take in, in characters. */
const NAME_LENGTH = 60;

/**
 * What a tile is called on the screen, in messages and in the page: by its own name; else by its heading, its
 * figure, or other words in it, a caption included; else by the alternative text or the file name of what it
 * shows. A group is called by the first tile in it. Where nothing is said, a tile is called by its kind.
 * @returns at most 60 characters and how many more there are, never empty
 */
export function tileName(tile: Tile, document: Shown & Pick<CollectionDocument, 'tiles'>): string {
  const own = tile.name?.trim();
  // A name that only says the kind is what every new tile of it was called once.
  if (own && own !== kindTitle(tile)) return own;
  if (tile.kind === 'card') return shortened(saidBy(shownParts(tile), document)) || kindTitle(tile);
  // A use of a recipe looks like one card, whatever it is made of.
  if (tile.recipe)
    return shortened(saidBy(partsWithin(document.tiles, tile.id), document)) || kindTitle(tile);
  const [first] = tile.order;
  const inside = first === undefined ? undefined : document.tiles[first];
  if (!inside) return kindTitle(tile);
  const more = tile.order.length - 1;
  return `${tileName(inside, document)}${more === 0 ? '' : ` and ${more} more`}`;
}

/** What the tile of an id is called; the id itself where there is none. */
export function nameIn(document: Parameters<typeof tileName>[1], id: TileId): string {
  const tile = document.tiles[id];
  return tile ? tileName(tile, document) : id;
}

const partsWithin = (tiles: CollectionDocument['tiles'], group: TileId): readonly Part[] =>
  withContents({ tiles }, group).flatMap((id) => (tiles[id] ? shownParts(tiles[id]) : []));

function saidBy(parts: readonly Part[], document: Shown): string {
  const words = parts
    .map((part, at) => ({ rank: nameRank(part), said: partWords(part, parts[at + 1]) }))
    .filter(({ said }) => said !== '')
    .sort((a, b) => a.rank - b.rank);
  const [first] = words;
  if (first) return first.said;
  for (const part of parts) {
    const shows = partKindOf(part).calls?.(part, document).trim();
    if (shows) return shows;
  }
  return '';
}

/** The words of a part, in one line; with those of the next one where they belong together. */
function partWords(part: Part, next?: Part): string {
  const { over, calledWith } = partKindOf(part);
  const own = oneLine('words' in part ? plainWords(part.words) : (over?.(part) ?? ''));
  const more = own !== '' && next && next.kind === calledWith ? partWords(next) : '';
  return more === '' ? own : `${own} ${more}`;
}

/** Headings come first, then figures, then the part that matters most. */
function nameRank(part: Part): number {
  const { heading, headingTimes, weight } = partKindOf(part);
  if (heading?.(part)) return 0;
  return headingTimes === undefined ? 10 - weight : 1;
}

const oneLine = (words: string) => words.replace(/\s+/g, ' ').trim();

/** Cut at the end of a word, where there is one in sight. */
function shortened(words: string): string {
  if (words.length <= NAME_LENGTH) return words;
  const cut = words.slice(0, NAME_LENGTH - 1);
  const end = cut.lastIndexOf(' ');
  return `${(end > NAME_LENGTH / 2 ? cut.slice(0, end) : cut).trimEnd()}…`;
}
