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
  'max-inline-size': maxInlineSize === null ? 'none' : px(maxInlineSize),
  ...heightCss(height ?? { kind: 'content' }),
});

const heightCss = (height: GridHeight): Declarations => ({
  'block-size': height.kind === 'fixed' ? px(height.px) : 'auto',
  'min-block-size': height.kind === 'screen' ? `${Number((height.share * 100).toFixed(2))}vh` : '0',
});

/** A group whose slot says how large it is does not say it itself. */
export const SLOT_WIDTH: Declarations = { 'max-inline-size': 'none' };
export const SLOT: Declarations = { ...SLOT_WIDTH, 'min-block-size': '0' };

/** A shorthand of two or four sides without the ones that CSS fills in by itself. */
function shortest(sides: readonly number[]): string {
  const [blockStart, inlineEnd, blockEnd, inlineStart] = sides;
  const kept =
    sides.length === 4 && inlineStart !== inlineEnd
      ? sides
      : blockEnd !== undefined && blockEnd !== blockStart
        ? [blockStart, inlineEnd, blockEnd]
        : inlineEnd !== blockStart
          ? [blockStart, inlineEnd]
          : [blockStart];
  return kept.map((side) => px(side ?? 0)).join(' ');
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

/** `calc()` of a share of the basis and px. */
export function linearCss(share: number, length: number): string {
  const [percent, rest] = [Number((share * 100).toFixed(5)), Number(length.toFixed(3))];
  if (percent === 0) return px(rest);
  if (rest === 0) return `${percent}%`;
  return `calc(${percent}% ${rest < 0 ? '-' : '+'} ${px(Math.abs(rest))})`;
}
