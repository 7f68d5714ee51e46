import { becoming, freshPartId } from '../../parts/becoming.js';
import { partKindOf } from '../../parts/index.js';
import { compositionNamed } from '../../parts/compositions/index.js';
import { clone } from '../../document/clone.js';
import { LIMITS } from '../../document/limits.js';
import type { Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { CompositionName } from '../../parts/part.js';
import type { Card, Part, PartId, PartName, PartStanding, TileId } from '../../document/types.js';

type Held = Part[];

/** Does something to the parts of cards; tiles that are none stay. */
const inCards =
  (ids: readonly TileId[], work: (parts: Held, card: Card) => void): Command =>
  (draft: Draft) => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (tile?.kind === 'card') work(tile.parts, tile);
    }
  };

/** The parts in which a card of one kind begins, by the part; empty where none begins with anything. */
const beginning = (kind: PartName) =>
  BEGINNING.map((name) => compositionNamed(name).begins?.[kind]).find((begins) => begins !== undefined);
const BEGINNING: readonly CompositionName[] = ['text', 'stat', 'quote', 'action'];

/**
 * Adds a part to cards, as one begins: after another part, or at the end.
 * @throws RangeError when a card would have more parts than one may
 */
export const addPart = (ids: readonly TileId[], kind: PartName, after?: PartId): Command =>
  inCards(ids, (parts) => {
    const part = { id: freshPartId(parts, kind), kind, ...partKindOf({ kind }).empty, ...beginning(kind) };
    insert(parts, clone(part as Part), after);
  });

/**
 * Puts a copy of a part right behind it.
 * @throws RangeError when a card would have more parts than one may
 */
export const repeatPart = (ids: readonly TileId[], id: PartId): Command =>
  inCards(ids, (parts) => {
    const part = parts.find((each) => each.id === id);
    if (part) insert(parts, { ...clone(part), id: freshPartId(parts, part.kind) }, id);
  });

const tooMany = () => new RangeError(`A card has at most ${LIMITS.parts} parts.`);

function insert(parts: Held, part: Part, after: PartId | undefined): void {
  if (parts.length >= LIMITS.parts) throw tooMany();
  const at = parts.findIndex(({ id }) => id === after);
  parts.splice(at === -1 ? parts.length : at + 1, 0, part);
}

export const removePart = (ids: readonly TileId[], id: PartId): Command =>
  inCards(ids, (parts) => {
    const at = parts.findIndex((part) => part.id === id);
    if (at !== -1) parts.splice(at, 1);
  });

/** Moves a part by so many places in the order in which parts are read; at an end it stays. */
export const movePart = (ids: readonly TileId[], id: PartId, by: number): Command =>
  inCards(ids, (parts) => {
    const at = parts.findIndex((part) => part.id === id);
    const [part] = at === -1 ? [] : parts.splice(at, 1);
    if (part) parts.splice(Math.max(0, Math.min(parts.length, at + by)), 0, part);
  });

/** Sets how a part stands in its card; undefined: as it stands by itself. */
export const placePart = (
  ids: readonly TileId[],
  id: PartId,
  values: { readonly [Field in keyof PartStanding]: PartStanding[Field] | undefined },
): Command =>
  inCards(ids, (parts) => {
    const part = parts.find((each) => each.id === id) as Record<string, unknown> | undefined;
    if (!part) return;
    for (const [field, value] of Object.entries(values)) {
      if (value === undefined) delete part[field];
      else part[field] = value;
    }
  });

/**
 * Makes cards another composition; their words stay, in it or hidden behind it.
 * @throws RangeError when a card would have more parts than one may
 */
export const becomeComposition = (ids: readonly TileId[], name: CompositionName): Command =>
  inCards(ids, (parts, card) => {
    const made = becoming(clone(card), name);
    if (made.length > LIMITS.parts) throw tooMany();
    parts.splice(0, parts.length, ...clone(made));
  });
