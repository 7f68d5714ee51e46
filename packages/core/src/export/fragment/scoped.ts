import { AttributeAction, SelectorType, type Selector } from 'css-what';
import { readSheet, sheetText, type Declaration, type SheetItem } from '../sheet/sheet.js';

/** A style sheet that holds in one element of a page only. */
export interface Scoped {
  /** What is said of the element itself. */
  readonly own: readonly Declaration[];
  /** The rules of what is in it. */
  readonly css: string;
}

/**
 * A style sheet of a page that holds in one element of it only.
 * @param css as it is written for a whole page
 * @param id of the element
 * @returns what it says of the page as a whole is said of the element; animations have names of its own
 */
export function scoped(css: string, id: string): Scoped {
  const own: Declaration[] = [];
  const within: Selector = {
    type: SelectorType.Attribute,
    name: 'id',
    action: AttributeAction.Equals,
    value: id,
    ignoreCase: 'quirks',
    namespace: null,
  };
  const inside = (items: readonly SheetItem[]): SheetItem[] =>
    items.flatMap((item): SheetItem[] => {
      if (item.kind === 'text') return [item];
      if (item.kind === 'block') return [{ ...item, items: inside(item.items) }];
      if (item.selectors.every(isGround)) {
        own.push(...item.declarations);
        return [];
      }
      const selectors = item.selectors.map((each) => [
        within,
        { type: SelectorType.Descendant } as const,
        ...each,
      ]);
      return [{ ...item, selectors }];
    });
  return { own, css: named(sheetText(inside(readSheet(css))), id) };
}

/** Whether it is the page as a whole that is meant. */
const isGround = ([only, ...more]: readonly Selector[]) =>
  more.length === 0 &&
  ((only?.type === SelectorType.Tag && /^(html|body)$/.test(only.name)) ||
    (only?.type === SelectorType.Pseudo && only.name === 'root'));

/** Animations by names that no other part of the page has. */
function named(css: string, id: string): string {
  const animations = new Set([...css.matchAll(/@keyframes ([\w-]+)/g)].map(([, name = '']) => name));
  return [...animations].reduce(
    (whole, name) =>
      whole
        .replace(`@keyframes ${name} `, `@keyframes ${id}-${name} `)
        .replaceAll(
          new RegExp(`(\\banimation(?:-name)?: (?:[^;]*, )?)${name}\\b`, 'g'),
          `$1${id}-${name}`,
        ),
    css,
  );
}
