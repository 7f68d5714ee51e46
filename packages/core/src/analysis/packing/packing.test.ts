import { describe, expect, test } from '@jest/globals';
import { resolvedBands } from '../../arrangements/bands.js';
import fc from 'fast-check';
import { applyDesign, readDesign } from './designRows.js';
import { change } from '../../edit/patch/change.js';
import { closeGaps, coverageOf, gapCommand } from './closeGaps.js';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { proposalCommand, propose } from './propose.js';
import { sample } from '../../testing/sample.js';
import type { CollectionDocument } from '../../document/types.js';

const spans = fc.array(fc.tuple(fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 2 })), {
  minLength: 2,
  maxLength: 24,
});

describe('closing gaps', () => {
  const options = { distance: 4, mostSpans: 2, allows: () => true };

  test('says that it closed a hole only when none is left, and moves no tile beyond the distance', () => {
    fc.assert(
      fc.property(spans, fc.integer({ min: 2, max: 6 }), fc.boolean(), (all, columns, sparse) => {
        const base = sample(all, columns);
        const document: CollectionDocument = sparse
          ? { ...base, arrangement: { ...base.arrangement, flow: 'sparse' } }
          : base;
        const closed = closeGaps(document, 0, options);
        const made = change(document, gapCommand(closed.changes, 0)).document;
        const band = resolvedBands(made)[0];
        const after = band && coverageOf(made, band);
        expect(after).toEqual(closed.after);
        if (closed.outcome === 'whole') expect(after?.holes).toEqual([]);
        expect(closed.after.cells - closed.after.covered).toBeLessThanOrEqual(
          closed.before.cells - closed.before.covered,
        );
        expect([...made.order].sort()).toEqual([...document.order].sort());
        for (const each of closed.changes)
          if (each.what === 'order')
            expect(Math.abs(each.to - each.from)).toBeLessThanOrEqual(options.distance);
        expect(closed.changes.filter(({ what }) => what === 'span').length).toBeLessThanOrEqual(2);
      }),
      { numRuns: 150 },
    );
  });

  test('takes dense flow first, then order, then the fewest and smallest spans', () => {
    const holed = sample(
      [
        [2, 1],
        [3, 1],
        [1, 1],
      ],
      3,
    );
    const sparse: CollectionDocument = { ...holed, arrangement: { ...holed.arrangement, flow: 'sparse' } };
    expect(closeGaps(sparse, 0, options).changes).toEqual([{ what: 'flow' }]);
    const ordered = closeGaps(
      sample(
        [
          [3, 1],
          [1, 1],
          [2, 2],
          [2, 1],
          [1, 2],
        ],
        3,
      ),
      0,
      { ...options, mostSpans: 0 },
    );
    expect(ordered.outcome).toBe('whole');
    expect(ordered.changes).toMatchObject([{ what: 'order', tile: 't5', from: 4, to: 3 }]);
    const spanned = closeGaps(
      sample(
        [
          [2, 1],
          [3, 1],
        ],
        3,
      ),
      0,
      options,
    );
    expect(spanned.changes).toEqual([
      { what: 'span', tile: 't1', from: { columns: 2, rows: 1 }, to: { columns: 3, rows: 1 } },
    ]);
  });

  test('never changes a span that is not allowed, and then says what is best', () => {
    const closed = closeGaps(
      sample(
        [
          [2, 1],
          [3, 1],
        ],
        3,
      ),
      0,
      { ...options, allows: () => false },
    );
    expect(closed).toMatchObject({ outcome: 'best', changes: [] });
  });

  test('leaves pinned tiles where they are', () => {
    const document = sample(
      [
        [1, 1, 2, 2],
        [2, 1],
        [3, 2],
        [2, 1],
        [2, 2],
        [2, 1],
      ],
      3,
    );
    const closed = closeGaps(document, 0, options);
    expect(closed.outcome).toBe('whole');
    const at = layoutCollection(change(document, gapCommand(closed.changes, 0)).document, 1280, {
      measurer: LETTERS,
    }).tiles[0];
    expect(at).toMatchObject({ column: 2, row: 2 });
  });
});

