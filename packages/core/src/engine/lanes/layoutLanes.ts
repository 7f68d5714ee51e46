import { movePending, offsetRelative } from '../box/block.js';
import { fitInlineSize, layoutBox } from '../box/layoutBox.js';
import { type LaidOut } from '../box/displays.js';
import { blockSum, resolveSides } from '../box/sizes.js';
import { alignTracks } from '../grid/alignTracks.js';
import {
  alignOf,
  columnItem,
  itemBlockSize,
  itemInlineSize,
  itemOffset,
  justifyOf,
  rowItem,
} from '../grid/gridItem.js';
import { expandTracks, namedLines, resolveWish } from '../grid/lines.js';
import { itemsOf } from '../grid/placeGrid.js';
import { countRepetitions } from '../grid/repetitions.js';
import { sizeTracks } from '../grid/sizeTracks.js';
import { type AxisItem } from '../grid/axisItem.js';
import { gapOf } from '../css/gap.js';
import { initializeTracks, tracksTotal, type AxisTracks } from '../grid/tracks.js';
import { resolveLength } from '../css/length.js';
import { placeLanes, type LaneItem } from './placeLanes.js';
import type { Box, Fragment, Space, Inside } from '../box/box.js';
import type { Constraint, Display, Filled, Pending } from '../box/displays.js';
import type { BoxStyle, TrackSizingFunction } from '../box/style.js';

/** Lanes (CSS Grid 3): tracks in one axis, items one after the other along them. */
export const lanes: Display = { inlineSize: lanesInlineSize, fill: fillLanes };

/** Lanes are columns unless only rows are given. */
const areRows = ({ columns, rows }: BoxStyle) => columns.parts.length === 0 && rows.parts.length > 0;

interface PlannedLanes {
  readonly sizings: readonly TrackSizingFunction[];
  readonly wishes: readonly LaneItem[];
  readonly items: readonly Box[];
}

/** The lanes of a box and where its items wish to be. */
function planLanes(box: Box, space: number, gap: number): PlannedLanes {
  const { style } = box;
  const inRows = areRows(style);
  const template = inRows ? style.rows : style.columns;
  const repetitions = countRepetitions(template.parts, { space, minSpace: 0, maxSpace: Infinity, gap });
  const explicit = expandTracks(template.parts, repetitions);
  const lines = namedLines(inRows ? 'row' : 'column', explicit, style.areas);
  const items = itemsOf(box);
  let before = 0;
  let count = Math.max(1, lines.explicit);
  const wishes = items.map((item) => {
    const { columnStart, columnEnd, rowStart, rowEnd } = item.style;
    const wish = inRows ? resolveWish(rowStart, rowEnd, lines) : resolveWish(columnStart, columnEnd, lines);
    if (wish.start !== null) before = Math.max(before, -wish.start);
    count = Math.max(count, wish.start === null ? wish.span : wish.start + wish.span);
    return wish;
  });
  const auto = inRows ? style.autoRows : style.autoColumns;
  const sizings: TrackSizingFunction[] = [];
  for (let k = 0; k < before + count; k++) {
    const own = explicit.sizings[k - before];
    const later = k - before - explicit.sizings.length;
    const index =
      later >= 0 ? later % auto.length : (auto.length - ((before - k) % auto.length)) % auto.length;
    sizings.push(own ?? (auto[index] as TrackSizingFunction));
  }
  const held = wishes.map(({ start, span }) => ({ lane: start === null ? null : start + before, span }));
  return { sizings, wishes: held, items };
}

/** What items ask of the lanes: one that may lie in any lane asks it of every one (section 3.3). */
function asking(
  { wishes, items, sizings }: PlannedLanes,
  ask: (item: Box, start: number, span: number) => AxisItem,
): AxisItem[] {
  return items.flatMap((item, k) => {
    const { lane, span } = wishes[k] as LaneItem;
    if (lane !== null) return [ask(item, lane, span)];
    return Array.from({ length: Math.max(1, sizings.length - span + 1) }, (_, start) =>
      ask(item, start, Math.min(span, sizings.length)),
    );
  });
}

function sizeLanes(
  plan: PlannedLanes,
  ask: (item: Box, start: number, span: number) => AxisItem,
  space: number,
  constraint: 'none' | Constraint,
  gap: number,
  stretches: boolean,
): AxisTracks {
  const tracks = initializeTracks(plan.sizings, space, new Uint8Array(plan.sizings.length));
  const needed = tracks.hasIntrinsic || (tracks.hasFlex && Number.isNaN(space));
  sizeTracks(tracks, needed ? asking(plan, ask) : [], { space, constraint, gap, minSpace: 0, stretches });
  return tracks;
}

