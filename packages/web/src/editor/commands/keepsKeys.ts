const MOVES = /^(Arrow.*|Home|End|PageUp|PageDown|Enter| |Tab)$/;

/** Whether a key belongs to what has the focus: a field, a menu, a dialog; of a slider or a choice only what moves it. */
export function keepsKeys(target: EventTarget | null, key = ''): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.matches('[role=slider], [role=radio]')) return key === '' || MOVES.test(key);
  return (
    target.matches('input, textarea, select, [contenteditable], [role=menuitem]') ||
    target.closest('[role=dialog], [role=alertdialog], [role=menu]') !== null
  );
}

/** Whether it stands in a dialog over everything, which has keys of its own; a colour that is picked lies beside. */
export function isInDialog(target: EventTarget | null): boolean {
  const dialog = target instanceof HTMLElement ? target.closest('[role=dialog], [role=alertdialog]') : null;
  return dialog !== null && dialog.closest('[data-radix-popper-content-wrapper]') === null;
}
