import { parseAreas } from '../../engine/css/parseTracks.js';
import { whileSame } from '../../memo.js';
import { hasCell } from '../../geometry/relations.js';
import type { AreaMap } from '../../engine/box/style.js';
import type { GridArea } from '../../geometry/area.js';
import type { Arrangement } from '../../document/types.js';

/** A cell of the map that belongs to no area. */
export const NO_AREA = '.';

/** The rows of the map as lists of names, each as long as there are columns. */
export function mapRows({ areas = [], columns }: Pick<Arrangement, 'areas' | 'columns'>): string[][] {
  return areas.map((row) => {
    const names = row.trim().split(/\s+/);
    return Array.from({ length: columns.length }, (_, k) => names[k] ?? NO_AREA);
  });
}

/** Every tile in an area asks for it, at every step of a drag. */
const parsed = whileSame<readonly string[], AreaMap | null>();

/** The map as the grid has it: cut off at its last column. Null: no areas. */
export function areaMap(arrangement: Pick<Arrangement, 'areas' | 'columns'>): AreaMap | null {
  const { areas, columns } = arrangement;
  if (!areas || areas.length === 0) return null;
  return parsed(areas, [columns.length], () => parseAreas(mapRows(arrangement).map((row) => row.join(' '))));
}

/** The name of the area that a cell belongs to, 1-based; null where it belongs to none. */
export function areaAt(
  arrangement: Pick<Arrangement, 'areas' | 'columns'>,
  cell: Pick<GridArea, 'column' | 'row'>,
): string | null {
  const names = [...(areaMap(arrangement)?.areas.keys() ?? [])];
  return names.find((name) => hasCell(areaIn(arrangement, name) as GridArea, cell)) ?? null;
}

/** The cells of a named area; null when the map has none of that name. */
export function areaIn(arrangement: Pick<Arrangement, 'areas' | 'columns'>, name: string): GridArea | null {
  const area = areaMap(arrangement)?.areas.get(name);
  return area
    ? {
        column: area.columnStart,
        row: area.rowStart,
        columnSpan: area.columnEnd - area.columnStart,
        rowSpan: area.rowEnd - area.rowStart,
      }
    : null;
}
