import { columnCountOf, LIMITS, worstRuns, type Finding, type FitReport } from '@noria/core';
import { useMemo, useRef } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { useDragGesture } from '../../ui/gesture';
import { useAppDispatch, useAppSelector } from '../../editor/hooks';
import { axisFigures, fromAxis, toAxis } from '../../editor/ruler/axis';
import { needleMoved } from '../../editor/editorSlice';
import { selectBands, selectNeedle } from '../../editor/selectors';
import { arrangementWords } from '../../editor/kinds/words';
import { severityFill } from '../../editor/fit/Sign';

interface CurvesProps {
  readonly report: FitReport;
  readonly findings: readonly Finding[];
  /** The finding that is looked at; its widths are tinted strongest. */
  readonly open: string | null;
}

interface Point {
  readonly width: number;
  /** On the logarithmic axis of the ruler, 0 to 1. */
  readonly at: number;
  readonly columns: number;
  readonly narrowest: number | null;
  readonly need: number | null;
  readonly packed: number;
  readonly height: number;
  readonly shown: number;
}

const CURVES = [
  { key: 'columns', title: 'Columns', height: 0.9, unit: '', isStep: true },
  {
    key: 'narrowest',
    title: 'Narrowest tile (dashed: what it needs)',
    height: 1.5,
    unit: 'px',
    isStep: false,
  },
  { key: 'packed', title: 'Packed', height: 0.7, unit: '%', isStep: false },
  { key: 'shown', title: 'Most cropped picture, part still shown', height: 1.1, unit: '%', isStep: false },
  { key: 'height', title: 'Height of the page', height: 1.1, unit: 'px', isStep: false },
] as const;

/** Widths between two points of a curve, px; breaks are drawn at the very px. */
const STEP = 6;

function pointsOf({ from, to, curves }: FitReport): Point[] {
  const points: Point[] = [];
  const add = (width: number) => {
    const k = width - from;
    const need = curves.need[k] ?? 0;
    points.push({
      width,
      at: toAxis(width, 1),
      columns: curves.columns[k] ?? 0,
      narrowest: need > 0 ? Math.round((curves.narrowest[k] ?? 0) * 10) / 10 : null,
      need: need > 0 ? Math.round(need * 10) / 10 : null,
      packed: Math.round((curves.packed[k] ?? 0) * 1000) / 10,
      height: Math.round(curves.blockSize[k] ?? 0),
      shown: Math.round((curves.leastShown[k] ?? 0) * 1000) / 10,
    });
  };
  const jumps = (k: number) =>
    curves.columns[k] !== curves.columns[k - 1] ||
    Math.abs((curves.blockSize[k] ?? 0) - (curves.blockSize[k - 1] ?? 0)) > 6 ||
    Math.abs((curves.narrowest[k] ?? 0) - (curves.narrowest[k - 1] ?? 0)) > 6;
  for (let width = from; width <= to; width++) {
    const k = width - from;
    if (k % STEP === 0 || width === to || jumps(k) || (k < to - from && jumps(k + 1))) add(width);
  }
  return points;
}

