import { worstRuns, type Finding } from '@noria/core';
import { useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectShown } from '../document/selectors';
import { selectFindings, selectReport } from '../fit/selectors';
import { severityFill, severityPath } from '../fit/Sign';
import { showFinding } from '../actions/findings';
import { BASE, toAxis } from './axis';

/** Screen px of one cell of the strip. */
const CELL = 3;
/** Marks closer than this, px, would lie over each other; the worse one stays. */
const APART = 13;

/** What is drawn: runs of one severity, in whole cells; a run is never thinner than one. */
function cellsOf(findings: readonly Finding[], length: number) {
  return worstRuns(findings).map(({ from, to, severity }) => {
    const start = Math.floor(toAxis(from, length) / CELL) * CELL;
    const end = Math.min(length, Math.max(start + CELL, Math.ceil(toAxis(to + 1, length) / CELL) * CELL));
    return { start, end, severity };
  });
}

/** Where findings are along the axis of widths, the worst first. */
export function HeatStrip({ length }: { length: number }) {
  const findings = useAppSelector(selectFindings);
  const isKnown = useAppSelector((state) => selectReport(state) !== null);
  const isFresh = useAppSelector((state) => state.fit.about === selectShown(state));
  const cells = useMemo(() => cellsOf(findings, length), [findings, length]);
  return (
    <g data-testid="heat-strip" data-fresh={isFresh}>
      <rect
        y={BASE}
        width={length}
        height={3}
        fill={isKnown ? 'var(--sound)' : 'var(--hair)'}
        opacity={isKnown ? 0.35 : 1}
      />
      {cells.map(({ start, end, severity }) => (
        <rect
          key={start}
          data-severity={severity}
          x={start}
          y={BASE}
          width={end - start}
          height={3}
          fill={severityFill(severity)}
        />
      ))}
    </g>
  );
}

/** A sign at each finding; pressed, the needle goes there and its tile is taken. */
export function FindingMarks({ length }: { length: number }) {
  const dispatch = useAppDispatch();
  const findings = useAppSelector(selectFindings);
  const marks = useMemo(() => {
    const placed: { x: number; finding: Finding; of: number }[] = [];
    for (const finding of findings) {
      const widest = finding.ranges.reduce((one, other) =>
        toAxis(other.to, length) - toAxis(other.from, length) >
        toAxis(one.to, length) - toAxis(one.from, length)
          ? other
          : one,
      );
      const x = (toAxis(widest.from, length) + toAxis(widest.to, length)) / 2;
      const near = placed.findIndex((each) => Math.abs(each.x - x) < APART);
      if (near === -1) placed.push({ x, finding, of: 1 });
      else placed[near] = { ...(placed[near] as (typeof placed)[number]), of: (placed[near]?.of ?? 0) + 1 };
    }
    return placed;
  }, [findings, length]);
  return marks.map(({ x, finding, of }) => (
    // The keyboard reaches findings in their own list.
    <button
      key={finding.id}
      type="button"
      tabIndex={-1}
      aria-hidden
      data-testid="finding-mark"
      title={`${finding.title}${of > 1 ? `, and ${of - 1} more here` : ''}`}
      className="absolute z-[5] grid size-[16px] -translate-x-1/2 place-items-center"
      style={{ left: Math.min(length - 8, Math.max(8, x)), top: BASE + 2 }}
      onClick={() => dispatch(showFinding(finding))}
      onDoubleClick={(event) => event.stopPropagation()}
    >
      <svg width="11" height="11" viewBox="-6 -6 12 12" aria-hidden>
        <path d={severityPath(finding.severity)} fill={severityFill(finding.severity)} />
      </svg>
    </button>
  ));
}
