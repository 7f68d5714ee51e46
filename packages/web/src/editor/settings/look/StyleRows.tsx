import {
  followStyle,
  resetToStyle,
  setStyle,
  styleDifferences,
  styleLookOf,
  type Style,
  type Tile,
} from '@noria/core';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Naming } from '../../../ui/Naming';
import { Row } from '../../../ui/Rows';
import { count } from '../../../ui/words';
import { newId } from '../../../api/ids';
import { LOOK } from '../../fields/fields';
import { useAppDispatch, useAppSelector } from '../../hooks';
import { run } from '../../document/run';
import { selectShared, selectView } from '../../selectors';
import { shared } from '../shared';

const NONE = 'none';

/** The style that the selected tiles follow, what they have otherwise, and how one is made of a tile. */
export function StyleRows({ tiles }: { tiles: readonly [Tile, ...Tile[]] }) {
  const dispatch = useAppDispatch();
  const { styles } = useAppSelector(selectShared);
  const all = useAppSelector((state) => selectView(state).tiles);
  const [tile] = tiles;
  const ids = tiles.map(({ id }) => id);
  const styleOf = (each: Tile) => (each.style !== undefined && styles[each.style] ? each.style : NONE);
  const value = shared(tiles.map(styleOf));
  const style = value === null ? undefined : styles[value];
  const hasStyles = Object.keys(styles).length > 0;
  const own = styleDifferences(styles, tile);
  const uses = style ? Object.values(all).filter((each) => each.style === style.id).length : 0;
  const make = (name: string) => {
    const made: Style = { id: newId(name, 'style'), name: name.slice(0, 200), look: styleLookOf(tile) };
    dispatch(
      run('New style', (draft) => {
        setStyle(made)(draft);
        followStyle(ids, made.id)(draft);
      }),
    );
  };
  return (
    <>
      <Row
        label="Style"
        help="A named set of looks: fill, type, border and padding. Change it once, and every tile that follows it changes"
      >
        <div className="flex gap-1">
          {hasStyles && (
            <Choice
              value={value}
              choices={[
                { value: NONE, label: 'None' },
                ...Object.values(styles).map(({ id, name }) => ({ value: id, label: name })),
              ]}
              onChoose={(id) => dispatch(run('Style', followStyle(ids, id === NONE ? null : id)))}
            />
          )}
          <Naming
            verb={hasStyles ? 'New' : 'New style'}
            called="New style"
            name="Name of the style"
            onName={make}
          />
        </div>
      </Row>
      {style && own.length > 0 && (
        <Row label="">
          <div className="grid gap-1">
            <span className="text-xs text-faint">
              {own.map((field) => LOOK[field].label).join(', ')}: own
            </span>
            <div className="flex gap-1">
              <Button
                className="h-[26px]! px-2!"
                title={`${count(uses, 'tile follows', 'tiles follow')} ${style.name}`}
                onClick={() => dispatch(run('Update style', setStyle({ ...style, look: styleLookOf(tile) })))}
              >
                Update style
              </Button>
              <Button
                className="h-[26px]! px-2!"
                onClick={() => dispatch(run('Reset to the style', resetToStyle(ids)))}
              >
                Reset
              </Button>
            </div>
          </div>
        </Row>
      )}
    </>
  );
}
