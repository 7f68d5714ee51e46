import { AttributeAction, SelectorType, type Selector } from 'css-what';
import { readSheet, sheetText, withSelectors, type Declaration, type SheetItem } from '../sheet/sheet.js';

/** A style sheet of a page, with what it says of the page as a whole told apart. */
export interface Parted {
  /** What is said of the page as a whole. */
  readonly own: readonly Declaration[];
  /** The rules of what is in it. */
  readonly items: readonly SheetItem[];
}

/** Tells what a style sheet says of the page as a whole from the rules of what is in it. */
export function parted(css: string): Parted {
  const own: Declaration[] = [];
  const inside = (items: readonly SheetItem[]): SheetItem[] =>
    items.flatMap((item): SheetItem[] => {
      if (item.kind === 'block') return [{ ...item, items: inside(item.items) }];
      if (item.kind === 'verbatim' || !item.selectors.every(isGround)) return [item];
      own.push(...item.declarations);
      return [];
    });
  return { items: inside(readSheet(css)), own };
}

/**
 * A style sheet of a page that holds in one element of it only.
 * @param css as it is written for a whole page
 * @param id of the element
 * @returns what it says of the page as a whole, for the element itself, and the rules of what is in it;
 * animations have names of their own
 */
export function scoped(css: string, id: string): { readonly own: Parted['own']; readonly css: string } {
  const { own, items } = parted(css);
  const within: Selector = {
    type: SelectorType.Attribute,
    name: 'id',
    action: AttributeAction.Equals,
    value: id,
    ignoreCase: 'quirks',
    namespace: null,
  };
  const inside = withSelectors(items, (selector) => [within, { type: SelectorType.Descendant }, ...selector]);
  return { own, css: named(sheetText(inside), id) };
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
        .replaceAll(new RegExp(`(\\banimation(?:-name)?: (?:[^;]*, )?)${name}\\b`, 'g'), `$1${id}-${name}`),
    css,
  );
}
