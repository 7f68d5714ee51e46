import { element, type PageElement } from '../../engine/html/node.js';
import { inheritedArrangement, shownTiles } from '../../document/bands.js';
import { perObject } from '../../memo.js';
import { fanOf, openAtRest } from './values.js';
import type { Level } from '../../document/levels.js';
import type { Markup, NamedTile } from '../kind.js';
import type { CollectionDocument, TileId } from '../../document/types.js';

/** The selector of the radio button that opens a card. */
export const openerSelector = (id: TileId) => `[data-opens="${id}"]`;

interface Fanned {
  /** Whether the level is a fan of more than one card in some band. */
  readonly isFan: boolean;
  /**
   * The card that lies open until another is opened, in all bands in which the level is a fan; null where
   * bands differ in it, by what they open, show or how they order.
   */
  readonly open: TileId | null;
}

/** What every card of a level asks is worked out once. */
const fannedIn = perObject((view: CollectionDocument): Fanned => {
  if (view.order.length < 2) return { isFan: false, open: null };
  const open = [0, ...view.bands.map((_, k) => k + 1)].flatMap((index) => {
    const arrangement = inheritedArrangement(view, index);
    if (arrangement.kind !== 'fan') return [];
    const shown = shownTiles(view, { index });
    return [shown[openAtRest(fanOf(arrangement), shown.length)]?.tile.id];
  });
  return { isFan: open.length > 0, open: new Set(open).size === 1 ? (open[0] ?? null) : null };
});

/** The card of a level that lies open at rest in every band; null where bands differ in it. */
export const openEverywhere = (view: CollectionDocument): TileId | null => fannedIn(view).open;

/**
 * The radio button that opens a tile of a level that is a fan in some band; nothing where it never is.
 * It comes right before the tile, and lies over it. The one of the card that lies open is checked, as
 * long as it is the same in all bands.
 */
function openerOf(view: CollectionDocument, level: Level, tile: NamedTile): PageElement | undefined {
  const { isFan, open } = fannedIn(view);
  if (!isFan) return undefined;
  return element('input', {
    class: 'opens',
    type: 'radio',
    name: level === null ? 'open' : `open-${level}`,
    'data-opens': tile.id,
    'aria-label': tile.name,
    checked: open === tile.id || undefined,
  });
}

/** What a fan has in the page beside its cards. */
export const openerMarkup: Markup = {
  before: openerOf,
  selector: (view, id) => (fannedIn(view).isFan ? openerSelector(id) : null),
};
