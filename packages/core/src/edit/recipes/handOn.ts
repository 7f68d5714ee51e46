import { partsOf } from '../../document/card.js';
import { clone } from '../../document/clone.js';
import { LIMITS } from '../../document/limits.js';
import { withContents } from '../../document/levels.js';
import {
  freshPartId,
  lacksWords,
  meansAsMuch,
  saysAnything,
  withoutWords,
  wordsFor,
} from '../../parts/becoming.js';
import { partKindOf } from '../../parts/index.js';
import type { ContentField } from './slots.js';
import type { Card, CollectionDocument, Part, Recipe, Tile, TileId } from '../../document/types.js';

/** The parts of a tile that say or show anything, in the order in which they are read; hidden ones after them. */
export function handedOn(tiles: CollectionDocument['tiles'], id: TileId): readonly Part[] {
  const all = withContents({ tiles }, id).flatMap((each) => partsOf(tiles[each] as Tile));
  const said = all.filter((part) => saysAnything(part) && partKindOf(part).slots.length > 0);
  return [...said.filter(({ hidden }) => !hidden), ...said.filter(({ hidden }) => hidden)].map(
    (part) => clone(part) as Part,
  );
}

/** What a field of content is where nothing fills it; undefined: as the recipe has it. */
export function emptySlot({ kind, field, holds }: Pick<ContentField, 'kind' | 'field' | 'holds'>): unknown {
  if (holds === 'other') return undefined;
  return (partKindOf({ kind: kind as Part['kind'] }).empty as Readonly<Record<string, unknown>>)[field];
}

/**
 * New uses of a recipe’s tiles, filled with what a tile had: a part takes what one of its kind held, else
 * words that mean as much; where there are none its slots are empty, and show no sample. What finds no
 * place stays in the first card, hidden, so that the next recipe finds it.
 */
export function filledWith(made: readonly Tile[], recipe: Recipe, content: readonly Part[]): Tile[] {
  const left = [...content];
  const take = (fits: (part: Part) => boolean): Part | undefined => {
    const at = left.findIndex(fits);
    return at === -1 ? undefined : left.splice(at, 1)[0];
  };
  const tiles = made.map((tile) => clone(tile) as Tile);
  const cards = tiles.filter((tile): tile is Card => tile.kind === 'card');
  const isSlot = (card: Card, { id }: Part, field: string) =>
    recipe.slots.some((slot) => slot.tile === card.recipe?.tile && slot.part === id && slot.field === field);
  const wanted = cards.flatMap((card) =>
    card.parts.flatMap((part) => {
      const fields = partKindOf(part).slots.filter(({ field }) => isSlot(card, part, field));
      return fields.length > 0
        ? [{ part, fields, from: undefined as Part | undefined, words: undefined as Part | undefined }]
        : [];
    }),
  );
  for (const each of wanted) each.from = take(({ kind }) => kind === each.part.kind);
  for (const each of wanted) {
    if (each.from && !lacksWords(each.from)) continue;
    each.words = take(
      (part) =>
        'words' in part &&
        !lacksWords(part) &&
        meansAsMuch(part.kind, each.part.kind) &&
        wordsFor(each.part.kind, part.words) !== undefined,
    );
    if (each.words) left.push(...withoutWords(each.words));
  }
  for (const { part, fields, from, words } of wanted) {
    for (const slot of fields)
      Object.assign(part, heldBy(part, slot.field, { from, words }, emptySlot({ ...slot, kind: part.kind })));
  }
  const [first] = cards;
  if (first) keep(first, left);
  return tiles;
}

/** What a field of a part holds with what was handed on to it: a part of its kind, and words of another. */
function heldBy(
  part: Part,
  field: string,
  { from, words }: { readonly from: Part | undefined; readonly words: Part | undefined },
  empty: unknown,
): object {
  if (words && 'words' in words && field === 'words') return { words: wordsFor(part.kind, words.words) };
  if (from) return { [field]: (from as unknown as Readonly<Record<string, unknown>>)[field] };
  return empty === undefined ? {} : { [field]: empty };
}

/** Keeps parts in a card, hidden. */
function keep(card: Card, left: readonly Part[]): void {
  const parts = card.parts as Part[];
  for (const part of left) {
    if (parts.length >= LIMITS.parts) return;
    const { beside: _, align: __, ...rest } = part;
    parts.push({ ...rest, id: freshPartId(parts, part.kind), hidden: true });
  }
}
