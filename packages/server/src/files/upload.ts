import { HttpStatus, Inject, Injectable, mixin, type NestInterceptor, type Type } from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { diskStorage } from 'multer';
import { rm } from 'node:fs/promises';
import { CONFIG } from '../config/config.module.js';
import type { Config, ServerLimits } from '../config/config.js';
import { ProblemException } from '../problems/problem.js';

/**
 * Takes one file of a multipart form to the disk, never to memory: many come at once.
 * @param field the form's field
 * @param bytes which limit holds
 */
export function Upload(field: string, bytes: keyof ServerLimits): Type<NestInterceptor> {
  @Injectable()
  class UploadInterceptor extends FileInterceptor(field) {
    constructor(@Inject(CONFIG) config: Config) {
      super({
        storage: diskStorage({}),
        limits: { fileSize: config.limits[bytes], files: 1, fields: 20, fieldSize: 10_000, parts: 25 },
        defParamCharset: 'utf8',
      });
    }
  }
  return mixin(UploadInterceptor);
}

/**
 * Works with an uploaded file, and takes it away from the disk.
 * @throws ProblemException 400 when the form has none
 */
export async function withUpload<Result>(
  file: Express.Multer.File | undefined,
  what: string,
  work: (file: Express.Multer.File) => Promise<Result>,
): Promise<Result> {
  if (!file) {
    throw new ProblemException(
      HttpStatus.BAD_REQUEST,
      'malformed',
      'The request is malformed',
      `Send the ${what} as the field “${what}” of a multipart form.`,
    );
  }
  try {
    return await work(file);
  } finally {
    await rm(file.path, { force: true });
  }
}
