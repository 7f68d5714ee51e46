import { isObject } from '../../document/checks.js';

type Fields = Readonly<Record<string, unknown>>;

const fieldsOf = (value: unknown): Fields => (isObject(value) ? value : {});
const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? (value as unknown[]) : []);

/** How many columns an arrangement lists; null where it lists none of its own. */
const columnsOf = (arrangement: unknown): number | null => {
  const { columns } = fieldsOf(arrangement);
  return Array.isArray(columns) ? columns.length : null;
};

/** Every tile with the group it is in; the collection’s own with null. */
function* tilesWithLevel(
  tiles: Fields,
  order: unknown,
): Generator<readonly [id: string, level: string | null]> {
  for (const id of listOf(order)) yield [String(id), null];
  for (const [group, tile] of Object.entries(tiles))
    for (const id of listOf(fieldsOf(tile).order)) yield [String(id), group];
}

/**
 * From version 2 to 3: a pin is inherited by narrower bands where its column is there. A band that has
 * other columns than the one whose pin it would inherit says that the tile flows, as it did; where the
 * columns are as many, the pin is inherited. What is not sound is left for the check to say.
 */
export function fromVersion2(document: Fields): Record<string, unknown> {
  const tiles = fieldsOf(document.tiles);
  const bands = listOf(document.bands);
  const free = bands.map(() => new Set<string>());
  for (const [id, level] of tilesWithLevel(tiles, document.order)) {
    const arrangement = level === null ? document.arrangement : fieldsOf(tiles[level]).arrangement;
    let columns = columnsOf(arrangement);
    let pin = fieldsOf(fieldsOf(tiles[id]).place).pin ?? null;
    bands.forEach((band, k) => {
      const { tiles: places, groups, arrangement: own } = fieldsOf(band);
      const here = columnsOf(level === null ? own : fieldsOf(groups)[level]) ?? columns;
      const said = fieldsOf(fieldsOf(places)[id]).pin;
      if (said === undefined && pin !== null && here !== columns) {
        free[k]?.add(id);
        pin = null;
      } else if (said !== undefined) pin = said;
      columns = here;
    });
  }
  return {
    ...document,
    bands: bands.map((band, k) => {
      const ids = free[k];
      if (!isObject(band) || !ids || ids.size === 0) return band;
      const places = fieldsOf(band.tiles);
      const freed = [...ids].map((id) => [id, { ...fieldsOf(places[id]), pin: null }] as const);
      return { ...band, tiles: { ...places, ...Object.fromEntries(freed) } };
    }),
    formatVersion: 3,
  };
}
