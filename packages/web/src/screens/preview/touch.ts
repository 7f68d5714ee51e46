/** What a finger does to a page in a frame. */

type Touch = 'pointerdown' | 'pointerup' | 'pointercancel' | 'click';

const FOCUSABLE = 'a[href], button, input, select, textarea, summary, video[controls], [tabindex]';

/** Tells an element of a finger on it, as a browser would; a click moves the focus and presses. */
export function touched(target: Element, type: Touch, at: { readonly x: number; readonly y: number }): void {
  const view = target.ownerDocument.defaultView;
  if (!view) return;
  if (type !== 'click') {
    target.dispatchEvent(
      new view.PointerEvent(type, {
        bubbles: true,
        cancelable: true,
        composed: true,
        pointerType: 'touch',
        isPrimary: true,
        clientX: at.x,
        clientY: at.y,
      }),
    );
    return;
  }
  const takes = target.closest<HTMLElement>(FOCUSABLE);
  if (takes) takes.focus({ preventScroll: true });
  else if (target.ownerDocument.activeElement instanceof view.HTMLElement)
    target.ownerDocument.activeElement.blur();
  if (target instanceof view.HTMLElement) target.click();
  // A sign in a button is none of HTML’s own.
  else takes?.click();
}

/** Scrolls what is under a finger: the innermost that can still go that way, at last the page. */
export function scrolled(target: Element, by: number, down: number): void {
  const root = target.ownerDocument.scrollingElement;
  const view = target.ownerDocument.defaultView;
  if (!root || !view) return;
  for (const [dx, dy] of [
    [by, 0],
    [0, down],
  ] as const) {
    if (dx === 0 && dy === 0) continue;
    // Under an open dialog nothing scrolls.
    for (let each: Element | null = target; each && each.tagName !== 'DIALOG'; each = each.parentElement) {
      if (each !== root && !scrolls(view, each, dx !== 0)) continue;
      const [left, top] = [each.scrollLeft, each.scrollTop];
      each.scrollBy({ left: dx, top: dy, behavior: 'instant' });
      if (each.scrollLeft !== left || each.scrollTop !== top) break;
    }
  }
}

function scrolls(view: Window, element: Element, isAcross: boolean): boolean {
  const { overflowX, overflowY } = view.getComputedStyle(element);
  const overflow = isAcross ? overflowX : overflowY;
  return overflow === 'auto' || overflow === 'scroll';
}
