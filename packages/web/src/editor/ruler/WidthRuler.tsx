import {
  addBreakpoint,
  columnChanges,
  columnCountOf,
  followsWider,
  isDerivedBreakpoint,
  LIMITS,
  type Band,
  type ResolvedBand,
} from '@noria/core';
import { Suspense, useCallback, useRef, useState, type MouseEvent } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { kindData } from '../kinds/data';
import { arrangementWords } from '../kinds/words';
import { useSize } from '../../ui/useSize';
import type { RootState } from '../state';
import { selectShown } from '../document/selectors';
import { run } from '../document/run';
import { announce } from '../../ui/notices/noticesSlice';
import { needleMoved } from '../editorSlice';
import { whenShown } from '../../ui/lazily';
import { selectBand, selectBands, selectNeedle } from '../selectors';
import { axisFigures, BASE, DEVICES, DEVICE_WIDTHS, fromAxis, toAxis } from './axis';
import { Breakpoint } from './Breakpoint';
import { DeviceMark } from './DeviceMark';
import { FindingMarks, HeatStrip } from '../lazyParts';
import { Needle } from './Needle';
import { NeedleReading } from './NeedleReading';

const WidthMenu = whenShown(() => import('./WidthMenu').then((file) => file.WidthMenu));

/** How high a band's step of water stands: rising with the bands. */
const stepHeight = (fromNarrowest: number, bands: number) =>
  12 + (bands > 1 ? (26 * fromNarrowest) / (bands - 1) : 13);
const tint = (fromNarrowest: number, bands: number) =>
  `var(--water-${bands > 1 ? 1 + Math.round((3 * fromNarrowest) / (bands - 1)) : 3})`;

/** Ids of bands whose breakpoints are derived and were not moved. */
function selectDerivedBreakpoints(state: RootState): string[] {
  const document = selectShown(state);
  return followsWider(document) ? document.bands.filter(isDerivedBreakpoint).map(({ id }) => id) : [];
}

const isEqual = (a: readonly string[], b: readonly string[]) =>
  a.length === b.length && a.every((id, k) => id === b[k]);

export function WidthRuler() {
  const dispatch = useAppDispatch();
  const [sizeRef, size] = useSize();
  const axisRef = useRef<HTMLDivElement | null>(null);
  const ref = useCallback(
    (element: HTMLDivElement | null) => {
      axisRef.current = element;
      return sizeRef(element);
    },
    [sizeRef],
  );
  const bands = useAppSelector(selectBands);
  const derived = useAppSelector(selectDerivedBreakpoints, isEqual);
  const length = size?.width ?? 0;
  const [menu, setMenu] = useState<{ readonly at: { x: number; y: number }; readonly width: number } | null>(
    null,
  );
  const x = (width: number) => toAxis(width, length);
  const widthAt = (event: MouseEvent) =>
    fromAxis(event.clientX - (axisRef.current?.getBoundingClientRect().left ?? 0), length);

  const addAt = (below: number) => {
    dispatch(run('Add breakpoint', addBreakpoint(`band-${crypto.randomUUID().slice(0, 8)}`, below)));
    dispatch(announce(`A breakpoint was added at ${below} px.`));
  };
  const add = (event: MouseEvent) => addAt(widthAt(event));

  return (
    <>
      <NeedleReading />
      <section aria-label="Width ruler" className="min-w-0 border-b border-hair bg-panel pr-4">
        <div
          ref={ref}
          className="relative h-full touch-none select-none"
          onClick={(event) =>
            event.detail === 1 &&
            event.target === event.currentTarget &&
            dispatch(needleMoved(widthAt(event)))
          }
          onDoubleClick={add}
          onContextMenu={(event) => {
            event.preventDefault();
            setMenu({ at: { x: event.clientX, y: event.clientY }, width: widthAt(event) });
          }}
          title="Press to show a width, double-click to add a breakpoint"
        >
          {size && (
            <>
              <svg
                width={length}
                height={84}
                className="pointer-events-none absolute inset-0 overflow-visible"
                aria-hidden
              >
                {bands.map((band) => (
                  <Step key={band.id} band={band} bands={bands.length} x={x} />
                ))}
                {DEVICE_WIDTHS.map((width) => (
                  <path key={width} d={`M${x(width)} ${BASE + 3}v4`} stroke="var(--ink-faint)" />
                ))}
                {axisFigures(
                  length,
                  bands.slice(1).map(({ below }) => below),
                ).map((width) => (
                  <text
                    key={width}
                    x={x(width)}
                    y={BASE + 21}
                    fontSize="9.5"
                    textAnchor={
                      width === LIMITS.narrowest ? 'start' : width === LIMITS.widest ? 'end' : 'middle'
                    }
                    fill="var(--ink-faint)"
                    className="font-figures"
                  >
                    {width}
                  </text>
                ))}
                <HeatStrip length={length} />
              </svg>
              {bands.slice(1).map((band) => (
                <Breakpoint
                  key={band.id}
                  band={band}
                  wider={bands[band.index - 1] as ResolvedBand}
                  length={length}
                  isDerived={derived.includes(band.id)}
                />
              ))}
              {DEVICES.map((device) => (
                <DeviceMark key={device.name} {...device} x={x(device.width)} />
              ))}
              <FindingMarks length={length} />
              <Needle length={length} />
            </>
          )}
        </div>
      </section>
      {menu && (
        <Suspense>
          <WidthMenu {...menu} length={length} onAdd={addAt} onClose={() => setMenu(null)} />
        </Suspense>
      )}
    </>
  );
}

