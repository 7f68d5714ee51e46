import { isTag, type ChildNode, type Element } from 'domhandler';
import { parse } from '../css/tree.js';
import { readDeclaration, type Declaration } from './declaration.js';
import { element, treeOf, type PageNode } from './node.js';
import { readStyleSheet, type StyleRule } from './styleSheet.js';
import { USER_AGENT_CSS } from './userAgent.js';
import type { Report } from './report.js';

/** A page as read: its elements and the rules that style them. Nothing in it depends on a width. */
export interface SourcePage {
  readonly root: Element;
  /** From a browser's own style sheet. */
  readonly ownRules: readonly StyleRule[];
  readonly rules: readonly StyleRule[];
  /** Declarations of `style` attributes. */
  readonly inlineDeclarations: ReadonlyMap<Element, readonly Declaration[]>;
  readonly reports: readonly Report[];
}

let ownRules: readonly StyleRule[] | null = null;

/** The rules of a browser's own style sheet. */
export const userAgentRules = (): readonly StyleRule[] => (ownRules ??= readRules(USER_AGENT_CSS));

/** Reads a style sheet that many pages share. Rules that are not read are left out without a word. */
export function readRules(css: string): readonly StyleRule[] {
  const rules: StyleRule[] = [];
  readStyleSheet(css, 0, () => undefined, { rules, layers: [] });
  return rules;
}

/** Reads the declarations of a `style` attribute. */
export function readInline(css: string, line: number, report: (report: Report) => void): Declaration[] {
  const list = parse(css, {
    context: 'declarationList',
    onParseError: () => report({ line, message: `Part of “${css}” could not be read.` }),
  });
  if (list.type !== 'DeclarationList') return [];
  return list.children
    .toArray()
    .flatMap((node) => (node.type === 'Declaration' ? readDeclaration(node, line, report) : []));
}

/** The page that holds nodes in its body, as a parser would read it of their HTML. */
export function pageOf(body: readonly PageNode[], rules: readonly StyleRule[]): SourcePage {
  const root = treeOf(element('html', {}, [element('head'), element('body', {}, body)])) as Element;
  const inlineDeclarations = new Map<Element, readonly Declaration[]>();
  const visit = (node: ChildNode): void => {
    if (!isTag(node)) return;
    if (node.attribs.style)
      inlineDeclarations.set(
        node,
        readInline(node.attribs.style, 1, () => undefined),
      );
    node.children.forEach(visit);
  };
  visit(root);
  return { root, ownRules: userAgentRules(), rules, inlineDeclarations, reports: [] };
}
