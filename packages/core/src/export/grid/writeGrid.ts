import { AttributeAction, SelectorType, stringify, type Selector } from 'css-what';
import { escapeHtml } from '../../engine/css/escape.js';
import { fragmentId } from '../fragment/writeFragment.js';
import { merged, shared } from '../sheet/shared.js';
import { onlyPresent, type Present } from '../sheet/present.js';
import { placesCss } from '../page/pageCss.js';
import { readSheet, sheetText, withSelectors } from '../sheet/sheet.js';
import { spelt } from '../sheet/spelling.js';
import { tileClasses } from '../sheet/tileClasses.js';
import { tileName } from '../../parts/said.js';
import type { CollectionDocument, TileId } from '../../document/types.js';
import type { Page } from '../page/writePage.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** How a grid finds its items: by a class that each of them gets, or by their order in the source. */
export type ItemsBy = 'class' | 'order';

/**
 * Writes where tiles lie and no more, for markup that there is already: the grid and its places in every
 * band. Looks, words and pictures stay those of the markup.
 * @returns `<name>.css`, and `<name>.html`, which shows the markup that the rules are for
 * @throws whatever the measurer throws
 */
export function writeGrid(
  collection: CollectionDocument,
  measurer: TextMeasurer,
  by: ItemsBy = 'class',
): Page {
  const name = fragmentId(collection);
  const classes = tileClasses(collection, { taken: new Set([name]) });
  const items = merged(
    shared(onlyPresent(readSheet(placesCss(collection, measurer)), presentOf(collection))),
  );
  const find = by === 'class' ? byClass(classes) : byOrder(collection);
  const renamed = withSelectors(spelt(items), (selector) => renamedIn(selector, { name, find }));
  const groups = Object.values(collection.tiles).flatMap(({ kind, id }) =>
    kind === 'group' ? [stringify([[classPart(name), ...find(id)]])] : [],
  );
  const container = collection.queries === 'media' ? '' : containerCss(name);
  return {
    files: {
      [`${name}.css`]: `${container}${freeCss(name, groups)}${sheetText(renamed)}\n`,
      [`${name}.html`]: markup(collection, name, by === 'class' ? classes : null),
    },
    assets: [],
  };
}

/** The widths that count are those of what is around the grid. */
const containerCss = (name: string) => `:has(> .${name}) {\n  container-type: inline-size;\n}\n\n`;

/** Nothing but its items lies in a grid, and these are free to be as small as their cells. */
function freeCss(name: string, groups: readonly string[]): string {
  const of = (end: string) => [`.${name}`, ...groups].map((level) => `${level}${end}`);
  return `${[...of('::before'), ...of('::after')].join(',\n')} {
  content: none;
}

${of(' > *').join(',\n')} {
  box-sizing: border-box;
  min-inline-size: 0;
  min-block-size: 0;
  margin: 0;
}

`;
}

/** Tiles are there, and the buttons of fans and the like are not. */
const presentOf = ({ tiles }: CollectionDocument): Present => ({
  taken: new Set(),
  elements: new Set(['*']),
  classes: new Set(['collection']),
  attributes: new Set(['data-tile', ...Object.keys(tiles).map((id) => `data-tile=${id}`)]),
});

/** The parts of a selector that find a tile in the grid. */
type Find = (tile: TileId) => readonly Selector[];

const classPart = (value: string): Selector => ({
  type: SelectorType.Attribute,
  name: 'class',
  action: AttributeAction.Element,
  value,
  ignoreCase: 'quirks',
  namespace: null,
});

const CHILD: Selector = { type: SelectorType.Child };

const byClass =
  (classes: ReadonlyMap<TileId, string>): Find =>
  (tile) => [{ type: SelectorType.Descendant }, classPart(classes.get(tile) ?? tile)];

/** The place of every tile among those around it, and of the group that it is in. */
function byOrder({ tiles, order }: CollectionDocument): Find {
  const found = new Map<TileId, readonly Selector[]>();
  const visit = (ids: readonly TileId[], around: readonly Selector[]): void =>
    ids.forEach((id, k) => {
      const own: Selector[] = [
        ...around,
        CHILD,
        { type: SelectorType.Pseudo, name: 'nth-child', data: String(k + 1) },
      ];
      found.set(id, own);
      const tile = tiles[id];
      if (tile?.kind === 'group') visit(tile.order, own);
    });
  visit(order, []);
  return (tile) => found.get(tile) ?? [];
}

interface Naming {
  readonly name: string;
  readonly find: Find;
}

/** A selector of ours in the names of the markup, as heavy among the others as it was. */
function renamedIn(selector: readonly Selector[], { name, find }: Naming): Selector[] {
  const grid = classPart(name);
  const tile = (part: Selector | undefined) =>
    part?.type === SelectorType.Attribute && part.name === 'data-tile' ? part : null;
  const out: Selector[] = [];
  for (const part of selector) {
    const own = tile(part);
    if (part.type === SelectorType.Pseudo && Array.isArray(part.data)) {
      const inside = part.data.map((each) =>
        each.flatMap((one): readonly Selector[] => {
          const of = tile(one);
          if (!of) return [one];
          // In a list it stands by itself, or after a combinator that is written there.
          return find(of.value).slice(1);
        }),
      );
      out.push({ ...part, data: inside });
    } else if (!own) {
      out.push(part.type === SelectorType.Attribute && part.value === 'collection' ? grid : part);
    } else if (own.action === AttributeAction.Equals) {
      // A tile is found from the grid on, whatever was around it in the selector.
      out.splice(0, out.length, grid, ...find(own.value));
    } else {
      // Any tile: the name of the grid twice weighs as much as a tile did.
      out.splice(0, 0, grid);
      out.push({ type: SelectorType.Universal, namespace: null });
    }
  }
  return out;
}

const COMMENT = {
  class:
    'The markup that these rules are for: a class for the grid, and one for each item. What is in them is yours.',
  order:
    'The markup that these rules are for: a class for the grid, and its items in this order. What is in them is yours.',
};

function markup(
  document: CollectionDocument,
  name: string,
  classes: ReadonlyMap<TileId, string> | null,
): string {
  const lines = (ids: readonly TileId[], depth: number): string[] =>
    ids.flatMap((id) => {
      const tile = document.tiles[id];
      if (!tile) return [];
      const indent = '  '.repeat(depth);
      const own = classes ? ` class="${classes.get(id) ?? id}"` : '';
      return tile.kind === 'group'
        ? [`${indent}<div${own}>`, ...lines(tile.order, depth + 1), `${indent}</div>`]
        : [`${indent}<div${own}>${escapeHtml(tileName(tile, document))}</div>`];
    });
  return `<!-- ${COMMENT[classes ? 'class' : 'order']} -->
<div class="${name}">
${lines(document.order, 1).join('\n')}
</div>
`;
}
