import { joinSequences } from './sequence.js';
import { parentsOf } from './byIdentity.js';
import { pointerSegment } from '../../document/problems.js';
import type { Umpire } from './values.js';
import type { Versions } from './tiles.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';

/** The collection itself, as the holder of the tiles that lie in no group. */
const COLLECTION = '';

/** Which tiles lie where, in which order: joined from what each side moved, for the tiles that there are. */
export function joinTree(
  { base, ours, theirs }: Versions,
  tiles: Readonly<Record<TileId, Tile>>,
  umpire: Umpire,
): Pick<CollectionDocument, 'tiles' | 'order'> {
  const parents = { base: parentsOf(base), ours: parentsOf(ours), theirs: parentsOf(theirs) };
  const versions = { base, ours, theirs };
  const parentIn = (side: keyof typeof versions, id: TileId) =>
    Object.hasOwn(versions[side].tiles, id) ? (parents[side].get(id) ?? COLLECTION) : undefined;
  const parentOf = new Map<TileId, TileId>();
  for (const id of Object.keys(tiles)) {
    const [was, here, there] = (['base', 'ours', 'theirs'] as const).map((side) => parentIn(side, id));
    const at = `/tiles/${pointerSegment(id)}/group`;
    let parent = here ?? there ?? COLLECTION;
    if (here !== undefined && there !== undefined && here !== there) {
      const side =
        here === was
          ? 'theirs'
          : there === was
            ? 'ours'
            : umpire.decide({ path: at, base: was, ours: here, theirs: there });
      parent = side === 'ours' ? here : there;
    }
    parentOf.set(id, parent === COLLECTION || tiles[parent]?.kind === 'group' ? parent : COLLECTION);
  }
  breakCircles(parentOf, (id) => parents.base.get(id) ?? COLLECTION, umpire);
  const orderOf = (holder: TileId, version: CollectionDocument): readonly TileId[] => {
    if (holder === COLLECTION) return version.order;
    const group = version.tiles[holder];
    return group?.kind === 'group' ? group.order : [];
  };
  const inside = new Map<TileId, Set<TileId>>();
  for (const [id, parent] of parentOf) inside.set(parent, (inside.get(parent) ?? new Set()).add(id));
  const order = (holder: TileId) => {
    const members = inside.get(holder) ?? new Set<TileId>();
    const joined = joinSequences({
      base: orderOf(holder, base),
      ours: orderOf(holder, ours),
      theirs: orderOf(holder, theirs),
      members,
      chosen: (id) => {
        const before = (version: CollectionDocument) => {
          const list = orderOf(holder, version);
          return list[list.indexOf(id) - 1] ?? null;
        };
        const places = { base: before(base), ours: before(ours), theirs: before(theirs) };
        return umpire.decide({ path: `/tiles/${pointerSegment(id)}/after`, ...places });
      },
    });
    // What lost its group on both sides comes last.
    return [...joined, ...[...members].filter((id) => !joined.includes(id)).sort()];
  };
  return {
    order: order(COLLECTION),
    tiles: Object.fromEntries(
      Object.entries(tiles).map(([id, tile]) => [
        id,
        tile.kind === 'group' ? { ...tile, order: order(id) } : tile,
      ]),
    ),
  };
}

/** One side put a group into another, the other side that one into the first: then both stay where they were. */
function breakCircles(parentOf: Map<TileId, TileId>, before: (id: TileId) => TileId, umpire: Umpire): void {
  for (const start of [...parentOf.keys()].sort()) {
    const way = new Set<TileId>();
    for (let at = start; at !== COLLECTION && parentOf.has(at); at = parentOf.get(at) as TileId) {
      if (!way.has(at)) {
        way.add(at);
        continue;
      }
      const circle = [...way].slice([...way].indexOf(at)).sort();
      const [first = at, second = at] = circle;
      const path = `/tiles/${pointerSegment(first)}/group`;
      // Either group may hold the other; which one is asked, by the parents as they would be.
      const side = umpire.decide({
        path,
        base: before(first),
        ours: parentOf.get(first),
        theirs: before(first),
      });
      const [loose] = side === 'ours' ? [second] : [first];
      parentOf.set(loose, before(loose));
      break;
    }
  }
}
