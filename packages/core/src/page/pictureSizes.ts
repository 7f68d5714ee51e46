import { bandsOf } from '../document/bands.js';
import { arrangementKinds } from '../layout.js';
import { LIMITS } from '../document/limits.js';
import type { Band } from '../document/bands.js';
import type { CollectionDocument, PictureAsset, Tile } from '../document/types.js';

const LADDER = [320, 480, 640, 960, 1280, 1600, 1920, 2560];

/** The inline sizes, in picture px, in which a picture goes out: steps up to its natural size. */
export function pictureVariants({ inlineSize }: Pick<PictureAsset, 'inlineSize'>): number[] {
  return [...LADDER.filter((step) => step < inlineSize * 0.9), inlineSize];
}

/**
 * The `sizes` of a picture tile: how wide the picture is drawn, per band. Within a band a slot's
 * width is linear in the page's width until the maximum, so two layouts give the line exactly. A
 * picture that covers a slot taller than itself is drawn wider: slot height × aspect.
 */
export function pictureSizes(document: CollectionDocument, tile: Tile, picture: PictureAsset): string {
  const aspect = picture.inlineSize / picture.blockSize;
  return bandsOf(document)
    .toReversed()
    .map((band) => {
      const drawn = drawnSize(document, band, tile, aspect);
      return Number.isFinite(band.below) ? `(width < ${band.below}px) ${drawn}` : drawn;
    })
    .join(', ');
}

function drawnSize(document: CollectionDocument, band: Band, tile: Tile, aspect: number): string {
  const slot = (width: number) => {
    const layout = arrangementKinds[band.arrangement.kind].layout(document, band, width);
    const found = layout.tiles.find(({ id }) => id === tile.id);
    return { inlineSize: found?.inlineSize ?? 0, blockSize: found?.blockSize ?? 0 };
  };
  const most = band.arrangement.maxInlineSize ?? Infinity;
  const to = Math.min(Number.isFinite(band.below) ? band.below : LIMITS.widest, most);
  const from = Math.min(Math.max(band.from, LIMITS.narrowest), to - 1);
  const [narrow, wide] = [slot(from), slot(to)];
  const slope = (wide.inlineSize - narrow.inlineSize) / (to - from);
  const rest = narrow.inlineSize - slope * from;
  const byHeight = Math.ceil(narrow.blockSize * aspect);
  const candidates = [`${rounded(slope * 100)}vw ${rest < 0 ? '-' : '+'} ${rounded(Math.abs(rest))}px`];
  if (byHeight > 0) candidates.push(`${byHeight}px`);
  const drawn = candidates.length > 1 ? `max(${candidates.join(', ')})` : `calc(${candidates.join()})`;
  if (!Number.isFinite(most) || most >= band.below) return drawn;
  return `min(${drawn}, ${Math.max(Math.ceil(slot(most).inlineSize), byHeight)}px)`;
}

const rounded = (value: number) => Number(value.toFixed(2));
