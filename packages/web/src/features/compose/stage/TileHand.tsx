import { moveToCell, nearestLine, placeIn, type LaidOutTile, type Tile } from '@noria/core';
import { useEffect, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { sayPlace } from '../actions';
import { taken, toggled } from '../composeSlice';
import { selectBand, selectLayout, selectView } from '../selectors';
import { boxStyle, type StageSpace } from './space';
import { useGrab } from './useGrab';

interface TileHandProps {
  readonly tile: Tile;
  readonly laidOut: LaidOutTile;
  readonly number: number;
  readonly of: number;
  readonly held: boolean;
  /** One tile takes the Tab key; the arrows lead from it to the others. */
  readonly takesTab: boolean;
  readonly space: StageSpace;
}

/** Takes a tile in hand, and moves it to another cell while it is dragged. */
export function TileHand({ tile, laidOut, number, of, held, takesTab, space }: TileHandProps) {
  const dispatch = useAppDispatch();
  const document = useAppSelector((state) => state.document.document) ?? undefined;
  const shown = useAppSelector(selectView);
  const layout = useAppSelector(selectLayout);
  const band = useAppSelector(selectBand);
  const [way, setWay] = useState<{ dx: number; dy: number; from: LaidOutTile } | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  const pointing = useRef(false);
  const pinned = placeIn(shown, tile, band.index).pin !== null;

  // The focus follows the hand when the keyboard leads it.
  useEffect(() => {
    const active = window.document.activeElement;
    if (held && active !== button.current && active?.matches('[data-tile-hand]')) button.current?.focus();
  }, [held]);

  const bind = useGrab({
    name: 'Move',
    begin: () => {
      if (!held) dispatch(taken([tile.id]));
      return { layout, laidOut };
    },
    command: (dx, dy, start) => {
      setWay({ dx, dy, from: start.laidOut });
      if (!document) return null;
      const { columns, rows } = start.layout;
      const gap = band.arrangement.rowGap;
      const more = { size: rows.at(-1)?.size ?? 0, gap, most: 1 };
      const cell = {
        column: nearestLine(columns, start.laidOut.x + dx / space.scale),
        row: nearestLine(rows, start.laidOut.y + dy / space.scale, more),
      };
      const move = moveToCell(document, tile.id, band.index, cell);
      return move.by === 'nothing' ? null : move.command;
    },
    onMove: (moved) => !moved && setWay(null),
    onTap: (event) => {
      if (event.shiftKey) dispatch(toggled(tile.id));
      else dispatch(taken([tile.id]));
      pointing.current = true;
      button.current?.focus();
      pointing.current = false;
    },
    onDone: () => dispatch(sayPlace()),
  });

  const { columnSpan, rowSpan, column, row } = laidOut;
  return (
    <>
      <button
        {...bind()}
        ref={button}
        type="button"
        data-tile-hand={tile.id}
        aria-pressed={held}
        tabIndex={takesTab ? 0 : -1}
        aria-label={`${tile.name}, ${tile.kind}, ${number} of ${of}, ${columnSpan} by ${rowSpan} at column ${column}, row ${row}${pinned ? ', pinned' : ''}`}
        className={`absolute touch-none rounded-[10px] outline-offset-2 ${held ? '' : 'hover:outline-2 hover:outline-copper/55'}`}
        style={boxStyle(space, laidOut)}
        onClick={(event) => {
          // The pointer has been dealt with; this is Enter or Space.
          if (event.detail === 0) dispatch(event.shiftKey ? toggled(tile.id) : taken([tile.id]));
        }}
        onFocus={(event) => {
          if (!pointing.current && !held && event.target.matches(':focus-visible'))
            dispatch(taken([tile.id]));
        }}
      />
      {way && (
        <div
          aria-hidden
          className="pointer-events-none absolute z-20 rounded-[12px] border-2 border-dashed border-copper bg-copper/10"
          style={{ ...boxStyle(space, way.from), transform: `translate(${way.dx}px, ${way.dy}px)` }}
        />
      )}
    </>
  );
}
