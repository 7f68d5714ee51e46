import { parse as parseSelectors, stringify, type Selector } from 'css-what';
import { generate, parse } from '../../engine/css/tree.js';
import { indented } from '../../engine/css/rule.js';
import type { Atrule, CssNode, Rule } from 'css-tree';

/** A rule as it is written: what it is of, and what it says in the order of its lines. */
export interface SheetRule {
  readonly kind: 'rule';
  readonly selectors: readonly Selector[][];
  readonly declarations: readonly Declaration[];
}

export type Declaration = readonly [property: string, value: string];

/** Rules that hold in a condition, such as a width of the container. */
export interface SheetBlock {
  readonly kind: 'block';
  readonly condition: string;
  readonly items: readonly SheetItem[];
}

/** What is written as it came: a font, the steps of an animation. */
export interface SheetText {
  readonly kind: 'verbatim';
  readonly text: string;
}

export type SheetItem = SheetRule | SheetBlock | SheetText;

/** At-rules that hold no rules of elements. */
const WHOLE = /^(font-face|keyframes|property)$/;

/** A style sheet of ours as data; values stay as they are written. */
export function readSheet(css: string): SheetItem[] {
  const sheet = parse(css, { positions: true, parseValue: false });
  return sheet.type === 'StyleSheet' ? itemsOf(sheet.children.toArray(), css) : [];
}

const itemsOf = (nodes: readonly CssNode[], css: string): SheetItem[] =>
  nodes.flatMap((node): SheetItem[] => {
    if (node.type === 'Rule') return [ruleOf(node, css)];
    if (node.type !== 'Atrule') return [];
    if (!node.block || WHOLE.test(node.name)) return [{ kind: 'verbatim', text: textOf(node, css) }];
    const items = itemsOf(node.block.children.toArray(), css);
    return [{ kind: 'block', condition: conditionOf(node, css), items }];
  });

const ruleOf = ({ prelude, block }: Rule, css: string): SheetRule => ({
  kind: 'rule',
  selectors: parseSelectors(generate(prelude)),
  declarations: block.children
    .toArray()
    .flatMap((node): Declaration[] =>
      node.type === 'Declaration'
        ? [[node.property, `${textOf(node.value, css).trim()}${node.important ? ' !important' : ''}`]]
        : [],
    ),
});

const textOf = ({ loc }: CssNode, css: string) => (loc ? css.slice(loc.start.offset, loc.end.offset) : '');

const conditionOf = ({ name, prelude }: Atrule, css: string) =>
  prelude ? `@${name} ${textOf(prelude, css).trim()}` : `@${name}`;

/** A sheet with every selector made another one. */
export const withSelectors = (
  items: readonly SheetItem[],
  made: (selector: readonly Selector[]) => Selector[],
): SheetItem[] =>
  items.map((item): SheetItem => {
    if (item.kind === 'verbatim') return item;
    if (item.kind === 'block') return { ...item, items: withSelectors(item.items, made) };
    return { ...item, selectors: item.selectors.map(made) };
  });

/** The text of a style sheet: a selector and a declaration a line, a blank line between rules. */
export const sheetText = (items: readonly SheetItem[]): string => items.map(itemText).join('\n\n');

function itemText(item: SheetItem): string {
  if (item.kind === 'verbatim') return item.text;
  if (item.kind === 'block') return `${item.condition} {\n${indented(sheetText(item.items))}\n}`;
  const lines = item.declarations.flatMap(([property, value], k) => {
    const line = `  ${property}: ${value};`;
    const isFirst = k > 0 && !property.startsWith('--') && item.declarations[k - 1]?.[0].startsWith('--');
    return isFirst ? ['', line] : [line];
  });
  return `${item.selectors.map((each) => stringify([each])).join(',\n')} {\n${lines.join('\n')}\n}`;
}
