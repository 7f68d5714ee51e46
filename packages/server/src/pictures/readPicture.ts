import { HttpStatus } from '@nestjs/common';
import type { PictureAsset } from '@noria/core';
import { createHash } from 'node:crypto';
import sharp, { type Metadata, type Sharp } from 'sharp';
import { ProblemException } from '../problems/problem.js';
import { looksLikeSvg, MOST_SVG_BYTES, safeSvg } from './safeSvg.js';
import { jpegWithoutPlace } from './withoutPlace.js';

export const MOST_PICTURE_BYTES = 40 * 1024 * 1024;
const MOST_PIXELS = 120_000_000;
/** A drawing is as sharp at any size; this is how wide it counts. */
const DRAWING_WIDTH = 1600;

// Uploads come in masses, and each is read once: what libvips keeps of them would only fill memory.
sharp.cache(false);
sharp.concurrency(1);

export interface ReadPicture {
  readonly bytes: Buffer;
  readonly hash: string;
  readonly mediaType: PictureAsset['mediaType'];
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly byteSize: number;
  /** Mean, darkest and lightest. */
  readonly colours: string[];
  readonly placeholder: string | null;
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
export async function readPicture(upload: Buffer, name: string): Promise<ReadPicture> {
  try {
    return looksLikeSvg(upload) ? await readDrawing(upload, name) : await readPixels(upload, name);
  } catch (error) {
    // A fault of ours is not one of the picture.
    if (error instanceof ProblemException || error instanceof TypeError || 'code' in (error as Error))
      throw error;
    throw notAPicture(name, 'Its bytes can’t be read as a picture.');
  }
}

const options = { limitInputPixels: MOST_PIXELS, failOn: 'error' } as const;

async function readPixels(upload: Buffer, name: string): Promise<ReadPicture> {
  const said = await sharp(upload, { ...options, limitInputPixels: false }).metadata();
  const mediaType = MEDIA_TYPES[said.format];
  if (!mediaType || (said.format === 'heif' && said.compression !== 'av1'))
    throw notAPicture(name, `It is ${said.format.toUpperCase()}.`);
  const { width, height, pages = 1, orientation = 1 } = said;
  if (width * height * pages > MOST_PIXELS) throw tooManyPixels(name, width, height, pages);
  const bytes = await withoutWhatItSays(upload, said);
  const [inlineSize, blockSize] = orientation > 4 ? [height, width] : [width, height];
  return { ...(await glance(sharp(bytes, options))), ...stored(bytes), mediaType, inlineSize, blockSize };
}

async function withoutWhatItSays(upload: Buffer, said: Metadata): Promise<Buffer> {
  const { format, orientation = 1, exif, xmp, iptc, pages = 1 } = said;
  const isSilent = !exif && !xmp && !iptc;
  if (orientation === 1 && format === 'jpeg') return isSilent ? upload : jpegWithoutPlace(upload);
  if (orientation === 1 && isSilent) return upload;
  const again = sharp(upload, { ...options, animated: pages > 1 })
    .autoOrient()
    .keepIccProfile();
  switch (format) {
    case 'jpeg':
      return again.jpeg({ quality: 93, mozjpeg: false }).toBuffer();
    case 'png':
      return again.png().toBuffer();
    case 'gif':
      return again.gif().toBuffer();
    case 'webp':
      return again.webp({ quality: 93 }).toBuffer();
    default:
      return again.avif({ quality: 70 }).toBuffer();
  }
}

async function readDrawing(upload: Buffer, name: string): Promise<ReadPicture> {
  if (upload.length > MOST_SVG_BYTES)
    throw notAPicture(name, `As an SVG it has ${upload.length} bytes; at most ${MOST_SVG_BYTES} are read.`);
  const text = await safeSvg(upload);
  if (text === null) throw notAPicture(name, 'Nothing of a drawing is left once it is made safe.');
  const bytes = Buffer.from(text, 'utf8');
  const { width, height } = await sharp(bytes, options).metadata();
  const scale = Math.max(1, DRAWING_WIDTH / width);
  return {
    ...(await glance(sharp(bytes, options))),
    ...stored(bytes),
    mediaType: 'image/svg+xml',
    inlineSize: Math.round(width * scale),
    blockSize: Math.max(1, Math.round(height * scale)),
  };
}

const stored = (bytes: Buffer) => ({
  bytes,
  byteSize: bytes.length,
  hash: createHash('sha256').update(bytes).digest('hex'),
});

const GLANCE = 32;
const hex = (rgb: readonly number[]) =>
  `#${rgb.map((value) => Math.round(value).toString(16).padStart(2, '0')).join('')}`;

/** Decodes the whole picture into a few px: its colours, and what shows until it has come. */
async function glance(picture: Sharp): Promise<Pick<ReadPicture, 'colours' | 'placeholder'>> {
  const { data } = await picture
    .resize(GLANCE, GLANCE, { fit: 'fill' })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const all = Array.from({ length: GLANCE * GLANCE }, (_, k) => [...data.subarray(k * 4, k * 4 + 4)]);
  const seen = all.filter(([, , , alpha = 0]) => alpha > 127);
  if (seen.length === 0) return { colours: [], placeholder: null };
  const light = ([r = 0, g = 0, b = 0]: readonly number[]) => 0.2126 * r + 0.7152 * g + 0.0722 * b;
  const sorted = seen.toSorted((a, b) => light(a) - light(b));
  const at = (share: number) => (sorted[Math.floor((sorted.length - 1) * share)] ?? []).slice(0, 3);
  const mean = [0, 1, 2].map(
    (channel) => seen.reduce((sum, px) => sum + (px[channel] ?? 0), 0) / seen.length,
  );
  const isOpaque = all.every(([, , , alpha]) => alpha === 255);
  const small = isOpaque
    ? await sharp(data, { raw: { width: GLANCE, height: GLANCE, channels: 4 } })
        .removeAlpha()
        .resize(16, 16)
        .webp({ quality: 30 })
        .toBuffer()
    : null;
  return {
    colours: [mean, at(0.04), at(0.96)].map(hex),
    placeholder: small && `data:image/webp;base64,${small.toString('base64')}`,
  };
}

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
