import { bandsOf } from '../../document/bands.js';
import { hasWords } from '../fit/needs.js';
import { lookedAt } from '../../arrangements/lookedAt.js';
import { paintsOf, picturesPaintedBy } from '../../look/painted.js';
import { withContents } from '../../document/levels.js';
import type { CollectionDocument, PictureAsset, Tile } from '../../document/types.js';

/** Of so many pictures every px is asked for at most: the others are known in a few px. */
const MOST_PICTURES = 60;

/** The pictures on which words may stand in any band: of which it helps to know every px. */
export function picturesBehindWords(document: CollectionDocument): readonly PictureAsset[] {
  const found = new Set<string>();
  for (const { index } of bandsOf(document)) {
    const { tiles, lower } = lookedAt(document, index);
    const whole = (tile: Tile) => withContents({ tiles }, tile.id).map((id) => tiles[id] as Tile);
    const behind = Object.values(tiles).flatMap((tile) => [
      // Groups lie behind what is in them.
      ...(tile.kind === 'group' || hasWords(tile) ? [tile] : []),
      ...(lower?.get(tile.id) ?? []).flatMap((each) => whole(each.tile)),
    ]);
    for (const picture of behind.flatMap(paintsOf).flatMap(picturesPaintedBy)) found.add(picture);
  }
  return [...found].flatMap((id) => document.pictures[id] ?? []).slice(0, MOST_PICTURES);
}
