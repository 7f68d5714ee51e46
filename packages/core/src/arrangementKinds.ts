import { bento } from './bento/index.js';
import { fan } from './fan/index.js';
import { fluid } from './fluid/index.js';
import { gallery } from './gallery/index.js';
import { masonry } from './masonry/index.js';
import { mosaic } from './mosaic/index.js';
import type { ArrangementKind } from './arrangement.js';
import type { ArrangementName } from './document/types.js';

/** Every kind of arrangement, by name. */
export const arrangementKinds: Readonly<Record<ArrangementName, ArrangementKind>> = {
  bento,
  fluid,
  masonry,
  rows: gallery,
  mosaic,
  fan,
};
