import { heldCss, SQUARE_ROWS, squares, WHOLE_SQUARES } from '../shared/squares.js';
import { placeIn } from '../../document/bands.js';
import { frameCss, stackCss } from '../shared/css.js';
import type { CssInput, LevelCss } from '../kind.js';
import type { Declarations } from '../../engine/css/rule.js';
import type { Tile } from '../../document/types.js';

/** A mosaic in CSS: a grid of square modules in which every tile is held at its slot. */
export function mosaicToCss({ document, band, layout }: CssInput): LevelCss {
  const { tiles: laid, columns, rows } = layout();
  const at = new Map(laid.map((tile) => [tile.id, tile]));
  const tiles: Record<string, Declarations> = {};
  for (const id of document.order) {
    const tile = document.tiles[id] as Tile;
    tiles[id] = {
      ...heldCss(at.get(id)),
      ...WHOLE_SQUARES,
      ...stackCss(document, tile, placeIn(document, tile, band.index)),
    };
  }
  return {
    grid: {
      display: 'grid',
      'grid-template-columns': `repeat(${columns.length}, minmax(0, 1fr))`,
      'grid-template-areas': 'none',
      ...SQUARE_ROWS,
      'grid-auto-flow': 'row',
      ...frameCss(band.arrangement),
    },
    before: squares(rows.length, band.arrangement),
    tiles,
  };
}
