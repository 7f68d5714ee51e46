import type { CssNode } from 'css-tree';
import { parseLength, DEFAULT_UNITS } from '../engine/css/parseLength.js';
import { LIMITS } from '../document/limits.js';
import type { SourcePage } from '../engine/html/sourcePage.js';

/** A page that changes at more widths is not read at all of them. */
const MOST = 40;

/**
 * Every width in px at which a media or container query of a page changes its answer, from wide to
 * narrow; the width itself belongs to the wider band.
 */
export function breakpointsOf({ rules }: SourcePage): number[] {
  const found = new Set<number>();
  const visit = (node: CssNode): void => {
    if (node.type === 'Feature') {
      const [, bound = '', name] = /^(min-|max-)?(width|inline-size)$/.exec(node.name.toLowerCase()) ?? [];
      if (name !== undefined && node.value) add(node.value, bound === 'max-');
    } else if (node.type === 'FeatureRange') {
      const { left, leftComparison, middle, rightComparison, right } = node as unknown as {
        left: CssNode;
        leftComparison: string;
        middle: CssNode;
        rightComparison: string | null;
        right: CssNode | null;
      };
      compare(left, leftComparison, middle);
      if (rightComparison && right) compare(middle, rightComparison, right);
    } else if ('children' in node && node.children) node.children.forEach(visit);
    else if (node.type === 'MediaQuery' && node.condition) visit(node.condition);
  };
  const isWidth = (node: CssNode) => node.type === 'Identifier' && /^(width|inline-size)$/i.test(node.name);
  const compare = (a: CssNode, operator: string, b: CssNode) => {
    // `width <= 600px` and `600px < width` still hold at 600, so that the break comes a px later.
    if (isWidth(a)) add(b, operator === '<=' || operator === '>');
    else if (isWidth(b)) add(a, operator === '>=' || operator === '<');
  };
  const add = (value: CssNode, isAfter: boolean) => {
    const length = parseLength(value, DEFAULT_UNITS);
    if (typeof length !== 'number') return;
    const at = isAfter ? Math.floor(length) + 1 : Math.ceil(length);
    if (at > LIMITS.narrowest && at <= LIMITS.widest) found.add(at);
  };
  for (const { conditions } of rules) for (const { query } of conditions) visit(query);
  return [...found].sort((a, b) => b - a).slice(0, MOST);
}
