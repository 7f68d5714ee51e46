import { addBreakpoint, LIMITS, type Band } from '@noria/core';
import { useRef, type MouseEvent } from 'react';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { count } from '../../../ui/words';
import { useSize } from '../../../ui/useSize';
import { run } from '../../document';
import { announce } from '../../notices';
import { needleMoved } from '../composeSlice';
import { selectBand, selectBandLayouts, selectBands, selectNeedle } from '../selectors';
import { axisFigures, BASE, DEVICE_WIDTHS, fromAxis, toAxis } from './axis';
import { Breakpoint } from './Breakpoint';
import { Needle } from './Needle';
import { NeedleReading } from './NeedleReading';

/** How high a band's step of water stands: rising with the bands. */
const stepHeight = (fromNarrowest: number, bands: number) =>
  12 + (bands > 1 ? (26 * fromNarrowest) / (bands - 1) : 13);
const tint = (fromNarrowest: number, bands: number) =>
  `var(--water-${bands > 1 ? 1 + Math.round((3 * fromNarrowest) / (bands - 1)) : 3})`;

export function WidthRuler() {
  const dispatch = useAppDispatch();
  const [sizeRef, size] = useSize();
  const axisRef = useRef<HTMLDivElement | null>(null);
  const bands = useAppSelector(selectBands);
  const layouts = useAppSelector(selectBandLayouts);
  const length = size?.width ?? 0;
  const x = (width: number) => toAxis(width, length);
  const widthAt = (event: MouseEvent) =>
    fromAxis(event.clientX - (axisRef.current?.getBoundingClientRect().left ?? 0), length);

  const add = (event: MouseEvent) => {
    const below = widthAt(event);
    dispatch(run('Add breakpoint', addBreakpoint(`band-${crypto.randomUUID().slice(0, 8)}`, below)));
    dispatch(announce(`A breakpoint was added at ${below} px.`));
  };

  return (
    <>
      <NeedleReading />
      <section aria-label="Width ruler" className="min-w-0 border-b border-hair bg-panel pr-4">
        <div
          ref={(element) => {
            axisRef.current = element;
            return sizeRef(element);
          }}
          className="relative h-full touch-none select-none"
          onClick={(event) =>
            event.detail === 1 &&
            event.target === event.currentTarget &&
            dispatch(needleMoved(widthAt(event)))
          }
          onDoubleClick={add}
          title="Press to show a width, double click to add a breakpoint"
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
                {bands.map((band, k) => {
                  const from = x(Math.max(band.from, LIMITS.narrowest));
                  const layout = layouts[k];
                  const holes = layout && layout.tiles.length > 0 ? layout.coverage.holes.length : 0;
                  return (
                    <g key={band.id} fill={holes > 0 ? 'var(--doubt)' : 'var(--sound)'}>
                      <rect
                        x={from}
                        y={BASE}
                        width={x(band.below) - from}
                        height={3}
                        opacity={holes > 0 ? 1 : 0.35}
                      />
                      {holes > 0 && (
                        <path d={`M${from + 14} ${BASE + 5}l4.500 4.500-4.500 4.500-4.500-4.500z`} />
                      )}
                    </g>
                  );
                })}
              </svg>
              {bands.slice(1).map((band) => (
                <Breakpoint key={band.id} band={band} wider={bands[band.index - 1] as Band} length={length} />
              ))}
              <Needle length={length} />
            </>
          )}
        </div>
      </section>
    </>
  );
}

/** A band as a step of water, cut into its columns. */
function Step({ band, bands, x }: { band: Band; bands: number; x: (width: number) => number }) {
  const active = useAppSelector(selectBand).id === band.id;
  const needle = useAppSelector(selectNeedle);
  const fromNarrowest = bands - 1 - band.index;
  const height = stepHeight(fromNarrowest, bands);
  const [start, end] = [x(Math.max(band.from, LIMITS.narrowest)), x(Math.min(band.below, LIMITS.widest))];
  const columns = band.arrangement.columns.length;
  const label = count(columns, 'column');
  const room = end - start > 74;
  const behindNeedle = active && x(needle) - start < 88;
  return (
    <g>
      <rect
        x={start}
        y={BASE - height}
        width={Math.max(0, end - start)}
        height={height}
        fill={tint(fromNarrowest, bands)}
      />
      {Array.from({ length: columns - 1 }, (_, k) => {
        const at = start + ((end - start) * (k + 1)) / columns;
        return (
          <line
            key={k}
            x1={at}
            x2={at}
            y1={BASE - height}
            y2={BASE}
            stroke="var(--panel)"
            strokeWidth="1.5"
          />
        );
      })}
      {room && (
        <text
          x={behindNeedle ? x(needle) + 14 : start + 6}
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
