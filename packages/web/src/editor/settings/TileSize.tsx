import { hasCells, inheritPlace, isSetHere, LIMITS, placeIn, setSpan, type Tile } from '@noria/core';
import { useEffect, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { NumberField } from '../../ui/NumberField';
import { Row } from '../../ui/Rows';
import { spanTiles } from '../actions/place';
import { runHere, tryHere } from '../here';
import { interfaceOf } from '../kinds';
import { kindData } from '../kinds/data';
import { selectBand, selectLayout, selectSetFor, selectView } from '../selectors';
import { shared } from './shared';

const MOST_COLUMNS = 12;
const ROWS = 4;

/** How many cells the selected tiles take, above all else that is set: in numbers, and on the span pad. */
export function TileSize({ tiles }: { tiles: readonly Tile[] }) {
  const dispatch = useAppDispatch();
  const view = useAppSelector(selectView);
  const band = useAppSelector(selectBand);
  const { kind } = band.arrangement;
  const { spans } = interfaceOf(band.arrangement);
  const columns = band.columns.length;
  const places = tiles.map((tile) => placeIn(view, tile, band.index));
  if (spans === 'none') return null;
  const setHere = tiles.some(
    ({ id }) =>
      isSetHere(view, band.index, { tile: id, of: 'columnSpan' }) ||
      isSetHere(view, band.index, { tile: id, of: 'rowSpan' }),
  );
  const inherit = () =>
    dispatch(
      runHere('Inherit', (draft) =>
        tiles.forEach(({ id }) => inheritPlace(id, band.index, ['columnSpan', 'rowSpan'])(draft)),
      ),
    );
  const unit = (span: number) => {
    const word = kindData(kind).column ?? 'column';
    return span === 1 ? word : `${word}s`;
  };
  return (
    <div className="grid gap-1.5">
      <Row label="Span" setHere={setHere} onInherit={inherit}>
        <div className="grid grid-cols-2 gap-1.5">
          <NumberField
            name="Column span"
            value={shared(places.map(({ columnSpan }) => Math.min(columnSpan, columns)))}
            least={1}
            most={columns}
            unit={unit(places[0]?.columnSpan ?? 1)}
            onSet={(columnSpan) => dispatch(spanTiles({ columnSpan }))}
          />
          {spans === 'cells' && (
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
      {spans === 'cells' && hasCells(kind) && <SpanPad tiles={tiles} />}
    </div>
  );
}

/** A small matrix that sets columns × rows in one press, and says beforehand what that would do. */
function SpanPad({ tiles }: { tiles: readonly Tile[] }) {
  const dispatch = useAppDispatch();
  const layout = useAppSelector(selectLayout);
  const band = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const [pointed, setPointed] = useState<readonly [number, number] | null>(null);
  const ids = tiles.map(({ id }) => id);
  const at = layout.tiles.find(({ id }) => id === ids.at(-1));
  const isPointed = pointed !== null;
  // What was only shown goes with the pad: Escape lets the tile go while one points at a span.
  useEffect(() => {
    if (!isPointed) return undefined;
    return () => {
      dispatch(tryHere(null));
    };
  }, [dispatch, isPointed]);
  if (!at) return null;

  const columns = Math.min(layout.columns.length, MOST_COLUMNS);
  const [wide, high] = pointed ?? [at.columnSpan, at.rowSpan];
  const command = ([columnSpan, rowSpan]: readonly [number, number]) =>
    setSpan({ tiles: ids, band: band.index, setFor, columnSpan, rowSpan });
  const point = (next: readonly [number, number]) => {
    setPointed(next);
    dispatch(tryHere(command(next)));
  };
  // What is pointed at is shown: its holes are those of the layout.
  const holes = pointed && layout.coverage.holes.length;

  return (
    <Row label="">
      <div
        role="group"
        aria-label="Span pad"
        className="flex items-end gap-2"
        onPointerLeave={() => setPointed(null)}
      >
        <div
          className="grid flex-none"
          style={{ gridTemplateColumns: `repeat(${columns}, ${columns > 8 ? 13 : 17}px)` }}
        >
          {Array.from({ length: ROWS * columns }, (_, k) => {
            const cell = [(k % columns) + 1, Math.floor(k / columns) + 1] as const;
            const isInside = cell[0] <= wide && cell[1] <= high;
            return (
              <button
                key={k}
                type="button"
                // The keyboard sets spans with digits; 24 stops of Tab would be in the way.
                tabIndex={-1}
                aria-label={`${cell[0]} by ${cell[1]}`}
                className="p-px"
                onPointerEnter={() => point(cell)}
                onClick={() => {
                  setPointed(null);
                  dispatch(spanTiles({ columnSpan: cell[0], rowSpan: cell[1] }));
                }}
              >
                <i
                  className={`block h-[11px] rounded-[2px] ${isInside ? (pointed ? 'bg-copper-wash outline-1 -outline-offset-1 outline-copper' : 'bg-copper') : 'bg-field'}`}
                />
              </button>
            );
          })}
        </div>
        {holes !== null && (
          <p className="min-w-0 text-xs leading-tight text-soft">
            <b className="figures text-copper-ink">
              {wide} × {high}
            </b>{' '}
            {tiles.length > 1 && `for all ${tiles.length} `}
            {holes === 0 ? 'no hole' : holes === 1 ? 'leaves a hole' : `leaves ${holes} holes`}
          </p>
        )}
      </div>
    </Row>
  );
}
