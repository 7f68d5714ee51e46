import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { resolvedBandAt, resolvedBandOf } from '../../arrangements/bands.js';
import { cellsOf } from '../../arrangements/cells.js';
import { hasCells } from '../../arrangements/questions.js';
import { checkDocument } from '../../check/checkDocument.js';
import { placeIn } from '../../document/bands.js';
import { levelOf, type Level } from '../../document/levels.js';
import { setPin } from '../../edit/commands/place.js';
import { change } from '../../edit/patch/change.js';
import { sample } from '../../testing/sample.js';
import { coverageOf } from './closeGaps.js';
import { rearrange } from './rearrange.js';
import type { CollectionDocument, Tile } from '../../document/types.js';

const FOLDER = join(__dirname, '../../../../../demo');
const DEMOS = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.noria.json'))
  .map((file) => JSON.parse(readFileSync(join(FOLDER, file), 'utf8')) as CollectionDocument)
  .map((document) => [document.name, document] as const);

const emptyIn = (view: CollectionDocument, width: number) => {
  const { cells, covered } = coverageOf(view, resolvedBandAt(view, width));
  return cells - covered;
};

const pins = (view: CollectionDocument, band: number) =>
  view.order.filter((id) => placeIn(view, view.tiles[id] as Tile, band).pin !== null);

const cellIn = (view: CollectionDocument, id: string) => {
  const area = cellsOf(view, resolvedBandOf(view, 0))[view.order.indexOf(id)];
  return area && [area.column, area.row];
};

describe('random drags on a demo', () => {
  test.each(DEMOS)('of “%s” pin no tile and leave no hole', (_, start) => {
    const groups = Object.values(start.tiles).filter(({ kind }) => kind === 'group');
    const levels: Level[] = [null, ...groups.map(({ id }) => id)];
    fc.assert(
      fc.property(
        fc.constantFrom(...levels),
        fc.constantFrom(400, 800, 1280),
        fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat()), { minLength: 10, maxLength: 10 }),
        (level, width, drags) => {
          let view = levelOf(start, level);
          const band = () => resolvedBandAt(view, width);
          if (!hasCells(band().arrangement.kind) || view.order.length === 0) return;
          const pinned = pins(view, band().index);
          for (const [tile, column, row] of drags) {
            const before = emptyIn(view, width);
            const rows = Math.max(1, ...cellsOf(view, band()).map((area) => area.row + area.rowSpan - 1));
            const id = view.order[tile % view.order.length] as string;
            const cell = { column: (column % band().columns.length) + 1, row: (row % (rows + 1)) + 1 };
            view = change(view, rearrange(view, band(), { tiles: [id], cell }).command).document;
            // A tile that a person pinned goes where it is dragged, whether the rest can fill up or not.
            if (!pinned.includes(id)) expect(emptyIn(view, width)).toBeLessThanOrEqual(before);
            expect(pins(view, band().index)).toEqual(pinned);
          }
          if (level === null) expect(checkDocument(view).problems).toEqual(checkDocument(start).problems);
        },
      ),
      { numRuns: 12 },
    );
  });
});

