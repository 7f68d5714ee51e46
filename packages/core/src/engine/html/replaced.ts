import type { Element } from 'domhandler';
import type { Box } from '../box/box.js';
import type { BoxStyle } from '../box/style.js';

/** Natural size of a picture by its address, px; null when it can't be known. */
export type PictureSize = (
  address: string,
) => { readonly inlineSize: number; readonly blockSize: number } | null;

const REPLACED: ReadonlySet<string> = new Set(['img', 'video', 'canvas', 'svg', 'iframe']);

/** Whether an element shows something that has a size of its own. */
export const isReplacedElement = (name: string) => REPLACED.has(name);

/** The size that an element has by what it shows, px; null for one that shows nothing of its own. */
export function naturalSize(element: Element, pictureSize: PictureSize): Box['natural'] {
  if (!isReplacedElement(element.name)) return null;
  const { attribs } = element;
  const [width, height] = [dimension(attribs.width), dimension(attribs.height)];
  if (element.name === 'img') {
    const known = pictureSize(attribs.src ?? '');
    if (known) return known;
    if (width !== null && height !== null) return { inlineSize: width, blockSize: height };
    return { inlineSize: width ?? 0, blockSize: height ?? 0 };
  }
  return { inlineSize: width ?? 300, blockSize: height ?? 150 };
}

const dimension = (text: string | undefined) =>
  text !== undefined && /^\d+(\.\d+)?$/.test(text.trim()) ? Number(text) : null;

/**
 * Width and height attributes count as the weakest of declarations (HTML, section 15.4.3): any other one,
 * `auto` too, wins over them.
 * @param said the properties that are declared
 */
export function replacedStyle(
  style: BoxStyle,
  natural: NonNullable<Box['natural']>,
  attribs: Element['attribs'],
  said: { readonly has: (property: string) => boolean },
): BoxStyle {
  const [width, height] = [dimension(attribs.width), dimension(attribs.height)];
  const ratio =
    width && height ? width / height : natural.blockSize > 0 ? natural.inlineSize / natural.blockSize : null;
  return {
    ...style,
    inlineSize: width !== null && !said.has('width') ? width : style.inlineSize,
    blockSize: height !== null && !said.has('height') ? height : style.blockSize,
    aspectRatio: style.aspectRatio ?? (ratio !== null && Number.isFinite(ratio) && ratio > 0 ? ratio : null),
  };
}
