import { kindOf } from '../../arrangements/index.js';
import { clone } from '../../document/clone.js';
import { forgetTiles, removeTiles } from '../commands/tiles.js';
import { withContents } from '../../document/levels.js';
import { addTiles, tilesFrom } from '../recipes/commands.js';
import { fillRow, type Row, type WritableTile } from './fillRow.js';
import type { Draft } from '../commands/draft.js';
import type { Command } from '../patch/change.js';
import type {
  CellFormat,
  CollectionDocument,
  Recipe,
  Table,
  TableId,
  Tile,
  TileId,
} from '../../document/types.js';
import type { ReadTable } from './readTable.js';

export interface ImportTable {
  readonly id: TableId;
  readonly name: string;
  readonly recipe: Recipe;
  readonly variant: string | null;
  readonly key: string;
  readonly mapping: Readonly<Record<string, string>>;
  /** By columns; left out: cells are as they are written. */
  readonly formats?: Readonly<Record<string, CellFormat>>;
  readonly position: number;
  readonly freshId: (tile: Tile) => TileId;
}

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** @throws RangeError when two rows have the same key, or one has none; the message names them */
function byKey(rows: readonly Row[], key: string): Map<string, Row> {
  const all = new Map<string, Row>();
  rows.forEach((row, k) => {
    const value = row[key] ?? '';
    if (value === '') throw new RangeError(`Row ${k + 1} has no “${key}”. Fill it, or choose another key.`);
    if (all.has(value))
      throw new RangeError(`Two rows have the “${key}” ${value}. Choose a column that tells all rows apart.`);
    if (value === '__proto__') throw new RangeError(`Row ${k + 1}: “${value}” can’t be a key.`);
    all.set(value, row);
  });
  return all;
}

const passes = ({ filter }: Pick<Table, 'filter'>, row: Row) =>
  !filter ||
  filter.words.trim() === '' ||
  (row[filter.column] ?? '').toLowerCase().includes(filter.words.trim().toLowerCase());

/** Keys in the order in which their tiles come: that of the sort, else as they came in. */
function sortedKeys({ sort, rows, order: keys }: Pick<Table, 'sort' | 'rows' | 'order'>): readonly string[] {
  if (!sort) return keys;
  const cell = (key: string) => rows[key]?.[sort.column] ?? '';
  const sorted = keys.toSorted((a, b) => collator.compare(cell(a), cell(b)));
  return sort.descending ? sorted.reverse() : sorted;
}

/** Makes a tile of every row of a table, with the spans of its recipe where tiles take cells. */
export function importTable(read: ReadTable, options: ImportTable): Command {
  const rows = byKey(read.rows, options.key);
  return (draft) => {
    const { id, name, recipe, key, mapping, formats = {} } = options;
    (draft.recipes ??= {})[recipe.id] ??= clone(recipe) as NonNullable<Draft['recipes']>[string];
    const table: Table = {
      id,
      name,
      recipe: recipe.id,
      columns: read.columns,
      key,
      mapping,
      ...(Object.keys(formats).length > 0 && { formats }),
      sort: null,
      filter: null,
      order: [...rows.keys()],
      rows: Object.fromEntries(rows),
      tiles: {},
      aside: {},
    };
    const tiles: Record<string, TileId> = {};
    [...rows].forEach(([value, row], k) => {
      tiles[value] = addRow(draft, table, row, options.position + k, options.variant, options.freshId);
    });
    (draft.tables ??= {})[id] = clone({ ...table, tiles });
  };
}

function addRow(
  draft: Draft,
  table: Table,
  row: Row,
  position: number,
  variant: string | null,
  freshId: (tile: Tile) => TileId,
): TileId {
  const recipe = draft.recipes?.[table.recipe] as Recipe;
  const made = tilesFrom(recipe, variant, freshId).map((tile) => clone<Tile>(tile));
  const [root] = made;
  // Spans are meant for cells: in lanes and galleries a tile is as the others are.
  if (root && kindOf(draft.arrangement).cells === null)
    Object.assign(root, { place: { ...root.place, columnSpan: 1, rowSpan: 1 } });
  fillRow(draft, table, made, row);
  addTiles(draft, made, position);
  return made[0]?.id as TileId;
}

/** What a table that came in anew is otherwise, by key. */
export interface TableReport {
  /** Rows with other cells, and which slots of their tiles took them. */
  readonly changed: Readonly<Record<string, readonly string[]>>;
  readonly came: readonly string[];
  readonly went: readonly string[];
  /** Rows with other cells whose tiles keep what was changed by hand, by key, with the columns. */
  readonly kept: Readonly<Record<string, readonly string[]>>;
}

/**
 * Takes a table in anew: cells that changed go to their tiles, unless those were changed by hand; new
 * rows become tiles, and tiles of rows that went are removed, or stay by themselves.
 * @throws RangeError when the key no longer tells rows apart, or is no column any more
 */
