import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import {
  tileName,
  lookedAt,
  textColourOf,
  mainWords,
  mediaOf,
  placeIn,
  type PictureAsset,
  type Tile,
} from '@noria/core';
import { memo } from 'react';
import { addressFor } from '../../api/pictures';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectBand, selectSavedView } from '../selectors';
import { fillShown } from '../looks/fillShown';
import { putOn } from '../actions/brush';
import { selectThrough } from '../actions/select';
import { tilesSelected, toggled } from '../editorSlice';

interface BeltTileProps {
  readonly tile: Tile;
  readonly number: number;
  /** Where it begins on the belt, px. */
  readonly start: number;
}

/** A tile on the belt: its thumbnail, its number in reading order and its name. */
export const BeltTile = memo(function BeltTile({ tile, number, start }: BeltTileProps) {
  const dispatch = useAppDispatch();
  const held = useAppSelector(({ editor }) => editor.selected.includes(tile.id));
  const brushing = useAppSelector(({ editor }) => editor.brush !== null);
  const view = useAppSelector(selectSavedView);
  const looks = lookedAt(view, useAppSelector(selectBand).index);
  const { pictures } = view;
  const name = tileName(tile, view);
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id: tile.id,
  });
  const hidden = useAppSelector((state) => {
    const shown = selectSavedView(state).tiles[tile.id];
    return shown ? placeIn(selectSavedView(state), shown, selectBand(state).index).hidden : false;
  });
  const media = mediaOf(tile);
  const shown = media && ('film' in media ? media.poster : media.picture);
  const picture = pictures[shown ?? ''];

  return (
    <li
      ref={setNodeRef}
      className={`absolute top-[13px] w-[72px] ${isDragging ? 'z-10' : ''}`}
      style={{ left: start, transform: CSS.Translate.toString(transform), transition }}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-roledescription="sortable tile"
        aria-pressed={held}
        aria-label={`${number}, ${name}${hidden ? ', hidden here' : ''}`}
        className={`group grid w-full touch-none gap-1.5 rounded-s text-left ${isDragging ? 'opacity-80' : ''}`}
        onClick={({ shiftKey, ctrlKey, metaKey }) => {
          if (brushing) dispatch(putOn([tile.id]));
          else if (shiftKey) dispatch(selectThrough(tile.id));
          else dispatch(ctrlKey || metaKey ? toggled(tile.id) : tilesSelected([tile.id]));
        }}
      >
        <span
          className={`block h-[46px] overflow-hidden rounded-s border border-hair ${hidden ? 'opacity-35' : ''} ${held ? 'outline-2 outline-offset-1 outline-copper' : 'group-hover:border-faint'}`}
          style={{ background: fillShown(view, tile.look) }}
        >
          <Thumbnail tile={tile} picture={picture} ink={textColourOf(looks, tile)} />
        </span>
        <span
          className={`flex truncate text-[10.5px] leading-[14px] ${held ? 'font-semibold text-copper-ink' : 'text-faint'}`}
        >
          <span className={`truncate ${hidden ? 'line-through' : ''}`}>
            {number} {name}
          </span>
        </span>
      </button>
    </li>
  );
});

interface ThumbnailProps {
  readonly tile: Tile;
  readonly picture: PictureAsset | undefined;
  readonly ink: string;
}

function Thumbnail({ tile, picture, ink }: ThumbnailProps) {
  const media = mediaOf(tile);
  if (media) {
    if (!picture) return null;
    const { x, y } = media.focalPoint;
    return (
      <img
        src={addressFor(picture, 320)}
        alt=""
        draggable={false}
        className="size-full object-cover"
        // Until it is there, the place has its colour.
        style={{ objectPosition: `${x * 100}% ${y * 100}%`, background: picture.colours?.[0] }}
      />
    );
  }
  if (tile.kind === 'group') {
    return (
      <span className="grid size-full grid-cols-2 gap-0.5 p-1.5">
        {tile.order.slice(0, 4).map((id) => (
          <i key={id} className="rounded-[2px] bg-current opacity-20" />
        ))}
      </span>
    );
  }
  const said = mainWords(tile);
  const icons = tile.parts.flatMap((part) => ('icons' in part ? part.icons : []));
  if (said === '' && icons.length > 0) {
    return (
      <span className="flex flex-wrap gap-1 p-1.5">
        {icons.slice(0, 8).map((_, k) => (
          <i key={k} className="size-2 rounded-full border" style={{ borderColor: ink }} />
        ))}
      </span>
    );
  }
  return (
    <span className="block p-1.5 text-[7.5px] leading-[1.2] font-semibold" style={{ color: ink }}>
      {said.slice(0, 60)}
    </span>
  );
}
