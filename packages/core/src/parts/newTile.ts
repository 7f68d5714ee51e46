import { emptyGroup } from '../arrangements/emptyGroup.js';
import { compositionNamed, startingParts } from './compositions/index.js';
import type { CompositionName } from './part.js';
import type { Card, GroupTile, Tile, TileId } from '../document/types.js';

/** What every new tile has: one cell, free, plain. */
const plain = (id: TileId) =>
  ({
    id,
    place: { columnSpan: 1, rowSpan: 1, pin: null },
    look: { fill: '#ffffff', textColour: 'auto', spread: 'end' },
  }) as const;

/**
 * A card with nothing of its own yet, in one of the compositions.
 * @param values what its parts hold, by the part
 */
export const newCard = (
  composition: CompositionName,
  id: TileId,
  values?: Readonly<Record<string, Readonly<Record<string, unknown>>>>,
): Card => ({
  ...plain(id),
  kind: 'card',
  parts: startingParts(composition, values),
});

/** A group with nothing in it yet. */
export const newGroup = (id: TileId): GroupTile => ({
  ...plain(id),
  kind: 'group',
  arrangement: emptyGroup(),
  order: [],
});

/** What a new tile can be. */
export type TileStart = CompositionName | GroupTile['kind'];

/** A tile with nothing of its own yet. */
export const newTile = (what: TileStart, id: TileId): Tile =>
  what === 'group' ? newGroup(id) : newCard(what, id);

/** A tile as one adds it by hand: dressed for what it is to be. */
export function dressedTile(what: TileStart, id: TileId): Tile {
  if (what === 'group') return newGroup(id);
  const { dressed } = compositionNamed(what);
  const card = newCard(what, id, dressed?.begins);
  return { ...card, look: { ...card.look, ...dressed?.look } };
}

/** What a tile that begins so is called. */
export const titleOf = (what: TileStart): string =>
  what === 'group' ? 'Group' : compositionNamed(what).title;
