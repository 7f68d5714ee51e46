import { describe, expect, test } from '@jest/globals';
import { gridPage, layoutHtml } from '../../testing/layoutHtml.js';

const tile = (id: string, css: string, inside = '') =>
  `<div data-tile="${id}" style="${css}">${inside}</div>`;
const one = (css: string, inside = '', around = '') =>
  layoutHtml(gridPage(`.g { grid-template: 200px / 400px; ${around} }`, tile('a', css, inside)), 900).a;

describe('a tile in its cell', () => {
  test.each<[string, number[]]>([
    ['', [0, 0, 400, 200]],
    ['width: 100px; height: 50px', [0, 0, 100, 50]],
    ['width: 100px; height: 50px; justify-self: end; align-self: end', [300, 150, 100, 50]],
    ['width: 100px; height: 50px; place-self: center', [150, 75, 100, 50]],
    ['width: 50%; height: 25%', [0, 0, 200, 50]],
    ['width: 100px; height: 50px; margin: auto', [150, 75, 100, 50]],
    ['width: 100px; margin-left: auto', [300, 0, 100, 200]],
    ['margin: 10px 20px', [20, 10, 360, 180]],
    ['max-width: 120px; max-height: 60px', [0, 0, 120, 60]],
    ['min-width: 500px', [0, 0, 500, 200]],
    ['width: 100px; padding: 10px; border: 5px solid', [0, 0, 130, 200]],
    ['width: 100px; padding: 10px; border: 5px solid; box-sizing: border-box', [0, 0, 100, 200]],
    ['width: 600px; justify-self: center', [-100, 0, 600, 200]],
    ['width: 600px; justify-self: safe center', [0, 0, 600, 200]],
    ['position: relative; left: 5px; top: -3px', [5, -3, 400, 200]],
  ])('%s', (css, expected) => expect(one(css)).toEqual(expected));

  test('reading from the right mirrors it', () => {
    expect(one('width: 100px', '', 'direction: rtl; width: 400px')?.[0]).toBe(300);
    expect(one('width: 100px; justify-self: end', '', 'direction: rtl; width: 400px')?.[0]).toBe(0);
  });
});

describe('an aspect ratio', () => {
  test.each<[string, number[]]>([
    ['aspect-ratio: 2', [0, 0, 400, 200]],
    ['aspect-ratio: 4', [0, 0, 400, 100]],
    ['aspect-ratio: 1; width: 120px', [0, 0, 120, 120]],
    ['aspect-ratio: 2; height: 60px', [0, 0, 120, 60]],
    ['aspect-ratio: 1; align-self: stretch', [0, 0, 200, 200]],
    ['aspect-ratio: 1; align-self: start', [0, 0, 400, 400]],
    ['aspect-ratio: 1; width: 100px; min-height: 130px', [0, 0, 100, 130]],
  ])('%s', (css, expected) => {
    const [x, y, inlineSize, blockSize] = one(css) ?? [];
    expect([x, y, inlineSize, blockSize]).toEqual(expected);
  });

  test('still makes room for what is in it, unless it hides that', () => {
    const tall = '<p style="margin: 0; height: 150px"></p>';
    expect(one('aspect-ratio: 2; width: 100px', tall)?.[3]).toBe(150);
    expect(one('aspect-ratio: 2; width: 100px; overflow: hidden', tall)?.[3]).toBe(50);
  });

  test('a column takes its width from a row of a fixed greatest height', () => {
    const page = gridPage(
      '.g { grid-auto-rows: minmax(20px, 90px) }',
      tile('a', 'aspect-ratio: 2; min-width: min-content'),
    );
    expect(layoutHtml(page, 100).a).toEqual([0, 0, 180, 90]);
  });
});

