import { describe, expect, test } from '@jest/globals';
import { resolvedBandOf, resolvedBands } from '../../arrangements/bands.js';
import fc from 'fast-check';
import { areaIn } from '../../arrangements/bento/areaMap.js';
import { cellsOf } from '../../arrangements/cells.js';
import { breakpointsCommand, findBreakpoints } from './findBreakpoints.js';
import { change } from '../../edit/patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { checkFit } from '../fit/checkFit.js';
import { coverageOf } from '../packing/closeGaps.js';
import { deriveBand } from './derive.js';
import { keepStructure, stackBand } from './stack.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { needOf } from '../fit/needs.js';
import { sample } from '../../testing/sample.js';
import { inheritPlace, setPin, setSpan } from '../../edit/commands/place.js';
import { withHeld } from '../../testing/held.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';

const measurer = LETTERS;

/** A collection of stats and texts with words of many lengths; holes closed or not. */
const collections = fc
  .record({
    columns: fc.integer({ min: 1, max: 8 }),
    below: fc.integer({ min: 300, max: 1100 }),
    tiles: fc.array(
      fc.record({
        span: fc.tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 3 })),
        words: fc.integer({ min: 1, max: 14 }),
        label: fc.integer({ min: 0, max: 60 }),
      }),
      { minLength: 1, maxLength: 16 },
    ),
  })
  .map(({ columns, below, tiles }): CollectionDocument => {
    const base = sample(
      tiles.map(({ span }) => span),
      columns,
    );
    const made = Object.fromEntries(
      tiles.map(({ words, label }, k): [TileId, Tile] => {
        const id = `t${k + 1}`;
        const held = { figure: 'w'.repeat(words), label: 'snow '.repeat(label / 5).trim() };
        return [id, withHeld(base.tiles[id], held)];
      }),
    );
    return { ...base, tiles: made, bands: [{ id: 'derived', below, arrangement: {}, tiles: {} }] };
  });

/** Tiles in the order in which they are seen: row by row. */
const seen = (document: CollectionDocument, band: number) => {
  const areas = cellsOf(document, resolvedBandOf(document, band));
  return document.order
    .map((id, k) => ({ id, at: areas[k] }))
    .sort((a, b) => (a.at?.row ?? 0) - (b.at?.row ?? 0) || (a.at?.column ?? 0) - (b.at?.column ?? 0))
    .map(({ id }) => id);
};

describe('a derived band', () => {
  test('has no hole, no overflow, and keeps reading order', () => {
    fc.assert(
      fc.property(collections, (document) => {
        const made = change(document, deriveBand(document, 1, { measurer })).document;
        expect(checkDocument(made).problems).toEqual([]);
        expect(coverageOf(made, resolvedBandOf(made, 1)).holes).toEqual([]);
        expect(seen(made, 1)).toEqual(document.order);
        const { findings } = checkFit(made, { measurer, from: 240, to: document.bands[0]?.below ?? 240 });
        const kinds = findings.filter(({ band }) => band === 1).map(({ kind }) => kind);
        for (const kind of ['hole', 'stray', 'overlap', 'overflow', 'out of order'] as const)
          expect(kinds).not.toContain(kind);
      }),
      { numRuns: 60 },
    );
  });

  test('has as many columns as its tiles bear, and large tiles stay large', () => {
    // Four columns of 254 px at 1079; the words need 12 letters of 8 px and 36 px of padding.
    const base = sample(
      [
        [3, 2],
        [1, 1],
        [1, 1],
        [1, 1],
        [2, 1],
        [2, 1],
        [2, 1],
      ],
      6,
    );
    const document: CollectionDocument = {
      ...base,
      bands: [{ id: 'derived', below: 640, arrangement: {}, tiles: {} }],
    };
    const made = change(document, deriveBand(document, 1, { measurer })).document;
    const areas = cellsOf(made, resolvedBandOf(made, 1));
    const columns = resolvedBandOf(made, 1).columns.length;
    expect(columns).toBeLessThan(6);
    const cells = areas.map(({ columnSpan, rowSpan }) => columnSpan * rowSpan);
    expect(Math.max(...cells.slice(1))).toBeLessThanOrEqual(cells[0] ?? 0);
  });

  test('keeps what was corrected by hand, until it is derived anew', () => {
    const base = sample(
      [
        [2, 1],
        [2, 1],
        [2, 1],
        [2, 1],
      ],
      4,
    );
    const document: CollectionDocument = {
      ...base,
      bands: [{ id: 'derived', below: 900, arrangement: {}, tiles: {} }],
    };
    const first = change(document, deriveBand(document, 1, { measurer, columns: 2 })).document;
    expect(first.bands[0]?.tiles.t1?.derived).toBe(true);
    const corrected = change(
      first,
      setSpan({ tiles: ['t2'], band: 1, setFor: 'band', columnSpan: 1, rowSpan: 3 }),
    ).document;
    expect(corrected.bands[0]?.tiles.t2).toEqual({ columnSpan: 1, rowSpan: 3 });
    const again = change(corrected, deriveBand(corrected, 1, { measurer, columns: 2 })).document;
    expect(again.bands[0]?.tiles.t2).toEqual({ columnSpan: 1, rowSpan: 3 });
    expect(coverageOf(again, resolvedBandOf(again, 1)).holes).toEqual([]);
    const anew = change(again, deriveBand(again, 1, { measurer, anew: true })).document;
    expect(anew.bands[0]?.tiles.t2?.derived).toBe(true);
  });

  test('keeps a marked pair beside each other', () => {
    const base = sample(
      Array.from({ length: 7 }, () => [2, 1] as const),
      6,
    );
    const document: CollectionDocument = {
      ...base,
      tiles: { ...base.tiles, t3: { ...(base.tiles.t3 as Tile), keepWithNext: true } },
      bands: [{ id: 'derived', below: 900, arrangement: {}, tiles: {} }],
    };
    const made = change(document, deriveBand(document, 1, { measurer, columns: 3 })).document;
    const [a, b] = [2, 3].map((k) => cellsOf(made, resolvedBandOf(made, 1))[k]);
    if (!a || !b) throw new Error('both tiles are there');
    const beside = a.row < b.row + b.rowSpan && b.row < a.row + a.rowSpan;
    const below = a.column < b.column + b.columnSpan && b.column < a.column + a.columnSpan;
    expect((beside && a.column + a.columnSpan === b.column) || (below && a.row + a.rowSpan === b.row)).toBe(
      true,
    );
  });
});

