import { partIn, shownParts } from '../../document/card.js';
import { saysAnything } from '../../parts/becoming.js';
import { shownAs } from './values.js';
import type { Card, Part, PartForm, Recipe, Tile, TileId } from '../../document/types.js';

/** A tile of a recipe as a variant of it shows it; undefined where the recipe has no such tile. */
export function recipeTile(recipe: Recipe, id: TileId, variant: string | null): Tile | undefined {
  const tile = recipe.tiles[id];
  const shown = recipe.variants.find((each) => each.id === variant);
  if (!tile || !shown) return tile;
  const look = { ...tile.look, ...shown.looks[id] };
  const form = shown.forms?.[id];
  return tile.kind === 'card' && form ? { ...tile, look, parts: inForm(tile, form) } : { ...tile, look };
}

/** The parts of a card in a form; those that it leaves out stay behind them, hidden. */
function inForm(card: Card, form: readonly PartForm[]): readonly Part[] {
  const shown = form.flatMap(({ part, kind, beside, align }) => {
    const found = partIn(card, part);
    if (!found) return [];
    const { beside: _, align: __, ...rest } = shownAs(found, kind ?? found.kind);
    return [{ ...rest, ...(beside && { beside }), ...(align && { align }) }];
  });
  const others = card.parts.filter(({ id }) => !shown.some((part) => part.id === id));
  return [...shown, ...others.map((part): Part => ({ ...part, hidden: true }))];
}

/** The form that a card’s parts have; null where it is that of another card of the same parts. */
export function formOf(card: Card, base: Card): readonly PartForm[] | null {
  const of = (each: Card) =>
    shownParts(each).map(({ id, kind, beside, align }): PartForm => {
      const changed = partIn(base, id)?.kind !== kind;
      return { part: id, ...(changed && { kind }), ...(beside && { beside }), ...(align && { align }) };
    });
  const form = of(card);
  return JSON.stringify(form) === JSON.stringify(of(base)) ? null : form;
}

/** A card of a recipe with the parts that a use of it has beside its own, hidden, so that a variant can show them. */
export function withPartsOf(base: Card, use: Card): Card {
  const more = use.parts.filter((part) => !part.hidden && saysAnything(part) && !partIn(base, part.id));
  return more.length === 0
    ? base
    : { ...base, parts: [...base.parts, ...more.map((part): Part => ({ ...part, hidden: true }))] };
}
