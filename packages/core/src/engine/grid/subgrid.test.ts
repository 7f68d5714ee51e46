import { describe, expect, test } from '@jest/globals';
import { gridPage, layoutHtml } from '../../testing/layoutHtml.js';

const inner = (css: string, tiles: string) =>
  `<div data-tile="s" data-grid style="display: grid; grid-template-columns: subgrid; ${css}">${tiles}</div>`;
const box = (width: number, height = 10) =>
  `<p style="margin: 0; width: ${width}px; height: ${height}px"></p>`;
const three = '<div data-tile="a"></div><div data-tile="b"></div><div data-tile="c"></div>';

describe('a subgrid', () => {
  const outer = '.g { grid-template-columns: 100px 200px 300px; column-gap: 20px }';

  test('lies in the tracks around it', () => {
    const { a, b, c } = layoutHtml(gridPage(outer, inner('grid-column: 1 / -1', three)), 900);
    expect([a, b, c].map((box) => box?.slice(0, 3))).toEqual([
      [0, 0, 100],
      [120, 0, 200],
      [340, 0, 300],
    ]);
  });

  test('takes its padding from the tracks at its edges', () => {
    const laid = layoutHtml(
      gridPage(outer, inner('grid-column: 1 / -1; padding: 0 30px 0 10px', three)),
      900,
    );
    expect([laid.a?.[0], laid.a?.[2], laid.c?.[0], laid.c?.[2]]).toEqual([10, 90, 340, 270]);
  });

  test('a gap of its own is centred on the gutter outside', () => {
    const wide = layoutHtml(gridPage(outer, inner('grid-column: 1 / -1; column-gap: 40px', three)), 900);
    expect([wide.a?.[2], wide.b?.[0], wide.b?.[2], wide.c?.[0]]).toEqual([90, 130, 180, 350]);
    const none = layoutHtml(gridPage(outer, inner('grid-column: 1 / -1; column-gap: 0', three)), 900);
    expect([none.a?.[2], none.b?.[0], none.b?.[2], none.c?.[0]]).toEqual([110, 110, 220, 330]);
  });

  test('counts from the other side when it reads from there', () => {
    const { a, b, c } = layoutHtml(gridPage(outer, inner('grid-column: 1 / -1; direction: rtl', three)), 900);
    expect([a, b, c].map((box) => box?.slice(0, 3))).toEqual([
      [340, 0, 300],
      [120, 0, 200],
      [0, 0, 100],
    ]);
  });

  test('knows the lines outside by name, and its own', () => {
    const css = '.g { grid-template-columns: [edge] 100px [middle] 200px 300px }';
    const tiles = `<div data-tile="a" style="grid-column: middle"></div><div data-tile="b" style="grid-column: own"></div>`;
    const laid = layoutHtml(
      gridPage(css, inner('grid-template-columns: subgrid [] [] [own]; grid-column: 1 / -1', tiles)),
      900,
    );
    expect([laid.a?.[0], laid.b?.[0]]).toEqual([100, 300]);
  });

  test('its tiles make the tracks around it wide enough, its edges included', () => {
    const css = '.g { grid-template-columns: auto auto; justify-content: start }';
    const tiles = `<div data-tile="a">${box(100)}</div><div data-tile="b">${box(50)}</div>`;
    const laid = layoutHtml(gridPage(css, inner('grid-column: 1 / -1; padding: 0 7px', tiles)), 900);
    expect(laid.s?.[2]).toBe(164);
    expect([laid.a?.[2], laid.b?.[2]]).toEqual([100, 50]);
  });

  test('cards share the heights of their parts', () => {
    const card = (id: string, head: number, body: number) =>
      `<div data-grid data-tile="${id}" style="display: grid; grid-row: span 2; grid-template-rows: subgrid; row-gap: 0">
        <div data-tile="${id}1">${box(20, head)}</div><div data-tile="${id}2">${box(20, body)}</div></div>`;
    const css = '.g { grid-template-columns: 1fr 1fr; row-gap: 10px }';
    const laid = layoutHtml(gridPage(css, card('a', 40, 20) + card('b', 10, 90)), 400);
    expect([laid.a1?.[3], laid.b1?.[3]]).toEqual([40, 40]);
    expect([laid.a2?.[1], laid.b2?.[1]]).toEqual([40, 40]);
    expect([laid.a2?.[3], laid.b2?.[3]]).toEqual([90, 90]);
  });

  test('a tile that asks for a line beyond its tracks lies in the last one', () => {
    const tiles = '<div data-tile="a" style="grid-column: 7 / span 3"></div>';
    expect(layoutHtml(gridPage(outer, inner('grid-column: 1 / 3', tiles)), 900).a?.slice(0, 3)).toEqual([
      120, 0, 200,
    ]);
  });
});
