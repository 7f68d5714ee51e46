import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Segments } from '../../ui/Segments';
import { count } from '../../ui/words';
import { becameOf, type Became } from './became';
import type { Difference } from './differences';
import { foundWords } from './foundWords';
import { SideBySide } from './SideBySide';
import type { OpenedPage, ReadGrid } from './readFiles';

const WIDTHS = ['360', '768', '1280'] as const;

interface OpenedPageViewProps {
  readonly page: OpenedPage;
  readonly trouble: string | null;
  /** Takes one of its grids. */
  readonly onOpen: (which: number) => void;
  readonly onCancel: () => void;
}

/** What was found in a page, what becomes of it, and the page beside Noria’s reading of it. */
export function OpenedPageView({ page, trouble, onOpen, onCancel }: OpenedPageViewProps) {
  const [which, setWhich] = useState(0);
  const [width, setWidth] = useState<(typeof WIDTHS)[number]>('1280');
  const [differences, setDifferences] = useState<readonly Difference[] | null>(null);
  const grid = page.grids[which] as ReadGrid;
  const rest = page.count - page.grids.filter(({ grids }) => grids === 1).length;
  return (
    <main className="grid min-h-0 flex-1 grid-cols-[292px_minmax(0,1fr)]">
      <aside
        aria-label="What was found"
        className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto] border-r border-hair bg-panel"
      >
        <div className="grid min-h-0 content-start gap-[15px] overflow-y-auto px-4 pt-3.5 pb-4 [scrollbar-width:thin]">
          <header className="flex items-baseline gap-2">
            <h1 className="font-title text-lg font-[650]">Open a page</h1>
            <p className="min-w-0 truncate text-sm text-faint">
              {page.name}.html, {Math.max(1, Math.round(page.bytes / 1024))} kB
            </p>
          </header>
          <section className="grid gap-2">
            <Heading>What was found</Heading>
            <ul className="grid gap-2">
              {page.grids.map((each, k) => (
                <li key={`${each.line} ${each.name}`}>
                  <FoundGridButton grid={each} isChosen={k === which} onChoose={() => setWhich(k)} />
                </li>
              ))}
            </ul>
            {rest > 0 && (
              <p className="text-sm text-soft">
                {count(rest, 'more grid')} further down the page. Take that part of the page alone to read
                them.
              </p>
            )}
          </section>
          <section className="grid gap-2">
            <Heading>What becomes of it</Heading>
            <BecameList entries={becameOf(grid, differences, Number(width))} />
          </section>
        </div>
        <div className="flex flex-wrap gap-2 border-t border-hair px-4 py-3">
          {trouble !== null && (
            <p role="alert" className="rounded-m border border-amiss px-3 py-2 text-sm">
              {trouble}
            </p>
          )}
          <Button look="solid" onClick={() => onOpen(which)}>
            Open as a collection
          </Button>
          <Button onClick={onCancel}>Cancel</Button>
        </div>
      </aside>
      <section aria-label="Side by side" className="flex min-h-0 flex-col gap-3 px-[22px] pt-4 pb-5">
        <header className="flex items-center gap-4">
          <h2 className="font-title text-[19px] font-[650]">Side by side</h2>
          <p className="text-sm text-soft">Point at a difference to see both values.</p>
          <div className="ml-auto w-[180px]">
            <Segments
              name="Width of the page in px"
              value={width}
              choices={WIDTHS.map((value) => ({ value, label: value }))}
              onChoose={setWidth}
            />
          </div>
        </header>
        <SideBySide
          key={which}
          page={page}
          grid={grid}
          width={Number(width)}
          differences={differences}
          onCompared={setDifferences}
        />
      </section>
    </main>
  );
}

const Heading = ({ children }: { readonly children: string }) => (
  <h2 className="flex items-center gap-2 text-[12.5px] font-semibold after:h-px after:flex-1 after:bg-hair">
    {children}
  </h2>
);

interface FoundGridButtonProps {
  readonly grid: ReadGrid;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

function FoundGridButton({ grid, isChosen, onChoose }: FoundGridButtonProps) {
  const { title, says } = foundWords(grid);
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      className={`grid w-full grid-cols-[64px_minmax(0,1fr)] items-center gap-2.5 rounded-m border bg-raised p-[7px] text-left ${isChosen ? 'border-copper outline outline-copper' : 'border-hair hover:border-faint'}`}
    >
      <svg viewBox="0 0 64 42" aria-hidden className="h-[42px] rounded-[3px] bg-field">
        {grid.cells.map(([x, y, inlineSize, blockSize], k) => (
          <rect
            key={k}
            x={4 + x * 56}
            y={4 + y * 34}
            width={Math.max(1, inlineSize * 56 - 1)}
            height={Math.max(1, blockSize * 34 - 1)}
            rx={1}
            fill="var(--water-3)"
          />
        ))}
      </svg>
      <span className="min-w-0">
        <b className="block truncate font-semibold">{title}</b>
        <span className="block text-[11.5px] text-soft">{says}</span>
      </span>
    </button>
  );
}

const SIGNS = {
  kept: ['●', 'text-sound', 'Kept: '],
  changed: ['◆', 'text-doubt', 'Changed: '],
  left: ['▲', 'text-amiss', 'Left out: '],
} as const;

const BecameList = ({ entries }: { readonly entries: readonly Became[] }) => (
  <ul className="grid gap-[7px] text-[12px] leading-[1.4]">
    {entries.map(({ what, says, figure }) => {
      const [sign, colour, word] = SIGNS[what];
      return (
        <li key={`${says} ${figure}`} className="grid grid-cols-[14px_minmax(0,1fr)_auto] gap-1.5 text-soft">
          <b aria-hidden className={`text-[10px] leading-[17px] ${colour}`}>
            {sign}
          </b>
          <span className="[overflow-wrap:anywhere]">
            <span className="sr-only">{word}</span>
            {says}
          </span>
          <span className="figures text-faint">{figure}</span>
        </li>
      );
    })}
  </ul>
);
