import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkDocument } from '../check/checkDocument.js';
import { bandOf } from '../document/bands.js';
import { FINDING_KINDS } from '../analysis/fit/types.js';
import { setOfKind } from '../edit/commands/kinds.js';
import { change } from '../edit/patch/change.js';
import { bandCss } from '../export/page/bandCss.js';
import { layoutCollection } from '../layout/layout.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { samplePictures } from '../testing/sample.js';
import { resolvedBandAt } from './bands.js';
import { cellsOf, isHidden } from './cells.js';
import { columnChanges, columnCountOf } from './columns.js';
import { arrangementKinds, HOLDING, kindOf } from './index.js';
import { hasCells, holdsCells, isSquare, valuesIn } from './questions.js';
import type { Arrangement, ArrangementName, CollectionDocument } from '../document/types.js';

const KINDS = arrangementKinds();
const names = KINDS.map(({ name }) => name);
const aspects = fc.array(fc.constantFrom(0.66, 0.8, 1, 1.33, 1.5, 2), { minLength: 1, maxLength: 14 });
const widths = fc.integer({ min: 320, max: 1600 });
const gaps = fc.integer({ min: 0, max: 30 });
const made = (kind: ArrangementName, all: readonly number[], gap: number, more: Partial<Arrangement> = {}) =>
  samplePictures(all, { kind, columnGap: gap, rowGap: gap, ...more });
const lay = (document: CollectionDocument, width: number) =>
  layoutCollection(document, width, { measurer: LETTERS });

describe('kinds of arrangement', () => {
  test('each has a name of its own, and values in a place of their own', () => {
    expect(new Set(names).size).toBe(names.length);
    const fields = KINDS.flatMap(({ values }) => values?.field ?? []);
    expect(new Set(fields).size).toBe(fields.length);
    for (const name of names) expect(kindOf({ kind: name }).name).toBe(name);
    expect(() => kindOf({ kind: 'none' as ArrangementName })).toThrow(
      'There is no kind of arrangement “none”.',
    );
  });

  test('new grids are of a kind whose tiles hold cells, and there is one alone of it', () => {
    expect(names.filter(holdsCells)).toEqual([HOLDING]);
    for (const { name, cells, wishes } of KINDS) {
      expect(hasCells(name)).toBe(cells !== null);
      expect(wishes !== undefined).toBe(cells !== null);
      expect(isSquare({ kind: name, cells: 'square' })).toBe(cells !== null);
    }
  });
});

describe.each(KINDS)('$name', ({ name, values, cells, jumps, ...kind }) => {
  test('what is meant where the file says nothing of it is sound, and can be written down', () => {
    if (!values) return;
    const document = made(name, [1, 2], 10);
    const whole = valuesIn(document.arrangement, values.field);
    const said = { ...document, arrangement: { ...document.arrangement, [values.field]: whole } };
    expect(checkDocument(said).problems).toEqual([]);
    expect(lay(said, 900)).toEqual(lay(document, 900));
    const set = change(document, setOfKind(values.field, {}, 0, 'all')).document;
    expect(set.arrangement[values.field]).toEqual(whole);
  });

  test('has as many columns at a width as it is laid out in there', () => {
    fc.assert(
      fc.property(aspects, widths, gaps, (all, width, gap) => {
        const document = made(name, all, gap);
        expect(resolvedBandAt(document, width).columns).toHaveLength(lay(document, width).columns.length);
      }),
      { numRuns: 40 },
    );
  });

  test('has a column more from the widths on that it says', () => {
    fc.assert(
      fc.property(gaps, (gap) => {
        const document = made(
          name,
          Array.from({ length: 40 }, () => 1),
          gap,
        );
        const { arrangement } = document;
        const changes = columnChanges({ arrangement, from: 320, below: 1600 });
        if (columnCountOf(arrangement)?.count !== null) expect(changes).toEqual([]);
        for (const { width, columns } of changes.filter((each) => each.columns > 2)) {
          expect(resolvedBandAt(document, width).columns).toHaveLength(columns);
          expect(resolvedBandAt(document, width - 0.01).columns).toHaveLength(columns - 1);
        }
      }),
      { numRuns: 20 },
    );
  });

  test('its tiles take the cells that they are said to take', () => {
    if (cells === null) return;
    fc.assert(
      fc.property(aspects, widths, gaps, (all, width, gap) => {
        const document = made(name, all, gap);
        const areas = cellsOf(document, resolvedBandAt(document, width)).filter((area) => !isHidden(area));
        const laid = lay(document, width).tiles;
        expect(
          laid.map(({ column, row, columnSpan, rowSpan }) => ({ column, row, columnSpan, rowSpan })),
        ).toEqual(areas);
      }),
      { numRuns: 40 },
    );
  });

  test('says the same at every width of a band, unless it says that it does not', () => {
    const document = made(name, [1, 1.5, 0.8, 1.2, 1, 2], 12);
    const band = bandOf(document, 0);
    if (kind.changesWithWidth(document.arrangement, null)) return;
    const cuts = [320, ...(kind.cuts?.(document, { ...band, from: 320 }) ?? []), 1600];
    cuts.slice(1).forEach((end, k) => {
      const [from, to] = [Math.ceil(cuts[k] as number), Math.ceil(end) - 1];
      const rules = (at: number) => bandCss(document, { ...band, at }, LETTERS).rules;
      if (to > from) expect(rules(to)).toEqual(rules(from));
    });
  });

  test('knows no remedy that the checker would refuse', () => {
    if (!kind.remedies || !values) return;
    const figure = fc.integer({ min: 1, max: 3000 });
    const figures = fc.record({
      need: figure,
      columns: fc.integer({ min: 1, max: 6 }),
      rows: fc.integer({ min: 1, max: 4 }),
    });
    fc.assert(
      fc.property(fc.constantFrom(...FINDING_KINDS), figures, (finding, said) => {
        const document = made(name, [1, 2, 1], 10);
        const all = [
          ...(kind.remedies?.(document.arrangement, { kind: finding, tiles: ['p1'], figures: said }) ?? []),
        ];
        expect(new Set(all.map(({ does }) => does)).size).toBe(all.length);
        for (const { change: what } of all) {
          if (!('values' in what)) continue;
          const set = change(document, setOfKind(values.field, what.values, 0, 'band')).document;
          expect(checkDocument(set).problems).toEqual([]);
        }
      }),
      { numRuns: 40 },
    );
  });

  test('lies alike whenever it is laid out, and in any band', () => {
    fc.assert(
      fc.property(aspects, widths, (all, width) => {
        const document = made(name, all, 8);
        const banded = {
          ...document,
          bands: [{ id: 'narrow', below: 2000, arrangement: {}, tiles: {} }],
        };
        expect(lay(banded, width)).toEqual(lay(document, width));
      }),
      { numRuns: 20 },
    );
    expect(jumps === undefined || jumps).toBe(true);
  });
});
