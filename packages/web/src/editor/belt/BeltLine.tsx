import { tileName, kindTitle } from '@noria/core';
import { useAppSelector } from '../hooks';
import { selectSelected, selectLayout, selectView } from '../selectors';

/** The line under the belt's count: the selected tile's own, else how the order is changed. */
export function BeltLine() {
  const selected = useAppSelector(selectSelected);
  const [tile] = selected;
  return (
    <p className="line-clamp-2 text-sm text-soft">
      {!tile ? (
        'Drag to reorder. The page and a screen reader follow this order.'
      ) : selected.length > 1 ? (
        `${selected.length} tiles selected. Drag one to move all; paste lines of text, one for each.`
      ) : (
        <TileLine id={tile.id} />
      )}
    </p>
  );
}

/** “3 Beds: stat, 134 × 108 px”. */
function TileLine({ id }: { readonly id: string }) {
  const view = useAppSelector(selectView);
  const at = useAppSelector((state) => selectLayout(state).tiles.find((each) => each.id === id));
  const tile = view.tiles[id];
  if (!tile) return null;
  return (
    <>
      <span className="figures">{view.order.indexOf(id) + 1}</span>{' '}
      <b className="font-semibold text-ink">{tileName(tile, view)}</b>
      {`: ${kindTitle(tile).toLowerCase()}`}
      {at ? (
        <>
          {', '}
          <span className="figures">
            {Math.round(at.inlineSize)} × {Math.round(at.blockSize)}
          </span>{' '}
          px
        </>
      ) : (
        ', hidden here'
      )}
    </>
  );
}
