import {
  bandAt,
  checkDocument,
  colourOf,
  lookedAt,
  familiesOf,
  formatProblem,
  layoutCollection,
  placeIn,
  tileHtml,
  type Tile,
} from '@noria/core';
import { arrangedWords } from '../kinds/words';
import { clippedTiles, drawingCss, sourcesFor } from '../stage/drawing';
import { plainFaces, type WantedFace } from './faces';
import { loadFaces, measurer } from './measurer';

/** The width at which a thumbnail shows its collection, px. */
export const SHOWN_AT = 1280;
/** The widest variant that its pictures are fetched in, px. */
const PICTURE_SIZE = 640;

/** A tile of a thumbnail: its HTML, and where it is drawn, px of the page. */
export interface DrawnTile {
  readonly id: string;
  readonly html: string;
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly layer: number;
  readonly clip: string | null;
}

export type Thumbnail =
  | {
      /** “bento of 6, 4 and 2 columns”. */
      readonly arranged: string;
      readonly background: string;
      readonly css: string;
      readonly blockSize: number;
      readonly tiles: readonly DrawnTile[];
      /** The fonts that its words are shown in. */
      readonly faces: readonly WantedFace[];
    }
  /** Why it can’t be drawn here. */
  | { readonly unreadable: string };

/** Draws a collection as its page looks at one width; what came over the network is checked first. */
export async function drawThumbnail(received: unknown): Promise<Thumbnail> {
  const { document, problems } = checkDocument(received);
  if (!document) return { unreadable: problems.slice(0, 2).map(formatProblem).join(' ') };
  const faces = plainFaces(document, familiesOf(document));
  await loadFaces((self as unknown as { readonly fonts: FontFaceSet }).fonts, faces);
  const layout = layoutCollection(document, SHOWN_AT, { measurer: measurer() });
  const { index } = bandAt(document, SHOWN_AT);
  const shown = lookedAt(document, index);
  const { tiles, look, namedLooks } = shown;
  const offset = Math.max(0, (SHOWN_AT - layout.inlineSize) / 2);
  const sources = sourcesFor(PICTURE_SIZE);
  const drawn = clippedTiles(document, layout, SHOWN_AT, null).map(({ laidOut, clip }): DrawnTile => {
    const tile = tiles[laidOut.id] as Tile;
    // What is in a group is drawn by itself.
    const own = tile.kind === 'group' ? { ...tile, order: [] } : tile;
    const { id, x, y, inlineSize, blockSize } = laidOut;
    const { layer } = placeIn(document, tile, index);
    return {
      id,
      html: tileHtml(document, own, sources),
      x: x + offset,
      y,
      inlineSize,
      blockSize,
      layer,
      clip,
    };
  });
  return {
    arranged: arrangedWords(document),
    background: colourOf(namedLooks, look.background),
    css: drawingCss(shown),
    blockSize: layout.blockSize,
    tiles: drawn,
    faces,
  };
}
