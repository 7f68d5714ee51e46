import { layoutBox } from '../box/layoutBox.js';
import { coverage } from '../grid/coverage.js';
import { hasFluidType } from '../look/named.js';
import '../engine.js';
import { bentoBox, type BentoBox } from './box.js';
import type { Layout, LayoutOptions } from '../arrangement.js';
import type { Band } from '../document/bands.js';
import type { Fragment } from '../box/box.js';
import type { CollectionDocument, TileId } from '../document/types.js';

const known = new WeakMap<CollectionDocument, Map<string, BentoBox>>();

/**
 * Lays a bento out at a width.
 * @param width px of the page, 0 or more; the border box is no wider than the band's maximum
 */
export function layoutBento(
  document: CollectionDocument,
  band: Band,
  width: number,
  options: LayoutOptions,
): Layout {
  // While the width is dragged the boxes stay the same, unless type grows with it.
  const page = hasFluidType(document) ? options.pageInlineSize : '';
  const key = `${band.index} ${options.screenBlockSize} ${page}`;
  let bands = known.get(document);
  if (!bands) known.set(document, (bands = new Map<string, BentoBox>()));
  let boxes = bands.get(key);
  if (!boxes) bands.set(key, (boxes = bentoBox(document, band, options)));
  const { padding, maxInlineSize } = band.arrangement;
  const inlineSize = Math.max(
    padding.inlineStart + padding.inlineEnd,
    Math.min(width, maxInlineSize ?? Infinity),
  );
  const space = { inline: width, block: NaN, inlineSize, blockSize: NaN };
  return toLayout(layoutBox(boxes.box, space).fragment, boxes);
}

function toLayout(fragment: Fragment, { box, areas, rowCount, groups }: BentoBox): Layout {
  const { inlineSize, blockSize, tracks } = fragment;
  const along = (starts: Float64Array | undefined, sizes: Float64Array | undefined) =>
    Array.from(starts ?? [], (start, k) => ({ start, size: sizes?.[k] ?? 0 }));
  const columns = along(tracks?.columnStarts, tracks?.columnSizes);
  const inner: Record<TileId, Layout> = {};
  const tiles = box.children.map((child, k) => {
    const id = child.id as TileId;
    const laid = fragment.children[k] as Fragment;
    const group = groups[id];
    if (group) inner[id] = toLayout(laid, { ...group, box: child });
    return {
      ...(areas[k] as (typeof areas)[number]),
      id,
      x: laid.x,
      y: laid.y,
      inlineSize: laid.inlineSize,
      blockSize: laid.blockSize,
    };
  });
  return {
    inlineSize,
    blockSize,
    columns,
    rows: along(tracks?.rowStarts, tracks?.rowSizes),
    tiles,
    coverage: coverage(areas, columns.length, rowCount),
    groups: inner,
  };
}
