import { escapeHtml } from '../page/escape.js';
import { levelOf, type Level } from '../document/levels.js';
import { carriedArrangement, shownTiles } from '../document/bands.js';
import { fanOf } from '../document/kindValues.js';
import { openAtRest } from './box.js';
import type { CollectionDocument, Tile, TileId } from '../document/types.js';

/** The selector of the radio button that opens a card. */
export const openerSelector = (id: TileId) => `[data-opens="${id}"]`;

/** The bands in which a level is a fan, by index; none where it has a card alone. */
function fannedBands(view: CollectionDocument): number[] {
  const bands = [0, ...view.bands.map((_, k) => k + 1)];
  return view.order.length < 2 ? [] : bands.filter((index) => carriedArrangement(view, index).kind === 'fan');
}

/**
 * The card of a level that lies open until another is opened, in all bands in which the level is a fan;
 * null where bands differ in it, by what they open, show or how they order.
 */
export function openEverywhere(view: CollectionDocument): TileId | null {
  const open = fannedBands(view).map((index) => {
    const shown = shownTiles(view, { index });
    return shown[openAtRest(fanOf(carriedArrangement(view, index)), shown.length)]?.tile.id;
  });
  return new Set(open).size === 1 ? (open[0] ?? null) : null;
}

/** The tiles of a collection that have a radio button before them. */
export function fannedTiles(document: CollectionDocument): ReadonlySet<TileId> {
  const groups = Object.values(document.tiles).filter(({ kind }) => kind === 'group');
  const levels: Level[] = [null, ...groups.map(({ id }) => id)];
  return new Set(
    levels.flatMap((level) => {
      const view = levelOf(document, level);
      return fannedBands(view).length > 0 ? view.order : [];
    }),
  );
}

/**
 * The radio button that opens a tile of a level that is a fan in some band; nothing where it never is.
 * It comes right before the tile, and lies over it. The one of the card that lies open is checked, as
 * long as it is the same in all bands.
 */
export function openerHtml(document: CollectionDocument, level: Level, tile: Tile): string {
  const view = levelOf(document, level);
  if (fannedBands(view).length === 0) return '';
  const isOpen = openEverywhere(view) === tile.id;
  const name = level === null ? 'open' : `open-${level}`;
  return `<input class="opens" type="radio" name="${name}" data-opens="${tile.id}" aria-label="${escapeHtml(tile.name)}"${isOpen ? ' checked' : ''}>`;
}
