import { placeIn, type LaidOutTile, type Tile } from '@noria/core';
import { useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { enterGroup, sayPlace } from '../actions';
import { taken, toggled } from '../composeSlice';
import { selectBand, selectInHand, selectLayout, selectView } from '../selectors';
import { HandOutline } from './HandOutline';
import { MovingGhost } from './MovingGhost';
import { SpanPad } from './SpanPad';
import { TileHand } from './TileHand';
import { boxStyle, type StageSpace } from './space';
import { useMove } from './useMove';

const idOf = (target: EventTarget | null) =>
  target instanceof HTMLElement
    ? target.closest<HTMLElement>('[data-tile-hand]')?.dataset.tileHand
    : undefined;

/** What a pointer and the keyboard take hold of: one button a tile, in reading order. */
export function TileHands({ space }: { space: StageSpace }) {
  const dispatch = useAppDispatch();
  const view = useAppSelector(selectView);
  const layout = useAppSelector(selectLayout);
  const band = useAppSelector(selectBand);
  const inHand = useAppSelector(selectInHand);
  const { tool, pad } = useAppSelector((state) => state.compose);
  const held = new Set(inHand.map(({ id }) => id));
  const last = layout.tiles.find(({ id }) => id === inHand.at(-1)?.id);
  const pointing = useRef(false);

  const { bind, moving } = useMove({
    space,
    idOf,
    onTap: (event) => {
      const id = idOf(event.target);
      if (id === undefined) return;
      if (event.shiftKey) dispatch(toggled(id));
      else dispatch(taken([id]));
      pointing.current = true;
      (event.target as HTMLElement).focus();
      pointing.current = false;
    },
    onDone: () => dispatch(sayPlace()),
  });

  return (
    <>
      <ul
        aria-label="Tiles in reading order"
        className={`contents ${tool === 'areas' ? '*:*:pointer-events-none' : ''}`}
        {...bind()}
        onClick={(event) => {
          // The pointer has been dealt with; this is Enter or Space.
          const id = idOf(event.target);
          if (event.detail === 0 && id !== undefined) dispatch(event.shiftKey ? toggled(id) : taken([id]));
        }}
        onDoubleClick={(event) => {
          if (view.tiles[idOf(event.target) ?? '']?.kind === 'group') dispatch(enterGroup());
        }}
        onFocus={(event) => {
          const id = idOf(event.target);
          if (
            id !== undefined &&
            !pointing.current &&
            !held.has(id) &&
            event.target.matches(':focus-visible')
          )
            dispatch(taken([id]));
        }}
      >
        {layout.tiles.map((laidOut, k) => {
          const tile = view.tiles[laidOut.id];
          if (!tile) return null;
          const place = placeIn(view, tile, band.index);
          return (
            <TileHand
              key={laidOut.id}
              id={laidOut.id}
              name={nameOf(tile, laidOut, k + 1, layout.tiles.length, place.pin !== null)}
              held={held.has(laidOut.id)}
              takesTab={held.size > 0 ? held.has(laidOut.id) : k === 0}
              layer={place.layer}
              {...boxStyle(space, laidOut)}
            />
          );
        })}
      </ul>
      {layout.tiles
        .filter(({ id }) => held.has(id))
        .map((laidOut) => (
          <HandOutline key={laidOut.id} laidOut={laidOut} space={space} withGrips={laidOut.id === last?.id} />
        ))}
      {moving && <MovingGhost moving={moving} space={space} />}
      {last && pad && tool === 'tiles' && <SpanPad laidOut={last} space={space} />}
    </>
  );
}

function nameOf(tile: Tile, at: LaidOutTile, number: number, of: number, pinned: boolean): string {
  const place = `${at.columnSpan} by ${at.rowSpan} at column ${at.column}, row ${at.row}`;
  return `${tile.name}, ${tile.kind}, ${number} of ${of}, ${place}${pinned ? ', pinned' : ''}`;
}
