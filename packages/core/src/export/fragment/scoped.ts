import { parse } from '../../engine/css/tree.js';
import type { CssNode } from 'css-tree';

/** A piece of a text, and what stands in its place. */
interface Replacement {
  readonly start: number;
  readonly end: number;
  readonly by: string;
}

const GROUND = /^(:root|html|body)$/;

/**
 * A style sheet of a page that holds in one element of it only.
 * @param css as it is written for a whole page
 * @param id of the element
 * @returns what it says of the page as a whole is said of the element; animations have names of its own
 */
export function scoped(css: string, id: string): string {
  const replacements: Replacement[] = [];
  const animations = new Set<string>();
  const replace = (node: CssNode, by: (text: string) => string) => {
    if (!node.loc) return;
    const [start, end] = [node.loc.start.offset, node.loc.end.offset];
    replacements.push({ start, end, by: by(css.slice(start, end)) });
  };
  const visit = (nodes: readonly CssNode[]) => {
    for (const node of nodes) {
      if (node.type === 'Rule' && node.prelude.type === 'SelectorList')
        for (const selector of node.prelude.children.toArray())
          replace(selector, (text) => (GROUND.test(text) ? `#${id}` : `#${id} ${text}`));
      else if (node.type === 'Atrule' && node.name === 'keyframes' && node.prelude)
        replace(node.prelude, (name) => {
          animations.add(name);
          return `${id}-${name}`;
        });
      else if (node.type === 'Atrule' && node.block && !/^(font-face|keyframes)$/.test(node.name))
        visit(node.block.children.toArray());
    }
  };
  const sheet = parse(css, { positions: true });
  if (sheet.type === 'StyleSheet') visit(sheet.children.toArray());
  const text = replacements
    .toSorted((a, b) => b.start - a.start)
    .reduce((whole, { start, end, by }) => `${whole.slice(0, start)}${by}${whole.slice(end)}`, css);
  return [...animations].reduce(
    (whole, name) =>
      whole.replaceAll(
        new RegExp(`(\\banimation(?:-name)?: (?:[^;]*, )?)${name}\\b`, 'g'),
        `$1${id}-${name}`,
      ),
    text,
  );
}
