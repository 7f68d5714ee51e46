import { describe, expect, test } from '@jest/globals';
import {
  addTile,
  change,
  kindTitle,
  pictureOf,
  type ArrangementName,
  type CollectionDocument,
} from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { selectLayout } from '../selectors';
import { undo } from '../document/run';
import { dealPictures, fitToSlots, takeMedia } from './pictures';
import { toAsset, type LibraryPicture } from '../../api/pictures';

const picture = (name: string, inlineSize: number, blockSize: number): LibraryPicture => ({
  hash: name.padEnd(64, '0').slice(0, 64),
  name,
  mediaType: 'image/webp',
  inlineSize,
  blockSize,
  byteSize: 1000,
  colours: [],
  raster: null,
  placeholder: null,
  aliases: [],
  alternativeText: name,
  createdAt: '',
  uses: 0,
});
const WIDE = picture('wide.webp', 3000, 1000);
const TALL = picture('tall.webp', 1000, 2500);
const EVEN = picture('even.webp', 1000, 1000);

/** Picture tiles that show nothing, a wide one and a tall one first. */
function empty(kind: ArrangementName = 'bento'): CollectionDocument {
  const spans = [
    [1, 3],
    [3, 1],
    [1, 1],
  ] as const;
  const base = { ...stats([], { kind, autoRows: '200px' }) };
  return spans.reduce<CollectionDocument>((document, [columnSpan, rowSpan], k) => {
    const id = `p${k + 1}`;
    const added = change(document, addTile('picture', id)).document;
    return change(added, (draft) => {
      const tile = draft.tiles[id];
      if (tile) Object.assign(tile.place, { columnSpan, rowSpan });
    }).document;
  }, base);
}

describe('pictures of the library', () => {
  const shown = (document: CollectionDocument) =>
    document.order.map((id) => {
      const tile = document.tiles[id];
      const part = tile && pictureOf(tile);
      return part ? (document.pictures[part.picture ?? '']?.name ?? '–') : tile && kindTitle(tile);
    });

  test('fill the tiles that show nothing in order, and the rest become tiles, in one step', () => {
    const { run, document, steps, selected, said } = composeStore(empty());
    run(takeMedia([WIDE, TALL, EVEN, picture('more.webp', 900, 900)], { onto: null, bestFit: false }));
    expect(shown(document())).toEqual(['wide', 'tall', 'even', 'more']);
    expect(steps()).toEqual(['Add 4 pictures']);
    expect(selected()).toHaveLength(4);
    expect(said()).toContain('4 pictures are in, 1 of them in new tiles.');
    run(undo());
    expect(shown(document())).toEqual(['–', '–', '–']);
    expect(document().pictures).toEqual({});
  });

  test('go where least of them is cropped when that is asked for, or later by best fit', () => {
    const { run, document } = composeStore(empty());
    run(takeMedia([WIDE, TALL, EVEN], { onto: null, bestFit: true }));
    expect(shown(document())).toEqual(['tall', 'wide', 'even']);
    const later = composeStore(empty());
    later.run(takeMedia([WIDE, TALL, EVEN], { onto: null, bestFit: false }));
    later.run(dealPictures());
    expect(shown(later.document())).toEqual(['tall', 'wide', 'even']);
    expect(later.steps()).toEqual(['Add 3 pictures', 'Assign pictures by shape']);
  });

  test('one replaces the one that it was dropped on, and no other', () => {
    const { run, document } = composeStore(empty());
    run(takeMedia([WIDE, TALL, EVEN], { onto: null, bestFit: false }));
    run(takeMedia([picture('other.webp', 800, 800)], { onto: 'p2', bestFit: false }));
    expect(shown(document())).toEqual(['wide', 'other', 'even']);
  });

  test('leave what was selected while they came', () => {
    const { run, document, selected, take } = composeStore(empty());
    take('p3');
    run(takeMedia([WIDE], { onto: 'p1', bestFit: false, keepsSelected: true }));
    expect([shown(document())[0], selected()]).toEqual(['wide', ['p3']]);
    run(takeMedia([TALL], { onto: 'p2', bestFit: false }));
    expect(selected()).toEqual(['p2']);
  });

  test('the same picture twice is one in the collection, and two names of one kind are told apart', () => {
    const { run, document } = composeStore(empty());
    run(takeMedia([WIDE, WIDE], { onto: null, bestFit: false }));
    expect(Object.values(document().pictures).map(({ name }) => name)).toEqual(['wide']);
    expect(shown(document())).toEqual(['wide', 'wide', '–']);
    const again = { ...picture('wide.webp', 10, 10), hash: 'f'.repeat(64) };
    run(takeMedia([again], { onto: null, bestFit: false }));
    const ids = Object.keys(document().pictures);
    expect(ids).toHaveLength(2);
    expect(ids[1]).toBe('wide-ffffffff');
  });

  test('best fit needs two, and says so', () => {
    const { run, warned, steps } = composeStore(empty());
    run(takeMedia([WIDE], { onto: null, bestFit: false }));
    run(dealPictures());
    expect(warned()).toBe('“Assign pictures by shape” needs two picture tiles or more.');
    expect(steps()).toEqual(['Picture']);
  });
});

test('pictures and films of one set go in one order, in one step', () => {
  const { run, document, steps, selected, said } = composeStore(empty());
  const film = {
    name: 'snow.webm',
    film: { ...toAsset(EVEN), id: 'snow', mediaType: 'video/webm' as const, duration: 3 },
    poster: toAsset(picture('still.webp', 900, 600)),
  };
  run(takeMedia([WIDE, film, TALL, EVEN], { onto: null, bestFit: false }));
  const [p1, p2, p3] = ['p1', 'p2', 'p3'].map((id) => document().tiles[id]);
  expect([p1, p2, p3].map((tile) => tile && kindTitle(tile))).toEqual(['Picture', 'Film', 'Picture']);
  expect(selected()).toHaveLength(4);
  expect(steps()).toEqual(['Add 4 pictures and films']);
  expect(said()).toContain('4 pictures and films are in, 1 of them in new tiles.');
});

test('a mosaic keeps its slots, all locked, while its pictures are dealt out among them', () => {
  const { run, document, store } = composeStore(empty('mosaic'));
  run(takeMedia([WIDE, TALL, EVEN], { onto: null, bestFit: false }));
  const boxes = () =>
    selectLayout(store.getState())
      .tiles.map(({ column, row, columnSpan, rowSpan }) => `${column} ${row} ${columnSpan} ${rowSpan}`)
      .toSorted();
  const before = boxes();
  run(fitToSlots());
  expect(boxes()).toEqual(before);
  expect(Object.values(document().tiles).every(({ place }) => place.slot)).toBe(true);
});
