import type { LaidOutTile } from '@noria/core';
import { Button } from '../../ui/Button';
import { choosing } from '../editorSlice';
import { useAppDispatch } from '../hooks';
import { boxStyle, type StageSpace } from './space';
import type { LucideIcon } from 'lucide-react';

/** Px of the screen. */
const ROOM_FOR_WORDS = 126;

interface AskProps {
  readonly asks: string;
  readonly sign: LucideIcon;
  readonly laidOut: LaidOutTile;
  readonly space: StageSpace;
}

/** What a tile that shows nothing yet asks for, where it would be. */
export function Ask({ asks, sign: Sign, laidOut, space }: AskProps) {
  const dispatch = useAppDispatch();
  const { left, top, width, height } = boxStyle(space, laidOut);
  return (
    <div
      className="pointer-events-none absolute z-[112] grid place-items-center content-end pb-2"
      style={{ left, top, width, height }}
    >
      {/* Low in the tile, which is taken hold of in its middle, and no wider than it. */}
      <Button
        look="copper"
        title={asks}
        aria-label={asks}
        className="pointer-events-auto bg-raised"
        onClick={() => dispatch(choosing(true))}
      >
        {width < ROOM_FOR_WORDS ? <Sign size={15} strokeWidth={1.6} aria-hidden /> : asks}
      </Button>
    </div>
  );
}
