import { shownParts } from '../../document/card.js';
import { partKindOf } from '../index.js';
import { standsApart } from '../shared/inCard.js';
import { action } from './action.js';
import { apart, stat, quote, text } from './flowing.js';
import { icons } from './icons.js';
import { film, picture } from './media.js';
import type { Card, Part, PartName, Tile } from '../../document/types.js';
import type { Composition, CompositionName, Start } from '../part.js';

const COMPOSITIONS: readonly Start[] = [text, picture, stat, quote, icons, action, film];

/** What a card can begin as, in the order in which it is offered. */
export const compositions = (): readonly Start[] => COMPOSITIONS;

const inOrder = (parts: readonly Part[], names: readonly PartName[]): boolean => {
  let next = 0;
  return parts.every(({ kind }) => {
    const at = names.indexOf(kind, next);
    next = at + 1;
    return at !== -1;
  });
};

/** The one composition that each part is of. */
const BY_PART: ReadonlyMap<PartName, Start> = new Map(
  COMPOSITIONS.flatMap((each) => each.parts.map((part) => [part, each])),
);

/**
 * What the parts of a card make that are shown: the composition that has them in their order, and one of its own that writes
 * each as it stands alone where there is none.
 */
export function compositionOf(card: Card): Composition {
  const parts = shownParts(card);
  const [first] = parts;
  if (!first) return text;
  const candidate = BY_PART.get(first.kind);
  return candidate && inOrder(parts, candidate.parts) && !parts.some(standsApart) ? candidate : apart;
}

/** Whether a card's parts make no composition, so that the page needs the rules for that. */
export const isApart = (tile: Tile): boolean => tile.kind === 'card' && compositionOf(tile) === apart;

/** Whether a tile has icons in one line, so that the page needs the rules for that. */
const hasLine = (tile: Tile): boolean =>
  shownParts(tile).some((part) => 'icons' in part && part.line !== undefined);

/** What of the rules that all tiles share some tile needs. */
export interface Needed {
  readonly apart: boolean;
  readonly line: boolean;
}

export const neededBy = (tiles: readonly Tile[]): Needed => ({
  apart: tiles.some(isApart),
  line: tiles.some(hasLine),
});

/** Whether a tile's contents flow in it: words and rows, neither a group nor a picture that fills it. */
export const flows = (tile: Tile): boolean => tile.kind === 'card' && compositionOf(tile).flows;

/** Whether a tile's element is its only part itself, with nothing around it. */
export const isBare = (tile: Tile): boolean =>
  tile.kind === 'card' && compositionOf(tile).isBare?.(tile) === true;

/** Whether a tile has words that take its text colour. */
export const takesTextColour = (tile: Tile): boolean =>
  tile.kind === 'group' || compositionOf(tile).takesTextColour;

/** Whether a tile's element is itself a link, so that it leads nowhere else. */
export const isLink = (tile: Tile): boolean => tile.kind === 'card' && compositionOf(tile).isLink === true;

/**
 * The parts that a card begins with.
 * @param values what they hold beside that, by the part
 */
export function startingParts(
  name: CompositionName,
  values: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {},
): readonly Part[] {
  const composition = compositionNamed(name);
  return composition.parts.map(
    (kind) =>
      ({
        id: kind,
        kind,
        ...partKindOf({ kind }).empty,
        ...composition.begins?.[kind],
        ...values[kind],
      }) as Part,
  );
}

/** @throws RangeError when there is no composition of that name */
export function compositionNamed(name: CompositionName): Start {
  const found = COMPOSITIONS.find((each) => each.name === name);
  if (!found) throw new RangeError(`There is no composition “${name}”.`);
  return found;
}
