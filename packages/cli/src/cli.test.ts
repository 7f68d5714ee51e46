import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import {
  copyFile,
  mkdir,
  mkdtemp,
  readdir,
  readFile,
  rename,
  rm,
  symlink,
  writeFile,
} from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { Readable } from 'node:stream';
import { layoutBatch } from './batch.js';
import { said } from './CliError.js';
import { readInput } from './files.js';
import { program } from './program.js';
import type { CollectionDocument } from '@noria/core';
import { unpacked } from './unpacked.js';
import type { LayoutReport } from './layout.js';

const demos = join(__dirname, '..', '..', '..', 'demo');
const demo = join(demos, 'winter-at-the-huts.noria.json');
const small = join(demos, 'night-sky-above-hut-four.noria.json');
let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'noria-cli-'));
});
afterAll(() => rm(folder, { recursive: true }));

async function noria(...words: string[]): Promise<string> {
  const printed: string[] = [];
  const command = program((text) => printed.push(text)).exitOverride();
  for (const each of command.commands) each.exitOverride().configureOutput({ writeErr: () => undefined });
  await command.parseAsync(words, { from: 'user' });
  return printed.join('\n');
}

async function file(name: string, text: string): Promise<string> {
  const path = join(folder, name);
  await writeFile(path, text);
  return path;
}

describe('noria layout', () => {
  test('prints where every tile lies at each width', async () => {
    const { widths } = JSON.parse(await noria('layout', demo, '--width', '360,1280')) as LayoutReport;
    expect(widths.map(({ width, inlineSize, tiles }) => [width, inlineSize, tiles.length])).toEqual([
      [360, 360, 14],
      [1280, 1280, 14],
    ]);
    expect(widths[1]?.tiles[0]).toEqual({ id: 'hut-at-dusk', x: 24, y: 24, w: 608, h: 328 });
  });

  test('takes heights that are shares of the screen from the screen that is said', async () => {
    const document = {
      ...(JSON.parse(await readFile(demo, 'utf8')) as CollectionDocument),
      bands: [],
    };
    const arrangement = { ...document.arrangement, autoRows: '1fr', height: { kind: 'screen', share: 4 } };
    const path = await file('screen.noria.json', JSON.stringify({ ...document, arrangement }));
    const heightOf = async (...more: string[]) =>
      (JSON.parse(await noria('layout', path, '--width', '1600', ...more)) as LayoutReport).widths[0]
        ?.blockSize;
    expect(await heightOf()).toBe(3200);
    expect(await heightOf('--height', '1200')).toBe(4800);
  });

  test('derives the narrower bands of a file that has none yet and says so', async () => {
    const document = { ...(JSON.parse(await readFile(demo, 'utf8')) as CollectionDocument), bands: [] };
    const columnsOf = async (more: object) => {
      const path = await file('derived.noria.json', JSON.stringify({ ...document, ...more }));
      const { widths } = JSON.parse(await noria('layout', path, '--width', '360,1280')) as LayoutReport;
      return widths.map(({ tiles }) => new Set(tiles.map(({ x }) => x)).size);
    };
    const [narrow, wide] = await columnsOf({ narrowerBands: 'derived' });
    expect(narrow).toBeLessThan(wide ?? 0);
    expect(await columnsOf({})).toEqual([wide, wide]);
  });

  test.each(['', 'wide', '360,', '-1', '0'])('refuses the width “%s”', async (width) => {
    await expect(noria('layout', demo, '--width', width)).rejects.toThrow(
      /is no width. Write them in px with commas/,
    );
  });
});