test('areas are derived with the band: each tile in one keeps its name', () => {
  const base = sample(
    Array.from({ length: 4 }, () => [1, 1] as const),
    4,
  );
  const named = ['head', 'main', 'side', 'foot'];
  const tiles = Object.fromEntries(
    named.map((area, k): [TileId, Tile] => {
      const tile = base.tiles[`t${k + 1}`] as Tile;
      return [tile.id, { ...tile, place: { ...tile.place, area } }];
    }),
  );
  const document: CollectionDocument = {
    ...base,
    tiles,
    arrangement: {
      ...base.arrangement,
      areas: ['head head head head', 'main main side side', 'main main side side', 'foot foot foot foot'],
    },
    bands: [{ id: 'derived', below: 700, arrangement: {}, tiles: {} }],
  };
  const made = change(document, deriveBand(document, 1, { measurer, columns: 2 })).document;
  expect(checkDocument(made).problems).toEqual([]);
  const { arrangement } = resolvedBandOf(made, 1);
  const cells = cellsOf(made, resolvedBandOf(made, 1));
  named.forEach((name, k) => expect(areaIn(arrangement, name)).toEqual(cells[k]));
  expect(seen(made, 1)).toEqual(document.order);
  expect(coverageOf(made, resolvedBandOf(made, 1)).holes).toEqual([]);
});

describe('other ways from the wider band', () => {
  const base = sample(
    [
      [2, 1],
      [1, 1, 3, 1],
      [3, 2],
    ],
    3,
  );
  const document: CollectionDocument = {
    ...base,
    bands: [{ id: 'below', below: 700, arrangement: { columns: ['1fr'] }, tiles: { t1: { columnSpan: 1 } } }],
  };

  test('stack is one column in reading order', () => {
    const made = change(document, stackBand(document, 1, measurer)).document;
    expect(resolvedBandOf(made, 1).columns).toHaveLength(1);
    expect(seen(made, 1)).toEqual(['t1', 't2', 't3']);
    expect(coverageOf(made, resolvedBandOf(made, 1)).holes).toEqual([]);
  });

  test('keep structure is the wider placement, pins and all', () => {
    const made = change(document, keepStructure(document, 1)).document;
    expect(cellsOf(made, resolvedBandOf(made, 1))).toEqual(cellsOf(made, resolvedBandOf(made, 0)));
    expect(made.bands[0]?.tiles).toEqual({});
    const unpinned = change(made, setPin(['t2'], 1, null)).document;
    expect(unpinned.bands[0]?.tiles).toEqual({ t2: { pin: null } });
    const again = change(unpinned, inheritPlace('t2', 1, ['pin'])).document;
    expect(again.bands[0]?.tiles).toEqual({});
  });
});

describe('breakpoints found', () => {
  test('leave no squashed tile that one column could bear, and go from wide to narrow', () => {
    fc.assert(
      fc.property(collections, (document) => {
        let k = 0;
        const bands = findBreakpoints(document, measurer, () => `b${++k}`);
        const made = change(document, breakpointsCommand(bands)).document;
        expect(checkDocument(made).problems).toEqual([]);
        const bearable = (id: TileId) =>
          needOf(made, made.tiles[id] as Tile, measurer, 240).inlineSize <= 240 - 48;
        // What is wider than any breakpoint was squashed before; there only the widest band can help.
        const top = made.bands[0]?.below ?? 240;
        const squashed = checkFit(made, { measurer, from: 240, to: Math.max(240, top - 1) }).findings.filter(
          ({ kind, tiles }) => kind === 'squashed' && tiles.every(bearable),
        );
        expect(squashed.map(({ title, ranges }) => [title, ranges])).toEqual([]);
        for (const band of resolvedBands(made).slice(1)) expect(coverageOf(made, band).holes).toEqual([]);
      }),
      { numRuns: 12 },
    );
  }, 120_000);

  test('are as few as are enough: none where the columns always work', () => {
    const one = sample(
      [
        [1, 1],
        [1, 1],
      ],
      2,
    );
    const short: CollectionDocument = {
      ...one,
      tiles: Object.fromEntries(
        Object.entries(one.tiles).map(([id, tile]) => [id, withHeld(tile, { figure: '7', label: '' })]),
      ),
      arrangement: { ...one.arrangement, autoRows: '90px' },
    };
    expect(findBreakpoints(short, measurer, () => 'b')).toEqual([]);
  });
});