describe('proposals', () => {
  const options = {
    allows: () => true,
    aspectOf: ({ columns, rows }: { columns: number; rows: number }) => columns / rows,
    seed: 1,
    most: 12,
  };

  test('at least eight for a set of cards, without a hole, unlike one another, best first', () => {
    const document = sample(
      Array.from({ length: 7 }, () => [1, 1] as const),
      4,
    );
    const found = propose(document, 0, { ...options, tiles: document.order });
    expect(found.length).toBeGreaterThanOrEqual(8);
    for (const { spans: each, areas } of found) {
      const made = change(document, proposalCommand(each, 0)).document;
      const band = resolvedBands(made)[0];
      expect(band && coverageOf(made, band).holes).toEqual([]);
      expect(areas).toHaveLength(7);
    }
    const scores = found.map(({ score }) => score.whole);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
    expect(new Set(found.map(({ spans: each }) => JSON.stringify(each))).size).toBe(found.length);
    expect(propose(document, 0, { ...options, tiles: document.order })).toEqual(found);
  });

  test('tiles that are not asked for keep their spans', () => {
    const document = sample(
      [
        [2, 2],
        [1, 1],
        [1, 1],
        [2, 1],
        [1, 1],
        [1, 1],
      ],
      4,
    );
    for (const { spans: each } of propose(document, 0, { ...options, tiles: ['t2', 't3', 't4', 't5', 't6'] }))
      expect(each.t1).toEqual({ columns: 2, rows: 2 });
  });
});

describe('a design read as one grid', () => {
  test.each([
    ['2, 3', 6, 2, 5],
    ['2, 3, 2 with halves', 6, 4, 8],
    ['3 then 2 with halves then 3', 6, 4, 9],
    ['2:1, 3', 3, 2, 5],
    ['4 with 4 halves', 4, 2, 6],
    ['3, 4 with the 2nd in halves, 2', 12, 4, 10],
    ['4 with the 1st and 3rd halved', 4, 2, 6],
    ['70/30', 10, 1, 2],
    ['70:30', 10, 1, 2],
    ['7:3', 10, 1, 2],
  ])('%s: %i columns, %i rows, %i cards', (text, columns, rows, cards) => {
    const grid = readDesign(text);
    expect([grid.columns, grid.rows, grid.spans.length]).toEqual([columns, rows, cards]);
    const made = change(
      sample([]),
      applyDesign({
        grid,
        band: 0,
        setFor: 'band',
        freshIds: grid.spans.map((_, k) => `n${k}`),
        what: 'text',
      }),
    ).document;
    const band = resolvedBands(made)[0];
    const covered = band && coverageOf(made, band);
    expect([covered?.holes, covered?.cells]).toEqual([[], columns * rows]);
  });

  test('cuts the card that is named, where it stands, and leaves the other rows as they are', () => {
    const grid = readDesign('3, 4 with the 2nd in halves, 2');
    const made = change(
      { ...sample([]), arrangement: { ...sample([]).arrangement, autoRows: '160px', rowGap: 16 } },
      applyDesign({
        grid,
        band: 0,
        setFor: 'band',
        freshIds: grid.spans.map((_, k) => `n${k}`),
        what: 'text',
      }),
    ).document;
    expect(made.arrangement.rows).toEqual(['160px', '72px', '72px', '160px']);
    const { tiles } = layoutCollection(made, 1280, { measurer: LETTERS });
    const at = (k: number) => tiles.find(({ id }) => id === `n${k}`);
    expect([at(4), at(7)].map((tile) => [tile?.column, tile?.row, tile?.rowSpan])).toEqual([
      [4, 2, 1],
      [4, 3, 1],
    ]);
    expect([at(0), at(3), at(8)].map((tile) => tile?.blockSize)).toEqual([160, 160, 160]);
    expect(tiles.map(({ id }) => id)).toEqual(made.order);
  });

  test('says a proportion in any of its ways', () => {
    const [first, ...others] = ['70/30, 2', '70:30, 2', '7:3, 2', '7 / 3, 2'].map(readDesign);
    for (const each of others) expect(each).toEqual(first);
  });

  test.each([
    '',
    'two',
    '0',
    '3 with 3 halves',
    '7, 8, 9',
    '2, , with halves',
    '3 with the 4th in halves',
    '3 with the second in halves',
    '2 halves',
    '70/0',
  ])('refuses %j in words', (text) => {
    expect(() => readDesign(text)).toThrow(/Write the cards of each row|share no grid/);
  });
});
