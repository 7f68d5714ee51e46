import { describe, expect, test } from '@jest/globals';
import { gridPage, layoutHtml } from '../../testing/layoutHtml.js';

const tile = (id: string, css: string, inside = '') =>
  `<div data-tile="${id}" style="${css}">${inside}</div>`;
/** A flexible box 500 px wide. */
const flex = (css: string, ...tiles: readonly (readonly [css: string, inside?: string])[]) =>
  layoutHtml(
    gridPage(
      `.g { display: flex; width: 500px; ${css} }`,
      tiles.map(([own, inside], k) => tile(String.fromCharCode(97 + k), own, inside)).join(''),
    ),
    900,
  );
const along = (css: string, ...tiles: readonly (readonly [css: string, inside?: string])[]) =>
  Object.values(flex(css, ...tiles)).map(([x, , inlineSize]) => [
    Math.round(x * 100) / 100,
    Math.round(inlineSize * 100) / 100,
  ]);
const across = (css: string, ...tiles: readonly (readonly [css: string, inside?: string])[]) =>
  Object.values(flex(css, ...tiles)).map(([, y, , blockSize]) => [y, blockSize]);

describe('how flexible lengths are resolved (Flexbox 1, section 9.7)', () => {
  test.each<[string, string[], number[][]]>([
    [
      'by their own width where nothing flexes',
      ['width: 100px', 'width: 60px'],
      [
        [0, 100],
        [100, 60],
      ],
    ],
    [
      'free space by growth',
      ['flex: 1', 'flex: 3'],
      [
        [0, 125],
        [125, 375],
      ],
    ],
    [
      'growth on top of a basis',
      ['flex: 1 1 100px', 'flex: 1 1 200px'],
      [
        [0, 200],
        [200, 300],
      ],
    ],
    [
      'growth factors below 1 take only their part',
      ['flex: 0.25 1 100px', 'flex: 0.25 1 100px'],
      [
        [0, 175],
        [175, 175],
      ],
    ],
    [
      'shrinking weighed by the basis',
      ['flex: 0 1 400px', 'flex: 0 1 300px'],
      [
        [0, 285.71],
        [285.71, 214.29],
      ],
    ],
    [
      'no shrinking at 0',
      ['flex: 0 0 400px', 'flex: 0 1 300px'],
      [
        [0, 400],
        [400, 100],
      ],
    ],
    [
      'frozen at a least width',
      ['flex: 0 1 400px; min-width: 350px', 'flex: 0 1 300px'],
      [
        [0, 350],
        [350, 150],
      ],
    ],
    [
      'frozen at a greatest width',
      ['flex: 1; max-width: 100px', 'flex: 1'],
      [
        [0, 100],
        [100, 400],
      ],
    ],
    [
      'percentages of the box',
      ['flex: 0 0 25%', 'flex: 1'],
      [
        [0, 125],
        [125, 375],
      ],
    ],
    [
      'padding counts in a border box',
      ['flex: 0 0 100px; padding: 0 20px; box-sizing: border-box', 'flex: 1'],
      [
        [0, 100],
        [100, 400],
      ],
    ],
    [
      'padding comes on top of a content box',
      ['flex: 0 0 100px; padding: 0 20px', 'flex: 1'],
      [
        [0, 140],
        [140, 360],
      ],
    ],
  ])('%s', (_, tiles, expected) =>
    expect(along('', ...tiles.map((css) => [css] as const))).toEqual(expected),
  );

  test('no item is narrower than its longest word, unless it says so', () => {
    const word = 'a'.repeat(40);
    expect(along('', ['flex: 1 1 0', word], ['flex: 1 1 0'])).toEqual([
      [0, 320],
      [320, 180],
    ]);
    expect(along('', ['flex: 1 1 0; min-width: 0', word], ['flex: 1 1 0'])).toEqual([
      [0, 250],
      [250, 250],
    ]);
  });
});

