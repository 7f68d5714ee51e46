/** How menus look: the sheet, and what can be chosen on it. */
export const MENU = 'rounded-m bg-raised p-1 shadow-float';
export const MENU_ITEM =
  'flex h-7 items-center rounded-s px-2 outline-none data-[highlighted]:bg-copper-wash data-[highlighted]:text-copper-ink';
