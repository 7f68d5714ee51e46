import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { gridPage, layoutHtml } from '../../testing/layoutHtml.js';

const lanes = (css: string, tiles: readonly string[], width = 900) =>
  layoutHtml(
    gridPage(
      `.g { display: grid-lanes; ${css} }`,
      tiles.map((own, k) => `<div data-tile="${String.fromCharCode(97 + k)}" style="${own}"></div>`).join(''),
    ),
    width,
  );
const high = (...sizes: readonly number[]) => sizes.map((size) => `height: ${size}px`);

describe('a box of lanes', () => {
  test('puts each item into the lane that ends first', () => {
    expect(
      lanes(
        'grid-template-columns: repeat(3, 100px); gap: 10px; flow-tolerance: 0px',
        high(50, 90, 70, 20, 30),
      ),
    ).toEqual({
      a: [0, 0, 100, 50],
      b: [110, 0, 100, 90],
      c: [220, 0, 100, 70],
      d: [0, 60, 100, 20],
      e: [220, 80, 100, 30],
    });
  });

  test('is as high as its longest lane', () => {
    const page = `<!doctype html><style>body { margin: 0 } .o { display: grid } .g { display: grid-lanes; grid-template-columns: 50px 50px }</style>
      <div class="o" data-grid><div class="g" data-tile="box"><p style="height: 40px; margin: 0"></p><p style="height: 70px; margin: 0"></p></div></div>`;
    expect(layoutHtml(page, 300).box?.[3]).toBe(70);
  });

  test('lets an item over several lanes begin where the longest of them ends', () => {
    const { c } = lanes('grid-template-columns: repeat(2, 100px); gap: 10px', [
      ...high(40, 80),
      'height: 30px; grid-column: span 2',
    ]);
    expect(c).toEqual([0, 90, 210, 30]);
  });

  test('holds an item at the lane that it names', () => {
    const { a, b } = lanes('grid-template-columns: repeat(3, 100px)', [
      'height: 20px; grid-column: 3',
      'height: 20px; grid-column: -3',
    ]);
    expect([a?.[0], b?.[0]]).toEqual([200, 100]);
  });

  test('has as many lanes as fit', () => {
    const css = 'grid-template-columns: repeat(auto-fill, minmax(120px, 1fr)); gap: 20px';
    expect(lanes(css, high(10, 10, 10, 10), 400).a?.[2]).toBeCloseTo((400 - 2 * 20) / 3);
    expect(lanes(css, high(10, 10, 10, 10), 250).a?.[2]).toBe(250);
  });

  test('runs along rows where only rows are given', () => {
    const wide = (...sizes: readonly number[]) => sizes.map((size) => `width: ${size}px`);
    expect(lanes('grid-template-rows: 40px 60px; gap: 10px', wide(100, 80, 50))).toEqual({
      a: [0, 0, 100, 40],
      b: [0, 50, 80, 60],
      c: [90, 50, 50, 60],
    });
  });

  test('no item lies over another, and none begins before the one before it in its lane', () => {
    const item = fc.record({ size: fc.integer({ min: 1, max: 200 }), span: fc.integer({ min: 1, max: 3 }) });
    fc.assert(
      fc.property(
        fc.array(item, { minLength: 1, maxLength: 20 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 0, max: 20 }),
        (items, count, gap) => {
          const laid = Object.values(
            lanes(
              `grid-template-columns: repeat(${count}, 60px); gap: ${gap}px`,
              items.map(({ size, span }) => `height: ${size}px; grid-column: span ${Math.min(span, count)}`),
            ),
          );
          const ends = Array.from({ length: count }, () => 0);
          for (const [k, [x, y, inlineSize, blockSize]] of laid.entries()) {
            const first = Math.round(x / (60 + gap));
            const span = Math.round((inlineSize + gap) / (60 + gap));
            expect(span).toBe(Math.min((items[k] as { span: number }).span, count));
            const before = Math.max(...ends.slice(first, first + span));
            expect(y).toBeCloseTo(before);
            ends.fill(y + blockSize + gap, first, first + span);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
