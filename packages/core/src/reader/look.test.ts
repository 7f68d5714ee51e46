import { describe, expect, test } from '@jest/globals';
import { addTile, setCollectionLook, setLook } from '../edit/commands/tiles.js';
import { change } from '../edit/patch/change.js';
import { checkDocument } from '../check/checkDocument.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { readCollection } from './readCollection.js';
import { writePage } from '../export/page/writePage.js';
import type { TileLook } from '../document/types.js';

function read(css: string, around = '') {
  const { document, reports } = readCollection(
    `<style>:root { --ink: #123456; --pale: rgb(255 250 240 / 50%) } body { ${around} } .g { display: grid } p { margin: 0; ${css} }</style>
     <div class="g"><p>Hut</p></div>`,
    'Looks',
  );
  if (!document) throw new Error('There is a grid.');
  expect(checkDocument(document).problems).toEqual([]);
  const { padding, radius, ...look } = document.tiles['tile-1']?.look as TileLook;
  expect([padding, radius].filter((each) => typeof each === 'number')).toEqual([]);
  return { look, document, padding, radius, said: reports.map(({ message }) => message) };
}

const withoutIds = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (key, each: unknown) => (key === 'id' ? undefined : each)));

describe('what a page looks like', () => {
  test.each([
    ['background: var(--ink)', '#123456'],
    ['background-color: hsl(120 50% 50%)', '#40bf40'],
    ['background: var(--none, tomato)', '#ff6347'],
    ['background: var(--pale)', { kind: 'plain', colour: '#fffaf0', opacity: 0.5 }],
    ['background: transparent', 'none'],
    ['color: #fff', 'none'],
    [
      'background: linear-gradient(to right, #fff, var(--ink) 40%, #000)',
      {
        kind: 'linear',
        angle: 90,
        stops: [
          { colour: '#ffffff', at: 0 },
          { colour: '#123456', at: 0.4 },
          { colour: '#000000', at: 1 },
        ],
      },
    ],
    [
      'background-image: radial-gradient(circle at 20% 0%, rgb(0 0 0 / 20%), red)',
      {
        kind: 'radial',
        x: 0.2,
        y: 0,
        stops: [
          { colour: '#000000', at: 0, opacity: 0.2 },
          { colour: '#ff0000', at: 1 },
        ],
      },
    ],
    [
      'background: conic-gradient(from 0.25turn, red, lime, blue)',
      {
        kind: 'conic',
        x: 0.5,
        y: 0.5,
        angle: 90,
        stops: [
          { colour: '#ff0000', at: 0 },
          { colour: '#00ff00', at: 0.5 },
          { colour: '#0000ff', at: 1 },
        ],
      },
    ],
  ])('%s', (css, fill) => expect(withoutIds(read(css).look.fill)).toEqual(fill));

  test('words have the colour that they inherit, the collection the background that it lies on', () => {
    const { look, document } = read('', 'color: var(--ink); background: #101418');
    expect([look.textColour, document.look.background]).toEqual(['#123456', '#101418']);
  });

  test('padding and corners that most have are the collection’s; those of one side and corner are apart', () => {
    const even = read('padding: 1.5rem; border-radius: 12px').document.look;
    expect([even.tilePadding, even.radius]).toEqual([24, 12]);
    const { padding, radius } = read('padding: 8px 5%; border-radius: 4px 8px');
    expect(padding).toEqual({ blockStart: 8, inlineEnd: 64, blockEnd: 8, inlineStart: 64 });
    expect(radius).toEqual({ startStart: 4, startEnd: 8, endEnd: 4, endStart: 8 });
  });

  test('shadows, outside and inside', () => {
    const { look } = read('box-shadow: 0 4px 12px rgb(0 0 0 / 20%), inset 0 0 1px 2px red');
    expect(look.outerShadow).toMatchObject([
      { x: 0, y: 4, blur: 12, spread: 0, colour: '#000000', opacity: 0.2 },
    ]);
    expect(look.innerShadow).toMatchObject([
      { x: 0, y: 0, blur: 1, spread: 2, colour: '#ff0000', opacity: 1 },
    ]);
  });

  test('what a tile can’t have is said', () => {
    const { said } = read('background: url(hut.jpg); border-radius: 50%; rotate: 3deg');
    expect(said.join('\n')).toMatch(/image that is left out[\s\S]*share of the tile[\s\S]*rotate/);
  });
});

test('looks of our own pages come back', () => {
  const looks: Partial<TileLook>[] = [
    { fill: { kind: 'plain', colour: '#224466', opacity: 0.4 }, textColour: '#ffffff' },
    {
      fill: {
        kind: 'radial',
        x: 1.2,
        y: -0.1,
        radii: { x: 0.8, y: 1.1 },
        stops: [
          { colour: '#ffeecc', at: 0.1 },
          { colour: '#113355', at: 0.9, opacity: 0.5 },
        ],
      },
    },
    {
      fill: {
        kind: 'conic',
        x: 0.3,
        y: 0.7,
        angle: 40,
        stops: [
          { colour: '#ffeecc', at: 0 },
          { colour: '#113355', at: 1 },
        ],
      },
    },
    { fill: '#336655', padding: 9, radius: { startStart: 1, startEnd: 2, endEnd: 3, endStart: 4 } },
    { fill: 'none', outerShadow: [{ x: 1, y: 2, blur: 3, spread: -1, colour: '#123456', opacity: 0.3 }] },
  ];
  const document = looks.reduce(
    (made, look, k) =>
      change(change(made, addTile('text', `t${k}`)).document, setLook([`t${k}`], look)).document,
    change(emptyDocument('Looks'), setCollectionLook({ background: '#eef1ec' })).document,
  );
  const { files } = writePage(document, LETTERS);
  const back = readCollection(files['index.html'] ?? '', 'Looks', {
    readSheet: (href) => files[href] ?? null,
  }).document;
  expect(back?.look).toMatchObject({ background: '#eef1ec', tilePadding: 18, radius: document.look.radius });
  looks.forEach((look, k) => expect(back?.tiles[back.order[k] ?? '']?.look).toMatchObject(look));
});
