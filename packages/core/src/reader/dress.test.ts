import { expect, test } from '@jest/globals';
import { readCollection } from './readCollection.js';

const said = (css: string, inside: string) =>
  readCollection(
    `<style>.g { display: grid } ${css}</style><div class="g"><article>${inside}</article></div>`,
    'Page',
  )
    .reports.map(({ message }) => message)
    .filter((message) => message.includes('whole tiles'));

test.each([
  ['background: #123', 'background'],
  ['background-color: rgb(0 0 0 / 20%)', 'background'],
  ['background: linear-gradient(red, blue)', 'background'],
  ['border: 1px solid red', 'border'],
  ['border-left: 3px solid', 'border'],
  ['box-shadow: 0 1px 2px red', 'box-shadow'],
])('%s inside of a tile is said to be left out', (css, property) => {
  expect(said(`.in { ${css} }`, '<p>Hut <a class="in" href="#a">four</a></p>')).toEqual([
    `“${property}” of <a> is left out: only whole tiles have one.`,
  ]);
});

test.each([
  'background: transparent',
  'background: none',
  'border: 0',
  'border: none',
  'border: 0 solid red',
  'box-shadow: none',
])('%s is nothing', (css) => expect(said(`.in { ${css} }`, '<p class="in">Hut</p>')).toEqual([]));

test('what our own pages show until a picture is there is nothing', () => {
  expect(
    said(
      '.picture { background: #123 }',
      '<figure class="picture" data-part="picture"><img src="a.png" alt=""></figure>',
    ),
  ).toEqual([]);
});

test('tiles, groups, pictures and lines between parts have their own', () => {
  const css = 'article, section, img, hr { background: red; border: 1px solid }';
  expect(
    said(css, '<h2>Hut</h2><hr><img src="a.png" alt=""><svg width="8" height="8"><path d="M0 0h8"/></svg>'),
  ).toEqual([]);
});
