import { Unzip, UnzipInflate, UnzipPassThrough } from 'fflate';

const MOST_ENTRY_BYTES = 40 * 1024 * 1024;
const MOST_BYTES = 2 * 1024 * 1024 * 1024;
const MOST_ENTRIES = 2000;
const PICTURE_TYPES: Readonly<Record<string, string>> = {
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  avif: 'image/avif',
  gif: 'image/gif',
  svg: 'image/svg+xml',
};

const mb = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;

/** What is taken of an archive. */
export interface Taken {
  /** Media types by what the names of files end with. */
  readonly types: Readonly<Record<string, string>>;
  /** What is said where there is nothing of it. */
  readonly none: string;
}

/** A file and where it lies: in a folder, or in an archive. */
export interface PathedFile {
  /** From there, as `pictures/hut.png`. */
  readonly path: string;
  readonly file: File;
}

export const PICTURES: Taken = { types: PICTURE_TYPES, none: 'There are no pictures in it.' };

/**
 * What is wanted in an archive, unpacked while it is read; gives up as soon as it asks for too much.
 * @throws Error when it is broken, hostile, too large or holds nothing of what is wanted
 */
export async function unpackArchive(archive: File, { types, none }: Taken): Promise<PathedFile[]> {
  const said = await saidCount(archive);
  if (said === null) throw new Error('It is no ZIP archive, or empty, or its end is missing.');
  const files: PathedFile[] = [];
  /** Set in what is called while the archive is read. */
  const state: { trouble: Error | null } = { trouble: null };
  let entries = 0;
  let bytes = 0;
  let open = 0;
  const fail = (message: string) => (state.trouble ??= new Error(`${message} Nothing was imported.`));
  const unzip = new Unzip((entry) => {
    entries++;
    if (state.trouble) return;
    const path = entry.name.replaceAll('\\', '/');
    if (path.startsWith('/') || /^[a-z]:/i.test(path) || path.split('/').includes('..')) {
      fail(`It holds a file with a path that leads out of it: “${entry.name.slice(0, 80)}”.`);
      return;
    }
    if (entries > MOST_ENTRIES) {
      fail(`It holds more than ${MOST_ENTRIES} files. Split it.`);
      return;
    }
    const name = path.split('/').at(-1) ?? '';
    const type = types[/\.([a-z]+)$/i.exec(name)?.[1]?.toLowerCase() ?? ''];
    // Folders, other files, and what some systems put beside each file.
    if (!type || name.startsWith('.') || path.startsWith('__MACOSX/')) return;
    const parts: Uint8Array<ArrayBuffer>[] = [];
    let size = 0;
    entry.ondata = (error, chunk, final) => {
      if (error) {
        fail(`“${name}” in it can’t be unpacked.`);
        return;
      }
      size += chunk.length;
      bytes += chunk.length;
      if (size > MOST_ENTRY_BYTES) fail(`“${name}” in it unpacks to more than ${mb(MOST_ENTRY_BYTES)}.`);
      if (bytes > MOST_BYTES) fail(`It unpacks to more than ${mb(MOST_BYTES)}. Split it.`);
      if (state.trouble) {
        parts.length = 0;
        entry.terminate();
        return;
      }
      parts.push(chunk.slice());
      if (!final) return;
      open--;
      files.push({ path, file: new File(parts, name, { type }) });
    };
    open++;
    entry.start();
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  const reader = archive.stream().getReader();
  try {
    for (;;) {
      const { done, value } = await reader.read();
      // Small pieces, so that one can't become gigabytes before it is looked at.
      const piece = value ?? new Uint8Array();
      for (let at = 0; at < piece.length && !state.trouble; at += PIECE)
        unzip.push(piece.subarray(at, at + PIECE));
      if (state.trouble) break;
      if (done) {
        unzip.push(new Uint8Array(), true);
        break;
      }
    }
  } catch {
    fail('It is no ZIP archive, or broken.');
  } finally {
    void reader.cancel();
  }
  if (state.trouble) throw state.trouble;
  if (open > 0 || entries < said) throw new Error('It is broken: a part is missing. Nothing was imported.');
  if (entries === 0) throw new Error('It is no ZIP archive, or empty.');
  if (files.length === 0) throw new Error(none);
  return files;
}

const PIECE = 16 * 1024;

const END_SIGNATURE = 0x06054b50;
const END_BYTES = 22;
const LONGEST_COMMENT = 0xffff;

/** How many files an archive says at its end that it holds, 65,535 for more; null where it has no end. */
async function saidCount(archive: File): Promise<number | null> {
  const end = new DataView(await archive.slice(-END_BYTES - LONGEST_COMMENT).arrayBuffer());
  for (let at = end.byteLength - END_BYTES; at >= 0; at--)
    if (end.getUint32(at, true) === END_SIGNATURE) return end.getUint16(at + 10, true);
  return null;
}
