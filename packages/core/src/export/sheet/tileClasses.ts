import { slugOf } from '../../document/slug.js';
import { tileName } from '../../parts/said.js';
import { AttributeAction, SelectorType, type Selector } from 'css-what';
import type { PageElement, PageNode } from '../../engine/html/node.js';
import type { CollectionDocument, TileId } from '../../document/types.js';
import type { Present } from './present.js';
import { withSelectors, type SheetItem } from './sheet.js';

/** A class is a name to read, not a sentence. */
const LENGTH = 32;

/** The class of each tile: its name, as short as a class is and told from the others and from the classes of parts. */
export function tileClasses(
  document: CollectionDocument,
  { taken: reserved }: Pick<Present, 'taken'>,
): ReadonlyMap<TileId, string> {
  const taken = new Set(reserved);
  return new Map(
    Object.values(document.tiles).map((tile) => {
      const base = shortened(slugOf(tileName(tile, document)) || tile.id);
      let name = base;
      for (let k = 2; taken.has(name); k++) name = `${base}-${k}`;
      taken.add(name);
      return [tile.id, name];
    }),
  );
}

/** At most so many letters, of whole words where the first is not longer. */
function shortened(name: string): string {
  if (name.length <= LENGTH) return name;
  const whole = name.slice(0, LENGTH + 1).replace(/-[^-]*$/, '');
  return whole.slice(0, LENGTH);
}

/** The elements of tiles with their classes. */
export function withClasses(node: PageElement, classes: ReadonlyMap<TileId, string>): PageElement {
  const own = classes.get(String(node.attributes['data-tile'] ?? ''));
  const { class: kind } = node.attributes;
  return {
    ...node,
    attributes:
      own === undefined
        ? node.attributes
        : {
            ...(kind === undefined && { class: own }),
            ...node.attributes,
            ...(kind !== undefined && { class: `${kind} ${own}` }),
          },
    inside: node.inside.map((each: PageNode) =>
      typeof each === 'string' ? each : withClasses(each, classes),
    ),
  };
}

/** A sheet whose rules name tiles by their classes. */
export const byClasses = (items: readonly SheetItem[], classes: ReadonlyMap<TileId, string>): SheetItem[] =>
  withSelectors(items, (selector) => named(selector, classes));

const named = (selector: readonly Selector[], classes: ReadonlyMap<TileId, string>): Selector[] =>
  selector.map((part): Selector => {
    if (part.type === SelectorType.Pseudo && Array.isArray(part.data))
      return { ...part, data: part.data.map((each) => named(each, classes)) };
    if (part.type !== SelectorType.Attribute || part.name !== 'data-tile') return part;
    const name = part.action === AttributeAction.Equals ? classes.get(part.value) : undefined;
    return name === undefined
      ? part
      : { ...part, name: 'class', action: AttributeAction.Element, value: name, ignoreCase: 'quirks' };
  });
