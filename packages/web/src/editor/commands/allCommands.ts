import { compositions, setKind, titleOf, type TileStart } from '@noria/core';
import { LayoutGrid, Plus } from 'lucide-react';
import { addNewTile } from '../actions/tiles';
import { runHere } from '../here';
import { kindNames } from '../kinds/data';
import { nameOf } from '../kinds/words';
import { selectBand, selectSetFor } from '../selectors';
import { COMMANDS } from './registry';
import type { EditorCommand } from './command';

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
