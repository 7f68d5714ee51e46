import { useEffect, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../editor/hooks';
import { DeletedLine } from '../../ui/DeletedLine';
import { DropArea } from '../../ui/DropArea';
import { FileButton } from '../../ui/FileButton';
import { MoreBelow } from '../../ui/MoreBelow';
import { Segments } from '../../ui/Segments';
import { WorkspaceBar } from '../../editor/frame/WorkspaceBar';
import { PictureCard } from './PictureCard';
import { PictureTexts } from './PictureTexts';
import { PictureDetails, type Deleted } from './PictureDetails';
import { bringBack } from './bringBack';
import { TAKEN_TYPES, uploadFiles } from '../../editor/pictures/upload';
import { Uploads } from '../../editor/pictures/Uploads';
import { orderChosen } from '../../editor/pictures/uploadsSlice';
import { usePictures } from '../../editor/pictures/usePictures';

/** The library: every picture of the workspace, what it shows and where it is used. */
export function PicturesScreen() {
  const dispatch = useAppDispatch();
  const [search, setSearch] = useState('');
  const [only, setOnly] = useState<'all' | 'unused' | 'silent'>('all');
  const { pictures, found, trouble, more } = usePictures(search, true, only);
  const [view, setView] = useState<'pictures' | 'texts'>('pictures');
  const [deleted, setDeleted] = useState<Deleted | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const order = useAppSelector(({ uploads }) => uploads.order);
  const busy = useAppSelector(({ uploads }) => uploads.batch !== null || uploads.preparing !== null);
  const upload = (files: readonly File[]) => void dispatch(uploadFiles(files));

  useEffect(() => {
    document.title = 'Pictures – Noria';
    const onPaste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length > 0) void dispatch(uploadFiles(files));
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, [dispatch]);

  const shown = pictures ?? [];
  const details = pictures?.find(({ hash }) => hash === chosen);

  return (
    <DropArea says="Drop to upload" onFiles={upload}>
      <WorkspaceBar />
      <div className="flex min-h-0 flex-1">
        <main className="min-h-0 flex-1 overflow-y-auto px-6 pt-7 pb-10 [scrollbar-width:thin]">
          <div className="mx-auto max-w-[1360px]">
            <div className="mb-5 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
              <div>
                <h1 className="font-title text-[28px] leading-tight font-[680] tracking-tight">Pictures</h1>
                <p className="mt-0.5 text-soft" role="status">
                  {found
                    ? `${found.total} in the library${found.silent > 0 ? `, ${found.silent} without alternative text` : ''}`
                    : 'Opening…'}
                </p>
              </div>
              <div className="flex items-center gap-3">
                <div className="w-[190px]">
                  <Segments
                    name="Order of pictures"
                    value={order}
                    choices={[
                      { value: 'picked', label: 'As selected' },
                      { value: 'numbered', label: 'By number' },
                    ]}
                    onChoose={(value) => dispatch(orderChosen(value))}
                  />
                </div>
                <FileButton
                  look="solid"
                  testId="library-files"
                  accept={TAKEN_TYPES}
                  multiple
                  disabled={busy}
                  onFiles={upload}
                >
                  Upload pictures
                </FileButton>
              </div>
            </div>
            <div className="mb-5 grid grid-cols-[minmax(160px,340px)_270px_220px] items-center gap-3">
              <input
                type="search"
                aria-label="Find pictures"
                placeholder="Find by name, or by what it shows"
                value={search}
                className="h-8 rounded-s bg-field px-2.5 outline-none focus-visible:outline-2 focus-visible:outline-copper"
                onChange={(event) => setSearch(event.target.value)}
              />
              <Segments
                name="Filter pictures"
                value={only}
                choices={[
                  { value: 'all', label: 'All' },
                  { value: 'unused', label: 'Unused' },
                  { value: 'silent', label: 'No alternative text' },
                ]}
                onChoose={setOnly}
              />
              <Segments
                name="View of pictures"
                value={view}
                choices={[
                  { value: 'pictures', label: 'Pictures' },
                  { value: 'texts', label: 'Alternative texts' },
                ]}
                onChoose={setView}
              />
            </div>
            {deleted && (
              <DeletedLine
                name={deleted.picture.name}
                onUndo={() => {
                  setDeleted(null);
                  void dispatch(bringBack(deleted));
                }}
                onDismiss={() => setDeleted(null)}
              />
            )}
            {trouble !== null && (
              <p role="alert" className="mb-5 rounded-m border border-amiss px-4 py-2.5">
                {trouble}
              </p>
            )}
            {pictures && shown.length === 0 && (
              <p className="py-16 text-center text-soft">
                {search === '' && only === 'all'
                  ? 'No pictures yet. Drop pictures or a ZIP here, or paste one.'
                  : 'No picture matches.'}
              </p>
            )}
            {view === 'texts' ? (
              <PictureTexts pictures={shown} />
            ) : (
              <ul className="grid grid-cols-[repeat(auto-fill,minmax(190px,1fr))] gap-4">
                {shown.map((picture) => (
                  <li key={picture.hash}>
                    <PictureCard
                      picture={picture}
                      chosen={picture.hash === chosen}
                      onChoose={() => setChosen(picture.hash === chosen ? null : picture.hash)}
                    />
                  </li>
                ))}
              </ul>
            )}
            {more && <MoreBelow onMore={more} />}
          </div>
        </main>
        {details && (
          <PictureDetails
            key={details.hash}
            picture={details}
            onClose={() => setChosen(null)}
            onDeleted={setDeleted}
          />
        )}
      </div>
      <Uploads />
    </DropArea>
  );
}
