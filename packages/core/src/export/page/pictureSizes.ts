import { kindOf } from '../../arrangements/index.js';
import { bandsOf, inheritedArrangement } from '../../document/bands.js';
import { levelOf } from '../../document/levels.js';
import { LIMITS } from '../../document/limits.js';
import { perObject } from '../../memo.js';
import { slotsAt } from './slots.js';
import type { Band } from '../../document/bands.js';
import type { Arrangement, CollectionDocument, PictureAsset, Tile, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

const LADDER = [320, 480, 640, 960, 1280, 1600, 1920, 2560];

/** The inline sizes, in picture px, in which a picture goes out: steps up to its natural size. */
export function pictureVariants({ inlineSize }: Pick<PictureAsset, 'inlineSize'>): number[] {
  return [...LADDER.filter((step) => step < inlineSize * 0.9), inlineSize];
}

/** A stretch of page widths over which the drawn width is a straight line. */
interface Stretch {
  readonly below: number;
  readonly from: number;
  readonly to: number;
  readonly drawn: readonly [from: number, to: number];
}

const STRAIGHT_WITHIN = 1;
const NARROWEST_STRETCH = 24;

/**
 * The `sizes` of a picture tile: how wide the picture is drawn. Within a band a slot's width is a
 * straight line of the page's width, or several where a track meets its least or greatest size. A
 * picture that covers a slot taller than itself is drawn wider: slot height × aspect.
 */
export function pictureSizes(
  document: CollectionDocument,
  tile: Tile,
  picture: PictureAsset,
  measurer: TextMeasurer,
): string {
  const aspect = picture.inlineSize / picture.blockSize;
  const drawnAt = (width: number) => {
    const slot = slotsAt(document, width, measurer).get(tile.id);
    return Math.max(slot?.inlineSize ?? 0, (slot?.blockSize ?? 0) * aspect);
  };
  return (
    bandsOf(document)
      .toReversed()
      .flatMap((band) =>
        kindOf(arrangementAround(document, tile, band)).jumps
          ? roughly(band, drawnAt)
          : stretchesOf(band, drawnAt),
      )
      .map((stretch) => ({ below: stretch.below, drawn: lineCss(stretch) }))
      // What is said of the next stretch too need not be said of this one.
      .filter(({ drawn }, k, all) => all[k + 1]?.drawn !== drawn)
      .map(({ below, drawn }) => (Number.isFinite(below) ? `(width < ${below}px) ${drawn}` : drawn))
      .join(', ')
  );
}

/** The group around each tile that is in one. */
const groupsAround = perObject(
  ({ tiles }: CollectionDocument): ReadonlyMap<TileId, TileId> =>
    new Map(
      Object.values(tiles).flatMap((tile) =>
        tile.kind === 'group' ? tile.order.map((each) => [each, tile.id] as const) : [],
      ),
    ),
);

/** The arrangement that a tile lies in. */
function arrangementAround(document: CollectionDocument, { id }: Tile, band: Band): Arrangement {
  return inheritedArrangement(levelOf(document, groupsAround(document).get(id) ?? null), band.index);
}

/** Widths that share one size, and widths at which it is looked at, px. */
const ROUGH = 320;
const LOOK = 64;

/**
 * In a row gallery a picture grows and shrinks with every other break, so its width is said for few
 * stretches: the largest share of the page that it has in each.
 */
function roughly(band: Band, drawnAt: (width: number) => number): Stretch[] {
  const last = Number.isFinite(band.below) ? band.below - 1 : LIMITS.widest;
  const first = Math.min(Math.max(band.from, LIMITS.narrowest), last);
  const found: Stretch[] = [];
  for (let from = first; from <= last; from += ROUGH) {
    const to = Math.min(last + 1, from + ROUGH);
    let share = 0;
    for (let width = from; width < to; width += LOOK) share = Math.max(share, drawnAt(width) / width);
    // A break between two looks may make it a little wider.
    share *= 1.1;
    found.push({ below: to > last ? band.below : to, from, to, drawn: [share * from, share * to] });
  }
  return found;
}

/** A band cut where the drawn width bends, from narrow to wide. */
function stretchesOf(band: Band, drawnAt: (width: number) => number): Stretch[] {
  const last = Number.isFinite(band.below) ? band.below - 1 : LIMITS.widest;
  const first = Math.min(Math.max(band.from, LIMITS.narrowest), last);
  const parts: Stretch[] = [];
  const isStraight = (from: number, to: number, a: number, b: number, at: number) =>
    Math.abs(drawnAt(at) - (a + ((b - a) * (at - from)) / Math.max(1, to - from))) <= STRAIGHT_WITHIN;
  const cut = (from: number, to: number, a: number, b: number): void => {
    const middle = Math.round((from + to) / 2);
    const quarter = Math.round((from + middle) / 2);
    if (
      to - from <= NARROWEST_STRETCH ||
      [quarter, middle, to - (quarter - from)].every((at) => isStraight(from, to, a, b, at))
    ) {
      parts.push({ below: to, from, to, drawn: [a, b] });
      return;
    }
    // Where the lines from both ends meet is the bend, when there is one alone.
    const step = Math.round((to - from) / 8);
    const rise = (drawnAt(from + step) - a) / step;
    const fall = (b - drawnAt(to - step)) / step;
    const meet = Math.round((b - a + rise * from - fall * to) / (rise - fall));
    const at = meet > from + step && meet < to - step ? meet : middle;
    const between = drawnAt(at);
    cut(from, at, a, between);
    cut(at, to, between, b);
  };
  cut(first, last, drawnAt(first), drawnAt(last));
  const joined: Stretch[] = [];
  for (const part of parts) {
    const before = joined.at(-1);
    if (before && Math.abs(slope(before) - slope(part)) < 0.002)
      joined[joined.length - 1] = { ...part, from: before.from, drawn: [before.drawn[0], part.drawn[1]] };
    else joined.push(part);
  }
  return joined.map((part, k) => (k === joined.length - 1 ? { ...part, below: band.below } : part));
}

const slope = ({ from, to, drawn: [a, b] }: Stretch) => (to > from ? (b - a) / (to - from) : 0);

function lineCss(stretch: Stretch): string {
  const rise = slope(stretch);
  const rest = stretch.drawn[0] - rise * stretch.from;
  if (Math.abs(rise) < 0.0005) return `${Math.ceil(rest)}px`;
  if (Math.abs(rest) < 0.005) return `${rounded(rise * 100)}vw`;
  return `calc(${rounded(rise * 100)}vw ${rest < 0 ? '-' : '+'} ${rounded(Math.abs(rest))}px)`;
}

const rounded = (value: number) => Number(value.toFixed(2));
