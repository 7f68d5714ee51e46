import { describe, expect, test } from '@jest/globals';
import {
  addTile,
  change,
  emptyDocument,
  groupTiles,
  setCollectionLook,
  setLook,
  textColourOf,
  type Command,
  type Tile,
} from '@noria/core';
import { drawingCss } from './drawing';

const DARK = '#10151a';
const made = (...commands: Command[]) =>
  commands.reduce((document, command) => change(document, command).document, emptyDocument('Words'));

describe('words are drawn in the colour that they have on the page', () => {
  test('through which the background shows', () => {
    const document = made(
      addTile('text', 'words'),
      setLook(['words'], { fill: 'none' }),
      setCollectionLook({ background: DARK }),
    );
    expect(drawingCss(document)).toContain(`color: ${textColourOf(document, document.tiles.words as Tile)}`);
    expect(textColourOf(document, document.tiles.words as Tile)).toMatch(/^#[ef]/);
  });

  test('and those through which a group shows', () => {
    const document = made(
      addTile('text', 'words'),
      groupTiles(['words'], 'group', 0),
      setLook(['words'], { fill: 'none' }),
      setLook(['group'], { fill: DARK, textColour: '#445566' }),
    );
    const colour = textColourOf(document, document.tiles.words as Tile);
    expect(colour).toMatch(/^#[ef]/);
    expect(drawingCss(document)).toContain(`color: ${colour}`);
  });
});
