import type { FileReader, Piece } from '../../files/fileReader.js';

const [EXTENSION, PICTURE, TRAILER] = [0x21, 0x2c, 0x3b];
const [GRAPHIC_CONTROL, APPLICATION] = [0xf9, 0xff];
/** Says how often a film of pictures is played. */
const LOOPS: ReadonlySet<string> = new Set(['NETSCAPE2.0', 'ANIMEXTS1.0']);

/** Size of a table of colours whose presence and size a byte of flags tells, bytes. */
const tableSize = (flags: number) => (flags & 0x80 ? 3 * 2 ** ((flags & 7) + 1) : 0);

/** What of a GIF is kept: pictures, their times, how often they are played; no comment, no words, no block of a program, nothing after the trailer (GIF89a, sections 18 to 27). */
export async function gifPieces(file: FileReader): Promise<Piece[]> {
  const [flags = 0] = await file.at(10, 1);
  let at = 13 + tableSize(flags);
  const pieces: Piece[] = [{ start: 0, end: Math.min(at, file.size) }];
  while (at < file.size) {
    const [kind, label = 0] = await file.at(at, 2);
    if (kind === TRAILER) {
      pieces.push({ start: at, end: at + 1 });
      break;
    }
    if (kind === PICTURE) {
      const [own = 0] = await file.at(at + 9, 1);
      const end = await afterBlocks(file, at + 11 + tableSize(own));
      pieces.push({ start: at, end });
      at = end;
    } else if (kind === EXTENSION) {
      const end = await afterBlocks(file, at + 2);
      const name = label === APPLICATION ? (await file.at(at + 3, 11)).toString('latin1') : '';
      if (label === GRAPHIC_CONTROL || LOOPS.has(name)) pieces.push({ start: at, end });
      at = end;
    } else break;
  }
  return pieces;
}

/** Blocks of a length and so many bytes, until one of length zero. */
async function afterBlocks(file: FileReader, from: number): Promise<number> {
  for (let at = from; at < file.size;) {
    const [length = 0] = await file.at(at, 1);
    at += 1 + length;
    if (length === 0) return at;
  }
  return file.size;
}
