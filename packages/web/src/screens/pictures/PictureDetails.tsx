import { X } from 'lucide-react';
import { AlertDialog } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';
import { addressFor, originalAddress, pictureDetails, type LibraryPicture } from '../../api/pictures';
import { request } from '../../api/problem';
import { useAppDispatch, useAppSelector } from '../../editor/hooks';
import { pictureList } from '../../api/pictureList';
import '../../editor/lists';
import { Button, SignButton } from '../../ui/Button';
import { useFocusBack } from '../../ui/useFocusBack';
import { WordsField } from '../../ui/WordsField';
import { sendLater } from '../../editor/saving/later/later';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { sizeOf } from './PictureCard';

interface PictureDetailsProps {
  readonly picture: LibraryPicture;
  readonly onClose: () => void;
  readonly onDeleted: (deleted: Deleted) => void;
}

/** A picture that was deleted, with what it takes to bring it back. */
export interface Deleted {
  readonly picture: LibraryPicture;
  readonly file: File;
}

/** One picture of the library: what it shows, what it is, where it is used. */
export function PictureDetails({ picture, onClose, onDeleted }: PictureDetailsProps) {
  const dispatch = useAppDispatch();
  const { hash } = picture;
  const [name, setName] = useState(picture.name);
  const [alternativeText, setAlternativeText] = useState(picture.alternativeText);
  const { data: uses } = pictureList.usePictureUsesQuery(hash);
  const [deletePicture] = pictureList.useDeletePictureMutation();
  const [asking, setAsking] = useState(false);
  const focusBack = useFocusBack();

  const { path } = pictureDetails(hash, {});
  const waits = useAppSelector(({ later }) => later.waiting.includes(path));
  const say = (values: { readonly name?: string; readonly alternativeText?: string }) =>
    dispatch(sendLater(pictureDetails(hash, values)));
  const typeName = (words: string) => {
    setName(words);
    if (words.trim() !== '') say({ name: words.trim() });
  };
  const typeAlternative = (words: string) => {
    setAlternativeText(words);
    say({ alternativeText: words });
  };

  const remove = async () => {
    let file: File | null = null;
    try {
      const bytes = await (await request(originalAddress(picture))).blob();
      file = new File([bytes], picture.name, { type: picture.mediaType });
    } catch {
      // What can’t be read any more can’t be brought back, and is deleted all the same.
    }
    const { error } = await deletePicture({ hash, evenUsed: (uses ?? []).length > 0 });
    if (error) {
      dispatch(warn(error.message ?? 'The picture was not deleted.'));
      return;
    }
    dispatch(announce(`${picture.name} was deleted.`));
    if (file) onDeleted({ picture: { ...picture, name, alternativeText }, file });
    onClose();
  };

  return (
    <aside
      aria-label="Picture"
      className="grid w-[300px] flex-none content-start gap-3.5 overflow-y-auto border-l border-hair bg-panel p-4 [scrollbar-width:thin]"
    >
      <header className="flex items-center justify-between gap-2">
        <h2 className="truncate font-title text-lg font-[650]">{picture.name}</h2>
        <SignButton name="Close" onClick={onClose}>
          <X size={15} aria-hidden />
        </SignButton>
      </header>
      <img
        src={addressFor(picture, 640)}
        alt={alternativeText}
        // Its room is there before it is, so that nothing moves under the pointer.
        width={picture.inlineSize}
        height={picture.blockSize}
        className="h-auto max-h-[220px] w-full rounded-s object-contain"
        style={{ background: picture.colours[0] }}
      />
      <label className="grid gap-1 text-sm text-soft">
        Name
        <WordsField
          name="Name of the picture"
          value={name}
          onType={(words) => typeName(words.slice(0, 200))}
        />
      </label>
      <label className="grid gap-1 text-sm text-soft">
        Alternative text
        <WordsField
          name="Alternative text"
          lines={3}
          hint="What it shows, for those who don’t see it"
          value={alternativeText}
          onType={(words) => typeAlternative(words.slice(0, 2000))}
        />
      </label>
      <p className="text-sm text-soft" role="status">
        {waits
          ? 'Saving… What you typed is kept in this browser until it arrives.'
          : 'Saved. Tiles that already show it keep their own text.'}
      </p>
      <dl className="grid grid-cols-[84px_1fr] gap-x-2 gap-y-1 text-sm">
        <dt className="text-soft">Size</dt>
        <dd className="figures">
          {picture.inlineSize} × {picture.blockSize}
        </dd>
        <dt className="text-soft">File</dt>
        <dd>
          {picture.mediaType.replace('image/', '').replace('+xml', '').toUpperCase()},{' '}
          {sizeOf(picture.byteSize)}
        </dd>
        {picture.aliases.length > 0 && (
          <>
            <dt className="text-soft">Also called</dt>
            <dd className="min-w-0 break-words">{picture.aliases.join(', ')}</dd>
          </>
        )}
        <dt className="text-soft">Colours</dt>
        <dd className="flex gap-1">
          {picture.colours.map((colour, k) => (
            <i
              key={k}
              title={`${['mean', 'darkest', 'lightest'][k] ?? ''}, ${colour}`}
              className="size-4 rounded-full border border-hair"
              style={{ background: colour }}
            />
          ))}
        </dd>
      </dl>
      <section className="grid gap-1.5">
        <h3 className="text-sm font-semibold">Where it is used</h3>
        {uses?.length === 0 && <p className="text-sm text-soft">In no tile.</p>}
        <ul className="grid gap-1">
          {uses?.map(({ id, name: collection, tiles }) => (
            <li key={id} className="text-sm">
              <Link to={`/collections/${id}/compose`} className="text-copper-ink underline">
                {collection}
              </Link>
              <span className="text-soft">: {tiles.join(', ')}</span>
            </li>
          ))}
        </ul>
      </section>
      <AlertDialog.Root open={asking} onOpenChange={setAsking}>
        <Button
          className="justify-self-start"
          onClick={() => ((uses ?? []).length > 0 ? setAsking(true) : void remove())}
        >
          Delete{(uses ?? []).length > 0 && '…'}
        </Button>
        <AlertDialog.Portal>
          <AlertDialog.Overlay className="fixed inset-0 z-[160] bg-ink/25" />
          <AlertDialog.Content
            {...focusBack}
            className="fixed top-[26vh] left-1/2 z-[170] grid w-[440px] -translate-x-1/2 gap-3 rounded-m bg-raised p-5 shadow-float"
          >
            <AlertDialog.Title className="font-title text-lg font-[650]">
              Delete a picture that is in use?
            </AlertDialog.Title>
            <AlertDialog.Description className="text-soft">
              It is shown in {(uses ?? []).map((use) => `“${use.name}” (${use.tiles.join(', ')})`).join(', ')}
              . These tiles keep an empty slot that is marked, until another picture is put there or this one
              is brought back.
            </AlertDialog.Description>
            <div className="flex justify-end gap-2">
              <AlertDialog.Cancel asChild>
                <Button>Cancel</Button>
              </AlertDialog.Cancel>
              <AlertDialog.Action asChild>
                <Button look="solid" onClick={() => void remove()}>
                  Delete anyway
                </Button>
              </AlertDialog.Action>
            </div>
          </AlertDialog.Content>
        </AlertDialog.Portal>
      </AlertDialog.Root>
    </aside>
  );
}
