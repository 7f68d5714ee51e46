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
