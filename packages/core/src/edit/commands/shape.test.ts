import { describe, expect, test } from '@jest/globals';
import { resolvedBandOf } from '../../arrangements/bands.js';
import { bandsOf, placeIn } from '../../document/bands.js';
import { change, type Command } from '../patch/change.js';
import { coverageOf } from '../../analysis/packing/closeGaps.js';
import { checkDocument } from '../../check/checkDocument.js';
import { layoutCollection, levelLayout } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample, type SampleSpans } from '../../testing/sample.js';
import { assignArea, paintArea, removeArea } from './areas.js';
import {
  duplicateTile,
  pasteTiles,
  swapTiles,
  tilesFromText,
  tilesToText,
  type TakenTiles,
} from './copies.js';
import { groupTiles, ungroup } from './groups.js';
import { onLevel } from './level.js';
import { moveByCells, placeAt, placeOver } from './moveToCell.js';
import { setArrangement, setTrack } from './arrangement.js';
import { setHidden } from './place.js';
import { evenTracks, insertTrack, moveBoundary, removeTrack } from './tracks.js';
import { cardWith, heldBy } from '../../testing/held.js';
import type { CollectionDocument, PictureAsset, Tile } from '../../document/types.js';

const spans: readonly SampleSpans[] = [
  [2, 2],
  [1, 1],
  [1, 1, 4, 2],
  [4, 1],
];
const start = sample(spans, 4);
const run = (command: Command, document = start) => change(document, command).document;
const cells = (document: CollectionDocument, width = 1280) =>
  Object.fromEntries(
    layoutCollection(document, width, { measurer: LETTERS }).tiles.map((tile) => [
      tile.id,
      [tile.column, tile.row, tile.columnSpan, tile.rowSpan],
    ]),
  );
const column = (index: number) => ({ axis: 'column', index, band: 0, setFor: 'band' }) as const;
const row = (index: number) => ({ axis: 'row', index, band: 0, setFor: 'band' }) as const;

describe('tracks that come and go', () => {
  test('a tile across the new column grows, a pin after it moves along', () => {
    const wider = run(insertTrack(column(1)));
    expect(wider.arrangement.columns).toHaveLength(5);
    expect(cells(wider)).toMatchObject({ t1: [1, 1, 3, 2], t3: [5, 2, 1, 1], t4: [1, 3, 5, 1] });
    expect(cells(run(removeTrack(column(1)), wider))).toEqual(cells(start));
  });

  test('a row is put in and taken away between tiles', () => {
    const taller = run(insertTrack(row(1), 0));
    expect(taller.arrangement.rows).toEqual(['160px', '160px']);
    expect(cells(taller)).toMatchObject({ t1: [1, 1, 2, 3], t3: [4, 3, 1, 1] });
    expect(cells(run(removeTrack(row(1)), taller))).toEqual(cells(start));
  });

  test('the last column stays, and areas keep to their columns', () => {
    expect(run(removeTrack(column(0)), sample([[1, 1]], 1)).arrangement.columns).toHaveLength(1);
    const painted = run(paintArea('side', { column: 2, row: 1, columnSpan: 2, rowSpan: 2 }, 0, 'band'));
    expect(run(insertTrack(column(2)), painted).arrangement.areas).toEqual([
      '. side side side .',
      '. side side side .',
    ]);
    expect(run(insertTrack(column(0)), painted).arrangement.areas).toEqual([
      '. . side side .',
      '. . side side .',
    ]);
    expect(run(removeTrack(row(0)), painted).arrangement.areas).toEqual(['. side side .']);
  });

  test('a boundary: two shares pass theirs on, px beside a share give, the rest take px', () => {
    const move = (index: number, by: number, document = start) =>
      run(moveBoundary({ ...column(index), by, sizes: [100, 100, 100, 100] }), document).arrangement.columns;
    expect(move(0, 50)).toEqual(['1.5fr', '0.5fr', '1fr', '1fr']);
    expect(move(0, 500)).toEqual(['1.96fr', '0.04fr', '1fr', '1fr']);
    const mixed = run(setTrack({ ...column(1), size: '100px' }));
    expect(move(0, 30, mixed)).toEqual(['1fr', '70px', '1fr', '1fr']);
    expect(move(1, 30, mixed)).toEqual(['1fr', '130px', '1fr', '1fr']);
    expect(move(3, -20)).toEqual(['1fr', '1fr', '1fr', '80px']);
    expect(run(evenTracks(column(0)), mixed).arrangement.columns).toEqual(['1fr', '1fr', '1fr', '1fr']);
  });
});

