import {
  compositions,
  evenTracks,
  insertTrack,
  setArrangement,
  setKind,
  titleOf,
  type ArrangementName,
  type TileStart,
} from '@noria/core';
import { useAppSelector } from '../hooks';
import { KIND_WORDS, KINDS } from '../kinds/words';
import { redo, undo } from '../document/run';
import { fixAll } from '../fit/actions';
import { addNewTile, deleteTiles, duplicateTiles, swapWith } from '../actions/tiles';
import { changeRecipe, releaseHand, resetHand } from '../actions/recipes';
import { dealPictures } from '../actions/pictures';
import { enterGroup, groupInHand, takeApart } from '../actions/groups';
import { fitTiles, layerTiles, pinTiles, reorderTiles, spanTiles } from '../actions/place';
import { giveToHand } from '../actions/brush';
import { letGo, takeAll } from '../actions/hand';
import { keySheetToggled, linesToggled, orderToggled, shown, toolChosen } from '../editorSlice';
import { runHere } from '../here';
import { selectBand, selectInHand, selectLayout, selectSetFor, selectTrail } from '../selectors';
import type { AppThunk } from '../state';

export interface ListedCommand {
  readonly does: string;
  readonly keys?: string;
  readonly run: () => AppThunk<unknown>;
}

const TILE_STARTS: readonly TileStart[] = [...compositions().map(({ name }) => name), 'group'];

/** Every command that makes sense with what is in hand. */
export function useCommands(): readonly ListedCommand[] {
  const inHand = useAppSelector(selectInHand);
  const trail = useAppSelector(selectTrail);
  const [first, second] = inHand;
  const hasGroup = inHand.some(({ kind }) => kind === 'group');
  return [
    ...(first ? IN_HAND : []),
    ...(first && second && inHand.length === 2
      ? [{ does: 'Swap the two tiles in hand', run: () => swapWith(first.id, second.id) }]
      : []),
    ...(hasGroup
      ? [
          { does: 'Go into the group', keys: 'Enter', run: enterGroup },
          { does: 'Take the group apart', keys: 'u', run: takeApart },
        ]
      : []),
    ...(first || trail.length > 0 ? [{ does: 'Let go; out of the group', keys: 'Escape', run: letGo }] : []),
    ...ALWAYS,
  ];
}

const toKind =
  (kind: ArrangementName): (() => AppThunk) =>
  () =>
  (dispatch, getState) => {
    const state = getState();
    dispatch(runHere('Kind', setKind(kind, selectBand(state).index, selectSetFor(state))));
  };

const track =
  (axis: 'column' | 'row'): (() => AppThunk) =>
  () =>
  (dispatch, getState) => {
    const state = getState();
    const band = selectBand(state);
    const layout = selectLayout(state);
    const index = axis === 'column' ? layout.columns.length : layout.rows.length;
    dispatch(
      runHere(`Add ${axis}`, insertTrack({ axis, index, band: band.index, setFor: selectSetFor(state) })),
    );
  };

const even =
  (axis: 'column' | 'row'): (() => AppThunk) =>
  () =>
  (dispatch, getState) => {
    dispatch(
      runHere(
        'Even out',
        evenTracks({ axis, band: selectBand(getState()).index, setFor: selectSetFor(getState()) }),
      ),
    );
  };

const flow =
  (value: 'dense' | 'sparse'): (() => AppThunk) =>
  () =>
  (dispatch, getState) => {
    dispatch(
      runHere(
        'Flow',
        setArrangement({ flow: value }, selectBand(getState()).index, selectSetFor(getState())),
      ),
    );
  };

const IN_HAND: readonly ListedCommand[] = [
  { does: 'Duplicate', keys: 'Ctrl + D', run: duplicateTiles },
  { does: 'Delete', keys: 'Delete', run: deleteTiles },
  { does: 'Pin here, or free', keys: 'p', run: pinTiles },
  { does: 'Group', keys: 'g', run: groupInHand },
  { does: 'Earlier in reading order', keys: '[', run: () => reorderTiles(-1) },
  { does: 'Later in reading order', keys: ']', run: () => reorderTiles(1) },
  { does: 'Lift by a layer', keys: 'PageUp', run: () => layerTiles(1) },
  { does: 'Lower by a layer', keys: 'PageDown', run: () => layerTiles(-1) },
  { does: 'Take its look, to put it on others', keys: 'c', run: () => giveToHand('look') },
  { does: 'Take its spans, to put them on others', run: () => giveToHand('spans') },
  { does: 'Take its place, to put it on others', run: () => giveToHand('place') },
  { does: 'Take its motion, to put it on others', run: () => giveToHand('motion') },
  { does: 'Back to the recipe', run: () => resetHand() },
  { does: 'Change the recipe into this', run: changeRecipe },
  { does: 'Release from the recipe', run: releaseHand },
  { does: 'Span one cell', run: () => spanTiles({ columnSpan: 1, rowSpan: 1 }) },
  { does: 'Fill the cells', run: () => fitTiles({ inline: 'fill', block: 'fill' }) },
  { does: 'Centre in the cells', run: () => fitTiles({ inline: 'center', block: 'center' }) },
];

const ALWAYS: readonly ListedCommand[] = [
  { does: 'Close the gaps', keys: 'h', run: () => (dispatch) => dispatch(shown('gaps')) },
  {
    does: 'Findings, with what puts them right',
    keys: 'f',
    run: () => (dispatch) => dispatch(shown('findings')),
  },
  {
    does: 'The band: derive it, what is set here',
    keys: 'w',
    run: () => (dispatch) => dispatch(shown('band')),
  },
  { does: 'Put right all that is safe', run: fixAll },
  { does: 'Proposals: other arrangements', keys: 'o', run: () => (dispatch) => dispatch(shown('proposals')) },
  ...TILE_STARTS.map((what) => ({
    does: `Add a ${titleOf(what).toLowerCase()} tile`,
    run: () => addNewTile(what),
  })),
  { does: 'Best fit: deal pictures out by their shape', keys: 'b', run: dealPictures },
  { does: 'Recipes', keys: 'r', run: () => (dispatch) => dispatch(shown('recipes')) },
  { does: 'Named looks and palette', keys: 'k', run: () => (dispatch) => dispatch(shown('looks')) },
  { does: 'Tiles from a table', run: () => (dispatch) => dispatch(shown('table')) },
  { does: 'Paint areas', keys: 'a', run: () => (dispatch) => dispatch(toolChosen('areas')) },
  { does: 'Add a column', run: track('column') },
  { does: 'Add a row', run: track('row') },
  { does: 'Even out the columns', run: even('column') },
  { does: 'Even out the rows', run: even('row') },
  { does: 'Dense flow', run: flow('dense') },
  { does: 'Sparse flow', run: flow('sparse') },
  { does: 'Take all tiles', keys: 'Ctrl + A', run: takeAll },
  { does: 'Show or hide grid lines and areas', keys: 'l', run: () => (dispatch) => dispatch(linesToggled()) },
  {
    does: 'Show or hide the reading order line',
    keys: 't',
    run: () => (dispatch) => dispatch(orderToggled()),
  },
  ...KINDS.map((kind) => ({ does: `Arrange as ${KIND_WORDS[kind].toLowerCase()}`, run: toKind(kind) })),
  { does: 'Undo', keys: 'Ctrl + Z', run: undo },
  { does: 'Redo', keys: 'Ctrl + Shift + Z', run: redo },
  { does: 'Show all keys', keys: '?', run: () => (dispatch) => dispatch(keySheetToggled(true)) },
];
