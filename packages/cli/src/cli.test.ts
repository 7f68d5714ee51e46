import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { program } from './program.js';
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

  test.each(['', 'wide', '360,', '-1', '0'])('refuses the width “%s”', async (width) => {
    await expect(noria('layout', demo, '--width', width)).rejects.toThrow(
      /is no width. Write them in px with commas/,
    );
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
