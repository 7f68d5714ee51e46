import { clone } from '../../document/clone.js';
import { isSame } from '../recipes/follow.js';
import { set } from '../recipes/values.js';
import type { Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { Style, StyledField, StyleId, Tile, TileId, TileLook } from '../../document/types.js';

/** What a style never sets: how contents lie is each tile’s own. */
const UNSTYLED: ReadonlySet<string> = new Set<Exclude<keyof TileLook, StyledField>>([
  'spread',
  'align',
  'direction',
  'writingDirection',
  'fade',
]);

/** What a tile is never without. */
const ALWAYS: ReadonlySet<string> = new Set<StyledField>(['fill', 'textColour']);

/** What a tile has to make a style of. */
export const styleLookOf = ({ look }: Pick<Tile, 'look'>): Style['look'] =>
  Object.fromEntries(Object.entries(look).filter(([field]) => !UNSTYLED.has(field)));

const fieldsOf = (...looks: readonly Style['look'][]) =>
  [...new Set(looks.flatMap((look) => Object.keys(look)))] as StyledField[];

/** The fields of the style that a tile follows that it has otherwise; none where it follows none. */
export function styleDifferences(
  styles: Readonly<Record<StyleId, Style>> | undefined,
  { style, look }: Pick<Tile, 'style' | 'look'>,
): StyledField[] {
  const followed = style === undefined ? undefined : styles?.[style];
  if (!followed) return [];
  return fieldsOf(followed.look).filter((field) => !isSame(look[field], followed.look[field]));
}

type Drafted = Draft['tiles'][string];

/** Every tile that may follow a style: those of the collection, and those of its recipes. */
const tilesOf = (draft: Draft): Drafted[] => [
  ...Object.values(draft.tiles),
  ...Object.values(draft.recipes ?? {}).flatMap(({ tiles }) => Object.values(tiles)),
];

/** Gives a tile some fields of a style; those that the style leaves out are taken off. */
function write(tile: Drafted, look: Style['look'], fields: readonly StyledField[]): void {
  for (const field of fields)
    if (look[field] !== undefined || !ALWAYS.has(field)) set(tile.look, field, look[field]);
}

/** Adds a style, or changes the one of the same id; the tiles that follow it change, but for what is their own. */
export function setStyle(style: Style): Command {
  return (draft) => {
    const before = (draft.styles as Readonly<Record<StyleId, Style>> | undefined)?.[style.id];
    const was = before && clone(before).look;
    (draft.styles ??= {})[style.id] = clone(style);
    if (!was) return;
    for (const tile of tilesOf(draft)) {
      if (tile.style !== style.id) continue;
      const shared = fieldsOf(was, style.look).filter((field) => isSame(tile.look[field], was[field]));
      write(tile, style.look, shared);
    }
  };
}

/** Makes tiles follow a style, all of it; null: they follow none from now on, and look as they do. */
export function followStyle(ids: readonly TileId[], style: StyleId | null): Command {
  return (draft) => {
    const styles = draft.styles as Readonly<Record<StyleId, Style>> | undefined;
    const to = style === null ? undefined : styles?.[style];
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      if (to) {
        const from = styles?.[tile.style ?? '']?.look ?? {};
        write(tile, to.look, fieldsOf(from, to.look));
        tile.style = to.id;
      } else delete tile.style;
    }
  };
}

/** Puts tiles back to what their style says. */
export function resetToStyle(ids: readonly TileId[]): Command {
  return (draft) => {
    const styles = draft.styles as Readonly<Record<StyleId, Style>> | undefined;
    for (const id of ids) {
      const tile = draft.tiles[id];
      const followed = styles?.[tile?.style ?? ''];
      if (tile && followed) write(tile, followed.look, styleDifferences(styles, tile));
    }
  };
}

/** Removes a style; the tiles that followed it look as they did. */
export function removeStyle(id: StyleId): Command {
  return (draft) => {
    delete draft.styles?.[id];
    for (const tile of tilesOf(draft)) if (tile.style === id) delete tile.style;
  };
}
