import { setPart, shownAnew, type LaidOutTile, type PicturePart, type Tile } from '@noria/core';
import { ImagePlus } from 'lucide-react';
import { choosing } from '../editorSlice';
import { runHere } from '../here';
import { useAppDispatch, useAppSelector } from '../hooks';
import { PART } from '../parts/fields';
import { PicturePicker } from '../pictures/PicturePicker';
import { useTakePicture } from '../settings/content/useTakePicture';
import { Ask } from './Ask';
import type { StageSpace } from './space';

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
  return (
    <>
      <Ask asks="Choose picture…" sign={ImagePlus} laidOut={laidOut} space={space} />
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
