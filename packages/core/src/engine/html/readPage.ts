import { parse as parseHtml } from 'parse5';
import { adapter } from 'parse5-htmlparser2-tree-adapter';
import { isTag, type ChildNode, type Document, type Element } from 'domhandler';
import { readStyleSheet, type StyleRule } from './styleSheet.js';
import { readInline, userAgentRules, type SourcePage } from './sourcePage.js';
import type { Declaration } from './declaration.js';
import type { Report } from './report.js';

/** Text of a style sheet that a page links to, or null when there is none. */
export type SheetReader = (href: string) => string | null;

/** Elements in elements; browsers stop at as many (HTML 13.2.6 leaves the number to them). */
const MOST_NESTED = 512;

/**
 * Reads an HTML page or a snippet of one, with the style sheets in it and those that it links to.
 * @param readSheet finds a linked style sheet; without it none is read
 * @param before rules that come before the page's own
 * @throws RangeError when its elements are nested too deep
 */
export function readPage(
  html: string,
  readSheet: SheetReader = () => null,
  before: readonly StyleRule[] = [],
): SourcePage {
  const document: Document = parseHtml(html, { treeAdapter: adapter, sourceCodeLocationInfo: true });
  boundNesting(document);
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

/** @throws RangeError when elements lie in more elements than are read */
function boundNesting(document: Document): void {
  let level: ChildNode[] = document.children;
  for (let depth = 0; level.length > 0; depth++) {
    const [first] = level;
    if (depth > MOST_NESTED) {
      const line = (first && isTag(first) ? first.sourceCodeLocation?.startLine : undefined) ?? 1;
      throw new RangeError(
        `Elements are nested more than ${MOST_NESTED} deep at line ${line}. Take some of them out.`,
      );
    }
    level = level.flatMap((node) => (isTag(node) ? node.children : []));
  }
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
