import { describe, expect, test } from '@jest/globals';
import { gridPage, layoutHtml, letters } from '../../testing/layoutHtml.js';

/** The columns of a grid, read off tiles that fill one cell each; what is in the first is given. */
function columns(list: string, width: number, count: number, css = '', first = ''): number[] {
  const tiles = `<div data-tile="a">${first}</div>${letters(count).replace('<div data-tile="a"></div>', '')}`;
  const laid = layoutHtml(gridPage(`.g { grid-template-columns: ${list}; ${css} }`, tiles), width);
  return Object.values(laid).map(([, , inlineSize]) => Math.round(inlineSize * 100) / 100);
}

describe('columns by themselves', () => {
  test.each<[string, number, number[]]>([
    ['100px 1fr 2fr', 700, [100, 200, 400]],
    ['25% 1fr', 800, [200, 600]],
    ['calc(25% - 20px) 1fr', 800, [180, 620]],
    ['clamp(100px, 50%, 300px) 1fr', 800, [300, 500]],
    ['clamp(100px, 50%, 300px) 1fr', 400, [200, 200]],
    ['clamp(100px, 50%, 300px) 1fr', 160, [100, 60]],
    // Factors that add up to less than one leave the rest free (CSS Grid 2, section 12.7.1).
    ['0.3fr 0.2fr', 500, [150, 100]],
    // A share less than the minimum is set aside, and the others share what it leaves.
    ['minmax(300px, 1fr) 1fr', 500, [300, 200]],
    ['minmax(400px, 1fr) minmax(300px, 1fr)', 500, [400, 300]],
    // Up to their maximums first, in equal parts, the narrowest filled before the rest.
    ['minmax(50px, 100px) 1fr', 300, [100, 200]],
    ['minmax(50px, 300px) minmax(50px, 300px) minmax(50px, 200px)', 611, [205.5, 205.5, 200]],
    ['repeat(2, minmax(10px, 40px) minmax(50px, 300px))', 400, [40, 160, 40, 160]],
    // A minimum beyond its maximum is the size.
    ['minmax(200px, 100px) 1fr', 500, [200, 300]],
    ['auto auto', 500, [250, 250]],
    ['auto 100px auto', 500, [200, 100, 200]],
  ])('%s in %d px', (list, width, sizes) => expect(columns(list, width, sizes.length)).toEqual(sizes));

  test('as many as fit: empty ones stay with auto-fill and go with auto-fit', () => {
    const list = (kind: string) => `repeat(${kind}, minmax(150px, 1fr))`;
    expect(columns(list('auto-fill'), 520, 2, 'column-gap: 20px')).toEqual([160, 160]);
    expect(columns(list('auto-fit'), 520, 2, 'column-gap: 20px')).toEqual([250, 250]);
    // One px less, and only two fit.
    expect(columns(list('auto-fill'), 489, 2, 'column-gap: 20px')).toEqual([234.5, 234.5]);
    expect(columns(list('auto-fill'), 490, 2, 'column-gap: 20px')).toEqual([150, 150]);
  });

  test('at most four columns, each at least 200', () => {
    const list = 'repeat(auto-fill, minmax(max(200px, (100% - 3 * 20px) / 4), 1fr))';
    expect(columns(list, 1460, 4, 'column-gap: 20px')).toEqual([350, 350, 350, 350]);
    expect(columns(list, 640, 3, 'column-gap: 20px')).toEqual([200, 200, 200]);
    expect(columns(list, 639, 2, 'column-gap: 20px')).toEqual([309.5, 309.5]);
  });
});

describe('columns by their content', () => {
  const box = (width: number) => `<p style="margin: 0; width: ${width}px; height: 10px"></p>`;

  test.each<[string, string, number[]]>([
    ['min-content 1fr', 'one three', [40, 460]],
    ['max-content 1fr', 'one three', [72, 428]],
    ['fit-content(60px) 1fr', 'one three', [60, 440]],
    ['fit-content(30px) 1fr', 'one three', [40, 460]],
    ['minmax(min-content, 50px) 1fr', 'one three', [50, 450]],
    ['minmax(auto, 20px) 1fr', 'one three', [20, 480]],
    ['auto 300px', 'one three', [200, 300]],
    ['1fr 1fr', box(400), [400, 100]],
    ['minmax(0, 1fr) 1fr', box(400), [250, 250]],
  ])('%s around %s', (list, first, sizes) =>
    expect(columns(list, 500, sizes.length, '', first)).toEqual(sizes),
  );

  const spanning = (list: string, css: string) => {
    const tiles = `<div data-tile="wide" style="grid-column: 1 / 3">${box(300)}</div>${letters(2)}`;
    const laid = layoutHtml(
      gridPage(`.g { grid-template-columns: ${list}; justify-content: start; ${css} }`, tiles),
      900,
    );
    return [laid.a?.[2], laid.b?.[2]];
  };

  test('what spans two of them asks both in equal parts, less the gap', () => {
    expect(spanning('auto auto', 'column-gap: 20px')).toEqual([140, 140]);
    expect(spanning('100px auto', 'column-gap: 20px')).toEqual([100, 180]);
    // Not even fit-content() makes a column smaller than its part of what can't shrink.
    expect(spanning('fit-content(50px) auto', '')).toEqual([150, 150]);
    expect(spanning('200px 100px', '')).toEqual([200, 100]);
  });

  test('a grid as wide as its content gives shares what their content needs', () => {
    const css = '.g { grid-template-columns: 1fr 2fr; width: max-content }';
    const { a, b } = layoutHtml(
      gridPage(css, `<div data-tile="a">${box(100)}</div><div data-tile="b"></div>`),
      900,
    );
    expect([a?.[2], b?.[2]]).toEqual([100, 200]);
  });
});

describe('the space that is left', () => {
  const starts = (css: string) => {
    const page = gridPage(`.g { grid-template-columns: 100px 100px; width: 500px; ${css} }`, letters(2));
    const { a, b } = layoutHtml(page, 900);
    return [a?.[0], b?.[0]];
  };

  test.each<[string, number[]]>([
    ['start', [0, 100]],
    ['end', [300, 400]],
    ['center', [150, 250]],
    ['space-between', [0, 400]],
    ['space-around', [75, 325]],
    ['space-evenly', [100, 300]],
    ['normal', [0, 100]],
  ])('justify-content: %s', (value, expected) =>
    expect(starts(`justify-content: ${value}`)).toEqual(expected),
  );

  test('none left: what would stick out at the start stays at it only where safe', () => {
    expect(starts('width: 150px; justify-content: center')).toEqual([-25, 75]);
    expect(starts('width: 150px; justify-content: safe center')).toEqual([0, 100]);
    expect(starts('width: 150px; justify-content: space-between')).toEqual([0, 100]);
  });

  test('rows have a height to share only when the grid does', () => {
    const rows = (css: string) => {
      const { a, b } = layoutHtml(gridPage(`.g { grid-template-rows: 1fr 3fr; ${css} }`, letters(2)), 300);
      return [a?.[3], b?.[3]];
    };
    expect(rows('height: 400px')).toEqual([100, 300]);
    expect(rows('min-height: 200px')).toEqual([50, 150]);
    expect(rows('')).toEqual([0, 0]);
  });
});
