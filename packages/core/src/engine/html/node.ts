import { Element, Text, type ChildNode } from 'domhandler';
import { escapeHtml } from '../css/escape.js';

/** Attributes by their names, in the order in which they are written; true: one without a value; undefined: not there. */
export type Attributes = Readonly<Record<string, string | number | true | undefined>>;

/** An element as data: written out for a page, and laid out here without being parsed. */
export interface PageElement {
  readonly name: string;
  readonly attributes: Attributes;
  readonly inside: readonly PageNode[];
}

/** Words, not escaped yet, or an element. */
export type PageNode = string | PageElement;

/** An element with what is in it; what is empty is left out. */
export const element = (
  name: string,
  attributes: Attributes = {},
  inside: readonly (PageNode | false | undefined)[] = [],
): PageElement => ({
  name,
  attributes,
  inside: inside.filter((node): node is PageNode => node !== undefined && node !== false && node !== ''),
});

/** Elements that end where they begin (HTML, section 13.1.2). */
const VOID: ReadonlySet<string> = new Set(['br', 'hr', 'img', 'input', 'link', 'meta']);

/** A node as HTML, with all that is in it escaped. */
export function htmlOf(node: PageNode): string {
  if (typeof node === 'string') return escapeHtml(node);
  const begin = `<${node.name}${attributesHtml(node.attributes)}>`;
  return VOID.has(node.name) ? begin : `${begin}${node.inside.map(htmlOf).join('')}</${node.name}>`;
}

/** Attributes as HTML, each after a blank. */
export const attributesHtml = (attributes: Attributes): string =>
  Object.entries(attributes)
    .map(([name, value]) =>
      value === undefined ? '' : value === true ? ` ${name}` : ` ${name}="${escapeHtml(String(value))}"`,
    )
    .join('');

/** A node as a parser would make it of its HTML. */
export function treeOf(node: PageNode): ChildNode {
  if (typeof node === 'string') return new Text(node);
  const attributes = Object.entries(node.attributes).flatMap(([name, value]) =>
    value === undefined ? [] : [[name, value === true ? '' : String(value)]],
  );
  return parentOf(
    new Element(node.name, Object.fromEntries(attributes) as Record<string, string>, node.inside.map(treeOf)),
  );
}

/** What an element holds knows where it is. */
function parentOf(parent: Element): Element {
  parent.children.forEach((child, k) => {
    child.parent = parent;
    child.prev = parent.children[k - 1] ?? null;
    child.next = parent.children[k + 1] ?? null;
  });
  return parent;
}
