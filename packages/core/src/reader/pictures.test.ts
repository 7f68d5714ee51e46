import { describe, expect, test } from '@jest/globals';
import { checkDocument } from '../check/checkDocument.js';
import { readCollection } from './readCollection.js';
import type { PictureFile } from './pictures.js';

const file = (name: string, hash = name.charCodeAt(0).toString(16).padStart(2, '0')): PictureFile => ({
  file: name,
  hash: hash.repeat(32),
  mediaType: 'image/webp',
  inlineSize: 1200,
  blockSize: 800,
});
const THERE: Readonly<Record<string, PictureFile>> = {
  'pictures/hut.webp': file('hut.webp'),
  'pictures/hut-1600.webp': file('hut.webp'),
  'ridge.webp': file('ridge-at_dusk.webp'),
};

function read(tile: string, css = '') {
  const { document, reports } = readCollection(
    `<style>.g { display: grid } ${css}</style><div class="g">${tile}</div>`,
    'Page',
    { readPicture: (address) => THERE[address] ?? null },
  );
  if (!document) throw new Error('There is a grid.');
  expect(checkDocument(document).problems).toEqual([]);
  const first = document.tiles['tile-1'];
  return { document, tile: first, part: first?.kind === 'card' ? first.parts[0] : undefined, said: reports };
}

describe('pictures of a page', () => {
  test('an image, in the widest of its files, with its words, crop and name', () => {
    const { document, part, said } = read(
      '<img class="i" src="pictures/hut.webp" srcset="pictures/hut.webp 800w, pictures/hut-1600.webp 1600w" alt="A hut">',
      '.i { object-fit: contain; object-position: 20% bottom }',
    );
    expect(part).toMatchObject({
      kind: 'picture',
      picture: 'hut',
      focalPoint: { x: 0.2, y: 1 },
      fit: 'contain',
    });
    expect(document.pictures).toEqual({
      hut: { ...file('hut.webp'), id: 'hut', name: 'Hut', alternativeText: 'A hut' },
    });
    expect(said).toEqual([]);
  });

  test('a file that is there twice is one picture', () => {
    const { document } = read(
      '<div><img src="pictures/hut.webp"><img src="pictures/hut-1600.webp" alt="A hut"></div>',
    );
    expect(Object.values(document.pictures)).toMatchObject([{ id: 'hut', alternativeText: 'A hut' }]);
    expect(read('<img src="ridge.webp">').document.pictures).toHaveProperty('ridge-at-dusk');
  });

  test.each([
    ['background: url(ridge.webp) 30% 40% / cover', { focalPoint: { x: 0.3, y: 0.4 } }],
    ['background-image: url("ridge.webp"); background-size: contain', { fit: 'contain' }],
    [
      'background: image-set(url("pictures/hut.webp") 1x, url("ridge.webp") 2x) right top / cover no-repeat',
      { focalPoint: { x: 1, y: 0 } },
    ],
    [
      'background: linear-gradient(0deg, #000 0%, rgb(0 0 0 / 20%) 100%), url(ridge.webp)',
      { tint: { kind: 'linear', angle: 0, stops: [{ at: 0 }, { at: 1, opacity: 0.2 }] } },
    ],
  ])('behind words: %s', (css, fill) => {
    const { tile, said } = read('<div class="t"><h2>Hut</h2></div>', `.t { ${css} }`);
    expect(tile?.look.fill).toMatchObject({ kind: 'picture', picture: 'ridge-at-dusk', ...fill });
    expect(said).toEqual([]);
  });

  test('what is not there is said, and a place is kept for it', () => {
    const { part, said } = read('<img src="https://huts.example/a.webp" alt="A">');
    expect(part).toMatchObject({ kind: 'picture', picture: null });
    expect(said.map(({ message }) => message).join()).toMatch(/huts\.example/);
    const behind = read('<p class="t">Hut</p>', '.t { background: url(none.webp) }');
    expect(behind.tile?.look.fill).toBe('none');
    expect(behind.said).toHaveLength(1);
  });
});
