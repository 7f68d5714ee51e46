import { HttpStatus } from '@nestjs/common';
import type { PictureAsset } from '@noria/core';
import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { ProblemException } from '../problems/problem.js';

export const MOST_PICTURE_BYTES = 40 * 1024 * 1024;
const MOST_PIXELS = 120_000_000;

export interface ReadPicture {
  readonly bytes: Buffer;
  readonly hash: string;
  readonly mediaType: PictureAsset['mediaType'];
  readonly inlineSize: number;
  readonly blockSize: number;
}

const MEDIA_TYPES: Readonly<Record<string, PictureAsset['mediaType'] | undefined>> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
};

/**
 * Reads an upload as a picture by decoding it whole, whatever its name says.
 * @throws ProblemException 415 when it is no picture that can be read, 413 when it has too many px
 */
export async function readPicture(upload: Buffer, name: string): Promise<ReadPicture> {
  const options = { limitInputPixels: MOST_PIXELS, failOn: 'error' } as const;
  try {
    const {
      format,
      orientation = 1,
      width,
      height,
    } = await sharp(upload, { ...options, limitInputPixels: false }).metadata();
    const mediaType = MEDIA_TYPES[format];
    if (!mediaType) throw notAPicture(name, `It is ${format.toUpperCase()}.`);
    if (width * height > MOST_PIXELS) throw tooManyPixels(name, width, height);
    const bytes = orientation > 1 ? await sharp(upload, options).autoOrient().toBuffer() : upload;
    await sharp(bytes, options).stats();
    const [inlineSize, blockSize] = orientation > 4 ? [height, width] : [width, height];
    return {
      bytes,
      hash: createHash('sha256').update(bytes).digest('hex'),
      mediaType,
      inlineSize,
      blockSize,
    };
  } catch (error) {
    if (error instanceof ProblemException) throw error;
    throw notAPicture(name, 'Its bytes can’t be read as a picture.');
  }
}

function notAPicture(name: string, why: string): ProblemException {
  return new ProblemException(
    HttpStatus.UNSUPPORTED_MEDIA_TYPE,
    'not-a-picture',
    'Not a picture',
    `“${name}” was not stored. ${why} Choose a JPEG, PNG or WebP picture.`,
  );
}

function tooManyPixels(name: string, width: number, height: number): ProblemException {
  return new ProblemException(
    HttpStatus.PAYLOAD_TOO_LARGE,
    'picture-too-large',
    'The picture is too large',
    `“${name}” was not stored. It is ${width} × ${height} px; at most ${MOST_PIXELS / 1e6} million px are read. Make it smaller first.`,
  );
}
