import { rowOf, tileName, type CollectionDocument, type Tile, type TileId } from '@noria/core';
import { mediaWords, slotsFor } from '../actions/pictures';
import { selectView } from '../selectors';
import { isTableType } from '../tables/tableFile';
import { count } from '../../ui/words';
import type { RootState } from '../state';

/** What a drop of files would do. */
export interface DropPromise {
  readonly says: string;
  /** The tiles that would take a picture, in order. */
  readonly tiles: readonly TileId[];
}

/** What is held over the stage, and where. */
export interface Hovering {
  /** The types of the files, with blanks between; an archive holds nobody knows how many. */
  readonly types: string;
  readonly onto: TileId | null;
  readonly isCell: boolean;
}

const CELL: DropPromise = {
  says: 'Drop: the first picture lies in this cell, the rest follow it.',
  tiles: [],
};

const TABLE: DropPromise = { says: 'Drop: the rows of the table become tiles, once you say how.', tiles: [] };

/** What files would do that are held over the stage. */
export function dropPromise(state: RootState, { types, onto, isCell }: Hovering): DropPromise {
  const view = selectView(state);
  const all = types.split(' ');
  if (all.every((type) => type.startsWith('font/'))) return fontPromise(view, onto, all.length);
  if (all.every(isTableType)) return TABLE;
  if (isCell) return CELL;
  return mediaPromise(state, all, onto);
}

/** Fonts come into the library; a card that they fall on is set in them. */
function fontPromise(view: CollectionDocument, onto: TileId | null, n: number): DropPromise {
  const target = onto === null ? undefined : view.tiles[onto];
  const what = n === 1 ? 'the font' : 'the fonts';
  return target?.kind === 'card'
    ? { says: `Drop: “${tileName(target, view)}” takes ${what} for its heading type.`, tiles: [target.id] }
    : { says: `Drop: ${what} ${n === 1 ? 'comes' : 'come'} into the library.`, tiles: [] };
}

const isFilm = (type: string) => type.startsWith('video/');

/** Pictures, films and archives fill tiles in one order, and become new ones where there are no more. */
function mediaPromise(state: RootState, all: readonly string[], onto: TileId | null): DropPromise {
  const view = selectView(state);
  const target = onto === null ? undefined : view.tiles[onto];
  const name = target && `“${tileName(target, view)}”`;
  const films = all.filter(isFilm).length;
  if (target && rowOf(target) && films < all.length) return rowPromise(state, all, target);
  if (all.some((type) => !isFilm(type) && !type.startsWith('image/')))
    return {
      says: `Drop to fill tiles${name ? ` from ${name} on` : ''}; the rest become new tiles.`,
      tiles: onto === null ? [] : [onto],
    };
  const what = wordFor(all);
  const tiles = target && rowOf(target) ? [] : slotsFor(state, { onto }, all.length);
  const rest = all.length - tiles.length;
  if (tiles.length === 0)
    return {
      says: `Drop: ${count(rest, 'new tile').toLowerCase()} with the ${rest === 1 ? what.one : what.many}.`,
      tiles,
    };
  const [first = ''] = tiles;
  const taker = name ?? `“${tileName(view.tiles[first] as NonNullable<typeof target>, view)}”`;
  if (all.length === 1) return { says: `Drop: ${taker} takes the ${what.one}.`, tiles };
  const others =
    rest > 0
      ? `; ${count(rest, wordFor(all.slice(tiles.length)).one).toLowerCase()} more become${rest === 1 ? 's a new tile' : ' new tiles'}`
      : '';
  const shape = tiles.length > 1 ? ' With Shift, each goes where it fits best.' : '';
  return {
    says: `Drop: ${count(tiles.length, 'tile').toLowerCase()} take${tiles.length === 1 ? 's' : ''} ${what.many} in order, from ${taker} on${others}.${shape}`,
    tiles,
  };
}

/** What files of such types are called. */
const wordFor = (types: readonly string[]) => {
  const films = types.filter(isFilm).length;
  return {
    one: films === 0 ? 'picture' : films === types.length ? 'film' : 'file',
    many: mediaWords(types.length, films),
  };
};

/** A row of icons takes pictures as logos; films become new tiles. */
function rowPromise(state: RootState, all: readonly string[], row: Tile): DropPromise {
  const pictures = all.filter((type) => !isFilm(type));
  const many = pictures.length > 1 || !pictures.every((type) => type.startsWith('image/'));
  const over = pictures.length - slotsFor(state, { onto: row.id }, pictures.length).length;
  const rest = over + all.length - pictures.length;
  const takes = over > 0 ? 'as many as it holds' : many ? 'the pictures as logos' : 'the picture as a logo';
  const others = wordFor(over > 0 ? all : all.filter(isFilm));
  return {
    says: `Drop: “${tileName(row, selectView(state))}” takes ${takes}${rest > 0 ? `; ${newTiles(rest, others.one)}` : ''}.`,
    tiles: [row.id],
  };
}

/** “one film becomes a new tile”, “two films become new tiles”. */
const newTiles = (n: number, what: string) =>
  `${count(n, what).toLowerCase()} ${n === 1 ? 'becomes a new tile' : 'become new tiles'}`;
