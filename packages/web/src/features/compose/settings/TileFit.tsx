import {
  carryPlace,
  isSetHere,
  LIMITS,
  placeIn,
  setFit,
  setLayer,
  setWeight,
  weightOf,
  type Lie,
  type Tile,
} from '@noria/core';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { Question, Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { fitTiles } from '../actions';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSetFor, selectView } from '../selectors';
import { SetNumber } from './SetNumber';
import { shared } from './shared';

const LIES: readonly { readonly value: Lie; readonly label: string }[] = [
  { value: 'fill', label: 'Fill' },
  { value: 'start', label: 'Start' },
  { value: 'centre', label: 'Mid' },
  { value: 'end', label: 'End' },
];

/** How the tiles in hand fill their places. */
export function TileFit({ tiles }: { tiles: readonly Tile[] }) {
  const dispatch = useAppDispatch();
  const view = useAppSelector(selectView);
  const layout = useAppSelector(selectLayout);
  const { index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const places = tiles.map((tile) => placeIn(view, tile, index));
  const ids = tiles.map(({ id }) => id);
  const at = layout.tiles.find(({ id }) => id === ids[0]);
  const setHere = (of: 'fit' | 'layer') => tiles.some(({ id }) => isSetHere(view, index, { tile: id, of }));
  const carry = (of: 'fit' | 'layer') => () =>
    dispatch(runHere('Carry', (draft) => ids.forEach((id) => carryPlace(id, index, [of])(draft))));
  const axes = [
    { lie: 'inline', size: 'inlineSize', label: 'Across', own: 'Own width' },
    { lie: 'block', size: 'blockSize', label: 'Down', own: 'Own height' },
  ] as const;

  return (
    <Question title="How does it fill its place?">
      {axes.map(({ lie, size, label, own }) => {
        const value = shared(places.map(({ fit }) => fit[lie]));
        const ownSize = shared(places.map(({ fit }) => fit[size]));
        return (
          <Row key={lie} label={label} setHere={setHere('fit')} onCarry={carry('fit')}>
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
                          [size]: chosen === 'content' ? null : Math.max(1, Math.round(at?.[size] ?? 100)),
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
                      basis={at?.[size] ?? NaN}
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
      <Row label="Layer" setHere={setHere('layer')} onCarry={carry('layer')}>
        <SetNumber
          name="Layer"
          value={shared(places.map(({ layer }) => layer))}
          least={-LIMITS.layer}
          most={LIMITS.layer}
          unit="higher lies over"
          step="Layer"
          command={(layer) => setLayer(ids, layer, index, setFor)}
        />
      </Row>
      <Row label="Weight">
        <SetNumber
          name="Weight"
          value={shared(tiles.map((tile) => weightOf(tile, view.order.indexOf(tile.id))))}
          least={1}
          most={5}
          unit="of 5, for proposals"
          step="Weight"
          command={(weight) => setWeight(ids, weight)}
        />
      </Row>
    </Question>
  );
}
