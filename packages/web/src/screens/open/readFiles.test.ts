import { describe, expect, test } from '@jest/globals';
import { emptyDocument } from '@noria/core';
import { strToU8, zipSync } from 'fflate';
import type { PathedFile } from '../../editor/pictures/unpackArchive';
import { readFiles } from './readFiles';

Object.assign(globalThis, {
  createImageBitmap: () => Promise.resolve({ width: 400, height: 300, close: () => undefined }),
});

const at = (path: string, text: string, type = ''): PathedFile => ({
  path,
  file: new File([text], path.split('/').at(-1) ?? '', { type }),
});
const nothing = () => undefined;
const GRID =
  '<link rel="stylesheet" href="css/a.css"><div class="g"><img src="img/hut.png" alt="A hut"><b>2</b></div>';
const SHEET = '.g { display: grid; grid-template-columns: 2fr 1fr } b { background: url(../img/far.png) }';
const files = [
  at('huts/index.html', GRID),
  at('huts/css/a.css', SHEET),
  at('huts/img/hut.png', 'png', 'image/png'),
];

async function page(given: readonly PathedFile[]) {
  const opened = await readFiles(given, nothing);
  if (opened.kind !== 'page') throw new Error('It is a page.');
  return opened;
}

describe('files that are opened', () => {
  test('a page with its style sheet and pictures from a folder', async () => {
    const { grids, sheets, beside, byHash } = await page(files);
    expect(Object.keys(sheets)).toEqual(['css/a.css']);
    expect(Object.keys(beside)).toEqual(['img/hut.png']);
    const [grid] = grids;
    expect(grid?.document.arrangement.columns).toEqual(['2fr', '1fr']);
    const [picture] = Object.values(grid?.document.pictures ?? {});
    expect(picture).toMatchObject({
      name: 'Hut',
      file: 'hut.png',
      inlineSize: 400,
      blockSize: 300,
      alternativeText: 'A hut',
    });
    expect(byHash[picture?.hash ?? '']?.name).toBe('hut.png');
    expect(grid?.cells).toHaveLength(2);
    expect(grid?.reports.map(({ message }) => message)).toContain(
      '“background” of <b> has an image that is left out: choose it for the tile.',
    );
  });

  test('the same from a ZIP, and from files without folders, by their names', async () => {
    const zip = zipSync({
      'huts/index.html': strToU8(GRID),
      'huts/css/a.css': strToU8(SHEET),
      'huts/img/hut.png': strToU8('png'),
    });
    const loose = files.map(({ file }) => ({ path: file.name, file }));
    for (const given of [[{ path: 'huts.zip', file: new File([zip.slice()], 'huts.zip') }], loose]) {
      const { grids } = await page(given);
      expect(grids[0]?.document.arrangement.columns).toEqual(['2fr', '1fr']);
      expect(Object.values(grids[0]?.document.pictures ?? {})).toHaveLength(1);
    }
  });

  test('of several pages the one called index, nearest to the top; each grid of it is read', async () => {
    const two = '<style>div { display: grid }</style><div><b>1</b></div><div><b>2</b><b>3</b></div>';
    const { name, grids, count } = await page([
      at('huts/about.html', two),
      at('huts/deep/index.html', two),
      at('huts/index.html', two),
      at('huts/zoo.html', two),
    ]);
    expect(name).toBe('index');
    expect(count).toBe(2);
    // The third is the whole page.
    expect(grids.map(({ document }) => document.order.length)).toEqual([1, 2, 2]);
    expect(
      Object.values(grids[2]?.document.tiles ?? {})
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual(['card', 'card', 'card', 'group', 'group']);
  });

  test('nothing is taken from outside of what was given', async () => {
    const asked =
      '<div style="display: grid"><img src="https://huts.example/hut.png"><img src="//huts.example/hut.png"><img src="data:text/plain,x"></div>';
    const { beside, grids } = await page([at('index.html', asked), at('hut.png', 'png', 'image/png')]);
    expect(beside).toEqual({});
    expect(grids[0]?.document.pictures).toEqual({});
  });

  test('pictures that are written into the page are its pictures', async () => {
    const drawing = "data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 60 40'/%3E";
    const { grids } = await page([
      at(
        'index.html',
        `<style>div { display: grid } p { background: url("${drawing}") }</style><div><img src="data:image/png;base64,aHV0" alt="A hut"><p>2</p><img src="data:image/png;base64,?"></div>`,
      ),
    ]);
    const pictures = Object.values(grids[0]?.document.pictures ?? {});
    expect(pictures.map(({ mediaType, inlineSize }) => [mediaType, inlineSize])).toEqual([
      ['image/png', 400],
      ['image/svg+xml', 60],
    ]);
  });

  test('a collection in Noria’s own format, alone or in a ZIP with its pictures', async () => {
    const text = JSON.stringify(emptyDocument('Huts'));
    const alone = await readFiles([at('huts.noria.json', text)], nothing);
    expect(alone).toMatchObject({ kind: 'collection', document: { name: 'Huts' } });
    const zip = zipSync({ 'huts.noria.json': strToU8(text), 'pictures/hut.png': strToU8('png') });
    const packed = await readFiles([{ path: 'a.zip', file: new File([zip.slice()], 'a.zip') }], nothing);
    expect(packed.kind === 'collection' && Object.keys(packed.pictures)).toEqual(['hut.png']);
  });

  test.each([
    [[at('hut.png', 'x')], 'There is no page among these files: none ends with .html, .htm or .noria.json.'],
    [[at('a.html', '<p>Hut</p>')], 'There is no grid in a.html: no element with “display: grid”.'],
    [[at('a.noria.json', '{')], /^a\.noria\.json is no JSON: /],
    [[at('a.noria.json', '{}')], /^a\.noria\.json: /],
    [[at('a.zip', 'no archive')], 'a.zip: It is no ZIP archive, or empty, or its end is missing.'],
    [[at('a.html', '<div>'.repeat(600))], /^Elements are nested more than 512 deep/],
    [[at('a.html', 'x'.repeat(8 * 1024 * 1024 + 1))], 'a.html has more than 8 MB. Take a part of it.'],
  ])('what can’t be opened says why', async (given, why) => {
    await expect(readFiles(given, nothing)).rejects.toThrow(why);
  });
});
