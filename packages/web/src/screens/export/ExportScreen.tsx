import { slugOf } from '../../api/ids';
import { setQueries, type CollectionDocument, type Form, type Page, type PageAsset } from '@noria/core';
import { useParams } from 'react-router';
import { useEffect, useMemo, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../editor/hooks';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Segments } from '../../ui/Segments';
import { run } from '../../editor/document/run';
import { selectIsBehind, selectShown } from '../../editor/document/selectors';
import { TopBar } from '../../editor/frame/TopBar';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { followed } from '../../editor/reflow/following';
import { formOf, keepForm } from '../../editor/opening/form';
import { usePage } from '../../editor/engine/usePage';
import { download } from '../../ui/download';
import { PageRows } from './PageRows';
import { FileText } from './FileText';
import { collectionArchive, collectionText, pageArchive, type Archive } from './archive';

const size = (text: string) => `${(new TextEncoder().encode(text).length / 1024).toFixed(1)} kB`;

/** The files of the page, readable, each to copy or all as one archive. */
export function ExportScreen() {
  const { id = '' } = useParams();
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const isBehind = useAppSelector(selectIsBehind);
  const [form, setForm] = useState(() => formOf(id));
  const kind = form === 'grid-by-order' ? 'grid' : form;
  const choose = (chosen: Form) => {
    keepForm(id, chosen);
    setForm(chosen);
  };
  const page = usePage(document, form);
  const { last } = page;
  const words = isBehind ? 'Narrower widths are being derived…' : page.words;
  // Nothing is waited for here: the page is wanted.
  useEffect(() => void (isBehind && followed()), [isBehind]);
  const base = slugOf(document.name, 'collection');
  const files = useMemo(
    () => Object.entries({ ...last?.page.files, [`${base}.noria.json`]: collectionText(document) }),
    [last, document, base],
  );
  const sizes = useMemo(() => new Map(files.map(([path, text]) => [path, size(text)])), [files]);
  const [chosen, setChosen] = useState<string | null>(null);
  // Another form has other files; its first one is what it is.
  const [shown, text] = files.find(([path]) => path === chosen) ?? files[0] ?? ['', null];
  const [busy, setBusy] = useState<string | null>(null);

  const take = (name: string, make: () => Promise<Archive>) => {
    setBusy(name);
    make()
      .then(({ blob, missing }) => {
        download(blob, name);
        dispatch(announce(`${name} was downloaded.`));
        if (missing.length > 0)
          dispatch(
            warn(
              `Not in the library any more, so not in ${name}: ${missing.join(', ')}. Their slots stay empty. Replace them in Compose.`,
            ),
          );
      })
      .catch((error: unknown) =>
        dispatch(
          warn(`The archive could not be made. ${error instanceof Error ? error.message : String(error)}`),
        ),
      )
      .finally(() => setBusy(null));
  };
  const takePage = ({ of, page: written }: { readonly of: CollectionDocument; readonly page: Page }) => {
    const [single, ...more] = Object.entries(written.files);
    // One file needs no archive around it.
    if (single && more.length === 0 && written.assets.length === 0) {
      const [name, content] = single;
      download(new Blob([content], { type: 'text/plain;charset=utf-8' }), name);
      dispatch(announce(`${name} was downloaded.`));
    } else take(`${base}.zip`, () => pageArchive(of, written));
  };
  const copy = () =>
    navigator.clipboard.writeText(text ?? '').then(
      () => dispatch(announce(`${shown} was copied.`)),
      () => dispatch(warn('The browser does not let Noria copy here. Select the text and copy it by hand.')),
    );

  return (
    <div className="grid h-full grid-cols-[292px_1fr] grid-rows-[46px_minmax(0,1fr)]">
      <div className="col-span-2">
        <TopBar id={id} />
      </div>
      <aside
        aria-label="Files"
        className="flex min-h-0 flex-col gap-4 overflow-y-auto border-r border-hair bg-panel px-4 pt-4 pb-4"
      >
        <h1 className="font-title text-lg font-[650]">Export</h1>
        <div className="grid gap-1.5">
          <h2 className="text-sm font-semibold">Form</h2>
          <Choice name="Form" value={kind} choices={CHOICES} onChoose={choose} />
          <p className="text-sm text-soft">{FORMS[kind].says}</p>
        </div>
        {kind === 'grid' && (
          <div className="grid gap-1.5">
            <h2 className="text-sm font-semibold">Items are found by</h2>
            <Segments
              name="Items are found by"
              value={form}
              choices={[
                { value: 'grid', label: 'Classes' },
                { value: 'grid-by-order', label: 'Order' },
              ]}
              onChoose={choose}
            />
          </div>
        )}
        <ul className="grid grid-cols-[minmax(0,1fr)]">
          {files.map(([path]) => (
            <li key={path}>
              <button
                type="button"
                aria-pressed={path === shown}
                className={`flex h-7 w-full items-center justify-between gap-2 rounded-s px-2 ${path === shown ? 'bg-field font-semibold' : 'text-soft hover:text-ink'}`}
                onClick={() => setChosen(path)}
              >
                <span className="truncate">{path}</span>
                <span className="figures whitespace-nowrap text-faint">{sizes.get(path)}</span>
              </button>
            </li>
          ))}
        </ul>
        {form === 'page' && <PageRows />}
        {(form === 'page' || kind === 'grid') && (
          <div className="grid gap-1.5">
            <h2 className="text-sm font-semibold">Breakpoints measure</h2>
            <Segments
              name="Breakpoints measure"
              value={document.queries ?? 'container'}
              choices={[
                { value: 'container', label: 'Container' },
                { value: 'media', label: 'Viewport' },
              ]}
              onChoose={(queries) => dispatch(run('Queries', setQueries(queries)))}
            />
            <p className="text-sm text-soft">
              {document.queries === 'media'
                ? 'Media queries: the page fills the window.'
                : 'Container queries: the grid also fits into a part of another page.'}
            </p>
          </div>
        )}
        <div className="grid gap-1.5">
          <Button
            look="solid"
            className="justify-center"
            disabled={busy !== null || words !== null || last === null}
            onClick={() => last && takePage(last)}
          >
            {busy !== null && busy !== `${base}.noria.zip` ? 'Packing…' : FORMS[kind].download}
          </Button>
          <p className="text-sm text-soft">{words ?? (last && <Contents page={last.page} />)}</p>
        </div>
        <div className="grid gap-1.5">
          <Button
            className="justify-center"
            disabled={busy !== null}
            onClick={() => take(`${base}.noria.zip`, () => collectionArchive(document, `${base}.noria.json`))}
          >
            {busy === `${base}.noria.zip` ? 'Packing…' : 'Download the collection as ZIP'}
          </Button>
          <p className="text-sm text-soft">
            Noria’s own file with its pictures, for the command line or to keep.
          </p>
        </div>
      </aside>
      <main className="grid min-h-0 grid-rows-[40px_minmax(0,1fr)]">
        <div className="flex items-center justify-between px-5">
          <h2 className="figures text-soft">{shown}</h2>
          <Button disabled={text === null} onClick={() => void copy()}>
            Copy
          </Button>
        </div>
        {text === null ? (
          <p role="status" className="grid place-content-center text-soft">
            {words}
          </p>
        ) : (
          <FileText name={shown} text={text} />
        )}
      </main>
    </div>
  );
}

/** A form as it is chosen; how items of a grid are found is asked beside it. */
type Kind = Exclude<Form, 'grid-by-order'>;

interface FormWords {
  readonly label: string;
  readonly says: string;
  readonly download: string;
}

const FORMS: Readonly<Record<Kind, FormWords>> = {
  page: {
    label: 'Page',
    says: 'A whole page, to be served as it is.',
    download: 'Download the page as ZIP',
  },
  fragment: {
    label: 'Fragment',
    says: 'A part of another page, in an element of its own. It measures that element, and nothing of the page around changes it.',
    download: 'Download the fragment as ZIP',
  },
  grid: {
    label: 'Grid only',
    says: 'The grid and where its items lie, for markup that you have. Looks and contents stay yours.',
    download: 'Download the grid as ZIP',
  },
  element: {
    label: 'Custom element',
    says: 'A script that defines an element for any page, with nothing else to install. Neither changes the other.',
    download: 'Download the element as ZIP',
  },
  csv: {
    label: 'Tiles as CSV',
    says: 'A table of what the tiles say, a line each. Dropped on a collection, it fills tiles again.',
    download: 'Download the table',
  },
  json: {
    label: 'Tiles as JSON',
    says: 'What the tiles say, for programs.',
    download: 'Download the data',
  },
  tokens: {
    label: 'Design tokens',
    says: 'The named looks of the collection, in the format of the Design Tokens Community Group.',
    download: 'Download the tokens',
  },
};

const CHOICES = (Object.keys(FORMS) as Kind[]).map((value) => ({ value, label: FORMS[value].label }));

/** What is downloaded, in words. */
function Contents({ page: { files, assets } }: { page: Page }) {
  const count = (kind: PageAsset['kind']) => assets.filter((asset) => asset.kind === kind).length;
  const names = Object.keys(files);
  if (assets.length === 0 && names.length === 1) return <>One file, {names[0]}.</>;
  const pictures = count('picture');
  return (
    <>
      {endingsOf(names)}
      {pictures > 0 && (
        <>
          , <span className="figures">{pictures}</span> picture {pictures === 1 ? 'file' : 'files'} in the
          sizes the layout asks for
        </>
      )}
      {assets.length > 0 && (
        <>
          , <span className="figures">{count('font') + count('ownFont')}</span> font files
        </>
      )}
      . {scriptWords(names)}
    </>
  );
}

/** What languages the files are in. */
const endingsOf = (names: readonly string[]) => {
  const has = (ending: string) => names.some((name) => name.endsWith(ending));
  return has('.css') ? 'HTML and CSS' : 'A script and an example';
};

const scriptWords = (names: readonly string[]) =>
  names.includes('enlarge.js')
    ? 'One small script, which opens pictures large.'
    : names.some((name) => name.endsWith('.js'))
      ? ''
      : 'No script.';
