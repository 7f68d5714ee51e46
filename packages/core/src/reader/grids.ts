import { toBoxes } from '../engine/html/toBoxes.js';
import { LIMITS } from '../document/limits.js';
import type { Box } from '../engine/box/box.js';
import type { BoxStyle } from '../engine/box/style.js';
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
  /** What it lies in, from the outermost one; null for a grid that is a tile. */
  readonly around: readonly Around[] | null;
  /** What a box in it comes from. */
  readonly elementOf: (box: Box) => Element | undefined;
  /** The grid that an item of it is. */
  readonly inner: (element: Element, box: Box) => BandGrid;
}

/** An element that a grid lies in, and its style. */
export interface Around {
  readonly element: Element;
  readonly style: BoxStyle;
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

export const isGrid = ({ style }: Box) => style.display === 'grid' || style.display === 'lanes';

/** The boxes of a page at a width that are grids or lanes, in its order, and what they come from. */
function gridBoxes(page: SourcePage, width: number, screen: number) {
  const { vw, vh, cqw } = environmentAt(width, screen).units;
  const { root, elementOf } = toBoxes(page, {
    units: { vw, vh, cqw },
    environment: cascadeAt(width, screen),
    measurer: { width: () => 0, metrics: () => ({ ascent: 12, descent: 4, lineGap: 0 }) },
    pictureSize: () => null,
  });
  const found: { readonly grid: Box; readonly element: Element; readonly around: readonly Around[] }[] = [];
  const visit = (box: Box, around: readonly Around[]) => {
    const element = elementOf.get(box);
    if (isGrid(box) && element) found.push({ grid: box, element, around });
    // What the parser adds around a fragment is not in it.
    const isWritten = element?.sourceCodeLocation != null;
    const inner = element && isWritten ? [...around, { element, style: box.style }] : around;
    for (const child of box.children) visit(child, inner);
  };
  visit(root, []);
  return { found, elementOf };
}

/** The elements of a page that are grids or lanes at a width, in its order, those that hold others before these. */
export const gridsAt = (page: SourcePage, width: number, screen: number): readonly Element[] =>
  gridBoxes(page, width, screen).found.map(({ element }) => element);

/**
 * A grid of a page at a width, and its items; null when there is none.
 * @param wanted the element that is it; left out: the outermost one
 */
export function gridAt(page: SourcePage, width: number, screen: number, wanted?: Element): BandGrid | null {
  const { found, elementOf } = gridBoxes(page, width, screen);
  const its = wanted
    ? found.find(({ element }) => element === wanted)
    : (found.find(({ grid }) => grid.isGridRoot) ?? found[0]);
  return its ? gridOf(its.element, its.grid, elementOf, its.around) : null;
}

function gridOf(
  element: Element,
  grid: Box,
  elementOf: ReadonlyMap<Box, Element>,
  around: readonly Around[] | null = null,
): BandGrid {
  const items = grid.children.flatMap((box) => {
    const own = elementOf.get(box);
    return own ? [{ element: own, box }] : [];
  });
  return {
    element,
    grid,
    items,
    around,
    elementOf: (box) => elementOf.get(box),
    inner: (each, box) => gridOf(each, box, elementOf),
  };
}
