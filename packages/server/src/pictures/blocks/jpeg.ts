import type { FileReader, Piece } from '../../files/fileReader.js';

const [START_OF_SCAN, END_OF_IMAGE] = [0xda, 0xd9];
/** JFIF, colour profile, and what Adobe says of the colour transform: without these, colours change. */
const KEPT_APPLICATION: ReadonlySet<number> = new Set([0xe0, 0xe2, 0xee]);
const ICC = 'ICC_PROFILE\0';

/**
 * What of a JPEG is kept: its picture data, byte by byte, with its colour profile. Exif, XMP, IPTC,
 * comments, previews and what follows the picture's end are left out (ITU-T T.81, annex B: segments of
 * marker, length and data; between scans as well).
 */
export async function jpegPieces(file: FileReader): Promise<Piece[]> {
  const pieces: Piece[] = [{ start: 0, end: 2 }];
  let at = 2;
  while (at < file.size) {
    const [ff, marker = 0] = await file.at(at, 2);
    if (ff !== 0xff) {
      // Coded data that does not begin with a marker belongs to the scan before.
      const end = await nextMarker(file, at);
      pieces.push({ start: at, end });
      at = end;
      continue;
    }
    if (marker === 0xff) {
      at++;
      continue;
    }
    if (marker === END_OF_IMAGE) {
      pieces.push({ start: at, end: at + 2 });
      break;
    }
    const length = (await file.at(at + 2, 2)).length === 2 ? (await file.at(at + 2, 2)).readUInt16BE() : 0;
    if (length < 2) break;
    let end = Math.min(file.size, at + 2 + length);
    const isKept = await keeps(file, at, marker);
    if (marker === START_OF_SCAN) end = await nextMarker(file, end);
    if (isKept) pieces.push({ start: at, end });
    at = end;
  }
  return pieces;
}

async function keeps(file: FileReader, at: number, marker: number): Promise<boolean> {
  if (marker === 0xfe) return false;
  if (marker < 0xe0 || marker > 0xef) return true;
  if (!KEPT_APPLICATION.has(marker)) return false;
  const name = (await file.at(at + 4, ICC.length)).toString('latin1');
  if (marker === 0xe2) return name === ICC;
  // A JFIF extension (JFXX) holds a preview of the whole picture.
  return marker === 0xe0 ? name.startsWith('JFIF\0') : name.startsWith('Adobe');
}

/** Coded data goes on over stuffed zeros and restart markers. */
async function nextMarker(file: FileReader, from: number): Promise<number> {
  for (let at = from; ; at++) {
    at = await file.next(0xff, at);
    if (at + 1 >= file.size) return file.size;
    const [following = 0] = await file.at(at + 1, 1);
    const isData = following === 0 || following === 0xff || (following >= 0xd0 && following <= 0xd7);
    if (!isData) return at;
  }
}
