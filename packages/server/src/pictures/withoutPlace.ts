const MARKER = 0xff;
const START_OF_SCAN = 0xda;
/** Exif and XMP, IPTC, comments: what says where, when and by whom a picture was taken. */
const SAID_OF_IT: ReadonlySet<number> = new Set([0xe1, 0xed, 0xfe]);

/**
 * A JPEG without what it says of where it was taken; its picture data and colour profile stay as they
 * are, byte by byte (ITU-T T.81, annex B: segments of marker, length and data).
 */
export function jpegWithoutPlace(jpeg: Buffer): Buffer {
  const kept: Buffer[] = [jpeg.subarray(0, 2)];
  let at = 2;
  while (at + 4 <= jpeg.length && jpeg[at] === MARKER) {
    const marker = jpeg[at + 1] as number;
    if (marker === START_OF_SCAN) break;
    const end = at + 2 + jpeg.readUInt16BE(at + 2);
    if (!SAID_OF_IT.has(marker)) kept.push(jpeg.subarray(at, end));
    at = end;
  }
  kept.push(jpeg.subarray(at));
  return Buffer.concat(kept);
}