/** Curves over the axis of widths, one above the other, with bands, findings and the needle behind all of them. */
export function Curves({ report, findings, open }: CurvesProps) {
  const dispatch = useAppDispatch();
  const points = useMemo(() => pointsOf(report), [report]);
  const bands = useAppSelector(selectBands);
  const breakpoints = bands.slice(1).map(({ below }) => below);
  const at = (width: number) => toAxis(width, 1);
  const needle = useAppSelector(selectNeedle);
  const plot = useRef<HTMLDivElement>(null);
  const bind = useDragGesture(
    ({ xy: [x], canceled, memo }) => {
      const from = (memo as number | undefined) ?? needle;
      const { left, width } = plot.current?.getBoundingClientRect() ?? new DOMRect();
      dispatch(needleMoved(canceled ? from : fromAxis(x - left, width)));
      return from;
    },
    { pointer: { capture: true, keys: false } },
  );
  return (
    <div className="grid min-h-0 grid-rows-[18px_minmax(0,1fr)_26px] pt-3">
      <div className="relative text-[11px] font-semibold text-water-ink" aria-hidden>
        {bands.map((band) => {
          const start = at(Math.max(band.from, LIMITS.narrowest));
          const end = at(band.below);
          return end - start > 0.07 ? (
            <span
              key={band.id}
              className="absolute top-0 overflow-hidden pl-3 whitespace-nowrap"
              style={{ left: `${start * 100}%`, width: `${(end - start) * 100}%` }}
            >
              {columnCountOf(band.arrangement)?.count === null
                ? band.arrangement.kind
                : arrangementWords(band.arrangement.kind, band.columns.length)}
            </span>
          ) : null;
        })}
      </div>
      <div
        className="relative grid min-h-0 touch-none select-none"
        style={{ gridTemplateRows: CURVES.map(({ height }) => `minmax(0, ${height}fr)`).join(' ') }}
        title="Press or drag to move the needle"
        {...bind()}
        ref={plot}
      >
        <Behind findings={findings} open={open} />
        {CURVES.map((curve) => (
          <Curve key={curve.key} of={curve} points={points} />
        ))}
      </div>
      <div className="relative" aria-hidden>
        {[...axisFigures(760, breakpoints), ...breakpoints].map((width) => (
          <span
            key={width}
            className={`figures absolute top-1.5 ${width === LIMITS.narrowest ? '' : width === LIMITS.widest ? '-translate-x-full' : '-translate-x-1/2'} ${breakpoints.includes(width) ? 'font-semibold text-ink' : 'text-faint'}`}
            style={{ left: `${at(width) * 100}%` }}
          >
            {width}
          </span>
        ))}
      </div>
    </div>
  );
}

/** Bands as water, and the widths of findings over them. */
function Behind({ findings, open }: Pick<CurvesProps, 'findings' | 'open'>) {
  const bands = useAppSelector(selectBands);
  const needle = useAppSelector(selectNeedle);
  const runs = useMemo(() => worstRuns(findings), [findings]);
  const opened = findings.find(({ id }) => id === open);
  const share = (from: number, to: number) => ({
    left: `${toAxis(from, 100)}%`,
    width: `${toAxis(to, 100) - toAxis(from, 100)}%`,
  });
  return (
    <div className="pointer-events-none absolute inset-0" aria-hidden>
      {bands.map((band) => {
        const fromNarrowest = bands.length - 1 - band.index;
        const tint = bands.length > 1 ? 1 + Math.round((3 * fromNarrowest) / (bands.length - 1)) : 2;
        return (
          <i
            key={band.id}
            className="absolute inset-y-0 border-l border-faint/60 first:border-l-0"
            style={{
              ...share(Math.max(band.from, LIMITS.narrowest), band.below),
              background: `color-mix(in oklch, var(--water-${tint}) 22%, transparent)`,
            }}
          />
        );
      })}
      {runs.map(({ from, to, severity }) => (
        <i
          key={from}
          className="absolute bottom-0 h-[4px]"
          style={{ ...share(from, to + 1), minWidth: 1, background: severityFill(severity) }}
        />
      ))}
      {opened?.ranges.map(({ from, to }) => (
        <i
          key={from}
          className="absolute inset-y-0"
          style={{
            ...share(from, to + 1),
            minWidth: 2,
            background: `color-mix(in oklch, ${severityFill(opened.severity)} 24%, transparent)`,
          }}
        />
      ))}
      <i
        className="absolute inset-y-0 w-[2px] -translate-x-1/2 bg-copper"
        style={{ left: `${toAxis(needle, 100)}%` }}
      >
        <svg width="18" height="14" viewBox="-9 0 18 14" className="absolute top-0 left-1/2 -translate-x-1/2">
          <path d="M-8 2h16l-2.500 9a3 3 0 0 1-3 2h-5a3 3 0 0 1-3-2z" fill="var(--copper)" />
        </svg>
      </i>
    </div>
  );
}

type CurveKey = (typeof CURVES)[number]['key'];

interface CurveProps {
  readonly of: (typeof CURVES)[number];
  readonly points: readonly Point[];
}

const words = (value: number, unit: string) => (unit === '' ? String(value) : `${value} ${unit}`);

/** Room above a curve for its title, px. */
const HEADROOM = 20;

