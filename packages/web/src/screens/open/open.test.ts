/** @jest-environment jsdom */
import '../../testing/browser';
import { describe, expect, test } from '@jest/globals';
import { readCollection } from '@noria/core';
import { becameOf } from './became';
import { differencesBetween, type Seen } from './differences';
import { foundWords } from './foundWords';
import { MARK, pageFrame } from './pageFrame';

const seen = (values: Partial<Seen>): Seen => ({
  x: 0,
  y: 0,
  inlineSize: 300,
  blockSize: 180,
  words: 'Hut four',
  ...values,
});
const between = (there: Partial<Seen>, here: Partial<Seen>) =>
  differencesBetween(new Map([['t', seen(there)]]), new Map([['t', seen(here)]]));

describe('what of a tile is other than in its page', () => {
  test.each([
    [{ inlineSize: 312 }, '12 px wider', '312 × 180 px here, 300 × 180 px in the page'],
    [{ inlineSize: 290 }, '10 px narrower', '290 × 180 px here, 300 × 180 px in the page'],
    [{ blockSize: 200 }, '20 px higher', '300 × 200 px here, 300 × 180 px in the page'],
    [{ words: 'Hut five' }, 'other words', '“Hut five” here, “Hut four” in the page'],
    [{ y: 16 }, 'elsewhere', 'At 0, 16 px here, at 0, 0 px in the page'],
  ])('%j is “%s”', (here, what, both) => {
    expect(between({}, here)).toEqual([{ tile: 't', what, both }]);
  });

  test('a px or less, and other spaces between words, are none; what one of them does not show is not compared', () => {
    expect(between({}, { x: 1, y: -1, inlineSize: 300.9, words: ' Hut\n four ' })).toEqual([]);
    expect(differencesBetween(new Map([['t', seen({})]]), new Map())).toEqual([]);
  });
});

const frameOf = (html: string, files: Record<string, File> = {}, sheets: Record<string, string> = {}) => {
  const { starts } = readCollection(html, 'Page', { readSheet: (address) => sheets[address] ?? null });
  const text = pageFrame({ html, sheets, beside: files }, { starts }, (file) => `blob:${file.name}`);
  return { text, page: new DOMParser().parseFromString(text, 'text/html') };
};
const GRID = '<style>.g { display: grid }</style>';

describe('a page in its frame', () => {
  test('says of each tile which it is, in the page itself and in fragments', () => {
    const { page } = frameOf(
      `<!doctype html><p>Before</p>${GRID}<div class="g"><a data-tile="hut"><i>x</i></a><b>2</b></div>`,
    );
    expect(
      [...page.querySelectorAll(`[${MARK}]`)].map((each) => [each.tagName, each.getAttribute(MARK)]),
    ).toEqual([
      ['A', 'hut'],
      ['B', 'tile-2'],
    ]);
    expect(page.body.style.margin).toBe('0px');
    expect(frameOf(`<body>${GRID}<div class="g"><b>2</b></div></body>`).page.body.style.margin).toBe('');
  });

  test('runs nothing and brings nothing else in', () => {
    const { text, page } = frameOf(
      `<base href="https://huts.example/"><meta http-equiv="refresh" content="0;url=https://huts.example">${GRID}` +
        '<script>hut()</script><iframe src="https://huts.example"></iframe><object data="x"></object>' +
        '<div class="g" onclick="hut()"><b onMouseOver="hut()">2</b></div><svg><script>hut()</script></svg>',
    );
    expect(page.querySelectorAll('script, iframe, object, [onclick], [onmouseover]')).toHaveLength(0);
    expect(page.querySelector('base')?.getAttribute('href')).toBeNull();
    expect(page.querySelectorAll('meta[http-equiv]')).toHaveLength(1);
    expect(text).toContain("default-src 'none'");
    expect(text).not.toContain('refresh');
  });

  test('shows the files that came with it, from wherever it refers to them', () => {
    const hut = new File(['x'], 'hut.png');
    const { page, text } = frameOf(
      `<link rel="stylesheet" href="css/a.css" media="screen"><link rel="icon" href="hut.png">${GRID}<div class="g">` +
        '<img src="img/hut.png" srcset="img/hut.png 1x, img/hut-2.png 2x"><b style="background: url(img/hut.png)">2</b></div>',
      { 'img/hut.png': hut },
      { 'css/a.css': '.g { background: url("../img/hut.png") } b { background: url(../img/none.png) }' },
    );
    expect(page.querySelector('img')?.getAttribute('src')).toBe('blob:hut.png');
    expect(page.querySelector('img')?.getAttribute('srcset')).toBe('blob:hut.png 1x, data:, 2x');
    expect(page.querySelector('b')?.getAttribute('style')).toContain('blob:hut.png');
    expect(page.querySelectorAll('link')).toHaveLength(0);
    expect(text).toContain(
      '<style media="screen">.g { background: url("blob:hut.png") } b { background: url(data:,) }',
    );
  });
});

describe('what becomes of a page', () => {
  const read = () => {
    const { document, reports } = readCollection(
      '<title>Huts</title><style>.g { display: grid; grid-template-columns: 1fr 1fr } .t { border: 1px dashed red; clip-path: none; filter: blur(1px) }\n' +
        '.u { filter: blur(2px) }</style><div class="g"><a class="t" href="#a">One</a><p class="u">Two</p></div><script>1</script>',
      'Page',
    );
    if (!document) throw new Error('There is a grid.');
    return { document, reports };
  };

  test('what is kept comes first, then what differs by tile, then what was changed and left out by line', () => {
    const became = becameOf(read(), [{ tile: 'tile-1', what: '12 px wider', both: '' }], 768);
    expect(became[0]).toEqual({ what: 'kept', says: 'Layout kept at 768 px', figure: '1 of 2' });
    expect(became.find(({ says }) => says.includes('12 px wider'))).toEqual({
      what: 'changed',
      says: 'One: 12 px wider',
      figure: '768',
    });
    expect(became.filter(({ what }) => what === 'left').map(({ says, figure }) => [says, figure])).toEqual([
      ['“clip-path” is not imported.', '1'],
      ['“filter” is not imported.', '1 +1'],
      ['A script is left out.', '2'],
    ]);
    expect(became.some(({ what, says }) => what === 'changed' && says.includes('dashed'))).toBe(true);
  });

  test('before both were compared, nothing is said of widths', () => {
    expect(becameOf(read(), null, 768)[0]).toEqual({ what: 'kept', says: 'Two tiles', figure: '' });
  });
});

test('a grid is called by its arrangement, and says where it is', () => {
  const { document, found } = readCollection(
    '<style>.g { display: grid; grid-template-columns: repeat(3, 1fr) } @media (width < 800px) { .g { grid-template-columns: 1fr } }</style>\n<div class="g wide"><b>1</b><b>2</b></div>',
    'Page',
  );
  if (!document || !found[0]) throw new Error('There is a grid.');
  expect(foundWords({ ...found[0], document, grids: 1 })).toEqual({
    title: 'Bento of 3 and 1 columns',
    says: 'div.g, line 2: two tiles, bands below 800',
  });
});