function lanesInlineSize(box: Box, constraint: Constraint): number {
  const { style } = box;
  const gap = gapOf(style.columnGap, NaN);
  if (areRows(style)) {
    // Along its lanes a box is as long as the longest.
    const plan = planLanes(box, NaN, gapOf(style.rowGap, NaN));
    const { ends } = placeLanes(
      plan.wishes,
      (k) =>
        columnItem(plan.items[k] as Box, 0, 1, 0)[
          constraint === 'min-content' ? 'minContentContribution' : 'maxContentContribution'
        ](),
      {
        lanes: plan.sizings.length,
        gap,
        tolerance: resolveLength(style.flowTolerance, NaN),
        goOnAfter: style.lanesGoOnAfter,
      },
    );
    return Math.max(0, ...ends);
  }
  const plan = planLanes(box, NaN, gap);
  const tracks = sizeLanes(
    plan,
    (item, start, span) => columnItem(item, start, span, gap),
    NaN,
    constraint,
    gap,
    false,
  );
  return tracksTotal(tracks, gap);
}

const stretchesContent = (at: string) => at === 'normal' || at === 'stretch';

function fillLanes(box: Box, inside: Inside): Filled {
  return areRows(box.style) ? fillRowLanes(box, inside) : fillColumnLanes(box, inside);
}

function fillColumnLanes(box: Box, inside: Inside): Filled {
  const { style } = box;
  const { frame } = inside;
  const gap = gapOf(style.columnGap, inside.inlineSize);
  const along = gapOf(style.rowGap, inside.blockSize);
  const plan = planLanes(box, inside.inlineSize, gap);
  const tracks = sizeLanes(
    plan,
    (item, start, span) => columnItem(item, start, span, gap),
    inside.inlineSize,
    'none',
    gap,
    stretchesContent(style.justifyContent.at),
  );
  const { starts } = alignTracks(
    tracks,
    gap,
    inside.inlineSize - tracksTotal(tracks, gap),
    style.justifyContent,
  );
  const width = (k: number, lane: number) => {
    const last = lane + Math.min((plan.wishes[k] as LaneItem).span, plan.sizings.length) - 1;
    return (starts[last] as number) + (tracks.baseSize[last] as number) - (starts[lane] as number);
  };
  const laid: (LaidOut | undefined)[] = plan.items.map(() => undefined);
  const margins = (k: number, area: number) => resolveSides((plan.items[k] as Box).style.margin, area);
  const { lane, start, ends } = placeLanes(
    plan.wishes,
    (k, at) => {
      const item = plan.items[k] as Box;
      const space: Space = { inline: width(k, at), block: NaN, inlineSize: NaN, blockSize: NaN };
      const inlineSize = itemInlineSize(item, space, justifyOf(item.style, style));
      const done = layoutBox(item, { ...space, inlineSize });
      laid[k] = done;
      return done.fragment.blockSize + blockSum(margins(k, space.inline));
    },
    {
      lanes: plan.sizings.length,
      gap: along,
      tolerance: resolveLength(style.flowTolerance, inside.blockSize),
      goOnAfter: style.lanesGoOnAfter,
    },
  );
  const content = Math.max(0, ...ends);
  const blockSize = Number.isNaN(inside.blockSize)
    ? Math.max(inside.minBlockSize, Math.min(content, inside.maxBlockSize))
    : inside.blockSize;
  const shift = contentShift(blockSize - content, style.alignContent.at, style.alignContent.safe);
  const rtl = style.direction === 'rtl';
  return collect(box, inside, laid, blockSize, (k, fragment) => {
    const area = width(k, lane[k] as number);
    const margin = margins(k, area);
    const own = (plan.items[k] as Box).style;
    const side = (s: 1 | 3): number | 'auto' => (own.margin[s] === 'auto' ? 'auto' : margin[s]);
    const justify = justifyOf(own, style);
    const [before, after] = rtl ? ([side(1), side(3)] as const) : ([side(3), side(1)] as const);
    const offset =
      (starts[lane[k] as number] as number) + itemOffset(area, fragment.inlineSize, before, after, justify);
    fragment.x = frame[3] + (rtl ? inside.inlineSize - offset - fragment.inlineSize : offset);
    fragment.y = frame[0] + shift + (start[k] as number) + margin[0];
    return { inline: area, block: NaN };
  });
}

