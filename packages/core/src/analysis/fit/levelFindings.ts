import { measured } from '../../document/measured.js';
import { areasMeet } from '../../geometry/relations.js';
import { overWidths } from '../../geometry/overWidths.js';
import { inheritedArrangement, lostPin, placeIn } from '../../document/bands.js';
import { kindOf } from '../../arrangements/index.js';
import { holdsCells, scrolls } from '../../arrangements/questions.js';
import { levelOf } from '../../document/levels.js';
import type { Checked, Found } from './checked.js';
import type { LaidOutLevel } from './stretches.js';
import type { LaidOutTile } from '../../arrangements/kind.js';
import type { GridArea } from '../../geometry/area.js';
import type { Arrangement, CollectionDocument, Tile, TileId } from '../../document/types.js';

/** What is found in a level as a whole: holes, a last row that is not full, overlap, order, overflow. */
export function* levelFindings(checked: Checked): Generator<Found> {
  const { stretch } = checked;
  const whole = [{ from: stretch.from, to: stretch.to }];
  for (const [k, laidOut] of stretch.first.levels.entries()) {
    if (laidOut.layout.tiles.length === 0) continue;
    const view = levelOf(checked.document, laidOut.level);
    const at: AtLevel = { ...laidOut, view, arrangement: inheritedArrangement(view, stretch.band.index) };
    for (const found of inCells(checked, at))
      yield { ...found, level: at.level, ranges: whole, worst: stretch.from };
    const last = stretch.last.levels[k];
    if (!last) continue;
    yield* overflowing(checked, at, last);
    const both = { ...at, band: stretch.band.index, from: stretch.from, to: stretch.to };
    for (const found of kindOf(at.arrangement).findings?.({ ...both, first: at.layout, last: last.layout }) ??
      [])
      yield { ranges: whole, worst: stretch.from, ...found, level: at.level };
  }
}

/** A level at the first width of a stretch, as a collection of its own and with its arrangement there. */
interface AtLevel extends LaidOutLevel {
  readonly view: CollectionDocument;
  readonly arrangement: Arrangement;
}

type InCells = Omit<Found, 'level' | 'ranges' | 'worst'>;

function* inCells({ stretch }: Checked, at: AtLevel): Generator<InCells> {
  const { view, layout } = at;
  const { coverage, tiles, columns, rows } = layout;
  for (const hole of coverage.holes) {
    const isStray =
      hole.row + hole.rowSpan - 1 === rows.length &&
      hole.column + hole.columnSpan - 1 === columns.length &&
      !tiles.some((tile) => tile.row >= hole.row && isAfter(tile, hole));
    // Rows that the grid has without a tile in them are no row of tiles.
    const next = tiles.find((tile) => isAfter(tile, hole) && !view.tiles[tile.id]?.place.pin);
    const last = tiles.at(-1);
    const id = isStray ? last?.id : (next?.id ?? last?.id);
    yield {
      kind: isStray ? 'stray' : 'hole',
      tiles: id === undefined ? [] : [id],
      badness: hole.columnSpan * hole.rowSpan,
      said: {
        columns: hole.columnSpan,
        rows: hole.rowSpan,
        column: hole.column,
        row: hole.row,
        of: columns.length,
      },
    };
  }
  if (coverage.overlapping > 0) {
    const layerOf = (id: TileId) => placeIn(view, view.tiles[id] as Tile, stretch.band.index).layer;
    for (let a = 0; a < tiles.length; a++) {
      for (let b = a + 1; b < tiles.length; b++) {
        const [one, other] = [tiles[a] as LaidOutTile, tiles[b] as LaidOutTile];
        // Tiles of different layers lie over each other on purpose.
        if (!areasMeet(one, other) || layerOf(one.id) !== layerOf(other.id)) continue;
        yield {
          kind: 'overlap',
          tiles: [one.id, other.id],
          badness: 1,
          said: { column: other.column, row: other.row },
        };
      }
    }
  }
  if (holdsCells(at.arrangement.kind)) {
    for (const tile of tiles) {
      const pin = lostPin(view, view.tiles[tile.id] as Tile, stretch.band.index);
      if (!pin) continue;
      yield {
        kind: 'pin lost',
        tiles: [tile.id],
        badness: 1,
        said: { column: pin.column, row: pin.row, of: columns.length },
      };
    }
  }
  let before: LaidOutTile | null = null;
  for (const tile of tiles) {
    if (before && comesBefore(tile, before)) {
      yield {
        kind: 'out of order',
        tiles: [tile.id, before.id],
        badness: before.row - tile.row,
        said: { row: tile.row, otherRow: before.row },
      };
    } else before = tile;
  }
}

const isAfter = (tile: GridArea, hole: GridArea) =>
  tile.row > hole.row || (tile.row === hole.row && tile.column > hole.column);

/** Whether a tile that is read later is seen wholly before: above, or beside in the same row. */
const comesBefore = (later: GridArea, earlier: GridArea) =>
  later.row + later.rowSpan <= earlier.row ||
  (later.row === earlier.row && later.column + later.columnSpan <= earlier.column);

/** Tiles that reach out of their grid, over the widths at which they do. */
function* overflowing({ stretch }: Checked, first: AtLevel, last: LaidOutLevel): Generator<Found> {
  const { arrangement } = first;
  const [begins, ends] = [measured(arrangement, stretch.from), measured(arrangement, stretch.to)];
  const paddingOf = (level: LaidOutLevel) => (level === last ? ends : begins).padding;
  const { reachesOut } = kindOf(arrangement);
  const ids = first.layout.tiles.map(({ id }) => id);
  const axes = [
    (tile: LaidOutTile, level: LaidOutLevel) =>
      tile.x + tile.inlineSize - (level.layout.inlineSize - paddingOf(level).inlineEnd),
    (tile: LaidOutTile, level: LaidOutLevel) =>
      tile.y + tile.blockSize - (level.layout.blockSize - paddingOf(level).blockEnd),
  ];
  // What does not fit is scrolled to.
  const checked = scrolls(arrangement) ? axes.slice(1) : axes;
  for (const [k, tile] of first.layout.tiles.entries()) {
    const other = last.layout.tiles[k];
    if (!other || reachesOut?.(arrangement, ids, tile.id)) continue;
    for (const out of checked) {
      const found = overWidths(stretch, out(tile, first), out(other, last));
      if (found) yield { kind: 'overflow', level: first.level, tiles: [tile.id], ...found };
    }
  }
}
