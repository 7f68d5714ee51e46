import type { Difference, Seen } from './differences';

/**
 * The tiles of a page in a frame as the browser shows them.
 * @param attribute that says which tile an element is
 * @param isStacked whether it does not matter how far those are from each other that lie in none
 */
export function seenIn(page: Document, attribute: string, isStacked: boolean): ReadonlyMap<string, Seen> {
  const all = [...page.querySelectorAll<HTMLElement>(`[${attribute}]`)];
  const found = new Map<string, Seen>();
  for (const element of all) {
    const { left, top, width, height } = element.getBoundingClientRect();
    // What neither shows has no box.
    if (width === 0 && height === 0) continue;
    const around = element.parentElement?.closest(`[${attribute}]`);
    const from = (around ?? (isStacked ? element : all[0]))?.getBoundingClientRect();
    found.set(element.getAttribute(attribute) ?? '', {
      x: left - (from?.left ?? 0),
      y: top - (from?.top ?? 0),
      inlineSize: width,
      blockSize: height,
      words: element.textContent,
    });
  }
  return found;
}

/** How far from the upper edge what is meant of a page comes to lie, px. */
const ABOVE = 16;

/** Brings the first tile of a page into view. */
export function showFirst(page: Document, attribute: string): void {
  const top = page.querySelector(`[${attribute}]`)?.getBoundingClientRect().top ?? 0;
  page.defaultView?.scrollBy({ top: top - ABOVE, behavior: 'instant' });
}

const MARKED = 'noria-difference';

/** Marks tiles that are other than in the page; pointing at a mark shows both values. */
export function markDifferences(page: Document, differences: readonly Difference[]): void {
  for (const before of page.querySelectorAll(`.${MARKED}`)) before.remove();
  const { scrollX = 0, scrollY = 0 } = page.defaultView ?? {};
  for (const { tile, what, both } of differences) {
    const element = page.querySelector(`[data-tile="${CSS.escape(tile)}"]`);
    if (!element) continue;
    const { left, top, width, height } = element.getBoundingClientRect();
    const mark = page.createElement('div');
    mark.className = MARKED;
    mark.title = both;
    mark.style.cssText = `position: absolute; left: ${left + scrollX}px; top: ${top + scrollY}px; width: ${width}px; height: ${height}px; outline: 3px dashed #b07a1e; outline-offset: 3px; z-index: 2147483647`;
    const label = page.createElement('span');
    label.textContent = `◆ ${what}`;
    label.style.cssText =
      'position: absolute; left: 8px; top: -6px; background: #fff; color: #17282a; font: 600 16px/1 sans-serif; padding: 6px 8px; border-radius: 4px; box-shadow: 0 1px 4px #0004; white-space: nowrap';
    mark.append(label);
    page.body.append(mark);
  }
}
