import { rowOf, tileName, type CollectionDocument, type TileId } from '@noria/core';
import { slotsFor } from '../actions/pictures';
import { selectView } from '../selectors';
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

/** What files would do that are held over the stage. */
export function dropPromise(state: RootState, { types, onto, isCell }: Hovering): DropPromise {
  const view = selectView(state);
  const all = types.split(' ');
  if (all.every((type) => type.startsWith('font/'))) return fontPromise(view, onto, all.length);
  if (isCell) return CELL;
  const pictures = all.filter((type) => !type.startsWith('video/'));
  const films = all.length - pictures.length;
  const target = onto === null ? undefined : view.tiles[onto];
  const name = target && `“${tileName(target, view)}”`;
  if (pictures.length === 0) {
    const into = target?.kind === 'card' && name;
    const fresh = into ? films - 1 : films;
    const takes = into && `${into} takes ${films === 1 ? 'the film' : 'the first film'}`;
    const rest = fresh > 0 && newTiles(fresh, 'film', !into && films === 1);
    return {
      says: `Drop: ${[takes, rest].filter(Boolean).join('; ')}.`,
      tiles: into && onto !== null ? [onto] : [],
    };
  }
  const promised = picturePromise(state, pictures, onto);
  return films === 0
    ? promised
    : {
        ...promised,
        says: `${promised.says} ${films === 1 ? 'The film becomes a new tile.' : 'The films become new tiles.'}`,
      };
}

/** Fonts come into the library; a card that they fall on is set in them. */
function fontPromise(view: CollectionDocument, onto: TileId | null, n: number): DropPromise {
  const target = onto === null ? undefined : view.tiles[onto];
  const what = n === 1 ? 'the font' : 'the fonts';
  return target?.kind === 'card'
    ? { says: `Drop: “${tileName(target, view)}” takes ${what} for its heading type.`, tiles: [target.id] }
    : { says: `Drop: ${what} ${n === 1 ? 'comes' : 'come'} into the library.`, tiles: [] };
}

/** “the film becomes a new tile”, “two films become new tiles”. */
const newTiles = (n: number, what: string, isOnly: boolean) =>
  `${isOnly ? `the ${what}` : count(n, what).toLowerCase()} ${n === 1 ? 'becomes a new tile' : 'become new tiles'}`;

function picturePromise(state: RootState, pictures: readonly string[], onto: TileId | null): DropPromise {
  const view = selectView(state);
  const target = onto === null ? undefined : view.tiles[onto];
  const name = target && `“${tileName(target, view)}”`;
  if (target && rowOf(target)) {
    const many = pictures.length > 1 || !pictures.every((type) => type.startsWith('image/'));
    const rest = pictures.length - slotsFor(state, { onto }, pictures.length).length;
    const says = `${name} takes ${rest > 0 ? 'as many as it holds' : many ? 'the pictures as logos' : 'the picture as a logo'}`;
    return {
      says: `Drop: ${says}${rest > 0 ? `; ${newTiles(rest, 'picture', false)}` : ''}.`,
      tiles: [target.id],
    };
  }
  if (pictures.some((type) => !type.startsWith('image/')))
    return {
      says: `Drop to fill tiles${name ? ` from ${name} on` : ''}; the rest become new tiles.`,
      tiles: onto === null ? [] : [onto],
    };
  const tiles = slotsFor(state, { onto }, pictures.length);
  const rest = pictures.length - tiles.length;
  if (tiles.length === 0)
    return {
      says: `Drop: ${count(rest, 'new tile').toLowerCase()} with ${rest === 1 ? 'the picture' : 'the pictures'}.`,
      tiles,
    };
  const [first = ''] = tiles;
  const taker = name ?? `“${tileName(view.tiles[first] as NonNullable<typeof target>, view)}”`;
  if (pictures.length === 1) return { says: `Drop: ${taker} takes the picture.`, tiles };
  const others =
    rest > 0
      ? `; ${count(rest, 'picture').toLowerCase()} more become${rest === 1 ? 's a new tile' : ' new tiles'}`
      : '';
  const shape = tiles.length > 1 ? ' With Shift, each goes where it fits best.' : '';
  return {
    says: `Drop: ${count(tiles.length, 'tile').toLowerCase()} take${tiles.length === 1 ? 's' : ''} pictures in order, from ${taker} on${others}.${shape}`,
    tiles,
  };
}
