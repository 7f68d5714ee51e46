import type { FilmAsset } from '@noria/core';
import { open } from 'node:fs/promises';
import { FileReader } from '../files/fileReader.js';

const MOST_BOXES = 2000;

/**
 * Whether a file is a film of its type: its parts fit together, and there is moving picture in it. A
 * file may begin as one and be nothing of the kind.
 */
export async function isFilm(path: string, mediaType: FilmAsset['mediaType']): Promise<boolean> {
  const file = await open(path);
  try {
    const reader = new FileReader(file, (await file.stat()).size);
    return await (mediaType === 'video/mp4' ? hasMp4Picture(reader) : hasWebmPicture(reader));
  } finally {
    await file.close();
  }
}

/** The boxes of an MP4 that lead to the kind of a track (ISO/IEC 14496-12, sections 4.2 and 8). */
const WAY_TO_HANDLER = ['moov', 'trak', 'mdia', 'hdlr'];

async function hasMp4Picture(file: FileReader): Promise<boolean> {
  let boxes = 0;
  const search = async (from: number, to: number, depth: number): Promise<boolean> => {
    for (let at = from; at + 8 <= to && boxes++ < MOST_BOXES;) {
      const head = await file.at(at, 16);
      const type = head.toString('latin1', 4, 8);
      let [size, start] = [head.readUInt32BE(), at + 8];
      if (size === 1 && head.length === 16) [size, start] = [Number(head.readBigUInt64BE(8)), at + 16];
      if (size === 0) size = to - at;
      if (size < 8 || at + size > to) return false;
      if (type === WAY_TO_HANDLER[depth]) {
        const isPicture =
          depth === 3
            ? (await file.at(start + 8, 4)).toString('latin1') === 'vide'
            : await search(start, at + size, depth + 1);
        if (isPicture) return true;
      }
      at += size;
    }
    return false;
  };
  return search(0, file.size, 0);
}

/** Elements of a WebM by id (RFC 8794 and 9559): those that lead to the kind of a track. */
const [EBML, SEGMENT, TRACKS, TRACK_ENTRY, TRACK_TYPE] = [0x1a45dfa3, 0x18538067, 0x1654ae6b, 0xae, 0x83];
const INSIDE: ReadonlySet<number> = new Set([SEGMENT, TRACKS, TRACK_ENTRY]);
const PICTURE_TRACK = 1;

async function hasWebmPicture(file: FileReader): Promise<boolean> {
  const first = await element(file, 0);
  if (first?.id !== EBML) return false;
  let at = first.start + first.size;
  for (let seen = 0; at < file.size && seen < MOST_BOXES; seen++) {
    const next = await element(file, at);
    if (!next) return false;
    const { id, start, size } = next;
    if (id === TRACK_TYPE && (await file.at(start, 1))[0] === PICTURE_TRACK) return true;
    at = INSIDE.has(id) ? start : start + size;
  }
  return false;
}

/** An element’s id and size, which say by their first bits how long they are; one of unknown size goes on to the end. */
async function element(file: FileReader, at: number) {
  const head = await file.at(at, 12);
  const idLength = Math.clz32(head[0] ?? 0) - 23;
  if (idLength > 4 || head.length < idLength + 1) return null;
  const sizeLength = Math.clz32(head[idLength] ?? 0) - 23;
  if (sizeLength > 8 || head.length < idLength + sizeLength) return null;
  const bytes = head.subarray(idLength, idLength + sizeLength);
  const digits = [(bytes[0] ?? 0) & ((1 << (8 - sizeLength)) - 1), ...bytes.subarray(1)];
  const isUnknown = digits.every((digit, k) => digit === (k === 0 ? (1 << (8 - sizeLength)) - 1 : 0xff));
  const start = at + idLength + sizeLength;
  const size = isUnknown ? file.size - start : digits.reduce((sum, digit) => sum * 256 + digit, 0);
  return { id: head.readUIntBE(0, idLength), start, size };
}
