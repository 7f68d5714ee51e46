import { parse as parseCss } from '../css/tree.js';
import type { Element } from 'domhandler';
import { matchesCondition, matchesMedia, type QueryEnvironment } from './conditions.js';
import { expandDeclaration, type Nodes } from './shorthands.js';
import { type RuleCondition, type StyleRule } from './styleSheet.js';
import { compareSpecificity } from './specificity.js';
import { type Declaration } from './declaration.js';
import { perObject, perText } from '../../memo.js';
import type { SourcePage } from './sourcePage.js';

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

/** The rules whose selectors match an element, those that win last. */
interface Matching {
  readonly normal: readonly StyleRule[];
  /** Those with important declarations, which count the other way round between layers. */
  readonly important: readonly StyleRule[];
}

/** What matches an element does not depend on the width. */
const matchingIn = perObject((page: SourcePage) =>
  perObject((element: Element): Matching => {
    const matched = (rules: readonly StyleRule[]) => rules.filter((rule) => rule.matches(element));
    const own = matched(page.ownRules).sort(byWeight(1));
    const rules = matched(page.rules);
    const isImportant = ({ declarations }: StyleRule) => declarations.some(({ important }) => important);
    return {
      normal: [...own, ...rules.toSorted(byWeight(1))],
      important: [...own, ...rules.toSorted(byWeight(-1))].filter(isImportant),
    };
  }),
);

/** Sorting is stable, so later rules stay behind earlier ones of the same weight. */
const byWeight = (layers: 1 | -1) => (a: StyleRule, b: StyleRule) =>
  layers * compareLayers(a.layer, b.layer) || compareSpecificity(a.specificity, b.specificity);

function compareLayers(a: readonly number[], b: readonly number[]): number {
  for (let k = 0; k < Math.min(a.length, b.length); k++) {
    const [one, other] = [a[k] as number, b[k] as number];
    if (one !== other) return one < other ? -1 : 1;
  }
  return 0;
}

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
  const { normal, important } = matchingIn(page)(element);
  const inline = page.inlineDeclarations.get(element) ?? [];
  const declared = (rules: readonly StyleRule[], isImportant: boolean): Declaration[] =>
    [
      ...rules
        .filter(({ conditions }) => conditions.every(holds))
        .flatMap(({ declarations }) => declarations),
      ...inline,
    ].filter((declaration) => declaration.important === isImportant);
  const all = [...declared(normal, false), ...declared(important, true)];

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

const parsed = perText<Nodes>(5000);

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

const parseValue = (text: string): Nodes => parsed(text, () => tryParse(text));

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
