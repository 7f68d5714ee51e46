import { measuredIn } from '../../document/measured.js';
import { coverage } from '../../geometry/coverage.js';
import { tracksOfOneSize, customLevel, putTile } from '../shared/boxes.js';
import { moduleCount } from './columns.js';
import { mosaicSlots } from './slots.js';
import type { LevelBox, LevelInput } from '../kind.js';
import type { MosaicLayout, MosaicSlot } from './types.js';

/** A mosaic: tiles on square modules, as many across as there are or as fit. */
export function mosaicBox(input: LevelInput): LevelBox {
  const { document, band } = input;
  const { columnGap, rowGap } = measuredIn(band);
  return customLevel(input, {
    lay: (tiles) => {
      const made = new Map<number, MosaicLayout>();
      return ({ inlineSize: inner, frame }) => {
        const count = moduleCount(measuredIn(band), inner);
        let laid = made.get(count);
        if (!laid) made.set(count, (laid = mosaicSlots(document, band, count)));
        const { slots, rows } = laid;
        const columns = tracksOfOneSize(count, inner, columnGap, frame[3]);
        const module = columns[0]?.size ?? 0;
        const areas = slots.map((slot) => ({ ...slot, column: slot.column + 1, row: slot.row + 1 }));
        return {
          blockSize: Math.max(0, rows * (module + rowGap) - rowGap),
          fragments: tiles.map(({ box }, k) => {
            const { column, row, columnSpan, rowSpan } = slots[k] as MosaicSlot;
            return putTile(
              box,
              frame[3] + column * (module + columnGap),
              frame[0] + row * (module + rowGap),
              columnSpan * (module + columnGap) - columnGap,
              rowSpan * (module + rowGap) - rowGap,
            );
          }),
          areas,
          columns,
          rows: Array.from({ length: rows }, (_, k) => ({
            start: frame[0] + k * (module + rowGap),
            size: module,
          })),
          coverage: coverage(areas, count, rows),
        };
      };
    },
  });
}
