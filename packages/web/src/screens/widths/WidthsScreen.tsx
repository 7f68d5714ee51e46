import { LIMITS, type Band } from '@noria/core';
import { useParams } from 'react-router';
import { Plus } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../editor/hooks';
import { useSize } from '../../ui/useSize';
import { CommandDialogs } from '../../editor/commands/CommandDialogs';
import { PackedFigure } from '../../editor/fit/PackedFigure';
import { selectBands, selectNeedle } from '../../editor/selectors';
import { Belt, Settings } from '../../editor/lazyParts';
import { FieldNote, useTyping } from '../../ui/typing';
import { useKeys } from '../../editor/commands/useKeys';
import { WidthRuler } from '../../editor/ruler/WidthRuler';
import { widthsAdded } from '../../editor/editorSlice';
import { TopBar } from '../../editor/frame/TopBar';
import { EDGE, Pane } from './Pane';

/** A pane is never shown smaller than this. */
const LEAST_SCALE = 0.16;
const GAP = 28;
const AROUND = 24;

/** The width that a band is seen at: the last one there, else one that devices have. */
function widthIn(band: Band, last: number | undefined): number {
  const from = Math.max(band.from, LIMITS.narrowest);
  const to = Math.min(band.below - 1, LIMITS.widest);
  if (last !== undefined && last >= from && last <= to) return last;
  const usual = [1280, 1440, 768, 834, 390, 360, 1024, 320].find((width) => width >= from && width <= to);
  return usual ?? Math.round((from + to) / 2);
}

/** Every band side by side, at one scale, each edited in place. */
export function WidthsScreen() {
  const { id = '' } = useParams();
  useKeys();
  const dispatch = useAppDispatch();
  const bands = useAppSelector(selectBands);
  const needle = useAppSelector(selectNeedle);
  const added = useAppSelector((state) => state.editor.addedWidths);
  const [sizeRef, size] = useSize();
  const width = useTyping({
    value: '',
    problem: (text) =>
      Number(text) >= LIMITS.narrowest && Number(text) <= LIMITS.widest
        ? null
        : `From ${LIMITS.narrowest} to ${LIMITS.widest} px.`,
    apply: (text) => {
      const at = Math.round(Number(text));
      dispatch(widthsAdded([...added.filter((each) => each !== at), at]));
    },
  });
  const row = useRef<HTMLDivElement | null>(null);

  // A band is seen at the width at which it was last worked in.
  const [seen, setSeen] = useState<Readonly<Record<string, number>>>({});
  const here = bands.findLast((band) => needle < band.below) ?? bands[0];
  if (here && !added.includes(needle) && seen[here.id] !== needle) setSeen({ ...seen, [here.id]: needle });
  const panes = useMemo(() => {
    const ofBands = bands.map((band) => ({ key: band.id, width: widthIn(band, seen[band.id]) }));
    const others = added
      .filter((width) => ofBands.every((pane) => pane.width !== width))
      .map((width) => ({ key: String(width), width }));
    return [...ofBands, ...others].toSorted((a, b) => a.width - b.width);
  }, [bands, added, seen]);
  const room = (size?.width ?? 0) - 2 * AROUND - GAP * (panes.length - 1) - EDGE * panes.length;
  const scale = Math.min(0.7, Math.max(LEAST_SCALE, room / panes.reduce((sum, { width }) => sum + width, 0)));

  /** All panes show the same part of the page. */
  const onScroll = (from: HTMLElement) => {
    const share = from.scrollTop / Math.max(1, from.scrollHeight - from.clientHeight);
    for (const pane of row.current?.querySelectorAll<HTMLElement>('[data-pane-scroll]') ?? []) {
      if (pane === from) continue;
      const top = share * (pane.scrollHeight - pane.clientHeight);
      if (Math.abs(pane.scrollTop - top) > 1) pane.scrollTop = top;
    }
  };
  return (
    <div className="grid h-full grid-cols-[var(--side)_minmax(0,1fr)] grid-rows-[46px_84px_minmax(0,1fr)_98px]">
      <div className="col-span-2">
        <TopBar id={id}>
          <PackedFigure />
        </TopBar>
      </div>
      <WidthRuler />
      <Settings />
      <main
        ref={sizeRef}
        aria-label="Widths"
        className="relative grid min-h-0 grid-rows-[44px_minmax(0,1fr)]"
      >
        <h1 className="sr-only">All bands side by side</h1>
        <form
          className="flex items-center gap-2 px-6 text-sm text-soft"
          onSubmit={(event) => {
            event.preventDefault();
            width.settle();
          }}
        >
          <span>
            {panes.length} widths at <span className="figures">{Math.round(scale * 100)} %</span>. Point at
            one to work in it.
          </span>
          <label className="relative ml-auto flex h-[26px] w-[104px] items-center gap-1 rounded-s bg-field px-2 focus-within:outline-2 focus-within:outline-copper">
            <input
              aria-label="Width to add"
              inputMode="numeric"
              placeholder="1024"
              className="figures w-full min-w-0 bg-transparent outline-none placeholder:text-faint"
              {...width.input}
            />
            <FieldNote id={width.note}>{width.amiss}</FieldNote>
            <span className="text-xs text-faint">px</span>
          </label>
          <button
            type="submit"
            className="flex h-[26px] items-center gap-1 rounded-s border border-hair px-2 font-semibold hover:text-ink"
          >
            <Plus size={13} aria-hidden /> Add width
          </button>
        </form>
        <div
          ref={row}
          className="flex min-h-0 overflow-x-auto pb-3 [scrollbar-width:thin]"
          style={{ gap: GAP, paddingInline: AROUND }}
        >
          {size &&
            panes.map(({ key, width }) => (
              <Pane
                key={key}
                width={width}
                scale={scale}
                onScroll={onScroll}
                {...(added.includes(width) && {
                  onRemove: () => dispatch(widthsAdded(added.filter((each) => each !== width))),
                })}
              />
            ))}
        </div>
      </main>
      <Belt />
      <CommandDialogs />
    </div>
  );
}
