import { inheritPlace, isSetHere, LIMITS, placeIn, setPin, type Tile } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { NumberField } from '../../ui/NumberField';
import { Section, Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { PLACE } from '../fields/fields';
import { runHere } from '../here';
import { pinTiles, sayPlace } from '../actions/place';
import { selectBand, selectLayout, selectView } from '../selectors';
import { interfaceOf } from '../kinds';
import { AreaRow } from './AreaRow';
import { BandRows } from './BandRows';

/** Where the selected tiles sit. */
export function TilePlace({ tiles }: { tiles: readonly Tile[] }) {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectView);
  const band = useAppSelector(selectBand);
  const layout = useAppSelector(selectLayout);
  const places = tiles.map((tile) => placeIn(document, tile, band.index));
  const pinned = places.every(({ pin }) => pin);
  const [only] = tiles.length === 1 ? tiles : [];
  const at = layout.tiles.find(({ id }) => id === only?.id);
  const columns = band.columns.length;
  const hold = (cell: { column: number; row: number }) => {
    if (!only) return;
    dispatch(runHere(PLACE.pin.label, setPin([only.id], band.index, cell)));
    dispatch(sayPlace());
  };

  const { holding, hasAreas } = interfaceOf(band.arrangement);
  const heldBy = holding?.by ?? 'pin';
  const isHeld = places.every((place) => Boolean(place[heldBy]));
  const heldHere = tiles.some(({ id }) => isSetHere(document, band.index, { tile: id, of: heldBy }));
  const inheritHeld = () =>
    dispatch(
      runHere('Inherit', (draft) => tiles.forEach(({ id }) => inheritPlace(id, band.index, [heldBy])(draft))),
    );
  const pinnedAt = pinned && at && (
    <Row label="Pinned at">
      <div className="grid grid-cols-2 gap-1.5">
        <NumberField
          name="Column line"
          value={at.column}
          least={1}
          most={columns - at.columnSpan + 1}
          unit="column"
          onSet={(column) => hold({ column, row: at.row })}
        />
        <NumberField
          name="Row line"
          value={at.row}
          least={1}
          most={LIMITS.rows}
          unit="row"
          onSet={(row) => hold({ column: at.column, row })}
        />
      </div>
    </Row>
  );

  return (
    <Section title="Place">
      {holding && (
        <Row label={holding.label} {...(heldBy !== 'pin' && { setHere: heldHere, onInherit: inheritHeld })}>
          <Segments
            value={isHeld ? 'held' : 'free'}
            choices={[
              { value: 'free', label: holding.free },
              { value: 'held', label: holding.held },
            ]}
            onChoose={(value) => (value === 'held') !== isHeld && dispatch(pinTiles())}
          />
        </Row>
      )}
      {heldBy === 'pin' && holding && pinnedAt}
      {hasAreas && <AreaRow tiles={tiles} />}
      <BandRows tiles={tiles.map(({ id }) => id).join(' ')} />
    </Section>
  );
}
