import { generate } from '../css/tree.js';
import type { CssNode } from 'css-tree';

const DISPLAYS: ReadonlySet<string> = new Set([
  ...['block', 'inline', 'inline-block', 'flow-root', 'list-item', 'none', 'contents'],
  ...['grid', 'inline-grid', 'grid-lanes', 'flex', 'inline-flex'],
]);

/** What the layout here understands counts as supported. */
export function isSupported(node: CssNode | undefined): boolean {
  if (!node) return true;
  switch (node.type as string) {
    case 'Condition':
    case 'Parentheses': {
      let result: boolean | null = null;
      let operator = '';
      for (const child of (
        node as unknown as { children: { toArray: () => CssNode[] } }
      ).children.toArray()) {
        if (child.type === 'Identifier') {
          operator = child.name.toLowerCase();
          continue;
        }
        const holds = operator === 'not' ? !isSupported(child) : isSupported(child);
        result = result === null ? holds : operator === 'or' ? result || holds : result && holds;
      }
      return result ?? true;
    }
    case 'SupportsDeclaration': {
      const { declaration } = node as unknown as { declaration: CssNode & { type: 'Declaration' } };
      return isSupported(declaration);
    }
    case 'Declaration': {
      const { property, value } = node as CssNode & { type: 'Declaration' };
      const text = generate(value);
      if (property === 'display') return DISPLAYS.has(text);
      return !/masonry|item-flow|item-slack/.test(`${property}:${text}`);
    }
    case 'Feature':
      return true;
    default:
      return true;
  }
}
