import { parentsOf } from './byIdentity.js';
import { same } from '../../same.js';
import type { Umpire } from './values.js';
import type { CollectionDocument, TileId } from '../../document/types.js';

export interface Versions {
  readonly base: CollectionDocument;
  readonly ours: CollectionDocument;
  readonly theirs: CollectionDocument;
}

/**
 * The versions once it is settled which tiles there are. A tile that one side deleted and the other
 * changed, or put something into, is asked about; then the versions agree on it: it is in both as the
 * one that changed it has it, or in none.
 */
export function settleDeleted(versions: Versions, umpire: Umpire): Versions {
  let settled = versions;
  for (const [deleting, changing] of [
    ['theirs', 'ours'],
    ['ours', 'theirs'],
  ] as const) {
    const { base } = settled;
    for (const id of outermostDeleted(base, settled[deleting])) {
      if (!Object.hasOwn(settled[changing].tiles, id)) continue;
      if (!touched(base, settled[changing], id)) continue;
      const bundle = (document: CollectionDocument) => document.tiles[id];
      const side = umpire.decide({
        path: `/tiles/${id}`,
        base: bundle(settled.base),
        ours: bundle(settled.ours),
        theirs: bundle(settled.theirs),
      });
      settled =
        side === deleting
          ? { ...settled, [changing]: without(settled[changing], id) }
          : { ...settled, [deleting]: withSubtree(settled[deleting], settled[changing], id) };
    }
  }
  return settled;
}

/** Tiles that a version no longer has, but not those inside others that it no longer has. */
function outermostDeleted(base: CollectionDocument, version: CollectionDocument): TileId[] {
  const parents = parentsOf(base);
  const isGone = (id: TileId) => !Object.hasOwn(version.tiles, id);
  return Object.keys(base.tiles).filter((id) => {
    const parent = parents.get(id);
    return isGone(id) && (parent === undefined || !isGone(parent));
  });
}

/** Whether a version changed a tile, what bands say of it, where it lies, or anything inside it. */
function touched(base: CollectionDocument, version: CollectionDocument, root: TileId): boolean {
  const [before, after] = [parentsOf(base), parentsOf(version)];
  const visit = (id: TileId): boolean => {
    const [was, is] = [base.tiles[id], version.tiles[id]];
    if (!was || !is) return was !== is;
    if (before.get(id) !== after.get(id)) return true;
    const saidOf = (document: CollectionDocument) =>
      document.bands.map((band) => [band.id, band.tiles[id], band.looks?.[id], band.groups?.[id]]);
    if (!same(was, is) || !same(saidOf(base), saidOf(version))) return true;
    return is.kind === 'group' && is.order.some(visit);
  };
  return visit(root);
}

/** The ids of a tile and all inside it. */
function subtree(document: CollectionDocument, root: TileId): TileId[] {
  const tile = document.tiles[root];
  const inside = tile?.kind === 'group' ? tile.order : [];
  return [root, ...inside.flatMap((id) => subtree(document, id))];
}

/** A version without a tile and all inside it, and without what bands say of them. */
function without(document: CollectionDocument, root: TileId): CollectionDocument {
  const gone = new Set(subtree(document, root));
  function left<Entry>(all: Readonly<Record<TileId, Entry>>) {
    return Object.fromEntries(Object.entries(all).filter(([id]) => !gone.has(id)));
  }
  const orderOf = (order: readonly TileId[]) => order.filter((id) => !gone.has(id));
  return {
    ...document,
    order: orderOf(document.order),
    tiles: Object.fromEntries(
      Object.entries(left(document.tiles)).map(([id, tile]) => [
        id,
        tile.kind === 'group' ? { ...tile, order: orderOf(tile.order) } : tile,
      ]),
    ),
    bands: document.bands.map((band) => ({
      ...band,
      tiles: left(band.tiles),
      ...(band.looks && { looks: left(band.looks) }),
      ...(band.groups && { groups: left(band.groups) }),
    })),
  };
}

/** A version with a tile and all inside it put back as another version has them. */
function withSubtree(
  document: CollectionDocument,
  from: CollectionDocument,
  root: TileId,
): CollectionDocument {
  const ids = subtree(from, root);
  // What this version kept of the group by moving it out stays where it is.
  const back = new Set(ids.filter((id) => !Object.hasOwn(document.tiles, id)));
  const tiles = { ...document.tiles };
  for (const id of back) {
    const tile = from.tiles[id];
    if (tile)
      tiles[id] =
        tile.kind === 'group' ? { ...tile, order: tile.order.filter((each) => back.has(each)) } : tile;
  }
  const parent = parentsOf(from).get(root);
  const holder = parent === undefined ? undefined : tiles[parent];
  const at = (order: readonly TileId[]) =>
    placedAsIn(order, parent === undefined ? from.order : orderIn(from, parent), root);
  if (holder?.kind === 'group') tiles[holder.id] = { ...holder, order: at(holder.order) };
  return {
    ...document,
    tiles,
    order: holder ? document.order : at(document.order),
    bands: document.bands.map((band) => {
      const said = from.bands.find(({ id }) => id === band.id);
      if (!said) return band;
      function add<Entry>(own: Readonly<Record<TileId, Entry>>, all: Readonly<Record<TileId, Entry>>) {
        return { ...own, ...Object.fromEntries(Object.entries(all).filter(([id]) => back.has(id))) };
      }
      return {
        ...band,
        tiles: add(band.tiles, said.tiles),
        ...(said.looks && { looks: add(band.looks ?? {}, said.looks) }),
        ...(said.groups && { groups: add(band.groups ?? {}, said.groups) }),
      };
    }),
  };
}

export const orderIn = ({ tiles }: CollectionDocument, group: TileId): readonly TileId[] => {
  const tile = tiles[group];
  return tile?.kind === 'group' ? tile.order : [];
};

/** An order with an id put in after the same one as in another order. */
export function placedAsIn(order: readonly TileId[], like: readonly TileId[], id: TileId): TileId[] {
  const others = order.filter((each) => each !== id);
  const before = like.slice(0, like.indexOf(id)).findLast((each) => others.includes(each));
  return others.toSpliced(before === undefined ? 0 : others.indexOf(before) + 1, 0, id);
}
