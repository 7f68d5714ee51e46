import { fields, number, oneOf } from '../../document/checks.js';
import { LIMITS } from '../../document/limits.js';
import type { Arrangement, GalleryRows } from '../../document/types.js';
import type { OwnValues } from '../kind.js';

export const ANY_GALLERY: GalleryRows = {
  target: 240,
  min: 160,
  max: 400,
  lastRow: 'at-most-target',
};

export const galleryOf = ({ gallery }: Pick<Arrangement, 'gallery'>): GalleryRows => gallery ?? ANY_GALLERY;

const rowHeight = number(1, LIMITS.track, 'A height of rows');

export const galleryValues: OwnValues<'gallery'> = {
  field: 'gallery',
  read: galleryOf,
  check: fields(
    {
      target: rowHeight,
      min: rowHeight,
      max: rowHeight,
      lastRow: oneOf(['justified', 'at-most-target'], 'The last row'),
    },
    'A row gallery',
  ),
};
