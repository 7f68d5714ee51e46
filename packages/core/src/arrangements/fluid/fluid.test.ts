import { describe, expect, test } from '@jest/globals';
import { resolvedBandAt } from '../bands.js';
import fc from 'fast-check';
import { bandsOf } from '../../document/bands.js';
import { columnChanges, widthForColumns } from '../columns.js';
import { columnsThatFit, minimumsFor } from '../shared/columnCount.js';
import { change } from '../../edit/patch/change.js';
import { evenColumn } from '../../geometry/evenColumn.js';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { moveToCell } from '../../edit/commands/moveToCell.js';
import { pageCss } from '../../export/page/pageCss.js';
import { sample, type SampleSpans } from '../../testing/sample.js';
import type { CollectionDocument, FluidColumns } from '../../document/types.js';

const NONE = () => 'none';

function fluid(spans: readonly SampleSpans[], columns: Partial<FluidColumns>): CollectionDocument {
  const base = sample(spans);
  return {
    ...base,
    bands: [],
    arrangement: {
      ...base.arrangement,
      kind: 'fluid',
      columnGap: 24,
      padding: { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 },
      fluid: { repeat: 'auto-fit', min: 240, max: null, spansFrom: null, ...columns },
    },
  };
}

const ones = (count: number): SampleSpans[] => Array.from({ length: count }, () => [1, 1]);

describe('the sums of columns', () => {
  test('even columns and spans', () => {
    expect(evenColumn(1200, 4, 24)).toBe(282);
    expect(2 * evenColumn(1200, 4, 24) + 24).toBe(588);
  });

  test('columns that fit a minimum: max(1, ⌊(W + g) ÷ (m + g)⌋)', () => {
    const fit = (minimum: number, inner: number) => columnsThatFit({ min: minimum, max: null }, inner, 24);
    expect([fit(282, 1200), fit(282.01, 1200), fit(220.81, 1200), fit(220.8, 1200), fit(2000, 1200)]).toEqual(
      [4, 3, 4, 5, 1],
    );
  });

  test('W 1200, gap 24: four columns need a minimum above 220.8, up to 282', () => {
    const { above, upTo } = minimumsFor(4, 1200, 24);
    expect(above).toBeCloseTo(220.8);
    expect(upTo).toBe(282);
  });

  test('every minimum in the range gives so many columns, at its ends too', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 400, max: 2560 }),
        fc.integer({ min: 0, max: 40 }),
        fc.double({ min: 0.001, max: 1, noNaN: true }),
        (columns, inner, gap, share) => {
          const { above, upTo } = minimumsFor(columns, inner, gap);
          fc.pre(upTo > above + 0.01);
          const minimum = above + (upTo - above) * share;
          fc.pre(minimum > above + 1e-3);
          expect(columnsThatFit({ min: minimum, max: null }, inner, gap)).toBe(columns);
        },
      ),
    );
  });

  test('never more than the limit, whatever the gap', () => {
    for (const gap of [0, 8, 24, 60]) {
      expect(columnsThatFit({ min: 100, max: 5 }, 2000, gap)).toBe(5);
      expect(columnsThatFit({ min: 100, max: 5 }, 5 * 100 + 4 * gap, gap)).toBe(5);
      expect(columnsThatFit({ min: 100, max: 5 }, 5 * 100 + 4 * gap - 1, gap)).toBe(4);
    }
  });
});

