import { setPart, type PictureAsset, type PicturePart, type TileId } from '@noria/core';
import type { PointerEvent } from 'react';
import { addressFor } from '../../api/pictures';
import { useAppDispatch } from '../hooks';
import { Row } from '../../ui/Rows';
import { runHere } from '../here';

const MOST_HEIGHT = 110;
const MOST_WIDTH = 167;

interface FocalPointProps {
  readonly tile: TileId;
  readonly part: PicturePart;
  readonly picture: PictureAsset;
}

/** Pressing the small picture sets the point that stays in view. */
export function FocalPoint({ tile, part, picture }: FocalPointProps) {
  const dispatch = useAppDispatch();
  const { x, y } = part.focalPoint;
  const aspect = picture.inlineSize / picture.blockSize;
  const set = (next: { x: number; y: number }) => {
    const within = (share: number) => Number(Math.min(1, Math.max(0, share)).toFixed(3));
    dispatch(
      runHere(
        'Focal point',
        setPart([tile], part.id, { focalPoint: { x: within(next.x), y: within(next.y) } }),
        `${tile} ${part.id} focal`,
      ),
    );
  };
  const point = (event: PointerEvent) => {
    if (event.buttons !== 1) return;
    const box = event.currentTarget.getBoundingClientRect();
    set({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
  };
  return (
    <Row label="Focal point">
      <div
        role="slider"
        tabIndex={0}
        aria-label="Focal point"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(x * 100)}
        aria-valuetext={`${Math.round(x * 100)} % across, ${Math.round(y * 100)} % down`}
        className="relative my-0.5 touch-none justify-self-start overflow-hidden rounded-s"
        style={{ aspectRatio: aspect, width: Math.min(MOST_WIDTH, MOST_HEIGHT * aspect) }}
        onPointerDown={point}
        onPointerMove={point}
        onKeyDown={(event) => {
          const step = event.shiftKey ? 0.1 : 0.01;
          const by = {
            ArrowLeft: [-step, 0],
            ArrowRight: [step, 0],
            ArrowUp: [0, -step],
            ArrowDown: [0, step],
          }[event.key];
          if (!by) return;
          event.preventDefault();
          set({ x: x + (by[0] as number), y: y + (by[1] as number) });
        }}
      >
        <img src={addressFor(picture, 640)} alt="" draggable={false} className="size-full object-cover" />
        <i
          className="pointer-events-none absolute size-3 -translate-1/2 rounded-full border-2 border-copper bg-white/70 shadow-[0_0_0_1px_rgb(255_255_255/0.8)]"
          style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
        />
      </div>
    </Row>
  );
}
