import { parseLength, type Units } from '../css/parseLength.js';
import { resolveLength } from '../css/length.js';
import type { CssNode } from 'css-tree';

/** The sizes that features of a query are held against, px. */
export interface QueryEnvironment {
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly units: Units;
}

/** Whether a list of media queries matches a screen (Media Queries 5). */
export function matchesMedia(list: CssNode, environment: QueryEnvironment): boolean {
  if (list.type !== 'MediaQueryList') return false;
  const queries = list.children.toArray();
  return queries.length === 0 || queries.some((query) => matchesQuery(query, environment));
}

function matchesQuery(query: CssNode, environment: QueryEnvironment): boolean {
  if (query.type !== 'MediaQuery') return false;
  const type = query.mediaType?.toLowerCase() ?? 'all';
  const typed = type === 'all' || type === 'screen';
  const holds = typed && (!query.condition || matchesCondition(query.condition, environment));
  return query.modifier?.toLowerCase() === 'not' ? !holds : holds;
}

/** Whether a condition of media or container features holds; unknown features do not. */
export function matchesCondition(node: CssNode, environment: QueryEnvironment): boolean {
  switch (node.type) {
    case 'Condition':
      return combine(node.children.toArray(), (child) => matchesCondition(child, environment));
    case 'Parentheses':
      return combine(node.children.toArray(), (child) => matchesCondition(child, environment));
    case 'Feature':
      return matchesFeature(node.name.toLowerCase(), node.value, environment);
    case 'FeatureRange':
      return matchesRange(node, environment);
    default:
      return false;
  }
}

/** `not a`, `a and b`, `a or b`. */
function combine(children: readonly CssNode[], test: (node: CssNode) => boolean): boolean {
  let result: boolean | null = null;
  let operator = '';
  for (const child of children) {
    if (child.type === 'Identifier') {
      operator = child.name.toLowerCase();
      continue;
    }
    const holds = operator === 'not' ? !test(child) : test(child);
    result = result === null ? holds : operator === 'or' ? result || holds : result && holds;
  }
  return result ?? false;
}

/** What the features that are no sizes say of a screen with a mouse and no preferences. */
const STATES: Readonly<Record<string, string>> = {
  orientation: '',
  hover: 'hover',
  'any-hover': 'hover',
  pointer: 'fine',
  'any-pointer': 'fine',
  'prefers-reduced-motion': 'no-preference',
  'prefers-color-scheme': 'light',
  'prefers-contrast': 'no-preference',
};

function sizeOf(name: string, { inlineSize, blockSize }: QueryEnvironment): number | null {
  if (name === 'width' || name === 'inline-size') return inlineSize;
  if (name === 'height' || name === 'block-size') return blockSize;
  if (name === 'aspect-ratio') return inlineSize / blockSize;
  return null;
}

function matchesFeature(name: string, value: CssNode | null, environment: QueryEnvironment): boolean {
  const [, bound = '', feature = ''] = /^(min-|max-)?(.*)$/.exec(name) ?? [];
  const size = sizeOf(feature, environment);
  if (size !== null) {
    if (!value) return size > 0;
    const wanted = valueOf(value, environment);
    if (wanted === null) return false;
    return bound === 'min-' ? size >= wanted : bound === 'max-' ? size <= wanted : size === wanted;
  }
  const wanted = value?.type === 'Identifier' ? value.name.toLowerCase() : null;
  if (feature === 'orientation') {
    return wanted === (environment.blockSize >= environment.inlineSize ? 'portrait' : 'landscape');
  }
  const state = STATES[feature];
  if (state === undefined) return false;
  return wanted === null ? state !== 'none' && state !== 'no-preference' : wanted === state;
}

function matchesRange(node: CssNode & { type: 'FeatureRange' }, environment: QueryEnvironment): boolean {
  const { left, leftComparison, middle, rightComparison, right } = node as unknown as {
    left: CssNode;
    leftComparison: string;
    middle: CssNode;
    rightComparison: string | null;
    right: CssNode | null;
  };
  const first = compare(left, leftComparison, middle, environment);
  return first && (!rightComparison || !right || compare(middle, rightComparison, right, environment));
}

function compare(a: CssNode, operator: string, b: CssNode, environment: QueryEnvironment): boolean {
  const x = valueOf(a, environment);
  const y = valueOf(b, environment);
  if (x === null || y === null) return false;
  switch (operator) {
    case '<':
      return x < y;
    case '<=':
      return x <= y;
    case '>':
      return x > y;
    case '>=':
      return x >= y;
    default:
      return x === y;
  }
}

function valueOf(node: CssNode, environment: QueryEnvironment): number | null {
  if (node.type === 'Identifier') return sizeOf(node.name.toLowerCase(), environment);
  if (node.type === 'Ratio') {
    const { left, right } = node as unknown as { left: CssNode; right: CssNode | null };
    const numbers = [left, right].map((each) => (each?.type === 'Number' ? Number(each.value) : 1));
    return (numbers[0] ?? 1) / (numbers[1] ?? 1);
  }
  if (node.type === 'Number') return Number(node.value);
  const length = parseLength(node, environment.units);
  return length === null ? null : resolveLength(length, NaN);
}