describe('where items lie along', () => {
  const two = [['width: 100px'], ['width: 50px']] as const;
  test.each<[string, number[]]>([
    ['', [0, 100]],
    ['gap: 30px', [0, 130]],
    ['justify-content: end', [350, 450]],
    ['justify-content: center', [175, 275]],
    ['justify-content: space-between', [0, 450]],
    ['justify-content: space-around', [87.5, 362.5]],
    ['justify-content: space-evenly', [116.67, 333.33]],
    ['justify-content: center; gap: 50px', [150, 300]],
  ])('%s', (css, expected) => expect(along(css, ...two).map(([x]) => x)).toEqual(expected));

  test('margins that are auto take the free space before anything is aligned', () => {
    expect(along('justify-content: center', ['width: 100px'], ['width: 50px; margin-left: auto'])).toEqual([
      [0, 100],
      [450, 50],
    ]);
  });

  test('order goes before the source', () => {
    const { a, b } = flex('', ['width: 100px; order: 1'], ['width: 50px']);
    expect([a?.[0], b?.[0]]).toEqual([50, 0]);
  });

  test('what is too much flows over the end, or both ends, and never over the start where that is safe', () => {
    const wide = [['flex: 0 0 600px']] as const;
    expect(along('justify-content: center', ...wide)).toEqual([[-50, 600]]);
    expect(along('justify-content: safe center', ...wide)).toEqual([[0, 600]]);
  });
});

describe('where items lie across', () => {
  test.each<[string, string, number[]]>([
    ['', 'width: 10px', [0, 120]],
    ['', 'width: 10px; height: 40px', [0, 40]],
    ['align-items: center', 'width: 10px; height: 40px', [40, 40]],
    ['align-items: end', 'width: 10px; height: 40px', [80, 40]],
    ['align-items: start', 'width: 10px', [0, 0]],
    ['align-items: start', 'width: 10px; align-self: stretch', [0, 120]],
    ['align-items: end', 'width: 10px; height: 40px; margin: auto', [40, 40]],
  ])('%s with %s', (css, own, expected) =>
    expect(across(`height: 120px; ${css}`, [own])).toEqual([expected]),
  );
});

describe('in several lines', () => {
  const three = [
    ['width: 200px; height: 40px'],
    ['width: 200px; height: 60px'],
    ['width: 200px; height: 30px'],
  ] as const;

  test('an item that no longer fits begins one, as high as its highest', () => {
    const { a, b, c } = flex('flex-wrap: wrap; gap: 10px', ...three);
    expect([a, b, c]).toEqual([
      [0, 0, 200, 40],
      [210, 0, 200, 60],
      [0, 70, 200, 30],
    ]);
  });

  test('lines share the height of the box, or stay together', () => {
    expect(across('flex-wrap: wrap; height: 190px', ...three).map(([y]) => y)).toEqual([0, 0, 110]);
    expect(
      across('flex-wrap: wrap; height: 190px; align-content: flex-start', ...three).map(([y]) => y),
    ).toEqual([0, 0, 60]);
    expect(across('flex-wrap: wrap; height: 190px; align-content: end', ...three).map(([y]) => y)).toEqual([
      100, 100, 160,
    ]);
  });

  test('each line flexes by itself', () => {
    const grow = ['flex: 1 1 200px'] as const;
    expect(along('flex-wrap: wrap', grow, grow, grow)).toEqual([
      [0, 250],
      [250, 250],
      [0, 500],
    ]);
  });
});

describe('down a column', () => {
  test('items are as wide as it and as high as they are', () => {
    const { a, b } = flex(
      'flex-direction: column; gap: 10px',
      ['height: 40px'],
      ['height: 50px; width: 80px'],
    );
    expect([a, b]).toEqual([
      [0, 0, 500, 40],
      [0, 50, 80, 50],
    ]);
  });

  test('they grow where the column has a height, and shrink no further than their content', () => {
    expect(across('flex-direction: column; height: 300px', ['flex: 1'], ['flex: 2'])).toEqual([
      [0, 100],
      [100, 200],
    ]);
    const high = '<p style="margin: 0; height: 90px"></p>';
    expect(
      across('flex-direction: column; height: 100px', ['flex: 1 1 90px', high], ['flex: 0 1 60px']),
    ).toEqual([
      [0, 90],
      [90, 10],
    ]);
  });
});
