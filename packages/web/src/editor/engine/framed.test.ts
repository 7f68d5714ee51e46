import { expect, test } from '@jest/globals';
import { emptyDocument, type CollectionDocument, type Page } from '@noria/core';
import { framedPage } from './framed';

const FONT = 'hanken-grotesk-latin-wght-normal.woff2';

const document: CollectionDocument = {
  ...emptyDocument('Huts'),
  pictures: {
    hut: {
      id: 'hut',
      name: 'Hut',
      file: 'hut.webp',
      hash: 'b'.repeat(64),
      mediaType: 'image/webp',
      inlineSize: 900,
      blockSize: 600,
      alternativeText: 'A hut',
    },
  },
};

const html = (body: string) =>
  `<!doctype html><head><link rel="stylesheet" href="style.css"><script src="enlarge.js" defer></script></head>${body}`;

const page = (body: string, css = ''): Page => ({
  files: { 'index.html': html(body), 'style.css': css },
  assets: [
    { kind: 'picture', path: 'pictures/hut-400.webp', picture: 'hut', inlineSize: 400 },
    { kind: 'picture', path: 'pictures/hut-900.webp', picture: 'hut', inlineSize: 900 },
    { kind: 'font', path: `fonts/${FONT}`, family: 'Hanken Grotesk', file: FONT },
  ],
});

test('pictures and fonts are at the addresses that Noria has them at', () => {
  const framed = framedPage(
    document,
    page(
      '<img src="pictures/hut-400.webp" srcset="pictures/hut-400.webp 400w, pictures/hut-900.webp 900w">',
      `@font-face { src: url("fonts/${FONT}") } .a { background-image: url(pictures/hut-900.webp) }`,
    ),
  );
  expect(framed).not.toMatch(/["( ]pictures\/hut/);
  expect(framed).not.toMatch(/["(]fonts\/hanken/);
  const addresses = [...framed.matchAll(/(?:src="|srcset="|w, |url\()"?([^")\s]+)/g)].map(
    ([, at]) => at ?? '',
  );
  expect(addresses.filter((at) => at.startsWith('/')).length).toBe(addresses.length);
});

test('the style sheet is in the page, and what looks like a pattern in it is no pattern', () => {
  const framed = framedPage(document, page('', '.a::before { content: "$& $1 $`" }'));
  expect(framed).toContain('<base target="_blank"><style>.a::before { content: "$& $1 $`" }</style>');
  expect(framed).not.toContain('rel="stylesheet"');
  expect(framed).toContain('<script src="/enlarge.js" defer>');
});

test('a path that is none of its files is left as it is', () => {
  expect(framedPage(document, page('<p>pictures/none.webp</p>'))).toContain('<p>pictures/none.webp</p>');
});
