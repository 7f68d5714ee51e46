import { describe, expect, test } from '@jest/globals';
import { checkDocument } from '../../check/checkDocument.js';
import { cardWith, heldBy } from '../../testing/held.js';
import { emptyDocument } from '../emptyDocument.js';
import { applyPatch } from '../patch/applyPatch.js';
import { change, type Command } from '../patch/change.js';
import { groupTiles } from './groups.js';
import { pictureOf } from '../../document/card.js';
import { addPart, placePart } from './parts.js';
import { droppedSlots, isNumbered, picturePlace, placeMedia } from './pictures.js';
import { setLook, setPart } from './tiles.js';
import type { Card, CollectionDocument, FilmAsset, PictureAsset } from '../../document/types.js';

const file = (id: string) => ({
  id,
  name: id,
  hash: id
    .padEnd(64, 'a')
    .slice(0, 64)
    .replace(/[^a-f]/g, 'b'),
  inlineSize: 900,
  blockSize: 600,
  alternativeText: '',
});
const picture = (id: string): PictureAsset => ({ ...file(id), file: `${id}.webp`, mediaType: 'image/webp' });
const snow: FilmAsset = { ...file('snow'), file: 'snow.webm', mediaType: 'video/webm', duration: 3 };

const start: CollectionDocument = {
  ...emptyDocument('Huts'),
  tiles: {
    words: cardWith('text', 'words', { heading: 'Hut four' }),
    other: cardWith('text', 'other', { heading: 'Hut five' }),
    beds: cardWith('stat', 'beds', { figure: '12' }),
    view: cardWith('picture', 'view'),
    film: cardWith('film', 'film'),
    last: cardWith('picture', 'last'),
  },
  order: ['words', 'other', 'beds', 'view', 'film', 'last'],
};
const run = (before: CollectionDocument, ...commands: Command[]): CollectionDocument =>
  commands.reduce((each, command) => {
    const { document, inverse } = change(each, command);
    expect(checkDocument(JSON.parse(JSON.stringify(document))).problems).toEqual([]);
    expect(applyPatch(document, inverse)).toEqual(each);
    return document;
  }, before);
const drop = (document: CollectionDocument, onto: string, ...ids: string[]) =>
  run(
    document,
    placeMedia({
      media: ids.map(picture),
      slots: droppedSlots(document, onto).slice(0, ids.length),
      freshId: () => `new-${ids.length}`,
      position: document.order.length,
    }).command,
  );

test('a drawing is shown whole where a picture is empty; a photograph covers its place', () => {
  const mark: PictureAsset = { ...file('mark'), file: 'mark.svg', mediaType: 'image/svg+xml' };
  const place = (media: PictureAsset, into: string, on = start) =>
    run(on, placeMedia({ media: [media], slots: [into], freshId: () => 'new', position: 0 }).command);
  const fitOf = ({ tiles }: CollectionDocument, id: string) => pictureOf(tiles[id] as Card)?.fit;
  const drawn = place(mark, 'view');
  expect(fitOf(drawn, 'view')).toBe('contain');
  expect(fitOf(place(picture('yard'), 'view'), 'view')).toBeUndefined();
  // Where there was one, it lies as that did.
  expect(fitOf(place(mark, 'last', place(picture('yard'), 'last')), 'last')).toBeUndefined();
});

describe('a picture that is dropped on a tile', () => {
  test.each([
    ['words', null],
    ['beds', null],
    ['view', 'picture'],
    ['film', 'film'],
  ])('goes into “%s” by its part %j', (tile, part) => {
    expect(picturePlace(start, tile)).toEqual({ tile, part });
  });

  test('goes into the picture of a composed card, an empty one first, and not into a hidden one', () => {
    const two = run(start, addPart(['words'], 'picture'), addPart(['words'], 'picture'));
    const filled = run(drop(two, 'words', 'lake'));
    expect(heldBy(filled.tiles.words).picture).toMatchObject({ picture: 'lake' });
    expect(picturePlace(filled, 'words')).toEqual({ tile: 'words', part: 'picture-2' });
    const hidden = run(
      two,
      placePart(['words'], 'picture', { hidden: true }),
      placePart(['words'], 'picture-2', { hidden: true }),
    );
    expect(picturePlace(hidden, 'words')).toEqual({ tile: 'words', part: null });
  });

  test('goes into the first picture in a group, and behind one that has none', () => {
    const grouped = run(start, groupTiles(['beds', 'view'], 'g', 0), groupTiles(['words', 'other'], 'h', 0));
    expect(picturePlace(grouped, 'g')).toEqual({ tile: 'view', part: 'picture' });
    expect(picturePlace(grouped, 'h')).toEqual({ tile: 'h', part: null });
    expect(drop(grouped, 'h', 'lake').tiles.h?.look.fill).toMatchObject({ kind: 'picture', picture: 'lake' });
    expect(picturePlace(grouped, 'nowhere')).toBeNull();
  });

  test('lies behind words under a tint, in a colour that is read on it; the tint stays for the next one', () => {
    const dark = run(start, setLook(['words'], { textColour: '#1d2b2a' }));
    const lake = drop(dark, 'words', 'lake');
    expect(lake.tiles.words?.look).toMatchObject({
      fill: { kind: 'picture', picture: 'lake', tint: { opacity: 0.5 } },
      textColour: 'auto',
    });
    const tint = { colour: '#102030', opacity: 0.8 };
    const tinted = run(
      lake,
      setLook(['words'], { fill: { kind: 'picture', picture: 'lake', focalPoint: { x: 0, y: 0 }, tint } }),
    );
    expect(drop(tinted, 'words', 'pass').tiles.words?.look.fill).toMatchObject({ picture: 'pass', tint });
  });

  test('becomes what shows before a film plays', () => {
    expect(heldBy(drop(start, 'film', 'lake').tiles.film).film).toMatchObject({ poster: 'lake' });
  });
});

