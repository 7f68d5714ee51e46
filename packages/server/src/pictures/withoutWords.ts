import type { PictureAsset } from '@noria/core';
import { open } from 'node:fs/promises';
import { createReadStream, createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { FileReader, type Piece } from '../files/fileReader.js';
import { gifPieces } from './blocks/gif.js';
import { jpegPieces } from './blocks/jpeg.js';
import { pngPieces } from './blocks/png.js';
import { webpPieces } from './blocks/webp.js';

type Blocks = (file: FileReader) => Promise<Piece[]>;
const BLOCKS: Partial<Readonly<Record<PictureAsset['mediaType'], Blocks>>> = {
  'image/jpeg': jpegPieces,
  'image/png': pngPieces,
  'image/gif': gifPieces,
  'image/webp': webpPieces,
};

/** Whether a type's blocks are known, so that words can be taken out without touching the picture. */
export const hasBlocks = (mediaType: PictureAsset['mediaType']) => BLOCKS[mediaType] !== undefined;

/**
 * Writes a picture to `to` without the blocks that could say where, when, by whom or with what it was
 * made; its picture data and colour profile stay as they are, byte by byte.
 */
export async function writeWithoutWords(
  from: string,
  to: string,
  mediaType: PictureAsset['mediaType'],
): Promise<void> {
  const blocks = BLOCKS[mediaType];
  if (!blocks) throw new Error(`The blocks of ${mediaType} are not known.`);
  const file = await open(from);
  try {
    const pieces = await blocks(new FileReader(file, (await file.stat()).size));
    await pipeline(async function* () {
      for (const piece of joined(pieces)) {
        if ('bytes' in piece) yield piece.bytes;
        else
          yield* createReadStream(from, { start: piece.start, end: piece.end - 1 }) as AsyncIterable<Buffer>;
      }
    }, createWriteStream(to));
  } finally {
    await file.close();
  }
}

/** Pieces that follow each other are one. */
function joined(pieces: readonly Piece[]): Piece[] {
  const all: Piece[] = [];
  for (const piece of pieces) {
    const last = all.at(-1);
    if (last && 'end' in last && 'start' in piece && last.end === piece.start)
      all[all.length - 1] = { start: last.start, end: piece.end };
    else if ('bytes' in piece || piece.end > piece.start) all.push(piece);
  }
  return all;
}
