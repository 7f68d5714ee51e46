import { shownTiles } from '@noria/core';
import { Lock, LockOpen, WrapText } from 'lucide-react';
import { useAppSelector } from '../hooks';
import { selectBand, selectInHand, selectLayout, selectView } from '../selectors';
import { lockOf } from './lock';
import { boxStyle, type StageSpace } from './space';

/** A sign on tiles that are locked in a mosaic, held there or not, or that begin a row of a gallery. */
export function HeldMarks({ space }: { space: StageSpace }) {
  const view = useAppSelector(selectView);
  const band = useAppSelector(selectBand);
  const { tiles } = useAppSelector(selectLayout);
  // What is in hand says it with its span.
  const inHand = useAppSelector(selectInHand).map(({ id }) => id);
  const { kind } = band.arrangement;
  if (kind !== 'mosaic' && kind !== 'rows') return null;
  const held = new Map(
    shownTiles(view, band)
      .filter(({ place }) => (kind === 'mosaic' ? place.slot : place.breakBefore))
      .map(({ tile, place }) => [tile.id, place]),
  );
  return tiles
    .filter(({ id }) => held.has(id) && !inHand.includes(id))
    .map((tile) => {
      const { left, top } = boxStyle(space, tile);
      const isLost = kind === 'mosaic' && lockOf(held.get(tile.id)?.slot, tile) === 'lock lost';
      const Sign = kind === 'rows' ? WrapText : isLost ? LockOpen : Lock;
      return (
        <span
          key={tile.id}
          aria-hidden
          data-testid="held"
          data-lost={isLost || undefined}
          className={`pointer-events-none absolute grid size-5 place-items-center rounded-s ${isLost ? 'bg-amiss text-panel' : 'bg-copper text-on-copper'}`}
          style={{ left: left + 4, top: top + 4 }}
        >
          <Sign size={12} strokeWidth={2} />
        </span>
      );
    });
}
