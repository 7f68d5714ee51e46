import { useState } from 'react';
import { addressFor, type LibraryPicture } from '../../api/pictures';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Sheet } from '../../ui/Sheet';
import { MoreBelow } from '../../ui/MoreBelow';
import { FileButton } from '../../ui/FileButton';
import { TAKEN_TYPES, uploadFiles } from './upload';
import { Troubles } from './UploadTray';
import { usePictures } from './usePictures';

interface PicturePickerProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onChoose: (picture: LibraryPicture) => void;
}

/** Chooses a picture of the library, or uploads one and chooses it. */
export function PicturePicker({ open, onClose, onChoose }: PicturePickerProps) {
  const dispatch = useAppDispatch();
  const [search, setSearch] = useState('');
  const { pictures, trouble, more } = usePictures(search, open);
  const busy = useAppSelector(({ uploads }) => uploads.batch !== null || uploads.preparing !== null);
  const upload = async (files: readonly File[]) => {
    const arrived = await dispatch(uploadFiles(files));
    const [only] = arrived;
    if (only && arrived.length === 1) onChoose(only);
  };
  const uploading = (
    <FileButton
      testId="picture-file"
      accept={TAKEN_TYPES}
      multiple
      disabled={busy}
      onFiles={(files) => void upload(files)}
    >
      {busy ? 'Uploading…' : 'Upload…'}
    </FileButton>
  );
  return (
    <Sheet
      title="Choose a picture"
      open={open}
      onClose={onClose}
      beside={uploading}
      className="top-[10vh] max-h-[76vh] w-[720px]"
    >
      <input
        data-first
        aria-label="Find a picture"
        placeholder="Find by name, or by what it shows"
        value={search}
        className="h-8 shrink-0 rounded-s bg-field px-2.5 outline-none focus-visible:outline-2 focus-visible:outline-copper"
        onChange={(event) => setSearch(event.target.value)}
      />
      <Troubles />
      {trouble !== null && <p role="alert">{trouble}</p>}
      {pictures?.length === 0 && (
        <p className="py-10 text-center text-soft">
          {search === '' ? 'No pictures yet. Upload the first.' : 'No picture matches.'}
        </p>
      )}
      <ul className="grid grid-cols-5 gap-2 overflow-y-auto p-0.5 [scrollbar-width:thin]">
        {pictures?.map((picture) => (
          <li key={picture.hash}>
            <button
              type="button"
              title={picture.name}
              className="block w-full overflow-hidden rounded-s border border-hair text-left hover:outline-2 hover:outline-copper"
              onClick={() => onChoose(picture)}
            >
              <img
                src={addressFor(picture, 320)}
                alt=""
                loading="lazy"
                className="aspect-[4/3] w-full object-cover"
                style={{ background: picture.colours[0] }}
              />
              <span className="grid px-1.5 py-1 text-[11.5px] leading-tight">
                <span className="truncate text-ink">{picture.name}</span>
                <span className="figures text-[10.5px] text-soft">
                  {picture.inlineSize} × {picture.blockSize}
                </span>
              </span>
            </button>
          </li>
        ))}
        {more && (
          <li className="col-span-full">
            <MoreBelow onMore={more} />
          </li>
        )}
      </ul>
    </Sheet>
  );
}
