import { typedAddress } from '../../engine/css/address.js';
import { LIMITS } from '../../document/limits.js';
import { partIn } from '../../document/card.js';
import { plainWords } from '../../parts/richText.js';
import { formatCell } from './cellFormat.js';
import { tableSlots } from './mapping.js';
import { pictureIn, plainName } from './plainName.js';
import type { Draft } from '../commands/draft.js';
import { emptySlot } from '../recipes/handOn.js';
import type { ContentField, HeldSlot } from '../recipes/slots.js';
import type { CellFormat, Recipe, Table, Words } from '../../document/types.js';

export type WritableTile = Draft['tiles'][string];
/** Cells by their columns. */
export type Row = Readonly<Record<string, string>>;

/** What a cell makes of a slot; undefined: nothing, the field stays. */
function valueFor(draft: Draft, { holds }: ContentField, cell: string, format?: CellFormat): unknown {
  if (holds === 'picture') {
    const wanted = pictureIn(cell);
    const found = Object.values(draft.pictures).find(
      ({ id, name, file }) => wanted !== '' && [id, name, file].some((each) => plainName(each) === wanted),
    );
    return found?.id;
  }
  if (holds === 'address') {
    const { address } = typedAddress(cell.replace(/[\t\n\r]/g, ''));
    return address || undefined;
  }
  return formatCell(cell, format, draft.language).slice(0, LIMITS.words);
}

/** Empties what the slots of new tiles hold, so that one that no column fills shows no sample. */
function emptyAll(tiles: readonly WritableTile[], slots: readonly HeldSlot[]): void {
  for (const { tile, part, field, of } of slots) {
    const found = tiles.find(({ recipe: use }) => use?.tile === tile);
    const held = found && partIn(found, part);
    const empty = emptySlot(of);
    if (held && empty !== undefined) Object.assign(held, { [field]: empty });
  }
}

/** What the key of a row calls its tile: nothing where it is a number, and the tile is called by what it says. */
const nameFrom = (key: string) => (/^[\d\s.,#-]*$/.test(key) ? '' : key.slice(0, LIMITS.name));

/** Fills the tiles of one row; with the row before, only what was not changed by hand. */
export function fillRow(
  draft: Draft,
  table: Table,
  tiles: readonly WritableTile[],
  row: Row,
  before?: Row,
): string[] {
  const recipe = draft.recipes?.[table.recipe] as Recipe | undefined;
  const slots = new Map(recipe ? tableSlots(recipe).map((slot) => [slot.name, slot]) : []);
  const changed: string[] = [];
  if (!before) emptyAll(tiles, [...slots.values()]);
  for (const [slot, column] of Object.entries(table.mapping)) {
    const found = slots.get(slot);
    const tile = tiles.find(({ recipe: use }) => use?.tile === found?.tile);
    const part = found && tile && partIn(tile, found.part);
    if (!found || !part) continue;
    const format = table.formats?.[column];
    const value = valueFor(draft, found.of, row[column] ?? '', format);
    if (value === undefined) continue;
    const fields = part as unknown as Record<string, unknown>;
    if (before) {
      if (before[column] === row[column]) continue;
      const was = valueFor(draft, found.of, before[column] ?? '', format);
      const held = fields[found.field];
      const now = found.of.takesRich ? plainWords(held as Words) : held;
      if (was !== undefined && now !== was) continue;
    }
    fields[found.field] = value;
    changed.push(slot);
  }
  const [first] = tiles;
  const name = nameFrom(row[table.key] ?? '');
  if (first && (!before || (first.name ?? '') === nameFrom(before[table.key] ?? ''))) {
    if (name === '') delete first.name;
    else first.name = name;
  }
  return changed;
}
