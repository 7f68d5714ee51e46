import { expect, test } from '@jest/globals';
import { readCollection } from '../../reader/readCollection.js';
import { readDataAddress, resolved } from './addresses.js';

test.each([
  ['hut.png', 'style.css', 'hut.png'],
  ['hut.png', 'css/style.css', 'css/hut.png'],
  ['../img/hut.png', 'css/style.css', 'img/hut.png'],
  ['./hut.png', './css/a/style.css?v=2', 'css/a/hut.png'],
  ['../hut.png', '../css/style.css', '../hut.png'],
  ['../../hut.png', 'css/style.css', '../hut.png'],
  ['hut.png', '/css/style.css', '/css/hut.png'],
  ['../hut.png', 'https://huts.example/css/style.css', 'https://huts.example/hut.png'],
  ['/hut.png', 'css/style.css', '/hut.png'],
  ['data:image/png,x', 'css/style.css', 'data:image/png,x'],
  ['https://huts.example/hut.png', 'css/style.css', 'https://huts.example/hut.png'],
  ['#lit', 'css/style.css', '#lit'],
])('“%s” in “%s” is “%s”', (address, from, whole) => {
  expect(resolved(address, from)).toBe(whole);
});

test('a picture of a linked style sheet is looked for from there', () => {
  const asked: string[] = [];
  readCollection(
    '<link rel="stylesheet" href="css/style.css"><section class="g"><a class="t">Hut</a><b>Path</b></section>',
    'Huts',
    {
      readSheet: () =>
        '.g { display: grid } .t { background: url("../img/hut.jpg") center / cover } @media (width < 400px) { .t { background: url(far/path.jpg) } }',
      readPicture: (address) => {
        asked.push(address);
        return null;
      },
    },
  );
  expect(asked).toContain('img/hut.jpg');
  expect(asked.every((each) => each.startsWith('img/') || each.startsWith('css/far/'))).toBe(true);
});

test.each([
  ['data:image/png;base64,AA==', { mediaType: 'image/png', isBase64: true, data: 'AA==' }],
  [
    'DATA:image/svg+xml;charset=utf-8,%3Csvg%3E,',
    { mediaType: 'image/svg+xml', isBase64: false, data: '%3Csvg%3E,' },
  ],
  ['data:,', { mediaType: '', isBase64: false, data: '' }],
  ['data:image/png', null],
  ['hut.png', null],
])('%s holds %j', (address, held) => expect(readDataAddress(address)).toEqual(held));
