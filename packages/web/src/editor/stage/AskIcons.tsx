import type { IconsPart, LaidOutTile, Tile } from '@noria/core';
import { Shapes } from 'lucide-react';
import { choosing } from '../editorSlice';
import { useAppDispatch, useAppSelector } from '../hooks';
import { addIcons } from '../parts/addIcons';
import { IconPicker } from '../settings/content/IconPicker';
import { Ask } from './Ask';
import type { StageSpace } from './space';

interface AskIconsProps {
  readonly tile: Tile;
  readonly part: IconsPart;
  readonly laidOut: LaidOutTile;
  readonly space: StageSpace;
}

/** A tile that is a row of icons, and has none yet, asks for them where they would be. */
export function AskIcons({ tile, part, laidOut, space }: AskIconsProps) {
  const dispatch = useAppDispatch();
  const isOpen = useAppSelector(({ editor }) => editor.choosing);
  return (
    <>
      <Ask asks="Choose icons…" sign={Shapes} laidOut={laidOut} space={space} />
      <IconPicker
        open={isOpen}
        onClose={() => dispatch(choosing(false))}
        onChoose={(icons) => {
          dispatch(choosing(false));
          dispatch(addIcons([tile.id], part, icons));
        }}
      />
    </>
  );
}