describe('noria layout of a page', () => {
  const html = `<!doctype html><link rel="stylesheet" href="page.css"><style>body { margin: 0 }</style>
    <div class="g" data-grid><img data-tile="a" src="data:image/svg+xml,<svg xmlns='http://www.w3.org/2000/svg' width='80' height='40'/>" alt="">
    <p data-tile="b">Seven huts</p></div>`;
  const css =
    '.g { display: grid; grid-template-columns: 1fr 1fr; gap: 20px; align-items: start } p { margin: 0; font: 20px/30px "Hanken Grotesk" }';

  test('reads linked styles, pictures and the fonts that ship', async () => {
    await file('page.css', css);
    const { widths } = JSON.parse(
      await noria('layout', await file('page.html', html), '--width', '220'),
    ) as LayoutReport;
    expect(widths[0]?.tiles).toEqual([
      { id: 'a', x: 0, y: 0, w: 80, h: 40 },
      { id: 'b', x: 120, y: 0, w: 100, h: 30 },
    ]);
  }, 30_000);

  test('answers a batch line by line, and goes on after a case that fails', async () => {
    const path = await file('page.html', html);
    const cases = [
      JSON.stringify({ page: path, widths: [220, 600] }),
      'nonsense',
      '',
      JSON.stringify({ page: 'gone.html', widths: [1] }),
      JSON.stringify({ page: path, widths: [0] }),
    ];
    const printed: string[] = [];
    await layoutBatch(Readable.from(cases.map((line) => `${line}\n`)), (text) => printed.push(text));
    const answers = printed.map((text) => JSON.parse(text) as Record<string, unknown>);
    expect(answers).toHaveLength(4);
    expect(answers[0]).toMatchObject({
      page: path,
      results: { 220: { inlineSize: 220 }, 600: { inlineSize: 600 } },
    });
    expect(answers.slice(1).map(({ error }) => error)).toEqual([
      expect.stringContaining('JSON'),
      'There is no file gone.html.',
      expect.stringContaining('lists its widths in px'),
    ]);
  }, 30_000);

  test('takes the height of the window, in a line of a batch too; 800 px where none is said', async () => {
    const path = await file(
      'high.html',
      '<style>body { margin: 0 }</style><div data-grid style="display: grid; height: 50vh"><p data-tile="a"></p></div>',
    );
    const heightOf = async (...more: string[]) =>
      (JSON.parse(await noria('layout', path, '--width', '400', ...more)) as LayoutReport).widths[0]
        ?.blockSize;
    expect([await heightOf(), await heightOf('--height', '900')]).toEqual([400, 450]);
    const printed: string[] = [];
    const lines = [{ height: 900 }, {}, { height: 'tall' }].map((more) =>
      JSON.stringify({ page: path, widths: [400], ...more }),
    );
    await layoutBatch(Readable.from(lines.map((line) => `${line}\n`)), (text) => printed.push(text));
    expect(printed.map((text) => JSON.parse(text) as object)).toMatchObject([
      { results: { 400: { blockSize: 450 } } },
      { results: { 400: { blockSize: 400 } } },
      { error: expect.stringContaining('height of its window') },
    ]);
  }, 30_000);

  test('refuses a page of elements in elements in elements in words', async () => {
    const deep = await file('deep.html', `<div data-grid style="display: grid">${'<div>'.repeat(50_000)}`);
    await expect(noria('layout', deep, '--width', '400')).rejects.toThrow(
      'Elements are nested more than 512 deep at line 1. Take some of them out.',
    );
    await expect(noria('import', deep, '--out', join(folder, 'deep.noria.json'))).rejects.toThrow(
      'nested more than',
    );
  });

  test('names neither file nor widths: it says what is missing', async () => {
    await expect(noria('layout')).rejects.toThrow('Name a file');
    await expect(noria('layout', demo)).rejects.toThrow('Say the widths');
  });
});