describe('a fluid arrangement', () => {
  const columnsAt = (document: CollectionDocument, width: number) =>
    layoutCollection(document, width, { measurer: LETTERS }).columns.map(({ size }) => Math.round(size));

  test('has as many columns as fit; alone, one is never wider than the page', () => {
    const document = fluid(ones(12), {});
    expect(columnsAt(document, 1200)).toEqual([282, 282, 282, 282]);
    expect(columnsAt(document, 503)).toEqual([503]);
    expect(columnsAt(document, 504)).toEqual([240, 240]);
    expect(columnsAt(document, 200)).toEqual([200]);
  });

  test('with few tiles auto-fit lets them share the width, auto-fill keeps room', () => {
    expect(columnsAt(fluid(ones(2), { repeat: 'auto-fit' }), 1200)).toEqual([588, 588]);
    expect(columnsAt(fluid(ones(2), { repeat: 'auto-fill' }), 1200)).toEqual([282, 282, 282, 282]);
  });

  test('spans apply where they fit, or from a width on', () => {
    const spansAt = (document: CollectionDocument, width: number) =>
      layoutCollection(document, width, { measurer: LETTERS }).tiles.map(({ columnSpan }) => columnSpan);
    const spans: SampleSpans[] = [
      [3, 1],
      [2, 1],
      [1, 1],
      [1, 1],
    ];
    expect(spansAt(fluid(spans, {}), 1200)).toEqual([3, 2, 1, 1]);
    expect(spansAt(fluid(spans, {}), 600)).toEqual([2, 2, 1, 1]);
    expect(spansAt(fluid(spans, {}), 400)).toEqual([1, 1, 1, 1]);
    expect(spansAt(fluid(spans, { spansFrom: 700 }), 699)).toEqual([1, 1, 1, 1]);
    expect(spansAt(fluid(spans, { spansFrom: 700 }), 700)).toEqual([2, 2, 1, 1]);
  });

  test('rows are spanned from that width on too, on the stage and in the page', () => {
    const tall = fluid(
      [
        [1, 3],
        [1, 1],
      ],
      { spansFrom: 700, min: 100 },
    );
    const rowsAt = (width: number) =>
      layoutCollection(tall, width, { measurer: LETTERS }).tiles.map(({ rowSpan }) => rowSpan);
    expect([rowsAt(699), rowsAt(700)]).toEqual([
      [1, 1],
      [3, 1],
    ]);
    expect(pageCss(tall, NONE, LETTERS)).toMatch(/@container \(width < 700px\) \{[^@]*grid-row: span 1/);
  });

  test('the widths at which a column is added are where it first fits', () => {
    const document = fluid(ones(20), { max: 5 });
    const [band] = bandsOf(document);
    const changes = band ? columnChanges(band) : [];
    expect(changes).toEqual(
      [2, 3, 4, 5].map((columns) => ({ columns, width: columns * 240 + (columns - 1) * 24 })),
    );
    for (const { width, columns } of changes) {
      expect(resolvedBandAt(document, width).columns).toHaveLength(columns);
      expect(resolvedBandAt(document, width - 1).columns).toHaveLength(columns - 1);
    }
    expect(widthForColumns(document.arrangement, 6)).toBe(Infinity);
  });

  test('tiles are moved by reading order alone, at the columns of the width one works at', () => {
    const document = fluid(ones(9), {});
    const moved = (id: string, width: number, column: number, row: number) =>
      change(document, moveToCell(document, id, resolvedBandAt(document, width), { column, row }).command)
        .document;
    // Four columns at 1200 px, two at 600: the same cell is another place in the order.
    expect(moved('t9', 1200, 1, 2).order.indexOf('t9')).toBe(4);
    expect(moved('t9', 600, 1, 2).order.indexOf('t9')).toBe(2);
    for (const [column, row] of [
      [1, 1],
      [4, 2],
      [2, 3],
      [4, 9],
    ] as const) {
      const made = moved('t3', 1200, column, row);
      expect(Object.values(made.tiles).every(({ place }) => place.pin === null)).toBe(true);
      expect([...made.order].sort()).toEqual([...document.order].sort());
    }
  });

  test('its page says the formula, with the gap in it, and spans in queries', () => {
    const css = pageCss(
      fluid(
        [
          [3, 1],
          [1, 1],
        ],
        { max: 4 },
      ),
      NONE,
      LETTERS,
    );
    expect(css).toContain('repeat(auto-fit, minmax(min(100%, max(240px, (100% - 72px) / 4)), 1fr))');
    expect(css).toMatch(
      /@container \(width < 768px\) \{\n {2}\[data-tile="t1"\] \{\n {4}grid-column: span 2;/,
    );
    expect(css).toMatch(
      /@container \(width < 504px\) \{\n {2}\[data-tile="t1"\] \{\n {4}grid-column: span 1;/,
    );
  });

  test('a band may be fluid below a bento, and the bento’s columns come back above', () => {
    const base = fluid(ones(6), {});
    const document: CollectionDocument = {
      ...base,
      arrangement: { ...base.arrangement, kind: 'bento' },
      bands: [{ id: 'below', below: 700, arrangement: { kind: 'fluid' }, tiles: {} }],
    };
    expect(columnsAt(document, 700)).toHaveLength(6);
    expect(columnsAt(document, 699)).toHaveLength(2);
  });
});
