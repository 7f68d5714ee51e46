import { measuredIn } from '../../document/measured.js';
import { layoutBox } from '../../engine/box/layoutBox.js';
import { countColumns } from '../shared/columnCount.js';
import { masonryOf, toleranceOf } from './values.js';
import { evenColumn } from '../../geometry/evenColumn.js';
import { placeLanes, type LaneItem } from '../../engine/lanes/placeLanes.js';
import { tracksOfOneSize, customLevel, putTile, type CustomTile } from '../shared/boxes.js';
import { aspectOf } from '../shared/shape.js';
import type { Box, Fragment } from '../../engine/box/box.js';
import type { LevelBox, LevelInput } from '../kind.js';

/** Masonry: lanes of one width; pictures keep their aspect, other tiles are as high as their content. */
export function masonryBox(input: LevelInput): LevelBox {
  const { document, band, content } = input;
  const { columnGap, rowGap } = measuredIn(band);
  const lanes = masonryOf(measuredIn(band));
  return customLevel(input, {
    boxOf: (tile) => (aspectOf(document, tile) === null ? content(tile) : null),
    lay: (tiles) => {
      const items = tiles.map(({ place }): LaneItem => ({ lane: null, span: place.columnSpan }));
      const aspects = tiles.map(({ tile }) => aspectOf(document, tile));
      return ({ inlineSize: inner, frame }) => {
        const count = countColumns(lanes, inner, columnGap);
        const width = evenColumn(inner, count, columnGap);
        const spanOf = (k: number) => Math.min((items[k] as LaneItem).span, count);
        const fragments: Fragment[] = [];
        const { lane, start, ends } = placeLanes(
          items,
          (k) => {
            const inlineSize = Math.max(0, spanOf(k) * (width + columnGap) - columnGap);
            const fragment = filled((tiles[k] as CustomTile).box, inlineSize, aspects[k] ?? null);
            fragments[k] = fragment;
            return fragment.blockSize;
          },
          { lanes: count, gap: rowGap, tolerance: toleranceOf(lanes) },
        );
        fragments.forEach((fragment, k) => {
          fragment.x = frame[3] + (lane[k] as number) * (width + columnGap);
          fragment.y = frame[0] + (start[k] as number);
        });
        return {
          blockSize: Math.max(0, ...ends),
          fragments,
          // One tile a row: none is ever seen before another.
          areas: items.map((_, k) => ({
            column: (lane[k] as number) + 1,
            columnSpan: spanOf(k),
            row: k + 1,
            rowSpan: 1,
          })),
          columns: tracksOfOneSize(count, inner, columnGap, frame[3]),
          rows: [],
        };
      };
    },
  });
}

/** A tile so wide: as high as its aspect makes it, or as its content. */
const filled = (box: Box, inlineSize: number, aspect: number | null): Fragment =>
  aspect !== null
    ? putTile(box, 0, 0, inlineSize, inlineSize / aspect)
    : layoutBox(box, { inline: inlineSize, block: NaN, inlineSize, blockSize: NaN }).fragment;