/** A band as a step of water, cut into its columns. */
function Step({ band, bands, x }: { band: ResolvedBand; bands: number; x: (width: number) => number }) {
  const active = useAppSelector(selectBand).id === band.id;
  const needle = useAppSelector(selectNeedle);
  const fromNarrowest = bands - 1 - band.index;
  const height = stepHeight(fromNarrowest, bands);
  const [start, end] = [x(Math.max(band.from, LIMITS.narrowest)), x(Math.min(band.below, LIMITS.widest))];
  const changes = columnChanges({ ...band, from: Math.max(band.from, LIMITS.narrowest) });
  const { kind } = band.arrangement;
  // As many columns as fit: their number is written where it changes.
  const isFitted = columnCountOf(band.arrangement)?.count === null;
  const columns = kindData(kind).column === null ? 1 : band.columns.length;
  const label = isFitted ? fittedLabel(band) : sentence(arrangementWords(kind, columns));
  const cuts = isFitted
    ? changes.map(({ width }) => x(width))
    : Array.from({ length: columns - 1 }, (_, k) => start + ((end - start) * (k + 1)) / columns);
  const room = end - start > 74;
  // The needle hides no words: they make room on its other side.
  const words = label.length * 6.3 + 20;
  const behindNeedle = active && x(needle) - start < words;
  const isRoomAfter = end - x(needle) > words;
  return (
    <g>
      <rect
        x={start}
        y={BASE - height}
        width={Math.max(0, end - start)}
        height={height}
        fill={tint(fromNarrowest, bands)}
      />
      {cuts.map((at, k) => (
        <line key={k} x1={at} x2={at} y1={BASE - height} y2={BASE} stroke="var(--panel)" strokeWidth="1.5" />
      ))}
      {isFitted &&
        [start, ...cuts].map((at, k) => {
          const next = cuts[k] ?? end;
          return next - at > 14 ? (
            <text
              key={k}
              x={(at + next) / 2}
              y={BASE - 3.5}
              fontSize="8.5"
              textAnchor="middle"
              fill="var(--water-ink)"
              className="font-figures"
            >
              {fittedCount(band, k)}
            </text>
          ) : null;
        })}
      {room && (
        <text
          x={!behindNeedle ? start + 6 : isRoomAfter ? x(needle) + 14 : x(needle) - 14}
          textAnchor={behindNeedle && !isRoomAfter ? 'end' : 'start'}
          y={BASE - height - 6}
          fontSize="11"
          fontWeight={active ? 700 : 600}
          fill="var(--water-ink)"
        >
          {label}
        </text>
      )}
    </g>
  );
}

/** How many columns a band has in its k-th stretch from its narrow end. */
function fittedCount(band: Band, k: number): number {
  const from = Math.max(band.from, LIMITS.narrowest);
  const [first] = columnChanges({ ...band, from });
  return (first ? first.columns - 1 : columnsAt(band, from)) + k;
}

const columnsAt = (band: Band, width: number): number =>
  1 + columnChanges({ ...band, from: 0, below: width + 1 }).length;

function fittedLabel(band: Band): string {
  const { kind } = band.arrangement;
  const from = Math.max(band.from, LIMITS.narrowest);
  const changes = columnChanges({ ...band, from, below: Math.min(band.below, LIMITS.widest + 1) });
  const [least, most] = [fittedCount(band, 0), fittedCount(band, changes.length)];
  return least === most
    ? sentence(arrangementWords(kind, least))
    : `${kindData(kind).name}, ${least} to ${most} ${kindData(kind).column ?? ''}s`;
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
