import { describe, expect, test } from '@jest/globals';
import { checkDocument } from '../check/checkDocument.js';
import { readCollection } from './readCollection.js';

function read(css: string, tiles: string) {
  const { document, reports } = readCollection(
    `<style>.g { display: grid } h2, p { margin: 0 } ${css}</style><div class="g">${tiles}</div>`,
    'Type',
  );
  if (!document) throw new Error('There is a grid.');
  expect(checkDocument(document).problems).toEqual([]);
  const [first, second] = document.order.map((id) => document.tiles[id]?.look);
  return { first, second, look: document.look, said: reports.map(({ message }) => message).join('\n') };
}

const CARD = '<div class="a"><h2>Hut</h2><p>Open all winter.</p></div>';

describe('type of a page', () => {
  test('what most tiles have is the collection’s; what is other is the tile’s', () => {
    const { look, first, second } = read(
      `body { font: 15px/1.45 Figtree } h2 { font: 650 24px/1.15 "Bitter"; letter-spacing: -0.012em }
       .b h2 { font-size: 2.5rem; font-weight: 800; line-height: 1.3; letter-spacing: 0.1em } .b p { font-size: 18px }`,
      `${CARD}${CARD}<div class="b"><h2>Hut</h2><p>Open.</p></div>`,
    );
    expect(look).toMatchObject({
      headingFamily: 'Bitter',
      headingSize: 24,
      bodyFamily: 'Figtree',
      bodySize: 15,
    });
    const set = (of: object | undefined) =>
      Object.keys(of ?? {}).filter((key) => /^(heading|body)/.test(key));
    expect([set(first), set(second)]).toEqual([[], []]);
    const third = read(
      `body { font: 15px/1.45 Figtree } h2 { font: 650 24px/1.15 "Bitter"; letter-spacing: -0.012em }
       .b h2 { font-size: 2.5rem; font-weight: 800; line-height: 1.3; letter-spacing: 0.1em }`,
      `<div class="b"><h2>Hut</h2><p>Open.</p></div>${CARD}${CARD}`,
    ).first;
    expect(third).toMatchObject({
      headingSize: 40,
      headingWeight: 800,
      headingLineHeight: 1.3,
      headingLetterSpacing: 0.1,
    });
  });

  test('sizes that grow with the page, by their ends', () =>
    expect(read('h2 { font-size: clamp(25px, 18px + 1.9444cqi, 46px) }', CARD).look.headingSize).toEqual({
      from: 25,
      to: 46,
      fromWidth: 360,
      toWidth: 1440,
    }));

  test('a size that grows otherwise is what it comes to', () =>
    expect(read('h2 { font-size: calc(1rem + 1vw) }', CARD).look.headingSize).toBe(28.8));

  test.each([
    ['"Nobody Has This", Georgia, serif', 'System serif', true],
    ['ui-monospace, monospace', 'System mono', false],
    ['sans-serif', 'System sans', false],
    ['figtree', 'Figtree', false],
  ])('%s is set in %s', (family, used, isSaid) => {
    const { look, said } = read(`.a { font-family: ${family} }`, CARD);
    expect(look.bodyFamily).toBe(used);
    expect(said.includes('is not here')).toBe(isSaid);
  });
});

describe('how contents stand', () => {
  test.each([
    ['', { spread: 'start', gap: 0 }],
    ['display: flex; flex-direction: column; justify-content: flex-end', { spread: 'end', gap: 0 }],
    [
      'display: flex; flex-direction: column; justify-content: space-between; align-items: center; gap: 12px',
      { spread: 'between', align: 'center', gap: 12 },
    ],
    ['display: flex; justify-content: center', { spread: 'center', direction: 'row' }],
    ['display: grid; align-content: end; justify-items: end', { spread: 'end', align: 'end', gap: 0 }],
    ['text-align: center', { spread: 'start', align: 'center', gap: 0 }],
  ])('%s', (css, look) => {
    const { first } = read(`.a { ${css} }`, CARD);
    const { spread, align, direction, gap } = first ?? {};
    expect(JSON.parse(JSON.stringify({ spread, align, direction, gap }))).toEqual(look);
  });

  test.each([
    ['border: 2px solid #ff8800', { width: 2, paint: '#ff8800' }],
    [
      'border: solid 1px rgb(0 0 0 / 10%)',
      { width: 1, paint: { kind: 'plain', colour: '#000000', opacity: 0.1 } },
    ],
    ['color: #123456; border: 3px dashed', { width: 3, paint: '#123456' }],
    [
      'border-bottom: 4px solid red',
      { width: { blockStart: 0, inlineEnd: 0, blockEnd: 4, inlineStart: 0 }, paint: '#ff0000' },
    ],
    ['border: 2px solid; border-color: blue', { width: 2, paint: '#0000ff' }],
    ['border: 2px none red', undefined],
    ['border: 0', undefined],
    ['border: 2px solid transparent', undefined],
    [
      'border: 2px solid transparent; background: linear-gradient(#111111, #111111) padding-box, linear-gradient(90deg, #ff0000, #0000ff) border-box',
      {
        width: 2,
        paint: { kind: 'linear', angle: 90, stops: [{ colour: '#ff0000' }, { colour: '#0000ff' }] },
      },
    ],
  ])('%s', (css, border) => {
    const { first } = read(`.a { ${css} }`, CARD);
    if (border) expect(first?.border).toMatchObject(border);
    else expect(first?.border).toBeUndefined();
  });

  test.each([
    ['border: 2px solid red; border-left-color: blue', /several colours/],
    ['border: 2px dashed red', /is dashed; it is solid now/],
  ])('of %s it is said what is lost', (css, message) =>
    expect(read(`.a { ${css} }`, CARD).said).toMatch(message),
  );

  test('what a tile is anyway is not said; what it can’t be is', () => {
    const { said } = read(
      '.a { min-width: 0; overflow: hidden; text-decoration: none; min-height: 320px }',
      CARD,
    );
    expect(said).toBe('“min-height” is not imported.');
  });
});
