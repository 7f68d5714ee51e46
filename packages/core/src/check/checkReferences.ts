import { LIMITS } from '../document/limits.js';
import { partIn } from '../document/card.js';
import { familiesInLooks, hasFamily } from '../parts/families.js';
import { looksOfBands } from '../document/bandLooks.js';
import { usesInLook } from '../look/paints.js';
import { namedLooksIn, namesIn, usesIn, usesOfBands, type Use } from '../parts/uses.js';
import type { Reporter } from '../document/checks.js';
import type { CollectionDocument, Recipe, Tile } from '../document/types.js';

/**
 * What only shows across the parts: order against tiles, bands from wide to narrow, pictures used.
 * @param before a sound document that this one was made from; its tiles are not looked at again
 */
export function checkReferences(document: CollectionDocument, report: Reporter, before?: CollectionDocument) {
  const error = (path: string, message: string) => report({ path, severity: 'error', message });
  const seen = new Set<string>();
  const checkOrder = (order: readonly string[], at: string, depth: number) =>
    order.forEach((tileId, k) => {
      const path = `${at}/${k}`;
      const inside = Object.hasOwn(document.tiles, tileId) ? document.tiles[tileId] : undefined;
      if (!inside) error(path, `There is no tile “${tileId}”. Remove it from the order, or add the tile.`);
      else if (seen.has(tileId)) error(path, `“${tileId}” comes twice. Keep one.`);
      seen.add(tileId);
      if (inside?.kind !== 'group') return;
      if (depth === LIMITS.depth) error(path, `Groups lie at most ${LIMITS.depth} deep. Take one apart.`);
      else checkOrder(inside.order, `/tiles/${tileId}/order`, depth + 1);
    });
  checkOrder(document.order, '/order', 0);
  const known = before && keepsAssets(before, document) ? before.tiles : {};
  for (const tileId of Object.keys(document.tiles)) {
    if (!seen.has(tileId))
      error(`/tiles/${tileId}`, `“${tileId}” has no place in the reading order. Add it to “order”.`);
    const tile = document.tiles[tileId];
    if (tile && known[tileId] !== tile) checkTile(document, tile, `/tiles/${tileId}`, error);
  }
  for (const recipe of Object.values(document.recipes ?? {})) checkRecipe(document, recipe, error);
  for (const { id, look } of Object.values(document.styles ?? {})) {
    const path = `/styles/${id}`;
    checkNames(
      document,
      namedLooksIn(look).map((name) => ({ id: name, at: '/look' })),
      path,
      error,
    );
    for (const use of usesInLook(look)) checkUse(document, { ...use, at: '/look' }, path, error);
    checkFamilies(document, look, `${path}/look`, error);
  }
  for (const table of Object.values(document.tables ?? {})) {
    if (!Object.hasOwn(document.recipes ?? {}, table.recipe))
      error(
        `/tables/${table.id}/recipe`,
        `There is no recipe “${table.recipe}”. Add it, or remove the table.`,
      );
  }
  checkNames(
    document,
    namedLooksIn(document.look).map((id) => ({ id, at: '/look' })),
    '',
    error,
  );
  checkFamilies(document, document.look, '/look', error);
  for (const field of ['picture', 'icon'] as const) {
    const id = document.page?.[field];
    if (id !== undefined && !Object.hasOwn(document.pictures, id))
      error(
        `/page/${field}`,
        `There is no picture “${id}” in the collection. Add it to “pictures”, or remove this.`,
      );
  }
  const bandIds = new Set<string>();
  document.bands.forEach((each, k) => {
    const wider = document.bands[k - 1]?.below ?? Infinity;
    if (each.below >= wider)
      error(
        `/bands/${k}/below`,
        `Bands come from wide to narrow: this breakpoint is below ${wider}; here it is ${each.below}.`,
      );
    if (bandIds.has(each.id))
      error(`/bands/${k}/id`, `Two bands have the id “${each.id}”. Give this one another.`);
    bandIds.add(each.id);
    for (const tileId of Object.keys(each.tiles)) {
      if (!Object.hasOwn(document.tiles, tileId))
        error(
          `/bands/${k}/tiles/${tileId}`,
          `There is no tile “${tileId}”. Remove this place, or add the tile.`,
        );
    }
    for (const tileId of Object.keys(each.looks ?? {})) {
      if (!Object.hasOwn(document.tiles, tileId))
        error(
          `/bands/${k}/looks/${tileId}`,
          `There is no tile “${tileId}”. Remove this look, or add the tile.`,
        );
    }
    const looks = { bands: [each] };
    const names = namedLooksIn(looksOfBands(looks)).map((id) => ({ id, at: '/looks' }));
    checkNames(document, names, `/bands/${k}`, error);
    for (const [id, look] of Object.entries(each.looks ?? {}))
      checkFamilies(document, look, `/bands/${k}/looks/${id}`, error);
    for (const { what, id } of usesOfBands(looks)) {
      if (!Object.hasOwn(document[`${what}s`] ?? {}, id))
        error(
          `/bands/${k}/looks`,
          `There is no ${what} “${id}” in the collection. Add it to “${what}s”, or choose another fill.`,
        );
    }
    for (const tileId of Object.keys(each.groups ?? {})) {
      if (!Object.hasOwn(document.tiles, tileId) || document.tiles[tileId]?.kind !== 'group')
        error(
          `/bands/${k}/groups/${tileId}`,
          `There is no group “${tileId}”. Remove this, or add the group.`,
        );
    }
  });
}

