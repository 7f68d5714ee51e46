import { AttributeAction, SelectorType, type Selector } from 'css-what';
import { compareSpecificity, specificityOf } from '../../engine/html/specificity.js';
import type { PageNode } from '../../engine/html/node.js';
import type { SheetItem } from './sheet.js';

/** What a page has for selectors to meet: kinds of elements, classes, and our own attributes. */
export interface Present {
  /** The classes that are written for sure. */
  readonly taken: ReadonlySet<string>;
  readonly elements: ReadonlySet<string>;
  readonly classes: ReadonlySet<string>;
  /** `name` and `name=value`. */
  readonly attributes: ReadonlySet<string>;
}

/** HTML and scripts that are written beside tiles. */
export interface Beside {
  readonly html: string;
  readonly script: string;
}

/** What is around the tiles in every form of a page. */
const AROUND = ['html', 'body', 'main', 'div'];

/**
 * What some elements have.
 * @param beside what goes out with them; every word of a script may be an element or a class
 */
export function presentIn(nodes: readonly PageNode[], beside: Beside): Present {
  const elements = new Set(AROUND);
  const classes = new Set(['collection']);
  const attributes = new Set<string>();
  const visit = (node: PageNode): void => {
    if (typeof node === 'string') return;
    elements.add(node.name);
    for (const [name, value] of Object.entries(node.attributes)) {
      if (value === undefined) continue;
      attributes.add(name).add(`${name}=${String(value)}`);
      if (name === 'class') for (const each of String(value).split(' ')) classes.add(each);
    }
    node.inside.forEach(visit);
  };
  nodes.forEach(visit);
  for (const [, name = ''] of beside.html.matchAll(/<([a-z][\w-]*)/g)) elements.add(name);
  for (const [, name = '', value] of beside.html.matchAll(/ (data-[\w-]+)(?:="([^"]*)")?/g))
    attributes.add(name).add(`${name}=${value ?? ''}`);
  for (const [, names = ''] of beside.html.matchAll(/ class="([^"]*)"/g))
    for (const each of names.split(' ')) classes.add(each);
  const taken = new Set(classes);
  for (const [word] of beside.script.matchAll(/[\w-]+/g)) {
    elements.add(word);
    classes.add(word);
  }
  return { taken, elements, classes, attributes };
}

/** The rules of a sheet that can meet something, and of lists in their selectors what can. */
export const onlyPresent = (items: readonly SheetItem[], present: Present): SheetItem[] =>
  items.flatMap((item): SheetItem[] => {
    if (item.kind === 'verbatim') return [item];
    if (item.kind === 'block') {
      const within = onlyPresent(item.items, present);
      return within.length > 0 ? [{ ...item, items: within }] : [];
    }
    const selectors = item.selectors
      .filter((each) => canMeet(each, present))
      .map((each) => narrowed(each, present));
    return selectors.length > 0 && item.declarations.length > 0 ? [{ ...item, selectors }] : [];
  });

/** Attributes of other makers are states, which come and go; ours stay as they are written. */
const STAYS = 'data-';

const canMeet = (selector: readonly Selector[], present: Present): boolean =>
  selector.every((part) => {
    if (part.type === SelectorType.Tag) return present.elements.has(part.name);
    if (part.type === SelectorType.Attribute) {
      const { name, action, value } = part;
      if (name === 'class' && action === AttributeAction.Element) return present.classes.has(value);
      if (!name.startsWith(STAYS)) return true;
      return present.attributes.has(action === AttributeAction.Equals ? `${name}=${value}` : name);
    }
    const list = listOf(part);
    return list === null || list.some((each) => canMeet(each, present));
  });

/** The selectors of which one has to meet; null where a part of a selector is no such list. */
const listOf = (part: Selector): Selector[][] | null =>
  part.type === SelectorType.Pseudo && Array.isArray(part.data) && /^(is|where|has)$/.test(part.name)
    ? part.data
    : null;

/** A selector whose lists hold what can meet; one whose heaviest member would go stays whole, and weighs the same. */
function narrowed(selector: readonly Selector[], present: Present): Selector[] {
  return selector.flatMap((part, k): Selector[] => {
    const list = listOf(part);
    if (list === null || part.type !== SelectorType.Pseudo) return [part];
    const left = list.filter((each) => canMeet(each, present)).map((each) => narrowed(each, present));
    if (part.name !== 'where' && compareSpecificity(heaviest(left), heaviest(list)) !== 0) return [part];
    const [only, ...more] = left;
    const isFirst = k === 0 || isBetween(selector[k - 1] as Selector);
    // A single simple selector needs no list, where it can be written: the name of an element comes first.
    if (part.name === 'is' && more.length === 0 && only?.length === 1) {
      const [simple] = only as [Selector];
      if (isFirst || simple.type !== SelectorType.Tag) return [simple];
    }
    return [{ ...part, data: left }];
  });
}

const isBetween = ({ type }: Selector) =>
  type === SelectorType.Child ||
  type === SelectorType.Descendant ||
  type === SelectorType.Adjacent ||
  type === SelectorType.Sibling;

const heaviest = (list: readonly Selector[][]) =>
  list.map(specificityOf).reduce((a, b) => (compareSpecificity(a, b) >= 0 ? a : b), [0, 0, 0]);
