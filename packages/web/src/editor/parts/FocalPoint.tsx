import type { Command, PictureAsset } from '@noria/core';
import { useRef } from 'react';
import { useDragGesture } from '../../ui/gesture';
import { addressFor } from '../../api/pictures';
import { useAppDispatch } from '../hooks';
import { Row } from '../../ui/Rows';
import { runHere, tryHere } from '../here';
import { PART } from './fields';

const MOST_HEIGHT = 110;
const MOST_WIDTH = 167;

interface Point {
  readonly x: number;
  readonly y: number;
}

interface FocalPointProps {
  readonly value: Point;
  readonly picture: PictureAsset;
  readonly command: (value: Point) => Command;
  /** Steps of the same key that follow each other are one. */
  readonly step: string;
}

/** Pressing the small picture sets the point that stays in view. */
export function FocalPoint({ value, picture, command: set, step: key }: FocalPointProps) {
  const dispatch = useAppDispatch();
  const { x, y } = value;
  const aspect = picture.inlineSize / picture.blockSize;
  const within = (share: number) => Number(Math.min(1, Math.max(0, share)).toFixed(3));
  const command = (next: Point) => set({ x: within(next.x), y: within(next.y) });
  const frame = useRef<HTMLDivElement>(null);
  const bind = useDragGesture(
    ({ xy: [left, top], last, canceled }) => {
      const box = frame.current?.getBoundingClientRect() ?? new DOMRect();
      const at = command({ x: (left - box.left) / box.width, y: (top - box.top) / box.height });
      if (last && !canceled) dispatch(runHere(PART.focalPoint.label, at));
      else dispatch(tryHere(canceled ? null : at));
    },
    { pointer: { capture: true, keys: false } },
  );
  return (
    <Row label={PART.focalPoint.label} help={PART.focalPoint.help}>
      <div
        {...bind()}
        ref={frame}
        role="slider"
        tabIndex={0}
        aria-label="Focal point"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(x * 100)}
        aria-valuetext={`${Math.round(x * 100)} % across, ${Math.round(y * 100)} % down`}
        className="relative my-0.5 touch-none justify-self-start overflow-hidden rounded-s"
        style={{ aspectRatio: aspect, width: Math.min(MOST_WIDTH, MOST_HEIGHT * aspect) }}
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
          dispatch(
            runHere(
              PART.focalPoint.label,
              command({ x: x + (by[0] as number), y: y + (by[1] as number) }),
              `${key} focal`,
            ),
          );
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
