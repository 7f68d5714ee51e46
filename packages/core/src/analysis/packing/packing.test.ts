import { describe, expect, test } from '@jest/globals';
import { resolvedBands } from '../../arrangements/bands.js';
import fc from 'fast-check';
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
