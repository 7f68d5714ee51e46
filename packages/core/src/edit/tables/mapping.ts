/** Which column of a table fills which slot of a recipe. */

import { heldSlots, type HeldSlot } from '../recipes/slots.js';
import { plainName } from './plainName.js';
import type { Recipe } from '../../document/types.js';
import type { ReadTable } from './readTable.js';

/** Slots whose content a cell of a table can be. */
export const tableSlots = (recipe: Recipe): HeldSlot[] =>
  heldSlots(recipe).filter(({ of }) => of.holds !== 'other');

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

/** The recipe whose slots take the most columns of a table, the first of those; undefined: there is none. */
export const guessRecipe = (recipes: readonly Recipe[], table: ReadTable): Recipe | undefined =>
  recipes
    .map((recipe) => ({ recipe, taken: Object.keys(guessMapping(recipe, table)).length }))
    .reduce<{ recipe: Recipe; taken: number } | undefined>(
      (best, each) => (best && best.taken >= each.taken ? best : each),
      undefined,
    )?.recipe;

/** The column that tells all rows apart: one that is named so, else the first whose cells all differ. */
export function guessKey({ columns, rows }: ReadTable): string | null {
  const tells = columns.filter((column) => {
    const cells = rows.map((row) => row[column] ?? '');
    return cells.every((cell) => cell !== '') && new Set(cells).size === rows.length;
  });
  return tells.find((column) => /^(id|key|no|number|slug)$/i.test(column)) ?? tells[0] ?? null;
}
