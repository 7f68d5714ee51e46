import {
  emptyIconsOf,
  isGradient,
  kindTitle,
  tileName,
  pictureOf,
  placeIn,
  type LaidOutTile,
  type Tile,
} from '@noria/core';
import { Suspense, useMemo, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { openSelectedGroup } from '../actions/groups';
import { putOn } from '../actions/brush';
import { sayPlace } from '../actions/place';
import { tilesSelected, toggled } from '../editorSlice';
import { selectBand, selectLooks, selectSelected, selectLayout, selectView } from '../selectors';
import { TILE_MENU } from '../commands/menus';
import { interfaceOf } from '../kinds';
import type { Placed } from '../kinds/kind';
import { writeUnder } from '../writing/write';
import { whenShown } from '../../ui/lazily';
import { SelectionOutline } from './SelectionOutline';
import { MovingGhost } from './MovingGhost';
import { TileHand } from './TileHand';
import { boxStyle, type StageSpace } from './space';
import { useMove } from './useMove';
import { isSeen, type Seen } from './seen';

const CommandMenu = whenShown(() => import('../commands/CommandMenu').then((file) => file.CommandMenu));
const AskIcons = whenShown(() => import('./AskIcons').then((file) => file.AskIcons));
const AskPicture = whenShown(() => import('./AskPicture').then((file) => file.AskPicture));
const CropHand = whenShown(() => import('./CropHand').then((file) => file.CropHand));
const GradientHand = whenShown(() => import('./GradientHand').then((file) => file.GradientHand));

const idOf = (target: EventTarget | null) =>
  target instanceof HTMLElement
    ? target.closest<HTMLElement>('[data-tile-hand]')?.dataset.tileHand
    : undefined;

const NONE: readonly Tile[] = [];

export interface TileHandsProps {
  readonly space: StageSpace;
  /** The stretch of the page that is drawn; left out: all of it. */
  readonly seen?: Seen | null;
}

/** What a pointer and the keyboard take hold of: one button a tile, in reading order. */
export function TileHands({ space, seen = null }: TileHandsProps) {
  const dispatch = useAppDispatch();
  const view = useAppSelector(selectView);
  const layout = useAppSelector(selectLayout);
  const band = useAppSelector(selectBand);
  const selected = useAppSelector(selectSelected);
  const { tool, brush, cropping } = useAppSelector((state) => state.editor);
  const held = new Set(selected.map(({ id }) => id));
  const last = layout.tiles.find(({ id }) => id === selected.at(-1)?.id);
  const only = selected.length === 1 ? selected[0] : undefined;
  const pointing = useRef(false);
  const [menuAt, setMenuAt] = useState<{ readonly x: number; readonly y: number } | null>(null);

  const { bind, moving, ghost } = useMove({
    space,
    idOf,
    onTap: (event) => {
      const id = idOf(event.target);
      if (id === undefined) return;
      if (brush) {
        dispatch(putOn([id]));
        return;
      }
      if (event.shiftKey) dispatch(toggled(id));
      else dispatch(tilesSelected([id]));
      pointing.current = true;
      (event.target as HTMLElement).focus();
      pointing.current = false;
    },
    onDone: () => dispatch(sayPlace()),
  });

  const kept = seen ? selected : NONE;
  const settled = useMemo(
    () =>
      layout.tiles.flatMap((laidOut, k) => {
        const tile = view.tiles[laidOut.id];
        if (!tile) return [];
        // what is selected keeps the focus wherever it is.
        if (!isSeen(seen, laidOut.y + space.y, laidOut.blockSize) && !kept.includes(tile)) return [];
        const place = placeIn(view, tile, band.index);
        const placed = { tile, at: laidOut, place, number: k + 1, arrangement: band.arrangement };
        const name = nameOf(tileName(tile, view), placed, layout.tiles.length);
        return { id: laidOut.id, name, layer: place.layer, ...boxStyle(space, laidOut) };
      }),
    [layout, view, band.index, band.arrangement, space, seen, kept],
  );
  // While one tile is carried nothing else is tilesSelected, so the hands wait until it is let go.
  const [waiting, setWaiting] = useState(settled);
  if (!moving && waiting !== settled) setWaiting(settled);
  const hands = moving ? waiting : settled;

  return (
    <>
      <ul
        aria-label="Tiles in reading order"
        className={`contents ${tool === 'areas' ? '*:*:pointer-events-none' : ''}`}
        {...bind()}
        onClick={(event) => {
          // The pointer has been dealt with; this is Enter or Space.
          const id = idOf(event.target);
          if (event.detail !== 0 || id === undefined) return;
          if (brush) dispatch(putOn([id]));
          else dispatch(event.shiftKey ? toggled(id) : tilesSelected([id]));
        }}
        onContextMenu={(event) => {
          const id = idOf(event.target);
          if (id === undefined) return;
          event.preventDefault();
          if (!held.has(id)) dispatch(tilesSelected([id]));
          setMenuAt({ x: event.clientX, y: event.clientY });
        }}
        onDoubleClick={(event) => {
          const tile = view.tiles[idOf(event.target) ?? ''];
          if (tile?.kind === 'group') dispatch(openSelectedGroup());
          else if (tile) dispatch(writeUnder(tile.id, { x: event.clientX, y: event.clientY }));
        }}
        onFocus={(event) => {
          const id = idOf(event.target);
          if (
            id !== undefined &&
            !pointing.current &&
            !held.has(id) &&
            !brush &&
            event.target.matches(':focus-visible')
          )
            dispatch(tilesSelected([id]));
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
          <SelectionOutline
            key={laidOut.id}
            laidOut={laidOut}
            space={space}
            withGrips={laidOut.id === last?.id}
          />
        ))}
      {only && last && tool === 'tiles' && (
        <OnTile tile={only} laidOut={last} space={space} cropping={cropping} />
      )}
      <MovingGhost ref={ghost} space={space} />
      {menuAt && (
        <Suspense>
          <CommandMenu name="Selected tiles" at={menuAt} of={TILE_MENU} onClose={() => setMenuAt(null)} />
        </Suspense>
      )}
    </>
  );
}

