import { beforeTile, scrolls } from '../arrangements/questions.js';
import { hrefOf } from '../engine/css/escape.js';
import { element, htmlOf, type Attributes, type PageElement, type PageNode } from '../engine/html/node.js';
import { levelOf } from '../document/levels.js';
import { shownCard } from '../document/card.js';
import { compositionOf, isApart } from './compositions/index.js';
import { headingLevels } from './headings.js';
import { partKindOf } from './index.js';
import { inOne, linesOf } from './shared/inCard.js';
import { wordsMark } from './shared/wordsMark.js';
import { tileName } from './said.js';
import { behindElements } from './behind.js';
import type { Badge, Card, CollectionDocument, GroupTile, Part, Tile, TileId } from '../document/types.js';
import type { Sources } from './part.js';

/** A tile as HTML: the same on the stage and in the exported page. */
export const tileHtml = (document: CollectionDocument, tile: Tile, sources: Sources): string =>
  htmlOf(tileElement(document, tile, sources));

/** A tile's element. */
export const tileElement = (document: CollectionDocument, tile: Tile, sources: Sources): PageElement =>
  tile.kind === 'group' ? groupElement(document, tile, sources) : cardElement(document, tile, sources);

const groupElement = (document: CollectionDocument, tile: GroupTile, sources: Sources): PageElement =>
  element('section', { class: 'group', 'data-tile': tile.id, ...scrolling(document, tile.id) }, [
    ...behindElements(document, tile, sources),
    coverOf(tile, document),
    ...tile.order.flatMap((id) => levelTile(document, tile.id, document.tiles[id] as Tile, sources)),
    ...badgesOf(tile),
  ]);

function cardElement(document: CollectionDocument, whole: Card, sources: Sources): PageElement {
  const tile = shownCard(whole);
  const composition = compositionOf(tile);
  return composition.write({
    document,
    tile,
    sources,
    is: { class: composition.className, 'data-tile': tile.id },
    parts: partElements(document, tile, sources),
    cover: leadingPart(tile) ? undefined : coverOf(tile, document),
    badges: [...behindElements(document, tile, sources), ...badgesOf(tile)],
  });
}

/** What each part of a card that is shown is written as, in order; an empty one is no element. */
export function partElements(
  document: CollectionDocument,
  whole: Card,
  sources: Sources,
): readonly (readonly PageNode[])[] {
  const tile = shownCard(whole);
  const { elements } = compositionOf(tile);
  const leading = leadingPart(tile);
  const levels = headingLevels(document).get(tile.id);
  // In a composition the parts are found by what they are.
  const apart = isApart(tile);
  const inLines = new Set(linesOf(tile.parts).flatMap((line) => (line.length > 1 ? line : [])));
  return tile.parts.map((part, k) => {
    const kind = partKindOf(part);
    const isFound = apart && (kind.rules !== undefined || part.align !== undefined);
    const attributes = isFound ? { 'data-part': part.id } : {};
    const nodes = kind.html(part, {
      document,
      tile,
      sources,
      headingLevel: levels?.[k] ?? 2,
      leads: part === leading ? (tile.link ?? null) : null,
      element: elements?.[part.kind],
      attributes,
    });
    const marked =
      'words' in part ? nodes.map((node) => withAttributes(node, wordsMark(part, sources))) : nodes;
    return isFound || inLines.has(part) ? inOne(marked, attributes) : marked;
  });
}

const withAttributes = (node: PageNode, attributes: Attributes): PageNode =>
  typeof node === 'string' ? node : { ...node, attributes: { ...node.attributes, ...attributes } };

/** The part whose words are the link of a tile that leads somewhere; undefined where none is. */
const leadingPart = ({ link, parts }: Card): Part | undefined =>
  link === undefined || link === ''
    ? undefined
    : parts.find((part) => partKindOf(part).canLead?.(part) === true);

/** What the keyboard needs of a level that is scrolled sideways in some band: a stop of its own, with a name. */
export function scrolling(document: CollectionDocument, level: TileId | null): Attributes {
  const { arrangement, bands } = levelOf(document, level);
  let inherited = arrangement;
  const all = [arrangement, ...bands.map((band) => (inherited = { ...inherited, ...band.arrangement }))];
  if (!all.some(scrolls)) return {};
  const group = level === null ? undefined : document.tiles[level];
  const name = group ? tileName(group, document) : document.name;
  return { tabindex: 0, 'aria-label': name };
}

/** A tile of a level, after what its arrangement needs before it. */
export const levelTile = (
  document: CollectionDocument,
  level: TileId | null,
  tile: Tile,
  sources: Sources,
): readonly PageElement[] => [
  ...beforeTile(levelOf(document, level), level, { id: tile.id, name: tileName(tile, document) }),
  tileElement(document, tile, sources),
];

/** A link over the whole tile, where there are no words that could be it. */
const coverOf = (tile: Tile, document: CollectionDocument): PageElement | undefined =>
  tile.link === undefined
    ? undefined
    : element('a', { class: 'cover', href: hrefOf(tile.link), 'aria-label': tileName(tile, document) });

const badgesOf = ({ badges = [] }: Tile): readonly PageElement[] => badges.map(badgeOf);

const badgeOf = ({ words }: Badge, k: number): PageElement =>
  element('span', { class: 'badge', 'data-badge': k + 1 }, [words]);
