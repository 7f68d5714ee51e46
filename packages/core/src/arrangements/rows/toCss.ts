import { shownTiles } from '../../document/bands.js';
import { frameCss, ratioCss, SLOT, stackCss } from '../shared/css.js';
import { measuredIn } from '../../document/measured.js';
import { px } from '../../engine/css/units.js';
import { multipleCss, timesCss, type WrittenLength } from '../../engine/css/writtenLength.js';
import { rowHeightsOf } from './values.js';
import { rowItems } from './box.js';
import { ROOM } from './breaks.js';
import type { CssInput, LevelCss } from '../kind.js';
import type { RowItem } from './layoutRows.js';
import type { Declarations } from '../../engine/css/rule.js';

/**
 * A row gallery in CSS: pictures of one row share its width, less the gaps, by their aspects, and a
 * row that is full sends the next picture to a new one.
 */
export function rowsToCss({ document, band, layout }: CssInput): LevelCss {
  const { arrangement } = band;
  const { target } = rowHeightsOf(arrangement);
  const laid = layout();
  const items = rowItems(document, band);
  const shown = shownTiles(document, band);
  const at = new Map(laid.tiles.map((tile) => [tile.id, tile]));
  const rows = new Map<number, { sum: number; count: number; width: number }>();
  shown.forEach(({ tile }, k) => {
    const { row = 0, inlineSize = 0 } = at.get(tile.id) ?? {};
    const { sum, count, width } = rows.get(row) ?? { sum: 0, count: 0, width: 0 };
    const { aspect } = items[k] as RowItem;
    rows.set(row, { sum: sum + aspect, count: count + 1, width: width + inlineSize });
  });
  const inner = laid.columns[0]?.size ?? 0;
  const tiles: Record<string, Declarations> = {};
  shown.forEach(({ tile, place }, k) => {
    const { aspect } = items[k] as RowItem;
    const { row = 0, blockSize = 0 } = at.get(tile.id) ?? {};
    const { sum, count, width } = rows.get(row) ?? { sum: aspect, count: 1, width: 0 };
    const gaps = (count - 1) * measuredIn(band).columnGap;
    tiles[tile.id] = {
      flex: '0 0 auto',
      ...(width + gaps < inner - 1
        ? {
            'inline-size':
              typeof target === 'number'
                ? px(blockSize * aspect)
                : multipleCss(Number(aspect.toFixed(5)), target),
          }
        : shareCss((aspect / sum) * (1 - ROOM), count - 1, arrangement.columnGap)),
      'block-size': 'auto',
      ...SLOT,
      'aspect-ratio': ratioCss(aspect),
      ...stackCss(document, tile, place),
    };
  });
  return {
    grid: {
      display: 'flex',
      'flex-flow': 'row wrap',
      'align-items': 'flex-start',
      'align-content': 'flex-start',
      ...frameCss(arrangement),
    },
    tiles,
  };
}

/** A share of what the gaps of a row leave; said apart, so that a narrower band says what differs and no more. */
const shareCss = (share: number, count: number, gap: WrittenLength): Declarations => ({
  // In percent, and never rounded up: a row that is a trace too wide would break.
  '--share': String(Math.floor(share * 1e6) / 1e4),
  '--gaps': count === 0 || gap === 0 ? '0px' : timesCss(count, gap),
  'inline-size': 'calc((100% - var(--gaps)) * var(--share) / 100)',
});
