import { holdsCells } from '../arrangements/questions.js';
import { resolvedBandOf } from '../arrangements/bands.js';
import { documentIn } from '../document/bandLooks.js';
import { placeIn } from '../document/bands.js';
import { levelOf } from '../document/levels.js';
import { measured } from '../document/measured.js';
import { needOf } from './fit/needs.js';
import type { CollectionDocument, Tile } from '../document/types.js';
import type { TextMeasurer } from '../engine/text/types.js';

/**
 * The least width at which what is in a group is legible in half of the columns that it has in the widest
 * band, px of its border box: with fewer it is another thing, and better below what it stood beside. 0: any.
 * @param band the band whose columns it has at most
 * @param page width of the page, px
 * @throws whatever the measurer throws
 */
export function groupNeed(
  document: CollectionDocument,
  group: Tile,
  band: number,
  page: number,
  measurer: TextMeasurer,
): number {
  const view = levelOf(document, group.id);
  const { columns, arrangement } = resolvedBandOf(view, band);
  if (!holdsCells(arrangement.kind)) return 0;
  const looks = documentIn(document, band);
  const { columnGap, padding } = measured(arrangement, page);
  const most = resolvedBandOf(view, 0).columns.length;
  const least = Math.min(columns.length, Math.ceil(most / 2));
  const column = view.order.reduce((widest, id) => {
    const tile = looks.tiles[id];
    if (!tile) return widest;
    const { columnSpan, hidden } = placeIn(view, tile, band);
    if (hidden) return widest;
    const need =
      tile.kind === 'group'
        ? groupNeed(document, tile, band, page, measurer)
        : needOf(looks, tile, measurer, page).inlineSize;
    const across = Math.max(1, Math.floor((Math.min(columnSpan, columns.length) * least) / columns.length));
    return Math.max(widest, (need - (across - 1) * columnGap) / across);
  }, 0);
  return column * least + (least - 1) * columnGap + padding.inlineStart + padding.inlineEnd;
}
