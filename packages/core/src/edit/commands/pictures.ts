import { clone } from '../../document/clone.js';
import { isMedia } from '../../look/paints.js';
import { LIMITS } from '../../document/limits.js';
import { mediaOf, partIn, pictureOf, shownParts } from '../../document/card.js';
import { withContents } from '../../document/levels.js';
import { kindTitle } from '../../parts/said.js';
import { becomeComposition } from './parts.js';
import { insertTile, setPart, setTile, type PartValues } from './tiles.js';
import { isDrawing } from '../../parts/variants.js';
import { newCard } from '../../parts/newTile.js';
import { bestFit } from '../../geometry/assign.js';
import type { Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type {
  CollectionDocument,
  FilmAsset,
  FilmFill,
  IconsPart,
  PartId,
  PictureAsset,
  PictureFill,
  PictureId,
  PicturePart,
  Tile,
  TileId,
  Veil,
} from '../../document/types.js';

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** Files in the order of the numbers in their names: 2 before 10. */
export function byNumberedName<F extends { readonly name: string }>(files: readonly F[]): F[] {
  return files.toSorted((a, b) => collator.compare(a.name, b.name));
}

/** Whether files are one series: all are called alike but for a number, each another. */
export function isNumbered(files: readonly { readonly name: string }[]): boolean {
  const names = files.map(({ name }) => /^(.*?)(\d+)(\D*)$/.exec(name));
  const series = new Set(
    names.map((found) => found && `${found[1]?.toLowerCase()} ${found[3]?.toLowerCase()}`),
  );
  const numbers = new Set(names.map((found) => Number(found?.[2])));
  return files.length > 1 && series.size === 1 && !series.has(null) && numbers.size === files.length;
}

/** Where a picture goes that is dropped on a tile: into a part, into its row of icons too, or behind the contents (null). */
export interface PicturePlace {
  /** The tile itself, or one in it. */
  readonly tile: TileId;
  readonly part: PartId | null;
}

/**
 * Where a tile takes a picture: in its picture, an empty one first; as the poster of its film; in a group in
 * the first picture there is in it; in a tile that is a row of icons as one more; else behind what it holds.
 * Null: there is no such tile.
 */
export function picturePlace({ tiles }: Pick<CollectionDocument, 'tiles'>, id: TileId): PicturePlace | null {
  if (!tiles[id]) return null;
  const places = withContents({ tiles }, id).flatMap((tile) =>
    shownParts(tiles[tile] as Tile).flatMap((part) =>
      'picture' in part ? [{ tile, part: part.id, isEmpty: part.picture === null }] : [],
    ),
  );
  const found = places.find(({ isEmpty }) => isEmpty) ?? places[0];
  if (found) return { tile: found.tile, part: found.part };
  const media = mediaOf(tiles[id]);
  return { tile: id, part: (media && 'poster' in media ? media.id : rowOf(tiles[id])?.id) ?? null };
}

/** The row of icons that is all that a tile holds; null where there is more, or none. */
export function rowOf(tile: Tile): IconsPart | null {
  const [only, ...others] = shownParts(tile);
  return only && 'icons' in only && others.length === 0 ? only : null;
}

/**
 * The tiles that a set of pictures fills which is dropped on one: it, and those after it that take a
 * picture as it does. Cards that hold words are filled behind them only where they are alike.
 */
export function droppedSlots(document: CollectionDocument, onto: TileId): TileId[] {
  const { order, tiles } = document;
  const at = order.indexOf(onto);
  const way = (id: TileId) => {
    const [tile, place] = [tiles[id], picturePlace(document, id)];
    if (!tile || place?.part !== null) return 'picture';
    return tile.recipe ? `${tile.recipe.recipe} ${tile.recipe.tile}` : kindTitle(tile);
  };
  // A row takes as many as come.
  const row = tiles[onto] && rowOf(tiles[onto]);
  if (row) return Array.from({ length: LIMITS.icons - row.icons.length }, () => onto);
  return at === -1
    ? []
    : order.slice(at).filter((id) => id === onto || (way(id) === way(onto) && !isFilm(tiles[id])));
}

const isFilm = (tile: Tile | undefined): boolean => {
  const media = tile ? mediaOf(tile) : null;
  return media !== null && 'film' in media;
};

/** How dark a picture behind words is, so that they are read on it. */
const VEIL: Veil = { colour: '#0b1714', opacity: 0.5 };

/** Puts a picture where a tile takes one. */
function put(draft: Draft, { tile: id, part }: PicturePlace, picture: PictureId): void {
  const tile = draft.tiles[id];
  if (!tile) return;
  const held = part === null ? undefined : partIn(tile, part);
  if (part !== null) {
    if (held && 'poster' in held) setPart([id], part, { poster: picture })(draft);
    else if (held && 'icons' in held) addLogo(draft, id, held, picture);
    else if (held && 'picture' in held && held.picture !== picture)
      setPart([id], part, { ...shownAnew(picture), ...wholeAtFirst(draft, held, picture) })(draft);
    return;
  }
  putBehind(tile, { kind: 'picture', picture });
}

/** A drawing, most often a logo, is shown whole where a picture is empty. */
const wholeAtFirst = ({ pictures }: Draft, held: PicturePart, picture: PictureId): PartValues => {
  const asset = pictures[picture];
  return asset && isDrawing(asset) && held.picture === null && held.fit === undefined
    ? { fit: 'contain' }
    : {};
};

/** Adds a picture to a row of icons, with what it shows as its label. */
function addLogo(draft: Draft, id: TileId, row: IconsPart, picture: PictureId): void {
  const asset = draft.pictures[picture];
  const label = asset?.alternativeText.trim() || asset?.name || '';
  setPart([id], row.id, { icons: [...row.icons, { icon: null, picture, label, address: '' }] })(draft);
}

/** The tiles of a level that a picture fills, in reading order, from the one pointed at on. */
export function pictureSlots({ order, tiles }: CollectionDocument, from: TileId | null): TileId[] {
  const start = from === null ? 0 : Math.max(0, order.indexOf(from));
  return order.slice(start).filter((id) => tiles[id] && pictureOf(tiles[id]));
}

/** A film, with the picture that shows before it plays. */
export interface FilmToPlace {
  readonly film: FilmAsset;
  readonly poster: PictureAsset;
}

/** What tiles are filled with. */
export type MediaToPlace = PictureAsset | FilmToPlace;

export interface PlaceMedia {
  readonly media: readonly MediaToPlace[];
  /** The tiles to fill, in reading order. */
  readonly slots: readonly TileId[];
  /** The aspect of each slot, inline ÷ block; left out: media go to slots in order. */
  readonly aspects?: readonly number[];
  /** Ids for tiles that are made for the rest. */
  readonly freshId: () => TileId;
  /** Where those come in reading order. */
  readonly position: number;
}

/**
 * Fills tiles with pictures and films where they take one, in order or by best fit; the rest become new tiles.
 * A tile that shows another picture than before looks for its subject in the middle again.
 * @returns the command, and the tiles that show them
 */
export function placeMedia({ media, slots, aspects, freshId, position }: PlaceMedia): {
  readonly command: Command;
  readonly tiles: readonly TileId[];
} {
  const given = aspects
    ? bestFit(
        media.map((each) => {
          const { inlineSize, blockSize } = 'film' in each ? each.film : each;
          return inlineSize / blockSize;
        }),
        aspects,
      )
    : slots.map((_, k) => (k < media.length ? k : null));
  const taken = slots.flatMap((id, k) => {
    const at = given[k] ?? null;
    const each = at === null ? undefined : media[at];
    return each ? [{ id, each }] : [];
  });
  const rest = media.flatMap((each, k) => (given.includes(k) ? [] : [{ id: freshId(), each }]));
  return {
    tiles: [...new Set([...taken, ...rest].map(({ id }) => id))],
    command: (draft) => {
      for (const each of media) {
        const picture = 'film' in each ? each.poster : each;
        draft.pictures[picture.id] = clone(picture);
        if ('film' in each) (draft.films ??= {})[each.film.id] = clone(each.film);
      }
      rest.forEach(({ id, each }, k) => {
        insertTile(draft, newCard('film' in each ? 'film' : 'picture', id), position + k);
      });
      for (const { id, each } of [...taken, ...rest]) {
        const place = picturePlace(draft, id);
        if (!place) continue;
        if ('film' in each) putFilm(draft, place, each);
        else put(draft, place, each.id);
      }
    },
  };
}

/** Puts a film into a tile: in its film; in place of the picture that fills it, which stays hidden; else behind what it holds. */
function putFilm(draft: Draft, { tile: id }: PicturePlace, { film, poster }: FilmToPlace): void {
  const tile = draft.tiles[id];
  if (!tile) return;
  const held = () => shownParts(draft.tiles[id] as Tile).find((part) => 'film' in part);
  if (!held() && mediaOf(tile)) becomeComposition([id], 'film')(draft);
  const part = held();
  if (part) setPart([id], part.id, { film: film.id, poster: poster.id })(draft);
  else putBehind(tile, { kind: 'film', film: film.id, poster: poster.id });
}

/** Puts a picture or film behind what a tile holds, in the middle, under the tint of the one that was there. */
function putBehind(
  tile: Draft['tiles'][TileId],
  media: Pick<PictureFill, 'kind' | 'picture'> | Pick<FilmFill, 'kind' | 'film' | 'poster'>,
): void {
  const { fill } = tile.look;
  const tint = isMedia(fill) ? fill.tint : VEIL;
  tile.look.fill = clone({ ...media, focalPoint: { x: 0.5, y: 0.5 }, tint });
  // A colour that was chosen for another ground may not be read on this one.
  tile.look.textColour = 'auto';
}

/**
 * Deals the pictures of several tiles out among them anew, so that as little as possible is cropped
 * over all. Each takes its focal point along.
 * @param aspects of the tiles' slots, inline ÷ block, by tile
 */
export function fitPictures(aspects: Readonly<Record<TileId, number>>): Command {
  return (draft) => {
    const slots = Object.keys(aspects).flatMap((id) => {
      const tile = draft.tiles[id];
      const part = tile ? pictureOf(tile) : null;
      return tile && part?.picture ? [{ tile, part }] : [];
    });
    const shown = slots.map(({ tile, part: { id: _, ...part } }) => ({ part: clone(part), name: tile.name }));
    const given = bestFit(
      shown.map(({ part }) => {
        const asset = draft.pictures[part.picture ?? ''];
        return asset ? asset.inlineSize / asset.blockSize : 1;
      }),
      slots.map(({ tile }) => aspects[tile.id] ?? 1),
    );
    slots.forEach(({ tile, part }, k) => {
      const next = shown[given[k] ?? k];
      if (!next || next.part.picture === part.picture) return;
      const { picture, focalPoint, position, zoom, tint, caption } = next.part;
      setPart([tile.id], part.id, { picture, focalPoint, position, zoom, tint, caption })(draft);
      setTile([tile.id], { name: next.name })(draft);
    });
  };
}

/** A picture as it is shown where another one was: its subject is looked for in the middle again. */
export const shownAnew = (picture: PictureId): PartValues => ({
  picture,
  focalPoint: { x: 0.5, y: 0.5 },
  position: undefined,
  zoom: undefined,
});
