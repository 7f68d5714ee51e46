import { plainTrackSize } from '../../engine/css/trackSize.js';
import { resolvedBandAt } from '../../arrangements/bands.js';
import { tileSize } from '../../parts/tileSize.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';
import type { Span } from './fillCells.js';

/** What tiles bear at a width, and how large spans are there. */
export interface Bearing {
  /** Whether a tile's words fit a span, and its picture is not cropped too far. */
  readonly allows: (tile: TileId, span: Span) => boolean;
  /** Inline ÷ block of a span; null where rows follow their content. */
  readonly aspectOf: (span: Span) => number | null;
}

const SLACK = 0.5;

/**
 * What the tiles of a level bear at a width of the page, by its even column and common row: no word
 * sticks out, no text is clipped where rows have a height of their own, and at most a share of a
 * picture is cropped away.
 * @param inlineSize px of the level's border box; the page's width for the collection itself
 * @param mostCrop 0 to 1
 * @throws whatever the measurer throws
 */
export function bearingAt(
  document: CollectionDocument,
  width: number,
  inlineSize: number,
  mostCrop: number,
  measurer: TextMeasurer,
): Bearing {
  const { arrangement, columns } = resolvedBandAt(document, width);
  const { columnGap, rowGap, padding, maxInlineSize } = arrangement;
  const inner = Math.min(inlineSize, maxInlineSize ?? Infinity) - padding.inlineStart - padding.inlineEnd;
  const count = columns.length;
  const column = Math.max(1, (inner - (count - 1) * columnGap) / count);
  const row = plainTrackSize(arrangement.autoRows);
  const across = (columns: number) => columns * column + (columns - 1) * columnGap;
  const down = row?.unit === 'px' ? (rows: number) => rows * row.value + (rows - 1) * rowGap : null;
  const sizes = new Map<TileId, ReturnType<typeof tileSize>>();
  const sizeOf = (tile: Tile) => {
    let size = sizes.get(tile.id);
    if (!size) sizes.set(tile.id, (size = tileSize(document, tile, measurer)));
    return size;
  };
  const aspectOf = ({ columns, rows }: Span) => (down ? across(columns) / down(rows) : null);
  const allows = (id: TileId, span: Span): boolean => {
    const tile = document.tiles[id];
    if (!tile || tile.kind === 'group') return true;
    if (tile.kind === 'picture') {
      const picture = tile.picture === null ? undefined : document.pictures[tile.picture];
      const slot = aspectOf(span);
      if (!picture || slot === null) return true;
      const aspect = picture.inlineSize / picture.blockSize;
      return 1 - Math.min(aspect / slot, slot / aspect) <= mostCrop;
    }
    const size = sizeOf(tile);
    if (size.minInlineSize > across(span.columns) + SLACK) return false;
    return !down || size.blockSizeAt(across(span.columns)) <= down(span.rows) + SLACK;
  };
  return { allows, aspectOf };
}
