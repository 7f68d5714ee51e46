import type { Element } from 'domhandler';
import { layoutTree } from '../layoutTree.js';
import { frameOf, inlineSum } from '../box/sizes.js';
import { toBoxes, type BoxesOptions, type PageBoxes } from './toBoxes.js';
import type { Box, Fragment } from '../box/box.js';
import type { QueryEnvironment } from './conditions.js';
import type { SourcePage } from './sourcePage.js';

export interface PageLayoutOptions extends Pick<BoxesOptions, 'measurer' | 'pictureSize' | 'lanesGoOnAfter'> {
  /** Height of the window, px: what `vh` and queries of height refer to. */
  readonly height: number;
}

/** A tile as laid out: px from the border box of the nearest grid around it. */
export interface PageTile {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
}

export interface PageLayout {
  /** Border box of the outermost grid, px; of the page when there is none. */
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly tiles: readonly PageTile[];
}

/** Containers within containers settle one level a pass. */
const MOST_PASSES = 8;

/**
 * Lays a page out without a browser, at a width of the window in px.
 *
 * Rules in container queries depend on sizes that come out of the layout; so it is done again until
 * the containers keep theirs.
 */
export function layoutPage(
  page: SourcePage,
  width: number,
  { height, measurer, pictureSize, lanesGoOnAfter }: PageLayoutOptions,
): PageLayout {
  let sizes = new Map<Element, number>();
  let containers: PageBoxes['containers'] = new Map();
  for (let pass = 0; ; pass++) {
    const units = { vw: width / 100, vh: height / 100, cqw: width / 100 };
    const environment = (inlineSize: number): QueryEnvironment => ({
      inlineSize,
      blockSize: height,
      units: { ...units, em: 16, rem: 16 },
    });
    const containerOf = (element: Element, name: string | null) => {
      for (let at = element.parent; at; at = at.parent) {
        const style = containers.get(at as Element);
        if (style?.container && (name === null || style.container.names.includes(name))) {
          return environment(sizes.get(at as Element) ?? width);
        }
      }
      return null;
    };
    const boxes = toBoxes(page, {
      units,
      environment: { media: environment(width), containerOf },
      measurer,
      pictureSize,
      ...(lanesGoOnAfter && { lanesGoOnAfter }),
    });
    const fragment = layoutTree(boxes.root, width, height);
    const next = containerSizes(fragment, boxes);
    const settled =
      boxes.containers.size === containers.size &&
      [...next].every(([element, size]) => Math.abs((sizes.get(element) ?? NaN) - size) < 0.01);
    if (settled || pass === MOST_PASSES) return collectTiles(fragment, boxes.root);
    sizes = next;
    containers = boxes.containers;
  }
}

function containerSizes(root: Fragment, { elementOf, containers }: PageBoxes): Map<Element, number> {
  const sizes = new Map<Element, number>();
  if (containers.size === 0) return sizes;
  const visit = (fragment: Fragment, width: number): void => {
    const element = elementOf.get(fragment.box);
    const content = fragment.inlineSize - inlineSum(frameOf(fragment.box.style, width));
    if (element && containers.has(element)) sizes.set(element, content);
    fragment.children.forEach((child) => visit(child, content));
  };
  visit(root, root.inlineSize);
  return sizes;
}

/** Tiles with their positions from the grid that is around them in the page, wherever they are placed. */
function collectTiles(root: Fragment, page: Box): PageLayout {
  const origins = new Map<Box, { readonly x: number; readonly y: number; readonly fragment: Fragment }>();
  const place = (fragment: Fragment, x: number, y: number): void => {
    origins.set(fragment.box.inherited?.of ?? fragment.box, { x, y, fragment });
    for (const child of fragment.children) place(child, x + child.x, y + child.y);
  };
  place(root, root.x, root.y);
  const tiles: PageTile[] = [];
  const outermost: Fragment[] = [];
  const visit = (box: Box, around: { readonly x: number; readonly y: number }): void => {
    const at = origins.get(box);
    if (!at) return;
    const { inlineSize, blockSize } = at.fragment;
    if (box.id !== null)
      tiles.push({ id: box.id, x: at.x - around.x, y: at.y - around.y, inlineSize, blockSize });
    if (box.isGridRoot) outermost.push(at.fragment);
    for (const child of box.children) visit(child, box.isGridRoot ? at : around);
  };
  visit(page, { x: 0, y: 0 });
  const { inlineSize, blockSize } = outermost[0] ?? root;
  return { inlineSize, blockSize, tiles };
}
