import type { AreaMap, GridLine, TrackListPart, TrackSizingFunction } from '../box/style.js';
import type { AxisWish } from './placeItems.js';

/** The explicit tracks of one axis, with the names of its lines. */
export interface ExplicitAxis {
  readonly sizings: readonly TrackSizingFunction[];
  /** Names of line 1 and on; one more entry than there are tracks. */
  readonly lineNames: readonly (readonly string[])[];
  /** Tracks that an `auto-fit` made, which collapse when empty: from and to (not included). */
  readonly autoFit: readonly [from: number, to: number] | null;
}

/** Writes a track list out, with `repetitions` for its `auto-fill` or `auto-fit`. */
export function expandTracks(parts: readonly TrackListPart[], repetitions: number): ExplicitAxis {
  const sizings: TrackSizingFunction[] = [];
  const lineNames: string[][] = [[]];
  let autoFit: [number, number] | null = null;
  const write = (some: readonly TrackListPart[]) => {
    for (const part of some) {
      if (part.kind === 'names') (lineNames[lineNames.length - 1] as string[]).push(...part.names);
      else if (part.kind === 'track') {
        sizings.push(part.sizing);
        lineNames.push([]);
      } else {
        const from = sizings.length;
        const times = typeof part.count === 'number' ? part.count : repetitions;
        for (let k = 0; k < times; k++) write(part.parts);
        if (part.count === 'auto-fit') autoFit = [from, sizings.length];
      }
    }
  };
  write(parts);
  return { sizings, lineNames, autoFit };
}

/** The lines of one axis that an item can name. */
export interface NamedLines {
  /** Explicit tracks, those of the area map included. */
  readonly explicit: number;
  /** Indices of lines by name, from 0, ascending. */
  readonly byName: ReadonlyMap<string, readonly number[]>;
}

/** Line names of the tracks and of the area map, `x-start` and `x-end` of every area `x` included. */
export function namedLines(
  axis: 'column' | 'row',
  { sizings, lineNames }: Pick<ExplicitAxis, 'sizings' | 'lineNames'>,
  areas: AreaMap | null,
  bounded = false,
): NamedLines {
  const byName = new Map<string, Set<number>>();
  const name = (text: string, line: number) => {
    const lines = byName.get(text);
    if (lines) lines.add(line);
    else byName.set(text, new Set([line]));
  };
  lineNames.forEach((names, line) => names.forEach((each) => name(each, line)));
  for (const [area, at] of areas?.areas ?? []) {
    name(`${area}-start`, (axis === 'column' ? at.columnStart : at.rowStart) - 1);
    name(`${area}-end`, (axis === 'column' ? at.columnEnd : at.rowEnd) - 1);
  }
  const inAreas = areas ? (axis === 'column' ? areas.columns : areas.rows) : 0;
  return {
    explicit: bounded ? sizings.length : Math.max(sizings.length, inAreas),
    byName: new Map([...byName].map(([text, lines]) => [text, [...lines].sort((a, b) => a - b)])),
  };
}

/** Lines are clamped to this, as browsers do, so that a mistyped one can't grow the grid without end. */
const MOST_LINES = 10_000_000;
const clampLine = (line: number) => Math.max(-MOST_LINES, Math.min(MOST_LINES, line));

/** Where the start and end lines of an item put it in one axis (CSS Grid 2, section 8.3). */
export function resolveWish(start: GridLine, end: GridLine, lines: NamedLines): AxisWish {
  let last = end;
  if (start.kind === 'span' && end.kind === 'span') last = { kind: 'auto' };
  const from = definiteLine(start, 'start', lines);
  const to = definiteLine(last, 'end', lines);
  if (from !== null && to !== null) {
    if (from === to) return { start: from, span: 1 };
    return { start: Math.min(from, to), span: Math.abs(to - from) };
  }
  if (from !== null) return spanFrom(from, last, 1, lines);
  if (to !== null) return spanFrom(to, start, -1, lines);
  const spanning = start.kind === 'span' ? start : last.kind === 'span' ? last : null;
  const span = spanning?.name === null ? Math.min(spanning.count, MOST_LINES) : 1;
  return { start: null, span };
}

/** The index of a line from 0, negative before the explicit grid; null for `auto` and spans. */
function definiteLine(line: GridLine, side: 'start' | 'end', lines: NamedLines): number | null {
  switch (line.kind) {
    case 'auto':
    case 'span':
      return null;
    case 'line':
      if (line.name !== null) return nthNamed(line.name, line.number, lines);
      return clampLine(line.number > 0 ? line.number - 1 : lines.explicit + 1 + line.number);
    case 'name': {
      const ofArea = lines.byName.get(`${line.name}-${side}`);
      if (ofArea?.[0] !== undefined) return ofArea[0];
      return nthNamed(line.name, 1, lines);
    }
  }
}

/** The n-th line of a name; every implicit line is assumed to have it. */
function nthNamed(name: string, n: number, { byName, explicit }: NamedLines): number {
  const found = byName.get(name) ?? [];
  if (n > 0) return clampLine(found[n - 1] ?? explicit + (n - found.length));
  return clampLine(found[found.length + n] ?? -(-n - found.length));
}

/** The other edge of an item that has one line and a span, counted in `direction`. */
function spanFrom(line: number, other: GridLine, direction: 1 | -1, lines: NamedLines): AxisWish {
  const count = other.kind === 'span' ? Math.min(other.count, MOST_LINES) : 1;
  let edge = line + direction * count;
  if (other.kind === 'span' && other.name !== null)
    edge = spanToName(line, other.name, count, direction, lines);
  return direction > 0 ? { start: line, span: edge - line } : { start: edge, span: line - edge };
}

function spanToName(
  line: number,
  name: string,
  count: number,
  direction: 1 | -1,
  { byName, explicit }: NamedLines,
): number {
  const found = (byName.get(name) ?? []).filter((each) => (direction > 0 ? each > line : each < line));
  const nearest = direction > 0 ? found : found.reverse();
  const exact = nearest[count - 1];
  if (exact !== undefined) return exact;
  const missing = count - nearest.length;
  return direction > 0 ? Math.max(line, explicit) + missing : Math.min(line, 0) - missing;
}
