import { describe, expect, test } from '@jest/globals';
import { strToU8, zipSync, type Zippable } from 'fflate';
import fc from 'fast-check';
import { PICTURES, unpackArchive } from './unpackArchive';

const unpacked = async (archive: File) => (await unpackArchive(archive, PICTURES)).map(({ file }) => file);

const zip = (entries: Zippable) => new File([zipSync(entries).slice()], 'huts.zip');
const names = async (entries: Zippable) => (await unpacked(zip(entries))).map(({ name }) => name);
const MB = 1024 * 1024;

describe('pictures in an archive', () => {
  test('come out with their bytes, names and types, from folders as well', async () => {
    const files = await unpacked(
      zip({
        'hut.PNG': strToU8('one'),
        'valley/dawn.jpeg': [strToU8('two'), { level: 0 }],
        'valley/': new Uint8Array(),
      }),
    );
    expect(files.map(({ name, type }) => [name, type])).toEqual([
      ['hut.PNG', 'image/png'],
      ['dawn.jpeg', 'image/jpeg'],
    ]);
    expect(await Promise.all(files.map((file) => file.text()))).toEqual(['one', 'two']);
  });

  test('are what is taken; other files and what systems put beside them are not', async () => {
    const beside = {
      'read.txt': strToU8('x'),
      '.hidden.png': strToU8('x'),
      '__MACOSX/._hut.png': strToU8('x'),
    };
    expect(await names({ ...beside, 'hut.webp': strToU8('x') })).toEqual(['hut.webp']);
    await expect(unpacked(zip(beside))).rejects.toThrow('There are no pictures in it.');
  });

  test.each(['../hut.png', '/hut.png', 'a/../../hut.png', 'C:\\hut.png', 'a\\..\\hut.png'])(
    'with a path that leads out of it, %s, are refused as a whole',
    async (path) => {
      const archive = zip({ 'sound.png': strToU8('x'), [path]: strToU8('x') });
      await expect(unpacked(archive)).rejects.toThrow('a path that leads out of it');
    },
  );

  test('that unpack to far more than they say are given up early', async () => {
    const bomb = zip({ 'hut.png': [new Uint8Array(60 * MB), { level: 9 }] });
    expect(bomb.size).toBeLessThan(MB);
    await expect(unpacked(bomb)).rejects.toThrow('“hut.png” in it unpacks to more than 40 MB.');
  });

  test('are two thousand at most', async () => {
    const many = (count: number) =>
      zip(
        Object.fromEntries(
          Array.from({ length: count }, (_, k) => [`${k}.png`, [strToU8('x'), { level: 0 }] as const]),
        ),
      );
    expect(await unpacked(many(2000))).toHaveLength(2000);
    await expect(unpacked(many(2001))).rejects.toThrow('It holds more than 2000 files. Split it.');
  });

  test.each([
    ['nothing', new Uint8Array()],
    ['words', strToU8('This is no archive, but a letter from the warden.')],
    ['an empty archive', zipSync({})],
  ])('of %s are none, and it is said', async (_, bytes) => {
    await expect(unpacked(new File([bytes.slice()], 'x.zip'))).rejects.toThrow(/no ZIP archive, or empty/);
  });

  test('of an archive that was cut short anywhere are refused, not taken in part', async () => {
    const noise = (seed: number) => Uint8Array.from({ length: 40_000 }, (_, k) => (k * k * seed + k) % 251);
    const whole = zipSync({ 'one.png': noise(3), 'two.png': noise(7), 'three.jpg': noise(11) });
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 0, max: whole.length - 1 }), async (length) => {
        const cut = new File([whole.slice(0, length)], 'cut.zip');
        await expect(unpacked(cut)).rejects.toThrow(/its end is missing/);
      }),
      { numRuns: 40 },
    );
  });

  test('of an archive with a part missing in the middle are refused as a whole', async () => {
    const noise = Uint8Array.from({ length: 9000 }, (_, k) => (k * 7919 + (k >> 3) * 104729) % 251);
    const whole = zipSync({ 'one.png': noise, 'two.png': [noise, { level: 0 }], 'three.png': noise });
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 40, max: 8000 }),
        fc.integer({ min: 500, max: 9000 }),
        async (from, count) => {
          const holed = new File([whole.slice(0, from), whole.slice(from + count)], 'holed.zip');
          await expect(unpacked(holed)).rejects.toThrow(/broken|unpacked|its end is missing/);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('of any bytes are files or words, never a crash without words', async () => {
    const whole = zipSync({ 'one.png': strToU8('a'.repeat(500)), 'two.png': strToU8('b') });
    await fc.assert(
      fc.asyncProperty(fc.nat(whole.length - 1), fc.nat(255), async (at, byte) => {
        const bytes = whole.slice();
        bytes[at] = byte;
        const said = await unpacked(new File([bytes], 'odd.zip')).then(() => '', String);
        expect(said).not.toMatch(/undefined|TypeError|RangeError|Cannot read/);
      }),
    );
  });
});
