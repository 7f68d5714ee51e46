import { compositions, setKind, titleOf, type TileStart } from '@noria/core';
import {
  AlignCenter,
  ArrowLeft,
  ArrowLeftRight,
  ArrowRight,
  BringToFront,
  CircleCheck,
  Clipboard,
  Columns3,
  Copy,
  Equal,
  Grid3x3,
  Group,
  Image,
  Images,
  Keyboard,
  Layers,
  LayoutGrid,
  Link2Off,
  ListOrdered,
  LogIn,
  Move,
  Paintbrush,
  Palette,
  Pin,
  Plus,
  Redo2,
  RefreshCw,
  Replace,
  RotateCcw,
  Rows3,
  Scan,
  Search,
  SendToBack,
  Shrink,
  Sparkles,
  SquareDashed,
  StretchHorizontal,
  Table,
  Trash,
  Undo2,
  Ungroup,
} from 'lucide-react';
import { giveToSelected } from '../actions/brush';
import { openSelectedGroup, groupSelected, ungroupSelected } from '../actions/groups';
import { selectAll, selectMoreTowards, selectTowards } from '../actions/select';
import { choosePictures, dealPictures } from '../actions/pictures';
import {
  fitTiles,
  growTiles,
  layerTiles,
  pinTiles,
  reorderTiles,
  spanTiles,
  stepTiles,
} from '../actions/place';
import { addNewTile, deleteTiles, duplicateTiles } from '../actions/tiles';
import { redo, undo } from '../document/run';
import { commandListToggled, keySheetToggled, linesToggled, orderToggled, toolChosen } from '../editorSlice';
import { fixAll } from '../fit/actions';
import { runHere } from '../here';
import { kindNames } from '../kinds/data';
import { nameOf } from '../kinds/words';
import { selectBand, selectSetFor, selectTrail } from '../selectors';
import {
  addTrack,
  aGroup,
  arrows,
  deselect,
  digit,
  DIGITS,
  even,
  flow,
  fromRecipe,
  isOnTile,
  moveNeedle,
  ofRecipe,
  show,
  some,
  swap,
  toBand,
  towards,
  two,
} from './acts';
import { COMMAND_WORDS, type NamedCommand } from './words';
import type { EditorCommand } from './command';

type Entry = Omit<EditorCommand, 'id' | 'words'>;

const W = COMMAND_WORDS;