/** The families that a look names ship, are the device's, or come with the collection. */
function checkFamilies(
  document: CollectionDocument,
  look: Parameters<typeof familiesInLooks>[0][number],
  path: string,
  error: Say,
) {
  for (const name of familiesInLooks([look])) {
    if (!hasFamily(document, name))
      error(
        path,
        `There is no type family “${name}”. Choose one that ships with Noria, or add its files to “families”.`,
      );
  }
}

/** Whether all that tiles may refer to is there as it was before. */
const keepsAssets = (before: CollectionDocument, after: CollectionDocument) =>
  (['pictures', 'films', 'icons', 'families', 'namedLooks', 'recipes'] as const).every(
    (field) =>
      before[field] === after[field] ||
      Object.keys(before[field] ?? {}).every((id) => Object.hasOwn(after[field] ?? {}, id)),
  );

type Say = (path: string, message: string) => void;

const KEPT = { picture: 'pictures', film: 'films', icon: 'icons' } as const;

/** What a tile shows, and the names that it follows, are in the collection. */
function checkTile(document: CollectionDocument, tile: Tile, path: string, error: Say) {
  for (const use of usesIn(tile)) checkUse(document, use, path, error);
  checkNames(document, namesIn(tile), path, error);
  checkFamilies(document, tile.look, `${path}/look`, error);
  if (tile.recipe && !Object.hasOwn(document.recipes ?? {}, tile.recipe.recipe))
    error(`${path}/recipe`, `There is no recipe “${tile.recipe.recipe}”. Add it, or release the tile.`);
}

function checkUse(document: CollectionDocument, { what, id, at }: Use, path: string, error: Say) {
  if (Object.hasOwn(document[KEPT[what]] ?? {}, id)) return;
  error(
    `${path}${at}`,
    `There is no ${what} “${id}” in the collection. Add it to “${KEPT[what]}”, or write null.`,
  );
}

function checkNames(
  { namedLooks }: CollectionDocument,
  names: ReturnType<typeof namesIn>,
  path: string,
  error: Say,
) {
  for (const { id, at } of names) {
    if (!Object.hasOwn(namedLooks ?? {}, id))
      error(
        `${path}${at}`,
        `There is no named look “${id}”. Add it to “namedLooks”, or write the value itself.`,
      );
  }
}

/** A recipe's tiles hang together from its root, and its slots are fields of their parts. */
function checkRecipe(document: CollectionDocument, recipe: Recipe, error: Say) {
  const path = `/recipes/${recipe.id}`;
  const seen = new Set<string>();
  const visit = (id: string, depth: number): void => {
    const tile = Object.hasOwn(recipe.tiles, id) ? recipe.tiles[id] : undefined;
    if (!tile || seen.has(id) || depth > LIMITS.depth)
      return error(path, `The recipe’s tile “${id}” is missing, comes twice or lies too deep.`);
    seen.add(id);
    checkTile(document, { ...tile, recipe: undefined } as unknown as Tile, `${path}/tiles/${id}`, error);
    if (tile.kind === 'group') tile.order.forEach((each) => visit(each, depth + 1));
  };
  visit(recipe.root, 0);
  for (const id of Object.keys(recipe.tiles)) {
    if (!seen.has(id)) error(`${path}/tiles/${id}`, `“${id}” is in no group of the recipe. Remove it.`);
  }
  for (const { tile: id, part, field, name } of recipe.slots) {
    const tile = Object.hasOwn(recipe.tiles, id) ? recipe.tiles[id] : undefined;
    const own = partIn(tile, part);
    if (!own || !(field in own))
      error(
        `${path}/slots`,
        `The slot “${name}” is for “${field}” of the part “${part}” in “${id}”, which is not there.`,
      );
  }
}
