/** The sums that designers do by hand, each with figures that were worked out on paper. */
import { describe, expect, test } from '@jest/globals';
import { closeGaps } from './packing/closeGaps.js';
import { columnsThatFit, minimumsFor } from '../arrangements/shared/columnCount.js';
import { contrast } from '../look/contrast.js';
import { cropIn, isFocusLost, sharpnessIn, shownShare } from '../look/crop.js';
import { evenColumn } from '../geometry/evenColumn.js';
import { laneImbalance, placeLanes } from '../engine/lanes/placeLanes.js';
import { composed, hexOf, rgbOf } from '../look/blend.js';
import { layoutRows } from '../arrangements/rows/layoutRows.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { leastContrast } from '../look/textColour.js';
import { blockNeedOf } from './fit/needs.js';
import { readDesign } from './design/readDesign.js';
import { sample } from '../testing/sample.js';
import { cardWith } from '../testing/held.js';
import { squareRows } from '../geometry/squareModules.js';

describe('the sums', () => {
  test('an even column is (W − (n−1)·g) ÷ n, a span of s is s·col + (s−1)·g', () => {
    const column = evenColumn(1200, 4, 24);
    expect(column).toBe(282);
    expect(3 * column + 2 * 24).toBe(894);
    expect(evenColumn(1232, 6, 16)).toBe(192);
  });

  test('columns that fit a minimum', () => {
    expect(columnsThatFit({ min: 240, max: null }, 1200, 24)).toBe(4);
    expect(columnsThatFit({ min: 240, max: null }, 1032, 24)).toBe(4);
    expect(columnsThatFit({ min: 240, max: null }, 1031, 24)).toBe(3);
    expect(columnsThatFit({ min: 240, max: null }, 100, 24)).toBe(1);
  });

  test('W 1200, gap 24, four columns: a minimum above 220.8, up to 282', () => {
    const { above, upTo } = minimumsFor(4, 1200, 24);
    expect([above, upTo].map((px) => Number(px.toFixed(6)))).toEqual([220.8, 282]);
  });

  test('at most k columns: max(m, (W − (k−1)·g) ÷ k); another gap, another minimum', () => {
    const minimumFor = (gap: number) => Math.max(200, (1600 - 3 * gap) / 4);
    expect([minimumFor(16), minimumFor(40)]).toEqual([388, 370]);
    for (const gap of [16, 40]) {
      expect(columnsThatFit({ min: 200, max: 4 }, 1600, gap)).toBe(4);
      expect(columnsThatFit({ min: minimumFor(gap), max: null }, 1600, gap)).toBe(4);
    }
    // A gap that grows past the linked minimum would drop a column.
    expect(columnsThatFit({ min: minimumFor(16), max: null }, 1600, 40)).toBe(3);
  });

  test('columns that rows of 2, 3 and 4 equal tiles share: lcm(2, 3, 4) = 12', () => {
    expect(readDesign('2, 3, 4').grid).toMatchObject({ columns: 12, rows: 3 });
    expect(readDesign('2, 3').grid?.columns).toBe(6);
  });

  test('square modules: (H − (r−1)·g) ÷ r ≈ (W − (c−1)·g) ÷ c', () => {
    expect(squareRows({ inlineSize: 1200, blockSize: 600, columns: 12, gap: 0 })).toBe(6);
    // Modules of (1000 − 9·8) ÷ 10 = 92.8 px; six of them and five gaps are 596.8 px.
    expect(squareRows({ inlineSize: 1000, blockSize: 596.8, columns: 10, gap: 8 })).toBe(6);
    expect(squareRows({ inlineSize: 1000, blockSize: 640, columns: 10, gap: 8 })).toBe(6);
    expect(squareRows({ inlineSize: 1000, blockSize: 660, columns: 10, gap: 8 })).toBe(7);
    expect(squareRows({ inlineSize: 1000, blockSize: 10, columns: 10, gap: 8 })).toBe(1);
    expect(() => squareRows({ inlineSize: 0, blockSize: 10, columns: 10, gap: 8 })).toThrow(RangeError);
  });

  test('whole rows need a multiple of the columns, which is not enough', () => {
    const options = { distance: 6, mostSpans: 0, allows: () => true };
    // Seven cells in four columns can’t be whole rows, whatever the order.
    expect(
      closeGaps(
        sample(
          [
            [3, 1],
            [2, 1],
            [2, 1],
          ],
          4,
        ),
        0,
        options,
      ).outcome,
    ).toBe('best');
    // Eight can: the second pair flows back beside the first.
    const eight = sample(
      [
        [2, 1],
        [3, 1],
        [2, 1],
        [1, 1],
      ],
      4,
    );
    expect(closeGaps(eight, 0, options).after.holes).toEqual([]);
    // Twelve are three whole rows, and two tiles of three columns and two rows still do not pack.
    expect(
      closeGaps(
        sample(
          [
            [3, 2],
            [3, 2],
          ],
          4,
        ),
        0,
        options,
      ).outcome,
    ).toBe('best');
  });

  test('a row of a gallery is (W − (k−1)·g) ÷ Σ aspect high; breaks are best over all rows', () => {
    const options = {
      inlineSize: 1000,
      columnGap: 10,
      rowGap: 10,
      targetBlockSize: 245,
      minBlockSize: 0,
      maxBlockSize: 2000,
      lastRow: 'fill-width',
      mostUpscale: 100,
    } as const;
    const { rows } = layoutRows([{ aspect: 1.5 }, { aspect: 1.5 }, { aspect: 1 }], options);
    expect(rows).toHaveLength(1);
    expect(rows[0]?.blockSize).toBeCloseTo((1000 - 2 * 10) / 4);
    // Row by row one would take three and leave one of 1000 px; two and two are even.
    const even = layoutRows(
      Array.from({ length: 4 }, () => ({ aspect: 1 })),
      { ...options, targetBlockSize: 400 },
    );
    expect(even.rows.map(({ count }) => count)).toEqual([2, 2]);
  });

  test('masonry is uneven by (longest − shortest) ÷ mean', () => {
    const sizes = [100, 200, 300];
    const { ends } = placeLanes(
      sizes.map(() => ({ lane: null, span: 1 })),
      (k) => sizes[k] ?? 0,
      { lanes: 3, gap: 10, tolerance: 0 },
    );
    expect([...ends]).toEqual([100, 200, 300]);
    expect(laneImbalance(ends)).toBe(1);
  });

  test('with cover, min(a/s, s/a) of a picture shows, its focal point in it', () => {
    const picture = { inlineSize: 1500, blockSize: 1000 };
    const slot = { inlineSize: 600, blockSize: 200 };
    const centre = { focalPoint: { x: 0.5, y: 0.5 } };
    expect(shownShare(cropIn(picture, slot, centre))).toBeCloseTo(1.5 / 3);
    const low = { focalPoint: { x: 0.5, y: 0.9 }, position: { x: 0.5, y: 0 } };
    expect(isFocusLost(cropIn(picture, slot, low), low.focalPoint)).toBe(true);
    expect(isFocusLost(cropIn(picture, slot, centre), centre.focalPoint)).toBe(false);
  });

  test('sharpness is picture px ÷ (slot px × density); below 1 it looks soft', () => {
    const tile = { focalPoint: { x: 0.5, y: 0.5 } };
    const sharp = (slot: number, density: number) =>
      sharpnessIn(
        { inlineSize: 1600, blockSize: 800 },
        { inlineSize: slot, blockSize: slot / 2 },
        tile,
        density,
      );
    expect([sharp(1600, 1), sharp(800, 2), sharp(2000, 1)]).toEqual([1, 1, 0.8]);
  });

  test('text needs lines × line height and its padding', () => {
    const base = sample([[1, 1]]);
    const tile = cardWith('text', 't1', { heading: '', text: 'snow snow snow snow' });
    // Letters of 8 px: 19 of them are 152 px; 84 px hold two words a line, so two lines of 14·1.45 px.
    expect(blockNeedOf(base, tile, LETTERS, 1280, 84 + 36).words).toBeCloseTo(2 * 14 * 1.45 + 36, 0);
    expect(blockNeedOf(base, tile, LETTERS, 1280, 152 + 36).words).toBeCloseTo(14 * 1.45 + 36, 0);
  });

  test('contrast is the ratio of WCAG, to the picture under its tint', () => {
    expect(contrast('#ffffff', '#000000')).toBe(21);
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
    const behind = ['#c0c0c0', '#f0f0f0'].map((colour) =>
      hexOf(composed({ colour: rgbOf(colour), alpha: 1 }, { colour: [0, 0, 0], alpha: 0.6 }).colour),
    );
    expect(leastContrast('#ffffff', behind)).toBeCloseTo(contrast('#ffffff', behind[1] ?? ''), 6);
    expect(leastContrast('#ffffff', ['#c0c0c0', '#f0f0f0'])).toBeLessThan(2);
  });
});
