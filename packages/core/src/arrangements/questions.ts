import { inheritedArrangement } from '../document/bands.js';
import { levelOf } from '../document/levels.js';
import { perObject } from '../memo.js';
import { arrangementKinds, kindOf } from './index.js';
import type { PageElement } from '../engine/html/node.js';
import type { Level } from '../document/levels.js';
import type { NamedTile } from './kind.js';
import type {
  Arrangement,
  ArrangementName,
  CollectionDocument,
  KindValues,
  Tile,
  TileId,
} from '../document/types.js';

/** Whether tiles of a kind take cells; in other kinds they follow their order. */
export const hasCells = (kind: ArrangementName) => kindOf({ kind }).cells !== null;

/** Whether tiles of a kind can be held at cells: it has columns that are listed, pins and areas. */
export const holdsCells = (kind: ArrangementName) => kindOf({ kind }).cells === 'held';

/** Whether an arrangement has cells whose rows are as high as the first column is wide. */
export const isSquare = ({ kind, cells }: Pick<Arrangement, 'kind' | 'cells'>) =>
  cells === 'square' && hasCells(kind);

/** Whether an arrangement may be wider than its page, and is scrolled sideways. */
export const scrolls = (arrangement: Arrangement): boolean =>
  kindOf(arrangement).scrolls?.(arrangement) ?? false;

/**
 * Whether a tile is a group of square modules, which would not stay square if it were stretched to
 * fill a higher cell.
 * @param band its index
 */
export function isSquareGroup(document: CollectionDocument, tile: Tile, band: number): boolean {
  if (tile.kind !== 'group') return false;
  const arrangement = inheritedArrangement(levelOf(document, tile.id), band);
  return kindOf(arrangement).isSquare(arrangement);
}

/** The values of the kind whose they are, with what is meant where the file says nothing. */
export function valuesIn<Field extends keyof KindValues>(
  arrangement: Arrangement,
  field: Field,
): KindValues[Field] {
  const kind = arrangementKinds().find(({ values }) => values?.field === field);
  if (!kind?.values) throw new RangeError(`No kind of arrangement has values called “${field}”.`);
  return kind.values.read(arrangement) as KindValues[Field];
}

/** What any kind needs right before a tile of a level in the page. */
export const beforeTile = (view: CollectionDocument, level: Level, tile: NamedTile): readonly PageElement[] =>
  arrangementKinds().flatMap(({ markup }) => markup?.before(view, level, tile) ?? []);

type SelectorsBefore = ReadonlyMap<TileId, readonly string[]>;

/** The selectors of what any kind has before the tiles of a collection, for each tile that has some. */
export const selectorsBefore = perObject((document: CollectionDocument): SelectorsBefore => {
  const groups = Object.values(document.tiles).filter(({ kind }) => kind === 'group');
  const levels: Level[] = [null, ...groups.map(({ id }) => id)];
  const markups = arrangementKinds().flatMap(({ markup }) => markup ?? []);
  return new Map(
    levels.flatMap((level) => {
      const view = levelOf(document, level);
      return view.order.map(
        (id) => [id, markups.flatMap((markup) => markup.selector(view, id) ?? [])] as const,
      );
    }),
  );
});
