import { pictureOf } from '../../document/card.js';
import { visibleShare } from '../../geometry/visibleShare.js';
import { cropIn, isFocusLost, scaleIn, shownShare } from '../../look/crop.js';
import { isPictureFill } from '../../look/paints.js';
import { addRange } from './ranges.js';
import { levelsOf } from './wordFindings.js';
import type { Checked, Found } from './checked.js';
import type { FindingKind, WidthRange } from './types.js';
import type { LaidOutTile } from '../../arrangements/kind.js';
import type { PictureAsset, PicturePart, Tile, TileId } from '../../document/types.js';

/** The least part of a picture that shows before it counts as over-cropped. */
export const LEAST_SHOWN = 0.5;
/** Picture px ÷ screen px below which it looks soft; rounding of variants is no softness. */
const SHARP = 0.999;

/** How a picture lies in its slot. */
type Shown = Pick<PicturePart, 'picture' | 'focalPoint' | 'fit' | 'zoom' | 'position'>;

interface Slotted {
  readonly id: TileId;
  readonly shown: Shown;
  readonly picture: PictureAsset;
  readonly a: LaidOutTile;
  readonly b: LaidOutTile;
}

function slotsOf({ looks, stretch }: Checked): Slotted[] {
  return stretch.first.tiles.flatMap((a, k) => {
    const shown = shownIn(looks.tiles[a.id] as Tile);
    const picture = shown && looks.pictures[shown.picture ?? ''];
    return shown && picture ? [{ id: a.id, shown, picture, a, b: stretch.last.tiles[k] as LaidOutTile }] : [];
  });
}

/** The picture that fills a tile, or the one behind it, which covers it as one in it does. */
function shownIn(tile: Tile): Shown | null {
  const part = pictureOf(tile);
  if (part) return part;
  const { fill } = tile.look;
  return isPictureFill(fill) ? fill : null;
}

interface Worst {
  ranges: WidthRange[];
  badness: number;
  width: number;
  slot: { inlineSize: number; blockSize: number };
}

/** Pictures of which too little shows, whose focal point is out of view, or that have too few px. */
function* check(checked: Checked): Generator<Found> {
  const { stretch, density } = checked;
  const { from, to } = stretch;
  const levels = levelsOf(checked);
  for (const { id, shown: own, picture, a, b } of slotsOf(checked)) {
    const found = new Map<FindingKind, Worst>();
    const note = (kind: FindingKind, width: number, badness: number, slot: Worst['slot']) => {
      let worst = found.get(kind);
      if (!worst) found.set(kind, (worst = { ranges: [], badness: -Infinity, width, slot }));
      addRange(worst.ranges, width, width);
      if (badness > worst.badness) Object.assign(worst, { badness, width, slot: { ...slot } });
    };
    if (isSound(picture, own, a, density) && isSound(picture, own, b, density)) continue;
    const slot = { inlineSize: 0, blockSize: 0 };
    for (let width = from; width <= to; width++) {
      const share = to === from ? 0 : (width - from) / (to - from);
      slot.inlineSize = a.inlineSize + (b.inlineSize - a.inlineSize) * share;
      slot.blockSize = a.blockSize + (b.blockSize - a.blockSize) * share;
      if (slot.inlineSize <= 0 || slot.blockSize <= 0) continue;
      const scale = scaleIn(picture, slot, own);
      const sharp = 1 / (scale * density);
      if (sharp < SHARP) note('soft', width, 1 - sharp, slot);
      if (own.fit === 'contain') continue;
      const shown = coveredShare(picture, slot);
      if (shown < LEAST_SHOWN) note('over-cropped', width, 1 - shown, slot);
      if (isFocusLost(cropIn(picture, slot, own), own.focalPoint)) note('focus lost', width, 1 - shown, slot);
    }
    for (const [kind, { ranges, badness, width, slot: at }] of found) {
      yield {
        kind,
        level: levels.get(id) ?? null,
        tiles: [id],
        ranges,
        badness,
        worst: width,
        said: {
          ...at,
          shown: shownShare(cropIn(picture, at, { ...own, zoom: 1 })),
          has: picture.inlineSize,
          need: picture.inlineSize * scaleIn(picture, at, own) * density,
          columns: a.columnSpan,
          rows: a.rowSpan,
        },
      };
    }
  }
}

/**
 * Whether nothing is amiss in a slot. What is sound at both ends of a straight stretch is so between:
 * the aspect goes one way, and the larger of two scales is largest at an end.
 */
function isSound(picture: PictureAsset, own: Shown, slot: LaidOutTile, density: number): boolean {
  if (slot.inlineSize <= 0 || slot.blockSize <= 0) return true;
  if (1 / (scaleIn(picture, slot, own) * density) < SHARP) return false;
  return (
    own.fit === 'contain' ||
    (coveredShare(picture, slot) >= LEAST_SHOWN && !isFocusLost(cropIn(picture, slot, own), own.focalPoint))
  );
}

/** How much of a picture shows in a slot that it covers. */
const coveredShare = (picture: PictureAsset, slot: { inlineSize: number; blockSize: number }): number =>
  visibleShare(picture.inlineSize / picture.blockSize, slot.inlineSize / slot.blockSize);

/** Takes the least part of a picture that shows into a curve that begins at a width. */
function draw(checked: Checked, curve: Float32Array, origin: number): void {
  const { from, to } = checked.stretch;
  for (const { shown: own, picture, a, b } of slotsOf(checked)) {
    if (own.fit === 'contain') continue;
    const aspect = picture.inlineSize / picture.blockSize;
    for (let width = from; width <= to; width++) {
      const share = to === from ? 0 : (width - from) / (to - from);
      const inlineSize = a.inlineSize + (b.inlineSize - a.inlineSize) * share;
      const blockSize = a.blockSize + (b.blockSize - a.blockSize) * share;
      if (inlineSize <= 0 || blockSize <= 0) continue;
      const shown = visibleShare(aspect, inlineSize / blockSize);
      const k = width - origin;
      if (shown < (curve[k] as number)) curve[k] = shown;
    }
  }
}

export const pictureFindings = Object.assign(check, { draw });
