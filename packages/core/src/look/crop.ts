import type { FocalPoint, PictureAsset, PicturePart } from '../document/types.js';

/** A slot that a picture is shown in, px. */
export interface SlotSize {
  readonly inlineSize: number;
  readonly blockSize: number;
}

type Natural = Pick<PictureAsset, 'inlineSize' | 'blockSize'>;
/** How a picture lies in its slot: one that is a part, or one that fills a tile. */
export type PictureShown = Pick<PicturePart, 'focalPoint' | 'fit' | 'zoom' | 'position'>;

/** The part of a picture that is in view, as shares of it from its top left. */
export interface Crop {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** How many px of the slot one px of the picture takes (CSS Images 3, section 5.5, and the tile's zoom). */
export function scaleIn(picture: Natural, slot: SlotSize, { fit = 'cover', zoom = 1 }: PictureShown): number {
  const across = slot.inlineSize / picture.inlineSize;
  const down = slot.blockSize / picture.blockSize;
  return (fit === 'contain' ? Math.min(across, down) : Math.max(across, down)) * zoom;
}

/**
 * The part of a picture that shows in a slot: as `object-fit` and `object-position` lay it, then scaled
 * about that position.
 */
export function cropIn(picture: Natural, slot: SlotSize, tile: PictureShown): Crop {
  const scale = scaleIn(picture, slot, tile);
  const { position = tile.focalPoint } = tile;
  const width = Math.min(1, slot.inlineSize / (picture.inlineSize * scale));
  const height = Math.min(1, slot.blockSize / (picture.blockSize * scale));
  return { x: position.x * (1 - width), y: position.y * (1 - height), width, height };
}

/** The share of a picture that is in view, 0 to 1: with `cover` it is `min(a/s, s/a)` of both aspects. */
export const shownShare = (crop: Crop) => crop.width * crop.height;

/** What arithmetic leaves of a point that lies on the edge itself. */
const ROUNDING = 1e-9;

/** Whether a picture's focal point is out of view, or so near an edge that its subject is cut. */
export function isFocusLost({ x, y, width, height }: Crop, focus: FocalPoint, margin = 0.02): boolean {
  const out = (at: number, start: number, size: number) =>
    (start > 0 && at < start + margin * size - ROUNDING) ||
    (start + size < 1 && at > start + size - margin * size + ROUNDING);
  return out(focus.x, x, width) || out(focus.y, y, height);
}

/** Picture px ÷ screen px; below 1 the picture looks soft. */
export const sharpnessIn = (picture: Natural, slot: SlotSize, tile: PictureShown, density = 1) =>
  1 / (scaleIn(picture, slot, tile) * density);

/** A position that keeps the focal point in view of a slot, nearest to the one asked for. */
export function positionInView(
  picture: Natural,
  slot: SlotSize,
  tile: PictureShown,
  asked: FocalPoint,
): FocalPoint {
  const { width, height } = cropIn(picture, slot, { ...tile, position: asked });
  const held = (at: number, focus: number, size: number) => {
    const room = 1 - size;
    if (room <= 1e-9) return at;
    const margin = Math.min(0.03 * size, focus, 1 - focus);
    const least = (focus + margin - size) / room;
    const most = (focus - margin) / room;
    return Math.min(1, Math.max(0, Math.min(most, Math.max(least, at))));
  };
  return { x: held(asked.x, tile.focalPoint.x, width), y: held(asked.y, tile.focalPoint.y, height) };
}
