import { resolvedBandAt, change, coverageOf, levelOf, setSpan, type LaidOutTile } from '@noria/core';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { useShiftHeld } from '../../ui/useShiftHeld';
import { tryHere } from '../here';
import { spanTiles } from '../actions/place';
import {
  selectBand,
  selectSelected,
  selectLayout,
  selectLevel,
  selectNeedle,
  selectSetFor,
} from '../selectors';
import { boxStyle, type StageSpace } from './space';

const MOST_COLUMNS = 12;
const CELL = 20;
/** Room for the words under the matrix. */
const LEAST_WIDTH = 156;
const LEAST_WIDTH_FOR_SEVERAL = 206;
const AWAY = 14;

interface SpanPadProps {
  readonly laidOut: LaidOutTile;
  readonly space: StageSpace;
}

/** A small matrix that sets columns × rows in one press, and says beforehand what that would do. */
export function SpanPad({ laidOut, space }: SpanPadProps) {
  const dispatch = useAppDispatch();
  const layout = useAppSelector(selectLayout);
  const band = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const needle = useAppSelector(selectNeedle);
  const trying = useAppSelector((state) => state.document.trial !== null);
  const document = useAppSelector((state) => state.document.document);
  const level = useAppSelector(selectLevel);
  const selected = useAppSelector(selectSelected);
  const shiftHeld = useShiftHeld();
  const [pointed, setPointed] = useState<readonly [number, number] | null>(null);
  // With Shift one reaches for more tiles, perhaps for one under the pad.
  if (!document || shiftHeld || (trying && !pointed)) return null;

  const columns = Math.min(layout.columns.length, MOST_COLUMNS);
  const rows = Math.max(4, Math.min(6, laidOut.rowSpan + 1));
  const span = { columnSpan: pointed?.[0] ?? laidOut.columnSpan, rowSpan: pointed?.[1] ?? laidOut.rowSpan };
  const tiles = selected.map(({ id }) => id);
  const command = setSpan({ tiles, band: band.index, setFor, ...span });
  const made = change(levelOf(document, level), command).document;
  const after = coverageOf(made, resolvedBandAt(made, needle)).holes.length;

  const width = Math.max(tiles.length > 1 ? LEAST_WIDTH_FOR_SEVERAL : LEAST_WIDTH, columns * CELL + 17);
  const place = besideTile(boxStyle(space, laidOut), width, needle * space.scale);
  const point = (next: readonly [number, number] | null) => setPointed(next);

  return (
    <div
      role="group"
      aria-label="Span pad"
      className="absolute z-[130] rounded-m bg-raised px-2.5 pt-2.5 pb-2 shadow-float"
      style={{ ...place, width }}
      onPointerLeave={() => point(null)}
      onPointerDown={(event) => event.stopPropagation()}
    >
      <div className="grid gap-[3px]" style={{ gridTemplateColumns: `repeat(${columns}, ${CELL - 3}px)` }}>
        {Array.from({ length: rows * columns }, (_, k) => {
          const cell = [(k % columns) + 1, Math.floor(k / columns) + 1] as const;
          const isNow = cell[0] <= laidOut.columnSpan && cell[1] <= laidOut.rowSpan;
          const isWished = pointed !== null && cell[0] <= pointed[0] && cell[1] <= pointed[1];
          const isCorner = pointed?.[0] === cell[0] && pointed[1] === cell[1];
          return (
            <button
              key={k}
              type="button"
              // The keyboard sets spans with digits; 24 stops of Tab would be in the way.
              tabIndex={-1}
              aria-label={`${cell[0]} by ${cell[1]}`}
              className={`h-[15px] rounded-[2px] ${isNow ? 'bg-copper' : isWished ? 'bg-copper-wash' : 'bg-field'} ${isCorner ? 'outline-[1.5px] outline-copper' : ''}`}
              onPointerEnter={() => point(cell)}
              onClick={() => {
                dispatch(tryHere(null));
                dispatch(spanTiles({ columnSpan: cell[0], rowSpan: cell[1] }));
              }}
            />
          );
        })}
      </div>
      <p className="mt-1.5 text-[11.5px] whitespace-nowrap text-soft">
        <b className="figures text-copper-ink">
          {span.columnSpan} × {span.rowSpan}
        </b>{' '}
        {tiles.length > 1 && `for all ${tiles.length} `}
        {after === 0 ? 'leaves no hole' : after === 1 ? 'leaves a hole' : `leaves ${after} holes`}
      </p>
    </div>
  );
}

/** After the tile, else before it, else below it: never over the tile it is about. */
function besideTile(tile: ReturnType<typeof boxStyle>, width: number, page: number) {
  const after = tile.left + tile.width + AWAY;
  const top = tile.top + AWAY;
  if (after + width <= page + 20) return { left: after, top };
  const before = tile.left - width - AWAY;
  if (before >= -20) return { left: before, top };
  return { left: tile.left, top: tile.top + tile.height + AWAY };
}
