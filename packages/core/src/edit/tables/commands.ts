import { clone } from '../../document/clone.js';
import { forgetTiles, removeTiles } from '../commands/tiles.js';
import { isAddress, readAddress } from '../../engine/css/address.js';
import { LIMITS } from '../../document/limits.js';
import { withContents } from '../../document/levels.js';
import { partIn } from '../../document/card.js';
import { addTiles, tilesFrom } from '../recipes/commands.js';
import { slotField, type ContentField } from '../recipes/slots.js';
import { plainWords } from '../../parts/richText.js';
import { plainName } from './plainName.js';
import type { Draft } from '../commands/draft.js';
import type { Command } from '../patch/change.js';
import type {
  CollectionDocument,
  Recipe,
  Slot,
  Table,
  TableId,
  Tile,
  TileId,
  Words,
} from '../../document/types.js';
import type { ReadTable } from './readTable.js';

type WritableTile = Draft['tiles'][string];
type Row = Readonly<Record<string, string>>;

export interface ImportTable {
  readonly id: TableId;
  readonly name: string;
  readonly recipe: Recipe;
  readonly variant: string | null;
  readonly key: string;
  readonly mapping: Readonly<Record<string, string>>;
  readonly position: number;
  readonly freshId: (tile: Tile) => TileId;
}

/** A slot with what it holds. */
export interface TableSlot extends Slot {
  readonly of: ContentField;
}

/** Slots whose content a cell of a table can be. */
export const tableSlots = (recipe: Recipe): TableSlot[] =>
  recipe.slots.flatMap((slot) => {
    const of = slotField(recipe, slot);
    return of && of.holds !== 'other' ? [{ ...slot, of }] : [];
  });

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** A guess at which column fills which slot: by name, then by what is in it. */
export function guessMapping(recipe: Recipe, { columns }: ReadTable): Record<string, string> {
  const mapping: Record<string, string> = {};
  const left = [...columns];
  const take = (slot: string, found: string | undefined) => {
    if (found === undefined) return;
    mapping[slot] = found;
    left.splice(left.indexOf(found), 1);
  };
  const slots = tableSlots(recipe);
  for (const { name, of } of slots)
    take(
      name,
      left.find((column) => [plainName(name), plainName(of.name)].includes(plainName(column))),
    );
  for (const { name, of } of slots) {
    const { likely } = of;
    if (!(name in mapping) && likely)
      take(
        name,
        left.find((column) => likely.test(column)),
      );
  }
  return mapping;
}

/** The column that tells all rows apart: one that is named so, else the first whose cells all differ. */
export function guessKey({ columns, rows }: ReadTable): string | null {
  const tells = columns.filter((column) => {
    const cells = rows.map((row) => row[column] ?? '');
    return cells.every((cell) => cell !== '') && new Set(cells).size === rows.length;
  });
  return tells.find((column) => /^(id|key|no|number|slug)$/i.test(column)) ?? tells[0] ?? null;
}

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

/** What a cell makes of a slot; undefined: nothing, the field stays. */
function valueFor(draft: Draft, { holds }: ContentField, cell: string): unknown {
  if (holds === 'picture') {
    const wanted = plainName(cell);
    const found = Object.values(draft.pictures).find(
      ({ id, name, file }) => wanted !== '' && [id, name, file].some((each) => plainName(each) === wanted),
    );
    return found?.id;
  }
  if (holds === 'address') {
    const address = readAddress(cell);
    return address !== null && isAddress(address) && address !== '' ? address : undefined;
  }
  return cell.slice(0, LIMITS.words);
}

/** Fills the tiles of one row; with the row before, only what was not changed by hand. */
function fillRow(
  draft: Draft,
  table: Table,
  tiles: readonly WritableTile[],
  row: Row,
  before?: Row,
): string[] {
  const recipe = draft.recipes?.[table.recipe] as Recipe | undefined;
  const changed: string[] = [];
  for (const [slot, column] of Object.entries(table.mapping)) {
    const found = recipe && tableSlots(recipe).find(({ name }) => name === slot);
    const tile = tiles.find(({ recipe: use }) => use?.tile === found?.tile);
    const part = found && tile && partIn(tile, found.part);
    if (!found || !part) continue;
    const value = valueFor(draft, found.of, row[column] ?? '');
    if (value === undefined) continue;
    const fields = part as unknown as Record<string, unknown>;
    if (before) {
      if (before[column] === row[column]) continue;
      const was = valueFor(draft, found.of, before[column] ?? '');
      const held = fields[found.field];
      const now = found.of.takesRich ? plainWords(held as Words) : held;
      if (was !== undefined && now !== was) continue;
    }
    fields[found.field] = value;
    changed.push(slot);
  }
  const [first] = tiles;
  const name = (row[table.key] ?? '').slice(0, LIMITS.name);
  if (first && (!before || first.name === before[table.key])) first.name = name || 'Row';
  return changed;
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

/** Makes a tile of every row of a table. */
export function importTable(read: ReadTable, options: ImportTable): Command {
  const rows = byKey(read.rows, options.key);
  return (draft) => {
    const { id, name, recipe, key, mapping } = options;
    (draft.recipes ??= {})[recipe.id] ??= clone(recipe) as NonNullable<Draft['recipes']>[string];
    const table: Table = {
      id,
      name,
      recipe: recipe.id,
      columns: read.columns,
      key,
      mapping,
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
