import { useRef } from 'react';
import { giveFocusBack } from './typing';

/**
 * What a dialog that nothing on screen is the trigger of does with the focus: it goes back to where it came
 * from, or to what is worked on where that is gone; where the dialog itself has put it, it stays. What is
 * marked `data-first` has it while the dialog is open.
 */
export function useFocusBack() {
  const from = useRef<Element | null>(null);
  return {
    onOpenAutoFocus: (event: Event) => {
      from.current = openerOf(document.activeElement);
      const first =
        event.target instanceof HTMLElement ? event.target.querySelector<HTMLElement>('[data-first]') : null;
      if (!first) return;
      event.preventDefault();
      first.focus();
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
