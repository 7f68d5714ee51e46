import { lengthCss, timesCss, withShares, type WrittenLength } from '../../engine/css/writtenLength.js';
import { px } from '../../engine/css/units.js';
import type { Declarations } from '../../engine/css/rule.js';
import type { Arrangement, CollectionDocument, GridHeight, Tile, WholePlace } from '../../document/types.js';

/** Gaps, padding and size of a level, in any kind. */
export const frameCss = ({
  rowGap,
  columnGap,
  padding,
  maxInlineSize,
  height,
}: Arrangement): Declarations => ({
  gap: shortest([rowGap, columnGap]),
  padding: shortest([padding.blockStart, padding.inlineEnd, padding.blockEnd, padding.inlineStart]),
  'max-inline-size': maxInlineSize === null ? 'none' : lengthCss(maxInlineSize),
  ...heightCss(height ?? { kind: 'content' }),
});

const heightCss = (height: GridHeight): Declarations => ({
  'block-size': height.kind === 'fixed' ? lengthCss(height.px) : 'auto',
  'min-block-size': height.kind === 'screen' ? `${Number((height.share * 100).toFixed(2))}svh` : '0',
});

/** Cells from a line on; a span of one need not be said. */
export const fromLine = (line: number, span: number): string =>
  span === 1 ? String(line) : `${line} / span ${span}`;

/** A group whose slot says how large it is does not say it itself. */
export const SLOT_WIDTH: Declarations = { 'max-inline-size': 'none' };
export const SLOT: Declarations = { ...SLOT_WIDTH, 'min-block-size': '0' };

/** A shorthand of two or four sides without the ones that CSS fills in by itself. */
function shortest(sides: readonly WrittenLength[]): string {
  const [blockStart, inlineEnd, blockEnd, inlineStart] = sides;
  const kept =
    sides.length === 4 && inlineStart !== inlineEnd
      ? sides
      : blockEnd !== undefined && blockEnd !== blockStart
        ? [blockStart, inlineEnd, blockEnd]
        : inlineEnd !== blockStart
          ? [blockStart, inlineEnd]
          : [blockStart];
  return kept.map((side) => lengthCss(side ?? 0)).join(' ');
}

/**
 * The gap between columns as it can be said of a tile: there a share would be of the tile’s cells, and not
 * of what is inside the padding of the level.
 */
export function columnGapOf({ columnGap, padding, maxInlineSize }: Arrangement): WrittenLength {
  const ofPage = (length: WrittenLength) => timesCss(1, withShares(length, '100cqi'));
  const width = maxInlineSize === null ? '100cqi' : `min(100cqi, ${ofPage(maxInlineSize)})`;
  const inner = `(${width} - ${ofPage(padding.inlineStart)} - ${ofPage(padding.inlineEnd)})`;
  return withShares(columnGap, inner);
}

/** What a tile says of its layer and of where it comes in what is seen, where any band says it. */
export function stackCss(
  document: CollectionDocument,
  tile: Tile,
  { layer, order }: Pick<WholePlace, 'layer' | 'order'>,
): Declarations {
  const places = [tile.place, ...document.bands.map((band) => band.tiles[tile.id])];
  return {
    ...(places.some((place) => place?.layer) && { 'z-index': String(layer) }),
    ...(places.some((place) => place?.order) && { order: String(order) }),
  };
}

/**
 * `calc()` of a share of the basis, px, and so many of other lengths, which are added to the px where they are
 * in px too.
 */
export function linearCss(
  share: number,
  length: number,
  others: readonly (readonly [count: number, of: WrittenLength])[] = [],
): string {
  const inPx = others.reduce((sum, [count, of]) => sum + (typeof of === 'number' ? count * of : 0), length);
  const written = others.flatMap(([count, of]) =>
    typeof of === 'number' || Math.abs(count) < 1e-5 ? [] : [timesCss(Number(count.toFixed(5)), of)],
  );
  if (written.length === 0) return plainLinearCss(share, inPx);
  const terms = [`${Number((share * 100).toFixed(4))}%`, `${Number(inPx.toFixed(3))}px`, ...written];
  return `calc(${terms.join(' + ')})`;
}

function plainLinearCss(share: number, length: number): string {
  const [percent, rest] = [Number((share * 100).toFixed(4)), Number(length.toFixed(3))];
  if (percent === 0) return px(rest);
  if (rest === 0) return `${percent}%`;
  return `calc(${percent}% ${rest < 0 ? '-' : '+'} ${px(Math.abs(rest))})`;
}

/** The denominators in which a ratio is looked for, and how near it has to be to be the same. */
const MOST_PARTS = 64;
const SAME = 1e-9;

/** An aspect ratio: in small whole numbers where it is one, else to six places. */
export function ratioCss(ratio: number): string {
  for (let parts = 1; parts <= MOST_PARTS; parts++) {
    const whole = Math.round(ratio * parts);
    if (whole > 0 && Math.abs(whole / parts - ratio) < SAME)
      return parts === 1 ? String(whole) : `${whole} / ${parts}`;
  }
  return `${Number((ratio * 1000).toFixed(3))} / 1000`;
}
