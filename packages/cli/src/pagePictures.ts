import { readDataAddress, type PictureFile, type PictureReader } from '@noria/core';
import { createHash } from 'node:crypto';
import { copyFile, mkdir, readFile, stat, writeFile } from 'node:fs/promises';
import { basename, extname, join, relative, isAbsolute } from 'node:path';
import sharp from 'sharp';
import { CliError, why } from './CliError.js';

/** A picture file is no larger, bytes. */
const MOST_BYTES = 64 * 2 ** 20;
/** A page has no more of them. */
const MOST_PICTURES = 2000;
const MEDIA_TYPES: Readonly<Record<string, PictureFile['mediaType']>> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  avif: 'image/avif',
  heif: 'image/avif',
  gif: 'image/gif',
  svg: 'image/svg+xml',
};

/** A picture of a page, and where it comes from. */
interface Beside extends PictureFile {
  /** Where its file is, or its bytes. */
  readonly from: string | Buffer;
}

/** The pictures that lie in the folder of a page. */
export class PagePictureFiles {
  private readonly found = new Map<string, Beside | null>();
  private readonly names = new Set<string>();
  private readonly used = new Map<string, Beside>();
  private readonly asked = new Set<string>();

  constructor(private readonly folder: string) {}

  /** Answers what was loaded, and remembers what else is asked for. */
  readonly read: PictureReader = (address) => {
    const found = this.found.get(address);
    if (found === undefined && this.asked.size < MOST_PICTURES) this.asked.add(address);
    if (!found) return null;
    this.used.set(found.hash, found);
    const { from: _, ...file } = found;
    return file;
  };

  /** Loads what was asked for. */
  async load(): Promise<void> {
    for (const address of this.asked) this.found.set(address, await this.at(address).catch(() => null));
    this.asked.clear();
  }

  /** Nothing of the web, nothing outside of the folder; what is written into the page itself. */
  private async at(address: string): Promise<Beside | null> {
    const held = readDataAddress(address);
    const path = held ? '' : join(this.folder, decodeURIComponent(address.replace(/[?#].*$/, '')));
    if (!held) {
      if (/^[a-z][a-z\d+.-]*:|^\/\//i.test(address)) return null;
      const inside = relative(this.folder, path);
      if (inside.startsWith('..') || isAbsolute(inside) || (await stat(path)).size > MOST_BYTES) return null;
    }
    const bytes = held
      ? Buffer.from(
          held.isBase64 ? held.data : decodeURIComponent(held.data),
          held.isBase64 ? 'base64' : 'utf8',
        )
      : await readFile(path);
    const { format, width, height } = await sharp(bytes).metadata();
    const mediaType = MEDIA_TYPES[format];
    if (mediaType === undefined) return null;
    const hash = createHash('sha256').update(bytes).digest('hex');
    const before = [...this.found.values()].find((each) => each?.hash === hash);
    return (
      before ?? {
        from: held ? bytes : path,
        file: this.fileName(held ? 'picture' : path, mediaType),
        hash,
        mediaType,
        inlineSize: width,
        blockSize: height,
      }
    );
  }

  /** A name that no other picture has. */
  private fileName(path: string, mediaType: PictureFile['mediaType']): string {
    const [, kind = ''] = /\/(\w+)/.exec(mediaType) ?? [];
    const base = basename(path, extname(path))
      .toLowerCase()
      .normalize('NFD')
      .replace(/[^a-z0-9._-]+/g, '-')
      .replace(/^[^a-z0-9]+/, '')
      .slice(0, 80);
    const stem = base === '' ? 'picture' : base;
    let name = `${stem}.${kind}`;
    for (let count = 2; this.names.has(name); count++) name = `${stem}-${count}.${kind}`;
    this.names.add(name);
    return name;
  }

  /**
   * Copies those that the collection shows to where it looks for them.
   * @throws CliError when one can't be written
   */
  async copyTo(folder: string): Promise<void> {
    if (this.used.size === 0) return;
    try {
      await mkdir(folder, { recursive: true });
      for (const { from, file } of this.used.values()) {
        const to = join(folder, file);
        if (typeof from !== 'string') await writeFile(to, from);
        else if (to !== from) await copyFile(from, to);
      }
    } catch (error) {
      throw new CliError(`Pictures can’t be written to ${folder}: ${why(error)}.`);
    }
  }
}
