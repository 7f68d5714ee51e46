import { setAlternativeText, setContent, setPicture, type PictureTile } from '@noria/core';
import { useRef, useState, type PointerEvent } from 'react';
import { addressFor, uploadPicture } from '../../../api/pictures';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Row } from '../../../ui/Rows';
import { WordsField } from '../../../ui/WordsField';
import { runHere } from '../here';
import { selectView } from '../selectors';
import { announce, warn } from '../../notices';

/** The picture of a tile: another one, its focal point, its words. */
export function PictureContent({
  tile,
  onCaption,
}: {
  tile: PictureTile;
  onCaption: (caption: string) => void;
}) {
  const dispatch = useAppDispatch();
  const { pictures } = useAppSelector(selectView);
  const picture = tile.picture === null ? undefined : pictures[tile.picture];
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);

  const replace = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    try {
      const uploaded = await uploadPicture(file, Object.keys(pictures));
      dispatch(runHere('Picture', setPicture([tile.id], uploaded)));
      dispatch(announce(`${uploaded.name} is in the tile.`));
    } catch (error) {
      dispatch(warn(error instanceof Error ? error.message : String(error)));
    } finally {
      setBusy(false);
      if (input.current) input.current.value = '';
    }
  };

  return (
    <>
      {picture && (
        <FocalPoint
          tile={tile}
          address={addressFor(picture, 640)}
          aspect={picture.inlineSize / picture.blockSize}
        />
      )}
      <Row label="Picture">
        <div className="flex min-w-0 items-center gap-2">
          <input
            ref={input}
            type="file"
            hidden
            data-testid="picture-file"
            accept="image/jpeg,image/png,image/webp"
            onChange={(event) => void replace(event.target.files?.[0])}
          />
          <Button disabled={busy} onClick={() => input.current?.click()}>
            {busy ? 'Uploading…' : picture ? 'Replace' : 'Choose'}
          </Button>
          {picture && (
            <span className="figures truncate text-faint">
              {picture.inlineSize} × {picture.blockSize}
            </span>
          )}
        </div>
      </Row>
      {picture && (
        <Row label="Alternative">
          <WordsField
            name="Alternative text"
            lines={2}
            hint="What it shows, for those who don’t see it"
            value={picture.alternativeText}
            onType={(words) =>
              dispatch(
                runHere(
                  'Alternative text',
                  setAlternativeText(picture.id, words.slice(0, 2000)),
                  `${picture.id} alt`,
                ),
              )
            }
          />
        </Row>
      )}
      <Row label="Caption">
        <WordsField name="Caption" hint="none" value={tile.caption} onType={onCaption} />
      </Row>
    </>
  );
}

/** Pressing the small picture sets the point that stays in view. */
function FocalPoint({ tile, address, aspect }: { tile: PictureTile; address: string; aspect: number }) {
  const dispatch = useAppDispatch();
  const { x, y } = tile.focalPoint;
  const set = (next: { x: number; y: number }) => {
    const within = (share: number) => Number(Math.min(1, Math.max(0, share)).toFixed(3));
    dispatch(
      runHere(
        'Focal point',
        setContent([tile.id], { focalPoint: { x: within(next.x), y: within(next.y) } }),
        `${tile.id} focal`,
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
        className="relative max-h-[120px] touch-none justify-self-start overflow-hidden rounded-s"
        style={{ aspectRatio: aspect, width: Math.min(167, 120 * aspect) }}
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
        <img src={address} alt="" draggable={false} className="size-full object-cover" />
        <i
          className="pointer-events-none absolute size-3 -translate-1/2 rounded-full border-2 border-copper bg-white/70 shadow-[0_0_0_1px_rgb(255_255_255/0.8)]"
          style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
        />
      </div>
    </Row>
  );
}
