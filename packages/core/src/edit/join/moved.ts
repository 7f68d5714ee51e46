import { parentsOf } from './byIdentity.js';
import { same } from '../../same.js';
import { orderIn, placedAsIn, type Versions } from './tiles.js';
import type { Umpire } from './values.js';
import type { CollectionDocument, OwnPlace, Place, Tile, TileId } from '../../document/types.js';

/** What of a place speaks of the cells of its grid. */
const HELD = ['pin', 'area', 'slot'] as const;
type Held = Partial<Pick<OwnPlace, (typeof HELD)[number]>>;

/**
 * The versions once it is settled where tiles lie that one side moved into another group (or out of
 * one), and the other side moved elsewhere or held at a cell: such a cell means nothing in the other
 * group. Then both versions agree on the tile's group and on where it is held there.
 */
export function settleMoved(versions: Versions, umpire: Umpire): Versions {
  const { base } = versions;
  const parents = {
    base: parentsOf(base),
    ours: parentsOf(versions.ours),
    theirs: parentsOf(versions.theirs),
  };
  let settled = versions;
  for (const id of Object.keys(base.tiles).sort()) {
    if (!versions.ours.tiles[id] || !versions.theirs.tiles[id]) continue;
    const at = (side: keyof Versions) => parents[side].get(id) ?? '';
    const moved = (side: 'ours' | 'theirs') => at(side) !== at('base');
    const held = (side: 'ours' | 'theirs') => !same(heldIn(versions[side], id), heldIn(base, id));
    const meet =
      moved('ours') && moved('theirs')
        ? at('ours') !== at('theirs')
        : (moved('ours') && held('theirs')) || (moved('theirs') && held('ours'));
    if (!meet) continue;
    const [won, lost] =
      umpire.decide({
        path: `/tiles/${id}/group`,
        base: at('base'),
        ours: at('ours'),
        theirs: at('theirs'),
      }) === 'ours'
        ? (['ours', 'theirs'] as const)
        : (['theirs', 'ours'] as const);
    settled = { ...settled, [lost]: placedLike(settled[lost], settled[won], id, at(won), at(lost)) };
  }
  return settled;
}

/** Where a tile is held, in every band. */
const heldIn = (document: CollectionDocument, id: TileId) => [
  picked(document.tiles[id]?.place),
  ...document.bands.map((band) => [band.id, picked(band.tiles[id])]),
];

const picked = (place: Place | OwnPlace | undefined): Held =>
  Object.fromEntries(HELD.flatMap((field) => (place?.[field] === undefined ? [] : [[field, place[field]]])));

/** A version in which a tile lies in the group, and is held there, as in another version. */
function placedLike(
  document: CollectionDocument,
  like: CollectionDocument,
  id: TileId,
  to: TileId,
  from: TileId,
): CollectionDocument {
  const tile = document.tiles[id] as Tile;
  const place = { ...unheld(tile.place), ...picked(like.tiles[id]?.place) } as Place;
  const moved: CollectionDocument = {
    ...document,
    tiles: { ...document.tiles, [id]: { ...tile, place } },
    bands: document.bands.map((band) => {
      const there = picked(like.bands.find((each) => each.id === band.id)?.tiles[id]);
      const own = { ...unheld(band.tiles[id] ?? {}), ...there };
      const { [id]: _, ...others } = band.tiles;
      return { ...band, tiles: Object.keys(own).length > 0 ? { ...others, [id]: own } : others };
    }),
  };
  if (to === from) return moved;
  const hasHolder = to === '' || moved.tiles[to]?.kind === 'group';
  // A group that this version doesn't have comes with the joining.
  const out = withOrder(moved, from, (order) => order.filter((each) => each !== id));
  const all = to === '' ? like.order : orderIn(like, to);
  return hasHolder ? withOrder(out, to, (order) => placedAsIn(order, all, id)) : out;
}

const unheld = ({ pin: _, area: __, slot: ___, ...others }: Place | OwnPlace) => others;

function withOrder(
  document: CollectionDocument,
  holder: TileId,
  change: (order: readonly TileId[]) => readonly TileId[],
): CollectionDocument {
  if (holder === '') return { ...document, order: change(document.order) };
  const group = document.tiles[holder];
  if (group?.kind !== 'group') return document;
  return { ...document, tiles: { ...document.tiles, [holder]: { ...group, order: change(group.order) } } };
}
