import type { Atrule, CssNode, Rule } from 'css-tree';
import { compile } from 'css-select';
import { parse as parseSelector, SelectorType } from 'css-what';
import { generate, parse } from '../css/tree.js';
import { readDeclaration, type Declaration } from './declaration.js';
import { specificityOf, type Specificity } from './specificity.js';
import { rebase } from './addresses.js';
import { isSupported } from './supports.js';
import type { Element } from 'domhandler';
import type { Report } from './report.js';

/** States that nothing is in as long as nobody does anything with the page. */
const STATES = [
  ...['focus', 'focus-visible', 'focus-within', 'target', 'target-within', 'modal', 'fullscreen'],
  ...['popover-open', 'user-valid', 'user-invalid', 'autofill', 'playing'],
];
const AT_REST = { pseudos: Object.fromEntries(STATES.map((state) => [state, () => false])) };

/** A condition around a rule: both must hold for the rule to count. */
export type RuleCondition =
  | { readonly kind: 'media'; readonly query: CssNode }
  | { readonly kind: 'container'; readonly name: string | null; readonly query: CssNode };

export interface StyleRule {
  readonly matches: (element: Element) => boolean;
  readonly specificity: Specificity;
  readonly conditions: readonly RuleCondition[];
  /**
   * Rank of its layer: of the outermost layer around it first, and so on; what is in no further layer
   * ranks highest (CSS Cascade 5, section 6.4.3).
   */
  readonly layer: readonly number[];
  readonly declarations: readonly Declaration[];
}

interface Context {
  readonly conditions: readonly RuleCondition[];
  readonly layer: string | null;
  readonly parents: readonly string[] | null;
}

/**
 * Reads a style sheet into rules (CSS Cascade 5).
 * @param lineOffset lines before the sheet in its file
 */
export function readStyleSheet(
  css: string,
  lineOffset: number,
  report: (report: Report) => void,
  inline: { readonly rules: StyleRule[]; readonly layers: string[] },
  sheet?: string,
): void {
  const ast = parse(css, {
    positions: true,
    parseCustomProperty: false,
    onParseError: (error) => {
      report({
        line: lineOffset + ((error as unknown as { line?: number }).line ?? 1),
        message: `This could not be read: ${error.message}.`,
      });
    },
  });
  if (ast.type !== 'StyleSheet') return;
  if (sheet !== undefined) rebase(ast, sheet);
  const names = inline.layers;
  const read: { readonly rule: Omit<StyleRule, 'layer'>; readonly layer: string | null }[] = [];
  const lineOf = (node: CssNode) => lineOffset + (node.loc?.start.line ?? 1);

  const readBlock = (children: readonly CssNode[], context: Context): void => {
    for (const node of children) {
      if (node.type === 'Rule') readRule(node, context);
      else if (node.type === 'Atrule') readAtrule(node, context);
    }
  };

  const readAtrule = (node: Atrule, context: Context): void => {
    const name = node.name.toLowerCase();
    if (LEFT_ALONE.has(name)) return;
    const prelude = node.prelude && 'children' in node.prelude ? node.prelude.children.toArray() : [];
    const within = contextIn(name, prelude, context, names, node.block !== null);
    if (within === 'unknown') report({ line: lineOf(node), message: `“@${node.name}” is not imported.` });
    else if (within && node.block) inside(node.block.children.toArray(), within);
  };

  /** The children of a conditional rule: rules, or, nested in a rule, declarations of that rule. */
  const inside = (children: readonly CssNode[], context: Context): void => {
    if (context.parents && children.some((child) => child.type === 'Declaration')) {
      addRule(context.parents, children, context);
    }
    readBlock(children, context);
  };

  const readRule = (node: Rule, context: Context): void => {
    if (node.prelude.type !== 'SelectorList') {
      report({ line: lineOf(node), message: 'This selector could not be read; its rule is left out.' });
      return;
    }
    const selectors = node.prelude.children
      .toArray()
      .map((selector) => nest(generate(selector), context.parents));
    const children = node.block.children.toArray();
    addRule(selectors, children, context, lineOf(node));
    readBlock(children, { ...context, parents: selectors });
  };

  const addRule = (
    selectors: readonly string[],
    children: readonly CssNode[],
    context: Context,
    line = lineOffset,
  ): void => {
    const declarations = children
      .flatMap((child) => (child.type === 'Declaration' ? readDeclaration(child, lineOf(child), report) : []))
      .map((each) => (sheet === undefined ? each : { ...each, sheet }));
    if (declarations.length === 0) return;
    for (const selector of selectors) {
      try {
        for (const one of parseSelector(selector)) {
          if (one.some((part) => part.type === SelectorType.PseudoElement)) continue;
          const rule = {
            matches: compile<Element, Element>([one] as never, AT_REST) as (element: Element) => boolean,
            specificity: specificityOf(one),
            conditions: context.conditions,
            declarations,
          };
          read.push({ rule, layer: context.layer });
        }
      } catch {
        report({ line, message: `The selector “${selector}” is not understood; its rule is left out.` });
      }
    }
  };

  readBlock(ast.children.toArray(), { conditions: [], layer: null, parents: null });
  for (const { rule, layer } of read) {
    inline.rules.push({ ...rule, layer: rankOf(layer, names) });
  }
}

