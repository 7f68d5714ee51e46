import { placeIn, type LaidOutTile, type Tile } from '@noria/core';
import { useMemo, useRef, useState } from 'react';
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

  const { bind, moving, ghost } = useMove({
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

  const settled = useMemo(
    () =>
      layout.tiles.flatMap((laidOut, k) => {
        const tile = view.tiles[laidOut.id];
        if (!tile) return [];
        const place = placeIn(view, tile, band.index);
        const name = nameOf(tile, laidOut, k + 1, layout.tiles.length, place.pin !== null);
        return { id: laidOut.id, name, layer: place.layer, ...boxStyle(space, laidOut) };
      }),
    [layout, view, band.index, space],
  );
  // While one tile is carried nothing else is taken, so the hands wait until it is let go.
  const [kept, setKept] = useState(settled);
  if (!moving && kept !== settled) setKept(settled);
  const hands = moving ? kept : settled;

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
        {hands.map((hand, k) => (
          <TileHand
            key={hand.id}
            {...hand}
            held={held.has(hand.id)}
            takesTab={held.size > 0 ? held.has(hand.id) : k === 0}
          />
        ))}
      </ul>
      {layout.tiles
        .filter(({ id }) => held.has(id))
        .map((laidOut) => (
          <HandOutline key={laidOut.id} laidOut={laidOut} space={space} withGrips={laidOut.id === last?.id} />
        ))}
      <MovingGhost ref={ghost} space={space} />
      {last && pad && tool === 'tiles' && <SpanPad laidOut={last} space={space} />}
    </>
  );
}

function nameOf(tile: Tile, at: LaidOutTile, number: number, of: number, pinned: boolean): string {
  const place = `${at.columnSpan} by ${at.rowSpan} at column ${at.column}, row ${at.row}`;
  return `${tile.name}, ${tile.kind}, ${number} of ${of}, ${place}${pinned ? ', pinned' : ''}`;
}
