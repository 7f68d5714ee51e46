import {
  hasCells,
  carryPlace,
  isSetHere,
  LIMITS,
  placeIn,
  setFit,
  setLayer,
  setWeight,
  weightOf,
  type Lie,
  type TileId,
} from '@noria/core';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { Section, Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { fitTiles } from '../actions/place';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSetFor, selectView } from '../selectors';
import { NumberRow } from './NumberRow';
import { SetNumber } from './SetNumber';
import { shared } from './shared';
import type { RootState } from '../state';

const LIES: readonly { readonly value: Lie; readonly label: string }[] = [
  { value: 'fill', label: 'Fill' },
  { value: 'start', label: 'Start' },
  { value: 'center', label: 'Mid' },
  { value: 'end', label: 'End' },
];

/** What is shown, in plain values, so that it rests while tiles are only moved. */
function factsOf(state: RootState, ids: readonly TileId[]) {
  const view = selectView(state);
  const { index } = selectBand(state);
  const tiles = ids.flatMap((id) => view.tiles[id] ?? []);
  const places = tiles.map((tile) => placeIn(view, tile, index));
  const here = (of: 'fit' | 'layer') => ids.some((tile) => isSetHere(view, index, { tile, of }));
  return {
    index,
    fills: hasCells(selectBand(state).arrangement.kind),
    inline: shared(places.map(({ fit }) => fit.inline)),
    block: shared(places.map(({ fit }) => fit.block)),
    inlineSize: shared(places.map(({ fit }) => fit.inlineSize)),
    blockSize: shared(places.map(({ fit }) => fit.blockSize)),
    fitHere: here('fit'),
    layer: shared(places.map(({ layer }) => layer)),
    layerHere: here('layer'),
    weight: shared(tiles.map((tile) => weightOf(tile, view.order.indexOf(tile.id)))),
  };
}

/** How the tiles in hand fill their places; their ids with blanks between. */
export const TileFit = memo(function TileFit({ tiles }: { tiles: string }) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const ids = tiles.split(' ');
  const facts = useAppSelector((state) => factsOf(state, ids), shallowEqual);
  const setFor = useAppSelector(selectSetFor);
  const { index } = facts;
  const carry = (of: 'fit' | 'layer') => () =>
    dispatch(runHere('Carry', (draft) => ids.forEach((id) => carryPlace(id, index, [of])(draft))));
  const sizeNow = (size: 'inlineSize' | 'blockSize') =>
    selectLayout(store.getState()).tiles.find(({ id }) => id === ids[0])?.[size];
  const axes = [
    { lie: 'inline', size: 'inlineSize', label: 'Across', own: 'Own width' },
    { lie: 'block', size: 'blockSize', label: 'Down', own: 'Own height' },
  ] as const;

  return (
    <Section title="Fit">
      {/* Elsewhere the kind says how large a tile is. */}
      {(facts.fills ? axes : []).map(({ lie, size, label, own }) => {
        const [value, ownSize] = [facts[lie], facts[size]];
        return (
          <Row key={lie} label={label} setHere={facts.fitHere} onCarry={carry('fit')}>
            <div className="grid gap-1">
              <Segments<Lie | ''>
                name={label}
                value={value ?? ''}
                choices={LIES}
                onChoose={(chosen) => chosen !== '' && dispatch(fitTiles({ [lie]: chosen }))}
              />
              {value !== null && value !== 'fill' && (
                <div className="grid grid-cols-2 gap-1">
                  <Segments
                    name={own}
                    value={ownSize === null ? 'content' : 'own'}
                    choices={[
                      { value: 'content', label: 'Hugs' },
                      { value: 'own', label: 'Sized' },
                    ]}
                    onChoose={(chosen) =>
                      dispatch(
                        fitTiles({
                          [size]: chosen === 'content' ? null : Math.max(1, Math.round(sizeNow(size) ?? 100)),
                        }),
                      )
                    }
                  />
                  {ownSize !== null && (
                    <SetNumber
                      name={own}
                      value={ownSize}
                      least={1}
                      most={LIMITS.track}
                      unit="px"
                      basis={sizeNow(size) ?? NaN}
                      step="Fit"
                      command={(px) => setFit(ids, { [size]: px }, index, setFor)}
                    />
                  )}
                </div>
              )}
            </div>
          </Row>
        );
      })}
      <NumberRow
        label="Layer"
        setHere={facts.layerHere}
        onCarry={carry('layer')}
        name="Layer"
        value={facts.layer}
        least={-LIMITS.layer}
        most={LIMITS.layer}
        unit="higher lies over"
        step="Layer"
        command={(layer) => setLayer(ids, layer, index, setFor)}
      />
      <NumberRow
        label="Weight"
        name="Weight"
        value={facts.weight}
        least={1}
        most={5}
        unit="of 5, for proposals"
        step="Weight"
        command={(weight) => setWeight(ids, weight)}
      />
    </Section>
  );
});
