import { useRef } from 'react';
import { giveFocusBack } from './typing';

/**
 * What a dialog that nothing on screen is the trigger of does with the focus: it goes back to where it came
 * from, or to what is worked on where that is gone; where the dialog itself has put it, it stays.
 */
export function useFocusBack() {
  const from = useRef<Element | null>(null);
  return {
    onOpenAutoFocus: () => {
      from.current = openerOf(document.activeElement);
    },
    onCloseAutoFocus: (event: Event) => {
      event.preventDefault();
      if (document.activeElement !== document.body) return;
      if (from.current instanceof HTMLElement) from.current.focus({ preventScroll: true });
      if (document.activeElement === document.body) giveFocusBack(document.body);
    },
  };
}

/** An item of a menu goes with the menu, so what opened the menu stands for it. */
function openerOf(element: Element | null): Element | null {
  const menu = element?.closest('[role=menu]');
  return menu ? document.getElementById(menu.getAttribute('aria-labelledby') ?? '') : element;
}
