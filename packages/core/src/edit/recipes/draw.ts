import { newTile } from '../../parts/newTile.js';
import { emptyGroup } from '../../arrangements/emptyGroup.js';
import { slotsOf } from './slots.js';
import type {
  Arrangement,
  GroupTile,
  Recipe,
  Tile,
  TileKind,
  TileLook,
  Variant,
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

/** A tile of a recipe, with its span when it is used. */
export function part<K extends TileKind>(
  kind: K,
  content: Partial<Omit<Extract<Tile, { kind: K }>, 'id' | 'kind' | 'look'>>,
  look: Look = {},
  span: readonly [number, number] = [1, 1],
): Tile {
  const tile = newTile(kind, 'card');
  return {
    ...tile,
    ...content,
    place: { columnSpan: span[0], rowSpan: span[1], pin: null, ...content.place },
    look: { ...tile.look, ...look },
  };
}

/** A variant of a recipe: the look of its one tile, or looks by the tiles that they are for. */
export const variant = (name: string, looks: Looks | Look, isOne = true): Variant => ({
  id: name.toLowerCase().replace(/[^a-z]+/g, '-'),
  name,
  looks: (isOne ? { card: looks } : looks) as Variant['looks'],
});

/** A recipe of a card, alone or with tiles in it; every field of content is a slot. */
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
  const parts = { card: outer, ...Object.fromEntries(within) } as Recipe['parts'];
  return { id, name, root: 'card', parts, slots: slotsOf(parts, 'card'), variants };
}

/** A card that holds tiles in a grid of its own. */
export function card(
  arrangement: Partial<Arrangement>,
  look: Look,
  span: readonly [number, number],
  name: string,
): GroupTile {
  return part(
    'group',
    { name, arrangement: { ...emptyGroup(), columns: ['1fr'], columnGap: 0, rowGap: 0, ...arrangement } },
    look,
    span,
  ) as GroupTile;
}