/** Everything that a person can do in the editor by its name or by keys, in the order of the key sheet. */
const ENTRIES: Readonly<Record<NamedCommand, Entry>> = {
  selectNext: {
    group: 'Selection',
    keys: arrows(),
    keysAs: '← → ↑ ↓',
    isListed: false,
    run: towards(selectTowards),
  },
  selectMore: {
    group: 'Selection',
    keys: [...arrows('Control+'), ...arrows('Meta+')],
    keysAs: 'Ctrl + arrow',
    isListed: false,
    run: towards(selectMoreTowards),
  },
  selectAll: { group: 'Selection', icon: Scan, keys: ['$mod+a'], run: selectAll },
  deselect: {
    group: 'Selection',
    icon: SquareDashed,
    keys: ['Escape'],
    applies: (state) => some(state) || selectTrail(state).length > 0 || state.editor.brush !== null,
    run: deselect,
  },
  move: {
    group: 'Place',
    icon: Move,
    keys: arrows('Alt+'),
    keysAs: 'Alt + arrow',
    isListed: false,
    run: towards(stepTiles),
  },
  grow: {
    group: 'Place',
    keys: arrows('Shift+'),
    keysAs: 'Shift + arrow',
    isListed: false,
    run: towards(growTiles),
  },
  setColumnSpan: {
    group: 'Place',
    keys: DIGITS,
    keysAs: '1 … 9',
    isListed: false,
    run: (event) => spanTiles({ columnSpan: digit(event) }),
  },
  setRowSpan: {
    group: 'Place',
    keys: DIGITS.map((key) => `Shift+${key}`),
    keysAs: 'Shift + 1 … 9',
    isListed: false,
    run: (event) => spanTiles({ rowSpan: digit(event) }),
  },
  spanOne: {
    group: 'Place',
    icon: Shrink,
    applies: some,
    run: () => spanTiles({ columnSpan: 1, rowSpan: 1 }),
  },
  pin: { group: 'Place', icon: Pin, keys: ['p'], applies: some, run: pinTiles },
  swap: { group: 'Place', icon: ArrowLeftRight, applies: two, run: swap },
  stretch: {
    group: 'Place',
    icon: StretchHorizontal,
    applies: some,
    run: () => fitTiles({ inline: 'stretch', block: 'stretch' }),
  },
  centre: {
    group: 'Place',
    icon: AlignCenter,
    applies: some,
    run: () => fitTiles({ inline: 'center', block: 'center' }),
  },
  forward: { group: 'Place', icon: BringToFront, keys: ['PageUp'], applies: some, run: () => layerTiles(1) },
  backward: {
    group: 'Place',
    icon: SendToBack,
    keys: ['PageDown'],
    applies: some,
    run: () => layerTiles(-1),
  },
  earlier: { group: 'Place', icon: ArrowLeft, keys: ['['], applies: some, run: () => reorderTiles(-1) },
  later: { group: 'Place', icon: ArrowRight, keys: [']'], applies: some, run: () => reorderTiles(1) },
  addSame: {
    group: 'Tiles',
    icon: Plus,
    keys: ['n'],
    run: () => (dispatch, getState) => dispatch(addNewTile(getState().editor.drawn)),
  },
  addPictures: {
    group: 'Tiles',
    about: 'many at once, a ZIP, a film',
    icon: Images,
    run: () => choosePictures('picked'),
  },
  addNumbered: {
    group: 'Tiles',
    about: '2 before 10',
    icon: Images,
    run: () => choosePictures('numbered'),
  },
  addFromRecipe: { group: 'Tiles', about: 'with a finished look', icon: Replace, run: fromRecipe },
  addTable: { group: 'Tiles', about: 'a tile for each row', icon: Table, run: show('table') },
  duplicate: { group: 'Tiles', icon: Copy, keys: ['$mod+d'], applies: some, run: duplicateTiles },
  delete: { group: 'Tiles', icon: Trash, keys: ['Delete', 'Backspace'], applies: some, run: deleteTiles },
  // The clipboard’s own events say when: they work across collections and tabs.
  clipboard: {
    group: 'Tiles',
    icon: Clipboard,
    keysAs: 'Ctrl + C  X  V',
    isListed: false,
    run: () => () => undefined,
  },
  dealPictures: { group: 'Tiles', icon: Image, keys: ['b'], run: dealPictures },
  group: { group: 'Groups and recipes', icon: Group, keys: ['g'], applies: some, run: groupSelected },
  ungroup: { group: 'Groups and recipes', icon: Ungroup, keys: ['u'], applies: aGroup, run: ungroupSelected },
  openGroup: {
    group: 'Groups and recipes',
    icon: LogIn,
    keys: ['Enter'],
    presses: isOnTile,
    applies: aGroup,
    run: openSelectedGroup,
  },
  copyLook: {
    group: 'Groups and recipes',
    icon: Paintbrush,
    keys: ['c'],
    applies: some,
    run: () => giveToSelected('look'),
  },
  copySpans: {
    group: 'Groups and recipes',
    icon: Paintbrush,
    applies: some,
    run: () => giveToSelected('spans'),
  },
  copyPlace: {
    group: 'Groups and recipes',
    icon: Paintbrush,
    applies: some,
    run: () => giveToSelected('place'),
  },
  copyMotion: {
    group: 'Groups and recipes',
    icon: Paintbrush,
    applies: some,
    run: () => giveToSelected('motion'),
  },
  resetToRecipe: {
    group: 'Groups and recipes',
    icon: RotateCcw,
    applies: some,
    run: ofRecipe((recipes) => recipes.resetSelected()),
  },
  updateRecipe: {
    group: 'Groups and recipes',
    icon: RefreshCw,
    applies: some,
    run: ofRecipe((recipes) => recipes.updateFromSelected()),
  },
  unlinkRecipe: {
    group: 'Groups and recipes',
    icon: Link2Off,
    applies: some,
    run: ofRecipe((recipes) => recipes.unlinkSelected()),
  },
  addColumn: { group: 'Grid', icon: Columns3, run: addTrack('column', W.addColumn) },
  addRow: { group: 'Grid', icon: Rows3, run: addTrack('row', W.addRow) },
  evenColumns: { group: 'Grid', icon: Equal, run: even('column', W.evenColumns) },
  evenRows: { group: 'Grid', icon: Equal, run: even('row', W.evenRows) },
  flowDense: { group: 'Grid', icon: LayoutGrid, run: flow('dense', W.flowDense) },
  flowSparse: { group: 'Grid', icon: LayoutGrid, run: flow('sparse', W.flowSparse) },
  paintAreas: {
    group: 'Grid',
    icon: Paintbrush,
    keys: ['a'],
    run: () => (dispatch, getState) =>
      void dispatch(toolChosen(getState().editor.tool === 'areas' ? 'tiles' : 'areas')),
  },
  closeGaps: { group: 'Grid', icon: Shrink, keys: ['h'], run: show('gaps') },
  proposals: { group: 'Grid', icon: Sparkles, keys: ['o'], run: show('proposals') },
  findings: { group: 'Show', icon: CircleCheck, keys: ['f'], run: show('findings') },
  band: { group: 'Show', icon: Layers, keys: ['w'], run: show('band') },
  recipes: { group: 'Show', icon: Replace, keys: ['r'], run: show('recipes') },
  looks: { group: 'Show', icon: Palette, keys: ['k'], run: show('looks') },
  fixAll: { group: 'Grid', icon: CircleCheck, run: fixAll },
  narrower: { group: 'Width', icon: ArrowLeft, keys: [','], run: toBand(1) },
  wider: { group: 'Width', icon: ArrowRight, keys: ['.'], run: toBand(-1) },
  needleLeft: { group: 'Width', keys: ['Minus', 'Shift+Minus'], isListed: false, run: moveNeedle(-1) },
  needleRight: { group: 'Width', keys: ['Equal', 'Shift+Equal'], isListed: false, run: moveNeedle(1) },
  gridLines: {
    group: 'Show',
    icon: Grid3x3,
    keys: ['l'],
    run: () => (dispatch) => void dispatch(linesToggled()),
  },
  readingOrder: {
    group: 'Show',
    icon: ListOrdered,
    keys: ['t'],
    run: () => (dispatch) => void dispatch(orderToggled()),
  },
  undo: {
    group: 'Everywhere',
    icon: Undo2,
    keys: ['$mod+z'],
    applies: ({ document }) => document.past.length > 0,
    run: undo,
  },
  redo: {
    group: 'Everywhere',
    icon: Redo2,
    keys: ['$mod+Shift+z'],
    applies: ({ document }) => document.future.length > 0,
    run: redo,
  },
  commandList: {
    group: 'Everywhere',
    icon: Search,
    keys: ['$mod+k'],
    isListed: false,
    run: () => (dispatch) => void dispatch(commandListToggled(true)),
  },
  keySheet: {
    group: 'Everywhere',
    icon: Keyboard,
    keys: ['Shift+?', '?'],
    keysAs: '?',
    run: () => (dispatch) => void dispatch(keySheetToggled(true)),
  },
};

