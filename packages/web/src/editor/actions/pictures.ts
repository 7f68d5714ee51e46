import { COMMAND_WORDS } from '../commands/words';
import {
  byNumberedName,
  droppedSlots,
  fitPictures,
  isNumbered,
  pictureSlots,
  rowOf,
  placeAt,
  positionAt,
  placeMedia,
  pictureOf,
  setPart,
  setSlots,
  shownAnew,
  type GridArea,
  type MediaToPlace,
  type PartValues,
  type PictureId,
  type TileId,
} from '@noria/core';
import { toAsset, uploadPicture } from '../../api/pictures';
import { outcome, undo } from '../document/run';
import { askForFiles } from '../../ui/askForFiles';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { busyWith, tilesSelected } from '../editorSlice';
import { runHere } from '../here';
import {
  orderChosen,
  renumberedNoted,
  type ArrivedFilm,
  type ArrivedMedia,
  type Renumbered,
} from '../pictures/uploadsSlice';
import { selectBand, selectSelected, selectLayout, selectView } from '../selectors';
import { freshId } from './freshId';
import { nextPosition } from './tiles';
import type { AppThunk, RootState } from '../state';

/** The slots of tiles as aspects, inline ÷ block, at the width shown. */
function aspectsOf(state: RootState, ids: readonly TileId[]): number[] {
  const { tiles } = selectLayout(state);
  return ids.map((id) => {
    const slot = tiles.find((tile) => tile.id === id);
    return slot && slot.blockSize > 0 ? slot.inlineSize / slot.blockSize : 1;
  });
}

interface TakeMedia {
  /** The tile that was pointed at; null: none, the pictures become new tiles. */
  readonly onto: TileId | null;
  /** The free cell that was pointed at, which the first new tile takes; left out: none. */
  readonly cell?: Cell | null;
  readonly bestFit: boolean;
  /** What is selected stays so, since something else was selected while they came. */
  readonly keepsSelected?: boolean;
}

type Cell = Pick<GridArea, 'column' | 'row'>;

const isFilm = ({ type }: File) => type.startsWith('video/');

/** Uploads pictures, ZIPs of them and films; they fill tiles from the one pointed at in one order, or become new ones. */
export const addPictures =
  (
    files: readonly File[],
    { onto, cell = null, bestFit }: TakeMedia = { onto: null, bestFit: false },
  ): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const before = getState().editor.selected.join();
    const arrived = await dispatch(arrivedOf(files));
    if (arrived.length === 0) return;
    // What was selected while they came is worked on.
    const keepsSelected = getState().editor.selected.join() !== before;
    const { order } = getState().uploads;
    const isSeries = !bestFit && order === 'picked' && isNumbered(arrived);
    const ordered = isSeries || order === 'numbered' ? byNumberedName(arrived) : arrived;
    dispatch(takeMedia(ordered, { onto, cell, bestFit, keepsSelected }));
    if (isSeries && ordered.some((each, k) => each !== arrived[k]))
      dispatch(renumberedNoted({ picked: arrived, onto, cell, steps: getState().document.past.length }));
  };

/** What of these files is in the library then, in their order. */
const arrivedOf =
  (files: readonly File[]): AppThunk<Promise<ArrivedMedia[]>> =>
  async (dispatch) => {
    const films = new Map<File, ArrivedFilm>();
    for (const file of files.filter(isFilm)) {
      const film = await dispatch(filmArrived(file));
      if (film) films.set(file, film);
    }
    const others = files.filter((file) => !isFilm(file));
    const { uploadWithOrigin } = await import('../pictures/upload');
    const pictures = others.length > 0 ? await dispatch(uploadWithOrigin(others)) : [];
    return files.flatMap((file): ArrivedMedia[] =>
      isFilm(file)
        ? [films.get(file) ?? []].flat()
        : pictures.flatMap(({ picture, from }) => (from === file ? [picture] : [])),
    );
  };

/** Takes pictures in the order in which they were picked, that were taken by their numbers. */
export const takeAsPicked =
  ({ picked, onto, cell }: Renumbered): AppThunk =>
  (dispatch) => {
    dispatch(renumberedNoted(null));
    dispatch(undo());
    dispatch(takeMedia(picked, { onto, cell, bestFit: false }));
  };

