import { AREA_NAME, areaMap, assignArea, boundsOf, paintArea, placeIn, type Tile } from '@noria/core';
import { useId } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { TextField } from '../../ui/TextField';
import { Row } from '../../ui/Rows';
import { putInArea } from '../actions/tiles';
import { PLACE } from '../fields/fields';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSetFor, selectView } from '../selectors';
import { shared } from './shared';

const nameOf = (text: string) => text.trim().replace(/\s+/g, '-');

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

  const set = (text: string) => {
    const name = nameOf(text);
    if (name === present) return null;
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
        return error instanceof Error ? error.message : String(error);
      }
    }
    return null;
  };
  return (
    <Row label={PLACE.area.label}>
      <TextField
        list={list}
        placeholder="none, or a new name"
        value={present}
        takesNothing
        problem={(text) =>
          nameOf(text) === '' || AREA_NAME.test(nameOf(text))
            ? null
            : 'Write a word of letters, digits and hyphens, such as “side”.'
        }
        onSet={set}
      />
      <datalist id={list}>
        {names.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </Row>
  );
}