/** The named commands. */
export const COMMANDS = Object.fromEntries(
  Object.entries(ENTRIES).map(([id, entry]) => [
    id,
    { id, words: COMMAND_WORDS[id as NamedCommand], ...entry },
  ]),
) as Readonly<Record<NamedCommand, EditorCommand>>;

const withArticle = (name: string) => `${/^[aeiou]/i.test(name) ? 'an' : 'a'} ${name.toLowerCase()}`;

/** What a tile can begin as. */
export const tileStarts = (): readonly TileStart[] => [...compositions().map(({ name }) => name), 'group'];

export const START_ABOUT: Readonly<Record<TileStart, string>> = {
  text: 'heading and words',
  picture: 'crops to fill',
  stat: 'big figure and label',
  quote: 'words and who said them',
  icons: 'a row of icons or logos',
  action: 'leads somewhere',
  film: 'plays in its tile',
  group: 'tiles in a grid of their own',
};

/** A command for each of them. */
const adding = (): readonly EditorCommand[] =>
  tileStarts().map((what) => ({
    id: `add-${what}`,
    words: `Add ${withArticle(titleOf(what))} tile`,
    about: START_ABOUT[what],
    group: 'Tiles',
    icon: Plus,
    run: () => addNewTile(what),
  }));

/** A command for each kind of arrangement. */
const arranging = (): readonly EditorCommand[] =>
  kindNames().map((kind) => {
    const words = `Arrange as ${nameOf(kind)}`;
    return {
      id: `arrange-${kind}`,
      words,
      group: 'Grid',
      icon: LayoutGrid,
      run: () => (dispatch, getState) => {
        const state = getState();
        dispatch(runHere(words, setKind(kind, selectBand(state).index, selectSetFor(state))));
      },
    };
  });

/** Every command, in the order in which it is offered. */
export const allCommands = (): readonly EditorCommand[] => [
  ...Object.values(COMMANDS),
  ...adding(),
  ...arranging(),
];
