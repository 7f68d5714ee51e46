import { bento } from './bento/index.js';
import { bandAt } from './document/bands.js';
import type { ArrangementKind, Layout } from './arrangement.js';
import type { Arrangement, CollectionDocument } from './document/types.js';

/** Every kind of arrangement, by name. */
export const arrangementKinds: Readonly<Record<Arrangement['kind'], ArrangementKind>> = { bento };

/**
 * Lays a collection out at a width, in the band that the width lies in.
 * @param width px of the page, 0 or more
 * @throws RangeError when the width is not a number of px
 * @example layoutCollection(document, 1280).tiles[0] // { id, x, y, inlineSize, blockSize, … }
 */
export function layoutCollection(document: CollectionDocument, width: number): Layout {
  if (!Number.isFinite(width) || width < 0) {
    throw new RangeError(`A width is a number of px, 0 or more; this is ${String(width)}.`);
  }
  const band = bandAt(document, width);
  return arrangementKinds[band.arrangement.kind].layout(document, band, width);
}
