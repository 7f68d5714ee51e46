import {
  brushTaken,
  commandListToggled,
  keySheetToggled,
  linesToggled,
  needleMoved,
  orderToggled,
  shown,
  toolChosen,
  type Showing,
} from '../editorSlice';
import { redo, undo } from '../document/run';
import { addNewTile, deleteTiles, duplicateTiles } from '../actions/tiles';
import { dealPictures } from '../actions/pictures';
import { enterGroup, groupInHand, takeApart } from '../actions/groups';
import { giveToHand } from '../actions/brush';
import { growTiles, layerTiles, pinTiles, reorderTiles, spanTiles, stepTiles } from '../actions/place';
import { letGo, takeAll, takeMoreTowards, takeTowards } from '../actions/hand';
import { selectBand, selectBands, selectNeedle } from '../selectors';
import type { AppThunk } from '../state';

export interface KeyCommand {
  /** As the key sheet shows it. */
  readonly keys: string;
  readonly does: string;
  readonly matches: (event: KeyboardEvent) => boolean;
  readonly run: (event: KeyboardEvent) => AppThunk<unknown>;
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

const arrow = (event: KeyboardEvent) => ARROWS[event.key] ?? [0, 0];
const plain = (event: KeyboardEvent) => !event.ctrlKey && !event.metaKey && !event.altKey;
const isArrow = (event: KeyboardEvent, modifier: 'none' | 'alt' | 'shift' | 'control') =>
  event.key in ARROWS &&
  (event.ctrlKey || event.metaKey) === (modifier === 'control') &&
  event.altKey === (modifier === 'alt') &&
  event.shiftKey === (modifier === 'shift');
const key = (name: string) => (event: KeyboardEvent) => plain(event) && !event.shiftKey && event.key === name;
const control =
  (name: string, shift = false) =>
  (event: KeyboardEvent) =>
    (event.ctrlKey || event.metaKey) &&
    !event.altKey &&
    event.shiftKey === shift &&
    event.key.toLowerCase() === name;
const digit = (event: KeyboardEvent) => /^Digit[1-9]$/.exec(event.code)?.[0].slice(5);

const moveNeedle =
  (by: number): AppThunk =>
  (dispatch, getState) =>
    void dispatch(needleMoved(selectNeedle(getState()) + by));

/** To the next narrower (1) or wider (−1) band: its widest or narrowest width that is common to show. */
const toBand =
  (by: 1 | -1): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const to = selectBands(state)[selectBand(state).index + by];
    if (to) dispatch(needleMoved(by === 1 ? to.below - 1 : to.from));
  };

/** Escape puts down what is put on tiles before it lets go of them. */
const endOrLetGo: AppThunk = (dispatch, getState) => {
  if (getState().editor.brush) dispatch(brushTaken(null));
  else dispatch(letGo());
};

const show =
  (what: Showing): AppThunk =>
  (dispatch, getState) =>
    void dispatch(shown(getState().editor.showing === what ? null : what));

/** Enter belongs to buttons, but for a tile in hand. */
const isHand = (target: EventTarget | null) =>
  target === document.body ||
  (target instanceof HTMLElement && target.matches('[data-tile-hand][aria-pressed=true]'));

const minus = (event: KeyboardEvent) => plain(event) && event.code === 'Minus';
const equal = (event: KeyboardEvent) => plain(event) && event.code === 'Equal';