/** Asks for files, and adds what was chosen, in the order in which it was chosen or by the numbers in its names. */
export const choosePictures =
  (order: 'picked' | 'numbered'): AppThunk<Promise<void>> =>
  async (dispatch) => {
    const { TAKEN_TYPES } = await import('../pictures/upload');
    dispatch(orderChosen(order));
    const files = await askForFiles(`${TAKEN_TYPES},video/mp4,video/webm`);
    await dispatch(addPictures(files));
  };

/** Asks for a file, and puts it into the selected tile. */
export const replacePicture = (): AppThunk<Promise<void>> => async (dispatch, getState) => {
  const [tile] = selectSelected(getState());
  const { TAKEN_TYPES } = await import('../pictures/upload');
  const [file] = await askForFiles(TAKEN_TYPES);
  if (tile && file) await dispatch(addPictures([file], { onto: tile.id, bestFit: false }));
};

/** Sets what the picture of the selected tile is, or how it lies there. */
const setPictureAs =
  (command: 'uncrop' | 'removePicture', values: (picture: PictureId) => PartValues) =>
  (): AppThunk =>
  (dispatch, getState) => {
    const [tile] = selectSelected(getState());
    const part = tile && pictureOf(tile);
    if (tile && part?.picture) {
      dispatch(runHere(COMMAND_WORDS[command], setPart([tile.id], part.id, values(part.picture))));
    }
  };

export const uncrop = setPictureAs('uncrop', shownAnew);
export const removePicture = setPictureAs('removePicture', (picture) => ({
  ...shownAnew(picture),
  picture: null,
}));

/** Puts pictures and films of the library into tiles, as one step. */
export const takeMedia =
  (
    arrived: readonly ArrivedMedia[],
    { onto, cell = null, bestFit, keepsSelected = false }: TakeMedia,
  ): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const view = selectView(state);
    // The same picture twice is one in the collection, and as many tiles.
    const known = new Map(Object.values(view.pictures).map((each) => [each.hash, each]));
    const all = arrived.map((each): MediaToPlace => {
      if ('film' in each) return { film: each.film, poster: each.poster };
      const asset = known.get(each.hash) ?? toAsset(each);
      known.set(each.hash, asset);
      return asset;
    });
    const films = all.filter((each) => 'film' in each);
    // A row of icons takes pictures alone.
    const isRow = onto !== null && view.tiles[onto] !== undefined && rowOf(view.tiles[onto]) !== null;
    const media = isRow ? [...all.filter((each) => !('film' in each)), ...films] : all;
    const slots = slotsFor(state, { onto, cell }, isRow ? media.length - films.length : media.length);
    const { command, tiles } = placeMedia({
      media,
      slots,
      ...(bestFit && { aspects: aspectsOf(state, slots) }),
      freshId: () => freshId('picture'),
      // The rest follow the last that was filled.
      position:
        slots.length > 0
          ? view.order.indexOf(slots.at(-1) as TileId) + 1
          : cell
            ? positionAt(view, selectBand(state), cell)
            : nextPosition(state),
    });
    const many = media.length > 1;
    const [first] = tiles;
    const added = cell && first !== undefined ? outcome(view, command) : null;
    const one = { columnSpan: 1, rowSpan: 1 };
    const place =
      added &&
      cell &&
      first !== undefined &&
      placeAt(added, first, selectBand(state), { ...cell, ...one }, 'band');
    const what = mediaWords(media.length, films.length);
    dispatch(
      runHere(many ? `Add ${media.length} ${what}` : films.length > 0 ? 'Film' : 'Picture', (draft) => {
        command(draft);
        if (place) place(draft);
      }),
    );
    if (!keepsSelected) dispatch(tilesSelected(tiles));
    const fresh = media.length - slots.length;
    const deals =
      films.length === 0 ? ` “${COMMAND_WORDS.dealPictures}” gives each the slot that fits it.` : '';
    dispatch(
      announce(
        many
          ? `${media.length} ${what} are in${fresh > 0 ? `, ${fresh} of them in new tiles` : ''}.${deals}`
          : `${nameOf(media[0]) || 'The picture'} was added${keepsSelected ? '' : ' and selected'}.`,
      ),
    );
  };

