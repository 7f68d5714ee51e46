import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { CollectionDocument, FontFace } from '@noria/core';
import * as fontkit from 'fontkit';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import request from 'supertest';
import wawoff2 from 'wawoff2';
import { createTestApp, oneStat, type TestApp } from '../testing/testApp.js';

let running: TestApp;
const http = () => request(running.app.getHttpServer());
const fonts = '/api/workspaces/huts/fonts';
const { resolve } = createRequire(import.meta.url);

/** A variable font that ships, as it is and unpacked. */
const shipped = (slug: string) =>
  readFile(resolve(`@fontsource-variable/${slug}/files/${slug}-latin-wght-normal.woff2`));
const plain = async (slug: string) => Buffer.from(await wawoff2.decompress(await shipped(slug)));

interface Stored {
  readonly hash: string;
  readonly family: string;
  readonly mediaType: FontFace['mediaType'];
  readonly facts: Pick<FontFace, 'style' | 'weight' | 'axes' | 'features'>;
  readonly uses: number;
}
const send = (bytes: Buffer, name: string) => http().post(fonts).attach('font', bytes, name);
const store = async (bytes: Buffer, name: string) => (await send(bytes, name).expect(201)).body as Stored;
const detail = (response: { body: unknown }) => (response.body as { detail: string }).detail;

beforeAll(async () => {
  running = await createTestApp();
});
afterAll(() => running.close());

/** A collection whose body type is a font that was added. */
function inFont({ hash, family, mediaType, facts }: Stored): CollectionDocument {
  const document = oneStat();
  return {
    ...document,
    look: { ...document.look, bodyFamily: family },
    families: { [family]: { name: family, faces: [{ hash, mediaType, file: 'own.ttf', ...facts }] } },
  };
}

describe('fonts', () => {
  test('are read, stored once, and delivered to keep', async () => {
    const bytes = await plain('bitter');
    const stored = await store(bytes, 'bitter.ttf');
    // A family that ships is not shadowed by one that was added.
    expect(stored).toMatchObject({ name: 'bitter.ttf', family: 'Bitter own', mediaType: 'font/ttf' });
    expect(stored.facts).toMatchObject({ style: 'normal', weight: [100, 900], axes: [] });
    expect(stored.facts.features).toContain('tnum');
    expect(await store(bytes, 'again.ttf')).toMatchObject({ hash: stored.hash, name: 'bitter.ttf' });
    const original = await http().get(`${fonts}/${stored.hash}`).expect(200);
    expect(original.headers).toMatchObject({
      'content-type': 'font/ttf',
      'cache-control': 'public, max-age=31536000, immutable',
    });
    expect(Buffer.compare(original.body as Buffer, bytes)).toBe(0);
    const compressed = await store(await shipped('caveat'), 'caveat.woff2');
    expect(compressed).toMatchObject({ family: 'Caveat own', mediaType: 'font/woff2' });
    const listed = (await http().get(fonts).expect(200)).body as { entries: Stored[] };
    expect(listed.entries.map(({ family }) => family)).toEqual(['Caveat own', 'Bitter own']);
    await http().get(`/api/workspaces/other/fonts/${stored.hash}`).expect(404);
  });

  test('are cut down to some characters, with what their features make of them', async () => {
    const { hash } = await store(await plain('bitter'), 'bitter.ttf');
    const cut = async (characters: string) => {
      const answer = await http().post(`${fonts}/${hash}/subset`).send({ characters }).expect(200);
      expect(answer.headers['content-type']).toBe('font/woff2');
      return answer.body as Buffer;
    };
    const [few, more] = [await cut('Hut 4'), await cut('Hut 4, its own page: 0123456789')];
    expect(few.length).toBeLessThan(more.length);
    const font = fontkit.create(Buffer.from(await wawoff2.decompress(more))) as fontkit.Font;
    expect(Array.from('Hut4').every((each) => font.hasGlyphForCodePoint(each.codePointAt(0) ?? 0))).toBe(
      true,
    );
    expect(font.hasGlyphForCodePoint('z'.codePointAt(0) ?? 0)).toBe(false);
    expect(font.availableFeatures).toContain('tnum');
    expect(font.variationAxes.wght).toMatchObject({ min: 100, max: 900 });
    await http().post(`${fonts}/${hash}/subset`).send({}).expect(400);
    await http()
      .post(`${fonts}/${hash}/subset`)
      .send({ characters: 'x'.repeat(70_001) })
      .expect(400);
  });

  test('that are none are refused with what to do, whatever they are called', async () => {
    const broken = Buffer.from((await plain('bitter')).subarray(0, 900));
    const lies = Buffer.concat([Buffer.from('wOF2\0\x01\0\0'), Buffer.alloc(80, 0x7f)]);
    const collection = Buffer.concat([Buffer.from('ttcf'), Buffer.alloc(40)]);
    for (const [bytes, why] of [
      [Buffer.from('#!/bin/sh'), 'Its bytes can’t be read as a font.'],
      [broken, 'its tables can’t be read'],
      [lies, 'larger unpacked'],
      [collection, 'a collection of several fonts'],
    ] as const) {
      const answer = await send(bytes, 'hut.ttf').expect(415);
      expect(detail(answer)).toContain(why);
      expect(detail(answer)).toContain('Choose a WOFF2, TTF or OTF font.');
    }
    await http().post(fonts).expect(400);
  });

  test('that are used are deleted only when that is said to be known', async () => {
    const stored = await store(await shipped('oswald'), 'oswald.woff2');
    const document = { ...inFont(stored), name: 'In its own letters' };
    await http().post('/api/workspaces/huts/collections').send({ document }).expect(201);
    const listed = (await http().get(fonts).expect(200)).body as { entries: Stored[] };
    expect(listed.entries.find(({ hash }) => hash === stored.hash)?.uses).toBe(1);
    const refused = await http().delete(`${fonts}/${stored.hash}`).expect(409);
    expect(detail(refused)).toContain('“In its own letters”');
    await http().delete(`${fonts}/${stored.hash}?evenUsed=true`).expect(204);
    await http().get(`${fonts}/${stored.hash}`).expect(404);
  });

  test('a collection names no family that is not there', async () => {
    const document = oneStat();
    const wrong = { ...document, look: { ...document.look, bodyFamily: 'Nobody Sans' } };
    const answer = await http()
      .post('/api/workspaces/huts/collections')
      .send({ document: wrong })
      .expect(422);
    expect(JSON.stringify(answer.body)).toContain('There is no type family “Nobody Sans”');
  });
});