interface OnTileProps {
  readonly tile: Tile;
  readonly laidOut: LaidOutTile;
  readonly space: StageSpace;
  readonly cropping: boolean;
}

/** What is taken hold of on the selected tile itself: its picture in the slot, the stops of its gradient. */
function OnTile({ tile, laidOut, space, cropping }: OnTileProps) {
  const dressed = useAppSelector((state) => selectLooks(state).tiles[tile.id]);
  const part = pictureOf(tile);
  const icons = emptyIconsOf(tile);
  if (icons)
    return (
      <Suspense>
        <AskIcons tile={tile} part={icons} laidOut={laidOut} space={space} />
      </Suspense>
    );
  if (part?.picture === null)
    return (
      <Suspense>
        <AskPicture tile={tile} part={part} laidOut={laidOut} space={space} />
      </Suspense>
    );
  if (cropping)
    return (
      <Suspense>
        <CropHand tile={tile} laidOut={laidOut} space={space} />
      </Suspense>
    );
  const fill = dressed?.look.fill ?? tile.look.fill;
  return isGradient(fill) ? (
    <Suspense>
      <GradientHand tile={tile} gradient={fill} laidOut={laidOut} space={space} />
    </Suspense>
  ) : null;
}

/** A tile’s name as a screen reader says it: what it is, its number, and where it lies. */
const nameOf = (name: string, placed: Placed, of: number): string => {
  const { tile, number, arrangement } = placed;
  const where = interfaceOf(arrangement).where(placed);
  return `${name}, ${kindTitle(tile).toLowerCase()}, ${number} of ${of}, ${where}`;
};