const nameOf = (media: MediaToPlace | undefined) => media && ('film' in media ? media.film.name : media.name);

/** “pictures”, “films”, “pictures and films”, of several. */
export const mediaWords = (all: number, films: number): string =>
  films === 0 ? 'pictures' : films === all ? 'films' : 'pictures and films';

/**
 * The tiles that so many pictures go to, in order: from the one pointed at on, none where a cell is pointed
 * at, else those that show nothing yet.
 */
export function slotsFor(
  state: RootState,
  { onto, cell = null }: Pick<TakeMedia, 'onto' | 'cell'>,
  count: number,
): TileId[] {
  const view = selectView(state);
  const free = onto !== null && view.tiles[onto] ? droppedSlots(view, onto) : cell ? [] : emptySlots(state);
  return free.slice(0, count);
}

/** Picture tiles that show nothing yet. */
function emptySlots(state: RootState): TileId[] {
  const view = selectView(state);
  return pictureSlots(view, null).filter((id) => {
    const tile = view.tiles[id];
    return tile && pictureOf(tile)?.picture === null;
  });
}

/** Assigns the pictures of the selected tiles, or of all, by their shape: wide to wide slots, tall to tall. */
export const dealPictures = (): AppThunk => (dispatch, getState) => {
  const state = getState();
  const view = selectView(state);
  const held = selectSelected(state).filter((tile) => pictureOf(tile));
  const ids = (held.length > 1 ? held : Object.values(view.tiles))
    .filter((tile) => pictureOf(tile)?.picture && view.order.includes(tile.id))
    .map(({ id }) => id);
  if (ids.length < 2) {
    dispatch(warn(`“${COMMAND_WORDS.dealPictures}” needs two picture tiles or more.`));
    return;
  }
  const aspects = aspectsOf(state, ids);
  dispatch(
    runHere(
      COMMAND_WORDS.dealPictures,
      fitPictures(Object.fromEntries(ids.map((id, k) => [id, aspects[k] ?? 1]))),
    ),
  );
  dispatch(announce(`${ids.length} pictures were assigned by their shape.`));
};

/**
 * Locks every tile of a mosaic in its slot, and deals the pictures out among the slots: a mosaic makes
 * slots for its pictures, so they have to stay for the pictures to go to them.
 */
export const fitToSlots = (): AppThunk => (dispatch, getState) => {
  const state = getState();
  const view = selectView(state);
  const { tiles } = selectLayout(state);
  const shown = tiles.filter(({ id }) => view.tiles[id] && pictureOf(view.tiles[id]));
  const aspects = Object.fromEntries(
    shown.map(({ id, inlineSize, blockSize }) => [id, blockSize > 0 ? inlineSize / blockSize : 1]),
  );
  const slots = Object.fromEntries(
    tiles.map(({ id, column, row, columnSpan, rowSpan }) => [id, { column, row, columnSpan, rowSpan }]),
  );
  dispatch(
    runHere('Fit to slots', (draft) => {
      setSlots(slots, selectBand(state).index)(draft);
      fitPictures(aspects)(draft);
    }),
  );
  dispatch(announce(`${shown.length} pictures were dealt out among these slots, which are locked now.`));
};

/** Reads and uploads a film; null, and it is told why, where that can’t be. */
const filmArrived =
  (file: File): AppThunk<Promise<ArrivedFilm | null>> =>
  async (dispatch) => {
    dispatch(busyWith(`Reading ${file.name}`));
    try {
      const { readFilm, uploadFilm } = await import('../../api/filmUpload');
      const read = await readFilm(file);
      const film = await uploadFilm(file, read);
      return { name: file.name, film, poster: await uploadPicture(read.poster) };
    } catch (error) {
      dispatch(warn(error instanceof Error ? error.message : String(error)));
      return null;
    } finally {
      dispatch(busyWith(null));
    }
  };
