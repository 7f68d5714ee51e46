import { isTag, type Element } from 'domhandler';
import { readColour } from './paint.js';
import type { Cascaded } from '../engine/html/cascade.js';
import type { CssNode } from 'css-tree';
import type { Say } from './arrangement.js';

/** What says by itself how it looks, or becomes a part that has a look of its own. */
const ITSELF = new Set([
  'svg',
  'img',
  'picture',
  'video',
  'source',
  'hr',
  'iframe',
  'object',
  'embed',
  'canvas',
]);
const SIDES = ['top', 'right', 'bottom', 'left'] as const;

/** Says what elements inside of a tile are dressed with: fills, borders and shadows are those of whole tiles. */
export function sayDress(
  tile: Element,
  cascaded: (element: Element) => Cascaded,
  sayOf: (element: Element) => Say,
): void {
  for (const child of tile.children) {
    // What our own pages show until a picture is there.
    const isPlaceholder = isTag(child) && child.attribs['data-part'] === 'picture';
    if (!isTag(child) || ITSELF.has(child.name) || isPlaceholder) continue;
    for (const property of dressOf(cascaded(child).values))
      sayOf(child)(property, 'is left out: only whole tiles have one', 'left out');
    sayDress(child, cascaded, sayOf);
  }
}

function dressOf(values: Cascaded['values']): string[] {
  const of = (property: string): readonly CssNode[] => values.get(property) ?? [];
  const isPainted = ['background', 'background-color', 'background-image']
    .flatMap(of)
    .some(
      (node) =>
        node.type === 'Url' ||
        (node.type === 'Function' && /gradient|image-set/.test(node.name)) ||
        (readColour(node)?.opacity ?? 0) > 0,
    );
  const isLined = SIDES.some((side) => {
    const [style] = of(`border-${side}-style`);
    const [width] = of(`border-${side}-width`);
    const isNothing =
      width?.type === 'Number' || width?.type === 'Dimension' ? Number(width.value) === 0 : false;
    return style?.type === 'Identifier' && !/^(none|hidden)$/.test(style.name) && !isNothing;
  });
  const isShaded = of('box-shadow').some((node) => node.type !== 'Identifier');
  return [
    ...(isPainted ? ['background'] : []),
    ...(isLined ? ['border'] : []),
    ...(isShaded ? ['box-shadow'] : []),
  ];
}
