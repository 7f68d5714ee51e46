import { toBoxes } from '../engine/html/toBoxes.js';
import { LIMITS } from '../document/limits.js';
import type { Box } from '../engine/box/box.js';
import type { CascadeEnvironment } from '../engine/html/cascade.js';
import type { Element } from 'domhandler';
import type { QueryEnvironment } from '../engine/html/conditions.js';
import type { SourcePage } from '../engine/html/sourcePage.js';

/** A width in each band that stands for it, from wide to narrow. */
export function bandWidths(breakpoints: readonly number[]): number[] {
  const edges = [...breakpoints, LIMITS.narrowest];
  return edges.map((from, k) => {
    const below = edges[k - 1] ?? Math.max(1280, from);
    return Math.max(
      from,
      Math.min(below - 1, Math.round((from + below) / 2), k === 0 ? Math.max(from, 1280) : Infinity),
    );
  });
}

/** A grid of a page at a width, and its items. */
export interface BandGrid {
  readonly element: Element;
  readonly grid: Box;
  readonly items: readonly GridItem[];
  /** The grid that an item of it is. */
  readonly inner: (element: Element, box: Box) => BandGrid;
}

export interface GridItem {
  readonly element: Element;
  readonly box: Box;
}

const environmentAt = (width: number, screen: number): QueryEnvironment => ({
  inlineSize: width,
  blockSize: screen,
  units: { em: 16, rem: 16, vw: width / 100, vh: screen / 100, cqw: width / 100 },
});

export const cascadeAt = (width: number, screen: number): CascadeEnvironment => ({
  media: environmentAt(width, screen),
  // Whatever holds the grid is taken to be as wide as the page.
  containerOf: () => environmentAt(width, screen),
});

/** The outermost grid of a page at a width, and its items; null when there is none. */
export function gridAt(page: SourcePage, width: number, screen: number): BandGrid | null {
  const { vw, vh, cqw } = environmentAt(width, screen).units;
  const { root, elementOf } = toBoxes(page, {
    units: { vw, vh, cqw },
    environment: cascadeAt(width, screen),
    measurer: { width: () => 0, metrics: () => ({ ascent: 12, descent: 4, lineGap: 0 }) },
    pictureSize: () => null,
  });
  const search = (box: Box, wanted: (each: Box) => boolean): Box | null => {
    if (wanted(box)) return box;
    for (const child of box.children) {
      const found = search(child, wanted);
      if (found) return found;
    }
    return null;
  };
  const isGrid = ({ style }: Box) => style.display === 'grid' || style.display === 'lanes';
  const grid = search(root, (box) => box.isGridRoot && isGrid(box)) ?? search(root, isGrid);
  const element = grid && elementOf.get(grid);
  if (!grid || !element) return null;
  return gridOf(element, grid, elementOf);
}

function gridOf(element: Element, grid: Box, elementOf: ReadonlyMap<Box, Element>): BandGrid {
  const items = grid.children.flatMap((box) => {
    const own = elementOf.get(box);
    return own ? [{ element: own, box }] : [];
  });
  return { element, grid, items, inner: (each, box) => gridOf(each, box, elementOf) };
}
