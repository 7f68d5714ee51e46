import {
  inheritPlace,
  isSetHere,
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
import { PLACE, TILE } from '../fields/fields';
import { runHere } from '../here';
import { selectBand, selectNeedle, selectSetFor, selectView } from '../selectors';
import { ChoiceRow } from './ChoiceRow';
import { NumberRow } from './NumberRow';
import { shared } from './shared';
import type { RootState } from '../state';

const BY: Readonly<Record<Need['by'], string>> = {
  figure: 'px, by its figure',
  words: 'px, by its words',
  line: 'px, by its lines',
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
  const need = only ? needOf(view, only, measurer(), selectNeedle(state)) : null;
  return {
    index,
    order: shared(places.map(({ order }) => order)),
    hidden: shared(places.map(({ hidden }) => hidden)),
    orderHere: here('order'),
    hiddenHere: here('hidden'),
    need: need && need.by !== 'nothing' ? Math.ceil(need.inlineSize) : null,
    by: need?.by ?? 'nothing',
    isByHand: only?.minimumWidth !== undefined,
    keepWithNext: only && only.id !== view.order.at(-1) ? only.keepWithNext === true : null,
  } as const;
}

interface BandRowsProps {
  /** Ids of the selected tiles, with blanks between. */
  readonly tiles: string;
}

/** What of tiles' places matters over the bands: order, hidden, the least width, what belongs together. */
export const BandRows = memo(function BandRows({ tiles }: BandRowsProps) {
  const dispatch = useAppDispatch();
  const ids = tiles.split(' ');
  const facts = useAppSelector((state) => factsOf(state, ids), shallowEqual);
  const setFor = useAppSelector(selectSetFor);
  const { index } = facts;
  const { minimumWidth, keepWithNext } = TILE;
  const inherit = (of: 'order' | 'hidden') => () =>
    dispatch(runHere('Inherit', (draft) => ids.forEach((id) => inheritPlace(id, index, [of])(draft))));
  return (
    <>
      <NumberRow
        field={PLACE.order}
        setHere={facts.orderHere}
        onInherit={inherit('order')}
        value={facts.order}
        command={(order) => setOrder(ids, order, index, setFor)}
      />
      <ChoiceRow
        field={PLACE.hidden}
        value={facts.hidden === null ? null : facts.hidden ? 'hidden' : 'shown'}
        setHere={facts.hiddenHere}
        onInherit={inherit('hidden')}
        onChoose={(value) =>
          dispatch(runHere(PLACE.hidden.label, setHidden(ids, value === 'hidden', index, setFor)))
        }
      />
      <Row
        label={minimumWidth.label}
        help={minimumWidth.help}
        setHere={facts.isByHand}
        reset="Set by hand. Press to measure it again."
        onInherit={() => dispatch(runHere(minimumWidth.label, setNeverBelow(ids, null)))}
      >
        <NumberField
          value={facts.need}
          least={minimumWidth.least}
          most={minimumWidth.most}
          unit={BY[facts.by]}
          onSet={(px) => dispatch(runHere(minimumWidth.label, setNeverBelow(ids, px)))}
        />
      </Row>
      {facts.keepWithNext !== null && (
        <ChoiceRow
          field={keepWithNext}
          value={facts.keepWithNext ? 'on' : 'off'}
          onChoose={(value) => dispatch(runHere(keepWithNext.label, setWithNext(ids, value === 'on')))}
        />
      )}
    </>
  );
});