export function updateTable(
  document: CollectionDocument,
  id: TableId,
  read: ReadTable,
  { freshId, removeGone }: { readonly freshId: (tile: Tile) => TileId; readonly removeGone: boolean },
): { readonly command: Command; readonly report: TableReport } {
  const table = document.tables?.[id];
  if (!table) throw new RangeError(`There is no table “${id}”.`);
  if (!read.columns.includes(table.key))
    throw new RangeError(`The column “${table.key}”, which tells rows apart, is not there any more.`);
  const rows = byKey(read.rows, table.key);
  const came = [...rows.keys()].filter((key) => !Object.hasOwn(table.rows, key));
  const went = Object.keys(table.rows).filter((key) => !rows.has(key));
  const changed: Record<string, string[]> = {};
  const kept: Record<string, string[]> = {};
  const command: Command = (draft) => {
    const own = draft.tables?.[id];
    if (!own) return;
    for (const [key, row] of rows) {
      const before = table.rows[key];
      if (!before) continue;
      const tiles = tilesOfRow(draft, own, key);
      const slots = fillRow(draft, own, tiles, row, before);
      const asked = Object.entries(table.mapping).filter(([, column]) => before[column] !== row[column]);
      const left = asked.filter(([slot]) => !slots.includes(slot)).map(([, column]) => column);
      if (slots.length > 0) changed[key] = slots;
      if (left.length > 0) kept[key] = left;
    }
    for (const key of went) {
      const tile = own.tiles[key];
      if (removeGone && tile !== undefined) removeAnywhere(draft, tile);
      delete own.tiles[key];
      delete own.aside[key];
    }
    own.order = [...rows.keys()];
    own.rows = clone(Object.fromEntries(rows));
    own.columns = [...read.columns];
    const variant = variantOf(draft, own);
    for (const key of came) {
      const row = rows.get(key) as Row;
      own.tiles[key] = addRow(draft, own, row, draft.order.length, variant, freshId);
    }
    arrange(draft, own);
  };
  // Running it on a copy tells what it does.
  const rehearsal = clone(document) as unknown as Draft;
  command(rehearsal);
  return { command, report: { changed, came, went, kept } };
}

const variantOf = (draft: Draft, table: Table) =>
  Object.values(table.tiles).map((tile) => draft.tiles[tile]?.recipe?.variant ?? null)[0] ?? null;

function tilesOfRow(draft: Draft, table: Table, key: string): WritableTile[] {
  const root = table.tiles[key];
  const shown =
    root !== undefined && draft.tiles[root]
      ? withContents(draft as CollectionDocument, root).flatMap((id) => draft.tiles[id] ?? [])
      : [];
  const aside = draft.tables?.[table.id]?.aside[key] ?? [];
  return [...shown, ...aside];
}

function removeAnywhere(draft: Draft, tile: TileId): void {
  const inside = draft.order.includes(tile);
  if (inside) removeTiles([tile])(draft);
  else
    for (const group of Object.values(draft.tiles)) {
      if (group.kind !== 'group' || !group.order.includes(tile)) continue;
      forgetTiles(draft, withContents(draft, tile));
      group.order = group.order.filter((id) => id !== tile);
    }
}

/** Puts the tiles of a table in the order of its sort, at the places that they have, and filters them. */
function arrange(draft: Draft, table: Table): void {
  const own = draft.tables?.[table.id];
  if (!own) return;
  const shown = (key: string) => passes(table, table.rows[key] ?? {});
  for (const key of Object.keys(table.rows)) {
    const root = own.tiles[key];
    if (!shown(key) && root !== undefined && draft.order.includes(root)) {
      own.aside[key] = clone(
        withContents(draft as CollectionDocument, root).map((id) => draft.tiles[id]),
      ) as (typeof own.aside)[string];
      removeTiles([root])(draft);
      delete own.tiles[key];
    }
    const set = own.aside[key];
    if (shown(key) && set) {
      addTiles(draft, clone(set), draft.order.length);
      own.tiles[key] = set[0]?.id as TileId;
      delete own.aside[key];
    }
  }
  const wanted = sortedKeys(table).flatMap((key) => {
    const tile = own.tiles[key];
    return tile !== undefined && draft.order.includes(tile) ? [tile] : [];
  });
  const mine = new Set(wanted);
  let next = 0;
  draft.order = draft.order.map((id) => (mine.has(id) ? (wanted[next++] as TileId) : id));
}

/** Sorts the tiles of a table among the places that they have. */
export function sortTable(id: TableId, sort: Table['sort']): Command {
  return (draft) => {
    const table = draft.tables?.[id];
    if (!table) return;
    table.sort = sort;
    arrange(draft, table);
  };
}

/** Shows the tiles of those rows that have words in a column; the others are set aside as they are. */
export function filterTable(id: TableId, filter: Table['filter']): Command {
  return (draft) => {
    const table = draft.tables?.[id];
    if (!table) return;
    table.filter = filter;
    arrange(draft, table);
  };
}

/** Lets a table go; its tiles stay, and follow no rows any more. */
export function removeTable(id: TableId): Command {
  return (draft) => {
    delete draft.tables?.[id];
  };
}
