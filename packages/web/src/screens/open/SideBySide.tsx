import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { count } from '../../ui/words';
import { useSize } from '../../ui/useSize';
import { usePage } from '../../editor/engine/usePage';
import { framedPage } from '../../editor/engine/framed';
import { differencesBetween, type Difference } from './differences';
import { markDifferences, seenIn, showFirst } from './frames';
import { MARK, pageFrame } from './pageFrame';
import type { OpenedPage, ReadGrid } from './readFiles';

interface SideBySideProps {
  readonly page: OpenedPage;
  readonly grid: ReadGrid;
  /** px */
  readonly width: number;
  /** Null: they were not compared yet. */
  readonly differences: readonly Difference[] | null;
  readonly onCompared: (differences: readonly Difference[] | null) => void;
}

/** How long pictures and fonts are waited for before both are compared, ms. */
const SETTLED_MS = 2500;

/** The page as the browser shows it beside Noria’s reading of it, in the same width. */
export function SideBySide({ page, grid, width, differences, onCompared }: SideBySideProps) {
  const addressOf = useAddresses();
  const { last, words } = usePage(grid.document);
  const source = useMemo(() => pageFrame(page, grid, addressOf), [page, grid, addressOf]);
  const reading = useMemo(
    () =>
      last?.of === grid.document
        ? framedPage(last.of, last.page, (picture) => {
            const file = page.byHash[picture.hash];
            return file ? addressOf(file) : '';
          })
        : null,
    [last, grid, page, addressOf],
  );
  const original = useRef<HTMLIFrameElement>(null);
  const ours = useRef<HTMLIFrameElement>(null);
  const [loaded, setLoaded] = useState(0);
  useEffect(() => {
    const [there, here] = [original.current?.contentDocument, ours.current?.contentDocument];
    if (!there || !here || reading === null) return undefined;
    let isOver = false;
    void Promise.all([settled(there), settled(here)]).then(() => {
      if (isOver) return;
      const found = differencesBetween(
        seenIn(there, MARK, grid.grids > 1),
        seenIn(here, 'data-tile', grid.grids > 1),
      );
      markDifferences(here, found);
      showFirst(there, MARK);
      onCompared(found);
    });
    return () => {
      isOver = true;
    };
  }, [loaded, width, reading, source, grid, onCompared]);
  const onLoad = () => setLoaded((times) => times + 1);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-2 gap-[18px]">
      <Side title="The page" says="as the browser shows it">
        <Frame ref={original} name="The page" width={width} html={source} onLoad={onLoad} />
      </Side>
      <Side
        title="Noria’s reading"
        says={
          words ??
          (differences === null ? 'comparing…' : count(differences.length, 'difference').toLowerCase())
        }
      >
        {reading !== null && (
          <Frame ref={ours} name="Noria’s reading" width={width} html={reading} onLoad={onLoad} />
        )}
      </Side>
    </div>
  );
}

/** Comes when the fonts and pictures of a page are there, or have been waited for. */
function settled(page: Document): Promise<unknown> {
  const pictures = [...page.images].map((image) => image.decode().catch(() => undefined));
  return Promise.race([
    Promise.all([page.fonts.ready, ...pictures]),
    new Promise((resolve) => setTimeout(resolve, SETTLED_MS)),
  ]);
}

/** Addresses of files for as long as the view is there. */
function useAddresses(): (file: File) => string {
  const [known] = useState(() => new Map<File, string>());
  useEffect(
    () => () => {
      for (const address of known.values()) URL.revokeObjectURL(address);
      known.clear();
    },
    [known],
  );
  return useMemo(
    () => (file: File) => {
      const address = known.get(file) ?? URL.createObjectURL(file);
      known.set(file, address);
      return address;
    },
    [known],
  );
}

interface SideProps {
  readonly title: string;
  readonly says: string;
  readonly children: ReactNode;
}

const Side = ({ title, says, children }: SideProps) => (
  <section className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)] gap-2">
    <h3 className="flex items-baseline gap-2 text-[12.5px] font-semibold">
      {title} <span className="font-normal text-faint">{says}</span>
    </h3>
    <div className="relative min-h-0 overflow-hidden bg-panel shadow-[0_0_0_1px_var(--hair)]">{children}</div>
  </section>
);

interface FrameProps {
  readonly ref: React.Ref<HTMLIFrameElement>;
  readonly name: string;
  readonly width: number;
  readonly html: string;
  readonly onLoad: () => void;
}

/** A page in a frame in which nothing runs, as small as there is room for. */
function Frame({ ref, name, width, html, onLoad }: FrameProps) {
  const [measure, size] = useSize();
  const scale = size ? Math.min(1, size.width / width) : 0;
  return (
    <div ref={measure} className="h-full">
      {size && (
        <iframe
          ref={ref}
          title={name}
          sandbox="allow-same-origin"
          srcDoc={html}
          onLoad={onLoad}
          className="block origin-top-left bg-white"
          style={{ width, height: size.height / scale, transform: `scale(${scale})` }}
        />
      )}
    </div>
  );
}
