import {
  hasCells,
  inheritPlace,
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
import { LIES, PLACE, TILE } from '../fields/fields';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSetFor, selectView } from '../selectors';
import { NumberRow } from './NumberRow';
import { SetLength } from './SetLength';
import { shared } from './shared';
import type { RootState } from '../state';

/** What is shown, in plain values, so that it rests while tiles are only moved. */
function factsOf(state: RootState, ids: readonly TileId[]) {
  const view = selectView(state);
  const { index, arrangement } = selectBand(state);
  const tiles = ids.flatMap((id) => view.tiles[id] ?? []);
  const places = tiles.map((tile) => placeIn(view, tile, index));
  const here = (of: 'fit' | 'layer') => ids.some((tile) => isSetHere(view, index, { tile, of }));
  return {
    index,
    fills: hasCells(arrangement.kind) && arrangement.cells !== 'square',
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

/** How the selected tiles fill their places; their ids with blanks between. */
export const TileFit = memo(function TileFit({ tiles }: { tiles: string }) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const ids = tiles.split(' ');
  const facts = useAppSelector((state) => factsOf(state, ids), shallowEqual);
  const setFor = useAppSelector(selectSetFor);
  const { index } = facts;
  const inherit = (of: 'fit' | 'layer') => () =>
    dispatch(runHere('Inherit', (draft) => ids.forEach((id) => inheritPlace(id, index, [of])(draft))));
  const sizeNow = (size: 'inlineSize' | 'blockSize') =>
    selectLayout(store.getState()).tiles.find(({ id }) => id === ids[0])?.[size];
  const axes = [
    { lie: 'inline', size: 'inlineSize', label: 'Across', own: 'Own width' },
    { lie: 'block', size: 'blockSize', label: 'Down', own: 'Own height' },
  ] as const;

  return (
    <Section title="Fit">
      {/* Elsewhere, and in square cells, the arrangement says how large a tile is. */}
      {(facts.fills ? axes : []).map(({ lie, size, label, own }) => {
        const [value, ownSize] = [facts[lie], facts[size]];
        return (
          <Row key={lie} label={label} setHere={facts.fitHere} onInherit={inherit('fit')}>
            <div className="grid gap-1">
              <Segments<Lie | ''>
                value={value ?? ''}
                choices={LIES}
                onChoose={(chosen) => chosen !== '' && dispatch(fitTiles({ [lie]: chosen }))}
              />
              {value !== null && value !== 'stretch' && (
                <div className="grid gap-1">
                  <Segments
                    name={`${own}, how`}
                    value={ownSize === null ? 'content' : 'own'}
                    choices={[
                      { value: 'content', label: 'Fit content' },
                      { value: 'own', label: 'Own size' },
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
                    <SetLength
                      shares
                      field={{ label: own, unit: 'px', least: 1, most: LIMITS.track }}
                      value={ownSize}
                      basis={sizeNow(size) ?? NaN}
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
        field={PLACE.layer}
        setHere={facts.layerHere}
        onInherit={inherit('layer')}
        value={facts.layer}
        command={(layer) => setLayer(ids, layer, index, setFor)}
      />
      <NumberRow field={TILE.weight} value={facts.weight} command={(weight) => setWeight(ids, weight)} />
    </Section>
  );
});
