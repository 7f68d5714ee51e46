import { partsOf } from '../../document/card.js';
import { clone } from '../../document/clone.js';
import { LIMITS } from '../../document/limits.js';
import { withContents } from '../../document/levels.js';
import {
  canGive,
  freshPartId,
  isWrittenIn,
  lacksWords,
  meansAsMuch,
  remembering,
  saysAnything,
  withoutWords,
  withWordsOf,
  writtenIn,
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
 * @throws RangeError when that is more than a card may hold
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
  for (const each of wanted)
    each.from = take((part) => part.kind === each.part.kind && isWrittenIn(part, each.part));
  const takesWords = (each: (typeof wanted)[number], fits: (part: Part) => boolean) => {
    if (each.words || (each.from && !lacksWords(each.from))) return;
    each.words = take((part) => canGive(part, each.part.kind) && fits(part));
    if (each.words) left.push(...withoutWords(each.words));
  };
  // What was written in that very part comes back first, then what was in another of its kind.
  for (const each of wanted) takesWords(each, (part) => isWrittenIn(part, each.part));
  for (const each of wanted)
    each.from ??= take(
      (part) =>
        part.kind === each.part.kind &&
        writtenIn(part).kind === part.kind &&
        (each.words === undefined || lacksWords(part)),
    );
  for (const each of wanted) takesWords(each, (part) => writtenIn(part).kind === each.part.kind);
  for (const each of wanted) takesWords(each, (part) => meansAsMuch(writtenIn(part).kind, each.part.kind));
  for (const { part, fields, from, words } of wanted) {
    for (const { field, holds } of fields) {
      const empty = emptySlot({ kind: part.kind, field, holds });
      const held = from ? (from as unknown as Readonly<Record<string, unknown>>)[field] : empty;
      if (held !== undefined) Object.assign(part, { [field]: held });
    }
    const given = words ? withWordsOf(part, words) : from && remembering(part, from);
    if (given) Object.assign(part, given);
  }
  keep(cards[0], left);
  return tiles;
}

/** Keeps parts in a card, hidden. */
function keep(card: Card | undefined, left: readonly Part[]): void {
  const parts = (card?.parts ?? []) as Part[];
  if (left.length > 0 && (!card || parts.length + left.length > LIMITS.parts))
    throw new RangeError(
      `The tile says more than the recipe can keep: a card has at most ${LIMITS.parts} parts. Take the tile apart first.`,
    );
  for (const part of left) {
    const { beside: _, align: __, ...rest } = part;
    parts.push(remembering({ ...rest, id: freshPartId(parts, part.kind), hidden: true }, part));
  }
}
