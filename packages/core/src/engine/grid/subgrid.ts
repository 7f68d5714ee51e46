import { gapOf } from '../css/gap.js';
import { frameOf, resolveSides } from '../box/sizes.js';
import type { Box, InheritedAxis } from '../box/box.js';
import type { BoxStyle, TrackListPart } from '../box/style.js';
import type { AxisPlan } from './placeGrid.js';

/** Tracks of one axis as laid out, px from the content edge. */
export interface AxisGeometry {
  readonly starts: Float64Array;
  readonly sizes: Float64Array;
  /** Where the first track starts, or would if there were one. */
  readonly origin?: number;
  /** Between neighbours, content distribution included. */
  readonly gap: number;
}

export const isColumnSubgrid = ({ style }: Box) =>
  style.display === 'grid' && style.columns.kind === 'subgrid';
export const isRowSubgrid = ({ style }: Box) => style.display === 'grid' && style.rows.kind === 'subgrid';

/** Margin, border and padding of a subgrid at its two edges in one axis, px. */
export function edgesOf({ style }: Box, axis: 'column' | 'row', basis: number): readonly [number, number] {
  const margin = resolveSides(style.margin, basis);
  const frame = frameOf(style, basis);
  const rtl = axis === 'column' && style.direction === 'rtl';
  const sides: [number, number] =
    axis === 'column'
      ? [margin[3] + frame[3], margin[1] + frame[1]]
      : [margin[0] + frame[0], margin[2] + frame[2]];
  return rtl ? [sides[1], sides[0]] : sides;
}

/** The width that a subgrid asks for in px, which its gap refers to while columns are sized; else NaN. */
export const definiteInlineSize = ({ inlineSize }: BoxStyle) =>
  typeof inlineSize === 'number' ? inlineSize : NaN;

interface SubgridAxis {
  readonly box: Box;
  readonly axis: 'column' | 'row';
  readonly plan: AxisPlan;
  readonly start: number;
  readonly span: number;
  readonly outerGap: number;
  /** Null while the outer tracks are still being sized. */
  readonly geometry: AxisGeometry | null;
  readonly basis: number;
  /** Whether its first line is the last one outside. */
  readonly isReversed: boolean;
}

/** Whether a subgrid counts columns from the other side than the grid around it. */
export const countsBackwards = (box: Box, around: Box, axis: 'column' | 'row') =>
  axis === 'column' && box.style.direction !== around.style.direction;

/**
 * What a subgrid takes over of the tracks it spans (CSS Grid 2, section 9): their lines with the
 * outer names and its own, and their sizes less its margin, border and padding at the edges. Where
 * its gap differs from the outer one, half of the difference is taken from either side of a gutter.
 */
export function inheritAxis({
  box,
  axis,
  plan,
  start,
  span,
  outerGap,
  geometry,
  basis,
  isReversed,
}: SubgridAxis): InheritedAxis {
  const { style } = box;
  const own = axis === 'column' ? style.columnGap : style.rowGap;
  const template = axis === 'column' ? style.columns : style.rows;
  const lineNames = lineNamesOf(plan, start, span, template.parts, isReversed);
  if (!geometry) return { tracks: span, lineNames, gap: gapOf(own, NaN, outerGap), geometry: null };
  const origin = geometry.starts[start] as number;
  const last = start + span - 1;
  const whole = (geometry.starts[last] as number) + (geometry.sizes[last] as number) - origin;
  const edges = edgesOf(box, axis, basis);
  const content = Math.max(0, whole - edges[0] - edges[1]);
  const [before, after] = isReversed ? [edges[1], edges[0]] : edges;
  const gap = gapOf(own, content, outerGap);
  const half = (gap - geometry.gap) / 2;
  const starts = new Float64Array(span);
  const sizes = new Float64Array(span);
  for (let k = 0; k < span; k++) {
    const from = (geometry.starts[start + k] as number) - origin - before + (k > 0 ? half : before);
    const end =
      (geometry.starts[start + k] as number) +
      (geometry.sizes[start + k] as number) -
      origin -
      before -
      (k < span - 1 ? half : after);
    const at = k === span - 1 && k > 0 ? Math.min(from, end) : from;
    const to = isReversed ? span - 1 - k : k;
    sizes[to] = Math.max(0, end - at);
    starts[to] = isReversed ? content - at - sizes[to] : at;
  }
  return { tracks: span, lineNames, gap, geometry: { starts, sizes } };
}

function lineNamesOf(
  { lines, before }: AxisPlan,
  start: number,
  span: number,
  parts: readonly TrackListPart[],
  isReversed: boolean,
): string[][] {
  const names: string[][] = Array.from({ length: span + 1 }, () => []);
  for (const [name, indices] of lines.byName) {
    for (const index of indices) names[index + before - start]?.push(name);
  }
  if (isReversed) names.reverse();
  const own = expandNames(parts, span + 1);
  own.forEach((list, k) => names[k]?.push(...list));
  return names;
}

/** The name lists of a subgrid; `repeat(auto-fill, …)` fills up to the number of lines. */
function expandNames(parts: readonly TrackListPart[], lines: number): string[][] {
  const count = (list: readonly TrackListPart[]) =>
    list.reduce((sum, part) => sum + (part.kind === 'names' ? 1 : 0), 0);
  let fixed = 0;
  for (const part of parts) {
    if (part.kind === 'names') fixed++;
    else if (part.kind === 'repeat' && typeof part.count === 'number')
      fixed += part.count * count(part.parts);
  }
  const lists: string[][] = [];
  for (const part of parts) {
    if (part.kind === 'names') lists.push([...part.names]);
    else if (part.kind === 'repeat') {
      const each = Math.max(1, count(part.parts));
      const times =
        typeof part.count === 'number' ? part.count : Math.max(0, Math.floor((lines - fixed) / each));
      for (let k = 0; k < times; k++) {
        for (const inner of part.parts) if (inner.kind === 'names') lists.push([...inner.names]);
      }
    }
  }
  return lists;
}
