import type { FileHandle } from 'node:fs/promises';

const WINDOW = 256 * 1024;

/** Reads a file at any place through a small window, so that it is never in memory as a whole. */
export class FileReader {
  private window = Buffer.alloc(0);
  private from = 0;

  constructor(
    private readonly file: FileHandle,
    readonly size: number,
  ) {}

  /** So many bytes from a place; fewer at the end of the file. At most as many as a window holds. */
  async at(place: number, length: number): Promise<Buffer> {
    const isHere = place >= this.from && place + length <= this.from + this.window.length;
    if (!isHere) {
      const read = Buffer.alloc(Math.max(0, Math.min(Math.max(WINDOW, length), this.size - place)));
      const { bytesRead } = await this.file.read(read, 0, read.length, place);
      this.window = read.subarray(0, bytesRead);
      this.from = place;
    }
    return this.window.subarray(place - this.from, place - this.from + length);
  }

  /** Where a byte next comes, from a place on; the file's end when it doesn't. */
  async next(byte: number, place: number): Promise<number> {
    for (let at = place; at < this.size;) {
      const window = await this.at(at, Math.min(WINDOW, this.size - at));
      const found = window.indexOf(byte);
      if (found >= 0) return at + found;
      if (window.length === 0) break;
      at += window.length;
    }
    return this.size;
  }
}

/** Bytes of a file from `start` to `end`, the end not included; or bytes that stand in their place. */
export type Piece = { readonly start: number; readonly end: number } | { readonly bytes: Buffer };