describe('areas', () => {
  const painted = run(paintArea('side', { column: 1, row: 1, columnSpan: 2, rowSpan: 3 }, 0, 'band'));

  test('a tile lies in its area, and flows where the band’s map has none of that name', () => {
    const held = run(assignArea(['t4'], 'side', 0, 'band'), painted);
    expect(cells(held).t4).toEqual([1, 1, 2, 3]);
    const narrow = run(removeArea('side', 2, 'band'), held);
    expect(cells(narrow).t4).toEqual([1, 1, 2, 3]);
    expect(cells(narrow, 500).t4?.[3]).toBe(1);
  });

  test('rows that only the map has are rows of the grid, and holes are seen in them', () => {
    const low = run(paintArea('foot', { column: 1, row: 5, columnSpan: 4, rowSpan: 1 }, 0, 'band'));
    const layout = layoutCollection(low, 1280, { measurer: LETTERS });
    expect(layout.rows).toHaveLength(5);
    expect(coverageOf(low, resolvedBandOf(low, 0))).toEqual(layout.coverage);
    expect(layout.coverage.holes).toContainEqual({ column: 1, row: 4, columnSpan: 4, rowSpan: 2 });
  });

  test('what is painted over is given up, and no area is left that is no rectangle', () => {
    const over = run(paintArea('top', { column: 1, row: 1, columnSpan: 1, rowSpan: 1 }, 0, 'band'), painted);
    expect(over.arrangement.areas).toEqual(['top . . .']);
    expect(
      run(paintArea('side', { column: 4, row: 1, columnSpan: 1, rowSpan: 1 }, 0, 'band'), painted).arrangement
        .areas,
    ).toEqual(['. . . side']);
  });

  test.each(['', 'auto', '2nd', 'a b', 'span'])('“%s” names none', (name) => {
    expect(() => paintArea(name, { column: 1, row: 1, columnSpan: 1, rowSpan: 1 }, 0, 'band')).toThrow(
      /can’t name an area/,
    );
  });
});

describe('copies', () => {
  test('a duplicate takes free cells that are large enough, and moves no other tile', () => {
    const copied = run(duplicateTile(start, 't2', 0, () => 'copy'));
    const { copy, ...others } = cells(copied);
    expect(others).toEqual(cells(start));
    expect(copy).toEqual([4, 1, 1, 1]);
    const full = run(duplicateTile(start, 't4', 0, () => 'copy'));
    expect(cells(full).copy).toEqual([1, 4, 4, 1]);
  });

  test('two tiles that change places leave the grid as it is, in every band', () => {
    const swapped = run(swapTiles('t1', 't4'));
    for (const width of [1280, 800, 400]) {
      const [before, after] = [cells(start, width), cells(swapped, width)];
      expect([after.t1, after.t4, after.t2, after.t3]).toEqual([before.t4, before.t1, before.t2, before.t3]);
    }
  });

  const picture = (hash: string): PictureAsset => ({
    id: 'hut',
    name: 'Hut',
    file: 'hut.webp',
    hash: hash.repeat(64),
    mediaType: 'image/webp',
    inlineSize: 900,
    blockSize: 600,
    alternativeText: '',
  });
  const withPicture = (hash: string): CollectionDocument => {
    const tile = cardWith('picture', 'p', { picture: { picture: 'hut' } });
    return {
      ...start,
      tiles: { ...start.tiles, p: tile },
      order: [...start.order, 'p'],
      pictures: { hut: picture(hash) },
    };
  };

  test('pasted pictures keep to their own bytes where another has their name', () => {
    const taken = tilesFromText(tilesToText(withPicture('a'), ['p'])) as TakenTiles;
    const pasted = run(
      pasteTiles(taken, 0, () => 'copy'),
      withPicture('b'),
    );
    expect(heldBy(pasted.tiles.copy)).toMatchObject({ picture: { picture: 'hut-2' } });
    expect(pasted.pictures['hut-2']?.hash).toBe('a'.repeat(64));
    expect(checkDocument(pasted).problems).toEqual([]);
    expect(
      Object.keys(
        run(
          pasteTiles(taken, 0, () => 'copy'),
          withPicture('a'),
        ).pictures,
      ),
    ).toEqual(['hut']);
  });

  test.each([
    '',
    'words',
    '{}',
    '[1]',
    '{"noria-tiles":1}',
    '{"noria-tiles":1,"order":["a"],"tiles":{"a":{}},"pictures":{}}',
  ])('the text %j holds no tiles', (text) => expect(tilesFromText(text)).toBeNull());
});

