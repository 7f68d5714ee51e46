import type { PictureId } from '@noria/core';
import { useState } from 'react';
import { addressFor } from '../../../api/pictures';
import { useAppSelector } from '../../hooks';
import { PicturePicker } from '../../pictures/PicturePicker';
import { selectShared } from '../../selectors';
import { useTakePicture } from './useTakePicture';

interface ChoosePictureProps {
  readonly name: string;
  readonly value: PictureId | null;
  readonly onChoose: (picture: PictureId) => void;
}

/** A picture of the collection or the library, by its thumbnail. */
export function ChoosePicture({ name, value, onChoose }: ChoosePictureProps) {
  const { pictures } = useAppSelector(selectShared);
  const [open, setOpen] = useState(false);
  const take = useTakePicture();
  const picture = value === null ? undefined : pictures[value];
  return (
    <>
      <button
        type="button"
        aria-label={`${name}, ${picture?.name ?? 'none'}`}
        className="flex h-[26px] min-w-0 items-center gap-2 rounded-s bg-field pr-2 text-left"
        onClick={() => setOpen(true)}
      >
        {picture && (
          <img
            src={addressFor(picture, 320)}
            alt=""
            className="h-full w-9 flex-none rounded-l-s object-cover"
          />
        )}
        <span className={`truncate ${picture ? '' : 'pl-2 text-faint'}`}>{picture?.name ?? 'Choose…'}</span>
      </button>
      <PicturePicker
        open={open}
        onClose={() => setOpen(false)}
        onChoose={(chosen) => {
          setOpen(false);
          onChoose(take(chosen));
        }}
      />
    </>
  );
}
