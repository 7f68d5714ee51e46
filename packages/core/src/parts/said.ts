/** What a tile is and says, in short. */

import { partsOf } from '../document/card.js';
import { compositionOf } from './compositions/index.js';
import { partKindOf } from './index.js';
import { plainWords } from './richText.js';
import { titleOf } from './newTile.js';
import type { Tile } from '../document/types.js';

/** What kind of tile it is, by what is in it. */
export const kindTitle = (tile: Tile): string =>
  tile.kind === 'group' ? titleOf(tile.kind) : compositionOf(tile).title;

/** The words of the part that matters most; empty where there are none. */
export function mainWords(tile: Tile): string {
  let [most, said] = [0, ''];
  for (const part of partsOf(tile)) {
    const { weight } = partKindOf(part);
    const words = 'words' in part ? plainWords(part.words) : '';
    if (weight > most && words !== '') [most, said] = [weight, words];
  }
  return said;
}
