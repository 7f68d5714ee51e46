import { describe, expect, test } from '@jest/globals';
import { readCollection } from './readCollection.js';
import type { Card } from '../document/types.js';

function read(css: string, inside: string, around = (grid: string) => grid) {
  const { document, reports } = readCollection(
    `<style>* { margin: 0; box-sizing: border-box } .g { display: grid } .a { padding: 10px } ${css}</style>${around(`<div class="g"><div class="a">${inside}</div></div>`)}`,
    'Page',
  );
  const [id = ''] = document?.order ?? [];
  const { look } = document?.tiles[id] as Card;
  const { padding = document?.look.tilePadding, gap } = look;
  const said = reports.map(({ message }) => message).filter((message) => message.includes('margin'));
  return { padding, gap, said, arrangement: document?.arrangement };
}

const sides = (blockStart: number, blockEnd: number) => ({
  blockStart,
  inlineEnd: 10,
  blockEnd,
  inlineStart: 10,
});

describe('the air in a card', () => {
  test('margins of a block collapse: the larger one is between, those at the edges are padding', () => {
    const { padding, gap, said } = read(
      'h2 { margin: 20px 0 } p { margin: 12px 0 }',
      '<h2>Hut</h2><p>Open.</p>',
    );
    expect([padding, gap, said]).toEqual([sides(30, 22), 20, []]);
  });

  test('those in a flex box and a grid add up, with its gap', () => {
    const css = 'h2 { margin: 4px 0 6px } p { margin: 3px 0 }';
    for (const display of ['flex; flex-direction: column', 'grid'])
      expect(read(`.a { display: ${display}; gap: 5px } ${css}`, '<h2>Hut</h2><p>Open.</p>')).toMatchObject({
        padding: sides(14, 13),
        gap: 14,
      });
  });

  test('what only holds others is looked into, its padding kept', () => {
    const css = '.in { padding: 7px 0 } h2 { margin-bottom: 8px }';
    expect(read(css, '<div class="in"><h2>Hut</h2><a href="#a">Stay</a></div>')).toMatchObject({
      padding: sides(17, 17),
      gap: 8,
    });
    // Without padding its margins and those in it are one.
    expect(
      read('.in { margin: 9px 0 } p { margin: 4px 0 }', '<div class="in"><p>Open.</p></div>'),
    ).toMatchObject({
      padding: sides(19, 19),
    });
  });

  test('paragraphs of one text are no parts; what differs is said', () => {
    const three = '<h2>Hut</h2><p>Open.</p><p>Closed.</p><hr><h3>Path</h3>';
    const { gap, said } = read('h2 { margin-bottom: 8px } p, hr { margin-bottom: 16px }', three);
    expect(gap).toBe(16);
    expect(said).toEqual(['“margin” of <div> differs between its parts; all are 16 px apart now.']);
  });

  test('what stands beside each other has none of it', () => {
    expect(read('.a { display: flex } p { margin: 9px }', '<p>1</p><p>2</p>')).toMatchObject({ padding: 10 });
  });
});

describe('how far a grid is from the edges of its page', () => {
  test('paddings, borders and margins of what it lies in are its padding', () => {
    const { arrangement } = read(
      'main { margin: 5px 20px; border: 1px solid red; padding: 0 24px } .g { padding: 8px }',
      '1',
      (grid) => `<body><main>${grid}</main></body>`,
    );
    expect(arrangement?.padding).toEqual({ blockStart: 14, inlineEnd: 53, blockEnd: 14, inlineStart: 53 });
    expect(arrangement?.maxInlineSize).toBeNull();
  });

  test('the maximum of what it lies in is its own, with what is outside of that', () => {
    const { arrangement } = read(
      'body { padding: 0 10px } main { max-width: 900px; margin: 0 auto; padding: 0 24px }',
      '1',
      (grid) => `<body><main>${grid}</main></body>`,
    );
    expect(arrangement).toMatchObject({ maxInlineSize: 920, padding: { inlineStart: 34, inlineEnd: 34 } });
    expect(
      read('.g { max-width: 800px; box-sizing: content-box; padding: 0 6px }', '1').arrangement,
    ).toMatchObject({
      maxInlineSize: 812,
      padding: { inlineStart: 6 },
    });
  });

  test('a fragment is not away from them by what a browser puts around it', () => {
    const { document } = readCollection(
      '<style>.g { display: grid }</style><div class="g"><b>1</b></div>',
      'Page',
    );
    expect(document?.arrangement.padding).toEqual({
      blockStart: 0,
      inlineEnd: 0,
      blockEnd: 0,
      inlineStart: 0,
    });
  });
});
