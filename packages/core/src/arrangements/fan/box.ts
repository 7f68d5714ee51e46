import { measuredIn } from '../../document/measured.js';
import { customLevel, putTile } from '../shared/boxes.js';
import { fanOf, openAtRest } from './values.js';
import { layoutFan, type FanCard, type FanLayout } from './layoutFan.js';
import type { LevelBox, LevelInput } from '../kind.js';
import type { FanCards } from '../../document/types.js';

/** A fan: cards of one size, each a strip further along than the one before and lying over it. */
export function fanBox(input: LevelInput): LevelBox {
  const cards = fanOf(measuredIn(input.band));
  const isInline = cards.axis === 'inline';
  return customLevel(input, {
    lay:
      (tiles) =>
      ({ inlineSize: inner, frame }) => {
        const { laid, block } = lay(cards, tiles.length, inner);
        return {
          blockSize: block,
          fragments: tiles.map(({ box }, k) => {
            const { x, y, inlineSize, blockSize } = laid[k] as FanCard;
            return putTile(box, frame[3] + x, frame[0] + y, inlineSize, blockSize);
          }),
          areas: tiles.map((_, k) => ({
            column: isInline ? k + 1 : 1,
            row: isInline ? 1 : k + 1,
            columnSpan: 1,
            rowSpan: 1,
          })),
          columns: isInline
            ? laid.map(({ x }, k) => ({ start: frame[3] + x, size: (laid[k + 1]?.x ?? inner) - x }))
            : [{ start: frame[3], size: inner }],
          rows: isInline
            ? [{ start: frame[0], size: cards.blockSize }]
            : laid.map(({ y }, k) => ({ start: frame[0] + y, size: (laid[k + 1]?.y ?? block) - y })),
        };
      },
  });
}

/** Cards of their own width side by side, or as wide as the fan below one another. */
function lay(
  cards: FanCards<number>,
  count: number,
  inner: number,
): { readonly laid: FanLayout['cards']; readonly block: number } {
  if (count === 0) return { laid: [], block: 0 };
  const { axis, inlineSize, blockSize, strip } = cards;
  const isInline = axis === 'inline';
  const { cards: laid, size } = layoutFan({
    count,
    axis,
    size: isInline ? Math.max(inner, inlineSize) : Infinity,
    cardSize: isInline ? inlineSize : blockSize,
    cardCrossSize: isInline ? blockSize : Math.max(1, inner),
    mostStrip: strip,
    open: openAtRest(cards, count),
  });
  return { laid, block: isInline ? blockSize : size };
}