/** Rules that say nothing of a layout. */
const LEFT_ALONE: ReadonlySet<string> = new Set(['font-face', 'keyframes', 'property', 'charset']);

/**
 * What holds for the rules in a conditional rule or a layer; null: they count for nothing. Layers are
 * named as they come.
 */
function contextIn(
  atRule: string,
  prelude: readonly CssNode[],
  context: Context,
  layers: string[],
  hasBlock: boolean,
): Context | null | 'unknown' {
  const under = (condition: RuleCondition) => ({
    ...context,
    conditions: [...context.conditions, condition],
  });
  switch (atRule) {
    case 'media':
      return prelude[0] ? under({ kind: 'media', query: prelude[0] }) : context;
    case 'container': {
      const name = prelude.find((child) => child.type === 'Identifier');
      const query = prelude.find((child) => (child.type as string) === 'Condition');
      if (!query) return null;
      return under({ kind: 'container', name: name?.type === 'Identifier' ? name.name : null, query });
    }
    case 'supports':
      return isSupported(prelude[0]) ? context : null;
    case 'layer':
      return { ...context, layer: layerIn(prelude, context.layer, layers, hasBlock) };
    default:
      return 'unknown';
  }
}

/** The layer that a block is in, by its full name; those of a list are named in their order (CSS Cascade 5, section 6.4). */
function layerIn(
  prelude: readonly CssNode[],
  around: string | null,
  layers: string[],
  hasBlock: boolean,
): string {
  const list = prelude
    .map((child) => generate(child))
    .join('')
    .split(',')
    .map((name) => name.trim());
  const full = (name: string) => (around ? `${around}.${name}` : name);
  /** With the layers around it, which it names as well. */
  const note = (name: string) => {
    const parts = name.split('.');
    for (let k = 1; k <= parts.length; k++) {
      const outer = parts.slice(0, k).join('.');
      if (!layers.includes(outer)) layers.push(outer);
    }
    return name;
  };
  for (const name of list) if (name !== '') note(full(name));
  const name = full(list[0] || `(unnamed ${layers.length})`);
  return hasBlock ? note(name) : name;
}

function rankOf(layer: string | null, layers: readonly string[]): readonly number[] {
  const parts = layer?.split('.') ?? [];
  const around = parts.map((_, k) => layers.indexOf(parts.slice(0, k + 1).join('.')));
  return [...around, Infinity];
}

/** A nested selector written out (CSS Nesting 1). */
function nest(selector: string, parents: readonly string[] | null): string {
  if (!parents) return selector.replaceAll('&', ':root');
  const parent = `:is(${parents.join(',')})`;
  return selector.includes('&') ? selector.replaceAll('&', parent) : `${parent} ${selector.trim()}`;
}