function fillRowLanes(box: Box, inside: Inside): Filled {
  const { style } = box;
  const { frame } = inside;
  const gap = gapOf(style.rowGap, inside.blockSize);
  const along = gapOf(style.columnGap, inside.inlineSize);
  const plan = planLanes(box, inside.blockSize, gap);
  const tracks = sizeLanes(
    plan,
    (item, start, span) =>
      rowItem(item, start, span, gap, inside.inlineSize, {
        ...style,
        justifyItems: { at: 'start', safe: false },
      }),
    inside.blockSize,
    'none',
    gap,
    stretchesContent(style.alignContent.at),
  );
  const total = tracksTotal(tracks, gap);
  const blockSize = Number.isNaN(inside.blockSize)
    ? Math.max(inside.minBlockSize, Math.min(total, inside.maxBlockSize))
    : inside.blockSize;
  const { starts } = alignTracks(tracks, gap, blockSize - total, style.alignContent);
  const height = (k: number, lane: number) => {
    const last = lane + Math.min((plan.wishes[k] as LaneItem).span, plan.sizings.length) - 1;
    return (starts[last] as number) + (tracks.baseSize[last] as number) - (starts[lane] as number);
  };
  const laid: (LaidOut | undefined)[] = plan.items.map(() => undefined);
  const { lane, start, ends } = placeLanes(
    plan.wishes,
    (k, at) => {
      const item = plan.items[k] as Box;
      const space: Space = {
        inline: inside.inlineSize,
        block: height(k, at),
        inlineSize: NaN,
        blockSize: NaN,
      };
      const given = itemBlockSize(item, space, alignOf(item.style, style), false);
      const inlineSize = fitInlineSize(item, { ...space, blockSize: given });
      const done = layoutBox(item, { ...space, inlineSize, blockSize: given });
      laid[k] = done;
      const margin = resolveSides(item.style.margin, inside.inlineSize);
      return done.fragment.inlineSize + margin[1] + margin[3];
    },
    {
      lanes: plan.sizings.length,
      gap: along,
      tolerance: resolveLength(style.flowTolerance, inside.inlineSize),
      goOnAfter: style.lanesGoOnAfter,
    },
  );
  const content = Math.max(0, ...ends);
  const shift = contentShift(inside.inlineSize - content, style.justifyContent.at, style.justifyContent.safe);
  const rtl = style.direction === 'rtl';
  return collect(box, inside, laid, blockSize, (k, fragment) => {
    const area = height(k, lane[k] as number);
    const own = (plan.items[k] as Box).style;
    const margin = resolveSides(own.margin, inside.inlineSize);
    const side = (s: 0 | 2): number | 'auto' => (own.margin[s] === 'auto' ? 'auto' : margin[s]);
    const offset = shift + (start[k] as number) + margin[rtl ? 1 : 3];
    fragment.x = frame[3] + (rtl ? inside.inlineSize - offset - fragment.inlineSize : offset);
    fragment.y =
      frame[0] +
      (starts[lane[k] as number] as number) +
      itemOffset(area, fragment.blockSize, side(0), side(2), alignOf(own, style));
    return { inline: inside.inlineSize, block: area };
  });
}

/** Where all lanes begin along their direction, as `align-content` says for one whole. */
function contentShift(free: number, at: string, safe: boolean): number {
  if (free < 0 && (safe || at.startsWith('space'))) return 0;
  if (at === 'end') return free;
  return at === 'center' || at === 'space-around' || at === 'space-evenly' ? free / 2 : 0;
}

function collect(
  box: Box,
  { frame, inlineSize }: Inside,
  laid: readonly (LaidOut | undefined)[],
  blockSize: number,
  put: (k: number, fragment: Fragment) => { readonly inline: number; readonly block: number },
): Filled {
  const children: Fragment[] = [];
  const pending: Pending[] = [];
  laid.forEach((done, k) => {
    if (!done) return;
    const basis = put(k, done.fragment);
    offsetRelative(done.fragment, basis.inline, basis.block);
    children.push(done.fragment);
    pending.push(...movePending(done.pending, done.fragment));
  });
  for (const child of box.children) {
    if (child.style.position !== 'absolute') continue;
    pending.push({
      box: child,
      at: { x: frame[3], y: frame[0], inlineSize, blockSize },
      justify: justifyOf(child.style, box.style),
      align: alignOf(child.style, box.style),
      rtl: box.style.direction === 'rtl',
    });
  }
  return { blockSize, children, pending };
}