describe('noria import', () => {
  test('takes the pictures that lie beside a page, and none from elsewhere', async () => {
    const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const beside = join(folder, 'paged');
    await mkdir(join(beside, 'img'), { recursive: true });
    const picture = sharp({ create: { width: 30, height: 20, channels: 3, background: '#886644' } });
    await picture.png().toFile(join(beside, 'img', 'Hut Four.png'));
    await picture.png().toFile(join(folder, 'outside.png'));
    await writeFile(
      join(beside, 'page.html'),
      `<style>.g { display: grid } .t { background: url(img/Hut%20Four.png) }</style>
       <div class="g"><img src="img/Hut%20Four.png" alt="A hut"><p class="t">Hut</p><img src="../outside.png"></div>`,
    );
    const out = join(folder, 'taken', 'page.noria.json');
    await noria('import', join(beside, 'page.html'), '--out', out);
    expect(await readdir(join(folder, 'taken', 'pictures'))).toEqual(['hut-four.png']);
    const { pictures, tiles } = JSON.parse(await readFile(out, 'utf8')) as CollectionDocument;
    expect(pictures).toMatchObject({
      'hut-four': { file: 'hut-four.png', inlineSize: 30, blockSize: 20, alternativeText: 'A hut' },
    });
    expect(tiles['tile-2']?.look.fill).toMatchObject({ kind: 'picture', picture: 'hut-four' });
    expect(said.mock.calls.join()).toMatch(/outside\.png” is not in the page/);
    expect(await noria('export', out, '--out', join(folder, 'taken', 'site'))).toMatch(/files in/);
    said.mockRestore();
  });

  test('takes pictures that are written into the page', async () => {
    const png = await sharp({ create: { width: 12, height: 9, channels: 3, background: '#886644' } })
      .png()
      .toBuffer();
    const drawing =
      "data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='60' height='40'%3E%3C/svg%3E";
    const page = await file(
      'written.html',
      `<div style="display:grid"><img src="data:image/png;base64,${png.toString('base64')}" alt="A hut"><img src="${drawing}" alt=""></div>`,
    );
    const out = join(folder, 'written', 'page.noria.json');
    await noria('import', page, '--out', out);
    expect(await readdir(join(folder, 'written', 'pictures'))).toEqual(['picture.png', 'picture.svg']);
    const { pictures } = JSON.parse(await readFile(out, 'utf8')) as CollectionDocument;
    expect(Object.values(pictures).map(({ inlineSize, blockSize }) => [inlineSize, blockSize])).toEqual([
      [12, 9],
      [60, 40],
    ]);
  });

  test('makes a collection that can be exported again', async () => {
    const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const page = await file(
      'grid.html',
      '<title>Huts</title><div style="display:grid;gap:8px;rotate:3deg"><h2>Seven huts</h2></div>',
    );
    const out = join(folder, 'grid.noria.json');
    expect(await noria('import', page, '--out', out)).toBe(`1 tile in ${out}`);
    expect(said.mock.calls.join()).toContain('grid.html:1: “rotate” is not imported.');
    expect(await noria('layout', out, '--width', '400')).toContain('"tile-1"');
    await expect(noria('import', await file('none.html', '<p>'), '--out', out)).rejects.toThrow(
      'There is no grid',
    );
    said.mockRestore();
  });
});

describe('what people expect of a command line', () => {
  test('its version, and help with examples and what it ends with', async () => {
    const shown: string[] = [];
    const command = program(() => undefined).configureOutput({ writeOut: (text) => shown.push(text) });
    await expect(command.parseAsync(['--version'], { from: 'user' })).rejects.toMatchObject({ exitCode: 0 });
    await expect(command.parseAsync(['--help'], { from: 'user' })).rejects.toMatchObject({ exitCode: 0 });
    expect(shown[0]).toMatch(/^\d+\.\d+\.\d+\n$/);
    expect(shown.join('')).toContain('noria export huts.noria.json --out site');
    expect(shown.join('')).toContain('2  it could not be done; why is said on standard error');
  });

  test('folders are made where they lack; - is standard output', async () => {
    jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const page = await file('plain.html', '<div style="display: grid"><h2>Huts</h2></div>');
    const out = join(folder, 'new', 'folder', 'huts.noria.json');
    await noria('import', page, '--out', out);
    expect(JSON.parse(await noria('import', page, '--out', '-'))).toEqual(
      JSON.parse(await readFile(out, 'utf8')),
    );
    await expect(noria('export', out, '--out', '-')).rejects.toThrow('Name one: --out site');
    jest.restoreAllMocks();
  });

  test('standard input is read to its end, and no further than is sensible', async () => {
    expect(await readInput(Readable.from([Buffer.from('hu'), 'ts']))).toBe('huts');
    const endless = Readable.from(
      (function* () {
        for (;;) yield Buffer.alloc(2 ** 22);
      })(),
    );
    await expect(readInput(endless)).rejects.toThrow('Standard input is larger than 64 MB');
  });

  test('what fails is said in words: files in the way, folders, and what nobody foresaw', async () => {
    const inTheWay = await file('in-the-way', '');
    await expect(noria('export', small, '--out', join(inTheWay, 'site'))).rejects.toThrow(
      /can’t be made: a (part of its path is a file|file of that name is in the way)\./,
    );
    await expect(noria('layout', folder, '--width', '300')).rejects.toThrow(
      /can’t be read: it is a folder\./,
    );
    expect(said(Object.assign(new Error('EACCES: denied'), { code: 'EACCES', path: '/huts' }))).toBe(
      '/huts can’t be used: you may not.',
    );
    expect(said(new TypeError('x is undefined'))).toBe('This should not happen: x is undefined');
  });
});

