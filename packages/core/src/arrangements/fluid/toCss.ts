import { fittingTracks } from '../shared/fittingTracks.js';
import { gridCss } from '../shared/gridCss.js';
import { spansIn } from './columns.js';
import { fluidOf } from './values.js';
import type { CssInput, LevelCss } from '../kind.js';

/** As many columns as fit, through which tiles flow; a span takes no more columns than there are. */
export function fluidToCss(input: CssInput): LevelCss {
  const { band, columns } = input;
  const { repeat, min, max } = fluidOf(band.arrangement);
  return gridCss(input, {
    columns: fittingTracks(repeat, { min, max }, band.arrangement.columnGap),
    areas: 'none',
    place: (place) => {
      const { columnSpan, rowSpan } = spansIn(band, place, columns.length);
      return { 'grid-column': `span ${columnSpan}`, 'grid-row': `span ${rowSpan}` };
    },
  });
}
