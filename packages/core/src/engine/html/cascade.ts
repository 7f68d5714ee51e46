import { parse as parseCss } from 'css-tree';
import type { Element } from 'domhandler';
import { matchesCondition, matchesMedia, type QueryEnvironment } from './conditions.js';
import { expandDeclaration, type Nodes } from './shorthands.js';
import { compareSpecificity, type Declaration, type RuleCondition, type StyleRule } from './styleSheet.js';
import type { SourcePage } from './readPage.js';

/** The winning value of every property of an element, and its custom properties. */
export interface Cascaded {
  readonly values: ReadonlyMap<string, Nodes>;
  readonly custom: ReadonlyMap<string, string>;
}

/** What the conditions of an element's rules are held against. */
export interface CascadeEnvironment {
  readonly media: QueryEnvironment;
  /** The nearest container of an element with that name, or of any name; null when there is none. */
  readonly containerOf: (element: Element, name: string | null) => QueryEnvironment | null;
}

const matching = new WeakMap<SourcePage, Map<Element, readonly StyleRule[]>>();

/** The rules whose selectors match an element; that does not depend on the width. */
function matchingRules(page: SourcePage, element: Element): readonly StyleRule[] {
  let known = matching.get(page);
  if (!known) matching.set(page, (known = new Map<Element, readonly StyleRule[]>()));
  const before = known.get(element);
  if (before) return before;
  const matched = (rules: readonly StyleRule[]) =>
    rules.filter((rule) => rule.matches(element)).sort(bySpecificity);
  const all = [...matched(page.ownRules), ...matched(page.rules)];
  known.set(element, all);
  return all;
}

/** Sorting is stable, so later rules stay behind earlier ones of the same weight. */
const bySpecificity = (a: StyleRule, b: StyleRule) =>
  compareLayers(a.layer, b.layer) || compareSpecificity(a.specificity, b.specificity);
const compareLayers = (a: number, b: number) => (a === b ? 0 : a < b ? -1 : 1);

/** The cascade for one element (CSS Cascade 5, section 6). */
export function cascade(
  page: SourcePage,
  element: Element,
  inheritedCustom: ReadonlyMap<string, string>,
  environment: CascadeEnvironment,
): Cascaded {
  const holds = (condition: RuleCondition): boolean => {
    if (condition.kind === 'media') return matchesMedia(condition.query, environment.media);
    const container = environment.containerOf(element, condition.name);
    return container !== null && matchesCondition(condition.query, container);
  };
  const normal: Declaration[] = [];
  const important: Declaration[] = [];
  const add = (declaration: Declaration) => (declaration.important ? important : normal).push(declaration);
  for (const rule of matchingRules(page, element)) {
    if (rule.conditions.every(holds)) rule.declarations.forEach(add);
  }
  page.inlineDeclarations.get(element)?.forEach(add);
  const all = [...normal, ...important];

  const custom = new Map(inheritedCustom);
  for (const { property, text } of all)
    if (property.startsWith('--') && text !== null) custom.set(property, text);
  const values = new Map<string, Nodes>();
  for (const declaration of all) {
    if (declaration.property.startsWith('--')) continue;
    for (const [property, value] of longhandsOf(declaration, custom)) {
      values.delete(property);
      values.set(property, value);
    }
  }
  return { values, custom };
}

const parsed = new Map<string, Nodes>();

function longhandsOf(
  { property, text, value }: Declaration,
  custom: ReadonlyMap<string, string>,
): readonly (readonly [string, Nodes])[] {
  if (text === null) return [[property, value]];
  const full = substitute(text, custom, 0);
  if (full === null) return expandDeclaration(property, [{ type: 'Identifier', name: 'unset' }]) ?? [];
  return expandDeclaration(property, parseValue(full)) ?? [];
}

/** A value that came together from variables may make no sense; then it counts as not declared. */
function tryParse(text: string): Nodes {
  try {
    const node = parseCss(text, { context: 'value' });
    return node.type === 'Value' ? node.children.toArray() : [];
  } catch {
    return [];
  }
}

function parseValue(text: string): Nodes {
  const known = parsed.get(text);
  if (known) return known;
  const nodes = tryParse(text);
  if (parsed.size > 5000) parsed.clear();
  parsed.set(text, nodes);
  return nodes;
}

/** Writes out every `var()` (CSS Variables 2); null when one has no value, or they go round in a ring. */
function substitute(text: string, custom: ReadonlyMap<string, string>, depth: number): string | null {
  const at = text.indexOf('var(');
  if (at < 0) return text;
  if (depth > 40) return null;
  let level = 1;
  let end = at + 4;
  while (end < text.length && level > 0) {
    if (text[end] === '(') level++;
    if (text[end] === ')') level--;
    end++;
  }
  const [name = '', ...fallback] = text.slice(at + 4, end - 1).split(',');
  const value = custom.get(name.trim()) ?? (fallback.length > 0 ? fallback.join(',').trim() : null);
  if (value === null) return null;
  const written = substitute(value, custom, depth + 1);
  return written === null
    ? null
    : substitute(text.slice(0, at) + written + text.slice(end), custom, depth + 1);
}
