import { fromLine } from '../shared/css.js';
import { gridCss, trackList } from '../shared/gridCss.js';
import { areaIn, mapRows } from './areaMap.js';
import type { CssInput, LevelCss } from '../kind.js';
import type { Arrangement, WholePlace } from '../../document/types.js';
import type { Declarations } from '../../engine/css/rule.js';

/** The listed columns, the map of areas, and tiles at their cells or flowing into free ones. */
export function bentoToCss(input: CssInput): LevelCss {
  const { arrangement } = input.band;
  const map = mapRows(arrangement).map((names) => `"${names.join(' ')}"`);
  return gridCss(input, {
    columns: trackList(arrangement.columns),
    areas: map.length > 0 ? map.join(' ') : 'none',
    place: (place) => placeCss(place, arrangement),
  });
}

/** Spans and lines are pulled into the grid here, as the layout pulls them. */
function placeCss(
  { columnSpan, rowSpan, pin, area }: WholePlace,
  arrangement: Pick<Arrangement, 'areas' | 'columns'>,
): Declarations {
  if (area !== null && areaIn(arrangement, area)) return { 'grid-column': area, 'grid-row': area };
  const { columns } = arrangement;
  const span = Math.min(columnSpan, columns.length);
  const column = pin && Math.min(pin.column, columns.length - span + 1);
  return {
    'grid-column': column ? fromLine(column, span) : `span ${span}`,
    'grid-row': pin ? fromLine(pin.row, rowSpan) : `span ${rowSpan}`,
  };
}