describe('a badge', () => {
  const grid =
    'grid-template-columns: 100px 200px; grid-template-rows: 50px 60px; gap: 10px; position: relative; padding: 5px';
  const badge = (css: string, more = '') =>
    layoutHtml(
      gridPage(`.g { ${grid}; ${more} }`, tile('a', `position: absolute; width: 20px; height: 10px; ${css}`)),
      400,
    ).a;

  test.each<[string, number[]]>([
    ['', [0, 0, 20, 10]],
    ['right: 0; bottom: 0', [380, 120, 20, 10]],
    ['grid-area: 2 / 2 / 3 / 3; top: 3px; right: 4px', [291, 68, 20, 10]],
    // A line that is not said is the edge of the grid.
    ['grid-area: 2 / 2; top: 3px; right: 4px', [376, 68, 20, 10]],
    ['grid-column: 2 / 3; justify-self: center', [205, 0, 20, 10]],
    ['grid-column: 1 / 2; left: -8px; top: -8px', [-3, -8, 20, 10]],
    ['inset: 0; width: auto; height: auto', [0, 0, 400, 130]],
    ['inset: 10px; width: auto; height: auto; grid-area: 1 / 1 / 2 / 2', [15, 15, 80, 30]],
    ['left: 50%', [200, 0, 20, 10]],
  ])('%s', (css, expected) => expect(badge(css)).toEqual(expected));

  test('in an area that ends before it starts lies at the start', () => {
    const css = 'grid-template-columns: 500px; direction: rtl';
    expect(badge('grid-column: 2; width: 0', `${css}; padding: 0`)?.[0]).toBe(-100);
  });
});

describe('a flex box', () => {
  const flex = (css: string, ...items: string[]) => {
    const inside = items
      .map((item, k) => tile(String.fromCharCode(97 + k), `height: 10px; ${item}`))
      .join('');
    const laid = layoutHtml(gridPage('', `<div style="display: flex; ${css}">${inside}</div>`), 300);
    return items.map((_, k) => laid[String.fromCharCode(97 + k)]?.slice(0, 3));
  };

  test('grows by factors, and shrinks by what there is to take', () => {
    expect(flex('', 'flex: 1', 'flex: 2')).toEqual([
      [0, 0, 100],
      [100, 0, 200],
    ]);
    expect(flex('gap: 20px', 'flex: 0 1 300px', 'flex: 0 1 100px').map((box) => box?.[2])).toEqual([210, 70]);
    // Factors that add up to less than one take only that part.
    expect(flex('', 'flex: 0.2 0 0px')).toEqual([[0, 0, 60]]);
  });

  test('wraps when the next one does not fit', () => {
    expect(flex('flex-wrap: wrap; gap: 5px', 'width: 200px', 'width: 100px', 'width: 150px')).toEqual([
      [0, 0, 200],
      [0, 15, 100],
      [105, 15, 150],
    ]);
  });

  test('auto margins take what is left, and nothing when nothing is', () => {
    expect(flex('', 'width: 50px', 'width: 50px; margin-left: auto')[1]).toEqual([250, 0, 50]);
    expect(
      flex('overflow: hidden; justify-content: end', 'width: 350px; flex: none; margin: 0 auto')[0],
    ).toEqual([-50, 0, 350]);
  });

  test('asks for the widest of what wraps at least, and for all in a line at most', () => {
    const css = '.g { grid-template-columns: LIST; justify-content: start }';
    const inside =
      '<div data-tile="a" style="display: flex; flex-wrap: wrap"><p style="flex: 0 0 90px"></p><p style="width: 40px"></p></div>';
    expect(layoutHtml(gridPage(css.replace('LIST', 'min-content'), inside), 300).a?.[2]).toBe(40);
    expect(layoutHtml(gridPage(css.replace('LIST', 'max-content'), inside), 300).a?.[2]).toBe(130);
  });
});

describe('blocks one below the other', () => {
  test('margins that meet are as one', () => {
    const css = 'grid-template-columns: 100px';
    const inside = `<div data-tile="b" style="height: 10px; margin: 8px 0 20px"></div><div data-tile="c" style="height: 10px; margin: 12px 0 -4px"></div>`;
    const laid = layoutHtml(gridPage(`.g { ${css} }`, tile('a', '', `<div>${inside}</div>`)), 300);
    expect([laid.b?.[1], laid.c?.[1], laid.a?.[3]]).toEqual([8, 38, 44]);
  });
});