describe('groups', () => {
  test('of tiles that are all hidden have a cell, and a column in them', () => {
    const hidden = run(groupTiles(['t1', 't2'], 'g', 0), run(setHidden(['t1', 't2'], true, 0, 'all')));
    expect(hidden.tiles.g).toMatchObject({
      place: { columnSpan: 1, rowSpan: 1 },
      arrangement: { columns: ['1fr'] },
    });
    expect(checkDocument(JSON.parse(JSON.stringify(hidden))).problems).toEqual([]);
  });

  const grouped = run(groupTiles(['t1', 't2'], 'g', 0));

  test('take the cells of their tiles and keep what they look like', () => {
    expect(cells(grouped).g).toEqual([1, 1, 3, 2]);
    const whole = layoutCollection(grouped, 1280, { measurer: LETTERS });
    const inner = levelLayout(whole, 'g');
    expect([inner?.x, inner?.y]).toEqual([24, 24]);
    const before = layoutCollection(start, 1280, { measurer: LETTERS }).tiles[0];
    expect(inner?.layout.tiles[0]?.inlineSize).toBeCloseTo(before?.inlineSize ?? 0, 1);
    expect(inner?.layout.tiles[0]?.blockSize).toBeCloseTo(before?.blockSize ?? 0, 1);
  });

  test('have values of their own in a band, inherited and taken back like the collection’s', () => {
    const own = run(onLevel('g', setArrangement({ columnGap: 3 }, 1, 'band')), grouped);
    expect(own.bands[0]?.groups?.g).toEqual({ columnGap: 3 });
    const all = run(onLevel('g', setArrangement({ columnGap: 5 }, 1, 'all')), own);
    expect(all.bands[0]?.groups).toEqual({});
    expect((all.tiles.g as Extract<Tile, { kind: 'group' }>).arrangement.columnGap).toBe(5);
  });

  test('in groups, and apart again', () => {
    const deep = run(onLevel('g', groupTiles(['t2'], 'inner', 0)), grouped);
    expect(checkDocument(deep).problems).toEqual([]);
    const apart = run(ungroup('g'), deep);
    expect(apart.order).toEqual(['t1', 'inner', 't3', 't4']);
    expect(run(ungroup('inner'), apart).order).toEqual(start.order);
  });
});

describe('moving', () => {
  const at = (document: CollectionDocument, id: string) => placeIn(document, document.tiles[id] as Tile, 0);

  test('several tiles go as far as the edges let them all, and are held', () => {
    const moved = run(moveByCells(start, ['t1', 't2'], 0, 9, 1));
    expect([at(moved, 't1').pin, at(moved, 't2').pin]).toEqual([
      { column: 2, row: 2 },
      { column: 4, row: 2 },
    ]);
    expect(run(moveByCells(start, ['t1'], 0, -3, -3))).toBe(start);
  });

  test('to cells with another span, and over others a layer above them', () => {
    expect(
      cells(run(placeAt(start, 't2', 0, { column: 1, row: 4, columnSpan: 3, rowSpan: 1 }, 'band'))).t2,
    ).toEqual([1, 4, 3, 1]);
    const over = run(placeOver(start, 't2', 0, { column: 1, row: 1 }));
    expect(cells(over)).toMatchObject({ t1: [1, 1, 2, 2], t2: [1, 1, 1, 1] });
    expect([at(over, 't2').layer, at(over, 't1').layer]).toEqual([1, 0]);
    expect(bandsOf(over)).toHaveLength(3);
  });
});
