import { setPart, shownAnew, type LaidOutTile, type PicturePart, type Tile } from '@noria/core';
import { ImagePlus } from 'lucide-react';
import { Button } from '../../ui/Button';
import { choosing } from '../editorSlice';
import { runHere } from '../here';
import { useAppDispatch, useAppSelector } from '../hooks';
import { PART } from '../parts/fields';
import { PicturePicker } from '../pictures/PicturePicker';
import { useTakePicture } from '../settings/content/useTakePicture';
import { boxStyle, type StageSpace } from './space';

const ASKS = 'Choose picture…';
/** Px of the screen. */
const ROOM_FOR_WORDS = 126;

interface AskPictureProps {
  readonly tile: Tile;
  readonly part: PicturePart;
  readonly laidOut: LaidOutTile;
  readonly space: StageSpace;
}

/** A tile that is a picture, and has none yet, asks for it where it would be. */
export function AskPicture({ tile, part, laidOut, space }: AskPictureProps) {
  const dispatch = useAppDispatch();
  const isOpen = useAppSelector(({ editor }) => editor.choosing);
  const take = useTakePicture();
  const { left, top, width, height } = boxStyle(space, laidOut);
  return (
    <>
      <div
        className="pointer-events-none absolute z-[112] grid place-items-center content-end pb-2"
        style={{ left, top, width, height }}
      >
        {/* Low in the tile, which is taken hold of in its middle, and no wider than it. */}
        <Button
          look="copper"
          title={ASKS}
          aria-label={ASKS}
          className="pointer-events-auto bg-raised"
          onClick={() => dispatch(choosing(true))}
        >
          {width < ROOM_FOR_WORDS ? <ImagePlus size={15} strokeWidth={1.6} aria-hidden /> : ASKS}
        </Button>
      </div>
      <PicturePicker
        open={isOpen}
        onClose={() => dispatch(choosing(false))}
        onChoose={(picture) => {
          dispatch(choosing(false));
          dispatch(runHere(PART.picture.label, setPart([tile.id], part.id, shownAnew(take(picture)))));
        }}
      />
    </>
  );
}
