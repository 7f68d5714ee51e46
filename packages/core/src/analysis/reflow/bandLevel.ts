import { bandOf, type Band } from '../../document/bands.js';
import { LIMITS } from '../../document/limits.js';
import { cellsOf, isHidden } from '../../arrangements/cells.js';
import { HOLDING } from '../../arrangements/index.js';
import type { ResolvedBand } from '../../arrangements/bands.js';
import { levelLayout, layoutCollection } from '../../layout/layout.js';
import type { Draft } from '../../edit/commands/draft.js';
import type { GridArea } from '../../geometry/area.js';
import type { Level } from '../../document/levels.js';
import type { LevelWidths } from '../bearing.js';
import type { CollectionDocument, Tile } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** How wide a level is at both ends of a band. */
export function widthsOf(
  document: CollectionDocument,
  level: Level,
  index: number,
  measurer: TextMeasurer,
): LevelWidths {
  const band = bandOf(document, index);
  const lowPage = Math.max(LIMITS.narrowest, Math.ceil(band.from));
  const highPage = Math.max(lowPage, Math.min(LIMITS.widest, band.below - 1));
  if (level === null) return { low: lowPage, high: highPage, lowPage, highPage };
  const at = (width: number) =>
    levelLayout(layoutCollection(document, width, { measurer }), level)?.layout.inlineSize ?? width;
  const sizes = [at(lowPage), at(highPage)];
  return { low: Math.min(...sizes), high: Math.max(...sizes), lowPage, highPage };
}

/** A derived band has even columns and common rows, and no areas. */
export const derivedBand = (band: Band): Pick<Band, 'index' | 'arrangement'> => ({
  index: band.index,
  arrangement: { ...band.arrangement, kind: HOLDING, rows: [], areas: [] },
});

/** The tiles of a level that show in a band, with their cells, in reading order. */
export function placedTiles(
  view: CollectionDocument,
  band: ResolvedBand,
): { tile: Tile; area: GridArea; position: number }[] {
  const areas = cellsOf(view, band);
  return view.order.flatMap((id, position) => {
    const tile = view.tiles[id];
    const area = areas[position] as GridArea;
    return tile && !isHidden(area) ? [{ tile, area, position }] : [];
  });
}

/** Makes a band a grid of so many even columns. */
export function setColumns(own: Draft['bands'][number], columns: number, band: Band): void {
  own.arrangement.columns = Array.from({ length: columns }, () => '1fr');
  if (band.arrangement.rows.length > 0) own.arrangement.rows = [];
  if ((band.arrangement.areas ?? []).length > 0) own.arrangement.areas = [];
  if (band.arrangement.kind !== HOLDING) own.arrangement.kind = HOLDING;
}
