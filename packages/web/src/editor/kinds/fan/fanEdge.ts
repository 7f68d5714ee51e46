import { fanOf, type LaidOutTile } from '@noria/core';
import type { Edge } from '../../stage/edge';
import type { DrawnLevel } from '../kindData';

/** The card over all others. */
const lastCard = (cards: readonly LaidOutTile[]) =>
  cards.reduce<LaidOutTile | null>(
    (last, card) => (last && (last.x > card.x || last.y > card.y) ? last : card),
    null,
  );

/** The padding box of a fan; where its last card is cut there, it is as round as elsewhere. */
export function fanEdge({ arrangement, level, layout, tiles, x, y, radiusOf }: DrawnLevel): Edge {
  const { padding } = arrangement;
  const edge: Edge = {
    x: x + padding.inlineStart,
    y: y + padding.blockStart,
    inlineSize: layout.inlineSize - padding.inlineStart - padding.inlineEnd,
    blockSize: layout.blockSize - padding.blockStart - padding.blockEnd,
    round: '0',
  };
  const last = level === null ? lastCard(tiles) : null;
  if (!last) return edge;
  const radius = radiusOf(last);
  return fanOf(arrangement).axis === 'inline'
    ? { ...edge, blockSize: last.blockSize, round: `0 ${radius}px ${radius}px 0` }
    : { ...edge, round: `0 0 ${radius}px ${radius}px` };
}
