import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyPatch } from '../patch/applyPatch.js';
import { change } from '../patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { checkFit } from '../../analysis/fit/checkFit.js';
import { flatTiles, layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { LIMITS } from '../../document/limits.js';
import { pageCss } from '../../export/page/pageCss.js';
import { samplePictures } from '../../testing/sample.js';
import { setArrangement } from './arrangement.js';
import { setBreakBefore, setEqualCells, setKind, setOfKind, setSlots } from './kinds.js';
import { setSkeleton } from './skeletons.js';
import { SKELETONS } from '../skeletons/forms.js';
import { setSpan, type SetFor } from './place.js';
import type { ArrangementName, CollectionDocument } from '../../document/types.js';
import type { Command } from '../patch/change.js';

/** Values at the ends of what the checker takes, and some between. */
const px = fc.constantFrom(1, 2, 37, 120, 400, LIMITS.track);
const gap = fc.constantFrom(0, 1, 16, LIMITS.gap);
const counts = {
  count: fc.constantFrom(null, 1, 2, 7, LIMITS.columns),
  min: px,
  most: fc.constantFrom(null, 1, 3, LIMITS.columns),
};
const share = fc.constantFrom(0, 0.3, 1);
const band = fc.constantFrom(0, 1);
const setFor = fc.constantFrom<SetFor>('band', 'all');
const kinds = fc.constantFrom<ArrangementName>('bento', 'fluid', 'masonry', 'rows', 'mosaic', 'fan');
const id = fc.constantFrom('p1', 'p2', 'p5', 'p9');
const cell = fc.integer({ min: 1, max: 6 });

const masonry = fc.record({
  ...counts,
  direction: fc.constantFrom('block' as const, 'inline' as const),
  laneSize: px,
  order: fc.constantFrom('in-turn' as const, 'balanced' as const),
  tolerance: px,
});
const rowHeights = fc.record({
  target: px,
  least: px,
  most: px,
  lastRow: fc.constantFrom('fill-width' as const, 'keep-height' as const),
});
const mosaic = fc.record({
  ...counts,
  shareOfLarge: share,
  mostCrop: share,
  seed: fc.constantFrom(0, 5, LIMITS.seed),
});
const fan = fc.record({
  axis: fc.constantFrom('inline' as const, 'block' as const),
  inlineSize: px,
  blockSize: px,
  strip: px,
  open: fc.constantFrom('first' as const, 'last' as const),
});

let made = 0;
const commands: fc.Arbitrary<Command> = fc.oneof(
  fc.tuple(kinds, band, setFor).map(([kind, at, to]) => setKind(kind, at, to)),
  fc.tuple(masonry, band, setFor).map(([values, at, to]) => setOfKind('masonry', values, at, to)),
  fc.tuple(rowHeights, band, setFor).map(([values, at, to]) => setOfKind('rowHeights', values, at, to)),
  fc.tuple(mosaic, band, setFor).map(([values, at, to]) => setOfKind('mosaic', values, at, to)),
  fc.tuple(fan, band, setFor).map(([values, at, to]) => setOfKind('fan', values, at, to)),
  fc
    .tuple(gap, gap, band, setFor)
    .map(([across, down, at, to]) => setArrangement({ columnGap: across, rowGap: down }, at, to)),
  fc
    .tuple(id, cell, cell, band)
    .map(([tile, columnSpan, rowSpan, at]) =>
      setSpan({ tiles: [tile], band: at, setFor: 'band', columnSpan, rowSpan }),
    ),
  fc.tuple(id, fc.boolean(), band).map(([tile, breaks, at]) => setBreakBefore([tile], breaks, at, 'band')),
  fc
    .tuple(id, cell, cell, cell, cell, band)
    .map(([tile, column, row, columnSpan, rowSpan, at]) =>
      setSlots({ [tile]: { column, row, columnSpan, rowSpan } }, at),
    ),
  fc
    .tuple(cell, gap, cell)
    .map(([columns, between, hero]) => setEqualCells({ columns, gap: between, hero: hero - 1 }, 0, 'all')),
  fc.constantFrom(...SKELETONS).map((form) => setSkeleton(form, (of) => `${of}-${++made}`)),
);

const start: CollectionDocument = {
  ...samplePictures([1.5, 0.7, 1, 2.2, 0.8, 1.3, 1, 0.6, 1.8]),
  bands: [{ id: 'narrow', below: 640, arrangement: {}, tiles: {} }],
};

describe('any kind with any values that the checker takes', () => {
  test('is a sound document, laid out at every width, and undone to the start', () => {
    fc.assert(
      fc.property(fc.array(commands, { minLength: 1, maxLength: 6 }), (all) => {
        let document = start;
        const inverses = [];
        for (const command of all) {
          const done = change(document, command);
          document = done.document;
          inverses.unshift(...done.inverse);
        }
        const { problems } = checkDocument(JSON.parse(JSON.stringify(document)));
        expect(problems.filter(({ severity }) => severity === 'error')).toEqual([]);
        for (const width of [240, 639, 640, 1100, 2560]) {
          const laid = layoutCollection(document, width, { measurer: LETTERS });
          const sizes = flatTiles(laid).flatMap(({ x, y, inlineSize, blockSize }) => [
            x,
            y,
            inlineSize,
            blockSize,
          ]);
          expect(sizes.every(Number.isFinite)).toBe(true);
          expect(flatTiles(laid).every((tile) => tile.inlineSize >= 0 && tile.blockSize >= 0)).toBe(true);
        }
        expect(applyPatch(document, inverses)).toEqual(start);
      }),
      { numRuns: 150 },
    );
  }, 300_000);

  test('is checked and written as a page, whatever it is', () => {
    fc.assert(
      fc.property(kinds, commands, commands, (kind, one, other) => {
        const document = [setKind(kind, 0, 'all'), one, other].reduce(
          (now, command) => change(now, command).document,
          start,
        );
        const { findings } = checkFit(document, { measurer: LETTERS, from: 500, to: 760 });
        for (const { reason } of findings) expect(reason).not.toMatch(/NaN|undefined|Infinity/);
        expect(pageCss(document, () => '', LETTERS)).not.toMatch(/NaN|undefined|Infinity/);
      }),
      { numRuns: 25 },
    );
  }, 300_000);

  test.each(['masonry', 'mosaic'] as const)(
    '%s of the least columns has no more than a file may say',
    (kind) => {
      const least = { count: null, min: 1, max: null };
      const document = [
        setKind(kind, 0, 'all'),
        setOfKind(kind, least, 0, 'all'),
        setArrangement({ columnGap: 0, rowGap: 0 }, 0, 'all'),
      ].reduce((now, command) => change(now, command).document, start);
      const { columns } = layoutCollection(document, LIMITS.widest, { measurer: LETTERS });
      expect(columns).toHaveLength(LIMITS.columns);
    },
  );
});