describe('noria export', () => {
  test('writes the page with pictures no larger than they say, and fonts', async () => {
    const out = join(folder, 'page');
    expect(await noria('export', small, '--out', out)).toMatch(/^\d+ files in /);
    const html = await readFile(join(out, 'index.html'), 'utf8');
    const named = [...html.matchAll(/pictures\/([\w-]+\.webp)/g)].map(([, name]) => name as string);
    expect(await readdir(join(out, 'pictures'))).toEqual([...new Set(named)].sort());
    expect((await sharp(join(out, 'pictures', 'star-trails-640.webp')).metadata()).width).toBe(640);
    expect(await readdir(join(out, 'fonts'))).toContain('hanken-grotesk-latin-wght-normal.woff2');
  }, 30_000);
});

test('noria export writes a fragment for another page', async () => {
  const out = join(folder, 'part');
  await noria('export', small, '--out', out, '--form', 'fragment');
  const [css, ...more] = (await readdir(out)).filter((name) => /\.(html|css)$/.test(name));
  expect([css, ...more]).toEqual([expect.stringMatching(/\.css$/), expect.stringMatching(/\.html$/)]);
  const id = css?.replace('.css', '') ?? '';
  expect(await readFile(join(out, `${id}.html`), 'utf8')).toMatch(new RegExp(`^<div id="${id}">`));
  await expect(noria('export', small, '--out', out, '--form', 'poster')).rejects.toThrow(
    /page, fragment, grid/,
  );
}, 30_000);

test('noria export writes again after each change of the file, also where it can’t be read in between', async () => {
  const file = join(folder, 'watched.noria.json');
  const out = join(folder, 'watched');
  const text = await readFile(small, 'utf8');
  await writeFile(file, text);
  const said: string[] = [];
  const warned = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  let stop: () => void = () => undefined;
  const stopped = new Promise<void>((resolve) => {
    stop = resolve;
  });
  const run = program((line) => said.push(line), stopped).parseAsync(
    ['export', file, '--out', out, '--form', 'json', '--watch'],
    { from: 'user' },
  );
  const until = async (holds: () => boolean | Promise<boolean>) => {
    while (!(await holds())) await new Promise((resolve) => setTimeout(resolve, 20));
  };
  await until(() => said.length === 1);
  await writeFile(file, '{ "formatVersion":');
  await until(() => warned.mock.calls.length > 0);
  // As programs save: another file in its place.
  const renamed = JSON.stringify({ ...(JSON.parse(text) as object), name: 'Watched' });
  await writeFile(join(folder, 'next'), renamed);
  await rename(join(folder, 'next'), file);
  await until(async () => (await readdir(out)).includes('watched.json'));
  stop();
  await run;
  warned.mockRestore();
  await expect(noria('export', '-', '--out', out, '--watch')).rejects.toThrow(
    'Standard input can’t be watched.',
  );
}, 60_000);

