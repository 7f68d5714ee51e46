import { isTag, isText, type Element } from 'domhandler';
import { slugOf } from '../document/slug.js';
import { LIMITS } from '../document/limits.js';
import { addressOf, SILENT, wordsOf, type SayOf } from './words.js';
import type { IconAsset, IconItem } from '../document/content.js';
import type { IconId, PictureId } from '../document/ids.js';

/** What an icon may be drawn with; SVG 2, section 10. */
const SHAPES: ReadonlySet<string> = new Set([
  'path',
  'circle',
  'ellipse',
  'line',
  'rect',
  'polyline',
  'polygon',
]);
const GEOMETRY = /^(d|cx|cy|r|rx|ry|x|y|x1|x2|y1|y2|width|height|points)$/;
const NUMBERS = /^[\w\s.,+-]{0,4000}$/;
const MOST_SHAPES = 100;
/** Classes of words that are read out and not seen. */
const UNSEEN = /^(unseen|sr-only|visually-hidden|screen-reader-text)$/;

/** The icons of a page, each once. */
export class PageIcons {
  readonly all: Record<IconId, IconAsset> = {};
  private readonly known = new Map<string, IconId>();

  /** An icon as it is drawn on 24 × 24 with strokes; null for a drawing of another kind. */
  add(svg: Element, label: string): IconId | null {
    const { viewbox = svg.attribs.viewBox ?? '', stroke = 'none', fill = 'black' } = svg.attribs;
    const shapes = svg.children.filter(isTag).filter(({ name }) => name !== 'title' && name !== 'desc');
    const isIcon =
      /^0 0 24 24$/.test(viewbox.trim()) &&
      stroke !== 'none' &&
      fill === 'none' &&
      shapes.length > 0 &&
      shapes.length <= MOST_SHAPES &&
      shapes.every(({ name, children }) => SHAPES.has(name) && children.every(isText));
    if (!isIcon) return null;
    const drawn = shapes.map(({ name, attribs }) => [name, geometryOf(attribs)] as const);
    const key = JSON.stringify(drawn);
    let id = this.known.get(key);
    if (id === undefined) {
      id = this.freshId(label);
      this.known.set(key, id);
      const name = (label === '' ? 'Icon' : label).slice(0, LIMITS.name);
      this.all[id] = { id, name, shapes: drawn };
    }
    return id;
  }

  private freshId(label: string): IconId {
    const base = slugOf(label) || 'icon';
    let id = base;
    for (let count = 2; this.all[id]; count++) id = `${base}-${count}`;
    return id;
  }
}

const geometryOf = (attribs: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(attribs).filter(([name, value]) => GEOMETRY.test(name) && NUMBERS.test(value)),
  );

/** What a row of icons is read with. */
export interface ReadIcons {
  readonly say: SayOf;
  readonly icon: (svg: Element, label: string) => IconId | null;
  readonly picture: (address: string, alternativeText: string) => PictureId | null;
}

/** A row of icons. */
export interface IconRow {
  readonly icons: readonly IconItem[];
  readonly size: number;
  readonly showLabels: boolean;
  readonly line?: 'centred' | 'scrolling';
}

/** A list each of whose entries has one icon or logo, and maybe its label; null for another one. */
export function iconRow(list: Element, read: ReadIcons): IconRow | null {
  const entries = list.children.filter(isTag).filter(({ name }) => name === 'li');
  const drawn = entries.map((entry) => within(entry, ['svg', 'img']));
  const items: IconItem[] = [];
  let seen = false;
  for (const [k, entry] of entries.entries()) {
    const mark = drawn[k];
    if (!mark || (mark.name === 'img' && (sizeOf(mark) ?? Infinity) > LARGEST)) return null;
    const words = wordsOf(entry);
    const label = words === '' ? (mark.attribs.alt ?? mark.attribs['aria-label'] ?? '') : words;
    const icon = mark.name === 'svg' ? read.icon(mark, label) : null;
    const picture = mark.name === 'img' ? read.picture(mark.attribs.src ?? '', label) : null;
    if (icon === null && picture === null)
      read.say(
        `The icon “${label === '' ? mark.name : label.slice(0, 60)}” is left out: choose it for its row.`,
      );
    const link = within(entry, ['a']);
    const address = link ? addressOf(link.attribs.href ?? '', read.say) : null;
    items.push({ icon, picture, label: label.slice(0, LIMITS.words), address: address ?? '' });
    seen ||= words !== '' && !isUnseen(entry);
  }
  const [first] = drawn;
  if (items.length === 0 || !first) return null;
  return {
    icons: items.slice(0, LIMITS.icons),
    size: Math.max(8, Math.min(200, sizeOf(first) ?? USUAL)),
    showLabels: seen,
  };
}

/** A picture that is higher is no logo in a row, px. */
const LARGEST = 120;
const USUAL = 28;

function sizeOf({ attribs }: Element): number | null {
  const size = Number.parseFloat(attribs.height ?? attribs.width ?? '');
  return Number.isFinite(size) && size > 0 ? size : null;
}

/** Whether all words of an entry are read out alone. */
function isUnseen(entry: Element): boolean {
  return entry.children.every((node) => {
    if (isText(node)) return node.data.trim() === '';
    if (!isTag(node) || SILENT.has(node.name) || node.name === 'svg') return true;
    return (node.attribs.class ?? '').split(/\s+/).some((each) => UNSEEN.test(each)) || isUnseen(node);
  });
}

/** The first element in another one that has one of those names. */
export function within(element: Element, names: readonly string[]): Element | null {
  for (const child of element.children) {
    if (!isTag(child)) continue;
    if (names.includes(child.name)) return child;
    const inner = within(child, names);
    if (inner) return inner;
  }
  return null;
}
