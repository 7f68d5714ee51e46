import type { FileReader, Piece } from '../../files/fileReader.js';

/** What draws the picture, tells its colours, or moves it (PNG 3, sections 5 and 11). */
const KEPT: ReadonlySet<string> = new Set([
  ...['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS'],
  ...['cHRM', 'gAMA', 'iCCP', 'sBIT', 'sRGB', 'cICP', 'mDCV', 'cLLI', 'bKGD', 'pHYs'],
  ...['acTL', 'fcTL', 'fdAT'],
]);

/** What of a PNG is kept: no words, times, Exif or blocks of programs, and nothing after its end. */
export async function pngPieces(file: FileReader): Promise<Piece[]> {
  const pieces: Piece[] = [{ start: 0, end: 8 }];
  for (let at = 8; at + 12 <= file.size;) {
    const head = await file.at(at, 8);
    const type = head.toString('latin1', 4, 8);
    const end = at + 12 + head.readUInt32BE();
    if (KEPT.has(type)) pieces.push({ start: at, end: Math.min(end, file.size) });
    if (type === 'IEND') break;
    at = end;
  }
  return pieces;
}
