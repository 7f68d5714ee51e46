import { HttpStatus } from '@nestjs/common';
import type { PictureAsset } from '@noria/core';
import { open, readFile, stat, writeFile } from 'node:fs/promises';
import sharp, { type Metadata, type Sharp } from 'sharp';
import { hashOf } from '../files/files.service.js';
import { ProblemException } from '../problems/problem.js';
import { glance, type Glance } from './glance.js';
import { looksLikeSvg, MOST_SVG_BYTES, SVG_BEGINNING } from './svg/looksLikeSvg.js';
import { withViewBox } from './svg/withViewBox.js';
import { svgOutOfBounds } from './svg/bounds.js';
import { hasBlocks, writeWithoutWords } from './withoutWords.js';

const MOST_PIXELS = 120_000_000;
/** A drawing is as sharp at any size; this is how wide it counts. */
const DRAWING_WIDTH = 1600;

// Uploads come in masses, and each is read once: what libvips keeps of them would only fill memory.
sharp.cache(false);
sharp.concurrency(1);

/** A picture as it is stored; its bytes lie in a file. */
export interface ReadPicture extends Glance {
  readonly path: string;
  readonly hash: string;
  readonly mediaType: PictureAsset['mediaType'];
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly byteSize: number;
}

export interface Upload {
  readonly path: string;
  /** What it was called. */
  readonly name: string;
}

/** How an SVG's text is made safe, where what is kept may be written, and how long a picture may take, ms. */
export interface Reading {
  readonly scratch: string;
  readonly safeSvg: (text: string) => Promise<string | null>;
  readonly within: number;
}

const MEDIA_TYPES: Readonly<Record<string, PictureAsset['mediaType'] | undefined>> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  gif: 'image/gif',
  heif: 'image/avif',
};

/**
 * Reads an upload as a picture by decoding it, whatever its name says: turned upright, without what it
 * says of where it was taken, a drawing without anything that runs or loads.
 * @throws ProblemException 415 when it is no picture that can be read, 413 when it is too large
 */
export async function readPicture(upload: Upload, reading: Reading): Promise<ReadPicture> {
  try {
    const beginning = await beginningOf(upload.path);
    return await (looksLikeSvg(beginning) ? readDrawing(upload, reading) : readPixels(upload, reading));
  } catch (error) {
    // A fault of ours is not one of the picture.
    if (error instanceof ProblemException || error instanceof TypeError || 'code' in (error as Error))
      throw error;
    throw notAPicture(upload.name, 'Its bytes can’t be read as a picture.');
  }
}

async function beginningOf(path: string): Promise<Buffer> {
  const file = await open(path);
  try {
    const { buffer, bytesRead } = await file.read(Buffer.alloc(SVG_BEGINNING), 0, SVG_BEGINNING, 0);
    return buffer.subarray(0, bytesRead);
  } finally {
    await file.close();
  }
}

const options = { limitInputPixels: MOST_PIXELS, failOn: 'error' } as const;
const seconds = ({ within }: Reading) => ({ seconds: Math.max(1, Math.ceil(within / 1000)) });

async function readPixels({ path, name }: Upload, reading: Reading): Promise<ReadPicture> {
  const said = await sharp(path, { ...options, limitInputPixels: false }).metadata();
  const mediaType = MEDIA_TYPES[said.format];
  if (!mediaType || (said.format === 'heif' && said.compression !== 'av1'))
    throw notAPicture(name, `It is ${said.format.toUpperCase()}.`);
  const { width, height, pages = 1, orientation = 1 } = said;
  if (width * height * pages > MOST_PIXELS) throw tooManyPixels(name, width, height, pages);
  const kept = await withoutWords(path, mediaType, said, reading);
  const [inlineSize, blockSize] = orientation > 4 ? [height, width] : [width, height];
  const size = { inlineSize, blockSize };
  const looks = await glance(sharp(kept, options).timeout(seconds(reading)), size);
  return { ...looks, ...(await stored(kept)), mediaType, ...size };
}

/** The file of a picture without its words: block by block where it stands upright, else decoded and written anew. */
async function withoutWords(
  path: string,
  mediaType: PictureAsset['mediaType'],
  { orientation = 1, exif, xmp, iptc, comments, pages = 1 }: Metadata,
  reading: Reading,
): Promise<string> {
  const kept = reading.scratch;
  if (orientation === 1 && hasBlocks(mediaType)) {
    await writeWithoutWords(path, kept, mediaType);
    return kept;
  }
  if (orientation === 1 && !exif && !xmp && !iptc && !comments) return path;
  const again = sharp(path, { ...options, animated: pages > 1 })
    .autoOrient()
    .keepIccProfile()
    .timeout(seconds(reading));
  await encoded(again, mediaType).toFile(kept);
  return kept;
}

function encoded(picture: Sharp, mediaType: PictureAsset['mediaType']): Sharp {
  switch (mediaType) {
    case 'image/jpeg':
      return picture.jpeg({ quality: 93, mozjpeg: false });
    case 'image/png':
      return picture.png();
    case 'image/gif':
      return picture.gif();
    case 'image/webp':
      return picture.webp({ quality: 93 });
    default:
      return picture.avif({ quality: 70 });
  }
}

async function readDrawing({ path, name }: Upload, reading: Reading): Promise<ReadPicture> {
  const { size } = await stat(path);
  if (size > MOST_SVG_BYTES)
    throw notAPicture(name, `As an SVG it has ${size} bytes; at most ${MOST_SVG_BYTES} are read.`);
  const said = await readFile(path, 'utf8');
  const amiss = svgOutOfBounds(said);
  if (amiss !== null) throw notAPicture(name, amiss);
  const text = await reading.safeSvg(said);
  if (text === null) throw notAPicture(name, 'Nothing of a drawing is left once it is made safe.');
  const kept = reading.scratch;
  await writeFile(kept, withViewBox(text));
  const { width, height } = await sharp(kept, options).metadata();
  const scale = Math.max(1, DRAWING_WIDTH / width);
  const drawn = { inlineSize: Math.round(width * scale), blockSize: Math.max(1, Math.round(height * scale)) };
  return {
    ...(await glance(sharp(kept, options).timeout(seconds(reading)), drawn)),
    ...(await stored(kept)),
    mediaType: 'image/svg+xml',
    ...drawn,
  };
}

const stored = async (path: string) => ({
  path,
  byteSize: (await stat(path)).size,
  hash: await hashOf(path),
});

function notAPicture(name: string, why: string): ProblemException {
  return new ProblemException(
    HttpStatus.UNSUPPORTED_MEDIA_TYPE,
    'not-a-picture',
    'Not a picture',
    `“${name}” was not stored. ${why} Choose a JPEG, PNG, WebP, AVIF, GIF or SVG picture.`,
  );
}

function tooManyPixels(name: string, width: number, height: number, pages: number): ProblemException {
  return new ProblemException(
    HttpStatus.PAYLOAD_TOO_LARGE,
    'picture-too-large',
    'The picture is too large',
    `“${name}” was not stored. It is ${width} × ${height} px${pages > 1 ? `, ${pages} times` : ''}; at most ${MOST_PIXELS / 1e6} million px are read. Make it smaller first.`,
  );
}
