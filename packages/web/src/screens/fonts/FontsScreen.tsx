import { FAMILIES } from '@noria/core';
import { useEffect, useState } from 'react';
import { FONT_FILES, isFontFile } from '../../api/fontFiles';
import { byName, removeFont, type LibraryFont } from '../../api/ownFonts';
import { request, ServerProblem } from '../../api/problem';
import { fontAddress } from '../../api/fonts';
import { useOwnFamilies } from '../../editor/looks/useOwnFamilies';
import { plainFaces } from '../../editor/engine/faces';
import { loadFaces } from '../../editor/engine/measurer';
import { useAppDispatch } from '../../editor/hooks';
import { WorkspaceBar } from '../../editor/frame/WorkspaceBar';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { Button } from '../../ui/Button';
import { DeletedLine } from '../../ui/DeletedLine';
import { DropArea } from '../../ui/DropArea';
import { FileButton } from '../../ui/FileButton';
import { count } from '../../ui/words';
import { Family } from './Family';

/** The fonts of the workspace: those that were added, and those that ship. */
export function FontsScreen() {
  const dispatch = useAppDispatch();
  const { fonts, families, trouble, add, read } = useOwnFamilies();
  const [busy, setBusy] = useState(false);
  const [asked, setAsked] = useState<{ readonly font: LibraryFont; readonly why: string } | null>(null);
  const [deleted, setDeleted] = useState<File | null>(null);
  const listed = families?.map(({ name, faces }) => `${name} ${faces.length}`).join();
  useEffect(() => {
    document.title = 'Fonts – Noria';
  }, []);
  useEffect(() => {
    const own = byName(families ?? []);
    void loadFaces(
      document.fonts,
      plainFaces({ families: own }, [...Object.keys(FAMILIES), ...Object.keys(own)]),
    );
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the families are the same while their names are
  }, [listed]);

  const upload = async (files: readonly File[]) => {
    const taken = files.filter(isFontFile);
    if (taken.length < files.length)
      dispatch(warn('Only WOFF2, TTF and OTF fonts can be added here. Add pictures under Pictures.'));
    if (taken.length === 0) return;
    setBusy(true);
    await add(taken);
    setBusy(false);
  };
  const remove = async (font: LibraryFont, evenUsed: boolean) => {
    setAsked(null);
    try {
      // Read before, so that it can be brought back.
      const bytes = await (await request(fontAddress(font))).blob();
      await removeFont(font.hash, evenUsed);
      setDeleted(new File([bytes], font.name, { type: font.mediaType }));
      dispatch(announce(`${font.name} was deleted.`));
      await read();
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      if (error instanceof ServerProblem && error.kind === 'font-in-use') setAsked({ font, why });
      else dispatch(warn(why));
    }
  };
  return (
    <DropArea says="Drop to add the fonts" onFiles={(files) => void upload(files)}>
      <WorkspaceBar />
      <main className="min-h-0 flex-1 overflow-y-auto px-6 pt-7 pb-10 [scrollbar-width:thin]">
        <div className="mx-auto max-w-[1100px]">
          <div className="mb-5 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
            <div>
              <h1 className="font-title text-[28px] leading-tight font-[680] tracking-tight">Fonts</h1>
              <p className="mt-0.5 text-soft" role="status">
                {families && fonts
                  ? `${fonts.length === 0 ? '' : `${count(families.length, 'family', 'families')} of ${count(fonts.length, 'file').toLowerCase()} added, `}${Object.keys(FAMILIES).length} families with Noria`
                  : 'Opening…'}
              </p>
            </div>
            <FileButton
              look="solid"
              testId="font-files"
              accept={FONT_FILES}
              multiple
              disabled={busy}
              onFiles={(files) => void upload(files)}
            >
              {busy ? 'Adding…' : 'Add font files'}
            </FileButton>
          </div>
          {deleted && (
            <DeletedLine
              name={deleted.name}
              onUndo={() => {
                setDeleted(null);
                void add([deleted]);
              }}
              onDismiss={() => setDeleted(null)}
            />
          )}
          {asked && (
            <p
              role="alert"
              className="mb-5 flex flex-wrap items-center gap-3 rounded-m border border-amiss px-4 py-2.5"
            >
              <span>{asked.why} Pages that are exported after this are set in another family.</span>
              <Button onClick={() => void remove(asked.font, true)}>Delete anyway</Button>
              <Button onClick={() => setAsked(null)}>Cancel</Button>
            </p>
          )}
          {trouble !== null && (
            <p role="alert" className="mb-5 rounded-m border border-amiss px-4 py-2.5">
              {trouble}
            </p>
          )}
          <h2 className="mb-2 text-sm font-semibold">Added here</h2>
          {families?.length === 0 && (
            <p className="rounded-m bg-field px-4 py-6 text-center text-soft">
              No fonts yet. Drop WOFF2, TTF or OTF files here. Files of one family are found together.
            </p>
          )}
          {(families ?? []).map(({ name }) => (
            <Family
              key={name}
              name={name}
              files={(fonts ?? []).filter(({ family }) => family === name)}
              onDelete={(font) => void remove(font, false)}
            />
          ))}
          <h2 className="mt-8 mb-2 text-sm font-semibold">With Noria</h2>
          {Object.entries(FAMILIES).map(([name, { weights, files }]) => (
            <Family
              key={name}
              name={name}
              says={`${weights.replace(' ', ' to ')}${files.some(({ style }) => style === 'italic') ? ', italic' : ''}`}
            />
          ))}
        </div>
      </main>
    </DropArea>
  );
}
