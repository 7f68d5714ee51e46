import { placeIn, type Band } from '../document/bands.js';
import { px } from '../page/units.js';
import type { ArrangementCss, Declarations } from '../arrangement.js';
import type { BentoArrangement, CollectionDocument, Place, Tile, TrackSize } from '../document/types.js';

/** The CSS of a bento in one band, all values said; the page writer leaves out what is carried. */
export function bentoToCss(document: CollectionDocument, band: Band): ArrangementCss {
  const tiles: Record<string, Declarations> = {};
  for (const id of document.order) {
    tiles[id] = placeCss(placeIn(document, document.tiles[id] as Tile, band.index), band.arrangement);
  }
  return { grid: gridCss(band.arrangement), tiles };
}

function gridCss(arrangement: BentoArrangement): Declarations {
  const { padding } = arrangement;
  return {
    'grid-template-columns': trackList(arrangement.columns),
    'grid-template-rows': arrangement.rows.length > 0 ? trackList(arrangement.rows) : 'none',
    'grid-auto-rows': arrangement.autoRows,
    'grid-auto-flow': arrangement.flow === 'dense' ? 'row dense' : 'row',
    gap: shortest([arrangement.rowGap, arrangement.columnGap]),
    padding: shortest([padding.blockStart, padding.inlineEnd, padding.blockEnd, padding.inlineStart]),
    'max-inline-size': arrangement.maxInlineSize === null ? 'none' : px(arrangement.maxInlineSize),
  };
}

/** A shorthand of two or four sides without the ones that CSS fills in by itself. */
function shortest(sides: readonly number[]): string {
  const [blockStart, inlineEnd, blockEnd, inlineStart] = sides;
  const kept =
    sides.length === 4 && inlineStart !== inlineEnd
      ? sides
      : blockEnd !== undefined && blockEnd !== blockStart
        ? [blockStart, inlineEnd, blockEnd]
        : inlineEnd !== blockStart
          ? [blockStart, inlineEnd]
          : [blockStart];
  return kept.map((side) => px(side ?? 0)).join(' ');
}

/** Spans and lines are pulled into the grid here, as the layout pulls them. */
function placeCss({ columnSpan, rowSpan, pin }: Place, { columns }: BentoArrangement): Declarations {
  const span = Math.min(columnSpan, columns.length);
  const column = pin && Math.min(pin.column, columns.length - span + 1);
  return {
    'grid-column': column ? `${column} / span ${span}` : `span ${span}`,
    'grid-row': pin ? `${pin.row} / span ${rowSpan}` : `span ${rowSpan}`,
  };
}

/** Equal neighbours written once with `repeat()`; `fr` as `minmax(0, …)` so content can't widen it. */
function trackList(tracks: readonly TrackSize[]): string {
  const runs: { size: string; count: number }[] = [];
  for (const track of tracks) {
    const size = track.endsWith('fr') ? `minmax(0, ${track})` : track;
    const last = runs.at(-1);
    if (last?.size === size) last.count++;
    else runs.push({ size, count: 1 });
  }
  return runs.map(({ size, count }) => (count > 1 ? `repeat(${count}, ${size})` : size)).join(' ');
}