describe('a set that is dropped on a tile', () => {
  test('goes on with tiles that take a picture in the same way', () => {
    expect(droppedSlots(start, 'words')).toEqual(['words', 'other']);
    expect(droppedSlots(start, 'other')).toEqual(['other']);
    expect(droppedSlots(start, 'beds')).toEqual(['beds']);
    // A film between them is no place for the next picture.
    expect(droppedSlots(start, 'view')).toEqual(['view', 'last']);
    expect(droppedSlots(start, 'nowhere')).toEqual([]);
  });

  test('fills them in order, and becomes tiles where there are no more', () => {
    const filled = drop(start, 'words', 'one', 'two', 'three');
    const shown = ['words', 'other'].map((id) => filled.tiles[id]?.look.fill);
    expect(shown).toMatchObject([{ picture: 'one' }, { picture: 'two' }]);
    expect(filled.order).toHaveLength(7);
  });
});

describe('a film that is dropped on a tile', () => {
  const film = { film: snow, poster: picture('still') };
  const put = (document: CollectionDocument, ...slots: string[]) =>
    run(document, placeMedia({ media: [film], slots, freshId: () => 'fresh', position: 1 }).command);

  test('takes the place of a film or of the picture that fills it', () => {
    expect(heldBy(put(start, 'film').tiles.film).film).toMatchObject({ film: 'snow', poster: 'still' });
    const shown = run(drop(start, 'view', 'lake'), setPart(['view'], 'picture', { caption: 'At six' }));
    expect(heldBy(put(shown, 'view').tiles.view)).toMatchObject({
      film: { film: 'snow' },
      picture: { picture: 'lake', caption: 'At six', hidden: true },
    });
  });

  test('lies behind what a card holds as a picture does, and is a new tile where there is none', () => {
    const behind = put(start, 'words').tiles.words;
    expect(behind).toMatchObject({ parts: (start.tiles.words as Card).parts });
    expect(behind?.look).toMatchObject({
      fill: { kind: 'film', film: 'snow', poster: 'still', tint: { opacity: 0.5 } },
      textColour: 'auto',
    });
    // Under the tint of the picture that lay there.
    const tinted = run(drop(start, 'words', 'lake'), (draft) => {
      const fill = draft.tiles.words?.look.fill;
      if (typeof fill === 'object' && 'tint' in fill) fill.tint = { colour: '#402040', opacity: 0.2 };
    });
    const tint = { colour: '#402040', opacity: 0.2 };
    expect(put(tinted, 'words').tiles.words?.look.fill).toMatchObject({ kind: 'film', tint });
    expect(put(start).order.slice(0, 2)).toEqual(['words', 'fresh']);
    expect(heldBy(put(start).tiles.fresh).film).toMatchObject({ film: 'snow', poster: 'still' });
  });
});

describe('pictures and films of one set', () => {
  const film = { film: snow, poster: picture('still') };
  const { command, tiles } = placeMedia({
    media: [picture('lake'), film, picture('path'), film],
    slots: ['view', 'beds', 'words'],
    freshId: () => 'fresh',
    position: 2,
  });

  test('fill tiles in one order, and become new ones in it', () => {
    expect(tiles).toEqual(['view', 'beds', 'words', 'fresh']);
    const made = run(start, command);
    expect(heldBy(made.tiles.view).picture).toMatchObject({ picture: 'lake' });
    expect(made.tiles.beds?.look.fill).toMatchObject({ kind: 'film', film: 'snow' });
    expect(made.tiles.words?.look.fill).toMatchObject({ kind: 'picture', picture: 'path' });
    expect(made.order[2]).toBe('fresh');
    expect(heldBy(made.tiles.fresh).film).toMatchObject({ film: 'snow', poster: 'still' });
  });

  test('go behind a group that holds no picture', () => {
    const grouped = run(start, groupTiles(['words', 'beds'], 'box', 0));
    const { command: onGroup } = placeMedia({
      media: [film],
      slots: ['box'],
      freshId: () => 'fresh',
      position: 0,
    });
    const { fill } = run(grouped, onGroup).tiles.box?.look ?? {};
    expect(fill).toMatchObject({ kind: 'film', film: 'snow', poster: 'still' });
  });
});

test('pictures that are dropped on a row of icons are logos in it, in order, with what they show as labels', () => {
  const row = {
    ...start,
    tiles: { ...start.tiles, row: cardWith('icons', 'row') },
    order: [...start.order, 'row'],
  };
  const dropped = drop(drop(row, 'row', 'one', 'two'), 'row', 'three');
  expect(dropped.order).toEqual(row.order);
  const logo = (id: string) => expect.objectContaining({ icon: null, picture: id, label: id });
  expect(heldBy(dropped.tiles.row).icons).toMatchObject({ icons: ['one', 'two', 'three'].map(logo) });
});

test.each([
  [['a 2.jpg', 'a 10.jpg'], true],
  [['IMG_0012.jpg', 'img_0013.JPG'], true],
  [['slope 2.jpg', 'hut 3.jpg'], false],
  [['1.jpg', '1.jpg'], false],
  [['one.jpg', '2.jpg'], false],
  [['3.jpg'], false],
])('%p are a series: %p', (names, series) => {
  expect(isNumbered(names.map((name) => ({ name })))).toBe(series);
});
