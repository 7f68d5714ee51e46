import { expect, test } from '@jest/globals';
import { selectAll } from 'css-select';
import { SelectorType, type Selector } from 'css-what';
import type { Document } from 'domhandler';
import { parse } from 'parse5';
import { adapter } from 'parse5-htmlparser2-tree-adapter';
import { demoDocument } from '../../testing/demo.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { pageCss } from '../page/pageCss.js';
import { withEnlarged } from '../../parts/enlarge.js';
import { writePage } from '../page/writePage.js';
import { readSheet, type SheetItem, type SheetRule } from './sheet.js';

/** Shorthands that are written for their parts. */
const SHORT: Readonly<Record<string, RegExp>> = {
  'place-items': /^(align|justify)-items$/,
  'place-self': /^(align|justify)-self$/,
  'grid-template': /^grid-template-(rows|columns|areas)$/,
};

const STATE = /^(hover|focus-visible|focus-within|checked|fullscreen|modal)$/;

/** A selector of whatever is in any state, and of the element that something is drawn in. */
const atRest = (selector: readonly Selector[]): Selector[] =>
  selector.flatMap((part): Selector[] => {
    if (part.type === SelectorType.PseudoElement) return [];
    if (part.type === SelectorType.Attribute && part.name === 'open') return [];
    if (part.type !== SelectorType.Pseudo) return [part];
    if (STATE.test(part.name)) return [];
    return [Array.isArray(part.data) ? { ...part, data: part.data.map(atRest) } : part];
  });

const rulesOf = (items: readonly SheetItem[]): SheetRule[] =>
  items.flatMap((item) => (item.kind === 'block' ? rulesOf(item.items) : item.kind === 'rule' ? [item] : []));

/** By element: the properties that rules say of it. */
function saidIn(css: string, page: Document): Map<unknown, Set<string>> {
  const said = new Map<unknown, Set<string>>();
  for (const { selectors, declarations } of rulesOf(readSheet(css)))
    for (const selector of selectors) {
      const rest = atRest(selector);
      // Lists that hold states alone are of anything.
      const plain = rest.filter(
        (part) =>
          part.type !== SelectorType.Pseudo ||
          !Array.isArray(part.data) ||
          part.data.every((each) => each.length > 0),
      );
      if (plain.length === 0) continue;
      for (const element of selectAll([plain] as never, page)) {
        const known = said.get(element) ?? new Set();
        for (const [property] of declarations) known.add(property);
        said.set(element, known);
      }
    }
  return said;
}

test.each(['hut-four-its-own-page', 'a-year-of-work-days', 'six-huts-six-evenings', 'sent-in-by-guests'])(
  'what is said of an element of “%s” is still said of it in the end',
  (name) => {
    const document = demoDocument(name);
    const { 'index.html': html = '', 'style.css': css = '' } = writePage(document, LETTERS).files;
    const page = parse(html, { treeAdapter: adapter });
    const [before, after] = [
      saidIn(
        pageCss(withEnlarged(document), () => 'none', LETTERS),
        page,
      ),
      saidIn(css, page),
    ];
    expect(before.size).toBeGreaterThan(20);
    const lost = [...before].flatMap(([element, properties]) => {
      const own = after.get(element) ?? new Set();
      const holds = (property: string) =>
        own.has(property) ||
        Object.entries(SHORT).some(([short, parts]) => own.has(short) && parts.test(property));
      const { name: tag = '', attribs = {} } = element as { name?: string; attribs?: object };
      return [...properties]
        .filter((each) => !holds(each))
        .map((each) => `${tag} ${JSON.stringify(attribs)}: ${each}`);
    });
    expect(lost).toEqual([]);
  },
);