/** One curve; pointed at, it says its value at that width. */
function Curve({ of: { key, title, unit, isStep }, points }: CurveProps) {
  const values = points.flatMap((point) => point[key] ?? []);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const room = Math.max(1, (most - least) * 0.18);
  const floor = key === 'packed' || key === 'shown' ? 0 : Math.max(0, least - room);
  const needs = key === 'narrowest' ? points.flatMap(({ need }) => need ?? []) : [];
  const top = Math.max(most, ...needs) + (key === 'packed' || key === 'shown' ? 4 : room);
  const ticks = ticksOf(floor, top, isStep);
  // Figures stand at the end of the curve, on the side of their line where it is not.
  const last = points.at(-1)?.[key] ?? 0;
  const shownTicks = ticks.filter((tick) => tick > floor);
  return (
    <section
      aria-label={`${title}: from ${words(least, unit)} to ${words(most, unit)}`}
      className="relative min-h-0 border-b border-faint/50"
    >
      <h2 className="pointer-events-none absolute top-1.5 left-1.5 z-10 text-[11.5px] font-semibold">
        {title}
      </h2>
      {shownTicks.map((tick) => (
        <span
          key={tick}
          aria-hidden
          className={`figures pointer-events-none absolute right-1.5 z-10 text-[10px] leading-none text-faint ${last >= tick ? 'mt-1' : '-mt-3.5'}`}
          style={{ top: `calc(${HEADROOM}px + (100% - ${HEADROOM}px) * ${(top - tick) / (top - floor)})` }}
        >
          {words(tick, unit)}
        </span>
      ))}
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart
          data={points}
          margin={{ top: HEADROOM, right: 0, bottom: 0, left: 0 }}
          accessibilityLayer={false}
        >
          <XAxis type="number" dataKey="at" domain={[0, 1]} hide />
          <YAxis type="number" domain={[floor, top]} ticks={ticks} hide />
          <CartesianGrid
            vertical={false}
            horizontalValues={ticks}
            stroke="var(--ink-faint)"
            strokeOpacity={0.35}
          />
          <Tooltip
            cursor={{ stroke: 'var(--copper)', strokeDasharray: '2 2' }}
            isAnimationActive={false}
            content={({ active, payload }) => {
              const point = (payload[0] as { payload?: Point } | undefined)?.payload;
              return active && point ? <Said point={point} of={key} unit={unit} /> : null;
            }}
          />
          <Area
            type={isStep ? 'stepAfter' : 'linear'}
            dataKey={key}
            stroke="var(--water-ink)"
            strokeWidth={1.6}
            fill="var(--water-4)"
            fillOpacity={0.16}
            isAnimationActive={false}
            dot={false}
            activeDot={{ r: 3, fill: 'var(--copper)', stroke: 'none' }}
          />
          {key === 'narrowest' && (
            <Line
              type="linear"
              dataKey="need"
              stroke="var(--copper)"
              strokeDasharray="3 3"
              isAnimationActive={false}
              dot={false}
              activeDot={false}
            />
          )}
          {key === 'shown' && <ReferenceLine y={50} stroke="var(--copper)" strokeDasharray="3 3" />}
        </ComposedChart>
      </ResponsiveContainer>
    </section>
  );
}

/** Round figures within the range of an axis: a few, evenly apart. */
function ticksOf(from: number, to: number, isWhole: boolean): number[] {
  const rough = (to - from) / 3;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((by) => by * power).find((by) => by >= rough) ?? rough;
  const by = isWhole ? Math.max(1, Math.round(step)) : step;
  const first = Math.ceil(from / by) * by;
  return Array.from({ length: Math.floor((to - first) / by) + 1 }, (_, k) => first + k * by);
}

function Said({ point, of, unit }: { point: Point; of: CurveKey; unit: string }) {
  const value = point[of];
  return (
    <p className="rounded-s bg-raised px-2 py-1 text-sm shadow-float">
      <b className="figures text-copper-ink">{point.width}</b> px:{' '}
      <b className="figures">{value === null ? '–' : words(value, unit)}</b>
      {of === 'narrowest' && point.need !== null && (
        <>
          , needs <b className="figures">{point.need}</b>
        </>
      )}
    </p>
  );
}
