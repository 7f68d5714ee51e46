import {
  carryPlace,
  isSetHere,
  LIMITS,
  needOf,
  placeIn,
  setHidden,
  setNeverBelow,
  setOrder,
  setWithNext,
  type Tile,
} from '@noria/core';
import { measurer } from '../../../measure/measurer';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { runHere } from '../here';
import { selectBand, selectNeedle, selectSetFor, selectView } from '../selectors';
import { SetNumber } from './SetNumber';
import { shared } from './shared';

const BY: Readonly<Record<string, string>> = {
  figure: 'px, its figure',
  words: 'px, its words',
  line: 'px, its lines',
  nothing: 'px',
  hand: 'px, set',
};

/** What of tiles' places matters over the bands: order, hidden, the least width, what belongs together. */
export function BandRows({ tiles }: { tiles: readonly Tile[] }) {
  const dispatch = useAppDispatch();
  const view = useAppSelector(selectView);
  const { index } = useAppSelector(selectBand);
  const needle = useAppSelector(selectNeedle);
  const setFor = useAppSelector(selectSetFor);
  const ids = tiles.map(({ id }) => id);
  const places = tiles.map((tile) => placeIn(view, tile, index));
  const mark = (of: 'order' | 'hidden') => ({
    setHere: ids.some((tile) => isSetHere(view, index, { tile, of })),
    onCarry: () =>
      dispatch(runHere('Carry', (draft) => ids.forEach((id) => carryPlace(id, index, [of])(draft)))),
  });
  const [only] = tiles.length === 1 ? tiles : [];
  const need = only ? needOf(view, only, measurer, needle) : null;
  const isLast = only?.id === view.order.at(-1);
  return (
    <>
      <Row label="Order" {...mark('order')}>
        <SetNumber
          name="Order"
          value={shared(places.map(({ order }) => order))}
          least={-LIMITS.order}
          most={LIMITS.order}
          unit="lower is seen first"
          step="Order seen"
          command={(order) => setOrder(ids, order, index, setFor)}
        />
      </Row>
      <Row label="Shown" {...mark('hidden')}>
        <Segments<'shown' | 'hidden' | ''>
          name="Shown"
          value={hiddenWord(shared(places.map(({ hidden }) => hidden)))}
          choices={[
            { value: 'shown', label: 'Shown' },
            { value: 'hidden', label: 'Hidden' },
          ]}
          onChoose={(value) =>
            value !== '' &&
            dispatch(
              runHere(
                value === 'hidden' ? 'Hide' : 'Show',
                setHidden(ids, value === 'hidden', index, setFor),
              ),
            )
          }
        />
      </Row>
      <Row
        label="Never below"
        {...(only?.neverBelow !== undefined && {
          setHere: true,
          onCarry: () => dispatch(runHere('Never below', setNeverBelow(ids, null))),
        })}
      >
        <NumberField
          name="Never below"
          value={need && need.by !== 'nothing' ? Math.ceil(need.inlineSize) : null}
          least={1}
          most={LIMITS.track}
          unit={BY[need?.by ?? 'nothing'] ?? 'px'}
          onSet={(px) => dispatch(runHere('Never below', setNeverBelow(ids, px)))}
        />
      </Row>
      {only && !isLast && (
        <Row label="Belongs">
          <Segments
            name="Belongs with the next tile"
            value={only.withNext ? 'next' : 'none'}
            choices={[
              { value: 'none', label: 'Alone' },
              { value: 'next', label: 'With the next' },
            ]}
            onChoose={(value) => dispatch(runHere('Belongs', setWithNext(ids, value === 'next')))}
          />
        </Row>
      )}
    </>
  );
}

const hiddenWord = (hidden: boolean | null) => (hidden === null ? '' : hidden ? 'hidden' : 'shown');
