import { areaMap, NO_AREA } from '../../arrangements/bento/areaMap.js';
import { AREA_NAME } from '../../document/spellings.js';
import { LIMITS } from '../../document/limits.js';

const AREAS = /^areas\b\s*(.*)$/is;
const LIKE =
  'Write a name for each cell, a dot for one without, and a stroke between rows: “areas top top / side main”';

/**
 * A map of named areas, as CSS has it in `grid-template-areas`, with strokes between its rows; what is
 * missing at the end of a row belongs to none. Null: no areas are said.
 * @throws RangeError when it is no map, or an area no rectangle
 */
export function readAreas(part: string): string[][] | null {
  const said = AREAS.exec(part)?.[1];
  if (said === undefined) return null;
  const rows = said
    .replace(/["“”]/g, ' ')
    .split('/')
    .map((row) => row.split(/\s+/).filter(Boolean));
  const columns = Math.max(...rows.map((row) => row.length));
  const names = new Set(rows.flat().filter((name) => !/^\.+$/.test(name)));
  if (names.size === 0) throw new RangeError(`${LIKE}.`);
  if (columns > LIMITS.columns || rows.length > LIMITS.rows)
    throw new RangeError(`At most ${LIMITS.columns} columns and ${LIMITS.rows} rows of areas.`);
  for (const name of names)
    if (!AREA_NAME.test(name)) throw new RangeError(`“${name}” can’t name an area. ${LIKE}.`);
  const whole = rows.map((row) =>
    Array.from({ length: columns }, (_, k) => {
      const name = row[k] ?? NO_AREA;
      return names.has(name) ? name : NO_AREA;
    }),
  );
  const shares = Array.from({ length: columns }, () => '1fr' as const);
  if (!areaMap({ areas: whole.map((row) => row.join(' ')), columns: shares }))
    throw new RangeError('Each area is one rectangle of cells that lie together.');
  return whole;
}
