import { layoutBox } from '../box/layoutBox.js';
import { coverage } from '../grid/coverage.js';
import { fluidOf } from '../fluid/columns.js';
import { hasFluidType } from '../look/named.js';
import '../engine.js';
import { bentoBox, type BentoBox } from './box.js';
import type { Layout, LayoutOptions } from '../arrangement.js';
import type { Band } from '../document/bands.js';
import type { Fragment } from '../box/box.js';
import type { CollectionDocument, TileId } from '../document/types.js';

interface Made {
  readonly boxes: BentoBox;
  /** The width of the page that type sizes were taken at. */
  readonly page: number;
}

const known = new WeakMap<CollectionDocument, Map<string, Made>>();

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
  const columns = band.arrangement.kind === 'fluid' ? band.arrangement.columns.length : '';
  const spans = columns === '' || band.at >= (fluidOf(band.arrangement).spansFrom ?? 0);
  const key = `${band.index} ${options.screenBlockSize} ${columns} ${spans}`;
  let bands = known.get(document);
  if (!bands) known.set(document, (bands = new Map<string, Made>()));
  let made = bands.get(key);
  if (!made || (made.page !== options.pageInlineSize && made.boxes.measures && hasFluidType(document))) {
    made = { boxes: bentoBox(document, band, options), page: options.pageInlineSize };
    bands.set(key, made);
  }
  const { boxes } = made;
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
