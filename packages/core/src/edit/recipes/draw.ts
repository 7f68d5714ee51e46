import { newCard, newGroup } from '../../parts/newTile.js';
import { emptyGroup } from '../../arrangements/emptyGroup.js';
import { freshPartId } from '../../parts/becoming.js';
import { partKindOf } from '../../parts/index.js';
import { slotsOf } from './slots.js';
import type { CompositionName } from '../../parts/part.js';
import type {
  Arrangement,
  Card,
  Gradient,
  GroupTile,
  Part,
  PartForm,
  PartName,
  PartStanding,
  Place,
  Recipe,
  RichText,
  Tile,
  TileLook,
  Variant,
  Words,
} from '../../document/types.js';

type Look = Partial<TileLook>;
type Looks = Readonly<Record<string, Look>>;

/** The colours of the starters, by what they are like. */
export const PAINT = {
  LICHEN: '#dfe8e2',
  LAKE: '#d9e5e6',
  FIR: '#24413f',
  NIGHT: '#17302d',
  LARCH: '#a64d2c',
  BREAD: '#efe3d3',
  SNOW: '#f6f4ee',
  DUSK: '#46557a',
} as const;

/** A gradient from one colour to another. */
export const linear = (angle: number, from: string, to: string): Gradient => ({
  kind: 'linear',
  angle,
  stops: [
    { colour: from, at: 0 },
    { colour: to, at: 1 },
  ],
});

/** What a starter's card holds: the words or values of its parts. */
type Holds = Readonly<Record<string, Words | Readonly<Record<string, unknown>>>>;

const isRich = (held: object): held is RichText => Array.isArray(held);

/** A card of a recipe, with its span when it is used. */
export function card(
  composition: CompositionName,
  holds: Holds = {},
  look: Look = {},
  span: readonly [number, number] = [1, 1],
): Card {
  const values = Object.entries(holds).map(([part, held]): [string, Readonly<Record<string, unknown>>] => [
    part,
    typeof held === 'object' && !isRich(held) ? held : { words: held },
  ]);
  const tile = newCard(composition, 'card', Object.fromEntries(values));
  return {
    ...tile,
    place: { columnSpan: span[0], rowSpan: span[1], pin: null },
    look: { ...tile.look, ...look },
  };
}

/** How a part stands, and what it holds: words, or fields. */
export interface DrawnPart extends PartStanding {
  readonly kind: PartName;
  readonly holds?: Words | Readonly<Record<string, unknown>>;
}

/** A part that holds words or values. */
export const part = (kind: PartName, holds?: DrawnPart['holds'], standing: PartStanding = {}): DrawnPart => ({
  kind,
  ...(holds !== undefined && { holds }),
  ...standing,
});

/** A card of a recipe that is composed of parts, each with an id of its own: `figure`, `figure-2`. */
export function composed(
  parts: readonly DrawnPart[],
  look: Look = {},
  span: readonly [number, number] = [1, 1],
): Card {
  const made = parts.reduce<readonly Part[]>((before, { kind, holds = {}, ...standing }) => {
    const values = typeof holds === 'object' && !isRich(holds) ? holds : { words: holds };
    const id = freshPartId(before, kind);
    return [...before, { id, kind, ...partKindOf({ kind }).empty, ...values, ...standing } as Part];
  }, []);
  return { ...card('text', {}, look, span), parts: made };
}

/**
 * A variant of another form: the parts that it shows, in order. A part is said by its id; with a plus before
 * it stands in line with the one before.
 */
export const form = (
  name: string,
  parts: string,
  looks: Look = {},
  own: Readonly<Record<string, Omit<PartForm, 'part' | 'beside'>>> = {},
): Variant => ({
  ...variant(name, looks),
  forms: {
    card: parts.split(' ').map((said) => {
      const id = said.replace(/^\+/, '');
      return { part: id, ...(said !== id && { beside: true as const }), ...own[id] };
    }),
  },
});

/** A card of a recipe in a place of its own. */
export const placed = (card: Card, place: Partial<Place>): Card => ({
  ...card,
  place: { ...card.place, ...place },
});

/** A variant of a recipe: the look of its one tile, or looks by the tiles that they are for. */
export const variant = (name: string, looks: Looks | Look, isOne = true): Variant => ({
  id: name.toLowerCase().replace(/[^a-z]+/g, '-'),
  name,
  looks: (isOne ? { card: looks } : looks) as Variant['looks'],
});

/** A recipe of a tile, alone or with tiles in it; every field of content is a slot. */
export function recipe(
  id: string,
  name: string,
  root: Tile,
  variants: readonly Variant[] = [],
  inside: Readonly<Record<string, Tile>> = {},
): Recipe {
  const order = Object.keys(inside);
  const outer = root.kind === 'group' ? { ...root, order } : root;
  const within = Object.entries(inside).map(([key, tile]) => [key, { ...tile, id: key }]);
  const tiles = { card: outer, ...Object.fromEntries(within) } as Recipe['tiles'];
  return { id, name, root: 'card', tiles, slots: slotsOf(tiles, 'card'), variants };
}

/** A group of a recipe: a card that holds tiles in a grid of its own. */
export function group(
  arrangement: Partial<Arrangement>,
  look: Look,
  span: readonly [number, number],
): GroupTile {
  const tile = newGroup('card');
  return {
    ...tile,
    place: { columnSpan: span[0], rowSpan: span[1], pin: null },
    look: { ...tile.look, ...look },
    arrangement: { ...emptyGroup(), columns: ['1fr'], columnGap: 0, rowGap: 0, ...arrangement },
  };
}
