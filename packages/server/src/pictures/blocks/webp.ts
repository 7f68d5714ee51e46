import type { FileReader, Piece } from '../../files/fileReader.js';

const KEPT: ReadonlySet<string> = new Set(['VP8 ', 'VP8L', 'VP8X', 'ALPH', 'ANIM', 'ANMF', 'ICCP']);
/** In the flags of VP8X: Exif and XMP are there. */
const SAYS_MORE = 0x08 | 0x04;

/** What of a WebP is kept: no Exif, no XMP, no chunk that is not known (RFC 9649, section 2.7). */
export async function webpPieces(file: FileReader): Promise<Piece[]> {
  const pieces: Piece[] = [];
  let size = 4;
  const riff = await file.at(0, 12);
  const ends = Math.min(file.size, 8 + riff.readUInt32LE(4));
  for (let at = 12; at + 8 <= ends;) {
    const head = await file.at(at, 8);
    const type = head.toString('latin1', 0, 4);
    const length = head.readUInt32LE(4);
    const end = Math.min(file.size, at + 8 + length + (length % 2));
    if (KEPT.has(type)) {
      size += end - at;
      if (type === 'VP8X') {
        const chunk = Buffer.from(await file.at(at, end - at));
        chunk[8] = (chunk[8] ?? 0) & ~SAYS_MORE;
        pieces.push({ bytes: chunk });
      } else pieces.push({ start: at, end });
    }
    at += 8 + length + (length % 2);
  }
  const head = Buffer.from(riff);
  head.writeUInt32LE(size, 4);
  return [{ bytes: head }, ...pieces];
}