describe('noria diff', () => {
  const changed = async () => {
    const document = JSON.parse(await readFile(small, 'utf8')) as { name: string; arrangement: object };
    const file = join(folder, 'changed.noria.json');
    await writeFile(
      file,
      JSON.stringify({ ...document, arrangement: { ...document.arrangement, rowGap: 3 } }),
    );
    return file;
  };

  test('says what changed between two collections', async () => {
    expect(await noria('diff', small, small)).toBe('');
    expect(process.exitCode ?? 0).toBe(0);
    expect(await noria('diff', small, await changed())).toMatch(/^The collection: row gap: \d+, then 3$/);
    expect(process.exitCode).toBe(1);
    process.exitCode = 0;
  });

  test('says what a page lacks of its collection, whichever is named first', async () => {
    const out = join(folder, 'stands');
    await noria('export', small, '--out', out);
    expect(await noria('diff', out, small)).toBe('');
    const file = await changed();
    const said = await noria('diff', out, file);
    expect(said).toMatch(/^The collection: row gap: \d+, then 3$/);
    expect(await noria('diff', file, join(out, 'index.html'))).toBe(said);
    process.exitCode = 0;
    const part = join(folder, 'stands-in');
    await noria('export', small, '--out', part, '--form', 'fragment');
    expect(await noria('diff', part, small)).toBe('');
    expect(await noria('diff', part, file)).toBe(said);
    process.exitCode = 0;
    await expect(noria('diff', out, part)).rejects.toThrow('One of the two has to be a collection');
    await expect(noria('diff', demos, small)).rejects.toThrow(/There is neither index\.html nor/);
  }, 60_000);
});

describe('a file that can’t be used is refused in words', () => {
  const layout = (path: string) => noria('layout', path, '--width', '360');

  test('missing, no JSON, not sound', async () => {
    await expect(layout('nowhere.noria.json')).rejects.toThrow('There is no file nowhere.noria.json.');
    await expect(layout(await file('broken.json', '{"name": '))).rejects.toThrow(/broken.json is not JSON/);
    await expect(layout(await file('other.json', '{"formatVersion": 1}'))).rejects.toThrow(
      /not a sound collection:\n {2}\/name: A collection lacks “name”/,
    );
  });

  test('a picture that is not beside it', async () => {
    const path = await file('alone.noria.json', await readFile(demo, 'utf8'));
    await expect(noria('export', path, '--out', join(folder, 'alone'))).rejects.toThrow(
      /Pictures lie in a folder “pictures”/,
    );
  });

  test('an unknown field is used all the same, with a word to standard error', async () => {
    const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const document = JSON.parse(await readFile(demo, 'utf8')) as Record<string, unknown>;
    await layout(await file('more.noria.json', JSON.stringify({ ...document, season: 'winter' })));
    expect(said.mock.calls.join()).toContain('/season: “season” is not a field of a collection');
    said.mockRestore();
  });
});

describe('noria check', () => {
  const status = () => {
    const { exitCode } = process;
    process.exitCode = 0;
    return exitCode ?? 0;
  };
  beforeAll(() => {
    process.exitCode = 0;
  });

  test('finds nothing in the demo, at any width', async () => {
    for (const name of await readdir(demos)) {
      if (!name.endsWith('.noria.json')) continue;
      const text = await noria(
        'check',
        join(demos, name),
        '--from',
        '240',
        '--to',
        '2560',
        '--fail-on',
        'any',
      );
      expect(text).toMatch(/: nothing found at 2321 widths from 240 to 2560 px\.$/);
      expect(status()).toBe(0);
    }
  });

  test('sees every px of the pictures that lie beside the collection', async () => {
    const beside = join(folder, 'starry');
    await mkdir(join(beside, 'pictures'), { recursive: true });
    const document = JSON.parse(await readFile(small, 'utf8')) as CollectionDocument;
    const [picture] = Object.values(document.pictures);
    const [id] = document.order.filter((each) => document.tiles[each]?.kind === 'card');
    const tile = document.tiles[id ?? ''];
    const fill = {
      kind: 'picture',
      picture: picture?.id,
      focalPoint: { x: 0.5, y: 0.5 },
      tint: { colour: '#000000', opacity: 0 },
    };
    const grey = `24x16:${Buffer.alloc(24 * 16 * 3, 32).toString('base64')}`;
    const words = { id: 'heading', kind: 'heading', words: 'Seven huts, one path and dry wood' };
    const text = JSON.stringify({
      ...document,
      pictures: { ...document.pictures, [picture?.id ?? '']: { ...picture, raster: grey } },
      tiles: {
        ...document.tiles,
        [id ?? '']: { ...tile, parts: [words], look: { fill, textColour: '#ffffff', spread: 'start' } },
      },
    });
    const path = join(beside, 'starry.noria.json');
    await writeFile(path, text);
    expect(await noria('check', path)).not.toMatch(/faint/);
    await sharp({ create: { width: 300, height: 200, channels: 3, background: '#f0f0f0' } })
      .webp()
      .toFile(join(beside, 'pictures', picture?.file ?? ''));
    expect(await noria('check', path)).toMatch(/faint/);
  });

  test('says what, where and why, as text or JSON, and fails on the named kinds alone', async () => {
    const document = JSON.parse(await readFile(small, 'utf8')) as { tiles: Record<string, object> };
    document.tiles.stars = { ...document.tiles.stars, minimumWidth: 400 };
    const broken = await file('broken.noria.json', JSON.stringify(document));
    const text = await noria('check', broken, '--fail-on', 'hole,overflow');
    expect(text).toMatch(/squashed: “Stars” is squashed, at 320–/);
    expect(status()).toBe(0);
    const json = await noria('check', broken, '--fail-on', 'squashed', '--format', 'json', '--to', '700');
    expect(status()).toBe(1);
    const { from, to, findings } = JSON.parse(json) as {
      from: number;
      to: number;
      findings: { kind: string; tiles: string[]; ranges: { from: number; to: number }[] }[];
    };
    expect([from, to]).toEqual([240, 700]);
    expect(findings[0]).toMatchObject({ kind: 'squashed', tiles: ['stars'] });
  });

  test.each([
    [['--fail-on', 'holes'], /“holes” is no kind of finding/],
    [['--from', 'wide'], /“wide” is no width/],
    [['--from', '800', '--to', '400'], /from a smaller to a larger/],
  ])('refuses %j', async (options, message) => {
    await expect(noria('check', small, ...options)).rejects.toThrow(message);
  });
});

