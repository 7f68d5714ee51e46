import { fittingTracks } from '../shared/fittingTracks.js';
import { gridCss } from '../shared/gridCss.js';
import { spanIn } from './columns.js';
import { fluidOf } from './values.js';
import type { CssInput, LevelCss } from '../kind.js';

/** As many columns as fit, through which tiles flow; a span takes no more columns than there are. */
export function fluidToCss(input: CssInput): LevelCss {
  const { band, columns } = input;
  const { repeat, min, max } = fluidOf(band.arrangement);
  return gridCss(input, {
    columns: fittingTracks(repeat, { min, max }, band.arrangement.columnGap),
    areas: 'none',
    place: ({ columnSpan, rowSpan }) => ({
      'grid-column': `span ${spanIn(band, columnSpan, columns.length)}`,
      'grid-row': `span ${rowSpan}`,
    }),
  });
}
