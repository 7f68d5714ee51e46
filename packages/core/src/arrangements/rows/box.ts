import { measuredIn } from '../../document/measured.js';
import { shownTiles, type Band } from '../../document/bands.js';
import { rowHeightsOf } from './values.js';
import { customLevel, putTile, type CustomTile } from '../shared/boxes.js';
import { shapeOf } from '../shared/shape.js';
import { breakRows } from './breaks.js';
import type { Fragment } from '../../engine/box/box.js';
import type { GridArea } from '../../geometry/area.js';
import type { RowItem } from './layoutRows.js';
import type { Track } from '../../geometry/track.js';
import type { LevelBox, LevelInput } from '../kind.js';
import type { CollectionDocument } from '../../document/types.js';

/** What the rows of a gallery are made of, in the order in which tiles are seen. */
export const rowItems = (document: CollectionDocument, band: Band): RowItem[] =>
  shownTiles(document, band).map(({ tile, place }) => ({
    aspect: shapeOf(document, tile, place),
    breakBefore: place.breakBefore,
  }));

/** Browsers count in 64ths of a px; over many rows the rest would add up. */
const in64ths = (px: number) => Math.floor(px * 64) / 64;

/** A row gallery: rows of one height, each as wide as the gallery. */
export function rowsBox(input: LevelInput): LevelBox {
  const { document, band } = input;
  const { columnGap, rowGap } = measuredIn(band);
  const rowHeights = rowHeightsOf(measuredIn(band));
  return customLevel(input, {
    lay: (tiles) => {
      const items = rowItems(document, band);
      const breaks: Parameters<typeof breakRows>[4] = new Map();
      return ({ inlineSize: inner, frame }) => {
        const broken =
          inner > 0 && items.length > 0 ? breakRows(items, rowHeights, inner, columnGap, breaks) : [];
        const fragments: Fragment[] = [];
        const areas: GridArea[] = [];
        const rows: Track[] = [];
        let y = frame[0];
        broken.forEach(({ first, count, blockSize: wanted }, row) => {
          let x = frame[3];
          let size = 0;
          for (let k = first; k < first + count; k++) {
            const { aspect } = items[k] as RowItem;
            const inlineSize = in64ths(wanted * aspect);
            const blockSize = in64ths(inlineSize / aspect);
            fragments.push(putTile((tiles[k] as CustomTile).box, x, y, inlineSize, blockSize));
            areas.push({ column: k - first + 1, row: row + 1, columnSpan: 1, rowSpan: 1 });
            x += inlineSize + columnGap;
            size = Math.max(size, blockSize);
          }
          rows.push({ start: y, size });
          y += size + rowGap;
        });
        return {
          blockSize: Math.max(0, y - frame[0] - rowGap),
          // A gallery of no width has no rows, and its tiles no size.
          fragments: tiles.map(({ box }, k) => fragments[k] ?? putTile(box, frame[3], frame[0], 0, 0)),
          areas: tiles.map((_, k) => areas[k] ?? { column: 1, row: 1, columnSpan: 1, rowSpan: 1 }),
          columns: [{ start: frame[3], size: inner }],
          rows,
        };
      };
    },
  });
}
