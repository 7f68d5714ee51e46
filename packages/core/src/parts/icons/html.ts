import { hrefOf } from '../../engine/css/escape.js';
import { element, type Attributes, type PageElement } from '../../engine/html/node.js';
import type { CollectionDocument, IconAsset, IconsPart } from '../../document/types.js';
import type { Sources } from '../part.js';

/** A row's icons as the entries of a list. */
export const itemsOf = (
  { icons, size, showLabels }: IconsPart,
  document: CollectionDocument,
  sources: Sources,
): PageElement[] =>
  icons.map(({ icon, picture, label, address }) => {
    const asset = picture === null ? undefined : document.pictures[picture];
    const drawn = icon === null ? undefined : document.icons?.[icon];
    const width = asset ? (size * asset.inlineSize) / asset.blockSize : size;
    const shown = asset
      ? element('img', {
          src: sources.small(asset, width),
          width: Math.round(width),
          height: size,
          alt: '',
        })
      : drawn && drawing(drawn, size);
    const words = label !== '' && element('span', showLabels ? {} : { class: 'unseen' }, [label]);
    const inside = [shown, words];
    return element('li', {}, address ? [element('a', { href: hrefOf(address) }, inside)] : inside);
  });

/**
 * A row in one line. One that scrolls is there twice, so that it comes in on one side as it goes out on the
 * other; the second is for the eye alone.
 */
export function lineOf(
  part: IconsPart,
  document: CollectionDocument,
  sources: Sources,
  attributes: Attributes = {},
): PageElement {
  const items = itemsOf(part, document, sources);
  const again = element('ul', { 'aria-hidden': 'true', inert: true }, items);
  const name = part.line === 'scrolling' ? 'icons line scrolls' : 'icons line';
  return element('div', { class: name, ...attributes }, [
    element('ul', {}, items),
    part.line === 'scrolling' && again,
  ]);
}

/** Icons are drawn with strokes of the text colour. */
const drawing = ({ shapes }: IconAsset, size: number): PageElement =>
  element(
    'svg',
    {
      width: size,
      height: size,
      viewBox: '0 0 24 24',
      fill: 'none',
      stroke: 'currentColor',
      'stroke-width': 1.75,
      'stroke-linecap': 'round',
      'stroke-linejoin': 'round',
      'aria-hidden': 'true',
    },
    shapes.map(([name, attributes]) => element(name, attributes)),
  );
