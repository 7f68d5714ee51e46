import { parse as parseHtml } from 'parse5';
import { adapter } from 'parse5-htmlparser2-tree-adapter';
import { parse as parseCss } from 'css-tree';
import { isTag, type ChildNode, type Document, type Element } from 'domhandler';
import { readStyleSheet, type StyleRule } from './styleSheet.js';
import { readDeclaration, type Declaration } from './declaration.js';
import { type Report } from './report.js';
import { USER_AGENT_CSS } from './userAgent.js';

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

/** Text of a style sheet that a page links to, or null when there is none. */
export type SheetReader = (href: string) => string | null;

let ownRules: StyleRule[] | null = null;

function userAgentRules(): readonly StyleRule[] {
  if (!ownRules) {
    ownRules = [];
    readStyleSheet(USER_AGENT_CSS, 0, () => undefined, { rules: ownRules, layers: [] });
  }
  return ownRules;
}

/** Reads a style sheet that many pages share. Rules that are not read are left out without a word. */
export function readRules(css: string): readonly StyleRule[] {
  const rules: StyleRule[] = [];
  readStyleSheet(css, 0, () => undefined, { rules, layers: [] });
  return rules;
}

/**
 * Reads an HTML page or a snippet of one, with the style sheets in it and those that it links to.
 * @param readSheet finds a linked style sheet; without it none is read
 * @param before rules that come before the page's own
 */
export function readPage(
  html: string,
  readSheet: SheetReader = () => null,
  before: readonly StyleRule[] = [],
): SourcePage {
  const document: Document = parseHtml(html, { treeAdapter: adapter, sourceCodeLocationInfo: true });
  const reports: Report[] = [];
  const report = (each: Report) => void reports.push(each);
  const root = document.children.find((node): node is Element => isTag(node) && node.name === 'html');
  if (!root) throw new Error('A page has an html element; the parser made none.');
  const rules: StyleRule[] = [...before];
  const layers: string[] = [];
  const inlineDeclarations = new Map<Element, Declaration[]>();
  const visit = (node: ChildNode): void => {
    if (!isTag(node)) return;
    const line = node.sourceCodeLocation?.startLine ?? 1;
    if (node.name === 'style') {
      const css = node.children.map((child) => ('data' in child ? child.data : '')).join('');
      readStyleSheet(css, line - 1, report, { rules, layers });
    } else if (node.name === 'link' && /(^|\s)stylesheet(\s|$)/i.test(node.attribs.rel ?? '')) {
      const href = node.attribs.href ?? '';
      const css = readSheet(href);
      if (css === null) report({ line, message: `The style sheet “${href}” is not there.` });
      else readStyleSheet(css, 0, (each) => report({ ...each, sheet: href }), { rules, layers }, href);
    }
    if (node.attribs.style) inlineDeclarations.set(node, readInline(node.attribs.style, line, report));
    node.children.forEach(visit);
  };
  visit(root);
  return { root, ownRules: userAgentRules(), rules, inlineDeclarations, reports };
}

function readInline(css: string, line: number, report: (report: Report) => void): Declaration[] {
  const list = parseCss(css, {
    context: 'declarationList',
    onParseError: () => report({ line, message: `Part of “${css}” could not be read.` }),
  });
  if (list.type !== 'DeclarationList') return [];
  return list.children
    .toArray()
    .flatMap((node) => (node.type === 'Declaration' ? readDeclaration(node, line, report) : []));
}

/** Addresses of the pictures in a page, each once. */
export function pictureAddresses({ root }: SourcePage): string[] {
  const found = new Set<string>();
  const visit = (element: Element): void => {
    if (element.name === 'img' && element.attribs.src) found.add(element.attribs.src);
    for (const child of element.children) if (isTag(child)) visit(child);
  };
  visit(root);
  return [...found];
}
