import { areaMap, assignArea, boundsOf, paintArea, placeIn, type Tile } from '@noria/core';
import { useId, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { NamedInput } from '../../ui/NamedInput';
import { Row } from '../../ui/Rows';
import { warn } from '../../ui/notices/noticesSlice';
import { putInArea } from '../actions/tiles';
import { PLACE } from '../fields/fields';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSetFor, selectView } from '../selectors';
import { shared } from './shared';

/** The area that the selected tiles lie in; a new name paints one around them. */
export function AreaRow({ tiles }: { tiles: readonly Tile[] }) {
  const dispatch = useAppDispatch();
  const view = useAppSelector(selectView);
  const layout = useAppSelector(selectLayout);
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const list = useId();
  const names = [...(areaMap(arrangement)?.areas.keys() ?? [])];
  const present = shared(tiles.map((tile) => placeIn(view, tile, index).area)) ?? '';
  const [typed, setTyped] = useState<string | null>(null);

  const settle = () => {
    const name = typed?.trim().replace(/\s+/g, '-');
    setTyped(null);
    if (name === undefined || name === present) return;
    if (name === '') dispatch(putInArea(null));
    else if (names.includes(name)) dispatch(putInArea(name));
    else {
      const ids = tiles.map(({ id }) => id);
      const cells = boundsOf(layout.tiles.filter(({ id }) => ids.includes(id)));
      try {
        const paint = paintArea(name, cells, index, setFor);
        dispatch(
          runHere('Paint area', (draft) => {
            paint(draft);
            assignArea(ids, name, index, setFor)(draft);
          }),
        );
      } catch (error) {
        dispatch(warn(error instanceof Error ? error.message : String(error)));
      }
    }
  };
  return (
    <Row label={PLACE.area.label}>
      <NamedInput
        list={list}
        placeholder="none, or a new name"
        className="h-[26px] w-full min-w-0 rounded-s bg-field px-2 placeholder:text-faint"
        value={typed ?? present}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={settle}
        onKeyDown={(event) => {
          if (event.key === 'Enter') settle();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
      <datalist id={list}>
        {names.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </Row>
  );
}
