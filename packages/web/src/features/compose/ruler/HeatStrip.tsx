import { SEVERITY, type Finding, type Severity } from '@noria/core';
import { useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { selectFindings, selectReport, severityFill, severityPath } from '../../fit';
import { showFinding } from '../actions';
import { BASE, toAxis } from './axis';

/** Screen px of one cell of the strip. */
const CELL = 3;
/** Marks closer than this, px, would lie over each other; the worse one stays. */
const APART = 13;

const RANK: Readonly<Record<Severity, number>> = { breaks: 3, wrong: 2, better: 1 };
const BY_RANK: readonly (Severity | null)[] = [null, 'better', 'wrong', 'breaks'];

/** The worst that is found in each cell of the axis, as runs of one severity. */
function runsOf(findings: readonly Finding[], length: number) {
  const cells = new Uint8Array(Math.ceil(length / CELL));
  for (const { kind, ranges } of findings) {
    const rank = RANK[SEVERITY[kind]];
    for (const { from, to } of ranges) {
      const last = Math.min(cells.length - 1, Math.floor(toAxis(to + 1, length) / CELL));
      for (let k = Math.floor(toAxis(from, length) / CELL); k <= last; k++)
        cells[k] = Math.max(cells[k] ?? 0, rank);
    }
  }
  const runs: { from: number; to: number; severity: Severity | null }[] = [];
  cells.forEach((rank, k) => {
    const severity = BY_RANK[rank] ?? null;
    const before = runs.at(-1);
    if (before?.severity === severity) runs[runs.length - 1] = { ...before, to: k + 1 };
    else runs.push({ from: k, to: k + 1, severity });
  });
  return runs;
}

/** Where findings are along the axis of widths, the worst first. */
export function HeatStrip({ length }: { length: number }) {
  const findings = useAppSelector(selectFindings);
  const isKnown = useAppSelector((state) => selectReport(state) !== null);
  const runs = useMemo(() => runsOf(findings, length), [findings, length]);
  return (
    <g data-testid="heat-strip">
      {runs.map(({ from, to, severity }) => (
        <rect
          key={from}
          data-severity={severity ?? 'none'}
          x={from * CELL}
          y={BASE}
          width={Math.min(length, to * CELL) - from * CELL}
          height={3}
          fill={severity ? severityFill(severity) : isKnown ? 'var(--sound)' : 'var(--hair)'}
          opacity={severity ? 1 : isKnown ? 0.35 : 1}
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
