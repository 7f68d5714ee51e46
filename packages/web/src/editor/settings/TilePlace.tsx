import { hasCells, carryPlace, isSetHere, LIMITS, placeIn, setPin, type Tile } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { NumberField } from '../../ui/NumberField';
import { Question, Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { runHere } from '../here';
import { pinTiles, sayPlace, spanTiles } from '../actions/place';
import { selectBand, selectLayout, selectView } from '../selectors';
import { COLUMN_WORDS } from '../kinds/words';
import { AreaRow } from './AreaRow';
import { BandRows } from './BandRows';
import { shared } from './shared';

/** Where the tiles in hand sit. */
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
  const setHere = tiles.some(
    ({ id }) =>
      isSetHere(document, band.index, { tile: id, of: 'columnSpan' }) ||
      isSetHere(document, band.index, { tile: id, of: 'rowSpan' }),
  );
  const carry = () =>
    dispatch(
      runHere('Carry', (draft) =>
        tiles.forEach(({ id }) => carryPlace(id, band.index, ['columnSpan', 'rowSpan'])(draft)),
      ),
    );
  const hold = (cell: { column: number; row: number }) => {
    if (!only) return;
    dispatch(runHere('Pin', setPin([only.id], band.index, cell)));
    dispatch(sayPlace());
  };

  const { kind } = band.arrangement;
  const heldBy = kind === 'rows' ? 'breakBefore' : 'slot';
  const isHeld = places.every((place) => Boolean(place[heldBy]));
  const heldHere = tiles.some(({ id }) => isSetHere(document, band.index, { tile: id, of: heldBy }));
  const carryHeld = () =>
    dispatch(
      runHere('Carry', (draft) => tiles.forEach(({ id }) => carryPlace(id, band.index, [heldBy])(draft))),
    );
  const unit = (span: number) => {
    const word = COLUMN_WORDS[kind] ?? 'column';
    return span === 1 ? word : `${word}s`;
  };
  const spanRow = (
    <Row label="Span" setHere={setHere} onCarry={carry}>
      <div className="grid grid-cols-2 gap-1.5">
        <NumberField
          name="Column span"
          value={shared(places.map(({ columnSpan }) => Math.min(columnSpan, columns)))}
          least={1}
          most={columns}
          unit={unit(places[0]?.columnSpan ?? 1)}
          onSet={(columnSpan) => dispatch(spanTiles({ columnSpan }))}
        />
        {hasCells(kind) && (
          <NumberField
            name="Row span"
            value={shared(places.map(({ rowSpan }) => rowSpan))}
            least={1}
            most={LIMITS.span}
            unit={places[0]?.rowSpan === 1 ? 'row' : 'rows'}
            onSet={(rowSpan) => dispatch(spanTiles({ rowSpan }))}
          />
        )}
      </div>
    </Row>
  );
  const cellRows = (
    <>
      <Row label="Place">
        <Segments
          name="Place"
          value={pinned ? 'pinned' : 'free'}
          choices={[
            { value: 'free', label: 'Free' },
            { value: 'pinned', label: 'Pinned' },
          ]}
          onChoose={(value) => (value === 'pinned') !== pinned && dispatch(pinTiles())}
        />
      </Row>
      {pinned && at && (
        <Row label="Held at">
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
      )}
      <AreaRow tiles={tiles} />
    </>
  );

  return (
    <Question title="Where does it sit?">
      {hasCells(kind) || kind === 'masonry' ? spanRow : null}
      {kind === 'bento' && cellRows}
      {(kind === 'rows' || kind === 'mosaic') && (
        <Row label={kind === 'rows' ? 'Row' : 'Place'} setHere={heldHere} onCarry={carryHeld}>
          <Segments
            name={kind === 'rows' ? 'Row' : 'Place'}
            value={isHeld ? 'held' : 'free'}
            choices={[
              { value: 'free', label: kind === 'rows' ? 'Flows' : 'Free' },
              { value: 'held', label: kind === 'rows' ? 'Begins a row' : 'Locked' },
            ]}
            onChoose={(value) => (value === 'held') !== isHeld && dispatch(pinTiles())}
          />
        </Row>
      )}
      <BandRows tiles={tiles.map(({ id }) => id).join(' ')} />
    </Question>
  );
}
