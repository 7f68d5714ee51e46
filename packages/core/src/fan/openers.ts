import { escapeHtml } from '../page/escape.js';
import { levelOf, type Level } from '../document/levels.js';
import { carriedArrangement } from '../document/bands.js';
import { fanOf } from '../document/kindValues.js';
import type { CollectionDocument, FanCards, Tile, TileId } from '../document/types.js';

/** The selector of the radio button that opens a card. */
export const openerSelector = (id: TileId) => `[data-opens="${id}"]`;

/** The cards of the widest band in which a level is a fan; null where it never is one, or has a card alone. */
function fanIn(document: CollectionDocument, level: Level): FanCards | null {
  const view = levelOf(document, level);
  if (view.order.length < 2) return null;
  const bands = [0, ...document.bands.map((_, k) => k + 1)].map((index) => carriedArrangement(view, index));
  const found = bands.find(({ kind }) => kind === 'fan');
  return found ? fanOf(found) : null;
}

/** The tiles of a collection that have a radio button before them. */
export function fannedTiles(document: CollectionDocument): ReadonlySet<TileId> {
  const groups = Object.values(document.tiles).filter(({ kind }) => kind === 'group');
  const levels: Level[] = [null, ...groups.map(({ id }) => id)];
  return new Set(levels.flatMap((level) => (fanIn(document, level) ? levelOf(document, level).order : [])));
}

/**
 * The radio button that opens a tile of a level that is a fan in some band; nothing where it never is.
 * It comes right before the tile, and lies over it.
 */
export function openerHtml(document: CollectionDocument, level: Level, tile: Tile): string {
  const fan = fanIn(document, level);
  if (!fan) return '';
  const { order } = levelOf(document, level);
  const isOpen = tile.id === (fan.open === 'first' ? order[0] : order.at(-1));
  const name = level === null ? 'open' : `open-${level}`;
  return `<input class="opens" type="radio" name="${name}" data-opens="${tile.id}" aria-label="${escapeHtml(tile.name)}"${isOpen ? ' checked' : ''}>`;
}
