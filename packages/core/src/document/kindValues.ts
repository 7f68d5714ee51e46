/** What an arrangement is where it says nothing of a kind. */

import type {
  Arrangement,
  ArrangementName,
  FanCards,
  GalleryRows,
  MasonryLanes,
  MosaicModules,
} from './arrangement.js';

export const ANY_MASONRY: MasonryLanes = {
  direction: 'block',
  laneSize: 200,
  count: null,
  minimum: 240,
  most: null,
  order: 'balanced',
  tolerance: 16,
};

export const ANY_GALLERY: GalleryRows = {
  target: 240,
  least: 160,
  most: 400,
  lastRow: 'at-most-target',
};

export const ANY_MOSAIC: MosaicModules = {
  count: null,
  minimum: 96,
  most: 12,
  shareOfLarge: 0.3,
  mostCrop: 0.35,
  seed: 1,
};

export const ANY_FAN: FanCards = {
  axis: 'inline',
  inlineSize: 420,
  blockSize: 480,
  strip: 160,
  open: 'last',
};

export const masonryOf = ({ masonry }: Pick<Arrangement, 'masonry'>): MasonryLanes => ({
  ...ANY_MASONRY,
  ...masonry,
});
export const galleryOf = ({ gallery }: Pick<Arrangement, 'gallery'>): GalleryRows => gallery ?? ANY_GALLERY;
export const mosaicOf = ({ mosaic }: Pick<Arrangement, 'mosaic'>): MosaicModules => mosaic ?? ANY_MOSAIC;
export const fanOf = ({ fan }: Pick<Arrangement, 'fan'>): FanCards => fan ?? ANY_FAN;

/** Whether tiles of a kind take cells that one can put them in; in other kinds they follow their order. */
export const hasCells = (kind: ArrangementName) => kind === 'bento' || kind === 'fluid';

/** Whether rows are as high as the first column is wide. */
export const isSquare = ({ kind, cells }: Pick<Arrangement, 'kind' | 'cells'>) =>
  cells === 'square' && hasCells(kind);

/** Whether an arrangement is lanes that tiles run along, so that it may be wider than its page. */
export const isAlong = ({ kind, masonry }: Pick<Arrangement, 'kind' | 'masonry'>) =>
  kind === 'masonry' && masonry?.direction === 'inline';

/** How many lanes there are where tiles run along them: their number does not follow the width. */
export const laneCountOf = ({ count }: Pick<MasonryLanes, 'count'>) => count ?? 2;
