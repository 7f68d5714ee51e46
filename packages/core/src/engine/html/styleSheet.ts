import { parse, type Atrule, type CssNode, type Rule } from 'css-tree';
import { compile } from 'css-select';
import { AttributeAction, parse as parseSelector, SelectorType, type Selector } from 'css-what';
import { generate } from 'css-tree';
import type { Element } from 'domhandler';
import { expandDeclaration, type Nodes } from './shorthands.js';

/** States that nothing is in as long as nobody does anything with the page. */
const STATES = [
  ...['focus', 'focus-visible', 'focus-within', 'target', 'target-within', 'modal', 'fullscreen'],
  ...['popover-open', 'user-valid', 'user-invalid', 'autofill', 'playing'],
];
const AT_REST = { pseudos: Object.fromEntries(STATES.map((state) => [state, () => false])) };

/** What was found in a page that could not be taken over, with its line. */
export interface Report {
  readonly line: number;
  /** The linked style sheet that the line is in; left out for the page itself. */
  readonly sheet?: string;
  readonly message: string;
}

export type Specificity = readonly [ids: number, classes: number, types: number];

/** A condition around a rule: both must hold for the rule to count. */
export type RuleCondition =
  | { readonly kind: 'media'; readonly query: CssNode }
  | { readonly kind: 'container'; readonly name: string | null; readonly query: CssNode };

export interface Declaration {
  readonly property: string;
  /** Text of the value, for custom properties and values that name one; else null. */
  readonly text: string | null;
  readonly value: Nodes;
  readonly important: boolean;
  readonly line: number;
  /** The linked style sheet that it is in; left out for the page itself. */
  readonly sheet?: string;
}

export interface StyleRule {
  readonly matches: (element: Element) => boolean;
  readonly specificity: Specificity;
  readonly conditions: readonly RuleCondition[];
  /** Rank of its layer; unlayered rules rank highest. */
  readonly layer: number;
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
    const children = node.block?.children.toArray() ?? [];
    const prelude = node.prelude && 'children' in node.prelude ? node.prelude.children.toArray() : [];
    switch (node.name.toLowerCase()) {
      case 'media': {
        const query = prelude[0];
        const conditions: readonly RuleCondition[] = query
          ? [...context.conditions, { kind: 'media', query }]
          : context.conditions;
        inside(children, { ...context, conditions });
        return;
      }
      case 'container': {
        const name = prelude.find((child) => child.type === 'Identifier');
        const query = prelude.find((child) => (child.type as string) === 'Condition');
        if (!query) return;
        const condition: RuleCondition = {
          kind: 'container',
          name: name?.type === 'Identifier' ? name.name : null,
          query,
        };
        inside(children, { ...context, conditions: [...context.conditions, condition] });
        return;
      }
      case 'supports':
        if (isSupported(prelude[0])) inside(children, context);
        return;
      case 'layer': {
        const list = prelude
          .map((child) => generate(child))
          .join('')
          .split(',')
          .map((name) => name.trim());
        const full = (name: string) => (context.layer ? `${context.layer}.${name}` : name);
        for (const name of list) if (name !== '' && !names.includes(full(name))) names.push(full(name));
        if (!node.block) return;
        const name = full(list[0] || `(unnamed ${names.length})`);
        if (!names.includes(name)) names.push(name);
        inside(children, { ...context, layer: name });
        return;
      }
      case 'font-face':
      case 'keyframes':
      case 'property':
      case 'charset':
        return;
      default:
        report({ line: lineOf(node), message: `“@${node.name}” is not taken over.` });
    }
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
    inline.rules.push({ ...rule, layer: layer === null ? Infinity : names.indexOf(layer) });
  }
}

/** A nested selector written out (CSS Nesting 1). */
function nest(selector: string, parents: readonly string[] | null): string {
  if (!parents) return selector.replaceAll('&', ':root');
  const parent = `:is(${parents.join(',')})`;
  return selector.includes('&') ? selector.replaceAll('&', parent) : `${parent} ${selector.trim()}`;
}

export function readDeclaration(
  node: CssNode & { type: 'Declaration' },
  line: number,
  report: (report: Report) => void,
): Declaration[] {
  const important = node.important !== false;
  const property = node.property.startsWith('--') ? node.property : node.property.toLowerCase();
  if (node.value.type === 'Raw') {
    const raw = node.value.value.trim();
    if (property.startsWith('--') || raw.includes('var(')) {
      return [{ property, text: raw, value: [], important, line }];
    }
    report({ line, message: `“${property}: ${raw}” can’t be read and is left out.` });
    return [];
  }
  const text = generate(node.value);
  if (property.startsWith('--') || text.includes('var('))
    return [{ property, text, value: [], important, line }];
  const longhands = expandDeclaration(property, node.value.children.toArray());
  if (!longhands) report({ line, message: `“${property}: ${text}” makes no sense and is left out.` });
  return (longhands ?? []).map(([name, value]) => ({ property: name, text: null, value, important, line }));
}

/** Specificity (Selectors 4, section 17). */
export function specificityOf(selector: readonly Selector[]): Specificity {
  let [ids, classes, types] = [0, 0, 0];
  for (const part of selector) {
    switch (part.type) {
      case SelectorType.Attribute:
        if (part.name === 'id' && part.action === AttributeAction.Equals) ids++;
        else classes++;
        break;
      case SelectorType.Pseudo: {
        if (part.name === 'where') break;
        const inner = Array.isArray(part.data) ? part.data.map(specificityOf) : null;
        if (inner && ['is', 'not', 'has', 'matches'].includes(part.name)) {
          const most = inner.reduce<Specificity>(
            (a, b) => (compareSpecificity(a, b) >= 0 ? a : b),
            [0, 0, 0],
          );
          ids += most[0];
          classes += most[1];
          types += most[2];
        } else classes++;
        break;
      }
      case SelectorType.Tag:
      case SelectorType.PseudoElement:
        types++;
        break;
      default:
    }
  }
  return [ids, classes, types];
}

export const compareSpecificity = (a: Specificity, b: Specificity) =>
  a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

/** What the layout here understands counts as supported. */
function isSupported(node: CssNode | undefined): boolean {
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
      if (property === 'display')
        return /^(block|inline|inline-block|grid|inline-grid|grid-lanes|flex|inline-flex|none|contents|flow-root|list-item)$/.test(
          text,
        );
      return !/masonry|item-flow|item-slack/.test(`${property}:${text}`);
    }
    case 'Feature':
      return true;
    default:
      return true;
  }
}
