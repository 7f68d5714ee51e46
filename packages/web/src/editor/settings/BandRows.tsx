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
  type Need,
  type TileId,
} from '@noria/core';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { measurer } from '../engine/measurer';
import { useAppDispatch, useAppSelector } from '../hooks';
import { NumberField } from '../../ui/NumberField';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { runHere } from '../here';
import { selectBand, selectNeedle, selectSetFor, selectView } from '../selectors';
import { NumberRow } from './NumberRow';
import { shared } from './shared';
import type { RootState } from '../state';

const BY: Readonly<Record<Need['by'], string>> = {
  figure: 'px, its figure',
  words: 'px, its words',
  line: 'px, its lines',
  nothing: 'px',
  hand: 'px, set',
};

/** What the rows show, in plain values, so that they rest while tiles are only moved. */
function factsOf(state: RootState, ids: readonly TileId[]) {
  const view = selectView(state);
  const { index } = selectBand(state);
  const tiles = ids.flatMap((id) => view.tiles[id] ?? []);
  const places = tiles.map((tile) => placeIn(view, tile, index));
  const here = (of: 'order' | 'hidden') => ids.some((tile) => isSetHere(view, index, { tile, of }));
  const [only] = tiles.length === 1 ? tiles : [];
  const need = only ? needOf(view, only, measurer, selectNeedle(state)) : null;
  return {
    index,
    order: shared(places.map(({ order }) => order)),
    hidden: shared(places.map(({ hidden }) => hidden)),
    orderHere: here('order'),
    hiddenHere: here('hidden'),
    need: need && need.by !== 'nothing' ? Math.ceil(need.inlineSize) : null,
    by: need?.by ?? 'nothing',
    isByHand: only?.neverBelow !== undefined,
    withNext: only && only.id !== view.order.at(-1) ? only.withNext === true : null,
  } as const;
}

interface BandRowsProps {
  /** Ids of the tiles in hand, with blanks between. */
  readonly tiles: string;
}

/** What of tiles' places matters over the bands: order, hidden, the least width, what belongs together. */
export const BandRows = memo(function BandRows({ tiles }: BandRowsProps) {
  const dispatch = useAppDispatch();
  const ids = tiles.split(' ');
  const facts = useAppSelector((state) => factsOf(state, ids), shallowEqual);
  const setFor = useAppSelector(selectSetFor);
  const { index } = facts;
  const carry = (of: 'order' | 'hidden') => () =>
    dispatch(runHere('Carry', (draft) => ids.forEach((id) => carryPlace(id, index, [of])(draft))));
  return (
    <>
      <NumberRow
        label="Order"
        setHere={facts.orderHere}
        onCarry={carry('order')}
        name="Order"
        value={facts.order}
        least={-LIMITS.order}
        most={LIMITS.order}
        unit="lower is seen first"
        step="Order seen"
        command={(order) => setOrder(ids, order, index, setFor)}
      />
      <Row label="Shown" setHere={facts.hiddenHere} onCarry={carry('hidden')}>
        <Segments<'shown' | 'hidden' | ''>
          name="Shown"
          value={facts.hidden === null ? '' : facts.hidden ? 'hidden' : 'shown'}
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
        setHere={facts.isByHand}
        onCarry={() => dispatch(runHere('Never below', setNeverBelow(ids, null)))}
      >
        <NumberField
          name="Never below"
          value={facts.need}
          least={1}
          most={LIMITS.track}
          unit={BY[facts.by]}
          onSet={(px) => dispatch(runHere('Never below', setNeverBelow(ids, px)))}
        />
      </Row>
      {facts.withNext !== null && (
        <Row label="Belongs">
          <Segments
            name="Belongs with the next tile"
            value={facts.withNext ? 'next' : 'none'}
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
});
