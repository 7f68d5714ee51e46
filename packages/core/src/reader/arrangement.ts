import { resolveLength } from '../engine/css/length.js';
import {
  INITIAL_STYLE,
  type BoxStyle,
  type TrackListPart,
  type TrackSizingFunction,
} from '../engine/box/style.js';
import { formatTrackSize } from '../engine/css/trackSize.js';
import { trackText } from '../engine/css/trackText.js';
import { countRepetitions } from '../engine/grid/repetitions.js';
import { asLanes } from '../arrangements/masonry/values.js';
import { asManyAsFit } from '../arrangements/fluid/values.js';
import { evenShares } from '../arrangements/shared/columnCount.js';
import { HOLDING } from '../arrangements/index.js';
import { LIMITS } from '../document/limits.js';
import type { Arrangement, TrackSize } from '../document/types.js';

/** Says what became of a property: it was changed, or left out. */
export type Say = (property: string, message: string, became?: 'changed' | 'left out') => void;

/**
 * A grid's style at a width as the arrangement of a bento; px of `width` are what shares refer to.
 * @param around styles of what it lies in: it is as far from the edges of the page as in these; null: it is a tile
 */
export function toArrangement(
  style: BoxStyle,
  width: number,
  say: Say,
  around: readonly BoxStyle[] | null,
): Arrangement {
  // What is around a tile is the business of the grid that it lies in.
  const boxes = around ? [...around, style] : [{ ...style, margin: INITIAL_STYLE.margin }];
  const { insets, most } = withinPage(boxes, width);
  const side = (k: 0 | 1 | 2 | 3) => Math.min(LIMITS.padding, Math.max(0, rounded(insets[k])));
  const inner = Math.max(0, width - side(1) - side(3));
  const gap = (property: 'columnGap' | 'rowGap', name: string) => {
    const value = style[property];
    if (value === 'normal') return 0;
    if (typeof value !== 'number') say(name, `is imported as the px that it comes to at ${width} px`);
    return Math.min(LIMITS.gap, Math.max(0, rounded(resolveLength(value, inner))));
  };
  const columnGap = gap('columnGap', 'column-gap');
  const fitting = fittingIn(style, columnGap);
  const isLanes = style.display === 'lanes';
  const columns =
    fitting || isLanes
      ? evenShares(fitting?.max ?? laneCount(style))
      : columnTracks(style, inner, columnGap, say);
  if (style.flowAxis === 'column')
    say('grid-auto-flow', 'flows by columns; a bento flows by rows, so it flows by rows now');
  for (const [name, value, initial] of [
    ['justify-content', style.justifyContent, INITIAL_STYLE.justifyContent],
    ['align-content', style.alignContent, INITIAL_STYLE.alignContent],
    ['justify-items', style.justifyItems, INITIAL_STYLE.justifyItems],
    ['align-items', style.alignItems, INITIAL_STYLE.alignItems],
  ] as const) {
    if (value.at !== initial.at && value.at !== 'stretch')
      say(name, 'is left out: tiles fill their cells', 'left out');
  }
  if (typeof style.maxInlineSize === 'object')
    say('max-width', 'is left out: a maximum is a number of px', 'left out');
  const kind = isLanes
    ? asLanes(
        {},
        {
          count: fitting ? null : laneCount(style),
          ...(fitting && { min: fitting.min, max: fitting.max }),
          ...lanesIn(style),
        },
      )
    : fitting && asManyAsFit({}, fitting);
  return {
    kind: HOLDING,
    columns,
    rows: rowTracks(style.rows.parts, 'grid-template-rows', say),
    autoRows: rowSize(style.autoRows[0], 'grid-auto-rows', say) ?? '160px',
    columnGap,
    rowGap: gap('rowGap', 'row-gap'),
    padding: { blockStart: side(0), inlineEnd: side(1), blockEnd: side(2), inlineStart: side(3) },
    flow: style.dense ? 'dense' : 'sparse',
    maxInlineSize: most === null ? null : Math.max(LIMITS.narrowest, Math.min(10_000, rounded(most))),
    ...kind,
  };
}

/**
 * How far what lies in boxes is from the edges of the page, and how wide all of it is at most, px: margins, borders
 * and paddings of all of them; none where a maximum is no number.
 * @param boxes each in the one before
 */
function withinPage(
  boxes: readonly BoxStyle[],
  width: number,
): { readonly insets: [number, number, number, number]; readonly most: number | null } {
  const insets: [number, number, number, number] = [0, 0, 0, 0];
  let most: number | null = null;
  boxes.forEach(({ margin, border, padding, maxInlineSize, boxSizing }, at) => {
    const isGrid = at === boxes.length - 1;
    const outside = insets[1] + insets[3];
    for (const k of [0, 1, 2, 3] as const) {
      const own = margin[k];
      insets[k] +=
        (own === 'auto' ? 0 : resolveLength(own, width)) +
        (isGrid ? 0 : border[k]) +
        resolveLength(padding[k], width);
    }
    if (typeof maxInlineSize !== 'number') return;
    const [margins, within] = [1, 3].reduce<readonly [number, number]>(
      ([before, inside], k) => {
        const own = margin[k as 1 | 3];
        return [
          before + (own === 'auto' ? 0 : resolveLength(own, width)),
          inside + border[k as 1 | 3] + resolveLength(padding[k as 1 | 3], width),
        ];
      },
      [0, 0],
    );
    const whole = maxInlineSize + (boxSizing === 'content-box' ? within : 0) + outside + margins;
    most = most === null ? whole : Math.min(most, whole);
  });
  return { insets, most };
}