/** Every key of the Compose screen, in the order of the key sheet. */
export const KEY_COMMANDS: readonly KeyCommand[] = [
  {
    keys: '← → ↑ ↓',
    does: 'Take the next tile in that direction',
    matches: (e) => isArrow(e, 'none'),
    run: (e) => takeTowards(...(arrow(e) as [number, number])),
  },
  {
    keys: 'Ctrl + arrow',
    does: 'Take that one as well',
    matches: (e) => isArrow(e, 'control'),
    run: (e) => takeMoreTowards(...(arrow(e) as [number, number])),
  },
  {
    keys: 'Alt + arrow',
    does: 'Move by a cell',
    matches: (e) => isArrow(e, 'alt'),
    run: (e) => stepTiles(...(arrow(e) as [number, number])),
  },
  {
    keys: 'Shift + arrow',
    does: 'Grow or shrink its span',
    matches: (e) => isArrow(e, 'shift'),
    run: (e) => growTiles(...(arrow(e) as [number, number])),
  },
  {
    keys: '1 … 9',
    does: 'Set the column span',
    matches: (e) => plain(e) && !e.shiftKey && digit(e) !== undefined,
    run: (e) => spanTiles({ columnSpan: Number(digit(e)) }),
  },
  {
    keys: 'Shift + 1 … 9',
    does: 'Set the row span',
    matches: (e) => plain(e) && e.shiftKey && digit(e) !== undefined,
    run: (e) => spanTiles({ rowSpan: Number(digit(e)) }),
  },
  {
    keys: 'n',
    does: 'New tile of the kind last used',
    matches: key('n'),
    run: () => (dispatch, getState) => dispatch(addNewTile(getState().editor.drawn)),
  },
  { keys: '[', does: 'Earlier in reading order', matches: key('['), run: () => reorderTiles(-1) },
  { keys: ']', does: 'Later in reading order', matches: key(']'), run: () => reorderTiles(1) },
  {
    keys: 'p',
    does: 'Pin the tile, lock it in a mosaic, begin a row with it; or free it',
    matches: key('p'),
    run: () => pinTiles(),
  },
  { keys: 'g', does: 'Put what is in hand into a group', matches: key('g'), run: () => groupInHand() },
  { keys: 'u', does: 'Take a group apart', matches: key('u'), run: () => takeApart() },
  {
    keys: 'Enter',
    does: 'Go into the group in hand',
    matches: (e) => plain(e) && e.key === 'Enter' && isHand(e.target),
    run: () => enterGroup(),
  },
  {
    keys: 'PageUp  PageDown',
    does: 'Lift or lower by a layer',
    matches: (e) => plain(e) && (e.key === 'PageUp' || e.key === 'PageDown'),
    run: (e) => layerTiles(e.key === 'PageUp' ? 1 : -1),
  },
  { keys: 'h', does: 'Close the gaps', matches: key('h'), run: () => show('gaps') },
  { keys: 'o', does: 'Proposals: other arrangements', matches: key('o'), run: () => show('proposals') },
  {
    keys: 'c',
    does: 'Take its look, to put it on others; with several in hand, the first gives',
    matches: key('c'),
    run: () => giveToHand('look'),
  },
  { keys: 'b', does: 'Best fit: deal pictures out by shape', matches: key('b'), run: () => dealPictures() },
  { keys: 'f', does: 'Findings, with what puts them right', matches: key('f'), run: () => show('findings') },
  { keys: 'w', does: 'The band: derive it, what is set here', matches: key('w'), run: () => show('band') },
  { keys: 'r', does: 'Recipes', matches: key('r'), run: () => show('recipes') },
  { keys: 'k', does: 'Named looks and palette', matches: key('k'), run: () => show('looks') },
  {
    keys: 'a',
    does: 'Paint areas, or tiles again',
    matches: key('a'),
    run: () => (dispatch, getState) =>
      void dispatch(toolChosen(getState().editor.tool === 'areas' ? 'tiles' : 'areas')),
  },
  { keys: 'Ctrl + A', does: 'Take all tiles', matches: control('a'), run: () => takeAll() },
  {
    keys: 'Ctrl + C  X  V',
    does: 'Copy, cut and paste, also between collections',
    matches: () => false,
    run: () => () => undefined,
  },
  { keys: 'Ctrl + D', does: 'Duplicate', matches: control('d'), run: () => duplicateTiles() },
  {
    keys: 'Delete',
    does: 'Delete',
    matches: (e) => plain(e) && (e.key === 'Delete' || e.key === 'Backspace'),
    run: () => deleteTiles(),
  },
  { keys: 'Escape', does: 'Let go; out of a group', matches: key('Escape'), run: () => endOrLetGo },
  { keys: ',', does: 'Next narrower band', matches: key(','), run: () => toBand(1) },
  { keys: '.', does: 'Next wider band', matches: key('.'), run: () => toBand(-1) },
  {
    keys: '-  =',
    does: 'Move the needle by 1 px, with Shift by 20',
    matches: (e) => minus(e) || equal(e),
    run: (e) => moveNeedle((e.shiftKey ? 20 : 1) * (minus(e) ? -1 : 1)),
  },
  {
    keys: 'l',
    does: 'Show or hide grid lines',
    matches: key('l'),
    run: () => (dispatch) => void dispatch(linesToggled()),
  },
  {
    keys: 't',
    does: 'Show or hide the reading order line',
    matches: key('t'),
    run: () => (dispatch) => void dispatch(orderToggled()),
  },
  { keys: 'Ctrl + Z', does: 'Undo', matches: control('z'), run: () => undo() },
  { keys: 'Ctrl + Shift + Z', does: 'Redo', matches: control('z', true), run: () => redo() },
  {
    keys: 'Ctrl + K',
    does: 'Find a command',
    matches: control('k'),
    run: () => (dispatch) => void dispatch(commandListToggled(true)),
  },
  {
    keys: '?',
    does: 'This sheet',
    matches: (e) => plain(e) && e.key === '?',
    run: () => (dispatch) => void dispatch(keySheetToggled(true)),
  },
];

const MOVES = /^(Arrow.*|Home|End|PageUp|PageDown|Enter| |Tab)$/;

/** Whether a key belongs to what has the focus: a field, a menu, a dialog; of a slider or a choice only what moves it. */
export function keepsKeys(target: EventTarget | null, key = ''): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.matches('[role=slider], [role=radio]')) return key === '' || MOVES.test(key);
  return (
    target.matches('input, textarea, select, [contenteditable], [role=menuitem]') ||
    target.closest('[role=dialog], [role=alertdialog], [role=menu]') !== null
  );
}