describe('a tile that is brought to a cell', () => {
  /** A large tile, and eight of a cell, in four columns. */
  const base = sample(
    [
      [2, 2],
      [1, 1],
      [1, 1],
      [1, 1],
      [1, 1],
      [1, 1],
      [1, 1],
      [1, 1],
      [1, 1],
    ],
    4,
  );
  const band = resolvedBandOf(base, 0);

  test('takes its place in the order there, and the others move along', () => {
    const { cell, command } = rearrange(base, band, { tiles: ['t2'], cell: { column: 2, row: 3 } });
    expect(cell).toEqual({ column: 2, row: 3 });
    const made = change(base, command).document;
    expect(made.order).toEqual(['t1', 't3', 't4', 't5', 't6', 't7', 't2', 't8', 't9']);
    expect(made.tiles).toBe(base.tiles);
  });

  test('that is large lies there without a hole, and the others are packed around it', () => {
    const { cell, command } = rearrange(base, band, { tiles: ['t1'], cell: { column: 2, row: 2 } });
    expect(cell).toEqual({ column: 2, row: 2 });
    const made = change(base, command).document;
    expect(emptyIn(made, 1280)).toBe(0);
    expect(made.tiles).toBe(base.tiles);
  });

  test('comes before or after the one there, where it can’t lie there without a hole', () => {
    const wide = sample(
      [
        [3, 1],
        [1, 1],
        [2, 1],
        [2, 1],
      ],
      4,
    );
    const { cell, command } = rearrange(wide, resolvedBandOf(wide, 0), {
      tiles: ['t2'],
      cell: { column: 2, row: 1 },
    });
    expect(cell).toEqual({ column: 1, row: 1 });
    expect(change(wide, command).document.order).toEqual(['t2', 't1', 't3', 't4']);
  });

  test('comes last where nothing lies', () => {
    const wide = sample(
      [
        [4, 1],
        [2, 1],
        [2, 1],
      ],
      4,
    );
    const { cell, command } = rearrange(wide, resolvedBandOf(wide, 0), {
      tiles: ['t1'],
      cell: { column: 1, row: 3 },
    });
    expect(cell).toEqual({ column: 1, row: 2 });
    expect(change(wide, command).document.order).toEqual(['t2', 't3', 't1']);
  });

  test('stays where it is when nothing nearer is without one', () => {
    const tight = sample(
      [
        [4, 1],
        [4, 1],
      ],
      4,
    );
    const to = { tiles: ['t2'], cell: { column: 1, row: 3 } };
    const { cell, command } = rearrange(tight, resolvedBandOf(tight, 0), to);
    expect(cell).toBeNull();
    expect(change(tight, command).document).toBe(tight);
  });

  test('takes those along that are moved with it', () => {
    const { command } = rearrange(base, band, { tiles: ['t8', 't9'], cell: { column: 3, row: 1 } });
    expect(change(base, command).document.order.slice(0, 4)).toEqual(['t1', 't8', 't9', 't2']);
  });

  test('that is pinned is pinned there', () => {
    const pinned = change(base, setPin(['t2'], 0, { column: 3, row: 1 })).document;
    const { command } = rearrange(pinned, resolvedBandOf(pinned, 0), {
      tiles: ['t2'],
      cell: { column: 4, row: 3 },
    });
    const made = change(pinned, command).document;
    expect(made.tiles.t2?.place.pin).toEqual({ column: 4, row: 3 });
    expect(cellIn(made, 't2')).toEqual([4, 3]);
    expect(emptyIn(made, 1280)).toBe(0);
  });
});

test('a tile in an area changes places with those in the area at the cell', () => {
  const base = sample(
    [
      [1, 1],
      [1, 1],
    ],
    2,
  );
  const document: CollectionDocument = {
    ...base,
    arrangement: { ...base.arrangement, areas: ['head head', 'side body'] },
    tiles: Object.fromEntries(
      [
        ['t1', 'side'],
        ['t2', 'body'],
      ].map(([id = '', area = '']) => {
        const tile = base.tiles[id] as Tile;
        return [id, { ...tile, place: { ...tile.place, area } }];
      }),
    ),
  };
  const moved = (column: number, row: number, from = document) => {
    const { command, cell } = rearrange(from, resolvedBandOf(from, 0), {
      tiles: ['t1'],
      cell: { column, row },
    });
    return { cell, made: change(from, command).document };
  };
  const { made } = moved(2, 2);
  expect(['t1', 't2'].map((id) => made.tiles[id]?.place.area)).toEqual(['body', 'side']);

  // At a cell of no area it is let out, and lies there as large as it was.
  const wide: CollectionDocument = {
    ...document,
    arrangement: { ...document.arrangement, areas: ['side side', 'body .', '. .'] },
  };
  const out = moved(2, 3, wide);
  expect(out.cell).toEqual({ column: 1, row: 3 });
  expect(out.made.tiles.t1?.place).toMatchObject({
    area: null,
    pin: { column: 1, row: 3 },
    columnSpan: 2,
    rowSpan: 1,
  });
  // Over another area it would leave more cells empty, and at its own it lies already.
  expect(moved(2, 2, wide).cell).toBeNull();
  expect(moved(2, 1, wide).cell).toBeNull();
});