/** Lanes have no fewer than one. */
const laneCount = ({ columns }: BoxStyle) =>
  Math.max(1, Math.min(LIMITS.columns, written(columns.parts, 1).length));

/** In which order tiles take lanes: in turn where any lane will do. */
const lanesIn = ({ flowTolerance }: BoxStyle) =>
  flowTolerance === Infinity
    ? ({ order: 'in-turn' } as const)
    : ({
        order: 'balanced',
        tolerance: Math.min(LIMITS.track, Math.max(0, resolveLength(flowTolerance, 0))),
      } as const);

/** As many even columns as fit: how wide each is at least, and how many there are at most. */
interface Fitting {
  readonly repeat: 'auto-fit' | 'auto-fill';
  readonly min: number;
  readonly max: number | null;
}

/** Wider than any page, px. */
const WIDE = 100_000;

/** `repeat(auto-fill, minmax(240px, 1fr))` and its kin; null for other columns. */
function fittingIn({ columns }: BoxStyle, gap: number): Fitting | null {
  const [repeat, ...more] = columns.parts.filter(({ kind }) => kind !== 'names');
  if (repeat?.kind !== 'repeat' || typeof repeat.count === 'number' || more.length > 0) return null;
  const [track, ...others] = repeat.parts.filter(({ kind }) => kind !== 'names');
  if (track?.kind !== 'track' || others.length > 0) return null;
  const { min, max } = track.sizing;
  if (max.kind !== 'fr' || min.kind !== 'length') return null;
  const at = (inner: number) => resolveLength(min.value, inner);
  // A column that is never wider than the page is as wide as it until it is as wide as it wants to be.
  let [least, most] = [1, WIDE];
  if (at(1) <= 1.01) {
    while (most - least > 0.01) {
      const middle = (least + most) / 2;
      if (at(middle) >= middle - 0.005) least = middle;
      else most = middle;
    }
  } else least = at(1);
  const wanted = rounded(least);
  if (wanted < 1 || wanted > LIMITS.track) return null;
  // One that grows with the page is a share of it.
  const grown = at(WIDE);
  const count = grown > wanted + 1 ? Math.round((WIDE + gap) / (grown + gap)) : null;
  const within = count === null ? null : Math.max(1, Math.min(LIMITS.columns, count));
  return { repeat: repeat.count, min: wanted, max: within };
}

export const rounded = (value: number) => Math.round(value * 100) / 100;

/** A track list written out, `auto-fill` as often as it fits. */
function written(parts: readonly TrackListPart[], times: number): TrackSizingFunction[] {
  return parts.flatMap((part) => {
    if (part.kind === 'track') return [part.sizing];
    if (part.kind === 'names') return [];
    const count = typeof part.count === 'number' ? part.count : times;
    return Array.from({ length: count }, () => written(part.parts, times)).flat();
  });
}

function columnTracks(style: BoxStyle, inner: number, gap: number, say: Say): TrackSize[] {
  const { parts } = style.columns;
  const property = 'grid-template-columns';
  if (style.columns.kind === 'subgrid') say(property, 'is a subgrid; it has columns of its own now');
  const automatic = parts.some((part) => part.kind === 'repeat' && typeof part.count !== 'number');
  const times = countRepetitions(parts, { space: inner, minSpace: 0, maxSpace: Infinity, gap });
  const sizings = written(parts, times).slice(0, LIMITS.columns);
  if (automatic)
    say(
      property,
      `fits as many columns as there is room for; here that is ${sizings.length}, and a band keeps its number`,
    );
  const named = style.areas?.columns ?? 0;
  while (sizings.length < named)
    sizings.push({ min: { kind: 'auto' }, max: { kind: 'fr', value: 1 }, fitLimit: null });
  if (sizings.length === 0) return ['1fr'];
  return sizings.map((sizing) => {
    const { min, max } = sizing;
    // A plain share shrinks to what is in it on a page; a share here shrinks to nothing, as designers mean it.
    const isFree = min.kind === 'auto' || (min.kind === 'length' && min.value === 0);
    if (max.kind === 'fr' && (isFree || automatic)) return `${rounded(max.value)}fr`;
    const written = formatTrackSize(trackText(sizing));
    if (written !== null) return written;
    say(property, 'has a width that is out of bounds; it became an equal share');
    return '1fr';
  });
}

function rowTracks(parts: readonly TrackListPart[], property: string, say: Say): TrackSize[] {
  const rows: TrackSize[] = [];
  for (const sizing of written(parts, 1).slice(0, LIMITS.rows))
    rows.push(rowSize(sizing, property, say) ?? '160px');
  return rows;
}

function rowSize(sizing: TrackSizingFunction | undefined, property: string, say: Say): TrackSize | null {
  if (!sizing) return null;
  const written = formatTrackSize(trackText(sizing));
  if (written === null) say(property, 'has a row that is out of bounds; it is 160 px high now');
  return written;
}
