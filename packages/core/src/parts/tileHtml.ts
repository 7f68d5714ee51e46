import { beforeTile, scrolls } from '../arrangements/questions.js';
import { escapeHtml, hrefOf } from '../engine/css/escape.js';
import { levelOf } from '../document/levels.js';
import { compositionOf, isApart } from './compositions/index.js';
import { headingLevels } from './headings.js';
import { partKindOf } from './index.js';
import { element } from './shared/html.js';
import type { Badge, Card, CollectionDocument, GroupTile, Part, Tile, TileId } from '../document/types.js';
import type { Sources } from './part.js';

/** A tile's element as HTML: the same on the stage and in the exported page. */
export const tileHtml = (document: CollectionDocument, tile: Tile, sources: Sources): string =>
  tile.kind === 'group' ? groupHtml(document, tile, sources) : cardHtml(document, tile, sources);

function groupHtml(document: CollectionDocument, tile: GroupTile, sources: Sources): string {
  const is = `class="group" data-tile="${tile.id}"${scrollsHtml(document, tile.id)}`;
  return element('section', is, [
    coverHtml(tile),
    ...tile.order.map((id) => levelTileHtml(document, tile.id, document.tiles[id] as Tile, sources)),
    ...badgesHtml(tile),
  ]);
}

function cardHtml(document: CollectionDocument, tile: Card, sources: Sources): string {
  const composition = compositionOf(tile);
  return composition.write({
    document,
    tile,
    sources,
    is: `class="${composition.className}" data-tile="${tile.id}"`,
    parts: partsHtml(document, tile, sources),
    cover: leadingPart(tile) ? '' : coverHtml(tile),
    badges: badgesHtml(tile),
  });
}

/** The elements of each part, in order. */
type PartsHtml = readonly (readonly string[])[];

/** What each part of a card is written as, in order; an empty one is no element. */
export function partsHtml(document: CollectionDocument, tile: Card, sources: Sources): PartsHtml {
  const { elements } = compositionOf(tile);
  const leading = leadingPart(tile);
  const levels = headingLevels(document).get(tile.id);
  // In a composition the parts are found by what they are.
  const named = isApart(tile);
  return tile.parts.map((part, k) => {
    const kind = partKindOf(part);
    return kind.html(part, {
      document,
      tile,
      sources,
      headingLevel: levels?.[k] ?? 2,
      leads: part === leading ? (tile.link ?? null) : null,
      element: elements?.[part.kind],
      attributes: named && kind.rules ? `data-part="${escapeHtml(part.id)}"` : '',
    });
  });
}

/** The part whose words are the link of a tile that leads somewhere; undefined where none is. */
const leadingPart = ({ link, parts }: Card): Part | undefined =>
  link === undefined || link === ''
    ? undefined
    : parts.find((part) => partKindOf(part).canLead?.(part) === true);

/** What the keyboard needs of a level that is scrolled sideways in some band: a stop of its own, with a name. */
export function scrollsHtml(document: CollectionDocument, level: TileId | null): string {
  const { arrangement, bands } = levelOf(document, level);
  let carried = arrangement;
  const all = [arrangement, ...bands.map((band) => (carried = { ...carried, ...band.arrangement }))];
  if (!all.some(scrolls)) return '';
  const name = level === null ? document.name : (document.tiles[level]?.name ?? '');
  return ` tabindex="0" aria-label="${escapeHtml(name)}"`;
}

/** A tile of a level, after what its arrangement needs before it. */
export const levelTileHtml = (
  document: CollectionDocument,
  level: TileId | null,
  tile: Tile,
  sources: Sources,
): string => beforeTile(levelOf(document, level), level, tile) + tileHtml(document, tile, sources);

/** A link over the whole tile, where there are no words that could be it. */
const coverHtml = ({ link, name }: Tile): string =>
  link === undefined ? '' : `<a class="cover" href="${hrefOf(link)}" aria-label="${escapeHtml(name)}"></a>`;

const badgesHtml = ({ badges = [] }: Tile): readonly string[] => badges.map(badgeHtml);

const badgeHtml = ({ words }: Badge, k: number): string =>
  `<span class="badge" data-badge="${k + 1}">${escapeHtml(words)}</span>`;