describe('fonts beside a collection', () => {
  const bitter = join(__dirname, '..', '..', '..', 'node_modules', '@fontsource-variable', 'bitter');
  const face = {
    hash: 'b'.repeat(64),
    file: 'own-bbbbbbbb.woff2',
    mediaType: 'font/woff2',
    style: 'normal',
    weight: [100, 900],
    axes: [],
    features: ['tnum'],
  };

  test('are unpacked whole, however many at once', async () => {
    const files = await Promise.all(
      ['bitter', 'caveat', 'oswald', 'figtree'].map((slug) =>
        readFile(join(bitter, '..', slug, 'files', `${slug}-latin-wght-normal.woff2`)),
      ),
    );
    const together = await Promise.all(files.map(unpacked));
    for (const [k, file] of files.entries())
      expect(Buffer.compare(together[k] ?? Buffer.alloc(0), await unpacked(file))).toBe(0);
  });

  test('measure its words, and go out with its page with the letters that it has use for', async () => {
    const document = JSON.parse(await readFile(small, 'utf8')) as CollectionDocument;
    const of = (name: string) => ({
      ...document,
      look: { ...document.look, headingFamily: name, bodyFamily: name },
      families: { 'Bitter own': { name: 'Bitter own', faces: [face] } },
    });
    const own = await file('own.noria.json', JSON.stringify(of('Bitter own')));
    const shipped = await file('shipped.noria.json', JSON.stringify(of('Bitter')));
    await expect(noria('layout', own, '--width', '700')).rejects.toThrow(
      /There is no font .*own-bbbbbbbb\.woff2\. Fonts lie in a folder “fonts” beside the collection\./,
    );
    await mkdir(join(folder, 'fonts'), { recursive: true });
    await copyFile(join(bitter, 'files', 'bitter-latin-wght-normal.woff2'), join(folder, 'fonts', face.file));
    expect(await noria('layout', own, '--width', '700')).toBe(
      await noria('layout', shipped, '--width', '700'),
    );
    await symlink(join(demos, 'pictures'), join(folder, 'pictures')).catch(() => undefined);
    const out = join(folder, 'own-page');
    await noria('export', own, '--out', out);
    const bytes = await readFile(join(out, 'fonts', face.file));
    expect(bytes.toString('latin1', 0, 4)).toBe('wOF2');
    expect(await readFile(join(out, 'style.css'), 'utf8')).toContain(`url("fonts/${face.file}")`);
  });
});
