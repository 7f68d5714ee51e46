import { shownTiles } from '@noria/core';
import { useAppSelector } from '../hooks';
import { selectBand, selectSelected, selectLayout, selectView } from '../selectors';
import { interfaceOf } from '../kinds';
import { boxStyle, type StageSpace } from './space';

/** A sign on tiles that are held where they are, as their arrangement holds them. */
export function SelectionMarks({ space }: { space: StageSpace }) {
  const view = useAppSelector(selectView);
  const band = useAppSelector(selectBand);
  const { tiles } = useAppSelector(selectLayout);
  // what is selected says it with its span.
  const selected = useAppSelector(selectSelected).map(({ id }) => id);
  const { holding } = interfaceOf(band.arrangement);
  if (!holding?.Sign) return null;
  const { by, Sign: signOf, isLost: isLostAt } = holding;
  const held = new Map(
    shownTiles(view, band)
      .filter(({ place }) => place[by])
      .map(({ tile, place }) => [tile.id, place]),
  );
  return tiles
    .filter(({ id }) => held.has(id) && !selected.includes(id))
    .map((tile) => {
      const { left, top } = boxStyle(space, tile);
      const place = held.get(tile.id);
      const isLost = place !== undefined && isLostAt?.({ at: tile, place }) === true;
      const Sign = signOf(isLost);
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
