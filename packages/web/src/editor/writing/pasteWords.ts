import { LIMITS, partIn, setPart, type Command, type Tile } from '@noria/core';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { runHere } from '../here';
import { selectSelected, selectView } from '../selectors';
import { placesIn, placeToBegin, writtenIn } from './places';
import type { AppThunk } from '../state';

/** What lies between the cells of a row that comes from a table. */
const CELLS = '\t';

/**
 * Gives each of several selected tiles that have words, in reading order, a line of a text for the first of
 * them; a line of a table gives the words after those its further cells.
 * @returns whether there were lines and tiles for them
 */
export const pasteWords =
  (text: string): AppThunk<boolean> =>
  (dispatch, getState) => {
    const { order } = selectView(getState());
    const tiles = selectSelected(getState()).toSorted((a, b) => order.indexOf(a.id) - order.indexOf(b.id));
    const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '');
    if (tiles.length < 2 || lines.length === 0) return false;
    const takers = withWords(tiles);
    const commands = takers.flatMap((tile, k) => (lines[k] === undefined ? [] : wordsOf(tile, lines[k])));
    if (commands.length === 0) {
      dispatch(warn('The selected tiles have no words. Add a part for them in the settings, under Content.'));
      return true;
    }
    dispatch(runHere('Paste words', (draft) => commands.forEach((command) => command(draft))));
    const over = lines.length - takers.length;
    if (over > 0)
      dispatch(warn(`${over === 1 ? 'One line was' : `${over} lines were`} left over: select more tiles.`));
    else dispatch(announce('Each line went into a tile.'));
    return true;
  };

/** The tiles that have words; where none has, those that could have some, as pictures a caption. */
function withWords(tiles: readonly Tile[]): readonly Tile[] {
  const those = tiles.filter((tile) => placesIn(tile).length > 0);
  return those.length > 0 ? those : tiles.filter((tile) => placeToBegin(tile) !== null);
}

function wordsOf(tile: Tile, line: string): Command[] {
  const places = placesIn(tile);
  const begin = places.length > 0 ? places : [placeToBegin(tile) ?? []].flat();
  return begin.flatMap(({ part }, k) => {
    const held = partIn(tile, part);
    const written = held && writtenIn(held);
    const words = line.split(CELLS)[k]?.trim().slice(0, LIMITS.words);
    return written && words ? [setPart([tile.id], part, { [written.field]: words })] : [];
  });
}
